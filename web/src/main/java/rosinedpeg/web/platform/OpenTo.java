package rosinedpeg.web.platform;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;
import org.springframework.security.access.prepost.PreAuthorize;

/**
 * Opens an address to everybody who has a role, or one that may do more. An address that is opened to nobody is closed.
 */
@Target(ElementType.METHOD)
@Retention(RetentionPolicy.RUNTIME)
@PreAuthorize("hasRole('{value}')")
public @interface OpenTo {

    /** {@return the least role that may call it} */
    Role value();
}
