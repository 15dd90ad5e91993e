package dusk.ledger.water;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dusk.ledger.units.Length;
import dusk.ledger.units.Mass;
import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

class WaterTest {
    private static final double HALF_A_PERCENT = 0.005;

    static List<JsonNode> vectors() throws IOException {
        List<JsonNode> all = new ArrayList<>();
        try (InputStream in = WaterTest.class.getResourceAsStream("/vectors/water.json")) {
            JsonMapper.shared().readTree(in).forEach(all::add);
        }
        assertThat(all).hasSize(9);
        return all;
    }

    private static Lure lure(JsonNode v) {
        return Lure.of(
                new Lure.Parts(
                        Mass.ofGrams(v.path("head_mass_g").asDouble()),
                        v.path("head_material").asString(),
                        v.path("plastic").asString(),
                        Length.ofMillimetres(v.path("plastic_length_mm").asDouble()),
                        v.path("plastic_material").asString(),
                        v.path("hook_mass_g").asDouble(),
                        v.path("blade_m2").asDouble(),
                        0),
                Cast.FRESH);
    }

    private static Cast cast(JsonNode v) {
        return new Cast(
                v.path("depth_m").asDouble(),
                v.path("cast_m").asDouble(),
                v.path("rod_tip_m").asDouble(),
                v.path("line_diameter_mm").asDouble() / 1000,
                Cast.FRESH,
                0,
                0);
    }

    private static void same(double actual, JsonNode expected, double share) {
        assertThat(actual).isCloseTo(expected.asDouble(), within(Math.abs(expected.asDouble()) * share + 1e-6));
    }

    @ParameterizedTest
    @MethodSource("vectors")
    void stillWaterAgreesWithTheClosedForms(JsonNode v) {
        Lure lure = lure(v);
        Cast cast = cast(v);
        same(lure.weightN(), v.path("weight_n"), 1e-6);
        same(lure.dragM2(), v.path("drag_m2"), 1e-6);
        assertThat(lure.floats()).isEqualTo(v.path("floats").asBoolean()).isFalse();
        same(lure.terminalMps(Cast.FRESH), v.path("terminal_mps"), 1e-6);
        Arrival slack = Arrival.of(lure, cast, Arrival.Method.SLACK);
        same(slack.seconds(), v.path("slack_seconds"), HALF_A_PERCENT);
        assertThat(slack.shortM()).isCloseTo(0, within(1e-9));
        Arrival tight = Arrival.of(lure, cast, Arrival.Method.TIGHT);
        assertThat(tight.reaches()).isEqualTo(v.path("tight_reaches").asBoolean());
        if (tight.reaches()) {
            same(tight.seconds(), v.path("tight_seconds"), HALF_A_PERCENT);
            same(tight.shortM(), v.path("tight_short_m"), HALF_A_PERCENT);
        } else {
            assertThat(tight.seconds()).isNull();
            assertThat(tight.hangsAtM()).isCloseTo(cast.lineLengthM() - cast.rodTipM(), within(1e-9));
        }
    }

    @Test
    void whatFloatsHasNoTimes() {
        Lure cork = Lure.of(
                new Lure.Parts(null, null, "stick worm", Length.ofMillimetres(120), "floating elastomer", 0.1, 0, 0),
                Cast.FRESH);
        assertThat(cork.floats()).isTrue();
        assertThat(cork.terminalMps(Cast.FRESH)).isZero();
        assertThatThrownBy(() -> Arrival.of(cork, water(0, 0), Arrival.Method.SLACK))
                .hasMessageContaining("floats");
    }

    private static Lure example(double bladeM2) {
        return Lure.of(
                new Lure.Parts(
                        Mass.ofGrams(10),
                        "lead",
                        "paddle-tail swimmer",
                        Length.ofMillimetres(90),
                        "plastisol",
                        0.6,
                        bladeM2,
                        0),
                Cast.FRESH);
    }

    @Test
    void theTwoExamplesFallAsAnglersCountThem() {
        assertThat(example(0).terminalMps(Cast.FRESH)).isCloseTo(0.349, within(0.0006));
        assertThat(example(0.0006).terminalMps(Cast.FRESH)).isCloseTo(0.299, within(0.0006));
    }

    private static Cast water(double current, double heading) {
        return new Cast(5, 22, 1.5, 0.00025, Cast.FRESH, current, heading);
    }

    private static final List<Phase> DAY = List.of(
            new Phase.FallTight(30),
            new Phase.Reel(0.5, 3),
            new Phase.Pause(2),
            new Phase.FallSlack(4),
            new Phase.ReelHome(0.6));

    /**
     * On a tight line that is not taken in the lure keeps its distance from the tip, and never outruns its terminal
     * speed against the water.
     */
    @Test
    void aTightLineNeverLengthensAndNothingOutrunsItsTerminalSpeed() {
        Lure lure = example(0);
        for (double heading : new double[] {0, 60, 90, 180}) {
            for (double current : new double[] {0, 0.15, 0.4}) {
                Cast cast = water(current, heading);
                Path path = Motion.of(lure, cast, List.of(new Phase.FallTight(60)));
                double before = cast.lineLengthM();
                for (int i = 1; i < path.points().size(); i++) {
                    Path.Point p = path.points().get(i);
                    Path.Point q = path.points().get(i - 1);
                    double length = Math.hypot(p.outM(), p.z() + cast.rodTipM());
                    assertThat(length).isLessThanOrEqualTo(before + 1e-5);
                    double span = p.seconds() - q.seconds();
                    if (span > 1e-6) {
                        double speed = Math.sqrt(Math.pow(p.x() - q.x(), 2)
                                        + Math.pow(p.y() - q.y(), 2)
                                        + Math.pow(p.z() - q.z(), 2))
                                / span;
                        assertThat(speed).isLessThanOrEqualTo(lure.terminalMps(Cast.FRESH) + current + 1e-6);
                    }
                }
            }
        }
    }

    @Test
    void aCurrentFromTheLeftAndOneFromTheRightMirrorEachOther() {
        Path right = Motion.of(example(0), water(0.3, 90), DAY);
        Path left = Motion.of(example(0), water(0.3, 270), DAY);
        assertThat(right.last().seconds()).isCloseTo(left.last().seconds(), within(1e-6));
        assertThat(right.last().y()).isPositive().isCloseTo(-left.last().y(), within(1e-6));
        assertThat(right.last().x()).isCloseTo(left.last().x(), within(1e-6));
    }

    @ParameterizedTest
    @ValueSource(doubles = {0, 0.25})
    void aDayStaysInTheWaterAndEndsUnderTheRod(double current) {
        Path path = Motion.of(example(0), water(current, 120), DAY);
        assertThat(path.points()).allSatisfy(p -> assertThat(p.z()).isBetween(-1e-3, 5.0));
        for (int i = 1; i < path.points().size(); i++) {
            assertThat(path.points().get(i).seconds())
                    .isGreaterThanOrEqualTo(path.points().get(i - 1).seconds());
        }
        assertThat(path.touched()).isTrue();
        assertThat(path.contactShare()).isBetween(0.0, 1.0);
        assertThat(path.last().outM()).isLessThanOrEqualTo(Motion.HOME_M + 1e-6);
    }

    @Test
    void whatIsReeledTooFastSkatesHomeOnTheSurfaceAndSwingsWithTheCurrent() {
        for (double current : new double[] {0, 0.3}) {
            Path path =
                    Motion.of(example(0), water(current, 90), List.of(new Phase.FallSlack(1), new Phase.ReelHome(2)));
            assertThat(path.secondsBetween(0, 1e-6)).isGreaterThan(2);
            assertThat(path.last().outM()).isCloseTo(Motion.HOME_M, within(1e-6));
            assertThat(path.last().y() > 0.1).isEqualTo(current > 0);
            assertThat(path.contactShare()).isZero();
        }
    }

    /**
     * Many thousand steps for a path of ten minutes at the most: the solver never stalls where a line goes slack, a
     * lure hovers over the bottom, hangs, or skates.
     */
    @Test
    void everyCastHasAPathHoweverStrongTheCurrent() {
        SplittableRandom random = new SplittableRandom(5);
        List<String> ways = List.of(
                "reel home",
                "lift 1 m, fall slack to bottom, pause 2 s, again",
                "lift 0.3 m, fall tight to bottom, again",
                "reel for 2 s, pause 4 s, again",
                "pause 40 s, reel home",
                "reel for 2 s, fall slack 2 s, again");
        for (int i = 0; i < 200; i++) {
            Lure lure = Lure.of(
                    new Lure.Parts(
                            Mass.ofGrams(Math.exp(random.nextDouble() * 4)),
                            "lead",
                            "stick worm",
                            Length.ofMillimetres(random.nextDouble(40, 160)),
                            "plastisol",
                            0.4,
                            0,
                            0),
                    Cast.FRESH);
            Cast cast = new Cast(
                    random.nextDouble(0.3, 30),
                    random.nextDouble() * (i % 3 == 0 ? 4 : 60),
                    1.5,
                    random.nextDouble(0.0001, 0.0005),
                    Cast.FRESH,
                    i % 5 == 0 ? 0 : random.nextDouble(2.5),
                    i % 2 == 0 ? 45 * (i % 8) : random.nextDouble(360));
            Phase fall = i % 2 == 0 ? new Phase.FallTight(600) : new Phase.FallSlack(600);
            String way = ways.get(i % ways.size());
            Path path = Motion.of(lure, cast, fall, Retrieve.parse(way, random.nextDouble(0.05, 1.5)));
            assertThat(path.points()).as(cast + way).hasSizeLessThan(12_000);
            double outside = path.points().stream()
                    .mapToDouble(p -> Math.max(-p.z(), p.z() - cast.depthM()))
                    .max()
                    .orElseThrow();
            assertThat(outside).as(cast + way).isLessThan(1e-9);
        }
    }

    @Test
    void aHeavierHeadFallsFasterAndHoldsBottomMore() {
        double seconds = Double.MAX_VALUE;
        double contact = -1;
        for (double grams : new double[] {3.5, 7, 14, 28}) {
            Lure lure = Lure.of(
                    new Lure.Parts(
                            Mass.ofGrams(grams), "lead", "creature", Length.ofMillimetres(90), "plastisol", 0.4, 0, 0),
                    Cast.FRESH);
            Cast cast = water(0, 0);
            double next = cast.freeFallSeconds(lure, 5);
            assertThat(next).isLessThan(seconds);
            seconds = next;
            double share = Motion.of(lure, cast, List.of(new Phase.FallSlack(200), new Phase.ReelHome(0.25)))
                    .contactShare();
            assertThat(share).isGreaterThanOrEqualTo(contact - 1e-9);
            contact = share;
        }
        assertThat(contact).isGreaterThan(0.5);
    }

    @Test
    void fourCountedDropsRecoverAFactorAndASlipIsLeftOut() {
        Lure lure = example(0);
        Cast cast = water(0, 0);
        SplittableRandom random = new SplittableRandom(11);
        for (double truth : new double[] {0.7, 1.0, 1.6}) {
            List<Calibration.Drop> drops = new ArrayList<>();
            for (double depth : new double[] {2, 3, 3, 5}) {
                double noise = 1 + 0.02 * (random.nextDouble() * 2 - 1);
                drops.add(new Calibration.Drop(cast.freeFallSeconds(lure.calibrated(truth), depth) * noise, depth));
            }
            Calibration found = Calibration.of(lure, cast, drops);
            assertThat(found.factor()).isCloseTo(truth, within(0.05 * truth));
            drops.add(new Calibration.Drop(cast.freeFallSeconds(lure.calibrated(truth), 3) * 2, 3));
            Calibration slipped = Calibration.of(lure, cast, drops);
            assertThat(slipped.drops()).isEqualTo(4);
            assertThat(slipped.factor()).isCloseTo(found.factor(), within(1e-12));
        }
        Calibration others =
                Calibration.ofOthers(List.of(new Calibration(1.44, 0.1, 4), new Calibration(1.44, 0.1, 4)));
        assertThat(others.factor()).isCloseTo(1.2, within(1e-9));
    }

    @Test
    void aFanCoversItsArcOnce() {
        Fan fan = Fan.of(90, 20, 2, 75);
        assertThat(fan.stepDeg()).isCloseTo(Math.toDegrees(0.1), within(1e-9));
        assertThat((fan.casts() - 1) * fan.stepDeg()).isGreaterThanOrEqualTo(90).isLessThan(90 + fan.stepDeg());
        assertThat(fan.minutes()).isCloseTo(fan.casts() * 1.25, within(1e-9));
        assertThat(Fan.of(360, 20, 2, 75).casts()).isEqualTo(63);
        assertThat(fan.bearingsDeg()).hasSize(fan.casts()).first().isEqualTo(0.0);
        assertThat(fan.bearingsDeg().get(fan.casts() - 1)).isCloseTo(90, within(1e-9));
        for (Fan one : List.of(fan, Fan.of(360, 20, 2, 75), Fan.of(17, 20, 3, 75))) {
            List<Integer> all = IntStream.range(0, one.casts()).boxed().toList();
            assertThat(one.covered(all)).isCloseTo(1, within(1e-9));
            assertThat(one.covered(List.of())).isZero();
            assertThat(one.covered(List.of(0, 0, 99))).isEqualTo(one.covered(List.of(0)));
        }
        assertThat(fan.covered(List.of(3))).isCloseTo(fan.stepDeg() / 90, within(1e-9));
    }
}
