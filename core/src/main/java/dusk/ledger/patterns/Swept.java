package dusk.ledger.patterns;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/** What a sweep over all pieces came to, by number of terms: the families among which false discovery is kept. */
final class Swept {
    private static final int FAMILIES = 4;

    private final int[] testedOf = new int[FAMILIES];
    private final List<Tested> promising = new ArrayList<>();
    private int supported;
    private double precision;
    private double excess;

    void add(Sweep.Found found) {
        testedOf[found.terms()] += found.tested();
        supported += found.supported();
        precision += found.precision();
        excess += found.excess();
        promising.addAll(found.promising());
    }

    int supported() {
        return supported;
    }

    int tested() {
        return Arrays.stream(testedOf).sum();
    }

    /** How many of so many terms were tested. */
    int tested(int terms) {
        return testedOf[terms];
    }

    List<Tested> promising() {
        return promising;
    }

    /** tau^2 = max(0, sum w (x^2 - s^2) / sum w), w = 1/s^2: how much log ratios differ from 0 beyond their errors. */
    double spread() {
        return precision > 0 ? Math.max(0, excess / precision) : 0;
    }
}
