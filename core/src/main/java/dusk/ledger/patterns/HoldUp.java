package dusk.ledger.patterns;

import dusk.ledger.evidence.Interval;
import org.jspecify.annotations.Nullable;

/**
 * Whether newer trips bear out what older ones said.
 *
 * @param ratio on the newer 30 % of trips; null where nothing can be said
 */
public record HoldUp(@Nullable Double ratio, @Nullable Interval interval, Verdict verdict) {
    /** What the newer trips say. */
    public enum Verdict {
        HELD("held"),
        FADED("faded"),
        TOO_LITTLE("too little");

        private final String word;

        Verdict(String word) {
            this.word = word;
        }

        public String word() {
            return word;
        }
    }

    private static final double OLDER_SHARE = 0.7;
    private static final double SURE = 0.05;
    private static final double LEAST_ABOVE = 0.9;
    private static final double MOST_BELOW = 1.11;

    /** The first of the newer trips. */
    static int newerFrom(int trips) {
        return (int) Math.round(OLDER_SHARE * trips);
    }

    /**
     * Held: p on the older at most 0.05 and the newer ratio on the same side of 1 with its nearer bound beyond 0.9
     * (1.11 below). Faded: the newer interval excludes the ratio of the whole record.
     */
    static HoldUp of(@Nullable Effect older, @Nullable Effect newer, double whole) {
        if (newer == null) {
            return new HoldUp(null, null, Verdict.TOO_LITTLE);
        }
        boolean sameSide = newer.better() == (whole > 1);
        boolean borneOut = whole > 1
                ? newer.interval().low() > LEAST_ABOVE
                : newer.interval().high() < MOST_BELOW;
        Verdict verdict = Verdict.TOO_LITTLE;
        if (older != null && older.p() <= SURE && sameSide && borneOut) {
            verdict = Verdict.HELD;
        } else if (!newer.interval().contains(whole)) {
            verdict = Verdict.FADED;
        }
        return new HoldUp(newer.ratio(), newer.interval(), verdict);
    }
}
