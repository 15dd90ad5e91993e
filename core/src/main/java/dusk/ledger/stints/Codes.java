package dusk.ledger.stints;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * One factor's level of every stint, as a code into its levels. Code 0 is always {@code not recorded}.
 *
 * <p>Bytes where the levels fit, which they do for every word and band a club uses; ids of trips and spots take ints.
 */
public final class Codes {
    private final List<String> levels;
    private final byte[] narrow;
    private final int[] wide;

    Codes(List<String> levels, int[] codes) {
        this.levels = List.copyOf(levels);
        if (levels.size() <= 256) {
            narrow = new byte[codes.length];
            for (int i = 0; i < codes.length; i++) {
                narrow[i] = (byte) codes[i];
            }
            wide = new int[0];
        } else {
            narrow = new byte[0];
            wide = codes;
        }
    }

    /** The levels by code, in their natural order after {@code not recorded}. */
    public List<String> levels() {
        return levels;
    }

    /** Code of a stint's level. */
    public int at(int stint) {
        return wide.length > 0 ? wide[stint] : narrow[stint] & 0xff;
    }

    /** Appends this factor to combined codes: each becomes itself times the number of levels, plus the code. */
    void append(int[] combined) {
        int width = levels.size();
        if (wide.length > 0) {
            for (int i = 0; i < combined.length; i++) {
                combined[i] = combined[i] * width + wide[i];
            }
            return;
        }
        for (int i = 0; i < combined.length; i++) {
            combined[i] = combined[i] * width + (narrow[i] & 0xff);
        }
    }

    /** The same of some rows only, without the levels that none of them has. */
    Codes only(int[] rows) {
        boolean[] occurs = new boolean[levels.size()];
        for (int row : rows) {
            occurs[at(row)] = true;
        }
        List<String> left = new ArrayList<>(List.of(levels.get(0)));
        int[] renamed = new int[levels.size()];
        for (int code = 1; code < renamed.length; code++) {
            if (occurs[code]) {
                renamed[code] = left.size();
                left.add(levels.get(code));
            }
        }
        return new Codes(left, Arrays.stream(rows).map(row -> renamed[at(row)]).toArray());
    }

    /** Code of a level, or -1 where no stint has it. */
    public int codeOf(String level) {
        return levels.indexOf(level);
    }
}
