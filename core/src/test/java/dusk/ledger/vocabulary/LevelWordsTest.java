package dusk.ledger.vocabulary;

import static org.assertj.core.api.Assertions.assertThat;

import dusk.ledger.units.UnitSystem;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What is said of levels, as an angler says it. */
class LevelWordsTest {
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "HEAD_MASS | 3.5 g | a 3.5 g head",
                "HEAD_SHAPE | football | a football head",
                "HEAD_SHAPE | none | no head",
                "PLASTIC_LENGTH | 75-100 mm | a plastic of 75-100 mm",
                "PLASTIC_LENGTH | under 50 mm | a plastic under 50 mm",
                "PLASTIC_BODY | hollow | a hollow plastic",
                "HOOK_HEIGHT | 30-60 cm | a hook 30-60 cm above the weight",
                "HOOK_PATTERN | offset | an offset hook",
                "PEGGED | true | the weight pegged",
                "PEGGED | false | the weight free to slide",
                "LEADER | none | no leader",
                "LEADER | 0.6-2 m | a leader of 0.6-2 m",
                "ROD_POWER | ultralight | an ultralight rod",
                "SPEED | slow | a slow speed",
                "PAUSE | none | no pause",
                "PAUSE | 5-15 s | a pause of 5-15 s",
                "COLOUR | pearl | pearl",
                "RIG | drop shot | drop shot",
                "PRESENTATION | dead-stick | dead-stick",
                "SEASON | winter | in winter",
            })
    void aChoiceIsSaidByItsNoun(Factor factor, String level, String said) {
        assertThat(factor.named(level)).isEqualTo(said);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "SEASON | winter | in winter",
                "SEASON | pre-spawn | before the spawn",
                "SEASON | post-spawn | after the spawn",
                "LIGHT | dusk | at dusk",
                "LIGHT | day | by day",
                "LIGHT | low sun | in low sun",
                "LIGHT | night | at night",
                "CLARITY | 0.3-0.9 m | in water seen 0.3-0.9 m down",
                "WATER_TEMP | 7-10 C | in water of 7-10 C",
                "DEPTH | 3-6 m | in 3-6 m of water",
                "CURRENT | slow 0.05-0.3 | in a current (slow 0.05-0.3)",
                "WEATHER | after a front | after a front",
                "WEATHER | settled | in settled weather",
                "SKY | overcast | under an overcast sky",
                "SKY | rain | in rain",
                "STRUCTURE | dock | at a dock",
                "STRUCTURE | overhanging tree | at an overhanging tree",
                "STRUCTURE | open water | in open water",
                "BOTTOM | sand | over sand",
                "COVER | none | clear of cover",
                "FISH_POSITION | suspended | over fish suspended",
                "LEVEL_TREND | falling | in falling water",
                "TIDE | ebb | on the ebb",
                "TIDE | low slack | at low slack",
                "PRESSURE | heavy | where many others fish",
                "FORAGE | crayfish | where they eat crayfish",
                "COLOUR | pearl | with pearl",
                "HEAD_MASS | 3.5 g | with a 3.5 g head",
            })
    void aConditionIsSaidByItsPlace(Factor factor, String level, String said) {
        assertThat(factor.where(level)).isEqualTo(said);
    }

    /** Whatever the words around it: a band is still found, and said in feet, ounces and degrees of one's own. */
    @Test
    void noWordsHideABandFromItsReader() {
        BandWords own = BandWords.of(UnitSystem.US);
        int said = 0;
        for (Factor factor : Factor.values()) {
            for (String level : factor.order()) {
                if (!own.of(level).equals(level)) {
                    said++;
                    assertThat(own.of(factor.where(level))).contains(own.of(level));
                    assertThat(own.of(factor.named(level))).contains(own.of(level));
                }
            }
        }
        assertThat(said).as("bands that are said otherwise").isGreaterThan(30);
    }

    /** The names of conditions are those of places in a sentence: each begins with a word that leads there. */
    @Test
    void everyConditionHasItsPlace() {
        List<String> leads = List.of(
                "in ", "at ", "on ", "over ", "under ", "where ", "with ", "by ", "after ", "before ", "clear ");
        for (Factor factor : Factor.values()) {
            if (factor.kind() == Factor.Kind.CONDITION) {
                for (String level : factor.order().isEmpty() ? Words.of(factor.key()) : factor.order()) {
                    assertThat(factor.where(level))
                            .satisfies(said -> assertThat(leads).anyMatch(said::startsWith));
                }
            }
        }
    }
}
