package dusk.ledger.patterns;

import dusk.ledger.stints.Codes;
import dusk.ledger.stints.StintTable;
import dusk.ledger.vocabulary.Factor;
import java.time.Instant;
import java.time.YearMonth;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * A table's stints in the order of time that puts a trip together and within it an angler, so that blocks and trips
 * are runs of rows and sums over them need no lookup. All arrays are by place in this order.
 */
final class Layout {
    final int size;

    /** Place of each in the table. */
    final int[] row;

    final int[] trip;
    final int trips;

    /** Trip x angler: a run. */
    final int[] block;

    /** Angler x water x calendar month of the block's start: where a block that saw one side only falls back to. */
    final int[] season;

    final int seasons;
    final int[] angler;
    final double[] rodHours;
    final int[] fish;

    /** Codes of every factor that a pattern may have. */
    private final Map<Factor, short[]> codes = new HashMap<>();

    private final StintTable table;

    Layout(StintTable table, int[] fishByRow) {
        this.table = table;
        size = table.size();
        Map<Integer, Instant> starts = new HashMap<>();
        Codes tripCodes = table.codes(Factor.TRIP);
        Codes anglerCodes = table.codes(Factor.ANGLER);
        for (int i = 0; i < size; i++) {
            starts.merge(tripCodes.at(i), table.startedAt(i), (a, b) -> a.isBefore(b) ? a : b);
        }
        List<Integer> order = new ArrayList<>();
        for (int i = 0; i < size; i++) {
            order.add(i);
        }
        order.sort(Comparator.<Integer, Instant>comparing(i -> starts.get(tripCodes.at(i)))
                .thenComparing(tripCodes::at)
                .thenComparing(anglerCodes::at)
                .thenComparing(i -> table.startedAt(i))
                .thenComparing(i -> table.id(i)));
        row = order.stream().mapToInt(Integer::intValue).toArray();
        trip = new int[size];
        block = new int[size];
        season = new int[size];
        angler = new int[size];
        rodHours = new double[size];
        fish = new int[size];
        Map<List<Object>, Integer> seasonOf = new HashMap<>();
        Codes waters = table.codes(Factor.WATER);
        for (int i = 0; i < size; i++) {
            int at = row[i];
            angler[i] = anglerCodes.at(at);
            boolean sameTrip = i > 0 && tripCodes.at(row[i - 1]) == tripCodes.at(at);
            trip[i] = i == 0 ? 0 : trip[i - 1] + (sameTrip ? 0 : 1);
            block[i] = i == 0 ? 0 : block[i - 1] + (sameTrip && angler[i - 1] == angler[i] ? 0 : 1);
            if (i > 0 && block[i] == block[i - 1]) {
                season[i] = season[i - 1];
            } else {
                YearMonth month = YearMonth.from(table.startedAt(at).atZone(ZoneOffset.UTC));
                season[i] = seasonOf.computeIfAbsent(List.of(angler[i], waters.at(at), month), s -> seasonOf.size());
            }
            rodHours[i] = table.rodHours(at);
            fish[i] = fishByRow[at];
        }
        trips = size == 0 ? 0 : trip[size - 1] + 1;
        seasons = seasonOf.size();
    }

    /** How many blocks of trip and angler. */
    int blocks() {
        return size == 0 ? 0 : block[size - 1] + 1;
    }

    /** First place of a trip; the size for the one after the last. */
    int firstOf(int wanted) {
        int low = 0;
        int high = size;
        while (low < high) {
            int middle = (low + high) >>> 1;
            if (trip[middle] < wanted) {
                low = middle + 1;
            } else {
                high = middle;
            }
        }
        return low;
    }

    /** Code of each stint's level of a factor; 0 is not recorded. */
    short[] codes(Factor factor) {
        return codes.computeIfAbsent(factor, f -> {
            Codes of = table.codes(f);
            if (of.levels().size() > Short.MAX_VALUE) {
                throw new IllegalArgumentException(factor.title() + " has more than " + Short.MAX_VALUE
                        + " levels: narrow the search to one water");
            }
            short[] placed = new short[size];
            for (int i = 0; i < size; i++) {
                placed[i] = (short) of.at(row[i]);
            }
            return placed;
        });
    }

    List<String> levels(Factor factor) {
        return table.codes(factor).levels();
    }
}
