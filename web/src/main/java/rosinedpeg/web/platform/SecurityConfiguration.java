package rosinedpeg.web.platform;

import java.lang.reflect.Method;
import java.time.Duration;
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
import org.springframework.security.core.annotation.AnnotationTemplateExpressionDefaults;
import org.springframework.security.crypto.factory.PasswordEncoderFactories;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.authentication.UsernamePasswordAuthenticationFilter;
import org.springframework.security.web.csrf.CookieCsrfTokenRepository;
import org.springframework.security.web.csrf.CsrfTokenRepository;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter.ReferrerPolicy;
import org.springframework.web.bind.annotation.RequestMapping;

/** Who may do what: everything needs a sign-in, and some of it a role. */
@Configuration
@EnableMethodSecurity
class SecurityConfiguration {

    private static final String POLICY = "default-src 'self'; img-src 'self' data:; object-src 'none'; "
            + "base-uri 'self'; form-action 'self'; frame-ancestors 'none'";

    private static final Duration TOKEN_LASTS = Duration.ofDays(14);

    /** For what is made without a session. */
    @Bean
    @Order(1)
    SecurityFilterChain withoutSessions(HttpSecurity http) throws Exception {
        return policed(http.securityMatcher(WithoutSession.PATHS))
                .authorizeHttpRequests(requests -> requests.anyRequest().permitAll())
                .securityContext(AbstractHttpConfigurer::disable)
                .sessionManagement(AbstractHttpConfigurer::disable)
                .requestCache(AbstractHttpConfigurer::disable)
                .csrf(AbstractHttpConfigurer::disable)
                .logout(AbstractHttpConfigurer::disable)
                .build();
    }

    @Bean
    @Order(2)
    SecurityFilterChain securityFilterChain(HttpSecurity http, SignInLimiter limiter) throws Exception {
        return policed(http)
                .authorizeHttpRequests(requests -> requests.requestMatchers(
                                "/sign-in", SignedOut.NOTICE, "/begin", "/join/*", "/feeds/*", "/error")
                        .permitAll()
                        .anyRequest()
                        .authenticated())
                .formLogin(form -> form.loginPage("/sign-in")
                        .usernameParameter("signIn")
                        .failureHandler(limiter)
                        .defaultSuccessUrl("/")
                        .permitAll())
                .exceptionHandling(unknown -> unknown.authenticationEntryPoint(new SignedOut()))
                // Neither needs a session, so that strangers have none.
                .requestCache(cache -> cache.requestCache(SignedOut.whereTo()))
                .csrf(csrf -> csrf.csrfTokenRepository(tokens()))
                .logout(logout -> logout.logoutUrl("/sign-out").logoutSuccessUrl("/sign-in?out"))
                .addFilterBefore(limiter, UsernamePasswordAuthenticationFilter.class)
                .build();
    }

    private static HttpSecurity policed(HttpSecurity http) throws Exception {
        return http.headers(headers -> headers.contentSecurityPolicy(policy -> policy.policyDirectives(POLICY))
                .referrerPolicy(referrer -> referrer.policy(ReferrerPolicy.SAME_ORIGIN)));
    }

    /** The token of a device outlasts its session: a form that was open meanwhile can still be sent. */
    private static CsrfTokenRepository tokens() {
        CookieCsrfTokenRepository tokens = new CookieCsrfTokenRepository();
        tokens.setCookieName("peg-form");
        tokens.setCookieCustomizer(cookie -> cookie.maxAge(TOKEN_LASTS).sameSite("Lax"));
        return tokens;
    }

    /** Lets {@link OpenTo} say its role. */
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

    @Bean
    PasswordEncoder passwordEncoder() {
        return PasswordEncoderFactories.createDelegatingPasswordEncoder();
    }
}
