package dusk.ledger.web.findings;

import dusk.ledger.evidence.Comparison;
import dusk.ledger.evidence.Contrast;
import dusk.ledger.evidence.ContrastVerdict;
import dusk.ledger.evidence.Estimate;
import dusk.ledger.units.Figures;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * One level against another or the rest, told four ways, and in words why they differ.
 *
 * @param sentence what the fair ways say
 */
record ContrastView(String level, String versus, String sentence, List<Way> ways) {

    /** One way of comparing: its ratio with range, or why there is none. */
    record Way(String name, String figure, String note, PatternCard.@Nullable Ratio drawn) {}

    static ContrastView of(Comparison comparison, Contrast contrast) {
        ContrastVerdict verdict = ContrastVerdict.of(comparison, contrast);
        Estimate matched = contrast.matched().estimate();
        Estimate adjusted = contrast.adjusted();
        return new ContrastView(
                contrast.level(),
                contrast.versus().equals("rest") ? "the rest" : contrast.versus(),
                verdict.sentence(),
                List.of(
                        new Way("plain tally", plain(verdict.crude()), "fish a rod-hour, side by side", null),
                        new Way(
                                "luck allowed for",
                                plain(verdict.shrunk()),
                                "the same, shrunk toward what choices do on the whole",
                                null),
                        way(
                                "matched",
                                matched,
                                "same trip, same place, same angler; "
                                        + contrast.matched().blocks() + " blocks"),
                        way("adjusted", adjusted, "temperature, clarity, light and angler held equal")));
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
}
