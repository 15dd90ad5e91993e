package dusk.ledger.journal;

import java.time.Instant;
import java.util.UUID;
import java.util.random.RandomGenerator;

/**
 * Ids made by whoever creates a row, so that a write sent twice is stored once: UUID version 7 (RFC 9562), time first,
 * so that they sort by it.
 */
public final class Uuid7 {
    private Uuid7() {}

    /**
     * @param at the moment of making
     * @param random source of the 74 random bits
     */
    public static String of(Instant at, RandomGenerator random) {
        long high = (at.toEpochMilli() << 16) | 0x7000 | (random.nextLong() & 0x0fff);
        long low = 0x8000000000000000L | (random.nextLong() >>> 2);
        return new UUID(high, low).toString();
    }

    /**
     * The next of a row of ids, which sorts behind the one before it though both were made in one millisecond or the clock
     * was set back: the bits behind the time count on (RFC 9562, section 6.2, method 1).
     */
    public static String after(String before, Instant at, RandomGenerator random) {
        String fresh = of(at, random);
        if (fresh.compareTo(before) > 0) {
            return fresh;
        }
        long last = UUID.fromString(before).getMostSignificantBits();
        boolean full = (last & 0x0fff) == 0x0fff;
        long high = full ? (((last >>> 16) + 1) << 16) | 0x7000 : last + 1;
        return new UUID(high, UUID.fromString(fresh).getLeastSignificantBits()).toString();
    }
}
