package dusk.ledger.web.deck;

import static dusk.ledger.web.schema.Tables.FANS;
import static dusk.ledger.web.schema.Tables.FAN_CASTS;

import dusk.ledger.water.Fan;
import dusk.ledger.web.column.FanAsk;
import dusk.ledger.web.store.Acts;
import dusk.ledger.web.store.NewId;
import dusk.ledger.web.store.Store;
import dusk.ledger.web.store.Viewer;
import java.util.HashMap;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import org.jooq.Condition;
import org.jooq.Field;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** The fan of casts at the place where a deck lies, and how much of it was made. Another place has a fan of its own. */
@Component
class DeckFan {
    private final Store store;
    private final Acts acts;
    private final NewId newId;

    DeckFan(Store store, Acts acts, NewId newId) {
        this.store = store;
        this.acts = acts;
        this.newId = newId;
    }

    /** A fan with the numbers of the casts made, from 0. */
    record Here(String id, FanAsk.Laid laid, Set<Integer> made) {
        Fan fan() {
            return laid.fan();
        }

        /** The first that was not made; empty where all were. */
        @Nullable
        Integer next() {
            for (int i = 0; i < fan().casts(); i++) {
                if (!made.contains(i)) {
                    return i;
                }
            }
            return null;
        }
    }

    /** The one laid last where the rods are; null where there is none. */
    @Nullable
    Here here(Viewer viewer, Deck deck) {
        String spot = spot(deck);
        Condition place = spot == null ? FANS.SPOT_ID.isNull() : FANS.SPOT_ID.eq(spot);
        return store.read()
                .selectFrom(FANS)
                .where(FANS.CLUB_ID.eq(viewer.clubId()))
                .and(FANS.TRIP_ID.eq(deck.trip().id()))
                .and(place)
                .orderBy(FANS.FAN_ID.desc())
                .limit(1)
                .fetchOne(r -> new Here(
                        r.getFanId(),
                        new FanAsk.Laid(r.getTowardDeg(), r.getArcDeg(), r.getCastM(), r.getStrikeM(), r.getCastS()),
                        made(viewer, r.getFanId())));
    }

    private Set<Integer> made(Viewer viewer, String fanId) {
        return new TreeSet<>(store.read()
                .select(FAN_CASTS.NUMBER)
                .from(FAN_CASTS)
                .where(FAN_CASTS.CLUB_ID.eq(viewer.clubId()))
                .and(FAN_CASTS.FAN_ID.eq(fanId))
                .fetch(r -> Math.toIntExact(r.value1())));
    }

    private static @Nullable String spot(Deck deck) {
        return deck.rods().isEmpty() ? null : deck.rods().get(0).spotId();
    }

    /** Lays one out, in place of what was laid here before. */
    void lay(DeckActs.By by, FanAsk.Laid laid) {
        live(by);
        acts.once(by.viewer(), by.act("fan of " + laid.fan().casts() + " casts"), w -> {
            Map<Field<?>, @Nullable Object> row = new HashMap<>();
            row.put(FANS.FAN_ID, newId.next());
            row.put(FANS.TRIP_ID, by.deck().trip().id());
            row.put(FANS.SPOT_ID, spot(by.deck()));
            row.put(FANS.TOWARD_DEG, laid.towardDeg());
            row.put(FANS.ARC_DEG, laid.arcDeg());
            row.put(FANS.CAST_M, laid.castM());
            row.put(FANS.STRIKE_M, laid.strikeM());
            row.put(FANS.CAST_S, laid.castS());
            w.insert(FANS, row);
        });
    }

    /** The first cast that was not made is made. */
    void next(DeckActs.By by) {
        live(by);
        acts.once(by.viewer(), by.act("a cast"), w -> {
            Here here = laid(by);
            Integer next = here.next();
            if (next == null) {
                throw new Refusal("All " + here.fan().casts() + " casts of the fan are made. Lay another, or move.");
            }
            w.say("cast " + (next + 1));
            insert(w, here, next);
        });
    }

    /** Marks a cast as made, or takes the mark back. */
    void turn(DeckActs.By by, int number) {
        live(by);
        acts.once(by.viewer(), by.act("a cast"), w -> {
            Here here = laid(by);
            if (number < 0 || number >= here.fan().casts()) {
                throw new Refusal("There is no cast " + (number + 1) + " in this fan.");
            }
            if (here.made().contains(number)) {
                w.say("cast " + (number + 1) + " not made");
                w.delete(FAN_CASTS, castId(here, number));
            } else {
                w.say("cast " + (number + 1));
                insert(w, here, number);
            }
        });
    }

    private static void insert(Acts.Writing w, Here here, int number) {
        w.insert(
                FAN_CASTS,
                Map.of(
                        FAN_CASTS.FAN_CAST_ID,
                        castId(here, number),
                        FAN_CASTS.FAN_ID,
                        here.id(),
                        FAN_CASTS.NUMBER,
                        (long) number));
    }

    /** Told by its fan and number, so that one cast is one row whoever marks it. */
    private static String castId(Here here, int number) {
        return here.id() + "-" + number;
    }

    private Here laid(DeckActs.By by) {
        Here here = here(by.viewer(), by.deck());
        if (here == null) {
            throw new Refusal("No fan is laid here yet.");
        }
        return here;
    }

    private static void live(DeckActs.By by) {
        if (!by.deck().live()) {
            throw new Refusal("This trip has ended. Take its end back first.");
        }
    }
}
