package dusk.ledger.web.findings;

import dusk.ledger.evidence.Comparison;
import dusk.ledger.evidence.LevelFigures;
import dusk.ledger.evidence.Question;
import dusk.ledger.evidence.ShrunkRate;
import dusk.ledger.units.Figures;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A comparison as the page lays it out.
 *
 * @param rows surest first, {@code not recorded} last
 * @param ticks of the scale
 */
record CompareView(List<Row> rows, List<Tick> ticks, String swing) {

    /**
     * One level. Shares are of the picture's width, such as {@code 41.20%}.
     *
     * @param shrunk such as {@code 1.62}; empty where there is none
     */
    record Row(
            String level,
            boolean recorded,
            String shrunk,
            String shrunkInterval,
            String crude,
            String crudeInterval,
            String rodHours,
            int trips,
            int stints,
            int anglers,
            int fish,
            @Nullable Bar bar,
            String stintsAddress) {}

    /** What is drawn of a level. */
    record Bar(String low, String high, String width, String mean, String crude) {}

    record Tick(String at, String label) {}

    static CompareView of(Comparison comparison) {
        double most = comparison.levels().stream()
                .mapToDouble(l -> Math.max(l.rate().perRodHour(), high(l)))
                .max()
                .orElse(1);
        double scale = most > 0 ? most * 1.06 : 1;
        Question question = comparison.question();
        List<Row> rows = new ArrayList<>();
        comparison.recorded().stream()
                .sorted(Comparator.comparingDouble(CompareView::mean).reversed())
                .forEach(l -> rows.add(row(l, true, scale, question)));
        comparison.levels().stream()
                .filter(l -> !comparison.recorded().contains(l))
                .forEach(l -> rows.add(row(l, false, scale, question)));
        return new CompareView(rows, ticks(scale), Figures.fixed(comparison.swing(), 1));
    }

    private static double mean(LevelFigures level) {
        return level.shrunk() == null ? 0 : level.shrunk().mean();
    }

    private static double high(LevelFigures level) {
        return level.shrunk() == null ? 0 : level.shrunk().interval().high();
    }

    private static Row row(LevelFigures level, boolean recorded, double scale, Question question) {
        ShrunkRate shrunk = level.shrunk();
        double crude = level.rate().perRodHour();
        Bar bar = shrunk == null
                ? null
                : new Bar(
                        share(shrunk.interval().low(), scale),
                        share(shrunk.interval().high(), scale),
                        share(shrunk.interval().high() - shrunk.interval().low(), scale),
                        share(shrunk.mean(), scale),
                        share(crude, scale));
        return new Row(
                level.level(),
                recorded,
                shrunk == null ? "" : Figures.fixed(shrunk.mean(), 2),
                shrunk == null
                        ? ""
                        : range(shrunk.interval().low(), shrunk.interval().high()),
                Figures.fixed(crude, 2),
                range(level.rate().interval().low(), level.rate().interval().high()),
                Figures.fixed(level.rodHours(), 1),
                level.trips(),
                level.stints(),
                level.anglers(),
                level.fish(),
                bar,
                StintsAddress.of(question)
                        .where(question.factor(), level.level())
                        .toString());
    }

    private static String range(double low, double high) {
        return Figures.fixed(low, 2) + " to " + Figures.fixed(high, 2);
    }

    private static String share(double value, double scale) {
        return Figures.fixed(100 * value / scale, 2) + "%";
    }

    /** Ticks at a round step that makes three to six of them. */
    private static List<Tick> ticks(double scale) {
        double step = Math.pow(10, Math.floor(Math.log10(scale / 2)));
        while (scale / step > 6) {
            step *= scale / step > 12 ? 5 : 2;
        }
        List<Tick> ticks = new ArrayList<>();
        for (int i = 0; i * step < scale * 0.97; i++) {
            ticks.add(new Tick(share(i * step, scale), Figures.trimmed(i * step, 2)));
        }
        return ticks;
    }
}
