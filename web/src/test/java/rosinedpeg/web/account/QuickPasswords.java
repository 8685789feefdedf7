package rosinedpeg.web.account;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.annotation.Primary;
import org.springframework.security.crypto.password.PasswordEncoder;

/**
 * What the tests sign in with: hashes like the product's, but of sixteen rounds, since two thousand are made in one run of the tests and each
 * would take a tenth of a second. Found as any configuration is, wherever the application runs with the classes of the tests.
 */
@Configuration
class QuickPasswords {

    @Bean
    @Primary
    PasswordEncoder quickPasswordEncoder() {
        return SignInConfiguration.hashing(4);
    }
}
