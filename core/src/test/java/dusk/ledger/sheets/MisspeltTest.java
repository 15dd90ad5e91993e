package dusk.ledger.sheets;

import static org.assertj.core.api.Assertions.assertThat;

import dusk.ledger.journal.SetUp;
import dusk.ledger.journal.SetUpBuilder;
import dusk.ledger.units.Length;
import dusk.ledger.vocabulary.Words;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class MisspeltTest {
    private static SetUp setUp(String id, String rig, int mm, String colour) {
        return SetUpBuilder.builder()
                .id(id)
                .rig(rig)
                .plasticLength(Length.ofMillimetres(mm))
                .colour(colour)
                .build();
    }

    @ParameterizedTest
    @CsvSource({
        "colour, grn pumpkin, green pumpkin",
        "colour, watermellon, watermelon",
        "colour, moter oil, motor oil",
        "species, largmouth, largemouth",
        "structure, brush piles, brush pile",
        "rig, dropshot, drop shot",
    })
    void aSlipOfThePenIsTold(String column, String word, String meant) {
        assertThat(new Misspelt(List.of()).meant(column, word, Words.of(column)))
                .contains(meant);
    }

    @ParameterizedTest
    @CsvSource({"colour, lemon", "species, burbot", "structure, mussel bed"})
    void aWordOfItsOwnIsLikeNone(String column, String word) {
        assertThat(new Misspelt(List.of()).meant(column, word, Words.of(column)))
                .isEmpty();
    }

    /** Less alike words are asked about where they stand on set-ups of the same rig and length, and only there. */
    @Test
    void aNeighbourOnTheSameKindOfSetUpIsAskedAbout() {
        List<String> known = List.of("silver shad", "silvery scale");
        List<SetUp> beside = List.of(setUp("a", "wacky", 100, "silver scl"), setUp("b", "wacky", 100, "silver shad"));
        List<SetUp> apart = List.of(setUp("a", "wacky", 100, "silver scl"), setUp("b", "wacky", 150, "silver shad"));
        List<String> shad = List.of("silver shad");
        assertThat(new Misspelt(beside).meant("colour", "silver scl", shad)).contains("silver shad");
        assertThat(new Misspelt(apart).meant("colour", "silver scl", shad))
                .isEqualTo(new WordGuess(shad).of("silver scl").map(WordGuess.Guess::word));
        assertThat(new Misspelt(beside).meant("cause", "snagged up here", known))
                .isEmpty();
    }

    @Test
    void theWordItselfIsNoGuess() {
        assertThat(new Misspelt(List.of()).meant("colour", "violet", List.of("violet")))
                .isEmpty();
    }
}
