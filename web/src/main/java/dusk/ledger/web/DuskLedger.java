package dusk.ledger.web;

import java.time.Clock;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.security.autoconfigure.UserDetailsServiceAutoConfiguration;
import org.springframework.context.annotation.Bean;
import org.springframework.scheduling.annotation.EnableScheduling;

/** Starts the application. */
@EnableScheduling
@SpringBootApplication(exclude = UserDetailsServiceAutoConfiguration.class)
public class DuskLedger {
    public static void main(String[] args) {
        SpringApplication.run(DuskLedger.class, args);
    }

    @Bean
    Clock clock() {
        return Clock.systemUTC();
    }
}
