package dusk.ledger.demo;

import java.util.SplittableRandom;

/** Counts as chance has them, for tests that simulate fishing. */
public final class Chance {
    private Chance() {}

    /** A draw of Poisson, by products of uniforms (Knuth): for means below some hundreds. */
    public static int poisson(double mean, SplittableRandom random) {
        double limit = Math.exp(-mean);
        double product = random.nextDouble();
        int count = 0;
        while (product > limit) {
            count++;
            product *= random.nextDouble();
        }
        return count;
    }
}
