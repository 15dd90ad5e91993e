package dusk.ledger.evidence;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.function.ToDoubleFunction;
import java.util.stream.IntStream;

/** Control of false discoveries by Benjamini and Hochberg (J. R. Stat. Soc. B 57, 1995). */
public final class FalseDiscovery {
    private FalseDiscovery() {}

    /**
     * q values: q of the i-th smallest p is the least of p_j n / j over j >= i, and at most 1.
     *
     * @param p in [0, 1], in any order
     * @return q in the same order
     */
    public static double[] q(double[] p) {
        int n = p.length;
        int[] order = IntStream.range(0, n)
                .boxed()
                .sorted(Comparator.comparingDouble(i -> p[i]))
                .mapToInt(Integer::intValue)
                .toArray();
        double[] q = new double[n];
        double least = 1;
        for (int rank = n; rank >= 1; rank--) {
            int i = order[rank - 1];
            least = Math.min(least, p[i] * n / rank);
            q[i] = least;
        }
        return q;
    }

    /** Makes the same thing with its q. */
    interface WithQ<T> {
        T of(T one, double q);
    }

    /** Things with a p by rising p, each with its q among them; those without one behind, as they are. @param p NaN for none */
    static <T> List<T> ranked(List<T> all, ToDoubleFunction<T> p, WithQ<T> withQ) {
        List<T> tested = all.stream()
                .filter(one -> !Double.isNaN(p.applyAsDouble(one)))
                .sorted(Comparator.comparingDouble(p))
                .toList();
        double[] q = q(tested.stream().mapToDouble(p).toArray());
        List<T> ranked = new ArrayList<>();
        for (int i = 0; i < q.length; i++) {
            ranked.add(withQ.of(tested.get(i), q[i]));
        }
        all.stream().filter(one -> Double.isNaN(p.applyAsDouble(one))).forEach(ranked::add);
        return List.copyOf(ranked);
    }

    /** The largest p whose q is at most a rate; 0 where none is. */
    public static double cut(double[] p, double[] q, double rate) {
        return IntStream.range(0, p.length)
                .filter(i -> q[i] <= rate)
                .mapToDouble(i -> p[i])
                .max()
                .orElse(0);
    }
}
