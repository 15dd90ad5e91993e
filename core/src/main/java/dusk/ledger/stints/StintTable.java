package dusk.ledger.stints;

import dusk.ledger.journal.Catch;
import dusk.ledger.journal.Ledger;
import dusk.ledger.journal.Stint;
import dusk.ledger.light.Sun;
import dusk.ledger.light.SunHour;
import dusk.ledger.units.Length;
import dusk.ledger.units.Position;
import dusk.ledger.vocabulary.Factor;
import dusk.ledger.vocabulary.Words;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.IntPredicate;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/**
 * A ledger's stints as columns: a code per factor, effort and counts as arrays. Immutable; made once per ledger
 * version and scope, read by every analysis. Row order is the ledger's.
 */
public final class StintTable {
    private final Ledger ledger;
    private final double[] rodHours;
    private final Map<Factor, Codes> codes;
    private final Map<String, Integer> rowOf = new HashMap<>();

    private final List<Stint> stints;

    private StintTable(Ledger ledger, List<Stint> stints, double[] rodHours, Map<Factor, Codes> codes) {
        this.ledger = ledger;
        this.stints = stints;
        this.rodHours = rodHours;
        this.codes = codes;
        for (int i = 0; i < stints.size(); i++) {
            rowOf.put(stints.get(i).id(), i);
        }
    }

    /** Builds the table of all stints of a ledger. */
    public static StintTable of(Ledger ledger) {
        LevelReader reader = new LevelReader(ledger);
        List<Stint> stints = ledger.stints();
        double[] hours = new double[stints.size()];
        List<Map<Factor, String>> rows = new ArrayList<>(stints.size());
        for (int i = 0; i < stints.size(); i++) {
            hours[i] = stints.get(i).rodHours();
            rows.add(reader.levels(stints.get(i)));
        }
        Map<Factor, Codes> codes = new EnumMap<>(Factor.class);
        for (Factor factor : Factor.values()) {
            codes.put(factor, code(factor, rows));
        }
        return new StintTable(ledger, stints, hours, codes);
    }

    private static Codes code(Factor factor, List<Map<Factor, String>> rows) {
        Set<String> present = new HashSet<>();
        rows.forEach(r -> present.add(r.getOrDefault(factor, Factor.NOT_RECORDED)));
        present.remove(Factor.NOT_RECORDED);
        List<String> order = factor.order().isEmpty() ? Words.of(factor.key()) : factor.order();
        List<String> levels = new ArrayList<>(present);
        levels.sort(Comparator.<String>comparingInt(l -> order.contains(l) ? order.indexOf(l) : order.size())
                .thenComparing(Comparator.naturalOrder()));
        levels.add(0, Factor.NOT_RECORDED);
        Map<String, Integer> codeOf = new HashMap<>();
        levels.forEach(l -> codeOf.put(l, codeOf.size()));
        int[] codes = new int[rows.size()];
        for (int i = 0; i < codes.length; i++) {
            codes[i] = codeOf.getOrDefault(rows.get(i).getOrDefault(factor, Factor.NOT_RECORDED), 0);
        }
        return new Codes(levels, codes);
    }

    /** The rows that a condition holds for, as a table of their own; levels that none of them has are gone. */
    public StintTable where(IntPredicate condition) {
        int[] rows = IntStream.range(0, size()).filter(condition).toArray();
        Map<Factor, Codes> left = new EnumMap<>(Factor.class);
        codes.forEach((factor, all) -> left.put(factor, all.only(rows)));
        return new StintTable(
                ledger,
                Arrays.stream(rows).mapToObj(stints::get).toList(),
                Arrays.stream(rows).mapToDouble(row -> rodHours[row]).toArray(),
                left);
    }

    /** Number of stints. */
    public int size() {
        return rodHours.length;
    }

    /** Effort of a stint in rod-hours. */
    public double rodHours(int stint) {
        return rodHours[stint];
    }

    /** The record behind a row. */
    public Stint stint(int row) {
        return stints.get(row);
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
     * @param species null for all
     * @param least null for all; a fish without a length fails a least length
     */
    public int[] fish(@Nullable String species, @Nullable Length least) {
        int[] fish = new int[size()];
        for (Catch one : ledger.catches()) {
            Integer row = rowOf.get(one.stintId());
            if (row != null && one.countsFor(species, least)) {
                fish[row] += one.count();
            }
        }
        return fish;
    }

    /** Part of the day by the sun, at the middle of each stint; a water without a position counts as lying where the format says. */
    public SunHour[] sunHours() {
        Map<String, Position> positions = new HashMap<>();
        Map<String, Position> byWater = new HashMap<>();
        ledger.waters().forEach(w -> byWater.put(w.id(), w.position() == null ? LevelReader.NOWHERE : w.position()));
        ledger.trips().forEach(t -> positions.put(t.id(), byWater.getOrDefault(t.waterId(), LevelReader.NOWHERE)));
        Map<List<Object>, Sun.Day> days = new HashMap<>();
        SunHour[] hours = new SunHour[size()];
        for (int i = 0; i < hours.length; i++) {
            Position where = positions.getOrDefault(stint(i).tripId(), LevelReader.NOWHERE);
            Instant middle = stint(i).startedAt().plusSeconds(Math.round(stint(i).minutes() * 30));
            LocalDate date = SunHour.dateAt(middle, where);
            Sun.Day day = days.computeIfAbsent(List.of(where, date), k -> Sun.day(date, SunHour.zone(where), where));
            hours[i] = SunHour.of(middle, day);
        }
        return hours;
    }

    /** Fish lost in each stint, by cause, most first. */
    public Map<String, int[]> losses() {
        return counts(ledger.losses().stream()
                .map(l -> new Counted(l.stintId(), l.cause(), l.count()))
                .toList());
    }

    /** Fish landed in each stint by what they took it on, most first; fish without a word are left out. */
    public Map<String, int[]> bitesOn() {
        List<Counted> counted = new ArrayList<>();
        for (Catch one : ledger.catches()) {
            if (one.biteOn() != null) {
                counted.add(new Counted(one.stintId(), one.biteOn(), one.count()));
            }
        }
        return counts(counted);
    }

    private record Counted(String stintId, String word, int count) {}

    private Map<String, int[]> counts(List<Counted> all) {
        Map<String, int[]> byWord = new HashMap<>();
        for (Counted one : all) {
            Integer row = rowOf.get(one.stintId());
            if (row != null) {
                byWord.computeIfAbsent(one.word(), w -> new int[size()])[row] += one.count();
            }
        }
        Map<String, int[]> ordered = new LinkedHashMap<>();
        byWord.entrySet().stream()
                .sorted(Comparator.comparingInt((Map.Entry<String, int[]> e) ->
                                -Arrays.stream(e.getValue()).sum())
                        .thenComparing(Map.Entry.comparingByKey()))
                .forEach(e -> ordered.put(e.getKey(), e.getValue()));
        return ordered;
    }

    /** Species landed, most first. */
    public List<String> species() {
        Map<String, Integer> counts = new HashMap<>();
        ledger.catches().forEach(c -> counts.merge(c.species(), c.count(), Integer::sum));
        return counts.entrySet().stream()
                .sorted(Map.Entry.<String, Integer>comparingByValue(Comparator.reverseOrder())
                        .thenComparing(Map.Entry.comparingByKey()))
                .map(Map.Entry::getKey)
                .toList();
    }
}
