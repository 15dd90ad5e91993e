package dusk.ledger.plan;

import dusk.ledger.evidence.Estimate;
import dusk.ledger.evidence.FalseDiscovery;
import dusk.ledger.evidence.Interval;
import dusk.ledger.evidence.LikeForLike;
import dusk.ledger.evidence.Question;
import dusk.ledger.evidence.ShrunkRate;
import dusk.ledger.journal.SetUp;
import dusk.ledger.stints.Codes;
import dusk.ledger.stints.StintTable;
import dusk.ledger.tackle.TackleChecks;
import dusk.ledger.vocabulary.Factor;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.SplittableRandom;
import java.util.TreeMap;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/**
 * From conditions to set-ups. The trade's rules give each level of tackle a normal on its log ratio (sd {@value #RULED}
 * where one fires, {@value Effects.Prior#OPEN_SD} where none does). The records move all levels at once ({@link Effects}), by every
 * stint that was fished: what a level does everywhere, and beside it what it does under a condition that is asked for,
 * where the records say like for like that it does otherwise there. A set-up's rate is what the day gives under such
 * conditions ({@link Ground}) times what its levels come to, as sure as both are, told apart from what was fished
 * otherwise. Records move the levels that every set-up has, and any other only where a rule speaks of it.
 */
public final class Adviser {
    private static final double RULED = 0.35;
    private static final int CALLS = 12;

    /** Stints that are reckoned with, the newest. */
    private static final int MOST_STINTS = 20_000;

    /** Calls that are to be put together, beside those of the records. */
    private static final int TO_MAKE = 4;

    /** Calls of one rig and plastic. */
    private static final int ALIKE = 2;

    /** The largest q with which what a level does under one condition is heard beside what it does everywhere. */
    private static final double HEARD = 0.05;

    /**
     * How far a level may do otherwise under the conditions asked than it does everywhere, as a share of how far levels
     * differ: what is too little to be heard is not nothing.
     */
    private static final double UNHEARD = 0.3;

    /** The levels that every set-up has and every stint can say. */
    private static final List<Factor> MAIN = List.of(
            Factor.RIG, Factor.HEAD_MASS, Factor.PLASTIC, Factor.COLOUR, Factor.PRESENTATION, Factor.PLASTIC_LENGTH);

    private final StintTable table;
    private final PlanConditions conditions;
    private final Wish wish;
    private final double[] likeness;
    private final RulesHere rules;
    private final Candidates candidates;

    /** The candidates as if each had been fished here. */
    private final StintTable planned;

    private final Map<Factor, Map<String, Integer>> numbers = new EnumMap<>(Factor.class);
    private final List<Level> levels = new ArrayList<>();
    private final Map<Name, Feature> features = new HashMap<>();
    private final Map<Under, Integer> otherwise;
    private final Effects effects;

    /** Log of how many times as many fish the tackle of like stints takes as one of no effect. */
    private final double usual;

    /** How often each level is met in what was fished. */
    private final double[] met;

    /** Null without a fish in the records. */
    private final @Nullable Ground ground;

    /** A level of tackle that is reckoned with, and the rules that are heard on it. */
    private record Level(Factor factor, String level, List<Rule> rules, Effects.Prior prior) {
        Name name() {
            return new Name(factor, level);
        }
    }

    private record Name(Factor factor, String level) {}

    /**
     * What is wished of the answer.
     *
     * @param rods that are rigged, 1 or more
     * @param schools to follow, by question; the others of a question are then not heard
     * @param use what the tackle is fished with
     * @param seed of the draws behind the spread
     */
    public record Wish(int rods, Map<String, String> schools, TackleChecks.Use use, long seed) {
        /** Three rods, every school heard alike. */
        public static final Wish USUAL = new Wish(3, Map.of(), TackleChecks.Use.UNKNOWN, 1);
    }

    private Adviser(StintTable all, List<SetUp> setUps, PlanConditions conditions, Wish wish) {
        table = newest(all);
        this.conditions = conditions;
        this.wish = wish;
        likeness = Likeness.of(table, conditions.known());
        rules = new RulesHere(conditions.known(), wish.schools());
        candidates = Candidates.of(
                setUps, Archetypes.of(rules.levelsFor(Factor.COLOUR), rules.levelsFor(Factor.HEAD_MASS)), wish.use());
        planned = candidates.sound().isEmpty() ? table.where(row -> false) : conditions.fishedWith(candidates.sound());
        otherwise = otherwise();
        int[][] rows = new int[table.size()][];
        for (int row = 0; row < rows.length; row++) {
            rows[row] = numbered(table, row);
        }
        rules.favours().forEach(favour -> favour.levels().forEach(level -> number(favour.factor(), level)));
        // what nobody fished is as little known as it is: its level counts with the width of all such
        for (int row = 0; row < planned.size(); row++) {
            numbered(planned, row);
        }
        int[] fish = table.fish(conditions.species(), null);
        effects =
                Effects.of(blocks(rows, fish), levels.stream().map(Level::prior).toList());
        usual = usual(rows);
        met = met(rows);
        ground = ground(rows, fish);
    }

    /** In a large club the newest stints: they say all that can be said, and of how it is now. */
    private static StintTable newest(StintTable all) {
        if (all.size() <= MOST_STINTS) {
            return all;
        }
        Instant from = IntStream.range(0, all.size())
                .mapToObj(all::startedAt)
                .sorted(Comparator.reverseOrder())
                .skip(MOST_STINTS - 1L)
                .findFirst()
                .orElseThrow();
        return all.where(row -> !all.startedAt(row).isBefore(from));
    }

    /** The numbers of a stint's levels that are reckoned with. */
    private int[] numbered(StintTable of, int row) {
        IntStream plain = Arrays.stream(Factor.values())
                .filter(factor ->
                        factor.kind() == Factor.Kind.TACKLE && of.codes(factor).at(row) > 0)
                .mapToInt(factor -> number(factor, of.codes(factor).level(row)))
                .filter(number -> number >= 0);
        IntStream under = otherwise.entrySet().stream()
                .filter(one -> one.getKey().holds(of, row))
                .mapToInt(Map.Entry::getValue);
        return IntStream.concat(plain, under).toArray();
    }

    /** A level under a condition that is asked for, where it does otherwise than elsewhere. */
    private record Under(Factor factor, String level, Factor condition, String asked) {
        boolean holds(StintTable of, int row) {
            return of.codes(factor).level(row).equals(level)
                    && of.codes(condition).level(row).equals(asked);
        }
    }

    /**
     * What the records, like for like under one of the conditions, say for sure enough to be heard; numbered. The q is over
     * all that was looked at, of every kind under every condition, and the interval keeps to one side of 1.
     */
    private Map<Under, Integer> otherwise() {
        List<Under> looked = new ArrayList<>();
        List<Estimate.Figure> figures = new ArrayList<>();
        conditions.known().forEach((condition, asked) -> {
            for (Factor factor : MAIN) {
                Question question = new Question(factor, Map.of(condition, Set.of(asked)), conditions.species(), null);
                for (LikeForLike.Told told : LikeForLike.of(table, question).levels()) {
                    if (told.matched().estimate() instanceof Estimate.Figure figure && figure.p() != null) {
                        looked.add(new Under(factor, told.level(), condition, asked));
                        figures.add(figure);
                    }
                }
            }
        });
        double[] q = FalseDiscovery.q(figures.stream()
                .mapToDouble(figure -> Objects.requireNonNull(figure.p()))
                .toArray());
        Map<Under, Integer> found = new LinkedHashMap<>();
        for (int i = 0; i < q.length; i++) {
            Interval interval = figures.get(i).interval();
            if (q[i] <= HEARD && interval != null && (interval.low() > 1 || interval.high() < 1)) {
                Under under = looked.get(i);
                levels.add(new Level(under.factor(), under.level(), List.of(), new Effects.Prior(0, RULED, false)));
                found.put(under, levels.size() - 1);
            }
        }
        return found;
    }

    /** A level's number, a new one where it is met first; -1 where it is not reckoned with. */
    private int number(Factor factor, String level) {
        return numbers.computeIfAbsent(factor, f -> new HashMap<>()).computeIfAbsent(level, l -> {
            RulesHere.Said said = rules.of(factor, level);
            boolean open = said.rules().isEmpty();
            if (open && !MAIN.contains(factor)) {
                return -1;
            }
            levels.add(new Level(
                    factor,
                    level,
                    said.rules(),
                    new Effects.Prior(said.mean(), open ? Effects.Prior.OPEN_SD : RULED, open)));
            return levels.size() - 1;
        });
    }

    private List<List<Effects.Stint>> blocks(int[][] rows, int[] fish) {
        Map<List<Integer>, List<Effects.Stint>> blocks = new LinkedHashMap<>();
        for (int row = 0; row < rows.length; row++) {
            blocks.computeIfAbsent(block(row), k -> new ArrayList<>())
                    .add(new Effects.Stint(rows[row], fish[row], table.rodHours(row)));
        }
        return List.copyOf(blocks.values());
    }

    private List<Integer> block(int row) {
        return List.of(
                table.codes(Factor.TRIP).at(row), table.codes(Factor.ANGLER).at(row));
    }

    private double usual(int[][] rows) {
        double hours = 0;
        double sum = 0;
        for (int row = 0; row < rows.length; row++) {
            double each = likeness[row] * table.rodHours(row);
            hours += each;
            sum += each * Math.exp(effects.mean(rows[row]));
        }
        return hours > 0 ? Math.log(sum / hours) : 0;
    }

    /** By what is to be expected of each stint, as the ground's rate is: against that a call is told apart. */
    private double[] met(int[][] rows) {
        double[] met = new double[effects.count()];
        double all = 0;
        for (int row = 0; row < rows.length; row++) {
            double each = table.rodHours(row) * Math.exp(effects.mean(rows[row]));
            all += each;
            for (int level : rows[row]) {
                met[level] += each;
            }
        }
        for (int level = 0; level < met.length && all > 0; level++) {
            met[level] /= all;
        }
        return met;
    }

    private @Nullable Ground ground(int[][] rows, int[] fish) {
        boolean none = Arrays.stream(fish).allMatch(f -> f == 0);
        return none
                ? null
                : Ground.of(
                        table,
                        conditions.known(),
                        fish,
                        Arrays.stream(rows).mapToDouble(effects::mean).toArray());
    }

    /**
     * Advises.
     *
     * @param table the records; may be empty
     * @param setUps those of the records, to be called first
     */
    public static Advice of(StintTable table, List<SetUp> setUps, PlanConditions conditions, Wish wish) {
        return new Adviser(table, setUps, conditions, wish).advice();
    }

    /**
     * What is held of every level of the tackle that the club has, under some conditions, before anything is called.
     *
     * @param table the records; may be empty
     */
    public static Beliefs beliefs(StintTable table, List<SetUp> setUps, PlanConditions conditions) {
        return new Adviser(table, setUps, conditions, Wish.USUAL).beliefs();
    }

    private Beliefs beliefs() {
        Map<Factor, Map<String, int[]>> own = new EnumMap<>(Factor.class);
        for (Factor factor : MAIN) {
            Map<String, int[]> levels = new TreeMap<>();
            // a way to fish is a stint's and no set-up's: those that were fished
            StintTable of = factor == Factor.PRESENTATION ? table : planned;
            for (int row = 0; row < of.size(); row++) {
                boolean ours = of == table || candidates.owned().contains(of.id(row));
                if (ours && of.codes(factor).at(row) > 0) {
                    levels.computeIfAbsent(
                            of.codes(factor).level(row),
                            level -> known(factor, level).toArray());
                }
            }
            own.put(factor, levels);
        }
        ShrunkRate base = base();
        return new Beliefs(base == null ? null : (Double) base.mean(), own, effects);
    }

    private Advice advice() {
        ShrunkRate base = base();
        List<Call> all = calls();
        List<Call> own = all.stream().filter(Call::owned).toList();
        List<Call> toMake = all.stream().filter(call -> !call.owned()).toList();
        List<Call> calls = new ArrayList<>(varied(own, CALLS));
        calls.addAll(varied(toMake, own.isEmpty() ? CALLS : TO_MAKE));
        return new Advice(
                base,
                calls,
                spread(own.size() < wish.rods() ? all : own),
                rules.schools(),
                rules.unknown(),
                candidates.leftOut());
    }

    /** The best, of one rig and plastic no more than a few: the rest of those would differ by a shade only. */
    private static List<Call> varied(List<Call> calls, int most) {
        Map<String, Integer> of = new HashMap<>();
        return calls.stream()
                .filter(call ->
                        of.merge(call.setUp().rigKind() + "/" + call.setUp().plastic(), 1, Integer::sum) <= ALIKE)
                .limit(most)
                .toList();
    }

    private List<Advice.Rod> spread(List<Call> calls) {
        List<Call> offered = calls.stream().limit(Spread.CONSIDERED).toList();
        double[][] draws = effects.draws(Spread.DRAWS, new SplittableRandom(wish.seed()));
        double[][] drawn = new double[offered.size()][Spread.DRAWS];
        for (int c = 0; c < drawn.length; c++) {
            int[] tied = offered.get(c).features().stream()
                    .flatMapToInt(f -> known(f.factor(), f.level()))
                    .toArray();
            for (int d = 0; d < Spread.DRAWS; d++) {
                double sum = 0;
                for (int level : tied) {
                    sum += draws[d][level];
                }
                drawn[c][d] = Math.exp(sum);
            }
        }
        boolean slowFirst = "after a front".equals(conditions.known().get(Factor.WEATHER));
        return Spread.of(offered, drawn, wish.rods(), slowFirst);
    }

    /** Fish a rod-hour in such conditions on what was fished there; null without a fish in the records. */
    private @Nullable ShrunkRate base() {
        if (ground == null) {
            return null;
        }
        double rate = Math.exp(ground.mean() + usual);
        return new ShrunkRate(rate, Interval.around(rate, ground.variance()));
    }

    private List<Call> calls() {
        Map<String, Integer> rowOf = new HashMap<>();
        for (int row = 0; row < planned.size(); row++) {
            rowOf.put(planned.id(row), row);
        }
        Map<List<Object>, Call> best = new LinkedHashMap<>();
        Map<String, Optional<String>> ways = new HashMap<>();
        for (SetUp setUp : candidates.sound()) {
            String presentation = ways.computeIfAbsent(setUp.rigKind(), rig -> Optional.ofNullable(presentation(rig)))
                    .orElse(null);
            IntStream.Builder tied = IntStream.builder();
            known(planned, rowOf.getOrDefault(setUp.id(), -1)).forEach(tied::add);
            if (presentation != null) {
                known(Factor.PRESENTATION, presentation).forEach(tied::add);
            }
            Call call = call(
                    setUp,
                    presentation,
                    candidates.owned().contains(setUp.id()),
                    tied.build().toArray());
            // set-ups that differ in nothing that anybody speaks of are one call, and one's own is it
            List<Object> same = List.of(
                    call.features().stream().map(f -> f.factor() + f.level()).toList());
            Call other = best.get(same);
            if (other == null || (call.owned() && !other.owned())) {
                best.put(same, call);
            }
        }
        List<Call> calls = new ArrayList<>(best.values());
        calls.sort(Comparator.comparingDouble(Call::score)
                .reversed()
                .thenComparing(call -> !call.owned())
                .thenComparing(call -> call.setUp().id()));
        return calls;
    }

    private Call call(SetUp setUp, @Nullable String presentation, boolean owned, int[] tied) {
        List<Feature> of = Arrays.stream(tied)
                .mapToObj(number -> levels.get(number).name())
                .distinct()
                .map(this::feature)
                .toList();
        double score = effects.mean(tied) - usual;
        if (ground == null) {
            return new Call(setUp, presentation, owned, of, score, null, null);
        }
        double[] apart = Arrays.stream(met).map(share -> -share).toArray();
        for (int level : tied) {
            apart[level]++;
        }
        double rate = Math.exp(ground.mean() + effects.mean(tied));
        double unheard = UNHEARD * effects.width() * Effects.Prior.OPEN_SD;
        return new Call(
                setUp,
                presentation,
                owned,
                of,
                score,
                rate,
                Interval.around(rate, ground.variance() + effects.variance(apart) + of.size() * unheard * unheard));
    }

    /** The way to fish a rig: of those it was fished in, or that a rule asks for, the one that most speaks for. */
    private @Nullable String presentation(String rig) {
        Set<String> ways = new LinkedHashSet<>();
        Codes rigs = table.codes(Factor.RIG);
        Codes presentations = table.codes(Factor.PRESENTATION);
        int of = rigs.codeOf(rig);
        for (int row = 0; row < table.size(); row++) {
            if (rigs.at(row) == of && presentations.at(row) > 0) {
                ways.add(presentations.level(row));
            }
        }
        if (ways.isEmpty()) {
            ways.addAll(rules.levelsFor(Factor.PRESENTATION));
        }
        return ways.stream()
                .max(Comparator.comparingDouble((String way) -> known(Factor.PRESENTATION, way)
                                .mapToDouble(effects::mean)
                                .sum())
                        .thenComparing(Comparator.<String>naturalOrder().reversed()))
                .orElse(null);
    }

    /** Numbers of a planned stint's levels; of what nobody fished or speaks of there is none. */
    private IntStream known(StintTable planned, int row) {
        return Arrays.stream(Factor.values())
                .filter(factor -> factor.kind() == Factor.Kind.TACKLE
                        && planned.codes(factor).at(row) > 0)
                .flatMapToInt(factor -> known(factor, planned.codes(factor).level(row)));
    }

    /** A level's own number and those of it under the conditions asked. */
    private IntStream known(Factor factor, String level) {
        IntStream.Builder known = IntStream.builder();
        int number = numbers.getOrDefault(factor, Map.of()).getOrDefault(level, -1);
        if (number >= 0) {
            known.add(number);
        }
        otherwise.forEach((under, of) -> {
            if (under.factor() == factor && under.level().equals(level)) {
                known.add(of);
            }
        });
        return known.build();
    }

    /** What is held of a level under these conditions, against the others of its kind that like stints fished. */
    private Feature feature(Name name) {
        return features.computeIfAbsent(name, n -> {
            int[] own = known(n.factor(), n.level()).toArray();
            Codes codes = table.codes(n.factor());
            double[] byCode = new double[codes.levels().size()];
            for (int code = 1; code < byCode.length; code++) {
                byCode[code] = Math.exp(
                        effects.mean(known(n.factor(), codes.levels().get(code)).toArray()));
            }
            int ownCode = codes.codeOf(n.level());
            double hours = 0;
            double sum = 0;
            for (int row = 0; row < table.size(); row++) {
                int code = codes.at(row);
                if (likeness[row] > 0 && code > 0 && code != ownCode) {
                    double each = likeness[row] * table.rodHours(row);
                    hours += each;
                    sum += each * byCode[code];
                }
            }
            double others = hours > 0 ? Math.log(sum / hours) : 0;
            double mean = 0;
            double variance = 0;
            List<Rule> speaking = new ArrayList<>();
            for (int number : own) {
                Level level = levels.get(number);
                double sd = level.prior().sd() * (level.prior().open() ? effects.width() : 1);
                mean += level.prior().mean();
                variance += sd * sd;
                speaking.addAll(level.rules());
            }
            return new Feature(
                    n.factor(),
                    n.level(),
                    speaking,
                    new Feature.Belief(mean, Math.sqrt(variance)),
                    new Feature.Belief(effects.mean(own) - others, Math.sqrt(effects.variance(own))));
        });
    }
}
