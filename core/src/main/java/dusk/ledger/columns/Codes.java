package dusk.ledger.columns;

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

    /** Code of a level, or -1 where no stint has it. */
    public int codeOf(String level) {
        return levels.indexOf(level);
    }
}
