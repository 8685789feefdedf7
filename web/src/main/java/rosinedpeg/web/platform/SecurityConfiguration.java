package rosinedpeg.web.platform;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpMethod;
import org.springframework.security.access.hierarchicalroles.RoleHierarchy;
import org.springframework.security.access.hierarchicalroles.RoleHierarchyImpl;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.crypto.factory.PasswordEncoderFactories;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.authentication.UsernamePasswordAuthenticationFilter;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter.ReferrerPolicy;

/** Who may do what: everything needs a sign-in, and some of it a role. */
@Configuration
class SecurityConfiguration {

    private static final String POLICY = "default-src 'self'; img-src 'self' data:; object-src 'none'; "
            + "base-uri 'self'; form-action 'self'; frame-ancestors 'none'";

    @Bean
    SecurityFilterChain securityFilterChain(HttpSecurity http, SignInLimiter limiter) throws Exception {
        return http.authorizeHttpRequests(requests -> requests.requestMatchers(
                                "/sign-in", "/assets/**", "/webjars/**", "/actuator/health", "/error")
                        .permitAll()
                        .requestMatchers("/people/**")
                        .hasRole("KEEPER")
                        .requestMatchers("/instruments/new")
                        .hasRole("TECHNICIAN")
                        .requestMatchers(
                                HttpMethod.POST,
                                "/instruments/*/measure/*",
                                "/instruments/*/guard",
                                "/instruments/*/post",
                                "/instruments/*/tail-ends",
                                "/instruments/*/peg-sides",
                                "/instruments/*/peg-wood",
                                "/instruments/*/pegs/*",
                                "/instruments/*/bridge/**",
                                "/instruments/*/bridge",
                                "/instruments/*/strings/**",
                                "/instruments/*/notes/*/settled")
                        .hasRole("TECHNICIAN")
                        .anyRequest()
                        .authenticated())
                .formLogin(form -> form.loginPage("/sign-in")
                        .usernameParameter("signIn")
                        .failureHandler(limiter)
                        .defaultSuccessUrl("/")
                        .permitAll())
                .logout(logout -> logout.logoutUrl("/sign-out").logoutSuccessUrl("/sign-in?out"))
                .headers(headers -> headers.contentSecurityPolicy(policy -> policy.policyDirectives(POLICY))
                        .referrerPolicy(referrer -> referrer.policy(ReferrerPolicy.SAME_ORIGIN)))
                .addFilterBefore(limiter, UsernamePasswordAuthenticationFilter.class)
                .build();
    }

    @Bean
    RoleHierarchy roleHierarchy() {
        return RoleHierarchyImpl.fromHierarchy("ROLE_KEEPER > ROLE_TECHNICIAN\nROLE_TECHNICIAN > ROLE_PLAYER");
    }

    @Bean
    PasswordEncoder passwordEncoder() {
        return PasswordEncoderFactories.createDelegatingPasswordEncoder();
    }
}
