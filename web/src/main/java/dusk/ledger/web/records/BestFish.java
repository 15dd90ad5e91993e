package dusk.ledger.web.records;

import static dusk.ledger.web.schema.Tables.ANGLERS;
import static dusk.ledger.web.schema.Tables.CATCHES;
import static dusk.ledger.web.schema.Tables.STINTS;
import static org.jooq.impl.DSL.and;

import dusk.ledger.units.Length;
import dusk.ledger.web.store.Store;
import dusk.ledger.web.store.Viewer;
import dusk.ledger.web.store.Visibility;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;

/** The longest fish of each species that a club landed in a time, of what all share. */
@Component
public class BestFish {
    private final Store store;

    BestFish(Store store) {
        this.store = store;
    }

    /**
     * A fish.
     *
     * @param angler name; empty where the records keep none
     * @param estimated whether its length was not measured
     */
    public record Best(String species, Length length, boolean estimated, String angler, Instant on) {}

    /** By species: a measured one before an estimate of the same length, the earlier of two alike. */
    public List<Best> of(Viewer viewer, Instant from, Instant to) {
        Viewer club = Viewer.club(viewer.clubId());
        Map<String, Best> best = new LinkedHashMap<>();
        store.read()
                .select(CATCHES.SPECIES, CATCHES.LENGTH_MM, CATCHES.LENGTH_HOW, ANGLERS.NAME, STINTS.STARTED_AT)
                .from(CATCHES)
                .join(STINTS)
                .on(and(STINTS.CLUB_ID.eq(CATCHES.CLUB_ID), STINTS.STINT_ID.eq(CATCHES.STINT_ID)))
                .join(ANGLERS)
                .on(and(ANGLERS.CLUB_ID.eq(STINTS.CLUB_ID), ANGLERS.ANGLER_ID.eq(STINTS.ANGLER_ID)))
                .where(Visibility.of(club, CATCHES))
                .and(Visibility.of(club, STINTS))
                .and(CATCHES.LENGTH_MM.isNotNull())
                .and(STINTS.STARTED_AT.ge(from))
                .and(STINTS.STARTED_AT.lt(to))
                .orderBy(CATCHES.SPECIES, CATCHES.LENGTH_MM.desc(), CATCHES.LENGTH_HOW.desc(), STINTS.STARTED_AT)
                .forEach(r -> best.putIfAbsent(
                        r.value1(),
                        new Best(
                                r.value1(),
                                Length.ofMillimetres(r.value2()),
                                "estimated".equals(r.value3()),
                                r.value4() == null ? "" : r.value4(),
                                r.value5())));
        return new ArrayList<>(best.values());
    }
}
