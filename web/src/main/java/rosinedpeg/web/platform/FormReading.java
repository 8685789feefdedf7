package rosinedpeg.web.platform;

import jakarta.servlet.ServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.beans.PropertyDescriptor;
import java.io.IOException;
import java.lang.reflect.AnnotatedType;
import java.lang.reflect.Method;
import java.sql.SQLException;
import java.util.Arrays;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.BeanUtils;
import org.springframework.boot.webmvc.autoconfigure.WebMvcRegistrations;
import org.springframework.context.annotation.Configuration;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.dao.OptimisticLockingFailureException;
import org.springframework.http.HttpStatus;
import org.springframework.util.ReflectionUtils;
import org.springframework.web.bind.ServletRequestDataBinder;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.context.request.NativeWebRequest;
import org.springframework.web.method.annotation.InitBinderDataBinderFactory;
import org.springframework.web.method.support.InvocableHandlerMethod;
import org.springframework.web.servlet.mvc.method.annotation.ExtendedServletRequestDataBinder;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerAdapter;
import org.springframework.web.servlet.mvc.method.annotation.ServletRequestDataBinderFactory;

/**
 * Sees to it that what is sent fits the form it is sent for, before a controller looks at it. What people type wrong they are told
 * beside the field; what no page of ours sends, as a choice that is none or a field with a name that no form has, is turned away whole.
 */
@Configuration
class FormReading implements WebMvcRegistrations {

    /** PostgreSQL says so of a zero byte in a text. */
    private static final String NO_SUCH_CHARACTER = "22021";

    @Override
    public RequestMappingHandlerAdapter getRequestMappingHandlerAdapter() {
        return new RequestMappingHandlerAdapter() {
            @Override
            protected InitBinderDataBinderFactory createDataBinderFactory(List<InvocableHandlerMethod> binders) {
                return new ServletRequestDataBinderFactory(binders, getWebBindingInitializer()) {
                    @Override
                    protected ServletRequestDataBinder createBinderInstance(
                            @Nullable Object target, String name, NativeWebRequest request) {
                        return new Reader(target, name);
                    }
                };
            }
        };
    }

    /** What was sent fits no form. */
    @ResponseStatus(HttpStatus.BAD_REQUEST)
    private static final class UnreadableFormException extends RuntimeException {

        private static final long serialVersionUID = 1;

        UnreadableFormException(String message, @Nullable Throwable cause) {
            super(message, cause);
        }
    }

    private static final class Reader extends ExtendedServletRequestDataBinder {

        Reader(@Nullable Object target, String name) {
            super(target, name);
        }

        @Override
        public void construct(ServletRequest request) {
            reading(() -> super.construct(request));
        }

        @Override
        public void bind(ServletRequest request) {
            reading(() -> super.bind(request));
        }

        private void reading(Runnable read) {
            try {
                read.run();
            } catch (RuntimeException unreadable) {
                throw new UnreadableFormException("The form " + getObjectName() + " cannot be read", unreadable);
            }
            Object form = getTarget();
            if (form != null) {
                choices(form)
                        .filter(choice -> choice.isMissingIn(form))
                        .findFirst()
                        .ifPresent(choice -> {
                            throw new UnreadableFormException(
                                    "Nothing is chosen for " + choice.name() + " of " + getObjectName(), null);
                        });
            }
        }

        /** {@return the fields of a form, if it is one of ours} */
        private static Stream<Choice> choices(Object form) {
            if (!form.getClass().getName().startsWith("rosinedpeg.")) {
                return Stream.empty();
            }
            return form instanceof Record
                    ? Arrays.stream(form.getClass().getRecordComponents())
                            .map(one -> new Choice(one.getName(), one.getAnnotatedType(), one.getAccessor()))
                    : Arrays.stream(BeanUtils.getPropertyDescriptors(form.getClass()))
                            .map(PropertyDescriptor::getReadMethod)
                            .filter(Objects::nonNull)
                            .map(read -> new Choice(read.getName(), read.getAnnotatedReturnType(), read));
        }
    }

    /** A field of a form, of which some hold one or several of a few things. */
    private record Choice(String name, AnnotatedType type, Method read) {

        boolean isMissingIn(Object form) {
            boolean one = read.getReturnType().isEnum();
            boolean several = Collection.class.isAssignableFrom(read.getReturnType());
            boolean byKey = Map.class.isAssignableFrom(read.getReturnType());
            if (!one && !several && !byKey) {
                return false;
            }
            ReflectionUtils.makeAccessible(read);
            Object chosen = ReflectionUtils.invokeMethod(read, form);
            if (chosen == null) {
                return !type.isAnnotationPresent(Nullable.class);
            }
            Collection<?> all = chosen instanceof Map<?, ?> map
                    ? map.keySet()
                    : chosen instanceof Collection<?> collection ? collection : List.of();
            return all.stream().anyMatch(Objects::isNull);
        }
    }

    /** What only the database tells. */
    @ControllerAdvice
    static class ToldByTheDatabase {

        /** A text that it cannot hold. */
        @ExceptionHandler
        void noSuchCharacter(DataIntegrityViolationException refused, HttpServletResponse response) throws IOException {
            if (!(refused.getMostSpecificCause() instanceof SQLException told)
                    || !NO_SUCH_CHARACTER.equals(told.getSQLState())) {
                throw refused;
            }
            response.sendError(HttpServletResponse.SC_BAD_REQUEST);
        }

        /** Two at one moment, where a controller has no word of its own for it: the second finds it done. */
        @ExceptionHandler
        void meanwhile(OptimisticLockingFailureException late, HttpServletResponse response) throws IOException {
            response.sendError(HttpServletResponse.SC_CONFLICT);
        }
    }
}
