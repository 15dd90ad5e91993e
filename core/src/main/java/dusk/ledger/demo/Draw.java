package dusk.ledger.demo;

import java.util.List;
import java.util.function.ToDoubleFunction;
import java.util.random.RandomGenerator;

/** Seeded draws. */
final class Draw {
    private final RandomGenerator random;

    Draw(RandomGenerator random) {
        this.random = random;
    }

    RandomGenerator random() {
        return random;
    }

    boolean chance(double p) {
        return random.nextDouble() < p;
    }

    double between(double low, double high) {
        return low + (high - low) * random.nextDouble();
    }

    int whole(int low, int highInclusive) {
        return random.nextInt(low, highInclusive + 1);
    }

    <T> T one(List<T> of) {
        return of.get(random.nextInt(of.size()));
    }

    <T> T weighted(List<T> of, ToDoubleFunction<T> weight) {
        double left = random.nextDouble() * of.stream().mapToDouble(weight).sum();
        for (T one : of) {
            left -= weight.applyAsDouble(one);
            if (left <= 0) {
                return one;
            }
        }
        return of.get(of.size() - 1);
    }

    /** Log-normal with mean 1. */
    double swing(double sigma) {
        return Math.exp(sigma * random.nextGaussian() - sigma * sigma / 2);
    }

    /** Poisson by products of uniforms (Knuth); means here are small. */
    int poisson(double mean) {
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
