package dusk.ledger.vocabulary;

import java.util.Arrays;
import java.util.List;

/**
 * Bands of a measured value. A lower bound belongs to its band: {@code 7-10 C} holds 7.0 and not 10.0.
 *
 * @param labels names of the bands in rising order
 * @param bounds the bounds between them, one fewer than labels
 */
record Band(List<String> labels, List<Double> bounds) {
    Band {
        if (labels.size() != bounds.size() + 1) {
            throw new IllegalArgumentException(labels.size() + " bands want " + (labels.size() - 1) + " bounds");
        }
    }

    static Band of(List<String> labels, double... bounds) {
        return new Band(labels, Arrays.stream(bounds).boxed().toList());
    }

    String label(double value) {
        int i = 0;
        while (i < bounds.size() && value >= bounds.get(i)) {
            i++;
        }
        return labels.get(i);
    }
}
