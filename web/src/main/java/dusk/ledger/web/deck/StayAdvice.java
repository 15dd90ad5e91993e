package dusk.ledger.web.deck;

import static dusk.ledger.web.schema.Tables.SPOTS;
import static dusk.ledger.web.schema.Tables.STINTS;
import static dusk.ledger.web.schema.Tables.TRIPS;
import static dusk.ledger.web.schema.Tables.WATERS;
import static org.jooq.impl.DSL.and;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import dusk.ledger.plan.Holding;
import dusk.ledger.plan.StayOrGo;
import dusk.ledger.web.store.Store;
import dusk.ledger.web.store.Viewer;
import dusk.ledger.web.store.Visibility;
import java.time.Duration;
import java.time.Instant;
import java.time.Period;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Stay or go for a rod at a place, learnt from the trips that ended in the last two years on such water. */
@Component
class StayAdvice {
    private static final Period LEARNT_FROM = Period.ofYears(2);
    private static final Duration KEPT = Duration.ofMinutes(10);
    private static final int MOST_KEPT = 200;
    private static final double MINUTES_PER_HOUR = 60;

    /** Under this many rod-hours of such water there is no going rate to speak of. */
    private static final double LEAST_HOURS = 5;

    private final Store store;
    private final Cache<Key, Learnt> learnt =
            Caffeine.newBuilder().maximumSize(MOST_KEPT).expireAfterWrite(KEPT).build();

    StayAdvice(Store store) {
        this.store = store;
    }

    private record Key(String clubId, String waterKind, String structure) {}

    /**
     * What was learnt.
     *
     * @param structure whose first stints it was learnt from; null for all of them, where those of the structure were too few
     * @param goingRate bites a rod-hour; 0 where there is too little to tell
     */
    record Learnt(Holding holding, @Nullable String structure, double goingRate, double goingHours) {}

    /** A past stint as far as it teaches something. */
    private record Past(String tripId, String spotId, String structure, double hours, int bites) {}

    /** @param structure of the place; null where it is not known */
    Learnt learnt(Viewer viewer, String waterKind, @Nullable String structure, Instant now) {
        Key key = new Key(viewer.clubId(), waterKind, structure == null ? "" : structure);
        return learnt.get(key, k -> learn(viewer, k, now));
    }

    /** The advice; null where nothing was learnt. */
    @Nullable
    StayOrGo of(Learnt from, int bites, double rodHours, double leftHours) {
        return from.goingRate() > 0
                ? StayOrGo.of(
                        from.holding(),
                        new StayOrGo.Now(bites, rodHours, from.goingRate(), StayOrGo.USUAL_MOVE_HOURS, leftHours))
                : null;
    }

    private Learnt learn(Viewer viewer, Key key, Instant now) {
        Instant since = now.atZone(ZoneOffset.UTC).minus(LEARNT_FROM).toInstant();
        List<Past> past = store.read()
                .select(STINTS.TRIP_ID, STINTS.SPOT_ID, SPOTS.STRUCTURE, STINTS.MINUTES, STINTS.BITES)
                .from(STINTS)
                .join(TRIPS)
                .on(and(TRIPS.CLUB_ID.eq(STINTS.CLUB_ID), TRIPS.TRIP_ID.eq(STINTS.TRIP_ID)))
                .join(WATERS)
                .on(and(WATERS.CLUB_ID.eq(TRIPS.CLUB_ID), WATERS.WATER_ID.eq(TRIPS.WATER_ID)))
                .leftJoin(SPOTS)
                .on(and(SPOTS.CLUB_ID.eq(STINTS.CLUB_ID), SPOTS.SPOT_ID.eq(STINTS.SPOT_ID)))
                .where(Visibility.of(viewer, STINTS))
                .and(WATERS.KIND.eq(key.waterKind()))
                .and(TRIPS.ENDED_AT.isNotNull())
                .and(TRIPS.STARTED_AT.ge(since))
                .orderBy(STINTS.STARTED_AT, STINTS.STINT_ID)
                .fetch(r -> new Past(
                        r.value1(),
                        r.value2() == null ? "" : r.value2(),
                        r.value3() == null ? "" : r.value3(),
                        r.value4() / MINUTES_PER_HOUR,
                        Math.toIntExact(r.value5())));
        double hours = past.stream().mapToDouble(Past::hours).sum();
        int bites = past.stream().mapToInt(Past::bites).sum();
        if (hours < LEAST_HOURS || bites == 0) {
            return new Learnt(new Holding(0.5, 1, 1, 0), null, 0, hours);
        }
        double rate = bites / hours;
        Holding there = Holding.learn(firsts(past, key.structure()), rate);
        boolean known = !key.structure().isEmpty() && there.stints() > 0;
        return new Learnt(
                known ? there : Holding.learn(firsts(past, ""), rate), known ? key.structure() : null, rate, hours);
    }

    /** The first stint at each place of each trip. */
    private static List<Holding.FirstStint> firsts(List<Past> past, String structure) {
        Set<String> been = new HashSet<>();
        List<Holding.FirstStint> firsts = new ArrayList<>();
        for (Past stint : past) {
            boolean asked = structure.isEmpty() || stint.structure().equals(structure);
            if (asked && !stint.spotId().isEmpty() && been.add(stint.tripId() + " " + stint.spotId())) {
                firsts.add(new Holding.FirstStint(stint.bites(), stint.hours()));
            }
        }
        return firsts;
    }
}
