package dusk.ledger.web.records;

import static dusk.ledger.web.schema.Tables.CALLED_RODS;
import static dusk.ledger.web.schema.Tables.CALLS;
import static dusk.ledger.web.schema.Tables.CATCHES;
import static dusk.ledger.web.schema.Tables.STINTS;
import static org.jooq.impl.DSL.coalesce;
import static org.jooq.impl.DSL.field;
import static org.jooq.impl.DSL.noCondition;
import static org.jooq.impl.DSL.select;
import static org.jooq.impl.DSL.sum;

import dusk.ledger.evidence.Interval;
import dusk.ledger.plan.Promises;
import dusk.ledger.web.store.NewId;
import dusk.ledger.web.store.NotYours;
import dusk.ledger.web.store.Store;
import dusk.ledger.web.store.Viewer;
import dusk.ledger.web.store.Visibility;
import dusk.ledger.web.store.Writing;
import java.math.BigDecimal;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jooq.Condition;
import org.jooq.Field;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** Calls that were kept, with what each rod of them promised, and what came of it. */
@Component
public class Calls {
    private static final double MINUTES_PER_HOUR = 60;

    private final Store store;
    private final NewId newId;
    private final JsonMapper json = JsonMapper.shared();

    Calls(Store store, NewId newId) {
        this.store = store;
        this.newId = newId;
    }

    /**
     * A call as it was kept.
     *
     * @param tripId that it was fished on; null while it was not
     * @param conditions in words
     */
    public record Call(
            String id,
            String waterId,
            @Nullable String tripId,
            Instant at,
            @Nullable String species,
            String conditions,
            List<Rod> rods) {}

    /**
     * A rod of a call.
     *
     * @param rate fish a rod-hour; null where there were no records to reckon one from
     * @param rules ids of those that spoke for it
     */
    public record Rod(
            int number,
            String setUpId,
            @Nullable String presentation,
            String role,
            @Nullable Double rate,
            @Nullable Interval interval,
            Set<String> rules) {}

    /** What came on a rod that was called. */
    public record Came(Rod rod, double rodHours, int fish, double otherHours, int otherFish) {}

    /** Keeps a call; its id. */
    public String keep(
            Viewer viewer, String waterId, Instant at, @Nullable String species, String conditions, List<Rod> rods) {
        String id = newId.next();
        store.write(viewer.clubId(), tx -> {
            tx.insertInto(CALLS)
                    .set(CALLS.CLUB_ID, viewer.clubId())
                    .set(CALLS.CALL_ID, id)
                    .set(CALLS.ANGLER_ID, viewer.anglerId())
                    .set(CALLS.WATER_ID, waterId)
                    .set(CALLS.CALLED_AT, at)
                    .set(CALLS.SPECIES, species)
                    .set(CALLS.CONDITIONS, conditions)
                    .execute();
            for (Rod rod : rods) {
                Interval interval = rod.interval();
                tx.insertInto(CALLED_RODS)
                        .set(CALLED_RODS.CLUB_ID, viewer.clubId())
                        .set(CALLED_RODS.CALLED_ROD_ID, newId.next())
                        .set(CALLED_RODS.CALL_ID, id)
                        .set(CALLED_RODS.NUMBER, (long) rod.number())
                        .set(CALLED_RODS.SETUP_ID, rod.setUpId())
                        .set(CALLED_RODS.PRESENTATION, rod.presentation())
                        .set(CALLED_RODS.ROLE, rod.role())
                        .set(CALLED_RODS.RATE, rod.rate())
                        .set(CALLED_RODS.LOW, interval == null ? null : (Double) interval.low())
                        .set(CALLED_RODS.HIGH, interval == null ? null : (Double) interval.high())
                        .set(CALLED_RODS.RULES, json.writeValueAsString(rod.rules()))
                        .execute();
            }
            return id;
        });
        return id;
    }

    /** Whoever made it takes a call to a trip; it stays with its first. @throws NotYours where it is another's */
    public void fished(Writing w, Viewer viewer, String callId, String tripId) {
        Call call = one(viewer, callId);
        boolean own = store.read()
                .fetchExists(
                        CALLS,
                        CALLS.CALL_ID.eq(callId),
                        CALLS.CLUB_ID.eq(viewer.clubId()),
                        CALLS.ANGLER_ID.eq(viewer.anglerId()));
        if (!own) {
            throw new NotYours();
        }
        if (call.tripId() != null) {
            return;
        }
        w.update(CALLS, callId, Map.of(CALLS.TRIP_ID, tripId));
    }

    /** @throws NotYours where the club has none of this id */
    public Call one(Viewer viewer, String callId) {
        return calls(viewer, CALLS.CALL_ID.eq(callId)).stream().findFirst().orElseThrow(NotYours::new);
    }

    /** The call of a trip, where one was taken to it. */
    public Optional<Call> of(Viewer viewer, String tripId) {
        return calls(viewer, CALLS.TRIP_ID.eq(tripId)).stream().findFirst();
    }

    /** All of the club, the newest first. */
    public List<Call> all(Viewer viewer) {
        return calls(viewer, noCondition());
    }

    private List<Call> calls(Viewer viewer, Condition which) {
        Map<String, List<Rod>> rods = new HashMap<>();
        store.read()
                .selectFrom(CALLED_RODS)
                .where(Visibility.of(viewer, CALLED_RODS))
                .and(CALLED_RODS.CALL_ID.in(select(CALLS.CALL_ID)
                        .from(CALLS)
                        .where(Visibility.of(viewer, CALLS))
                        .and(which)))
                .orderBy(CALLED_RODS.NUMBER)
                .forEach(r -> {
                    Set<String> rules = new LinkedHashSet<>();
                    json.readTree(r.getRules()).forEach(rule -> rules.add(rule.asString()));
                    Double low = r.getLow();
                    Double high = r.getHigh();
                    rods.computeIfAbsent(r.getCallId(), c -> new ArrayList<>())
                            .add(new Rod(
                                    Math.toIntExact(r.getNumber()),
                                    r.getSetupId(),
                                    r.getPresentation(),
                                    r.getRole(),
                                    r.getRate(),
                                    low == null || high == null ? null : new Interval(low, high),
                                    rules));
                });
        return store.read()
                .selectFrom(CALLS)
                .where(Visibility.of(viewer, CALLS))
                .and(which)
                .orderBy(CALLS.CALLED_AT.desc(), CALLS.CALL_ID)
                .fetch(r -> new Call(
                        r.getCallId(),
                        r.getWaterId(),
                        r.getTripId(),
                        r.getCalledAt(),
                        r.getSpecies(),
                        r.getConditions(),
                        rods.getOrDefault(r.getCallId(), List.of())));
    }

    /** What came on the rods of calls that were fished, by call; a rod that was never fished is not in it. */
    public Map<Call, List<Came>> came(Viewer viewer, List<Call> calls) {
        Field<BigDecimal> landed = field(select(coalesce(sum(CATCHES.COUNT), BigDecimal.ZERO))
                .from(CATCHES)
                .where(Visibility.of(viewer, CATCHES))
                .and(CATCHES.STINT_ID.eq(STINTS.STINT_ID)));
        Map<String, Map<String, double[]>> byTrip = new HashMap<>();
        Map<String, Map<String, Integer>> bySpecies = new HashMap<>();
        List<String> trips =
                calls.stream().map(Call::tripId).filter(trip -> trip != null).toList();
        store.read()
                .select(STINTS.TRIP_ID, STINTS.SETUP_ID, STINTS.MINUTES, landed)
                .from(STINTS)
                .where(Visibility.of(viewer, STINTS))
                .and(STINTS.TRIP_ID.in(trips))
                .forEach(r -> {
                    double[] sum = byTrip.computeIfAbsent(r.value1(), t -> new HashMap<>())
                            .computeIfAbsent(r.value2(), s -> new double[2]);
                    sum[0] += r.value3() / MINUTES_PER_HOUR;
                    sum[1] += r.value4().doubleValue();
                });
        store.read()
                .select(STINTS.TRIP_ID, STINTS.SETUP_ID, CATCHES.SPECIES, sum(CATCHES.COUNT))
                .from(CATCHES)
                .join(STINTS)
                .on(STINTS.CLUB_ID.eq(CATCHES.CLUB_ID), STINTS.STINT_ID.eq(CATCHES.STINT_ID))
                .where(Visibility.of(viewer, STINTS))
                .and(Visibility.of(viewer, CATCHES))
                .and(STINTS.TRIP_ID.in(trips))
                .groupBy(STINTS.TRIP_ID, STINTS.SETUP_ID, CATCHES.SPECIES)
                .forEach(r -> bySpecies
                        .computeIfAbsent(r.value1() + "/" + r.value3(), t -> new HashMap<>())
                        .put(r.value2(), r.value4().intValue()));
        Map<Call, List<Came>> came = new LinkedHashMap<>();
        for (Call call : calls) {
            Map<String, double[]> of = call.tripId() == null ? Map.of() : byTrip.getOrDefault(call.tripId(), Map.of());
            Map<String, Integer> fish = bySpecies.getOrDefault(call.tripId() + "/" + call.species(), Map.of());
            List<Came> rods = new ArrayList<>();
            for (Rod rod : call.rods()) {
                double[] own = of.get(rod.setUpId());
                if (own != null && own[0] > 0) {
                    double hours = of.values().stream().mapToDouble(s -> s[0]).sum();
                    double all = call.species() == null
                            ? of.values().stream().mapToDouble(s -> s[1]).sum()
                            : fish.values().stream().mapToInt(n -> n).sum();
                    int on = call.species() == null ? (int) own[1] : fish.getOrDefault(rod.setUpId(), 0);
                    rods.add(new Came(rod, own[0], on, hours - own[0], (int) all - on));
                }
            }
            came.put(call, rods);
        }
        return came;
    }

    /** What was promised in fish a rod-hour and fished. */
    public Promises promises(Viewer viewer) {
        List<Call> fished = calls(viewer, CALLS.TRIP_ID.isNotNull());
        return new Promises(came(viewer, fished).values().stream()
                .flatMap(List::stream)
                .filter(c -> c.rod().rate() != null && c.rod().interval() != null)
                .map(c -> new Promises.Promise(
                        c.rod().rate(),
                        c.rod().interval(),
                        c.rod().rules(),
                        c.rodHours(),
                        c.fish(),
                        c.otherHours(),
                        c.otherFish()))
                .toList());
    }
}
