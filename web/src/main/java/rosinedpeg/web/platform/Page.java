package rosinedpeg.web.platform;

import java.lang.reflect.RecordComponent;
import java.util.Optional;
import org.springframework.ui.Model;
import org.springframework.util.ReflectionUtils;

/** What a page shows, as one record: a template finds each of its components under the name it has there. */
public final class Page {

    private Page() {}

    /**
     * Lays a page out for its template.
     *
     * @param page what it shows; a component that is an empty {@link Optional} is not there for the template, any other is there
     *     as what it holds
     * @param model what the template is given
     */
    public static void lay(Record page, Model model) {
        for (RecordComponent component : page.getClass().getRecordComponents()) {
            ReflectionUtils.makeAccessible(component.getAccessor());
            Object value = ReflectionUtils.invokeMethod(component.getAccessor(), page);
            model.addAttribute(component.getName(), value instanceof Optional<?> held ? held.orElse(null) : value);
        }
    }
}
