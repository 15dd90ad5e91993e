package dusk.ledger.water;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dusk.ledger.units.Length;
import dusk.ledger.units.Mass;
import dusk.ledger.vocabulary.Words;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class RetrieveTest {
    private static final Lure HEAD = Lure.of(
            new Lure.Parts(Mass.ofGrams(10), "lead", "creature", Length.ofMillimetres(90), "plastisol", 0.4, 0, 0),
            Cast.FRESH);

    private static Path follow(double castM, String retrieve) {
        Cast cast = new Cast(4, castM, 1.5, 0.00025, Cast.FRESH, 0, 0);
        return Motion.of(HEAD, cast, new Phase.FallSlack(60), Retrieve.parse(retrieve, 0.4));
    }

    @Test
    void isReadAsItIsSaid() {
        assertThat(Retrieve.parse(
                        "Reel for 3 s, reel 0.5 m/s for 2s; pause 2 s,\nlift 30 cm, fall tight to the bottom, "
                                + "fall slack 4 s, reel home at 1 m/s",
                        0.4))
                .isEqualTo(new Retrieve(
                        List.of(
                                new Phase.Reel(0.4, 3),
                                new Phase.Reel(0.5, 2),
                                new Phase.Pause(2),
                                new Phase.Lift(0.3),
                                new Phase.FallTight(Path.LONGEST_SECONDS),
                                new Phase.FallSlack(4),
                                new Phase.ReelHome(1)),
                        false,
                        0.4));
        assertThat(Retrieve.parse("reel for 3 s, pause 1 s, again", 0.4).again())
                .isTrue();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "wiggle 3 s | “wiggle 3 s” is no part of a retrieve",
                "again | “again” is no part of a retrieve",
                "pause 1 s, again, lift 1 m | nothing can follow it",
                "pause 0 s | more than 0",
                "pause 9999 s | at most 600",
                "reel 9 m/s for 2 s | at most 3 m/s",
                "reel soon for 2 s | Write it like 4 m/s",
                "lift 40 m | at most 10 m",
                "pause 1 s, pause 1 s, pause 1 s, pause 1 s, pause 1 s, pause 1 s, pause 1 s, pause 1 s, pause "
                        + "1 s, pause 1 s, pause 1 s, pause 1 s, pause 1 s | At most 12 parts",
            })
    void saysWhatIsWrong(String text, String expected) {
        assertThatThrownBy(() -> Retrieve.parse(text, 0.4))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining(expected);
    }

    @Test
    void aHopLeavesTheBottomAndComesBackToItUntilItIsUnderTheRod() {
        Path path = follow(20, "lift 0.5 m, fall tight to bottom, again");
        int hops = 0;
        double highest = 4;
        for (int i = 1; i < path.points().size(); i++) {
            Path.Point a = path.points().get(i - 1);
            Path.Point b = path.points().get(i);
            hops += a.contact() && !b.contact() ? 1 : 0;
            if (a.seconds() > path.secondsTo(4).orElseThrow() && b.outM() > 6) {
                highest = Math.min(highest, b.z());
            }
        }
        assertThat(hops).isGreaterThan(8);
        assertThat(highest).isBetween(3.0, 3.95);
        assertThat(path.last().outM()).isLessThanOrEqualTo(Motion.HOME_M + 1e-3);
    }

    @Test
    void whatIsLetDownBesideTheBoatCanBeLiftedAndHeld() {
        Path path = follow(0.5, "lift 1 m, pause 10 s");
        assertThat(path.last().z()).isBetween(2.9, 3.1);
        assertThat(path.last().seconds()).isGreaterThan(path.secondsTo(4).orElseThrow() + 10);
        assertThat(new Band(2.5, 3.5).secondsOf(path)).isGreaterThan(10);
    }

    @Test
    void everyWordOfTheVocabularyHasARhythmThatComesToAnEnd() {
        for (String presentation : Words.of("presentation")) {
            Cast cast = new Cast(4, 20, 1.5, 0.00025, Cast.FRESH, 0, 0);
            Path path = Motion.of(HEAD, cast, new Phase.FallSlack(60), Retrieve.of(presentation, 0.4));
            assertThat(path.last().seconds()).as(presentation).isBetween(20.0, Path.LONGEST_SECONDS - 1);
            assertThat(path.last().outM() <= Motion.HOME_M + 1e-3)
                    .as(presentation)
                    .isEqualTo(!presentation.equals("vertical hold"));
        }
        assertThat(Retrieve.of("steady retrieve", 0.4).phases()).containsExactly(new Phase.ReelHome(0.4));
    }
}
