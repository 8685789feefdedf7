package rosinedpeg.web.platform;

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

    private final SpringTemplateEngine templates;
    private final ApplicationContext beans;

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
}
