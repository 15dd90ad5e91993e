package dusk.ledger.tackle;

import static org.assertj.core.api.Assertions.assertThat;

import dusk.ledger.tackle.Assembly.Part;
import dusk.ledger.vocabulary.Words;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class AssemblyTest {
    private static final Set<Part> HOOKS =
            EnumSet.of(Part.HOOK, Part.WIDE_HOOK, Part.SHORT_HOOK, Part.TREBLE, Part.BAIT);

    static List<String> rigs() {
        return Words.of("rig");
    }

    /** A rig that is added to the vocabulary without its steps fails here. */
    @ParameterizedTest
    @MethodSource("rigs")
    void everyRigIsPutTogetherInThreeToFiveSteps(String rig) {
        List<Assembly.Step> steps = Assembly.of(rig);
        assertThat(steps).hasSizeBetween(3, 5);
        assertThat(steps)
                .allSatisfy(step -> assertThat(step.sentence())
                        .matches("[A-Z].*\\.")
                        .hasSizeLessThan(190)
                        .doesNotContain(";"));
        assertThat(steps).extracting(Assembly.Step::sentence).doesNotHaveDuplicates();
        assertThat(steps.get(steps.size() - 1).parts()).containsAnyElementsOf(HOOKS);
    }

    /** What has been tied on stays on: only how the plastic stands to the hook changes. */
    @ParameterizedTest
    @MethodSource("rigs")
    void whatIsOnTheLineStaysOnIt(String rig) {
        Set<Part> placed = EnumSet.range(Part.BESIDE, Part.NOSE);
        Set<Part> before = EnumSet.noneOf(Part.class);
        for (Assembly.Step step : Assembly.of(rig)) {
            assertThat(step.parts()).as(step.sentence()).containsAll(before);
            before = EnumSet.copyOf(step.parts());
            before.removeAll(placed);
        }
    }

    @Test
    void aRigOfOnesOwnHasNoSteps() {
        assertThat(Assembly.of("our own")).isEmpty();
    }

    /** How a rig holds its plastic is one thing, whoever says it. */
    @ParameterizedTest
    @MethodSource("rigs")
    void theLastStepHoldsThePlasticAsTheRigDoes(String rig) {
        Set<Part> last =
                EnumSet.copyOf(Assembly.of(rig).get(Assembly.of(rig).size() - 1).parts());
        boolean middle = Set.of("wacky", "weighted wacky", "weedless wacky", "nail-weighted wacky", "sliding wacky")
                .contains(rig);
        assertThat(last.contains(Part.MIDDLE)).isEqualTo(middle);
        assertThat(last.contains(Part.WEIGHT_BELOW))
                .isEqualTo(Set.of("drop shot", "sliding wacky", "linked weight").contains(rig));
    }
}
