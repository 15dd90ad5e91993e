package dusk.ledger.web.store;

import java.nio.file.Path;
import java.security.SecureRandom;
import java.time.Clock;
import java.util.random.RandomGenerator;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** Opens the store for the application. */
@Configuration(proxyBeanMethods = false)
class StoreSetting {
    @Bean(destroyMethod = "close")
    Store store(@Value("${dusk.store}") Path file, @Value("${dusk.fresh:false}") boolean fresh) {
        if (fresh) {
            StoreFile.forget(file);
        }
        return Store.open(file);
    }

    @Bean
    RandomGenerator random() {
        return new SecureRandom();
    }

    @Bean
    NewId newId(Clock clock, RandomGenerator random) {
        return new NewId(clock, random);
    }
}
