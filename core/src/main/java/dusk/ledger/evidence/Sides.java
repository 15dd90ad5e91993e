package dusk.ledger.evidence;

import dusk.ledger.stints.Codes;
import dusk.ledger.vocabulary.Factor;
import org.jspecify.annotations.Nullable;

/**
 * The two sides of a contrast.
 *
 * @param level A
 * @param versus B; null for the rest: every other recorded level
 */
public record Sides(String level, @Nullable String versus) {
    /** The word for "all other recorded levels". */
    public static final String REST = "rest";

    public Sides {
        if (level.equals(Factor.NOT_RECORDED) || Factor.NOT_RECORDED.equals(versus)) {
            throw new IllegalArgumentException("“" + Factor.NOT_RECORDED + "” is never a side of a contrast");
        }
        if (level.equals(versus)) {
            throw new IllegalArgumentException("“" + level + "” cannot be compared with itself");
        }
    }

    String versusWord() {
        return versus == null ? REST : versus;
    }

    /** 1 for A, 0 for B, -1 for neither, by code of the level. */
    int[] byCode(Codes codes) {
        int[] sides = new int[codes.levels().size()];
        for (int code = 0; code < sides.length; code++) {
            String word = codes.levels().get(code);
            boolean other = versus == null ? code > 0 : word.equals(versus);
            sides[code] = word.equals(level) ? 1 : other ? 0 : -1;
        }
        return sides;
    }
}
