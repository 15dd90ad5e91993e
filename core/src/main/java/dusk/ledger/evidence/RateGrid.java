package dusk.ledger.evidence;

import dusk.ledger.stints.Codes;
import dusk.ledger.stints.StintTable;
import dusk.ledger.vocabulary.Factor;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.IntFunction;
import java.util.function.IntUnaryOperator;
import org.jspecify.annotations.Nullable;

/**
 * Rates by two factors at once. The cells share one prior, so that a cell with little fishing is drawn to the others.
 *
 * @param rows levels of the first factor that occur with a recorded level of the second, in natural order
 * @param columns levels of the second
 * @param cells by row, then by column; null where nothing was fished
 * @param fair each cell against what else was fished there, same trip and angler: a choice of tackle against the other
 *     choices under the same condition, else against the rest of its row
 */
public record RateGrid(
        List<String> rows,
        List<String> columns,
        List<List<@Nullable LevelFigures>> cells,
        double swing,
        LikeForLike fair) {
    /** Under so many rod-hours a cell says little, whatever was caught. */
    public static final double LITTLE_ROD_HOURS = 4;

    /**
     * Reckons a grid. Stints where one of the two is not recorded are no part of it.
     *
     * @param question its factor makes the rows
     */
    public static RateGrid of(StintTable table, Question question, Factor across) {
        Codes down = table.codes(question.factor());
        Codes over = table.codes(across);
        int width = over.levels().size();
        IntUnaryOperator codeOf =
                row -> down.at(row) == 0 || over.at(row) == 0 ? -1 : down.at(row) * width + over.at(row);
        IntFunction<String> nameOf =
                code -> down.levels().get(code / width) + ", " + over.levels().get(code % width);
        Levels levels = Levels.of(
                table,
                Comparison.rows(table, question),
                table.fish(question.species(), question.least()),
                codeOf,
                nameOf);
        List<Integer> rows = levels.figures().keySet().stream()
                .map(code -> code / width)
                .distinct()
                .sorted()
                .toList();
        List<Integer> columns = levels.figures().keySet().stream()
                .map(code -> code % width)
                .distinct()
                .sorted()
                .toList();
        List<List<@Nullable LevelFigures>> cells = new ArrayList<>();
        for (int row : rows) {
            List<@Nullable LevelFigures> line = new ArrayList<>();
            for (int column : columns) {
                line.add(levels.figures().get(row * width + column));
            }
            cells.add(line);
        }
        return new RateGrid(
                rows.stream().map(down.levels()::get).toList(),
                columns.stream().map(over.levels()::get).toList(),
                cells,
                levels.swing(),
                fair(table, question, across, codeOf, width));
    }

    /** A choice is set against other choices: set against its own row it would be praised for a good hour. */
    private static LikeForLike fair(
            StintTable table, Question question, Factor across, IntUnaryOperator codeOf, int width) {
        boolean byChoice = question.factor().kind() == Factor.Kind.TACKLE;
        Factor held = byChoice ? across : question.factor();
        Factor varied = byChoice ? question.factor() : across;
        List<String> heldLevels = table.codes(held).levels();
        List<String> variedLevels = table.codes(varied).levels();
        return LikeForLike.of(
                table,
                question,
                codeOf,
                code -> varied.named(variedLevels.get(byChoice ? code / width : code % width)) + " "
                        + held.where(heldLevels.get(byChoice ? code % width : code / width)),
                List.of(Factor.TRIP, Factor.ANGLER, held));
    }

    /** The cell to expect most of, of those with enough fishing on three trips; none where there are fewer than two. */
    public Optional<LevelFigures> best() {
        return enough(Comparator.comparingDouble(
                c -> c.shrunk() == null ? 0 : c.shrunk().mean()));
    }

    /** The one to expect least of. */
    public Optional<LevelFigures> least() {
        return enough(Comparator.comparingDouble(
                c -> c.shrunk() == null ? 0 : -c.shrunk().mean()));
    }

    private Optional<LevelFigures> enough(Comparator<LevelFigures> by) {
        List<LevelFigures> told = new ArrayList<>();
        for (List<@Nullable LevelFigures> line : cells) {
            for (@Nullable LevelFigures cell : line) {
                if (cell != null && cell.rodHours() >= LITTLE_ROD_HOURS && cell.trips() >= 3 && cell.shrunk() != null) {
                    told.add(cell);
                }
            }
        }
        return told.size() < 2 ? Optional.empty() : told.stream().max(by);
    }

    /** The highest rate to expect of the cells with enough fishing, or of all where none has it; 0 where there is no fish. */
    public double highest() {
        return highest(LITTLE_ROD_HOURS) > 0 ? highest(LITTLE_ROD_HOURS) : highest(0);
    }

    private double highest(double leastRodHours) {
        return cells.stream()
                .flatMap(List::stream)
                .filter(c -> c != null && c.rodHours() >= leastRodHours)
                .mapToDouble(RateGrid::mean)
                .max()
                .orElse(0);
    }

    private static double mean(@Nullable LevelFigures cell) {
        return cell == null || cell.shrunk() == null ? 0 : cell.shrunk().mean();
    }
}
