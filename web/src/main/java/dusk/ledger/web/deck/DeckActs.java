package dusk.ledger.web.deck;

import static dusk.ledger.web.schema.Tables.DECKS;
import static dusk.ledger.web.schema.Tables.DROPS;
import static dusk.ledger.web.schema.Tables.RODS_OUT;
import static dusk.ledger.web.schema.Tables.SPOTS;
import static dusk.ledger.web.schema.Tables.TRIPS;

import dusk.ledger.interchange.Tables;
import dusk.ledger.journal.Catch;
import dusk.ledger.journal.Loss;
import dusk.ledger.journal.SetUp;
import dusk.ledger.journal.Spot;
import dusk.ledger.journal.Stint;
import dusk.ledger.journal.Touch;
import dusk.ledger.journal.Trip;
import dusk.ledger.units.Length;
import dusk.ledger.water.Calibration;
import dusk.ledger.web.security.Person;
import dusk.ledger.web.store.Acts;
import dusk.ledger.web.store.LedgerRows;
import dusk.ledger.web.store.NewId;
import dusk.ledger.web.store.NotYours;
import dusk.ledger.web.store.Viewer;
import dusk.ledger.web.tackle.Drops;
import java.time.Duration;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiConsumer;
import java.util.function.Consumer;
import org.jooq.Field;
import org.jooq.impl.DSL;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/**
 * What can be done on a deck. Stints follow from it: a change of what a rod does ends its stint and starts the next, a rod put down has none. A stint
 * that ran for less than half a minute and saw nothing was never fished; the next one takes over its start.
 */
@Component
class DeckActs {
    private static final double SECONDS_PER_MINUTE = 60;
    private static final Duration NEVER_FISHED = Duration.ofSeconds(30);

    /** A running stint has minutes from the start, since none may have 0. */
    private static final double FIRST_MINUTES = 0.01;

    private final DeckRecords records;
    private final Acts acts;
    private final Drops drops;
    private final NewId newId;

    DeckActs(DeckRecords records, Acts acts, Drops drops, NewId newId) {
        this.records = records;
        this.acts = acts;
        this.drops = drops;
        this.newId = newId;
    }

    /**
     * Who does it on which deck, and when.
     *
     * @param id of the act, made by whoever acts
     */
    record By(Person person, Deck deck, String id, Instant at) {
        Viewer viewer() {
            return person.viewer();
        }

        Acts.Act act(String what) {
            return new Acts.Act(id, deck.trip().id(), at, what);
        }
    }

    /** What may change about a rod and what it does; null leaves it. */
    record Change(
            @Nullable String anglerId,
            @Nullable SetUp setUp,
            @Nullable Place place,
            @Nullable String presentation) {}

    /** Where: null fields are not known. */
    record Place(@Nullable String spotId, @Nullable Length depth) {}

    /** A fish that followed or bit and was not hooked. */
    void touch(By by, String rodId, String kind) {
        boolean bite = kind.equals("bite");
        onStint(by, rodId, kind, (w, stint) -> {
            w.insert(Tables.TOUCHES, new Touch(newId.next(), stint.id(), by.at(), kind));
            count(w, by, stint, bite ? 0 : 1, bite ? 1 : 0, 0);
        });
    }

    /** Fish hooked and lost. */
    void lost(By by, String rodId, String cause) {
        onStint(by, rodId, "lost, " + cause, (w, stint) -> {
            w.insert(Tables.LOSSES, new Loss(newId.next(), stint.id(), by.at(), cause, 1));
            w.insert(Tables.TOUCHES, new Touch(newId.next(), stint.id(), by.at(), "hooked"));
            count(w, by, stint, 0, 1, 1);
        });
    }

    /** Fish landed. */
    void landed(By by, String rodId, String species, int fish) {
        onStint(by, rodId, (fish > 1 ? fish + " " : "") + species, (w, stint) -> {
            w.insert(
                    Tables.CATCHES,
                    new Catch(newId.next(), stint.id(), by.at(), species, fish, null, null, null, null, null, null));
            w.insert(Tables.TOUCHES, new Touch(newId.next(), stint.id(), by.at(), "hooked"));
            count(w, by, stint, 0, fish, fish);
        });
    }

    /** What was left out when a fish was landed on a rod. */
    void complete(By by, String rodId, Catch fish) {
        acts.once(by.viewer(), by.act(""), w -> {
            RodOut rod = records.rod(by.viewer(), by.deck().trip().id(), rodId);
            w.say("rod " + rod.number() + ": " + fish.species() + " completed");
            w.update(Tables.CATCHES, fish);
            touched(w, by, rod);
        });
    }

    /** A drop that was counted on a rod. */
    void counted(By by, String rodId, String words, Calibration.Drop drop, boolean salt) {
        acts.once(by.viewer(), by.act(""), w -> {
            RodOut rod = records.rod(by.viewer(), by.deck().trip().id(), rodId);
            w.say("rod " + rod.number() + ": counted " + words);
            w.insert(DROPS, drops.row(by.viewer(), rod.setUpId(), by.at(), drop, salt));
            touched(w, by, rod);
        });
    }

    private void onStint(By by, String rodId, String what, BiConsumer<Acts.Writing, Stint> change) {
        acts.once(by.viewer(), by.act(""), w -> {
            RodOut rod = live(by, rodId);
            w.say("rod " + rod.number() + ": " + what);
            change.accept(w, records.running(by.viewer(), rod));
            touched(w, by, rod);
        });
    }

    private RodOut live(By by, String rodId) {
        if (!by.deck().live()) {
            throw new Refusal(
                    "This trip has ended. Take its end back first, or add what is missing on the trip's page.");
        }
        return records.rod(by.viewer(), by.deck().trip().id(), rodId);
    }

    private static void count(Acts.Writing w, By by, Stint stint, int follows, int bites, int hooked) {
        Map<String, Object> cells = new HashMap<>();
        cells.put("follows", (long) stint.follows() + follows);
        cells.put("bites", (long) stint.bites() + bites);
        cells.put("hooked", (long) stint.hooked() + hooked);
        cells.put("minutes", Math.max(stint.minutes(), minutes(stint, by.at())));
        w.update(Tables.STINTS, Tables.STINTS.changed(stint, cells));
    }

    private static double minutes(Stint stint, Instant end) {
        double seconds = Duration.between(stint.startedAt(), end).toMillis() / 1000.0;
        return Math.max(FIRST_MINUTES, Math.round(seconds / SECONDS_PER_MINUTE * 100) / 100.0);
    }

    /** Marks the rod, so that acts on it are undone in turn. */
    private static void touched(Acts.Writing w, By by, RodOut rod) {
        Instant last = by.at().isAfter(rod.touchedAt()) ? by.at() : rod.touchedAt();
        w.update(RODS_OUT, rod.id(), Map.of(RODS_OUT.TOUCHED_AT, last));
    }

    /** Changes something about one rod. A running one gets a new stint. */
    void change(By by, String rodId, String what, Change change) {
        acts.once(by.viewer(), by.act(""), w -> {
            RodOut rod = live(by, rodId);
            w.say("rod " + rod.number() + ": " + what);
            change(w, by, rod, change);
        });
    }

    /** Moves all rods to a place. */
    void move(By by, String what, Place place, @Nullable Spot fresh) {
        acts.once(by.viewer(), by.act(what), w -> {
            if (fresh != null) {
                newPlace(w, by, fresh);
            }
            for (RodOut rod : by.deck().rods()) {
                change(w, by, live(by, rod.id()), new Change(null, null, place, null));
            }
        });
    }

    /** A place made on the deck is its maker's own until they share it. */
    private static void newPlace(Acts.Writing w, By by, Spot spot) {
        Map<Field<?>, @Nullable Object> row = new HashMap<>();
        row.put(SPOTS.SPOT_ID, spot.id());
        row.put(SPOTS.WATER_ID, spot.waterId());
        row.put(SPOTS.LABEL, spot.label());
        row.put(SPOTS.STRUCTURE, spot.structure());
        row.put(SPOTS.SHARED, false);
        row.put(SPOTS.OWNER_ID, by.person().id());
        w.insert(SPOTS, row);
    }

    private void change(Acts.Writing w, By by, RodOut rod, Change change) {
        SetUp setUp = change.setUp();
        if (setUp != null
                && records.rows().one(by.viewer(), Tables.SETUPS, setUp.id()).isEmpty()) {
            w.insert(Tables.SETUPS, setUp);
        }
        Place place = change.place() == null ? new Place(rod.spotId(), rod.depth()) : change.place();
        RodOut next = new RodOut(
                rod.id(),
                rod.number(),
                change.anglerId() == null ? rod.anglerId() : change.anglerId(),
                rod.rodId(),
                setUp == null ? rod.setUpId() : setUp.id(),
                place.spotId(),
                place.depth(),
                change.presentation() == null ? rod.presentation() : change.presentation(),
                null,
                by.at());
        if (rod.down()) {
            store(w, next, null);
        } else {
            Instant from = close(w, by, rod, by.at());
            store(w, next, open(w, by, next, from));
        }
    }

    /** Puts a rod down: its stint ends. */
    void down(By by, String rodId) {
        acts.once(by.viewer(), by.act(""), w -> {
            RodOut rod = live(by, rodId);
            w.say("rod " + rod.number() + ": put down");
            records.running(by.viewer(), rod);
            store(w, rod, null);
            close(w, by, rod, by.at());
            touched(w, by, rod);
        });
    }

    /** Picks a rod up: the next stint begins. */
    void up(By by, String rodId) {
        acts.once(by.viewer(), by.act(""), w -> {
            RodOut rod = live(by, rodId);
            if (!rod.down()) {
                throw new Refusal("Rod " + rod.number() + " is being fished already.");
            }
            w.say("rod " + rod.number() + ": picked up");
            store(w, rod, open(w, by, rod, by.at()));
            touched(w, by, rod);
        });
    }

    /** A forgotten rod is being fished after all. */
    void still(By by, String rodId) {
        onStint(by, rodId, "still fishing", (w, stint) -> count(w, by, stint, 0, 0, 0));
    }

    /**
     * A forgotten rod was down since then.
     *
     * @throws Refusal where that is before its last touch or after now
     */
    void setBack(By by, String rodId, Instant end) {
        acts.once(by.viewer(), by.act(""), w -> {
            RodOut rod = live(by, rodId);
            Stint stint = records.running(by.viewer(), rod);
            Instant last = lastSeen(by.viewer(), stint);
            if (end.isBefore(last) || end.isAfter(by.at())) {
                throw new Refusal("The end must lie between the last thing that was seen on it and now.");
            }
            w.say("rod " + rod.number() + ": down since then");
            store(w, rod, null);
            close(w, by, rod, end);
            touched(w, by, rod);
        });
    }

    /** The last touch, fish or loss of a stint, else its start. */
    Instant lastSeen(Viewer viewer, Stint stint) {
        Instant last = stint.startedAt();
        for (Touch touch : records.rows()
                .all(
                        viewer,
                        Tables.TOUCHES,
                        LedgerRows.holds(Tables.TOUCHES, "stint_id", stint.id()),
                        List.of(DSL.field("at").desc()),
                        1)) {
            last = touch.at().isAfter(last) ? touch.at() : last;
        }
        return last;
    }

    /** Begins a trip on the deck; {@code rods} puts its first rods on it. */
    void begin(By by, Consumer<Acts.Writing> rods) {
        acts.once(by.viewer(), by.act("the trip started"), w -> {
            Trip trip = by.deck().trip();
            w.insert(Tables.TRIPS, trip);
            w.update(TRIPS, trip.id(), Map.of(TRIPS.LOGGED_BY, by.person().id()));
            Map<Field<?>, @Nullable Object> row = new HashMap<>();
            row.put(DECKS.TRIP_ID, trip.id());
            row.put(DECKS.UNTIL_AT, by.deck().until());
            w.insert(DECKS, row);
            rods.accept(w);
        });
    }

    /**
     * Another rod on the deck; {@code rod} puts it there.
     *
     * @throws Refusal where the trip has ended
     */
    void add(By by, int number, Consumer<Acts.Writing> rod) {
        if (!by.deck().live()) {
            throw new Refusal("This trip has ended. Take its end back first.");
        }
        acts.once(by.viewer(), by.act("rod " + number + ": on deck"), rod);
    }

    /** Writes a new rod. */
    void put(Acts.Writing w, By by, RodOut rod, boolean up) {
        Map<Field<?>, @Nullable Object> row = row(rod, up ? open(w, by, rod, by.at()) : null);
        row.put(RODS_OUT.ROD_OUT_ID, rod.id());
        row.put(RODS_OUT.TRIP_ID, by.deck().trip().id());
        row.put(RODS_OUT.NUMBER, (long) rod.number());
        w.insert(RODS_OUT, row);
    }

    /** Ends the trip: every rod is down. */
    void end(By by) {
        acts.once(by.viewer(), by.act("the trip ended"), w -> {
            for (RodOut known : by.deck().rods()) {
                RodOut rod = live(by, known.id());
                if (!rod.down()) {
                    store(w, rod, null);
                    close(w, by, rod, by.at());
                }
            }
            w.update(Tables.TRIPS, Tables.TRIPS.changed(by.deck().trip(), Map.of("ended_at", by.at())));
        });
    }

    /** Takes an act back; a refusal says why it cannot be. */
    void undo(By by, String actId) {
        Acts.Undoing undoing = acts.undo(by.viewer(), by.deck().trip().id(), actId);
        if (undoing == Acts.Undoing.OVERTAKEN) {
            throw new Refusal("Something came after it. Undo that first, or change the stint on the trip's page.");
        } else if (undoing == Acts.Undoing.GONE) {
            throw new Refusal("That was undone already.");
        }
    }

    /** Ends a rod's stint; when the next one starts. */
    private Instant close(Acts.Writing w, By by, RodOut rod, Instant at) {
        Stint stint = records.running(by.viewer(), rod);
        boolean nothing = stint.follows() + stint.bites() == 0;
        Instant end = at.isBefore(stint.startedAt()) ? stint.startedAt() : at;
        if (nothing && Duration.between(stint.startedAt(), end).compareTo(NEVER_FISHED) < 0) {
            w.delete(Tables.STINTS, stint.id());
            return stint.startedAt();
        }
        w.update(Tables.STINTS, Tables.STINTS.changed(stint, Map.of("minutes", minutes(stint, end))));
        return end;
    }

    private String open(Acts.Writing w, By by, RodOut rod, Instant from) {
        Stint stint = new Stint(
                newId.next(),
                by.deck().trip().id(),
                rod.anglerId(),
                rod.spotId(),
                rod.setUpId(),
                from,
                FIRST_MINUTES,
                null,
                rod.rodId(),
                rod.depth(),
                null,
                rod.presentation(),
                null,
                null,
                null,
                null,
                null,
                null,
                0,
                0,
                0);
        w.insert(Tables.STINTS, stint);
        return stint.id();
    }

    private static void store(Acts.Writing w, RodOut rod, @Nullable String stintId) {
        w.update(RODS_OUT, rod.id(), row(rod, stintId));
    }

    private static Map<Field<?>, @Nullable Object> row(RodOut rod, @Nullable String stintId) {
        Map<Field<?>, @Nullable Object> row = new HashMap<>();
        row.put(RODS_OUT.ANGLER_ID, rod.anglerId());
        row.put(RODS_OUT.ROD_ID, rod.rodId());
        row.put(RODS_OUT.SETUP_ID, rod.setUpId());
        row.put(RODS_OUT.SPOT_ID, rod.spotId());
        row.put(
                RODS_OUT.DEPTH_M,
                Optional.ofNullable(rod.depth()).map(Length::metres).orElse(null));
        row.put(RODS_OUT.PRESENTATION, rod.presentation());
        row.put(RODS_OUT.STINT_ID, stintId);
        row.put(RODS_OUT.TOUCHED_AT, rod.touchedAt());
        return row;
    }

    /** A fish of this trip. */
    Catch fish(By by, String catchId) {
        return records.rows()
                .one(by.viewer(), Tables.CATCHES, catchId)
                .filter(fish -> records.rows()
                        .one(by.viewer(), Tables.STINTS, fish.stintId())
                        .filter(s -> s.tripId().equals(by.deck().trip().id()))
                        .isPresent())
                .orElseThrow(NotYours::new);
    }
}
