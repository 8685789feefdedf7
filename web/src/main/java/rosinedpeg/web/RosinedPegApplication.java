package rosinedpeg.web;

import java.time.Clock;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.context.annotation.Bean;
import org.springframework.scheduling.annotation.EnableScheduling;

/** Starts the web application. */
@SpringBootApplication
@EnableScheduling
public class RosinedPegApplication {

    public static void main(String[] args) {
        SpringApplication.run(RosinedPegApplication.class, args);
    }

    @Bean
    Clock clock() {
        return Clock.systemUTC();
    }
}
