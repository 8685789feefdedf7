package rosinedpeg.web.platform;

import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter.ReferrerPolicy;

/** What a page may load, and who may show it: all comes from here. */
public final class ContentPolicy {

    private static final String POLICY = "default-src 'self'; img-src 'self' data:; object-src 'none'; "
            + "base-uri 'self'; form-action 'self'; frame-ancestors 'none'";

    private ContentPolicy() {}

    /** {@return the same, whose answers say so} */
    public static HttpSecurity on(HttpSecurity http) throws Exception {
        return http.headers(headers -> headers.contentSecurityPolicy(policy -> policy.policyDirectives(POLICY))
                .referrerPolicy(referrer -> referrer.policy(ReferrerPolicy.SAME_ORIGIN)));
    }
}
