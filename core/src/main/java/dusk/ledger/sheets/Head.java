package dusk.ledger.sheets;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * The header of a sheet: one row or two, where an upper one names groups; a row of units may stand under it.
 *
 * @param from index of its first line
 * @param until index of the first line behind it
 * @param names of the columns, each once; empty where a column has none
 * @param own what stands right above each column, without the group it is of
 */
public record Head(int from, int until, List<String> names, List<String> own) {
    private static final int LOOKED_AT = 20;
    private static final double LEAST = 1.5;
    private static final double LEAST_BELOW = 1;
    private static final double WORD = 0.2;

    /** The header that is likeliest; the first line where none is. */
    static Head of(Sheet sheet) {
        List<Sheet.Line> lines = sheet.lines();
        int best = 0;
        double most = 0;
        for (int i = 0; i < Math.min(LOOKED_AT, lines.size()); i++) {
            double worth = worth(lines.get(i));
            if (worth > most) {
                most = worth;
                best = i;
            }
        }
        if (most < LEAST) {
            best = 0;
        }
        if (best + 1 < lines.size() && naming(lines.get(best + 1)) && worth(lines.get(best + 1)) >= LEAST_BELOW) {
            return of(lines, best, best + 2);
        } else if (best > 0
                && naming(lines.get(best - 1))
                && lines.get(best - 1).filled() > 1) {
            return of(lines, best - 1, best + 1);
        }
        return of(lines, best, best + 1);
    }

    /**
     * The header as a mapping says where it is.
     *
     * @param row number of its last row, from 1, a row of units not counted
     * @param rows one or two
     */
    static Optional<Head> at(Sheet sheet, long row, int rows) {
        for (int i = 0; i < sheet.lines().size(); i++) {
            if (sheet.lines().get(i).number() == row) {
                return Optional.of(of(sheet.lines(), Math.max(0, i + 1 - rows), i + 1));
            }
        }
        return Optional.empty();
    }

    /** Rows of names. */
    int rows(Sheet sheet) {
        return unitsAt(sheet.lines(), until - 1) ? until - 1 - from : until - from;
    }

    /** Number of the last row of names, from 1. */
    long row(Sheet sheet) {
        return sheet.lines().get(from + rows(sheet) - 1).number();
    }

    private static double worth(Sheet.Line line) {
        double worth = 0;
        for (String cell : line.cells()) {
            if (NameGuess.of(cell).isPresent()) {
                worth += 1;
            } else if (named(cell)) {
                worth += WORD;
            } else if (!cell.isEmpty()) {
                worth -= WORD;
            }
        }
        return worth;
    }

    private static boolean named(String cell) {
        return cell.matches("\\D{2,40}");
    }

    /** Whether all that stands in a line may be names. */
    private static boolean naming(Sheet.Line line) {
        return line.cells().stream()
                .allMatch(c -> c.isEmpty() || named(c) || NameGuess.of(c).isPresent());
    }

    private static boolean unitsAt(List<Sheet.Line> lines, int at) {
        return at > 0
                && at < lines.size()
                && lines.get(at).filled() > 0
                && lines.get(at).cells().stream()
                        .allMatch(c ->
                                c.isEmpty() || NameGuess.unit("(" + c + ")").isPresent());
    }

    private static Head of(List<Sheet.Line> lines, int from, int until) {
        Sheet.Line last = lines.get(until - 1);
        boolean two = until - from > 1;
        boolean units = unitsAt(lines, until);
        int width = last.cells().size();
        for (Sheet.Line line : lines) {
            width = Math.max(width, line.cells().size());
        }
        List<String> names = new ArrayList<>();
        List<String> bare = new ArrayList<>();
        Map<String, Integer> seen = new HashMap<>();
        String group = "";
        for (int at = 0; at < width; at++) {
            String own = last.cell(at);
            String above = two ? lines.get(from).cell(at) : "";
            group = above.isEmpty() ? group : above;
            String name = own.isEmpty() ? above : two && !group.isEmpty() ? joined(group, own) : own;
            if (units && !lines.get(until).cell(at).isEmpty()) {
                name = name + " (" + lines.get(until).cell(at) + ")";
            }
            int times = name.isEmpty() ? 1 : seen.merge(name, 1, Integer::sum);
            bare.add(own.isEmpty() ? above : own);
            names.add(times > 1 ? name + " #" + times : name);
        }
        return new Head(from, until + (units ? 1 : 0), List.copyOf(names), List.copyOf(bare));
    }

    private static String joined(String group, String own) {
        return group.equals(own) || own.startsWith(group) ? own : group + " " + own;
    }
}
