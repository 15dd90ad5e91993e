package dusk.ledger.patterns;

import dusk.ledger.vocabulary.Factor;
import java.util.Arrays;
import java.util.List;

/**
 * Fish to expect of a stint whatever is thrown, m = e g_spot g_light g_depth: it stands for rod-hours in a pattern's comparison, so that a good place,
 * hour or depth is not credited to a lure. Fitted without tackle beside a free multiplier (fish over expected) for each trip x angler;
 * g = (Y + 2)/(M + 2), M the expectation at that level with its own g at 1; swept until no multiplier moves by 1e-6.
 */
final class ExpectedFish {
    private static final List<Factor> BY = List.of(Factor.SPOT, Factor.LIGHT, Factor.DEPTH);
    private static final double PULL = 2;
    private static final double SETTLED = 1e-6;
    private static final int MOST_SWEEPS = 200;

    private ExpectedFish() {}

    /**
     * m by place in the layout, the part of tackle left out.
     *
     * @param tackle by place, what is known of the tackle in use: 1 where nothing is
     */
    static double[] of(Layout layout, double[] tackle) {
        int n = layout.size;
        double[][] g = new double[BY.size()][];
        int[][] codes = new int[BY.size()][];
        for (int f = 0; f < g.length; f++) {
            codes[f] = layout.codes(BY.get(f));
            g[f] = new double[layout.levels(BY.get(f)).size()];
            Arrays.fill(g[f], 1);
        }
        int blocks = n == 0 ? 0 : layout.block[n - 1] + 1;
        double[] own = new double[blocks];
        Arrays.fill(own, 1);
        double[] m = expected(layout, tackle, g, codes);
        for (int sweep = 0; sweep < MOST_SWEEPS; sweep++) {
            double moved = blocks(layout, m, own);
            for (int f = 0; f < g.length; f++) {
                moved = Math.max(moved, factor(layout, m, own, codes[f], g[f]));
                m = expected(layout, tackle, g, codes);
            }
            if (moved < SETTLED) {
                break;
            }
        }
        for (int i = 0; i < n; i++) {
            m[i] /= tackle[i];
        }
        return m;
    }

    /**
     * How much more stints of one trip of one angler differ than chance: Pearson's chi-square over its degrees of freedom, at least 1. Blocks without fish
     * tell nothing.
     */
    static double dispersion(Layout layout, double[] m) {
        int n = layout.size;
        int blocks = n == 0 ? 0 : layout.block[n - 1] + 1;
        double[] own = new double[blocks];
        blocks(layout, m, own);
        int[] stints = new int[blocks];
        for (int i = 0; i < n; i++) {
            stints[layout.block[i]]++;
        }
        double chiSquare = 0;
        double df = 0;
        for (int i = 0; i < n; i++) {
            double mean = m[i] * own[layout.block[i]];
            if (mean > 0) {
                chiSquare += (layout.fish[i] - mean) * (layout.fish[i] - mean) / mean;
                df += 1 - 1.0 / stints[layout.block[i]];
            }
        }
        return df > 0 ? Math.max(1, chiSquare / df) : 1;
    }

    private static double[] expected(Layout layout, double[] tackle, double[][] g, int[][] codes) {
        double[] m = layout.rodHours.clone();
        for (int i = 0; i < m.length; i++) {
            m[i] *= tackle[i];
        }
        for (int f = 0; f < g.length; f++) {
            for (int i = 0; i < m.length; i++) {
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

    private static double factor(Layout layout, double[] m, double[] own, int[] codes, double[] g) {
        double[] fish = new double[g.length];
        double[] expected = new double[g.length];
        for (int i = 0; i < m.length; i++) {
            fish[codes[i]] += layout.fish[i];
            expected[codes[i]] += m[i] / g[codes[i]] * own[layout.block[i]];
        }
        double moved = 0;
        for (int level = 0; level < g.length; level++) {
            double next = (fish[level] + PULL) / (expected[level] + PULL);
            moved = Math.max(moved, Math.abs(next - g[level]));
            g[level] = next;
        }
        return moved;
    }
}
