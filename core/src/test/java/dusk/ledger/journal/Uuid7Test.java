package dusk.ledger.journal;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.UUID;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

class Uuid7Test {
    private static final Instant AT = Instant.parse("2026-10-03T15:00:00.123Z");

    private final Random random = new Random(7);

    @Test
    void idsMadeWhileTheClockStandsSortAsTheyWereMade() {
        List<String> made = new ArrayList<>(List.of(Uuid7.of(AT, random)));
        // more than the twelve bits that count within a millisecond
        for (int i = 0; i < 10_000; i++) {
            made.add(Uuid7.after(made.get(i), AT, random));
        }
        assertThat(made).isSorted().doesNotHaveDuplicates();
        assertThat(made).allSatisfy(id -> {
            assertThat(UUID.fromString(id).version()).isEqualTo(7);
            assertThat(UUID.fromString(id).variant()).isEqualTo(2);
            assertThat(UUID.fromString(id).getMostSignificantBits() >>> 16)
                    .isBetween(AT.toEpochMilli(), AT.toEpochMilli() + 3);
        });
    }

    @Test
    void anIdMadeAfterTheClockWasSetBackStillSortsBehindAndOneMadeLaterBearsItsOwnTime() {
        String first = Uuid7.of(AT, random);
        String back = Uuid7.after(first, AT.minusSeconds(60), random);
        String later = Uuid7.after(back, AT.plusMillis(5), random);
        assertThat(Stream.of(first, back, later)).isSorted();
        assertThat(UUID.fromString(later).getMostSignificantBits() >>> 16).isEqualTo(AT.toEpochMilli() + 5);
    }
}
