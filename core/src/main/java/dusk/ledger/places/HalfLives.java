package dusk.ledger.places;

import dusk.ledger.season.Season;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * How many days of settled weather halve what a find is worth: the log of its rate over the place's own. They start from what
 * the trade holds. Where a stage of the year has {@value #PAIRS} returns to a place, they are fitted to those (the fish of the
 * second visit are Poisson, of a mean that decays from the first) and drawn toward the start, by a normal on the log of the
 * half-life of sd {@value #SD}.
 */
public final class HalfLives {
    static final int PAIRS = 30;
    private static final double SD = 0.7;
    private static final double UNTOLD_DAYS = 7;
    private static final double STEP = 0.05;
    private static final double MOST_LOG = 3;

    private static final Map<Season, Double> USUAL = new EnumMap<>(Map.of(
            Season.WINTER, 30.0,
            Season.PRE_SPAWN, 7.0,
            Season.SPAWN, 3.0,
            Season.POST_SPAWN, 5.0,
            Season.SUMMER, 10.0,
            Season.AUTUMN, 4.0));

    private final Map<Season, Double> days;
    private final Map<Season, Integer> pairs;

    private HalfLives(Map<Season, Double> days, Map<Season, Integer> pairs) {
        this.days = days;
        this.pairs = pairs;
    }

    /** What the trade holds. */
    static HalfLives usual() {
        return new HalfLives(USUAL, Map.of());
    }

    /** Days in a stage of the year; of one that is not known the middling. */
    public double days(@Nullable Season season) {
        return season == null ? UNTOLD_DAYS : days.getOrDefault(season, UNTOLD_DAYS);
    }

    /** Whether the club's own returns moved it. */
    public boolean fitted(@Nullable Season season) {
        return season != null && pairs.getOrDefault(season, 0) >= PAIRS;
    }

    /**
     * A return.
     *
     * @param log of the first visit's rate over the place's own, luck allowed for
     * @param days between the visits
     * @param changes between them, each a half-life
     * @param expected fish of the second visit at the place's own rate
     * @param fish of the second visit
     */
    record Return(double log, double days, int changes, double expected, int fish) {
        double logLikelihood(double halfLife) {
            double mean = expected * Math.exp(log * Math.pow(0.5, days / halfLife + changes));
            return fish * Math.log(mean) - mean;
        }
    }

    /**
     * Fits.
     *
     * @param visits of places, in any order
     * @param rates of visits, luck allowed for
     * @param own fish a rod-hour of each place over all its visits, above 0
     */
    static HalfLives of(List<Visit> visits, Map<Visit, Double> rates, Map<String, Double> own) {
        Map<Season, List<Return>> returns = new EnumMap<>(Season.class);
        Map<String, List<Visit>> byPlace = new LinkedHashMap<>();
        visits.forEach(
                v -> byPlace.computeIfAbsent(v.spotId(), s -> new ArrayList<>()).add(v));
        byPlace.values().forEach(of -> {
            of.sort(Comparator.comparing(Visit::at));
            for (int i = 1; i < of.size(); i++) {
                Visit first = of.get(i - 1);
                Visit second = of.get(i);
                Season season = first.water().season();
                double usual = own.getOrDefault(first.spotId(), 0.0);
                if (season != null && usual > 0) {
                    returns.computeIfAbsent(season, s -> new ArrayList<>())
                            .add(new Return(
                                    Math.log(rates.getOrDefault(first, usual) / usual),
                                    GoBack.days(first.at(), second.at()),
                                    Change.between(first.water(), second.water())
                                            .size(),
                                    usual * second.rodHours(),
                                    second.fish()));
                }
            }
        });
        Map<Season, Double> days = new EnumMap<>(USUAL);
        Map<Season, Integer> pairs = new EnumMap<>(Season.class);
        returns.forEach((season, of) -> {
            pairs.put(season, of.size());
            if (of.size() >= PAIRS) {
                days.put(season, fitted(USUAL.getOrDefault(season, UNTOLD_DAYS), of));
            }
        });
        return new HalfLives(days, pairs);
    }

    static double fitted(double usual, List<Return> returns) {
        double dispersion = dispersion(usual, returns);
        double best = usual;
        double most = Double.NEGATIVE_INFINITY;
        for (double log = -MOST_LOG; log <= MOST_LOG; log += STEP) {
            double halfLife = usual * Math.exp(log);
            double value = -log * log / (2 * SD * SD);
            for (Return one : returns) {
                value += one.logLikelihood(halfLife) / dispersion;
            }
            if (value > most) {
                most = value;
                best = halfLife;
            }
        }
        return best;
    }

    /** How much more second visits differ than chance, whatever of the first is left. */
    private static double dispersion(double usual, List<Return> returns) {
        double chiSquare = 0;
        for (Return one : returns) {
            double mean = one.expected() * Math.exp(one.log() * Math.pow(0.5, one.days() / usual + one.changes()));
            chiSquare += (one.fish() - mean) * (one.fish() - mean) / mean;
        }
        return Math.max(1, chiSquare / returns.size());
    }
}
