package dusk.ledger.water;

import dusk.ledger.tackle.Plastic;
import dusk.ledger.units.Mass;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;

/**
 * The same lure on every head, and which of them two schools would tie on.
 *
 * @param lightest school W1: the lightest within the rod's rating that keeps to the bottom; empty where none does
 * @param control school W2: overweight for control; empty in water too shallow for it to have a say
 * @param held for fish off the bottom: the head and the count with the most seconds among them; empty where none gets
 * there, or nothing was asked
 */
public record Ladder(List<Rung> rungs, Optional<Rung> lightest, Optional<Rung> control, Optional<Held> held) {
    /** A head that is on the bottom for so much of the way home holds it. */
    public static final double HOLDS = 0.7;

    /** Nobody fishes a jig in more. */
    public static final double STRONGEST_MPS = 1.5;

    private static final double CURRENT_STEP_MPS = 0.1;

    /** School W2 speaks from this depth on. */
    public static final double CONTROL_FROM_M = 3;

    private static final double DEEP_FROM_M = 4.5;
    private static final double DEEPEST_FROM_M = 9;
    private static final Mass CONTROL = Mass.ofGrams(14);
    private static final Mass CONTROL_DEEP = Mass.ofGrams(28);

    /** Below a drop shot only. */
    private static final Mass CONTROL_DEEPEST = Mass.ofGrams(56);

    /** A step of either ladder that is this near is the one that is meant. */
    private static final double NEAR = 0.97;

    /** Counts that are tried: to these parts of the band. */
    private static final double[] PARTS_OF_BAND = {0, 0.5, 1};

    /** Among the seconds within the band so much is no difference. */
    private static final double NO_DIFFERENCE_S = 0.05;

    public Ladder {
        rungs = List.copyOf(rungs);
    }

    /**
     * A head.
     *
     * @param overRating whether head and plastic are more than the rod is rated for
     * @param fallSeconds to the bottom; null where it never gets there
     * @param contactShare of the way home from where it first touched
     * @param runningDepthM the mean over the way home
     * @param bandSeconds among the fish, on the fall and on the way home; 0 where no band was asked for
     */
    public record Rung(
            Mass head,
            boolean overRating,
            boolean floats,
            @Nullable Double fallSeconds,
            double contactShare,
            double runningDepthM,
            double bandSeconds) {
        /** Whether it holds the bottom. */
        public boolean holds() {
            return contactShare >= HOLDS;
        }
    }

    /** A head counted down and then reeled home. */
    public record Held(Mass head, double countSeconds, double bandSeconds) {}

    /**
     * What is asked.
     *
     * @param factor of the calibration, on the drag area
     * @param reelMps on the way home
     * @param band null where nobody knows where the fish are
     * @param heads the lightest first
     * @param rodMost what the rod is rated to; null where it is not known
     * @param dropShot whether the weight hangs below, so that it may be heavier still
     */
    public record Asked(
            Lure.Parts parts,
            double factor,
            Cast cast,
            Arrival.Method method,
            double reelMps,
            @Nullable Band band,
            List<Mass> heads,
            @Nullable Mass rodMost,
            boolean dropShot) {
        public Asked {
            heads = List.copyOf(heads);
        }

        Lure lure(Mass head) {
            return Lure.of(parts.on(head), cast.water()).calibrated(factor);
        }

        boolean overRating(Mass head) {
            double plastic = parts.body().map(Plastic::massGrams).orElse(0.0);
            return rodMost != null && head.grams() + plastic > rodMost.grams();
        }
    }

    /** Climbs it: one path a head, and three more a head where fish stand off the bottom. */
    public static Ladder of(Asked asked) {
        List<Rung> rungs = new ArrayList<>();
        for (Mass head : asked.heads()) {
            rungs.add(rung(asked, head));
        }
        Optional<Rung> lightest =
                rungs.stream().filter(r -> !r.overRating() && r.holds()).findFirst();
        return new Ladder(rungs, lightest, control(asked, rungs), held(asked, rungs));
    }

    private static Rung rung(Asked asked, Mass head) {
        Lure lure = asked.lure(head);
        boolean over = asked.overRating(head);
        if (lure.floats()) {
            return new Rung(head, over, true, null, 0, 0, 0);
        }
        Path path = Motion.of(lure, asked.cast(), List.of(asked.method().fall(), new Phase.ReelHome(asked.reelMps())));
        OptionalDouble fall = path.secondsTo(asked.cast().depthM());
        return new Rung(
                head,
                over,
                false,
                fall.isPresent() ? fall.getAsDouble() : null,
                path.contactShare(),
                path.meanDepthM(1),
                asked.band() == null ? 0 : asked.band().secondsOf(path));
    }

    /**
     * Up to which current over the place a head still holds the bottom, tried in steps of {@value #CURRENT_STEP_MPS}
     * m/s up to {@value #STRONGEST_MPS}; empty where it does not hold it as it is.
     */
    public static OptionalDouble holdsUpTo(Asked asked, Mass head) {
        double from = asked.cast().surfaceMps();
        if (!holdsIn(asked, head, from)) {
            return OptionalDouble.empty();
        }
        double holds = from;
        for (double next = from + CURRENT_STEP_MPS; next <= STRONGEST_MPS + 1e-9; next += CURRENT_STEP_MPS) {
            if (!holdsIn(asked, head, next)) {
                break;
            }
            holds = next;
        }
        return OptionalDouble.of(holds);
    }

    private static boolean holdsIn(Asked asked, Mass head, double currentMps) {
        Lure lure = asked.lure(head);
        return !lure.floats()
                && Motion.of(
                                        lure,
                                        asked.cast().inCurrent(currentMps),
                                        List.of(asked.method().fall(), new Phase.ReelHome(asked.reelMps())))
                                .contactShare()
                        >= HOLDS;
    }

    /** 14 g from 3 m, 28 g from 4.5 m, up to 56 g below a drop shot from 9 m, and never over the rod's rating. */
    private static Optional<Rung> control(Asked asked, List<Rung> rungs) {
        double depth = asked.cast().depthM();
        if (depth < CONTROL_FROM_M) {
            return Optional.empty();
        }
        Mass meant = depth < DEEP_FROM_M
                ? CONTROL
                : depth < DEEPEST_FROM_M || !asked.dropShot() ? CONTROL_DEEP : CONTROL_DEEPEST;
        List<Rung> within =
                rungs.stream().filter(r -> !r.overRating() && !r.floats()).toList();
        return within.stream()
                .filter(r -> r.head().grams() >= meant.grams() * NEAR)
                .findFirst()
                .or(() -> within.stream().reduce((lighter, heavier) -> heavier));
    }

    private static Optional<Held> held(Asked asked, List<Rung> rungs) {
        Band band = asked.band();
        if (band == null || band.toM() >= asked.cast().depthM()) {
            return Optional.empty();
        }
        List<Held> tried = new ArrayList<>();
        for (Rung rung : rungs) {
            if (!rung.overRating() && !rung.floats()) {
                counts(asked, rung.head(), band).forEach(tried::add);
            }
        }
        double most = tried.stream().mapToDouble(Held::bandSeconds).max().orElse(0);
        return tried.stream()
                .filter(h -> h.bandSeconds() > 0 && h.bandSeconds() >= most - NO_DIFFERENCE_S)
                .min(Comparator.comparing(Held::head));
    }

    private static List<Held> counts(Asked asked, Mass head, Band band) {
        Lure lure = asked.lure(head);
        Path fall = Motion.of(lure, asked.cast(), List.of(asked.method().fall()));
        List<Held> counts = new ArrayList<>();
        for (double part : PARTS_OF_BAND) {
            double depth = band.fromM() + part * (band.toM() - band.fromM());
            fall.secondsTo(Math.max(depth, 1e-3)).ifPresent(seconds -> {
                Path path = Motion.of(
                        lure, asked.cast(), List.of(asked.method().fall(seconds), new Phase.ReelHome(asked.reelMps())));
                counts.add(new Held(head, seconds, band.secondsOf(path)));
            });
        }
        return counts;
    }
}
