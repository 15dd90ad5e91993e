package dusk.ledger.web.afloat;

import static org.assertj.core.api.Assertions.assertThat;

import dusk.ledger.format.LedgerFormat;
import dusk.ledger.journal.Stint;
import dusk.ledger.journal.Trip;
import dusk.ledger.web.records.Deck;
import dusk.ledger.web.records.RodOut;
import dusk.ledger.web.store.Acts;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Days of anything at all: whatever is done, the records add up, and all of it can be taken back. */
class RandomDayTest {
    private static final int ACTS = 60;
    private static final List<String> COLOURS = List.of("violet", "pearl", "chartreuse", "black");
    private static final List<String> PLACES = List.of("point", "dock");

    private Boat boat;
    private SplittableRandom random;

    private <T> T one(List<T> list) {
        return list.get(random.nextInt(list.size()));
    }

    /** Something, which may be refused as things are. */
    private void something() {
        Deck deck = boat.deck();
        String rod = one(deck.rods()).id();
        By now = boat.now();
        switch (random.nextInt(14)) {
            case 0, 1 -> boat.rods.touch(now, rod, random.nextBoolean() ? "bite" : "follow");
            case 2 -> boat.rods.landed(now, rod, "walleye", random.nextInt(1, 4));
            case 3 -> boat.rods.lost(now, rod, "jumped off");
            case 4 -> boat.rods.down(now, rod);
            case 5, 6 -> boat.rods.up(now, rod);
            case 7 -> boat.rods.swap(now, rod, Boat.map("weight", random.nextBoolean() ? "up" : "down"));
            case 8 -> boat.rods.swap(now, rod, Boat.map("colour", one(COLOURS)));
            case 9 -> boat.rods.swap(now, rod, Boat.map("angler_id", String.valueOf(boat.club.other.anglerId())));
            case 10 -> boat.trips.move(now, boat.typed("spot_id", one(PLACES), "depth_m", "3"), null);
            case 11 -> boat.conditions.read(now, Boat.map("water_temp_c", "" + random.nextInt(5, 20)));
            case 12 -> boat.conditions.sign(now, "birds");
            default -> boat.trips.add(now, new TripActs.Wanted(boat.club.other.anglerId(), null, "bare", null, "swim"));
        }
    }

    private int day() {
        int done = 0;
        for (int i = 0; i < ACTS; i++) {
            boat.after(random.nextInt(0, 20) / 4.0);
            try {
                something();
                done++;
            } catch (Refusal e) {
                assertThat(e.words()).as("a refusal says why").endsWith(".");
            }
        }
        return done;
    }

    private Map<String, Object> everything() {
        Map<String, Object> all = new HashMap<>();
        LedgerFormat.ALL.forEach(table -> all.put(table.name(), boat.club.all(table)));
        all.put("rods out", boat.deck().rods());
        all.put("seen", boat.deck().seen());
        return all;
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4})
    void whateverWasDoneIsTakenBackToTheLastRow(long seed, @TempDir Path folder) {
        random = new SplittableRandom(seed);
        try (Boat fished = new Boat(folder)) {
            boat = fished;
            Map<String, Object> before = everything();
            int done = day();
            assertThat(done).isGreaterThan(ACTS / 2);
            assertThat(everything()).isNotEqualTo(before);
            List<Acts.Done> acts = new ArrayList<>();
            do {
                acts = boat.club.get(Acts.class).latest(boat.club.guide.viewer(), boat.trip);
                // the oldest is the start of the trip itself
                for (Acts.Done act : acts) {
                    if (!act.act().what().equals("the trip started")) {
                        boat.back.undo(boat.now(), act.act().id());
                    }
                }
            } while (acts.size() > 1);
            assertThat(everything()).isEqualTo(before);
        }
    }

    /** Per rod, stints follow one another without overlap, and no fish or touch lies outside its stint's counts. */
    @ParameterizedTest
    @ValueSource(longs = {11, 12, 13, 14})
    void theRecordsOfADayAddUp(long seed, @TempDir Path folder) {
        random = new SplittableRandom(seed);
        try (Boat fished = new Boat(folder)) {
            boat = fished;
            day();
            boat.after(5);
            boat.trips.end(boat.now());
            Trip trip = boat.club.all(LedgerFormat.TRIPS).get(0);
            for (String rod : List.of("light", "r2")) {
                Stint before = null;
                for (Stint stint : boat.stintsOf(rod)) {
                    if (before != null) {
                        assertThat(stint.startedAt()).isAfterOrEqualTo(end(before));
                    }
                    assertThat(end(stint)).isBeforeOrEqualTo(trip.endedAt().plusMillis(400));
                    before = stint;
                }
            }
            for (Stint stint : boat.stints()) {
                int landed = boat.fish().stream()
                        .filter(f -> f.stintId().equals(stint.id()))
                        .mapToInt(dusk.ledger.journal.Catch::count)
                        .sum();
                long lost = boat.club.all(LedgerFormat.LOSSES).stream()
                        .filter(l -> l.stintId().equals(stint.id()))
                        .count();
                assertThat((long) stint.hooked()).isEqualTo(landed + lost);
                assertThat(stint.bites()).isGreaterThanOrEqualTo(stint.hooked());
                assertThat(stint.minutes()).isPositive();
            }
            assertThat(boat.deck().rods()).allMatch(RodOut::down);
        }
    }

    /** Minutes are kept to a hundredth. */
    private static java.time.Instant end(Stint stint) {
        return stint.startedAt().plusMillis(Math.round(stint.minutes() * 60_000) - 300);
    }
}
