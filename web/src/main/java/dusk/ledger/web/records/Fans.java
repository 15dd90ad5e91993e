package dusk.ledger.web.records;

import static dusk.ledger.web.schema.Tables.FANS;
import static dusk.ledger.web.schema.Tables.FAN_CASTS;

import dusk.ledger.water.Fan;
import dusk.ledger.water.LaidFan;
import dusk.ledger.web.store.NewId;
import dusk.ledger.web.store.Store;
import dusk.ledger.web.store.Viewer;
import dusk.ledger.web.store.Visibility;
import dusk.ledger.web.store.Writing;
import java.util.HashMap;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import org.jooq.Condition;
import org.jooq.Field;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Fans of casts that were laid out from decks, and how much of them was made. */
@Component
public class Fans {
    private final Store store;
    private final NewId newId;

    Fans(Store store, NewId newId) {
        this.store = store;
        this.newId = newId;
    }

    /** A fan with the numbers of the casts made, from 0. */
    public record Laid(String id, LaidFan laid, Set<Integer> made) {
        public Fan fan() {
            return laid.fan();
        }

        /** The first that was not made; null where all were. */
        public @Nullable Integer next() {
            for (int i = 0; i < fan().casts(); i++) {
                if (!made.contains(i)) {
                    return i;
                }
            }
            return null;
        }
    }

    /**
     * The one laid last from a place on a trip; null where there is none.
     *
     * @param spotId null where the place is not known
     */
    public @Nullable Laid from(Viewer viewer, String tripId, @Nullable String spotId) {
        Condition place = spotId == null ? FANS.SPOT_ID.isNull() : FANS.SPOT_ID.eq(spotId);
        return store.read()
                .selectFrom(FANS)
                .where(Visibility.of(viewer, FANS))
                .and(FANS.TRIP_ID.eq(tripId))
                .and(place)
                .orderBy(FANS.FAN_ID.desc())
                .limit(1)
                .fetchOne(r -> new Laid(
                        r.getFanId(),
                        new LaidFan(r.getTowardDeg(), r.getArcDeg(), r.getCastM(), r.getStrikeM(), r.getCastS()),
                        made(viewer, r.getFanId())));
    }

    private Set<Integer> made(Viewer viewer, String fanId) {
        return new TreeSet<>(store.read()
                .select(FAN_CASTS.NUMBER)
                .from(FAN_CASTS)
                .where(Visibility.of(viewer, FAN_CASTS))
                .and(FAN_CASTS.FAN_ID.eq(fanId))
                .fetch(r -> Math.toIntExact(r.value1())));
    }

    /** Lays one out. */
    public void lay(Writing w, String tripId, @Nullable String spotId, LaidFan laid) {
        Map<Field<?>, @Nullable Object> row = new HashMap<>();
        row.put(FANS.FAN_ID, newId.next());
        row.put(FANS.TRIP_ID, tripId);
        row.put(FANS.SPOT_ID, spotId);
        row.put(FANS.TOWARD_DEG, laid.towardDeg());
        row.put(FANS.ARC_DEG, laid.arcDeg());
        row.put(FANS.CAST_M, laid.castM());
        row.put(FANS.STRIKE_M, laid.strikeM());
        row.put(FANS.CAST_S, laid.castS());
        w.insert(FANS, row);
    }

    /** Marks a cast as made. */
    public void make(Writing w, Laid fan, int number) {
        w.insert(
                FAN_CASTS,
                Map.of(FAN_CASTS.FAN_CAST_ID, castId(fan, number), FAN_CASTS.FAN_ID, fan.id(), FAN_CASTS.NUMBER, (long)
                        number));
    }

    /** Takes a cast's mark back. */
    public void unmake(Writing w, Laid fan, int number) {
        w.delete(FAN_CASTS, castId(fan, number));
    }

    /** Told by its fan and number, so that one cast is one row whoever marks it. */
    private static String castId(Laid fan, int number) {
        return fan.id() + "-" + number;
    }
}
