package dusk.ledger.web.deck;

import dusk.ledger.journal.Angler;
import dusk.ledger.journal.Catch;
import dusk.ledger.journal.Loss;
import dusk.ledger.journal.Reading;
import dusk.ledger.journal.Rod;
import dusk.ledger.journal.SetUp;
import dusk.ledger.journal.Spot;
import dusk.ledger.journal.Stint;
import dusk.ledger.units.UnitSystem;
import dusk.ledger.water.Calibrations;
import dusk.ledger.web.records.Deck;
import dusk.ledger.web.records.Offers;
import dusk.ledger.web.records.Person;
import dusk.ledger.web.records.RodOut;
import dusk.ledger.web.store.Acts;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * What a deck's page or one of its cards looks at, read once.
 *
 * @param spots of the water for the page, the rod's own for a card
 * @param stints of the trip for the page; for a card those of its angler and those on its set-up at its place
 * @param catches of the trip
 * @param losses of the stints
 * @param acts those that stand, newest first
 * @param last the newest reading; null before the first
 * @param settings of the lot and of a trial
 * @param told by instruments
 */
record Seen(
        Person person,
        Deck deck,
        Instant now,
        Map<String, Angler> anglers,
        Map<String, Spot> spots,
        Map<String, SetUp> setUps,
        Map<String, Rod> rods,
        List<Stint> stints,
        List<Catch> catches,
        List<Loss> losses,
        List<Acts.Done> acts,
        boolean leadForbidden,
        boolean toothed,
        Calibrations calibrations,
        @Nullable Reading last,
        Offers.Settings settings,
        Told told) {
    static final double SECONDS_PER_HOUR = 3600;

    UnitSystem units() {
        return person.units();
    }

    /** Hours of a stint, the running ones until now. */
    double hours(Stint stint) {
        boolean running = deck.rods().stream().anyMatch(r -> stint.id().equals(r.stintId()));
        return running
                ? Math.max(0, Duration.between(stint.startedAt(), now).toSeconds()) / SECONDS_PER_HOUR
                : stint.rodHours();
    }

    double hours(List<Stint> of) {
        return of.stream().mapToDouble(this::hours).sum();
    }

    /** Fish landed in stints. */
    int landed(List<Stint> of) {
        List<String> ids = of.stream().map(Stint::id).toList();
        return catches.stream()
                .filter(c -> ids.contains(c.stintId()))
                .mapToInt(Catch::count)
                .sum();
    }

    String name(String anglerId) {
        Angler angler = anglers.get(anglerId);
        return angler == null ? anglerId : angler.called();
    }

    /** The stint running on a rod; null while it is down. */
    @Nullable
    Stint running(RodOut rod) {
        return stints.stream()
                .filter(s -> s.id().equals(rod.stintId()))
                .findFirst()
                .orElse(null);
    }

    /** The last fish of the stint running on a rod; null for none. */
    @Nullable
    Catch lastFish(RodOut rod) {
        Catch last = null;
        for (Catch one : catches) {
            last = one.stintId().equals(rod.stintId()) ? one : last;
        }
        return last;
    }

    @Nullable
    Spot spot(RodOut rod) {
        return rod.spotId() == null ? null : spots.get(rod.spotId());
    }
}
