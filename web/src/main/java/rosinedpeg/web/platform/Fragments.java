package rosinedpeg.web.platform;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.Locale;
import java.util.Map;
import org.springframework.context.ApplicationContext;
import org.springframework.context.i18n.LocaleContextHolder;
import org.springframework.stereotype.Component;
import org.thymeleaf.context.Context;
import org.thymeleaf.spring6.SpringTemplateEngine;
import org.thymeleaf.spring6.expression.ThymeleafEvaluationContext;

/**
 * Lays out a template apart from any page: for paper, or to be kept. It knows what it is given, the words and every bean, and nothing of
 * a request: addresses in it are written out, and its forms have no token.
 */
@Component
public class Fragments {

    /** More than there are templates that show everybody the same. */
    private static final int KEPT = 100;

    private final SpringTemplateEngine templates;
    private final ApplicationContext beans;
    private final Cache<Same, String> kept =
            Caffeine.newBuilder().maximumSize(KEPT).build();

    private record Same(String template, Object of, Locale locale) {}

    Fragments(SpringTemplateEngine templates, ApplicationContext beans) {
        this.templates = templates;
        this.beans = beans;
    }

    /**
     * One template, in the language of the request.
     *
     * @param template its name
     * @param shown what it shows, by the names that it knows
     * @return that
     */
    public String layOut(String template, Map<String, Object> shown) {
        Context context = new Context(LocaleContextHolder.getLocale(), shown);
        context.setVariable(
                ThymeleafEvaluationContext.THYMELEAF_EVALUATION_CONTEXT_CONTEXT_VARIABLE_NAME,
                new ThymeleafEvaluationContext(beans, null));
        return templates.process(template, context);
    }

    /**
     * One template that shows everybody the same, laid out once in each language. In templates: {@code @fragments}.
     *
     * @param template its name
     * @param of what it shows, which it knows as {@code of}; of what equals it, it shows the same
     * @return that
     */
    public String same(String template, Object of) {
        return kept.get(
                new Same(template, of, LocaleContextHolder.getLocale()), same -> layOut(template, Map.of("of", of)));
    }
}
