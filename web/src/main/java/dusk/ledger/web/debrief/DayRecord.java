package dusk.ledger.web.debrief;

import dusk.ledger.journal.Angler;
import dusk.ledger.journal.Catch;
import dusk.ledger.journal.Loss;
import dusk.ledger.journal.Reading;
import dusk.ledger.journal.SetUp;
import dusk.ledger.journal.Sign;
import dusk.ledger.journal.Spot;
import dusk.ledger.journal.Stint;
import dusk.ledger.journal.Touch;
import dusk.ledger.journal.Trip;
import dusk.ledger.journal.Water;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** Everything that was written down of one trip. */
record DayRecord(
        Trip trip,
        Water water,
        List<Stint> stints,
        List<Catch> catches,
        List<Loss> losses,
        List<Touch> touches,
        List<Reading> readings,
        List<Sign> signs,
        Map<String, Angler> anglers,
        Map<String, Spot> spots,
        Map<String, SetUp> setUps) {
    private static final double MILLIS_PER_MINUTE = 60_000;

    ZoneId zone() {
        return water.zone();
    }

    static Instant end(Stint stint) {
        return stint.startedAt().plus(Duration.ofMillis(Math.round(stint.minutes() * MILLIS_PER_MINUTE)));
    }

    String name(String anglerId) {
        Angler angler = anglers.get(anglerId);
        return angler == null ? anglerId : angler.called();
    }

    @Nullable
    Spot spot(Stint stint) {
        return stint.spotId() == null ? null : spots.get(stint.spotId());
    }

    List<Catch> fish(Stint stint) {
        return catches.stream().filter(c -> c.stintId().equals(stint.id())).toList();
    }

    int landed(Collection<Stint> of) {
        List<String> ids = of.stream().map(Stint::id).toList();
        return catches.stream()
                .filter(c -> ids.contains(c.stintId()))
                .mapToInt(Catch::count)
                .sum();
    }
}
