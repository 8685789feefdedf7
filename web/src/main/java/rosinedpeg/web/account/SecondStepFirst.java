package rosinedpeg.web.account;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.stereotype.Component;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import rosinedpeg.web.platform.CurrentWorkshop;
import rosinedpeg.web.platform.Htmx;
import rosinedpeg.web.platform.OpenToStrangers;
import rosinedpeg.web.platform.SignedIn;
import rosinedpeg.web.platform.Words;

/**
 * In a workshop that wants it of its keepers, one without a second step comes nowhere before it is set up, however they signed in and
 * whenever: the rule is asked at every request.
 */
@Component
class SecondStepFirst implements HandlerInterceptor, WebMvcConfigurer {

    /** Where it is set up, and the password that is wanted for it is changed; and what is told of a request that went wrong. */
    private static final String[] OPEN = {"/password/**", "/error"};

    private final Words words;

    SecondStepFirst(Words words) {
        this.words = words;
    }

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(this).excludePathPatterns(OPEN);
    }

    @Override
    public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler)
            throws IOException {
        boolean ours = handler instanceof HandlerMethod page && !page.hasMethodAnnotation(OpenToStrangers.class);
        if (!ours || !CurrentWorkshop.account().map(SignedIn::secondStepDue).orElse(false)) {
            return true;
        }
        if (Htmx.asks(request)) {
            Htmx.refuse(response, words.say("secondStep.due"));
        } else {
            response.sendRedirect(request.getContextPath() + SecondStepController.ADDRESS);
        }
        return false;
    }
}
