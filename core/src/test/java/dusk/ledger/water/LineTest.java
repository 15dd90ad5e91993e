package dusk.ledger.water;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dusk.ledger.journal.SetUp;
import dusk.ledger.journal.SetUpBuilder;
import dusk.ledger.units.Force;
import dusk.ledger.units.Length;
import dusk.ledger.units.Mass;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The line in the water, the boat that drifts over it, and bodies that are not solid or not whole. */
class LineTest {
    private static final Lure LURE = Lure.of(
            new Lure.Parts(
                    Mass.ofGrams(5), "lead", "paddle-tail swimmer", Length.ofMillimetres(90), "plastisol", 0.5, 0, 0),
            Cast.FRESH);

    private static Cast cast(Line line) {
        return new Cast(6, 25, 1.5, line, Cast.FRESH, 0, 0);
    }

    private static double fallen(Cast cast) {
        Path path = Motion.of(LURE, cast, List.of(new Phase.FallSlack(Path.LONGEST_SECONDS)));
        return path.points().stream()
                .filter(p -> p.z() >= cast.depthM() - 1e-6)
                .findFirst()
                .orElseThrow()
                .seconds();
    }

    @ParameterizedTest
    @CsvSource({"0, 0.30", "0.5, 0.20", "2, 0.25", "6, 0.40", "20, 0.35"})
    void aLeaderFallsFirstAndTheSolverAgreesWithTheClosedForm(double leaderLengthM, double leaderMm) {
        Cast cast = cast(new Line(0.00015, leaderMm / 1000, leaderLengthM));
        assertThat(fallen(cast)).isCloseTo(cast.freeFallSeconds(LURE, 6), within(0.01));
    }

    @Test
    void aLeaderLongerThanTheWaterIsAllTheLineThereIs() {
        Cast leader = cast(new Line(0.0001, 0.0004, 50));
        assertThat(leader.freeFallSeconds(LURE, 6))
                .isCloseTo(cast(Line.of(Length.ofMillimetres(0.4))).freeFallSeconds(LURE, 6), within(1e-9));
        assertThat(leader.line().sweptM2(20)).isCloseTo(20 * 0.0004, within(1e-12));
        assertThat(new Line(0.0003, 0.0003, 2).sweptM2(20)).isCloseTo(20 * 0.0003, within(1e-12));
    }

    /** Far from the tip a piece is swept faster and on a longer arm: two metres of twenty-five count for more than their share. */
    @Test
    void theLeaderOfATightLineCountsForMoreThanItsShare() {
        double thin = new Line(0.0002, 0.0002, 0).sweptM2(25);
        double thick = new Line(0.0002, 0.0004, 2).sweptM2(25);
        assertThat((thick - thin) / thin).isBetween(2 / 25.0, 8 / 25.0);
    }

    @ParameterizedTest
    @CsvSource({
        "mono, 35.6, 0.218",
        "fluorocarbon, 35.6, 0.238",
        "braid, 70, 0.149",
        "mono, 15, 0.142",
        "braid, 200, 0.252"
    })
    void aDiameterIsEstimatedFromMaterialAndStrength(String material, double newtons, double mm) {
        assertThat(Line.estimated(material, Force.ofNewtons(newtons))
                        .orElseThrow()
                        .millimetres())
                .isCloseTo(mm, within(0.001));
        assertThat(Line.estimated("wire", Force.ofNewtons(newtons))).isEmpty();
        assertThat(Line.estimated(material, null)).isEmpty();
    }

    private static SetUpBuilder rigged() {
        return SetUpBuilder.builder()
                .id("s")
                .rig("open jig head")
                .headMass(Mass.ofGrams(7))
                .headMaterial("lead")
                .plastic("stick worm")
                .plasticLength(Length.ofMillimetres(100));
    }

    private static Tied.Known known(SetUp setUp) {
        return (Tied.Known) Tied.of(setUp);
    }

    @Test
    void whatIsEstimatedIsSaid() {
        SetUp braid = rigged().lineMaterial("braid")
                .lineStrength(Force.ofNewtons(70))
                .leaderMaterial("fluorocarbon")
                .leaderStrength(Force.ofNewtons(35.6))
                .leaderLength(Length.ofMetres(1.5))
                .build();
        assertThat(known(braid).taken())
                .containsExactly(
                        "The line is estimated from its strength as 0.15 mm, give or take a fifth.",
                        "The leader is estimated from its strength as 0.24 mm, give or take a fifth.");
        assertThat(known(braid).line().leaderLengthM()).isEqualTo(1.5);
        assertThat(known(rigged().build()).taken()).containsExactly("The line is taken as 0.25 mm; none is recorded.");
    }

    @Test
    void aPlasticWithoutABodySaysSoAndNeverFallsAsAnother() {
        Tied tied = Tied.of(rigged().plastic("a body of our own").build());
        assertThat(tied).isInstanceOf(Tied.Unknown.class);
        assertThat(((Tied.Unknown) tied).why()).startsWith("“a body of our own” has no body in the table.");
        assertThatThrownBy(() -> Lure.of(
                        new Lure.Parts(null, null, "a body of our own", Length.ofMillimetres(80), null, 0.4, 0, 0),
                        Cast.FRESH))
                .isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void aHollowBodyIsLighterInTheWaterAndACutOneKeepsItsThickness() {
        Lure solid = Lure.of(known(rigged().build()).parts(), Cast.FRESH);
        Lure hollow = Lure.of(known(rigged().plasticBody("hollow").build()).parts(), Cast.FRESH);
        assertThat(hollow.weightN()).isLessThan(solid.weightN());
        assertThat(hollow.dragM2()).isEqualTo(solid.dragM2());
        Lure cut = Lure.of(
                known(rigged().trimmedFrom(Length.ofMillimetres(150)).build()).parts(), Cast.FRESH);
        assertThat(cut.dragM2()).isGreaterThan(solid.dragM2());
        assertThat(cut.weightN()).isGreaterThan(solid.weightN());
    }

    @Test
    void aHookWeighsByItsSizeAndWire() {
        double small = known(rigged().hookSize("#4").build()).parts().hookGrams();
        double large = known(rigged().hookSize("5/0").build()).parts().hookGrams();
        double stout = known(rigged().hookSize("5/0").hookWire("heavy").build())
                .parts()
                .hookGrams();
        assertThat(small).isBetween(0.05, 0.2);
        assertThat(large).isBetween(1.0, 2.2);
        assertThat(stout).isGreaterThan(large);
        assertThat(known(rigged().build()).parts().hookGrams()).isEqualTo(Tied.USUAL_HOOK_G);
    }

    @Test
    void adriftTheWaterRunsTheOtherWayFromTopToBottom() {
        Cast still = cast(Line.of(Length.ofMillimetres(0.25)));
        Cast drifting = still.drifting(0.4, 90);
        for (double z : new double[] {0, 3, 6}) {
            assertThat(drifting.runsMps(z)[0]).isCloseTo(0, within(1e-12));
            assertThat(drifting.runsMps(z)[1]).isCloseTo(-0.4, within(1e-12));
        }
        assertThat(fallen(drifting)).isCloseTo(fallen(still), within(1e-6));
        Path path = Motion.of(LURE, drifting, List.of(new Phase.FallSlack(fallen(still) + 10)));
        Path.Point last = path.points().get(path.points().size() - 1);
        assertThat(last.y())
                .as("it lies where it lies, and the boat goes on")
                .isCloseTo(-0.4 * last.seconds(), within(0.01));
    }

    /** Drifting with the current of a river that runs alike from top to bottom would be still water; near the surface it is. */
    @Test
    void aBoatThatDriftsWithTheCurrentSeesTheSurfaceStandStill() {
        Cast both = new Cast(6, 25, 1.5, Line.of(Length.ofMillimetres(0.25)), Cast.FRESH, 0.5, 40).drifting(0.5, 40);
        assertThat(Math.hypot(both.runsMps(0)[0], both.runsMps(0)[1])).isCloseTo(0, within(1e-12));
        assertThat(Math.hypot(both.runsMps(6)[0], both.runsMps(6)[1])).isCloseTo(0.5, within(1e-12));
    }
}
