package dusk.ledger.review;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dusk.ledger.demo.DemoClub;
import dusk.ledger.evidence.LikeForLike;
import dusk.ledger.evidence.Question;
import dusk.ledger.journal.Catch;
import dusk.ledger.journal.Ledger;
import dusk.ledger.journal.Spot;
import dusk.ledger.journal.Stint;
import dusk.ledger.stints.StintTable;
import dusk.ledger.vocabulary.Factor;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class ClubYearTest {
    private static final Ledger LEDGER = DemoClub.ledger(DemoClub.SEED);
    private static final StintTable TABLE = StintTable.of(LEDGER).rated();

    private static List<Stint> of(int year) {
        Set<String> rated = Stream.iterate(0, i -> i < TABLE.size(), i -> i + 1)
                .map(TABLE::id)
                .collect(Collectors.toSet());
        return LEDGER.stints().stream()
                .filter(s -> rated.contains(s.id()))
                .filter(s -> s.startedAt().atOffset(ZoneOffset.UTC).getYear() == year)
                .toList();
    }

    /** Counted a second time from the records themselves. */
    @ParameterizedTest
    @ValueSource(ints = {2024, 2025, 2026})
    void hoursBlanksAndWhoLoggedAddUp(int year) {
        ClubYear found = ClubYear.of(TABLE, year);
        List<Stint> stints = of(year);
        Map<String, Integer> landed = LEDGER.catches().stream()
                .collect(Collectors.groupingBy(Catch::stintId, Collectors.summingInt(Catch::count)));
        Map<String, Integer> byTrip = stints.stream()
                .collect(Collectors.groupingBy(
                        Stint::tripId, Collectors.summingInt(s -> landed.getOrDefault(s.id(), 0))));
        assertThat(found.effort().stints()).isEqualTo(stints.size()).isPositive();
        assertThat(found.effort().blankStints()).isEqualTo((int)
                stints.stream().filter(s -> !landed.containsKey(s.id())).count());
        assertThat(found.effort().trips()).isEqualTo(byTrip.size());
        assertThat(found.effort().blankTrips())
                .isEqualTo((int) byTrip.values().stream().filter(n -> n == 0).count());
        assertThat(found.effort().rodHours())
                .isCloseTo(stints.stream().mapToDouble(Stint::minutes).sum() / 60, within(1e-6));
        assertThat(found.anglers().stream()
                        .mapToDouble(ClubYear.ByAngler::rodHours)
                        .sum())
                .isCloseTo(found.effort().rodHours(), within(1e-6));
        assertThat(found.anglers().stream().mapToInt(ClubYear.ByAngler::fish).sum())
                .isEqualTo(found.effort().fish())
                .isEqualTo(byTrip.values().stream().mapToInt(n -> n).sum());
        assertThat(found.anglers()).isSortedAccordingTo((a, b) -> Double.compare(b.rodHours(), a.rodHours()));
    }

    /** What is sure at the end was learnt in one of the years, unless it was lost again. */
    @Test
    void whatIsSureWasLearntInSomeYear() {
        List<ClubYear> years = Stream.of(2024, 2025, 2026)
                .map(year -> ClubYear.of(TABLE, year))
                .toList();
        long learnt = years.stream().mapToLong(y -> y.learnt().size()).sum();
        long lost = years.stream().mapToLong(y -> y.lost().size()).sum();
        long sure = Stream.of(
                        Factor.RIG,
                        Factor.HEAD_MASS,
                        Factor.HEAD_SHAPE,
                        Factor.HEAD_MATERIAL,
                        Factor.PLASTIC,
                        Factor.PLASTIC_LENGTH,
                        Factor.COLOUR,
                        Factor.PRESENTATION,
                        Factor.SPEED)
                .mapToLong(factor -> LikeForLike.of(TABLE, new Question(factor, Map.of(), null, null))
                        .sure()
                        .size())
                .sum();
        assertThat(learnt - lost).isEqualTo(sure).isPositive();
        assertThat(years.get(0).lost())
                .as("nothing was sure before the first year")
                .isEmpty();
        assertThat(years.get(0).fallen()).isEmpty();
    }

    @Test
    void aRuleThatFellStaysFallenUntilTheRecordsSayOtherwise() {
        ClubYear last = ClubYear.of(TABLE, 2026);
        ClubYear later = ClubYear.of(TABLE, 2027);
        assertThat(later.fell()).isEmpty();
        assertThat(later.fallen())
                .containsExactlyInAnyOrderElementsOf(Stream.concat(last.fell().stream(), last.fallen().stream())
                        .toList());
        assertThat(later.effort()).isEqualTo(new ClubYear.Effort(0, 0, 0, 0, 0, 0));
        assertThat(later.learnt()).isEmpty();
    }

    @Test
    void noPlaceIsNamed() {
        String all = Stream.of(2024, 2025, 2026)
                .map(year -> ClubYear.of(TABLE, year).toString())
                .collect(Collectors.joining());
        assertThat(LEDGER.spots().stream().map(Spot::label).filter(l -> l != null))
                .isNotEmpty()
                .allSatisfy(label -> assertThat(all).doesNotContain(label));
    }
}
