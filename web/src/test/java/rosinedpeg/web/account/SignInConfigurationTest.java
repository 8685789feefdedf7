package rosinedpeg.web.account;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;

class SignInConfigurationTest {

    @Test
    void aHeaderThatAnybodyWritesIsNotBelieved() {
        assertThatThrownBy(() -> new SignInConfiguration("FRAMEWORK")).hasMessageContaining("none or native");
    }

    /** Where the tests hash quicker, this is what everybody else gets. */
    @Test
    void hashingTakesTime() {
        assertThat(new SignInConfiguration("none").passwordEncoder().encode("under-the-stage"))
                .startsWith("{hmac-bcrypt}$2a$11$");
    }
}
