package dusk.ledger.web.security;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import io.github.bucket4j.Bucket;
import io.github.bucket4j.TimeMeter;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import org.springframework.stereotype.Component;

/**
 * Slows down whoever guesses passwords: a few tries at once, then one from time to time, counted by the name that is
 * tried and by the address it is tried from. A right password gives its try back.
 */
@Component
class Guesses {
    private static final int NAME_AT_ONCE = 10;
    private static final Duration NAME_THEN = Duration.ofMinutes(1);
    private static final int ADDRESS_AT_ONCE = 40;
    private static final Duration ADDRESS_THEN = Duration.ofSeconds(10);

    /** Far more names than a club has; a guesser who goes through more of them is held by the address. */
    private static final int REMEMBERED = 50_000;

    private final TimeMeter time;
    private final Cache<String, Bucket> names =
            Caffeine.newBuilder().maximumSize(REMEMBERED).build();
    private final Cache<String, Bucket> addresses =
            Caffeine.newBuilder().maximumSize(REMEMBERED).build();

    Guesses(Clock clock) {
        time = new TimeMeter() {
            @Override
            public long currentTimeNanos() {
                Instant now = clock.instant();
                return now.getEpochSecond() * 1_000_000_000L + now.getNano();
            }

            @Override
            public boolean isWallClockBased() {
                return true;
            }
        };
    }

    /** Takes a try; false where there is none left for now. */
    boolean take(String name, String address) {
        return of(name, address).stream().allMatch(bucket -> bucket.tryConsume(1));
    }

    /** The password was right: it was no guess. */
    void right(String name, String address) {
        of(name, address).forEach(bucket -> bucket.addTokens(1));
    }

    private List<Bucket> of(String name, String address) {
        return List.of(
                addresses.get(address, a -> bucket(ADDRESS_AT_ONCE, ADDRESS_THEN)),
                names.get(name.strip().toLowerCase(Locale.ROOT), n -> bucket(NAME_AT_ONCE, NAME_THEN)));
    }

    private Bucket bucket(int atOnce, Duration then) {
        return Bucket.builder()
                .addLimit(limit -> limit.capacity(atOnce).refillGreedy(1, then))
                .withCustomTimePrecision(time)
                .build();
    }
}
