package dusk.ledger.web.findings;

import dusk.ledger.evidence.Headline;
import dusk.ledger.evidence.LevelFigures;
import dusk.ledger.evidence.Levels;
import dusk.ledger.evidence.LightClock;
import dusk.ledger.evidence.Question;
import dusk.ledger.light.SunHour;
import dusk.ledger.units.Figures;
import dusk.ledger.vocabulary.Factor;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** The light clock as the page lays it out. */
record ClockView(
        Headline headline,
        List<String> doubts,
        String dial,
        List<Small> seasons,
        List<Row> rows,
        List<String> seasonNames) {
    /** A season's dial, on the scale of the whole year's. */
    record Small(String season, String dial, String told) {}

    /** A part of the day: the year's figures, then each season's. */
    record Row(String part, List<Cell> cells) {}

    record Cell(String rate, String plain, String address) {
        static final Cell EMPTY = new Cell("", "not fished", "");
    }

    static ClockView of(LightClock clock, Question question) {
        double most = highest(clock.year());
        for (Levels season : clock.seasons().values()) {
            most = Math.max(most, highest(season));
        }
        List<Small> seasons = new ArrayList<>();
        for (var entry : clock.seasons().entrySet()) {
            seasons.add(new Small(
                    entry.getKey(),
                    SunDial.svg(entry.getValue(), most, false),
                    told(entry.getValue(), entry.getKey())));
        }
        List<Row> rows = new ArrayList<>();
        for (SunHour hour : SunHour.values()) {
            List<Cell> cells = new ArrayList<>();
            cells.add(cell(
                    clock.year().figures().get(hour.ordinal()),
                    StintsAddress.of(question).at(hour)));
            clock.seasons()
                    .forEach((season, levels) -> cells.add(cell(
                            levels.figures().get(hour.ordinal()),
                            StintsAddress.of(question).at(hour).where(Factor.SEASON, season))));
            rows.add(new Row(hour.words(), cells));
        }
        return new ClockView(
                Headline.ofHours(clock.fair()),
                doubts(clock),
                SunDial.svg(clock.year(), most, true),
                seasons,
                rows,
                List.copyOf(clock.seasons().keySet()));
    }

    private static double highest(Levels levels) {
        return levels.figures().values().stream()
                .filter(l -> l.rodHours() >= 1)
                .mapToDouble(SunDial::mean)
                .max()
                .orElse(0);
    }

    private static Cell cell(@Nullable LevelFigures figures, StintsAddress address) {
        return figures == null
                ? Cell.EMPTY
                : new Cell(
                        Figures.fixed(SunDial.mean(figures), 2),
                        figures.fish() + " in " + Figures.trimmed(figures.rodHours(), 1) + " h",
                        address.toString());
    }

    private static String told(Levels levels, String when) {
        return LightClock.best(levels)
                .flatMap(best -> LightClock.least(levels)
                        .map(least -> "As it was fished, " + Factor.SEASON.where(when) + " most came " + in(best) + ": "
                                + rate(best) + " fish a rod-hour, against " + rate(least) + " " + in(least) + "."))
                .orElse("Not enough fishing to say " + Factor.SEASON.where(when)
                        + ": no two parts of the day have four rod-hours on three trips.");
    }

    private static String in(LevelFigures figures) {
        String part = figures.level();
        return part.startsWith("the") ? "in " + part : part;
    }

    private static String rate(LevelFigures figures) {
        return Figures.fixed(SunDial.mean(figures), 2)
                + (figures.shrunk() == null
                        ? ""
                        : " (" + Figures.fixed(figures.shrunk().interval().low(), 2) + " to "
                                + Figures.fixed(figures.shrunk().interval().high(), 2) + ")");
    }

    private static List<String> doubts(LightClock clock) {
        List<String> doubts = new ArrayList<>();
        doubts.add(told(clock.year(), "all seasons"));
        doubts.add("The best rods may fish the best hours: the dial does not know who fished them, or where.");
        clock.year().figures().values().stream()
                .filter(l -> l.fish() > 0 && 2 * l.fishOnBestTrip() > l.fish())
                .forEach(l -> doubts.add("More than half of the fish " + in(l) + " came on one trip."));
        return doubts;
    }
}
