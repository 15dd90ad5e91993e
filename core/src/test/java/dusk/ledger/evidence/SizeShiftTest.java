package dusk.ledger.evidence;

import static dusk.ledger.evidence.Vectors.CLOSED;
import static dusk.ledger.evidence.Vectors.close;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import tools.jackson.databind.JsonNode;

class SizeShiftTest {
    static Stream<JsonNode> vectors() {
        return Vectors.of("van_elteren");
    }

    private static double[] numbers(JsonNode list) {
        return list.valueStream().mapToDouble(JsonNode::asDouble).toArray();
    }

    private static List<SizeShift.Lengths> blocks(JsonNode v) {
        return v.path("blocks_in")
                .valueStream()
                .map(b -> new SizeShift.Lengths(numbers(b.path("a")), numbers(b.path("b"))))
                .toList();
    }

    private static void same(String what, @Nullable Double actual, JsonNode expected) {
        if (expected.isNull()) {
            assertThat(actual).as(what).isNull();
        } else {
            assertThat(actual).as(what).isNotNull();
            close(what, actual, expected.asDouble(), CLOSED);
        }
    }

    @ParameterizedTest
    @MethodSource("vectors")
    void itAgreesWithTheReference(JsonNode v) {
        SizeShift shift = SizeShift.of(blocks(v));
        assertThat(shift.blocks()).isEqualTo(v.path("blocks").asInt());
        assertThat(shift.fishA()).isEqualTo(v.path("fish_a").asInt());
        assertThat(shift.fishB()).isEqualTo(v.path("fish_b").asInt());
        same("z", shift.z(), v.path("z"));
        same("p", shift.p(), v.path("p"));
        same("shift", shift.shiftMm(), v.path("shift"));
        same("low", shift.lowMm(), v.path("low"));
        same("high", shift.highMm(), v.path("high"));
    }

    private static List<SizeShift.Lengths> random(SplittableRandom random, double more) {
        List<SizeShift.Lengths> blocks = new ArrayList<>();
        for (int k = 0; k < 12; k++) {
            blocks.add(new SizeShift.Lengths(
                    random.ints(1 + random.nextInt(4), 200, 400)
                            .mapToDouble(x -> x + more)
                            .toArray(),
                    random.ints(1 + random.nextInt(4), 200, 400)
                            .asDoubleStream()
                            .toArray()));
        }
        return blocks;
    }

    @Test
    void fishThatAreAllLongerBySoMuchMoveTheShiftByIt() {
        for (int seed = 0; seed < 30; seed++) {
            SizeShift plain = SizeShift.of(random(new SplittableRandom(seed), 0));
            SizeShift longer = SizeShift.of(random(new SplittableRandom(seed), 37));
            assertThat(longer.shiftMm()).isEqualTo(plain.shiftMm() + 37);
            assertThat(longer.lowMm()).isEqualTo(plain.lowMm() == null ? null : (Double) (plain.lowMm() + 37));
            assertThat(longer.highMm()).isEqualTo(plain.highMm() == null ? null : (Double) (plain.highMm() + 37));
        }
    }

    @Test
    void turningTheSidesRoundTurnsTheSign() {
        List<SizeShift.Lengths> blocks = random(new SplittableRandom(3), 20);
        SizeShift shift = SizeShift.of(blocks);
        SizeShift turned = SizeShift.of(
                blocks.stream().map(b -> new SizeShift.Lengths(b.b(), b.a())).toList());
        close("z", turned.z(), -shift.z(), 1e-12);
        close("p", turned.p(), shift.p(), 1e-12);
        assertThat(turned.shiftMm()).isEqualTo(-shift.shiftMm());
    }

    @Test
    void fishAllAlikeOrTooFewBlocksSayNothing() {
        SizeShift.Lengths alike = new SizeShift.Lengths(new double[] {300, 300}, new double[] {300});
        assertThat(SizeShift.of(List.of(alike, alike, alike)).p()).isNull();
        SizeShift.Lengths differ = new SizeShift.Lengths(new double[] {310}, new double[] {300});
        assertThat(SizeShift.of(List.of(differ, differ)).p()).isNull();
        assertThat(SizeShift.of(List.of()).blocks()).isZero();
    }
}
