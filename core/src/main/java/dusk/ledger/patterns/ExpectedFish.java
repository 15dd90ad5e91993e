package dusk.ledger.patterns;

import dusk.ledger.vocabulary.Factor;
import java.util.Arrays;
import java.util.List;

/**
 * Fish to expect of a stint whatever is thrown, m = e g_spot g_light g_depth: it stands for rod-hours in a pattern's
 * comparison, so that a good place, hour or depth is not credited to a lure. Fitted without tackle beside a free
 * multiplier (fish over expected) for each trip x angler; g = (Y + 2)/(M + 2), M the expectation at that level with
 * its own g at 1; swept until no multiplier moves by 1e-6.
 */
final class ExpectedFish {
    private static final List<Factor> BY = List.of(Factor.SPOT, Factor.LIGHT, Factor.DEPTH);
    private static final double PULL = 2;
    private static final double SETTLED = 1e-6;
    private static final int MOST_SWEEPS = 200;

    private final Layout layout;
    private final short[][] codes = new short[BY.size()][];
    private final double[][] g = new double[BY.size()][];
    private final double[] own;

    ExpectedFish(Layout layout) {
        this.layout = layout;
        for (int f = 0; f < g.length; f++) {
            codes[f] = layout.codes(BY.get(f));
            g[f] = new double[layout.levels(BY.get(f)).size()];
            Arrays.fill(g[f], 1);
        }
        own = new double[layout.blocks()];
    }

    /**
     * m by place in the layout, the part of tackle left out. What an earlier fit found is where the next one starts.
     *
     * @param tackle by place, what is known of the tackle in use: 1 where nothing is
     */
    double[] fit(double[] tackle) {
        double[] m = expected(tackle);
        for (int sweep = 0; sweep < MOST_SWEEPS; sweep++) {
            double moved = blocks(layout, m, own);
            for (int f = 0; f < g.length; f++) {
                moved = Math.max(moved, factor(m, f));
            }
            if (moved < SETTLED) {
                break;
            }
        }
        double[] without = expected(tackle);
        for (int i = 0; i < without.length; i++) {
            without[i] /= tackle[i];
        }
        return without;
    }

    private double[] expected(double[] tackle) {
        double[] m = layout.rodHours.clone();
        for (int i = 0; i < m.length; i++) {
            m[i] *= tackle[i];
            for (int f = 0; f < g.length; f++) {
                m[i] *= g[f][codes[f][i]];
            }
        }
        return m;
    }

    private static double blocks(Layout layout, double[] m, double[] own) {
        double[] fish = new double[own.length];
        double[] expected = new double[own.length];
        for (int i = 0; i < m.length; i++) {
            fish[layout.block[i]] += layout.fish[i];
            expected[layout.block[i]] += m[i];
        }
        double moved = 0;
        for (int b = 0; b < own.length; b++) {
            double next = fish[b] / expected[b];
            moved = Math.max(moved, Math.abs(next - own[b]));
            own[b] = next;
        }
        return moved;
    }

    /** Fits one factor's multipliers and brings m up to them. */
    private double factor(double[] m, int f) {
        double[] multipliers = g[f];
        short[] code = codes[f];
        double[] fish = new double[multipliers.length];
        double[] expected = new double[multipliers.length];
        for (int i = 0; i < m.length; i++) {
            fish[code[i]] += layout.fish[i];
            expected[code[i]] += m[i] * own[layout.block[i]];
        }
        double moved = 0;
        double[] change = new double[multipliers.length];
        for (int level = 0; level < multipliers.length; level++) {
            double next = (fish[level] + PULL) / (expected[level] / multipliers[level] + PULL);
            moved = Math.max(moved, Math.abs(next - multipliers[level]));
            change[level] = next / multipliers[level];
            multipliers[level] = next;
        }
        for (int i = 0; i < m.length; i++) {
            m[i] *= change[code[i]];
        }
        return moved;
    }
}
