package dusk.ledger.web.findings;

import dusk.ledger.evidence.Comparison;
import dusk.ledger.evidence.Contrast;
import dusk.ledger.evidence.Estimate;
import dusk.ledger.evidence.LevelFigures;
import dusk.ledger.units.Figures;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * One level against another or the rest, told four ways, and in words why they differ.
 *
 * @param sentence what the fair ways say
 */
record ContrastView(String level, String versus, String sentence, List<Way> ways) {
    private static final double WORTH = 1.15;

    /** One way of comparing: its ratio with range, or why there is none. */
    record Way(String name, String figure, String note, PatternCard.@Nullable Ratio drawn) {}

    static ContrastView of(Comparison comparison, Contrast contrast) {
        LevelFigures level = figures(comparison, contrast.level()).orElse(null);
        double crude = ratio(comparison, level, contrast.versus(), false);
        double shrunk = ratio(comparison, level, contrast.versus(), true);
        Estimate matched = contrast.matched().estimate();
        Estimate adjusted = contrast.adjusted();
        return new ContrastView(
                contrast.level(),
                contrast.versus().equals("rest") ? "the rest" : contrast.versus(),
                sentence(contrast.level(), crude, matched, adjusted),
                List.of(
                        new Way("plain tally", plain(crude), "fish a rod-hour, side by side", null),
                        new Way(
                                "luck allowed for",
                                plain(shrunk),
                                "the same, shrunk toward what choices do on the whole",
                                null),
                        way(
                                "matched",
                                matched,
                                "same trip, same place, same angler; "
                                        + contrast.matched().blocks() + " blocks"),
                        way("adjusted", adjusted, "temperature, clarity, light and angler held equal")));
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

    private static String plain(double ratio) {
        return Double.isFinite(ratio) ? Figures.fixed(ratio, 2) + " times" : "cannot be had";
    }

    private static Way way(String name, Estimate estimate, String note) {
        if (estimate instanceof Estimate.Figure figure) {
            if (figure.interval() == null) {
                return new Way(name, Figures.fixed(figure.ratio(), 2) + " times", note + "; " + figure.caveat(), null);
            }
            PatternCard.Ratio drawn = PatternCard.Ratio.of(
                    figure.ratio(), figure.interval().low(), figure.interval().high());
            return new Way(name, drawn.words(), note, drawn);
        }
        return new Way(name, "cannot be had", ((Estimate.None) estimate).reason(), null);
    }

    private static String sentence(String level, double crude, Estimate matched, Estimate adjusted) {
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
