package dusk.ledger.water;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * How a cast comes to the bottom, or that it never does.
 *
 * @param reaches whether it comes to the bottom
 * @param seconds until it does; null where it never does
 * @param shortM how much nearer than the cast it lands, or hangs
 * @param driftM sideways from the line of the cast
 * @param hangsAtM depth at which it hangs where it never reaches the bottom; null where it does
 */
public record Arrival(
        Method method,
        boolean reaches,
        @Nullable Double seconds,
        double shortM,
        double driftM,
        @Nullable Double hangsAtM) {
    /** How the line is handled on the fall. */
    public enum Method {
        SLACK("slack"),
        TIGHT("tight"),
        OPEN_BAIL("open-bail");

        private final String word;

        Method(String word) {
            this.word = word;
        }

        public String word() {
            return word;
        }

        /** To the bottom. */
        public Phase fall() {
            return fall(Path.LONGEST_SECONDS);
        }

        /** For so long, if the bottom does not end it before. */
        public Phase fall(double mostSeconds) {
            return this == TIGHT ? new Phase.FallTight(mostSeconds) : new Phase.FallSlack(mostSeconds);
        }
    }

    /** Follows one fall. */
    public static Arrival of(Lure lure, Cast cast, Method method) {
        Path path = Motion.of(lure, cast, List.of(method.fall()));
        Path.Point last = path.last();
        boolean reaches = path.touched();
        return new Arrival(
                method,
                reaches,
                reaches ? last.seconds() : null,
                cast.castM() - last.x(),
                Math.abs(last.y()),
                reaches ? null : hangs(cast, last));
    }

    /** In still water a taut line ends under the tip, at l - h; in a current where the fall comes to rest. */
    private static double hangs(Cast cast, Path.Point last) {
        return cast.surfaceMps() == 0 ? cast.lineLengthM() - cast.rodTipM() : last.z();
    }
}
