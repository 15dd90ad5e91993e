package dusk.ledger.demo;

import java.util.SplittableRandom;

/** Counts as chance has them, for tests that simulate fishing. */
public final class Chance {
    private Chance() {}

    /** A draw of Poisson, as the made-up club is drawn: for means below some hundreds. */
    public static int poisson(double mean, SplittableRandom random) {
        return new Draw(random).poisson(mean);
    }
}
