package dusk.ledger.evidence;

import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * What a contrast comes to, beside what a plain tally would have it be.
 *
 * @param crude the ratio of fish a rod-hour, side by side; NaN where it cannot be had
 * @param shrunk the same of the shrunk rates
 * @param sentence what the two fair ways say, in words
 */
public record ContrastVerdict(double crude, double shrunk, String sentence) {
    /** From here on a plain tally says something. */
    private static final double WORTH = 1.15;

    public static ContrastVerdict of(Comparison comparison, Contrast contrast) {
        LevelFigures level = figures(comparison, contrast.level()).orElse(null);
        double crude = ratio(comparison, level, contrast.versus(), false);
        return new ContrastVerdict(
                crude,
                ratio(comparison, level, contrast.versus(), true),
                sentence(contrast.level(), crude, contrast.matched().estimate(), contrast.adjusted()));
    }

    private static Optional<LevelFigures> figures(Comparison comparison, String level) {
        return comparison.recorded().stream()
                .filter(l -> l.level().equals(level))
                .findFirst();
    }

    private static double ratio(Comparison comparison, @Nullable LevelFigures level, String versus, boolean shrunk) {
        if (level == null) {
            return Double.NaN;
        }
        double fish = 0;
        double hours = 0;
        for (LevelFigures other : comparison.recorded()) {
            if (other.level().equals(versus) || (versus.equals("rest") && !other.equals(level))) {
                double rate = shrunk && other.shrunk() != null
                        ? other.shrunk().mean()
                        : other.rate().perRodHour();
                fish += rate * other.rodHours();
                hours += other.rodHours();
            }
        }
        double own = shrunk && level.shrunk() != null
                ? level.shrunk().mean()
                : level.rate().perRodHour();
        return own / (fish / hours);
    }

    static String sentence(String level, double crude, Estimate matched, Estimate adjusted) {
        boolean better = above(matched) && above(adjusted);
        boolean worse = below(matched) && below(adjusted);
        if (better || worse) {
            return "Compared fairly, " + level + (better ? " does better." : " does worse.");
        }
        if (above(matched) || above(adjusted) || below(matched) || below(adjusted)) {
            return "The two fair ways do not agree about " + level + ": wait for more fishing.";
        }
        if (crude > WORTH || crude < 1 / WORTH) {
            return "The plain tally puts " + level + (crude > 1 ? " above" : " below")
                    + " the others; compared in the same hands, places and conditions nothing sure is left of it.";
        }
        return "Compared fairly, nothing sure sets " + level + " apart.";
    }

    private static boolean above(Estimate estimate) {
        return estimate instanceof Estimate.Figure f
                && f.interval() != null
                && f.interval().low() > 1;
    }

    private static boolean below(Estimate estimate) {
        return estimate instanceof Estimate.Figure f
                && f.interval() != null
                && f.interval().high() < 1;
    }
}
