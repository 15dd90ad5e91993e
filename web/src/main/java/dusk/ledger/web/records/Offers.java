package dusk.ledger.web.records;

import static dusk.ledger.web.schema.Tables.CATCHES;
import static dusk.ledger.web.schema.Tables.DECKS;
import static dusk.ledger.web.schema.Tables.LOTS;
import static dusk.ledger.web.schema.Tables.RODS_OUT;
import static dusk.ledger.web.schema.Tables.STINTS;
import static org.jooq.impl.DSL.coalesce;
import static org.jooq.impl.DSL.field;
import static org.jooq.impl.DSL.select;
import static org.jooq.impl.DSL.sum;

import dusk.ledger.teach.Lot;
import dusk.ledger.vocabulary.Factor;
import dusk.ledger.web.store.NewId;
import dusk.ledger.web.store.Store;
import dusk.ledger.web.store.Viewer;
import dusk.ledger.web.store.Visibility;
import dusk.ledger.web.store.Writing;
import java.math.BigDecimal;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jooq.Condition;
import org.jooq.Field;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** What a deck offers beside what is chosen: swaps by lot, turns of a trial; and what was made of the swaps by lot. */
@Component
public class Offers {
    private static final double MINUTES_PER_HOUR = 60;

    private final Store store;
    private final NewId newId;
    private final JsonMapper json = JsonMapper.shared();

    Offers(Store store, NewId newId) {
        this.store = store;
        this.newId = newId;
    }

    /**
     * What a deck is set to.
     *
     * @param lot one swap in so many; 0 for none
     * @param pack ids of set-ups in the boat beside those on the rods
     * @param questions as they were ranked when the lot was taken up, the best first
     * @param trialId null where no trial is fished
     * @param swaps so far, by rod on the deck
     */
    public record Settings(
            int lot,
            List<String> pack,
            List<Lot.Pair> questions,
            @Nullable String trialId,
            Map<String, Integer> swaps) {
        public static final Settings NONE = new Settings(0, List.of(), List.of(), null, Map.of());
    }

    /** Of a deck that the viewer may look at. */
    public Settings of(Viewer viewer, String tripId) {
        Map<String, Integer> swaps = new HashMap<>();
        store.read()
                .select(RODS_OUT.ROD_OUT_ID, RODS_OUT.SWAPS)
                .from(RODS_OUT)
                .where(Visibility.of(viewer, RODS_OUT))
                .and(RODS_OUT.TRIP_ID.eq(tripId))
                .forEach(r -> swaps.put(r.value1(), Math.toIntExact(r.value2())));
        Settings settings = store.read()
                .select(DECKS.LOT, DECKS.PACK, DECKS.QUESTIONS, DECKS.TRIAL_ID)
                .from(DECKS)
                .where(Visibility.of(viewer, DECKS))
                .and(DECKS.TRIP_ID.eq(tripId))
                .fetchOne(r -> new Settings(
                        Math.toIntExact(r.value1()), ids(r.value2()), questions(r.value3()), r.value4(), swaps));
        return settings == null ? Settings.NONE : settings;
    }

    private List<String> ids(String text) {
        List<String> ids = new ArrayList<>();
        json.readTree(text).forEach(id -> ids.add(id.asString()));
        return ids;
    }

    private List<Lot.Pair> questions(String text) {
        List<Lot.Pair> questions = new ArrayList<>();
        json.readTree(text)
                .forEach(one -> Factor.byKey(one.get(0).asString())
                        .ifPresent(factor -> questions.add(new Lot.Pair(
                                factor, one.get(1).asString(), one.get(2).asString()))));
        return questions;
    }

    /** Takes the lot up, one swap in so many, or lays it down. */
    public void lot(Writing w, String tripId, int oneIn, List<Lot.Pair> questions) {
        List<List<String>> rows = questions.stream()
                .map(q -> List.of(q.factor().key(), q.level(), q.other()))
                .toList();
        w.update(DECKS, tripId, Map.of(DECKS.LOT, (long) oneIn, DECKS.QUESTIONS, json.writeValueAsString(rows)));
    }

    /** Says what is in the boat beside what is on the rods. */
    public void pack(Writing w, String tripId, List<String> setUps) {
        w.update(DECKS, tripId, Map.of(DECKS.PACK, json.writeValueAsString(setUps)));
    }

    /** Takes a trial up on a deck; null lays it down. */
    public void trial(Writing w, String tripId, @Nullable String trialId) {
        Map<Field<?>, @Nullable Object> row = new HashMap<>();
        row.put(DECKS.TRIAL_ID, trialId);
        w.update(DECKS, tripId, row);
    }

    /** Counts a swap of a rod. */
    public void swapped(Writing w, Viewer viewer, String tripId, RodOut rod) {
        int before = of(viewer, tripId).swaps().getOrDefault(rod.id(), 0);
        w.update(RODS_OUT, rod.id(), Map.of(RODS_OUT.SWAPS, (long) before + 1));
    }

    /** Notes a swap by lot that was offered. */
    public void note(Writing w, String tripId, RodOut rod, Instant at, Lot.Drawn drawn, boolean taken) {
        Map<Field<?>, @Nullable Object> row = new HashMap<>();
        row.put(LOTS.LOT_ID, newId.next());
        row.put(LOTS.TRIP_ID, tripId);
        row.put(LOTS.ROD_OUT_ID, rod.id());
        row.put(LOTS.ANGLER_ID, rod.anglerId());
        row.put(LOTS.DRAWN_AT, at);
        row.put(LOTS.SETUP_ID, drawn.setUp().id());
        row.put(LOTS.INSTEAD_OF, rod.setUpId());
        row.put(LOTS.FACTOR, drawn.factor().key());
        row.put(LOTS.LEVEL, drawn.level());
        row.put(LOTS.ASKED, drawn.asked() ? 1L : 0L);
        row.put(LOTS.TAKEN, taken ? 1L : 0L);
        w.insert(LOTS, row);
    }

    /** A swap by lot that was offered. */
    public record Noted(
            String id,
            String tripId,
            String anglerId,
            Instant at,
            String setUpId,
            Factor factor,
            String level,
            boolean asked,
            boolean taken) {}

    /** Of the whole club, in the order they were drawn. */
    public List<Noted> noted(Viewer viewer) {
        return store.read()
                .selectFrom(LOTS)
                .where(Visibility.of(viewer, LOTS))
                .orderBy(LOTS.DRAWN_AT, LOTS.LOT_ID)
                .fetch(r -> new Noted(
                        r.getLotId(),
                        r.getTripId(),
                        r.getAnglerId(),
                        r.getDrawnAt(),
                        r.getSetupId(),
                        Factor.byKey(r.getFactor()).orElseThrow(),
                        r.getLevel(),
                        r.getAsked() == 1,
                        r.getTaken() == 1));
    }

    /**
     * Fishing of an angler on a trip where the lot was taken.
     *
     * @param lotHours on what was drawn
     * @param elseHours on anything else
     */
    public record Fished(double lotHours, int lotFish, double elseHours, int elseFish) {}

    /** By trip and angler. A stint is the lot's where it is fished to try, with what was drawn, since it was drawn. */
    public List<Fished> fished(Viewer viewer) {
        Field<BigDecimal> landed = field(select(coalesce(sum(CATCHES.COUNT), BigDecimal.ZERO))
                .from(CATCHES)
                .where(Visibility.of(viewer, CATCHES))
                .and(CATCHES.STINT_ID.eq(STINTS.STINT_ID)));
        Map<List<String>, double[]> sums = new HashMap<>();
        List<Noted> taken = noted(viewer).stream().filter(Noted::taken).toList();
        Condition theirs =
                STINTS.TRIP_ID.in(taken.stream().map(Noted::tripId).distinct().toList());
        store.read()
                .select(
                        STINTS.TRIP_ID,
                        STINTS.ANGLER_ID,
                        STINTS.SETUP_ID,
                        STINTS.PURPOSE,
                        STINTS.STARTED_AT,
                        STINTS.MINUTES,
                        landed)
                .from(STINTS)
                .where(Visibility.of(viewer, STINTS))
                .and(theirs)
                .forEach(r -> {
                    boolean some = taken.stream()
                            .anyMatch(n -> n.tripId().equals(r.value1())
                                    && n.anglerId().equals(r.value2()));
                    if (!some) {
                        return;
                    }
                    boolean drawn = "trial".equals(r.value4())
                            && taken.stream()
                                    .anyMatch(n -> n.tripId().equals(r.value1())
                                            && n.anglerId().equals(r.value2())
                                            && n.setUpId().equals(r.value3())
                                            && !r.value5().isBefore(n.at()));
                    double[] sum = sums.computeIfAbsent(List.of(r.value1(), r.value2()), k -> new double[4]);
                    sum[drawn ? 0 : 2] += r.value6() / MINUTES_PER_HOUR;
                    sum[drawn ? 1 : 3] += r.value7().doubleValue();
                });
        return sums.values().stream()
                .map(s -> new Fished(s[0], (int) s[1], s[2], (int) s[3]))
                .toList();
    }
}
