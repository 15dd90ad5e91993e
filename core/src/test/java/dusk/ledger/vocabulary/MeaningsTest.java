package dusk.ledger.vocabulary;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class MeaningsTest {
    static List<String> columns() {
        return Meanings.columns();
    }

    /** A word that is added to the vocabulary without its sentence fails here, and so does a sentence of no word. */
    @ParameterizedTest
    @MethodSource("columns")
    void everyWordOfAColumnIsToldOnceInItsOrder(String column) {
        assertThat(List.copyOf(Meanings.of(column).keySet())).isEqualTo(Words.of(column));
        Set<String> told = new HashSet<>(Meanings.of(column).values());
        assertThat(told).hasSameSizeAs(Words.of(column));
        assertThat(told)
                .allSatisfy(sentence -> assertThat(sentence)
                        .matches("[A-Z].*\\.")
                        .hasSizeLessThan(130)
                        .doesNotContain(";"));
    }

    @Test
    void whatAnglersChooseAndMeetIsToldAndAWordOfOnesOwnIsNot() {
        assertThat(Meanings.columns())
                .contains("rig", "plastic", "head_shape", "presentation", "keeper", "structure", "bite_on");
        assertThat(Meanings.of("rig", "drop shot"))
                .contains(
                        "The weight hangs at the end of the line, the hook above it: the plastic stays at its height off"
                                + " the bottom.");
        assertThat(Meanings.of("rig", "our own")).isEmpty();
        assertThat(Meanings.of("shoe_size")).isEmpty();
    }
}
