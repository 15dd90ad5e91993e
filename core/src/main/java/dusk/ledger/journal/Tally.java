package dusk.ledger.journal;

import java.util.ArrayList;
import java.util.List;

/**
 * What came of one stint, in fish.
 *
 * @param landed sum of the counts of its catches
 * @param lost sum of the counts of its losses
 */
public record Tally(int follows, int bites, int hooked, int landed, int lost) {
    /** Problems at the stint's own columns; none where the counts agree. */
    public List<Invalid.Problem> problems() {
        List<Invalid.Problem> found = new ArrayList<>();
        if (landed > hooked) {
            found.add(new Invalid.Problem(
                    "hooked", hooked + " is fewer than the fish landed, expected " + landed + " or more"));
        } else if (lost > hooked - landed) {
            found.add(new Invalid.Problem(
                    "hooked",
                    hooked + " is fewer than landed and lost together, expected " + (landed + lost) + " or more"));
        }
        return found;
    }
}
