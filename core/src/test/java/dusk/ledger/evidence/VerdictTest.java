package dusk.ledger.evidence;

import static org.assertj.core.api.Assertions.assertThat;

import dusk.ledger.vocabulary.Factor;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class VerdictTest {
    private static LevelFigures level(String name, GammaPrior prior, Effort... trips) {
        CatchRate rate = CatchRate.of(List.of(trips));
        return new LevelFigures(
                name,
                trips.length * 2,
                trips.length,
                2,
                rate.rodHours(),
                (int) rate.fish(),
                (int) List.of(trips).stream().mapToDouble(Effort::fish).max().orElse(0),
                rate,
                prior.given(new Effort(rate.fish(), rate.rodHours())),
                1);
    }

    private static Effort[] trips(int count, double fish, double hours) {
        List<Effort> trips = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            trips.add(new Effort(fish + i % 2, hours));
        }
        return trips.toArray(Effort[]::new);
    }

    private static Verdict of(GammaPrior prior, LevelFigures... levels) {
        Question question = new Question(Factor.COLOUR, Map.of(), null, null);
        return Verdict.of(new Comparison(question, List.of(levels), prior, 1));
    }

    @Test
    void aLevelFarAheadOnManyTripsStandsClear() {
        GammaPrior prior = new GammaPrior(2, 1);
        Verdict verdict = of(
                prior,
                level("violet", prior, trips(10, 8, 2)),
                level("pearl", prior, trips(10, 1, 2)),
                level("smoke", prior, trips(10, 1, 2)));
        assertThat(verdict.kind()).isEqualTo(Verdict.Kind.LEADS);
        assertThat(verdict.sentence())
                .startsWith("By the plain tally violet stands clear of the others: ")
                .contains("from 20 rod-hours on 10 trips");
    }

    @Test
    void oneGreatTripDoesNotMakeABestChoice() {
        GammaPrior prior = new GammaPrior(2, 1);
        Effort[] lucky = trips(8, 1, 2);
        lucky[0] = new Effort(60, 2);
        Verdict verdict = of(prior, level("glow bright", prior, lucky), level("pearl", prior, trips(8, 2, 2)));
        assertThat(verdict.kind()).isEqualTo(Verdict.Kind.FIRST_AMONG_NEAR_EQUALS);
        assertThat(verdict.doubts()).anyMatch(d -> d.contains("60 of its 71 fish came on one trip"));
    }

    @Test
    void levelsThatDifferNoMoreThanChanceAreCalledThat() {
        GammaPrior prior = new GammaPrior(1e4, 5e3);
        Verdict verdict = of(prior, level("violet", prior, trips(5, 3, 2)), level("pearl", prior, trips(5, 3, 2)));
        assertThat(verdict.kind()).isEqualTo(Verdict.Kind.NO_DIFFERENCE);
        assertThat(verdict.doubts()).anyMatch(d -> d.contains("rod-hours with each"));
    }

    @Test
    void littleFishingIsNotEnoughAndSaysWhatWouldTeachMost() {
        GammaPrior prior = new GammaPrior(1, 1);
        Verdict verdict = of(prior, level("violet", prior, trips(4, 2, 2)), level("pearl", prior, trips(1, 2, 1)));
        assertThat(verdict.kind()).isEqualTo(Verdict.Kind.NOT_ENOUGH);
        assertThat(verdict.sentence()).startsWith("Not enough fishing to say: only violet");
        assertThat(verdict.doubts()).anyMatch(d -> d.startsWith("Nearest to it is pearl"));
    }

    @Test
    void blanksAloneAreAResult() {
        CatchRate rate = CatchRate.of(List.of(new Effort(0, 6.5)));
        LevelFigures blank = new LevelFigures("violet", 3, 1, 1, 6.5, 0, 0, rate, null, 1);
        Question question = new Question(Factor.COLOUR, Map.of(), null, null);
        Verdict verdict = Verdict.of(new Comparison(question, List.of(blank), null, 1));
        assertThat(verdict.sentence()).startsWith("No fish in 6.5 rod-hours");
    }
}
