package dusk.ledger.web.trips;

import static org.assertj.core.api.Assertions.assertThat;

import dusk.ledger.demo.DemoClub;
import dusk.ledger.journal.Catch;
import dusk.ledger.journal.Ledger;
import dusk.ledger.journal.Stint;
import dusk.ledger.stints.StintTable;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/** A year at a glance says what the ledger holds of it, counted here another way. */
class YearGlanceTest {
    private static final Ledger LEDGER = DemoClub.ledger(DemoClub.SEED);

    private static final Map<String, Stint> STINTS =
            LEDGER.stints().stream().collect(Collectors.toMap(Stint::id, Function.identity()));

    private static boolean thisYear(Stint stint) {
        return stint.startedAt().atZone(ZoneOffset.UTC).getYear() == 2026;
    }

    @Test
    void theYearIsTheLastThatWasFishedWithAllItsFish() {
        List<Stint> year =
                LEDGER.stints().stream().filter(YearGlanceTest::thisYear).toList();
        int fish = LEDGER.catches().stream()
                .filter(c -> thisYear(STINTS.get(c.stintId())))
                .mapToInt(Catch::count)
                .sum();
        long hours = Math.round(year.stream().mapToDouble(Stint::rodHours).sum());
        long trips = year.stream().map(Stint::tripId).distinct().count();
        YearGlance glance = YearGlance.of(StintTable.of(LEDGER), "");
        assertThat(glance.words())
                .isEqualTo("2026: " + fish + " fish in " + hours + " rod-hours, " + trips + " trips.");
        assertThat(glance.svg()).contains("aria-label=\"" + glance.words()).contains("Jun: ");
    }

    @Test
    void ofASpeciesItsFishAreCounted() {
        int pike = LEDGER.catches().stream()
                .filter(c -> c.species().equals("pike") && thisYear(STINTS.get(c.stintId())))
                .mapToInt(Catch::count)
                .sum();
        assertThat(pike).isPositive();
        assertThat(YearGlance.of(StintTable.of(LEDGER), "pike").words()).startsWith("2026: " + pike + " fish in ");
    }

    @Test
    void whereNothingWasFishedThereIsNothingToSee() {
        StintTable none = StintTable.of(LEDGER).where(row -> false);
        assertThat(YearGlance.of(none, "")).isEqualTo(new YearGlance("", ""));
    }
}
