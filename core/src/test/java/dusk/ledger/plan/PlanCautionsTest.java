package dusk.ledger.plan;

import static org.assertj.core.api.Assertions.assertThat;

import dusk.ledger.units.Length;
import dusk.ledger.units.Speed;
import dusk.ledger.units.Temperature;
import dusk.ledger.units.UnitSystem;
import java.time.Instant;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PlanCautionsTest {
    private static PlanConditions at(
            double celsius, String weather, Double currentMps, Double depthM, String fish, String prey, boolean foot) {
        return PlanConditions.of(
                PlanConditions.reading(Instant.EPOCH)
                        .waterTemp(Temperature.ofCelsius(celsius))
                        .weather(weather)
                        .current(currentMps == null ? null : Speed.ofMetresPerSecond(currentMps))
                        .forage(prey)
                        .build(),
                new PlanConditions.At(null, null, null, depthM == null ? null : Length.ofMetres(depthM), fish, null),
                PlanConditions.Hour.UNKNOWN,
                new PlanConditions.Who(null, null, foot, false));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            nullValues = "-",
            value = {
                "14 | settled | -   | -  | -       | -        | false | Cold water",
                "3  | settled | -   | -  | -       | -        | false | Ice, where there is any",
                "25 | settled | -   | -  | -       | -        | false | Warm water: short fights",
                "28 | settled | -   | -  | -       | -        | false | Consider stopping",
                "18 | front coming | - | - | -     | -        | false | Thunder may come",
                "18 | settled | 0.4 | -  | -       | -        | true  | Wading in this current",
                "18 | settled | -   | 12 | -       | -        | false | hurt by being hauled up",
                "18 | settled | -   | -  | on beds | -        | false | Published local rules prevail",
                "18 | settled | -   | -  | -       | crayfish | false | Published local rules prevail",
            })
    void eachIsSaidWhereItApplies(
            double celsius,
            String weather,
            Double currentMps,
            Double depthM,
            String fish,
            String prey,
            boolean foot,
            String said) {
        assertThat(PlanCautions.of(at(celsius, weather, currentMps, depthM, fish, prey, foot), UnitSystem.METRIC))
                .anyMatch(caution -> caution.contains(said));
    }

    @Test
    void nothingIsSaidWhereNothingApplies() {
        assertThat(PlanCautions.of(at(18, "settled", 0.4, 3.0, "suspended", "baitfish", false), UnitSystem.METRIC))
                .isEmpty();
        assertThat(PlanCautions.of(PlanConditions.unknown(), UnitSystem.METRIC)).isEmpty();
    }
}
