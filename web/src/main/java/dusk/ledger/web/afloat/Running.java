package dusk.ledger.web.afloat;

import dusk.ledger.format.LedgerFormat;
import dusk.ledger.journal.Bounds;
import dusk.ledger.journal.Stint;
import dusk.ledger.journal.Touch;
import dusk.ledger.web.records.Decks;
import dusk.ledger.web.records.RodOut;
import dusk.ledger.web.records.TripRows;
import dusk.ledger.web.store.NewId;
import dusk.ledger.web.store.NotYours;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;

/**
 * The stints that run on a deck's rods. A change of what a rod does ends its stint and starts the next, a rod put
 * down has none. A stint that ran for less than half a minute and saw nothing was never fished; the next one takes
 * over its start.
 */
@Component
class Running {
    private static final double SECONDS_PER_MINUTE = 60;
    private static final Duration NEVER_FISHED = Duration.ofSeconds(30);

    private final TripRows rows;
    private final Decks decks;
    private final NewId newId;

    Running(TripRows rows, Decks decks, NewId newId) {
        this.rows = rows;
        this.decks = decks;
        this.newId = newId;
    }

    /**
     * The stint running on a rod.
     *
     * @throws Refusal where the rod is down
     */
    Stint of(Afloat.Doing on, RodOut rod) {
        String stint = rod.stintId();
        if (stint == null) {
            throw new Refusal("Rod " + rod.number() + " is down. Pick it up first.");
        }
        return rows.one(on.by().viewer(), LedgerFormat.STINTS, stint).orElseThrow(NotYours::new);
    }

    /** Adds to what a stint has seen, and to its minutes. */
    void count(Afloat.Doing on, Stint stint, int follows, int bites, int hooked) {
        on.w()
                .update(
                        LedgerFormat.STINTS,
                        LedgerFormat.STINTS.changed(
                                stint,
                                Map.of(
                                        "follows",
                                        (long) stint.follows() + follows,
                                        "bites",
                                        (long) stint.bites() + bites,
                                        "hooked",
                                        (long) stint.hooked() + hooked,
                                        "minutes",
                                        minutes(stint, now(on, stint)))));
    }

    /** A stint that nobody ended for more than a day has a day. */
    private static double minutes(Stint stint, Instant end) {
        double seconds = Duration.between(stint.startedAt(), end).toMillis() / 1000.0;
        double minutes = Math.round(seconds / SECONDS_PER_MINUTE * 100) / 100.0;
        return Math.min(Bounds.MOST_MINUTES, Math.max(Bounds.LEAST_MINUTES, minutes));
    }

    /** Now, or as far as the stint is known to have run: a clock may be set back. */
    private static Instant now(Afloat.Doing on, Stint stint) {
        Instant known = stint.startedAt().plusMillis(Math.round(stint.minutes() * SECONDS_PER_MINUTE * 1000));
        return on.at().isBefore(known) ? known : on.at();
    }

    /** The rod as it is to be, with a stint begun on it. */
    RodOut open(Afloat.Doing on, RodOut rod, Instant from) {
        Stint stint = rod.stint(newId.next(), on.by().tripId(), from);
        on.w().insert(LedgerFormat.STINTS, stint);
        return rod.running(stint.id());
    }

    /** Takes a rod up: its next stint begins. */
    void up(Afloat.Doing on, RodOut rod) {
        decks.change(on.w(), open(on, rod, on.at()));
    }

    /** Puts a rod down: the stint that runs on it ends now. */
    void down(Afloat.Doing on, RodOut rod, Stint stint) {
        down(on, rod, stint, now(on, stint));
    }

    /** Puts a rod down: the stint that runs on it ends at a moment that was said. */
    void down(Afloat.Doing on, RodOut rod, Stint stint, Instant end) {
        decks.change(on.w(), rod.running(null));
        close(on, stint, end);
    }

    /** Ends a rod's stint and begins the next on what the rod is to be. */
    void renew(Afloat.Doing on, RodOut rod, RodOut next) {
        Stint stint = of(on, rod);
        // never fished, the stint goes; a row may not be gone while its rod points to it
        decks.change(on.w(), rod.running(null));
        decks.change(on.w(), open(on, next, close(on, stint, now(on, stint))));
    }

    /** Ends a stint; when the next one starts. */
    private static Instant close(Afloat.Doing on, Stint stint, Instant at) {
        boolean nothing = stint.follows() + stint.bites() == 0;
        if (nothing && Duration.between(stint.startedAt(), at).compareTo(NEVER_FISHED) < 0) {
            on.w().delete(LedgerFormat.STINTS, stint.id());
            return stint.startedAt();
        }
        on.w().update(LedgerFormat.STINTS, LedgerFormat.STINTS.changed(stint, Map.of("minutes", minutes(stint, at))));
        return at;
    }

    /** The last touch of a stint, else its start. */
    Instant lastSeen(Afloat.Doing on, Stint stint) {
        Instant last = stint.startedAt();
        for (Touch touch : rows.touches(on.by().viewer(), List.of(stint))) {
            last = touch.at().isAfter(last) ? touch.at() : last;
        }
        return last;
    }
}
