package dusk.ledger.safety;

import static org.assertj.core.api.Assertions.assertThat;

import dusk.ledger.journal.SetUpBuilder;
import dusk.ledger.units.Force;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class HandlingTest {
    @ParameterizedTest
    @CsvSource({
        // rig, wire, pattern, line in N, leader in N, material of the plastic; what is said
        "open jig head, medium, , 90, , plastisol, ",
        "open jig head, heavy, , , , , ",
        "open jig head, treble, , 90, , , TRAILING_HOOKS",
        "open jig head, medium, treble, 90, , , TRAILING_HOOKS",
        "line-through head, , , , , , TRAILING_HOOKS",
        "hard bait, , , , , , TRAILING_HOOKS",
        "my plug (like: hard bait), , , , , , TRAILING_HOOKS",
        "drop shot, light, , , , , SWUNG_ABOARD",
        "drop shot, medium, , 40, , , SWUNG_ABOARD",
        "drop shot, medium, , 90, 35, , SWUNG_ABOARD",
        "wacky, medium, , 90, 70, floating elastomer, GLUE",
        "line-through head, light, , 40, , floating elastomer, TRAILING_HOOKS SWUNG_ABOARD GLUE"
    })
    void aSetUpIsHandledByWhatIsOnIt(
            String rig, String wire, String pattern, Double line, Double leader, String plastic, String said) {
        String all = String.join(
                " ",
                Handling.of(SetUpBuilder.builder()
                                .id("s")
                                .rig(rig)
                                .hookWire(wire)
                                .hookPattern(pattern)
                                .lineStrength(line == null ? null : Force.ofNewtons(line))
                                .leaderStrength(leader == null ? null : Force.ofNewtons(leader))
                                .plasticMaterial(plastic)
                                .build())
                        .stream()
                        .map(Enum::name)
                        .toList());
        assertThat(all).isEqualTo(said == null ? "" : said);
    }
}
