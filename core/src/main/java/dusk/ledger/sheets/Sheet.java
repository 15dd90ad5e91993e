package dusk.ledger.sheets;

import java.util.List;

/** One sheet of a file: its rows as text, empty ones left out. */
public record Sheet(String name, List<Line> lines) {
    /**
     * A row.
     *
     * @param number of the row in the file, from 1
     * @param cells without spaces around them; fewer than the widest row's where the rest is empty
     */
    public record Line(long number, List<String> cells) {
        public Line {
            cells = List.copyOf(cells);
        }

        /** A cell, empty where the row has none there. */
        String cell(int at) {
            return at < cells.size() ? cells.get(at) : "";
        }

        long filled() {
            return cells.stream().filter(c -> !c.isEmpty()).count();
        }
    }

    public Sheet {
        lines = List.copyOf(lines);
    }
}
