package dusk.ledger.vocabulary;

import java.util.List;

/**
 * Bands of a measured value. A lower bound belongs to its band: {@code 7-10 C} holds 7.0 and not 10.0.
 *
 * @param labels names of the bands in rising order
 * @param bounds the bounds between them, one fewer than labels
 */
record Band(List<String> labels, double[] bounds) {
    Band {
        if (labels.size() != bounds.length + 1) {
            throw new IllegalArgumentException(labels.size() + " bands want " + (labels.size() - 1) + " bounds");
        }
    }

    static Band of(List<String> labels, double... bounds) {
        return new Band(labels, bounds);
    }

    String label(double value) {
        int i = 0;
        while (i < bounds.length && value >= bounds[i]) {
            i++;
        }
        return labels.get(i);
    }
}
