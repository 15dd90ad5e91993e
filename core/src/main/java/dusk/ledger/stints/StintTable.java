package dusk.ledger.stints;

import dusk.ledger.journal.Ledger;
import dusk.ledger.journal.Stint;
import dusk.ledger.light.SunHour;
import dusk.ledger.units.Length;
import dusk.ledger.units.Temperature;
import dusk.ledger.vocabulary.Factor;
import dusk.ledger.vocabulary.Words;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.function.IntPredicate;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/**
 * A ledger's stints as columns: a code per factor, effort and counts as arrays, in the order of their ids. Immutable,
 * read by every analysis. A table that {@linkplain #after follows} writes is equal to one made anew of what is there then.
 */
public final class StintTable {
    private static final SunHour[] HOURS = SunHour.values();

    private final String[] ids;
    private final Instant[] startedAt;
    private final double[] rodHours;
    private final int[] follows;
    private final int[] bites;
    private final int[] hooked;
    private final double[] celsius;
    private final byte[] sunHours;
    private final Landed[][] landed;
    private final Lost[][] lost;
    private final Codes setUps;
    private final Map<Factor, Codes> codes;
    private final WaterYears years;

    /** Reckoned when it is asked for first; of two threads that do so both come to the same. */
    private volatile @Nullable List<String> species;

    /** Fish of every kind and length, the same way. */
    private volatile int @Nullable [] all;

    /** Those that a rate can be reckoned of, the same way. */
    private volatile @Nullable StintTable rated;

    private StintTable(
            String[] ids,
            Instant[] startedAt,
            double[] rodHours,
            int[] follows,
            int[] bites,
            int[] hooked,
            double[] celsius,
            byte[] sunHours,
            Landed[][] landed,
            Lost[][] lost,
            Codes setUps,
            Map<Factor, Codes> codes,
            WaterYears years) {
        this.ids = ids;
        this.startedAt = startedAt;
        this.rodHours = rodHours;
        this.follows = follows;
        this.bites = bites;
        this.hooked = hooked;
        this.celsius = celsius;
        this.sunHours = sunHours;
        this.landed = landed;
        this.lost = lost;
        this.setUps = setUps;
        this.codes = codes;
        this.years = years;
    }

    private static StintTable empty(WaterYears years) {
        Map<Factor, Codes> codes = new EnumMap<>(Factor.class);
        for (Factor factor : Factor.values()) {
            codes.put(factor, Codes.of(List.of(), List.of()));
        }
        return new StintTable(
                new String[0],
                new Instant[0],
                new double[0],
                new int[0],
                new int[0],
                new int[0],
                new double[0],
                new byte[0],
                new Landed[0][],
                new Lost[0][],
                Codes.of(List.of(), List.of()),
                codes,
                years);
    }

    /** Builds the table of all stints of a ledger. */
    public static StintTable of(Ledger ledger) {
        WaterYears years = WaterYears.of(ledger);
        return empty(years).after(Set.of(), ledger, years);
    }

    /**
     * The table after writes.
     *
     * @param touched ids of stints that were written, or of which something they stand on was: their set-up, place, trip, a
     *     reading, their fish
     * @param now of those that are there now, the stints with what they stand on and their fish
     * @param yearsNow temperatures read on every water, of all trips: other stints' stage of the year may go by them too
     */
    public StintTable after(Set<String> touched, Ledger now, WaterYears yearsNow) {
        LevelReader reader = new LevelReader(now, yearsNow);
        List<StintRow> fresh = now.stints().stream()
                .sorted(Comparator.comparing(Stint::id))
                .map(reader::row)
                .toList();
        Splice splice =
                new Splice(ids, touched, fresh.stream().map(r -> r.stint().id()).toList());
        Map<Factor, Codes> spliced = new EnumMap<>(Factor.class);
        codes.forEach((factor, of) -> spliced.put(
                factor,
                of.spliced(
                        order(factor),
                        splice,
                        fresh.stream().map(r -> r.level(factor)).toList())));
        return new StintTable(
                        splice.objects(ids, i -> fresh.get(i).stint().id()),
                        splice.objects(startedAt, i -> fresh.get(i).stint().startedAt()),
                        splice.doubles(rodHours, i -> fresh.get(i).stint().rodHours()),
                        splice.ints(follows, i -> fresh.get(i).stint().follows()),
                        splice.ints(bites, i -> fresh.get(i).stint().bites()),
                        splice.ints(hooked, i -> fresh.get(i).stint().hooked()),
                        splice.doubles(celsius, i -> fresh.get(i).celsius()),
                        splice.bytes(sunHours, i -> fresh.get(i).sunHour().ordinal()),
                        splice.objects(landed, i -> fresh.get(i).landed().toArray(Landed[]::new)),
                        splice.objects(lost, i -> fresh.get(i).lost().toArray(Lost[]::new)),
                        setUps.spliced(
                                List.of(),
                                splice,
                                fresh.stream().map(r -> r.stint().setUpId()).toList()),
                        spliced,
                        yearsNow)
                .seasonsToldAnew(years);
    }

    private static List<String> order(Factor factor) {
        return factor.order().isEmpty() ? Words.of(factor.key()) : factor.order();
    }

    /** Tells the stage of the year anew where it may be another than it was by other readings. */
    private StintTable seasonsToldAnew(WaterYears before) {
        List<String> changed = years.changedSince(before);
        if (changed.isEmpty() || size() == 0) {
            return this;
        }
        Codes waters = codes(Factor.WATER);
        List<Integer> rows = new ArrayList<>();
        List<String> seasons = new ArrayList<>();
        for (String water : changed) {
            int code = waters.codeOf(water);
            for (int row = 0; row < size() && code > 0; row++) {
                if (waters.at(row) == code && years.changed(before, water, startedAt[row])) {
                    rows.add(row);
                }
            }
        }
        rows.sort(null);
        for (int row : rows) {
            Temperature read = Double.isNaN(celsius[row]) ? null : Temperature.ofCelsius(celsius[row]);
            seasons.add(years.season(waters.level(row), startedAt[row], read));
        }
        List<String> put = rows.stream().map(row -> ids[row]).toList();
        Map<Factor, Codes> told = new EnumMap<>(codes);
        told.put(
                Factor.SEASON,
                codes(Factor.SEASON).spliced(order(Factor.SEASON), new Splice(ids, Set.copyOf(put), put), seasons));
        return new StintTable(
                ids, startedAt, rodHours, follows, bites, hooked, celsius, sunHours, landed, lost, setUps, told, years);
    }

    /** The rows that a condition holds for, as a table of their own; levels that none of them has are gone. */
    public StintTable where(IntPredicate condition) {
        int[] rows = IntStream.range(0, size()).filter(condition).toArray();
        Map<Factor, Codes> left = new EnumMap<>(Factor.class);
        codes.forEach((factor, all) -> left.put(factor, all.only(rows)));
        byte[] hours = new byte[rows.length];
        for (int i = 0; i < rows.length; i++) {
            hours[i] = sunHours[rows[i]];
        }
        return new StintTable(
                Arrays.stream(rows).mapToObj(row -> ids[row]).toArray(String[]::new),
                Arrays.stream(rows).mapToObj(row -> startedAt[row]).toArray(Instant[]::new),
                Arrays.stream(rows).mapToDouble(row -> rodHours[row]).toArray(),
                Arrays.stream(rows).map(row -> follows[row]).toArray(),
                Arrays.stream(rows).map(row -> bites[row]).toArray(),
                Arrays.stream(rows).map(row -> hooked[row]).toArray(),
                Arrays.stream(rows).mapToDouble(row -> celsius[row]).toArray(),
                hours,
                Arrays.stream(rows).mapToObj(row -> landed[row]).toArray(Landed[][]::new),
                Arrays.stream(rows).mapToObj(row -> lost[row]).toArray(Lost[][]::new),
                setUps.only(rows),
                left,
                years);
    }

    /** The stints of which it is known how long they were fished: those that a rate can be reckoned of. */
    public StintTable rated() {
        StintTable known = rated;
        if (known == null) {
            known = Arrays.stream(rodHours).allMatch(hours -> hours > 0) ? this : where(row -> rodHours[row] > 0);
            rated = known;
        }
        return known;
    }

    /** The stints of which it is known at what time of the day they were fished. */
    public StintTable placedInDay() {
        Codes light = codes(Factor.LIGHT);
        return IntStream.range(0, size()).allMatch(row -> light.at(row) > 0) ? this : where(row -> light.at(row) > 0);
    }

    /** Whether both hold the same of the same stints. */
    @Override
    public boolean equals(@Nullable Object o) {
        return o instanceof StintTable other
                && Arrays.equals(ids, other.ids)
                && Arrays.equals(startedAt, other.startedAt)
                && Arrays.equals(rodHours, other.rodHours)
                && Arrays.equals(follows, other.follows)
                && Arrays.equals(bites, other.bites)
                && Arrays.equals(hooked, other.hooked)
                && Arrays.equals(celsius, other.celsius)
                && Arrays.equals(sunHours, other.sunHours)
                && Arrays.deepEquals(landed, other.landed)
                && Arrays.deepEquals(lost, other.lost)
                && setUps.equals(other.setUps)
                && codes.equals(other.codes)
                && years.equals(other.years);
    }

    @Override
    public int hashCode() {
        return Arrays.hashCode(ids);
    }

    /** Number of stints. */
    public int size() {
        return ids.length;
    }

    /** Id of a stint. */
    public String id(int stint) {
        return ids[stint];
    }

    public Instant startedAt(int stint) {
        return startedAt[stint];
    }

    /** Effort of a stint in rod-hours. */
    public double rodHours(int stint) {
        return rodHours[stint];
    }

    /** Fish that followed and did not bite, as far as they were counted. */
    public int follows(int stint) {
        return follows[stint];
    }

    public int bites(int stint) {
        return bites[stint];
    }

    public int hooked(int stint) {
        return hooked[stint];
    }

    /** Part of the day by the sun, at the middle of a stint; a water without a position counts as lying where the format says. */
    public SunHour sunHour(int stint) {
        return HOURS[sunHours[stint]];
    }

    /** The set-up of each stint, by its id. */
    public Codes setUps() {
        return setUps;
    }

    public Codes codes(Factor factor) {
        Codes found = codes.get(factor);
        if (found == null) {
            throw new IllegalStateException("no codes for " + factor);
        }
        return found;
    }

    /**
     * Fish landed in each stint.
     *
     * @param asked species; null for all
     * @param least null for all; a fish without a length fails a least length
     */
    public int[] fish(@Nullable String asked, @Nullable Length least) {
        if (asked != null || least != null) {
            return counted(asked, least);
        }
        int[] known = all;
        if (known == null) {
            known = counted(null, null);
            all = known;
        }
        return known.clone();
    }

    private int[] counted(@Nullable String asked, @Nullable Length least) {
        int[] fish = new int[size()];
        for (int row = 0; row < fish.length; row++) {
            for (Landed one : landed[row]) {
                if (one.countsFor(asked, least)) {
                    fish[row] += one.count();
                }
            }
        }
        return fish;
    }

    /**
     * Lengths of the fish of one species landed in each stint, in mm; empty for a stint without any.
     *
     * @param estimatedToo whether those count whose length was not measured
     */
    public double[][] lengthsMm(String of, boolean estimatedToo) {
        double[][] lengths = new double[size()][];
        for (int row = 0; row < lengths.length; row++) {
            lengths[row] = Arrays.stream(landed[row])
                    .filter(one -> one.species().equals(of) && one.hasLength(estimatedToo))
                    .flatMapToDouble(one -> DoubleStream.generate(() -> one.length() == null
                                    ? Double.NaN
                                    : one.length().millimetres())
                            .limit(one.count()))
                    .toArray();
        }
        return lengths;
    }

    /** Fish lost in each stint, by cause, most first. */
    public Map<String, int[]> losses() {
        Map<String, int[]> byCause = new HashMap<>();
        for (int row = 0; row < size(); row++) {
            for (Lost one : lost[row]) {
                byCause.computeIfAbsent(one.cause(), w -> new int[size()])[row] += one.count();
            }
        }
        return mostFirst(byCause, counts -> (long) Arrays.stream(counts).sum());
    }

    /** Fish landed in each stint by what they took it on, most first; fish without a word are left out. */
    public Map<String, int[]> bitesOn() {
        Map<String, int[]> byWord = new HashMap<>();
        for (int row = 0; row < size(); row++) {
            for (Landed one : landed[row]) {
                if (one.biteOn() != null) {
                    byWord.computeIfAbsent(one.biteOn(), w -> new int[size()])[row] += one.count();
                }
            }
        }
        return mostFirst(byWord, counts -> (long) Arrays.stream(counts).sum());
    }

    private static <V> Map<String, V> mostFirst(Map<String, V> byWord, Function<V, Long> count) {
        Map<String, V> ordered = new LinkedHashMap<>();
        byWord.entrySet().stream()
                .sorted(Comparator.<Map.Entry<String, V>>comparingLong(e -> -count.apply(e.getValue()))
                        .thenComparing(Map.Entry.comparingByKey()))
                .forEach(e -> ordered.put(e.getKey(), e.getValue()));
        return ordered;
    }

    /** Species landed, most first. */
    public List<String> species() {
        List<String> known = species;
        if (known == null) {
            known = species(row -> true);
            species = known;
        }
        return known;
    }

    /** Species landed in the rows that a condition holds for, most first. */
    public List<String> species(IntPredicate condition) {
        Map<String, Integer> counts = new HashMap<>();
        for (int row = 0; row < size(); row++) {
            if (landed[row].length > 0 && condition.test(row)) {
                for (Landed one : landed[row]) {
                    counts.merge(one.species(), one.count(), Integer::sum);
                }
            }
        }
        return List.copyOf(mostFirst(counts, Integer::longValue).keySet());
    }
}
