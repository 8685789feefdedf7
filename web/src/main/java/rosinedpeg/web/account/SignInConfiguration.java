package rosinedpeg.web.account;

import java.time.Duration;
import java.util.Map;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.annotation.Order;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.security.crypto.password.DelegatingPasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.authentication.UsernamePasswordAuthenticationFilter;
import org.springframework.security.web.csrf.CookieCsrfTokenRepository;
import org.springframework.security.web.csrf.CsrfTokenRepository;
import rosinedpeg.web.platform.ContentPolicy;

/** How somebody signs in, and out. */
@Configuration
class SignInConfiguration {

    private static final Duration TOKEN_LASTS = Duration.ofDays(14);

    /**
     * Takes note of where addresses come from.
     *
     * @param forwarded how the headers of a proxy are read
     * @throws IllegalArgumentException when anybody who writes such a header would be believed, and so would never wait
     */
    SignInConfiguration(@Value("${server.forward-headers-strategy}") String forwarded) {
        if (forwarded.equalsIgnoreCase("framework")) {
            throw new IllegalArgumentException("PEG_FORWARD_HEADERS has to be none or native, and is " + forwarded);
        }
    }

    @Bean
    @Order(2)
    SecurityFilterChain signedIn(
            HttpSecurity http,
            SignInLimiter limiter,
            SignInLimiter.RightAtLast rightAtLast,
            AccountOfSession accountOfSession)
            throws Exception {
        return ContentPolicy.on(http)
                .authorizeHttpRequests(requests -> requests.requestMatchers(
                                "/sign-in",
                                "/sign-in/code",
                                SignedOut.NOTICE,
                                "/begin",
                                "/join/*",
                                "/feeds/*",
                                "/error")
                        .permitAll()
                        .anyRequest()
                        .authenticated())
                .securityContext(context -> context.securityContextRepository(accountOfSession))
                .formLogin(form -> form.loginPage("/sign-in")
                        .usernameParameter("signIn")
                        // Spring's own would keep what was wrong in a session of a stranger.
                        .failureHandler((request, response, wrong) -> {
                            RightsLog.tell("A sign-in was refused");
                            response.sendRedirect("/sign-in?wrong");
                        })
                        .successHandler(rightAtLast)
                        .permitAll())
                .exceptionHandling(unknown -> unknown.authenticationEntryPoint(new SignedOut()))
                // Neither needs a session, so that strangers have none.
                .requestCache(cache -> cache.requestCache(SignedOut.whereTo()))
                .csrf(csrf -> csrf.csrfTokenRepository(tokens()))
                .logout(logout -> logout.logoutUrl("/sign-out").logoutSuccessUrl("/sign-in?out"))
                .addFilterBefore(limiter, UsernamePasswordAuthenticationFilter.class)
                .build();
    }

    /** The token of a device outlasts its session: a form that was open meanwhile can still be sent. */
    private static CsrfTokenRepository tokens() {
        CookieCsrfTokenRepository tokens = new CookieCsrfTokenRepository();
        tokens.setCookieName("peg-form");
        tokens.setCookieCustomizer(cookie -> cookie.maxAge(TOKEN_LASTS).sameSite("Lax"));
        return tokens;
    }

    /** Hashes that were made otherwise before are read still, and made anew when their owner signs in. */
    @Bean
    PasswordEncoder passwordEncoder() {
        return hashing(PasswordHashes.COST);
    }

    static PasswordEncoder hashing(int cost) {
        return new DelegatingPasswordEncoder(
                PasswordHashes.ID,
                Map.of(PasswordHashes.ID, new PasswordHashes(cost), "bcrypt", new BCryptPasswordEncoder()));
    }
}
