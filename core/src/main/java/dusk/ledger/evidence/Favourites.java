package dusk.ledger.evidence;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.SplittableRandom;
import org.apache.commons.rng.UniformRandomProvider;
import org.apache.commons.statistics.distribution.ContinuousDistribution;
import org.apache.commons.statistics.distribution.GammaDistribution;

/**
 * How much each choice is thrown against what it earns.
 *
 * @param levels most thrown first
 */
public record Favourites(List<Favourite> levels) {
    private static final int DRAWS = 20_000;
    private static final double ENOUGH_ROD_HOURS = 4;

    /** Thrown at least this many times its even share is much. */
    private static final double MUCH = 1.25;

    private static final double PROMISING = 0.2;

    /** What is to be said of a choice. */
    public enum Note {
        NONE,
        THROWN_MUCH_EARNS_LITTLE,
        THROWN_LITTLE_PROMISING,
        /** It would be promising, but most of its fish came on one trip. */
        ONE_GREAT_TRIP
    }

    /**
     * One choice.
     *
     * @param share of the rod-hours, in [0, 1]
     * @param rank by shrunk rate, 1 is best
     * @param chanceBest chance that it is the best of those with four rod-hours or more; 0 for one with less
     */
    public record Favourite(LevelFigures figures, double share, int rank, double chanceBest, Note note) {}

    /**
     * Reckons a comparison's favourites.
     *
     * @param seed of the draws from the posteriors
     */
    public static Favourites of(Comparison comparison, long seed) {
        List<LevelFigures> levels = comparison.recorded();
        GammaPrior prior = comparison.prior();
        if (levels.isEmpty() || prior == null) {
            return new Favourites(List.of());
        }
        double hours = levels.stream().mapToDouble(LevelFigures::rodHours).sum();
        double pooled = levels.stream().mapToInt(LevelFigures::fish).sum() / hours;
        double[] best = chances(levels, prior, seed);
        List<LevelFigures> ranked = new ArrayList<>(levels);
        ranked.sort(Comparator.comparingDouble(Favourites::mean).reversed());
        List<Favourite> favourites = new ArrayList<>();
        for (int i = 0; i < levels.size(); i++) {
            LevelFigures level = levels.get(i);
            double share = level.rodHours() / hours;
            favourites.add(new Favourite(
                    level,
                    share,
                    ranked.indexOf(level) + 1,
                    best[i],
                    note(level, share, levels.size(), best[i], pooled)));
        }
        favourites.sort(Comparator.comparingDouble(Favourite::share).reversed());
        return new Favourites(List.copyOf(favourites));
    }

    private static double mean(LevelFigures level) {
        return level.shrunk() == null ? 0 : level.shrunk().mean();
    }

    /** Promising is no choice whose fish mostly came on one trip: the posteriors know how many fish, not how they came. */
    private static Note note(LevelFigures level, double share, int levels, double best, double pooled) {
        boolean much = share * levels >= MUCH;
        if (much && mean(level) < pooled) {
            return Note.THROWN_MUCH_EARNS_LITTLE;
        }
        if (much || best < PROMISING) {
            return Note.NONE;
        }
        return 2 * level.fishOnBestTrip() > level.fish() ? Note.ONE_GREAT_TRIP : Note.THROWN_LITTLE_PROMISING;
    }

    /** Shares of the draws in which each is the best: posterior Gamma(a + y/f_l, b + e/f_l). */
    private static double[] chances(List<LevelFigures> levels, GammaPrior prior, long seed) {
        SplittableRandom random = new SplittableRandom(seed);
        UniformRandomProvider source = random::nextLong;
        List<ContinuousDistribution.Sampler> samplers = new ArrayList<>();
        for (LevelFigures level : levels) {
            double shape = prior.shape() + level.fish() / level.swing();
            double rate = prior.rate() + level.rodHours() / level.swing();
            samplers.add(GammaDistribution.of(shape, 1 / rate).createSampler(source));
        }
        int[] wins = new int[levels.size()];
        for (int draw = 0; draw < DRAWS; draw++) {
            int best = -1;
            double most = -1;
            for (int i = 0; i < samplers.size(); i++) {
                double rate = samplers.get(i).sample();
                if (levels.get(i).rodHours() >= ENOUGH_ROD_HOURS && rate > most) {
                    best = i;
                    most = rate;
                }
            }
            if (best >= 0) {
                wins[best]++;
            }
        }
        double[] chances = new double[wins.length];
        for (int i = 0; i < wins.length; i++) {
            chances[i] = (double) wins[i] / DRAWS;
        }
        return chances;
    }
}
