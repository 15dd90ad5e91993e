package dusk.ledger.evidence;

import java.util.List;

/**
 * Of two shares which is larger, within blocks: the Mantel-Haenszel risk ratio, sum(x n0/N) / sum(z n1/N), with
 * Var(log) = sum((M n1 n0 - x z N)/N^2) / (sum(x n0/N) sum(z n1/N)) (Greenland and Robins, Biometrics 41, 1985).
 */
public final class RiskRatio {
    private RiskRatio() {}

    /**
     * One block.
     *
     * @param x successes of n1 on A
     * @param z successes of n0 on B
     */
    public record Table(double x, double n1, double z, double n0) {}

    /** The ratio with its 95 % interval, or why there is none. */
    public static Estimate of(List<Table> blocks) {
        double forA = 0;
        double forB = 0;
        double spread = 0;
        for (Table block : blocks) {
            double n = block.n1() + block.n0();
            if (!(block.n1() > 0) || !(block.n0() > 0)) {
                continue;
            }
            forA += block.x() * block.n0() / n;
            forB += block.z() * block.n1() / n;
            spread += ((block.x() + block.z()) * block.n1() * block.n0() - block.x() * block.z() * n) / (n * n);
        }
        if (!(forB > 0)) {
            return new Estimate.None("none came of it on the other side");
        }
        if (!(forA > 0)) {
            return new Estimate.Figure(0, null, null, "none came of it on this side");
        }
        double log = Math.log(forA / forB);
        double reach = Quantiles.NORMAL_UPPER * Math.sqrt(spread / (forA * forB));
        return new Estimate.Figure(
                forA / forB,
                new Interval(Math.exp(log - reach), Math.exp(log + reach)),
                null,
                "no p is reckoned for it");
    }
}
