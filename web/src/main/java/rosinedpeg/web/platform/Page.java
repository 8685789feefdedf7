package rosinedpeg.web.platform;

import java.lang.reflect.Method;
import java.lang.reflect.Modifier;
import java.util.Optional;
import java.util.Set;
import org.springframework.ui.Model;
import org.springframework.util.ReflectionUtils;

/** What a page shows, as one record: a template finds under its own name whatever the record can be asked for. */
public final class Page {

    private static final Set<String> OF_EVERY_RECORD = Set.of("hashCode", "toString");

    private Page() {}

    /**
     * Lays a page out for its template.
     *
     * @param page what it shows: its components, and what its public methods answer that take nothing. An empty {@link Optional}
     *     is not there for the template, any other is there as what it holds.
     * @param model what the template is given
     */
    public static void lay(Record page, Model model) {
        for (Method method : page.getClass().getDeclaredMethods()) {
            if (Modifier.isPublic(method.getModifiers())
                    && !Modifier.isStatic(method.getModifiers())
                    && method.getParameterCount() == 0
                    && !OF_EVERY_RECORD.contains(method.getName())) {
                ReflectionUtils.makeAccessible(method);
                Object value = ReflectionUtils.invokeMethod(method, page);
                model.addAttribute(method.getName(), value instanceof Optional<?> held ? held.orElse(null) : value);
            }
        }
    }
}
