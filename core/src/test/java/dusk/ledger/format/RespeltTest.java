package dusk.ledger.format;

import static org.assertj.core.api.Assertions.assertThat;

import dusk.ledger.demo.DemoClub;
import dusk.ledger.journal.Catch;
import dusk.ledger.journal.Ledger;
import dusk.ledger.journal.SetUp;
import dusk.ledger.stints.StintTable;
import dusk.ledger.vocabulary.Factor;
import java.util.Map;
import java.util.Objects;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class RespeltTest {
    private static final Ledger LEDGER = DemoClub.ledger(7);

    private static long colour(Ledger ledger, String word) {
        return ledger.setUps().stream().filter(s -> word.equals(s.colour())).count();
    }

    @Test
    void aWordCountsAsWhatItStandsForAndNothingElseChanges() {
        Ledger said = Respelt.of(LEDGER, Map.of("colour", Map.of("violet", "dark plum")));
        assertThat(colour(LEDGER, "violet")).isPositive();
        assertThat(colour(said, "violet")).isZero();
        assertThat(colour(said, "dark plum")).isEqualTo(colour(LEDGER, "violet") + colour(LEDGER, "dark plum"));
        assertThat(said.setUps())
                .extracting(SetUp::id)
                .isEqualTo(LEDGER.setUps().stream().map(SetUp::id).toList());
        assertThat(said.setUps().stream().filter(s -> !Objects.equals(s.colour(), "dark plum")))
                .allMatch(LEDGER.setUps()::contains);
        assertThat(said.stints()).isEqualTo(LEDGER.stints());
        assertThat(said.catches()).isEqualTo(LEDGER.catches());
    }

    @Test
    void effortIsNeitherLostNorMade() {
        StintTable before = StintTable.of(LEDGER);
        StintTable after = StintTable.of(Respelt.of(LEDGER, Map.of("species", Map.of("pike", "walleye"))));
        assertThat(after.size()).isEqualTo(before.size());
        assertThat(IntStream.range(0, after.size()).mapToDouble(after::rodHours).sum())
                .isEqualTo(IntStream.range(0, before.size())
                        .mapToDouble(before::rodHours)
                        .sum());
        assertThat(after.codes(Factor.COLOUR).levels())
                .isEqualTo(before.codes(Factor.COLOUR).levels());
        assertThat(Respelt.of(LEDGER, Map.of("species", Map.of("pike", "walleye")))
                        .catches())
                .extracting(Catch::species)
                .doesNotContain("pike");
    }

    @Test
    void withoutSuchWordsItIsTheLedgerItself() {
        assertThat(Respelt.of(LEDGER, Map.of())).isSameAs(LEDGER);
        assertThat(Respelt.of(LEDGER, Map.of("colour", Map.of("lemon", "pearl"))))
                .isEqualTo(LEDGER);
    }
}
