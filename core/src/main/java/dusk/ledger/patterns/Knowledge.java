package dusk.ledger.patterns;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * What has been found so far, and with it the fish to expect of each stint. Each finding multiplies the expectation
 * of its stints by its ratio; whenever one is added, the ratios of all are taken anew, each with the others granted,
 * until the next would hardly move them.
 */
final class Knowledge {
    private static final int BACKFITS = 3;

    private final Layout layout;
    private final ExpectedFish expectedFish;
    private final List<Kept> kept = new ArrayList<>();
    private final List<Double> granted = new ArrayList<>();
    private double[] base;
    private double[] expected;
    private Unrest unrest;

    Knowledge(Layout layout) {
        this.layout = layout;
        expectedFish = new ExpectedFish(layout);
        double[] ones = new double[layout.size];
        Arrays.fill(ones, 1);
        base = expectedFish.fit(ones);
        expected = base.clone();
        unrest = Unrest.of(layout, expected);
    }

    /**
     * A finding as it was when it was kept.
     *
     * @param effect given what was known then
     * @param q then
     * @param chance how many of its family would be as sure in a club without any pattern, by the family's weight
     * @param needless longer patterns that it stands for
     */
    record Kept(Combination combination, Effect effect, double q, double chance, List<List<Term>> needless) {}

    /** Fish to expect of each place. */
    double[] expected() {
        return expected;
    }

    /** How much more stints of one trip of one angler differ than chance, given what is known. */
    Unrest unrest() {
        return unrest;
    }

    List<Kept> kept() {
        return kept;
    }

    void keep(Kept finding, Matching matching) {
        kept.add(finding);
        granted.add(finding.effect().ratio());
        grant(expected, finding.combination(), finding.effect().ratio());
        for (int round = 0; round < BACKFITS && kept.size() > 1; round++) {
            for (int i = 0; i < kept.size(); i++) {
                regrant(i, matching);
            }
        }
    }

    /** Takes a finding's ratio anew, the others granted. */
    private void regrant(int i, Matching matching) {
        Kept one = kept.get(i);
        double before = granted.get(i);
        grant(expected, one.combination(), 1 / before);
        Effect effect = matching.effect(one.combination(), expected);
        double ratio = effect == null ? before : effect.ratio();
        grant(expected, one.combination(), ratio);
        granted.set(i, ratio);
    }

    /** Multiplies the fish to expect where a choice was made under its conditions. */
    static void grant(double[] fish, Combination one, double ratio) {
        for (int i = 0; i < fish.length; i++) {
            if (one.at(i) == Combination.Side.CHOSEN) {
                fish[i] *= ratio;
            }
        }
    }

    /** Fits places, light and depth anew with the findings granted: a good choice thrown at a place had lifted the place. */
    void settle() {
        double[] tackle = new double[layout.size];
        for (int i = 0; i < tackle.length; i++) {
            tackle[i] = expected[i] / base[i];
        }
        base = expectedFish.fit(tackle);
        for (int i = 0; i < tackle.length; i++) {
            expected[i] = base[i] * tackle[i];
        }
        unrest = Unrest.of(layout, expected);
    }

    /** Fish to expect of each place with all findings but one granted. */
    double[] without(int i) {
        double[] rest = expected.clone();
        grant(rest, kept.get(i).combination(), 1 / granted.get(i));
        return rest;
    }
}
