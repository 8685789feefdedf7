package rosinedpeg.web;

import java.time.Clock;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.context.annotation.Bean;
import org.springframework.data.jpa.repository.config.EnableJpaRepositories;
import org.springframework.scheduling.annotation.EnableScheduling;

/** Starts the web application; with {@code --peg.link} only for as long as a link is made. */
@SpringBootApplication
@EnableScheduling
@EnableJpaRepositories(queryEnhancerSelector = QueriesAsWritten.class)
public class RosinedPegApplication {

    public static void main(String[] args) {
        ConfigurableApplicationContext context = SpringApplication.run(RosinedPegApplication.class, args);
        if (context.getEnvironment().containsProperty("peg.link")) {
            System.exit(SpringApplication.exit(context));
        }
    }

    @Bean
    Clock clock() {
        return Clock.systemUTC();
    }
}
