package dusk.ledger.evidence;

import dusk.ledger.stints.Codes;
import dusk.ledger.stints.StintTable;
import dusk.ledger.vocabulary.Factor;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.IntFunction;
import java.util.function.IntUnaryOperator;
import org.jspecify.annotations.Nullable;

/**
 * Figures of levels that share a prior, whatever they are levels of: a factor's words, cells of two factors, hours from the sun.
 *
 * @param figures by code, rising; only levels with a stint
 * @param prior null where there is no fish at all
 * @param swing f: how much more trips differ than chance
 */
public record Levels(
        Map<Integer, LevelFigures> figures, @Nullable GammaPrior prior, double swing) {
    /**
     * Reckons them.
     *
     * @param rows that count
     * @param fish by row
     * @param codeOf level of a row; negative leaves the row out
     */
    public static Levels of(
            StintTable table, BitSet rows, int[] fish, IntUnaryOperator codeOf, IntFunction<String> nameOf) {
        Map<Integer, Gathered> byLevel = gather(table, rows, fish, codeOf);
        TripSwing swing =
                TripSwing.of(byLevel.values().stream().map(Gathered::efforts).toList());
        List<Integer> codes = List.copyOf(byLevel.keySet());
        List<Gathered> gathered = List.copyOf(byLevel.values());
        List<Effort> slowed = new ArrayList<>();
        for (int l = 0; l < codes.size(); l++) {
            slowed.add(gathered.get(l).all().dividedBy(swing.byLevel().get(l)));
        }
        GammaPrior prior = slowed.isEmpty() ? null : GammaPrior.fit(slowed).orElse(null);
        Map<Integer, LevelFigures> figures = new TreeMap<>();
        for (int l = 0; l < codes.size(); l++) {
            ShrunkRate shrunk = prior == null ? null : prior.given(slowed.get(l));
            figures.put(
                    codes.get(l),
                    gathered.get(l)
                            .figures(
                                    nameOf.apply(codes.get(l)),
                                    shrunk,
                                    swing.byLevel().get(l)));
        }
        return new Levels(figures, prior, swing.all());
    }

    private static Map<Integer, Gathered> gather(StintTable table, BitSet rows, int[] fish, IntUnaryOperator codeOf) {
        int[] counted = rows.stream().filter(row -> codeOf.applyAsInt(row) >= 0).toArray();
        int width = 1 + Arrays.stream(counted).map(codeOf).max().orElse(0);
        Grouping.By level = new Grouping.By(codeOf, width);
        // fish and effort of a level on a trip are one figure: trips are what varies
        Grouping ofTrips = Grouping.of(counted, List.of(level, Grouping.By.of(table.codes(Factor.TRIP))));
        double[] fishOf = new double[ofTrips.count()];
        double[] hoursOf = new double[ofTrips.count()];
        int[] levelOf = new int[ofTrips.count()];
        int[] stints = new int[width];
        BitSet[] anglers = new BitSet[width];
        Codes anglerCodes = table.codes(Factor.ANGLER);
        for (int i = 0; i < counted.length; i++) {
            int row = counted[i];
            int code = codeOf.applyAsInt(row);
            int trip = ofTrips.of()[i];
            levelOf[trip] = code;
            fishOf[trip] += fish[row];
            hoursOf[trip] += table.rodHours(row);
            stints[code]++;
            if (anglers[code] == null) {
                anglers[code] = new BitSet();
            }
            anglers[code].set(anglerCodes.at(row));
        }
        List<List<Effort>> efforts = new ArrayList<>();
        for (int code = 0; code < width; code++) {
            efforts.add(new ArrayList<>());
        }
        for (int trip = 0; trip < levelOf.length; trip++) {
            efforts.get(levelOf[trip]).add(new Effort(fishOf[trip], hoursOf[trip]));
        }
        Map<Integer, Gathered> byLevel = new TreeMap<>();
        for (int code = 0; code < width; code++) {
            List<Effort> of = efforts.get(code);
            if (!of.isEmpty()) {
                byLevel.put(code, new Gathered(of, Effort.sum(of), stints[code], anglers[code].cardinality()));
            }
        }
        return byLevel;
    }

    /**
     * @param efforts by trip
     * @param all of them together
     */
    private record Gathered(List<Effort> efforts, Effort all, int stints, int anglers) {
        LevelFigures figures(String level, @Nullable ShrunkRate shrunk, double swing) {
            return new LevelFigures(
                    level,
                    stints,
                    efforts.size(),
                    anglers,
                    all.rodHours(),
                    (int) all.fish(),
                    (int) efforts.stream().mapToDouble(Effort::fish).max().orElse(0),
                    CatchRate.of(efforts),
                    shrunk,
                    swing);
        }
    }
}
