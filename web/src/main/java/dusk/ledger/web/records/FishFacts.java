package dusk.ledger.web.records;

import static dusk.ledger.web.schema.Tables.CATCHES;
import static dusk.ledger.web.schema.Tables.STINTS;
import static dusk.ledger.web.schema.Tables.TRIPS;
import static org.jooq.impl.DSL.and;
import static org.jooq.impl.DSL.max;
import static org.jooq.impl.DSL.min;
import static org.jooq.impl.DSL.sum;

import dusk.ledger.tackle.TackleChecks;
import dusk.ledger.vocabulary.Words;
import dusk.ledger.web.store.Settled;
import dusk.ledger.web.store.Store;
import dusk.ledger.web.store.Viewer;
import dusk.ledger.web.store.Visibility;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;

/** What the club's fish of a water are like, for the landed sheet: which are likely, how long they are. */
@Component
public class FishFacts {
    private static final double SHORTEST_MM = 100;
    private static final double LONGEST_MM = 900;

    private final Store store;
    /** From so much of what is landed on a water on, fish that cut line are to be reckoned with. */
    private static final double TOOTHED_SHARE = 0.05;

    private final Settled<Map<String, Landed>> waters;

    FishFacts(Store store) {
        this.store = store;
        waters = new Settled<>(store);
    }

    /** The span of lengths seen, with room above, in mm. */
    public record Lengths(double from, double to) {
        static final Lengths UNKNOWN = new Lengths(SHORTEST_MM, LONGEST_MM);
    }

    /** @param fish how many of a species */
    private record Landed(Lengths lengths, long fish) {}

    /** Species by how many were landed on a water, the most first, then the rest of the vocabulary. */
    public List<String> likely(Viewer viewer, String waterId) {
        List<String> species = new ArrayList<>(water(viewer, waterId).keySet());
        Words.of("species").stream().filter(s -> !species.contains(s)).forEach(species::add);
        return species;
    }

    public Lengths lengths(Viewer viewer, String waterId, String species) {
        Landed landed = water(viewer, waterId).get(species);
        return landed == null ? Lengths.UNKNOWN : landed.lengths();
    }

    /** Whether one fish in twenty or more that are landed on a water cuts line. */
    public boolean toothed(Viewer viewer, String waterId) {
        Map<String, Landed> landed = water(viewer, waterId);
        long all = landed.values().stream().mapToLong(Landed::fish).sum();
        long cutting = landed.entrySet().stream()
                .filter(e -> TackleChecks.Use.cutsLine(e.getKey()))
                .mapToLong(e -> e.getValue().fish())
                .sum();
        return cutting > 0 && cutting >= TOOTHED_SHARE * all;
    }

    private Map<String, Landed> water(Viewer viewer, String waterId) {
        return waters.of(viewer, waterId, club -> {
            Map<String, Landed> landed = new LinkedHashMap<>();
            store.read()
                    .select(CATCHES.SPECIES, min(CATCHES.LENGTH_MM), max(CATCHES.LENGTH_MM), sum(CATCHES.COUNT))
                    .from(CATCHES)
                    .join(STINTS)
                    .on(and(STINTS.CLUB_ID.eq(CATCHES.CLUB_ID), STINTS.STINT_ID.eq(CATCHES.STINT_ID)))
                    .join(TRIPS)
                    .on(and(TRIPS.CLUB_ID.eq(STINTS.CLUB_ID), TRIPS.TRIP_ID.eq(STINTS.TRIP_ID)))
                    .where(Visibility.of(club, CATCHES))
                    .and(TRIPS.WATER_ID.eq(waterId))
                    .groupBy(CATCHES.SPECIES)
                    .orderBy(sum(CATCHES.COUNT).desc(), CATCHES.SPECIES)
                    .forEach(r -> landed.put(
                            r.value1(),
                            new Landed(
                                    r.value2() == null || r.value3() == null
                                            ? Lengths.UNKNOWN
                                            : new Lengths(
                                                    Math.floor(r.value2() * 0.08) * 10,
                                                    Math.ceil(r.value3() * 0.12) * 10),
                                    r.value4().longValue())));
            return landed;
        });
    }
}
