package dusk.ledger.web.findings;

import dusk.ledger.evidence.Headline;
import dusk.ledger.evidence.LevelFigures;
import dusk.ledger.evidence.Question;
import dusk.ledger.evidence.RateGrid;
import dusk.ledger.units.Figures;
import dusk.ledger.vocabulary.Factor;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** A grid as the page lays it out. */
record GridView(
        Headline headline,
        String plain,
        String down,
        String across,
        List<String> columns,
        List<Row> rows,
        String swing) {
    /** Steps of shade; the text stays readable on the darkest. */
    private static final int SHADES = 6;

    record Row(String level, List<Cell> cells) {}

    /**
     * One cell.
     *
     * @param rate to expect; empty where nothing was fished
     * @param shade CSS classes
     * @param plain fish and hours behind it
     * @param told in full, for whom the picture says nothing
     */
    record Cell(String rate, String shade, String plain, String told, String address) {
        static final Cell EMPTY = new Cell("", "unfished", "", "not fished", "");
    }

    static GridView of(RateGrid grid, Question question, Factor across) {
        double highest = grid.highest();
        List<Row> rows = new ArrayList<>();
        for (int r = 0; r < grid.rows().size(); r++) {
            List<Cell> cells = new ArrayList<>();
            for (int c = 0; c < grid.columns().size(); c++) {
                @Nullable LevelFigures figures = grid.cells().get(r).get(c);
                String address = StintsAddress.of(question)
                        .where(question.factor(), grid.rows().get(r))
                        .where(across, grid.columns().get(c))
                        .toString();
                cells.add(figures == null ? Cell.EMPTY : cell(figures, highest, address));
            }
            rows.add(new Row(grid.rows().get(r), cells));
        }
        return new GridView(
                Headline.ofCells(grid.fair()),
                plain(grid),
                question.factor().title(),
                across.title(),
                grid.columns(),
                rows,
                Figures.fixed(grid.swing(), 1));
    }

    private static Cell cell(LevelFigures figures, double highest, String address) {
        double rate = figures.shrunk() == null ? 0 : figures.shrunk().mean();
        int shade = highest > 0 ? (int) Math.min(SHADES - 1.0, Math.floor(SHADES * rate / highest)) : 0;
        boolean little = figures.rodHours() < RateGrid.LITTLE_ROD_HOURS;
        String range = figures.shrunk() == null
                ? ""
                : ", likely " + Figures.fixed(figures.shrunk().interval().low(), 2) + " to "
                        + Figures.fixed(figures.shrunk().interval().high(), 2);
        return new Cell(
                Figures.fixed(rate, 2),
                "shade-" + shade + (little ? " little" : ""),
                figures.fish() + " in " + Figures.trimmed(figures.rodHours(), 1) + " h",
                figures.level() + ": " + Figures.fixed(rate, 2) + " fish a rod-hour to expect" + range + "; "
                        + figures.fish() + " fish in " + Figures.fixed(figures.rodHours(), 1) + " rod-hours on "
                        + figures.trips() + (figures.trips() == 1 ? " trip" : " trips")
                        + (little ? ", too little fishing to go by" : ""),
                address);
    }

    private static String plain(RateGrid grid) {
        return grid.best()
                .flatMap(best -> grid.least()
                        .map(least -> "As it was fished, most came of " + best.level() + ": " + rate(best)
                                + "; least of " + least.level() + ": " + rate(least) + "."))
                .orElse("Not enough fishing to say: no two cells have four rod-hours on three trips.");
    }

    private static String rate(LevelFigures figures) {
        return figures.shrunk() == null
                ? "no fish"
                : Figures.fixed(figures.shrunk().mean(), 2) + " fish a rod-hour ("
                        + Figures.fixed(figures.shrunk().interval().low(), 2) + " to "
                        + Figures.fixed(figures.shrunk().interval().high(), 2) + ", from "
                        + Figures.trimmed(figures.rodHours(), 0) + " h)";
    }
}
