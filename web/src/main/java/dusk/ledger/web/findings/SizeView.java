package dusk.ledger.web.findings;

import dusk.ledger.evidence.BestFive;
import dusk.ledger.evidence.Comparison;
import dusk.ledger.evidence.Headline;
import dusk.ledger.evidence.LevelFigures;
import dusk.ledger.evidence.LikeForLike;
import dusk.ledger.evidence.Question;
import dusk.ledger.evidence.SizeShift;
import dusk.ledger.evidence.Sizes;
import dusk.ledger.units.Figures;
import dusk.ledger.units.Length;
import dusk.ledger.units.UnitSystem;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * Sizes as the page lays them out.
 *
 * @param scale how far the picture reaches to either side
 * @param often whether fish of a least length are counted too
 */
record SizeView(Headline headline, List<Row> rows, String scale, boolean often) {
    /** A picture reaches at least so far, so that a trifle does not look like much. */
    private static final double LEAST_SCALE_MM = 30;

    /** What it is made of. */
    record Reckoning(
            Question question,
            Sizes measured,
            Sizes withEstimated,
            @Nullable Comparison often,
            @Nullable LikeForLike fair) {}

    /**
     * One level against the rest.
     *
     * @param shift such as {@code 21 mm longer}
     * @param told the same with its range
     * @param with the same of estimated lengths too
     * @param rate fish of the least length or over, a rod-hour; empty where none was asked
     */
    record Row(
            String level,
            String shift,
            String told,
            String values,
            @Nullable Drawn drawn,
            String with,
            String rate,
            String fair,
            String stintsAddress) {}

    /** Shares of the picture's width. */
    record Drawn(String low, String high, String at) {}

    /** Best fives side by side. */
    record Tally(String title, List<Line> lines) {
        record Line(String of, String fish, String together) {}

        static Tally of(String title, List<BestFive> fives, Map<String, String> names, UnitSystem units) {
            return new Tally(
                    title,
                    fives.stream()
                            .map(f -> new Line(
                                    names.getOrDefault(f.of(), f.of()),
                                    String.join(
                                            ", ",
                                            f.lengthsMm().stream()
                                                    .map(mm -> shown(mm, units))
                                                    .toList()),
                                    shown(f.togetherMm(), units)))
                            .toList());
        }

        private static String shown(double mm, UnitSystem units) {
            return Length.ofMillimetres(mm).show(units.lure());
        }
    }

    static SizeView of(Reckoning figures, UnitSystem units) {
        double scale = Math.max(
                LEAST_SCALE_MM,
                figures.measured().levels().stream()
                        .map(t -> t.shift().shiftMm())
                        .filter(mm -> mm != null)
                        .mapToDouble(mm -> 2 * Math.abs(mm))
                        .max()
                        .orElse(0));
        List<Row> rows = new ArrayList<>();
        figures.measured().levels().forEach(t -> rows.add(row(t, figures, scale, units)));
        return new SizeView(
                SizeWords.headline(figures.measured(), figures.question(), units),
                rows,
                SizeWords.difference(scale, units),
                figures.often() != null);
    }

    private static Row row(Sizes.Told told, Reckoning figures, double scale, UnitSystem units) {
        SizeShift shift = told.shift();
        Question question = figures.question();
        return new Row(
                told.level(),
                SizeWords.alone(shift, units),
                SizeWords.shift(shift, units),
                shift.fishA() + " against " + shift.fishB() + ", " + shift.blocks()
                        + (shift.blocks() == 1 ? " time" : " times") + " side by side",
                drawn(shift, scale),
                figures.withEstimated().levels().stream()
                        .filter(t -> t.level().equals(told.level()))
                        .findFirst()
                        .map(t -> SizeWords.shift(t.shift(), units))
                        .orElse(""),
                rate(figures.often(), told.level()),
                fair(figures.fair(), told.level()),
                StintsAddress.of(question)
                        .where(question.factor(), told.level())
                        .toString());
    }

    private static String rate(@Nullable Comparison often, String level) {
        return often == null
                ? ""
                : often.recorded().stream()
                        .filter(l -> l.level().equals(level))
                        .map(LevelFigures::shrunk)
                        .flatMap(shrunk -> Optional.ofNullable(shrunk).stream())
                        .findFirst()
                        .map(shrunk -> Figures.fixed(shrunk.mean(), 2))
                        .orElse("none");
    }

    private static String fair(@Nullable LikeForLike fair, String level) {
        return fair == null
                ? ""
                : fair.of(level)
                        .flatMap(LikeForLike.Told::figure)
                        .map(f -> PatternCard.Ratio.of(
                                        f.ratio(),
                                        f.interval().low(),
                                        f.interval().high())
                                .words())
                        .orElse("cannot be had");
    }

    private static @Nullable Drawn drawn(SizeShift shift, double scale) {
        if (shift.shiftMm() == null) {
            return null;
        }
        return new Drawn(
                at(shift.lowMm() == null ? -scale : shift.lowMm(), scale),
                at(shift.highMm() == null ? scale : shift.highMm(), scale),
                at(shift.shiftMm(), scale));
    }

    private static String at(double mm, double scale) {
        double within = Math.max(-scale, Math.min(scale, mm));
        return Figures.fixed(50 + 50 * within / scale, 2) + "%";
    }
}
