package rosinedpeg.web.account;

import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;

class SignInConfigurationTest {

    @Test
    void aHeaderThatAnybodyWritesIsNotBelieved() {
        assertThatThrownBy(() -> new SignInConfiguration("FRAMEWORK")).hasMessageContaining("none or native");
    }
}
