package dusk.ledger.web.records;

import static dusk.ledger.web.schema.Tables.SPOTS;
import static dusk.ledger.web.schema.Tables.STINTS;
import static dusk.ledger.web.schema.Tables.TRIPS;
import static dusk.ledger.web.schema.Tables.WATERS;
import static org.jooq.impl.DSL.and;

import dusk.ledger.web.store.Store;
import dusk.ledger.web.store.Viewer;
import dusk.ledger.web.store.Visibility;
import java.time.Instant;
import java.util.List;
import org.springframework.stereotype.Component;

/** Stints of trips that ended, as far as they teach when to stay and when to go. */
@Component
public class PastStints {
    private static final double MINUTES_PER_HOUR = 60;

    private final Store store;

    PastStints(Store store) {
        this.store = store;
    }

    /** One of them; ids and structure are empty where they are not known. */
    public record Past(String tripId, String spotId, String structure, double hours, int bites) {}

    /** Those on waters of a kind on trips that began since a moment, in the order they were fished. */
    public List<Past> on(Viewer viewer, String waterKind, Instant since) {
        return store.read()
                .select(STINTS.TRIP_ID, SPOTS.SPOT_ID, SPOTS.STRUCTURE, STINTS.MINUTES, STINTS.BITES)
                .from(STINTS)
                .join(TRIPS)
                .on(and(TRIPS.CLUB_ID.eq(STINTS.CLUB_ID), TRIPS.TRIP_ID.eq(STINTS.TRIP_ID)))
                .join(WATERS)
                .on(and(WATERS.CLUB_ID.eq(TRIPS.CLUB_ID), WATERS.WATER_ID.eq(TRIPS.WATER_ID)))
                .leftJoin(SPOTS)
                .on(and(SPOTS.CLUB_ID.eq(STINTS.CLUB_ID), SPOTS.SPOT_ID.eq(Visibility.value(viewer, STINTS.SPOT_ID))))
                .where(Visibility.of(viewer, STINTS))
                .and(WATERS.KIND.eq(waterKind))
                .and(TRIPS.ENDED_AT.isNotNull())
                .and(TRIPS.STARTED_AT.ge(since))
                .orderBy(STINTS.STARTED_AT, STINTS.STINT_ID)
                .fetch(r -> new Past(
                        r.value1(),
                        r.value2() == null ? "" : r.value2(),
                        r.value3() == null ? "" : r.value3(),
                        r.value4() / MINUTES_PER_HOUR,
                        Math.toIntExact(r.value5())));
    }
}
