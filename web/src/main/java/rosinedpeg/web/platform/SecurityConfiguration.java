package rosinedpeg.web.platform;

import java.lang.reflect.Method;
import org.springframework.aop.Advisor;
import org.springframework.aop.support.StaticMethodMatcherPointcut;
import org.springframework.beans.factory.config.BeanDefinition;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.annotation.AnnotatedElementUtils;
import org.springframework.core.annotation.Order;
import org.springframework.security.access.hierarchicalroles.RoleHierarchy;
import org.springframework.security.access.hierarchicalroles.RoleHierarchyImpl;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.security.authorization.SingleResultAuthorizationManager;
import org.springframework.security.authorization.method.AuthorizationManagerBeforeMethodInterceptor;
import org.springframework.security.config.annotation.method.configuration.EnableMethodSecurity;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.annotation.web.configurers.AbstractHttpConfigurer;
import org.springframework.security.config.observation.SecurityObservationSettings;
import org.springframework.security.core.annotation.AnnotationTemplateExpressionDefaults;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.web.bind.annotation.RequestMapping;

/** Who may do what: everything needs a sign-in, and some of it a role. */
@Configuration
@EnableMethodSecurity
class SecurityConfiguration {

    /** For what is made without a session. */
    @Bean
    @Order(1)
    SecurityFilterChain withoutSessions(HttpSecurity http) throws Exception {
        return ContentPolicy.on(http.securityMatcher(WithoutSession.PATHS))
                .authorizeHttpRequests(requests -> requests.anyRequest().permitAll())
                .securityContext(AbstractHttpConfigurer::disable)
                .sessionManagement(AbstractHttpConfigurer::disable)
                .requestCache(AbstractHttpConfigurer::disable)
                .csrf(AbstractHttpConfigurer::disable)
                .logout(AbstractHttpConfigurer::disable)
                .build();
    }

    /** Lets {@link OpenTo} say its role. */
    /** Each of its filters would be a figure of its own, twice for every request, and nobody watches them. */
    @Bean
    static SecurityObservationSettings noFiguresOfFilters() {
        return SecurityObservationSettings.noObservations();
    }

    @Bean
    static AnnotationTemplateExpressionDefaults rolesBesideTheMethods() {
        return new AnnotationTemplateExpressionDefaults();
    }

    /** An address that nobody opened is closed. */
    @Bean
    @org.springframework.context.annotation.Role(BeanDefinition.ROLE_INFRASTRUCTURE)
    static Advisor closedUnlessOpened() {
        return new AuthorizationManagerBeforeMethodInterceptor(
                new StaticMethodMatcherPointcut() {
                    @Override
                    public boolean matches(Method method, Class<?> type) {
                        return type.getName().startsWith("rosinedpeg.")
                                && AnnotatedElementUtils.hasAnnotation(method, RequestMapping.class)
                                && !AnnotatedElementUtils.hasAnnotation(method, PreAuthorize.class);
                    }
                },
                SingleResultAuthorizationManager.denyAll());
    }

    @Bean
    static RoleHierarchy roleHierarchy() {
        return RoleHierarchyImpl.fromHierarchy("ROLE_KEEPER > ROLE_TECHNICIAN\nROLE_TECHNICIAN > ROLE_PLAYER");
    }
}
