package dusk.ledger.web.tackle;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dusk.ledger.units.UnitSystem;
import dusk.ledger.vocabulary.Words;
import dusk.ledger.water.Path;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class MotionStripTest {
    private static final Pattern PLACE = Pattern.compile("[ML](-?[0-9.]+),(-?[0-9.]+)");

    static List<String> presentations() {
        return Words.of("presentation");
    }

    /** Every way of fishing is drawn within its strip, over most of its half minute. */
    @ParameterizedTest
    @MethodSource("presentations")
    void everyWayIsDrawnWithinItsStrip(String presentation) {
        String svg = MotionStrip.svg(presentation);
        assertThat(svg).doesNotContain("NaN").contains("portrait-hook heavy");
        Matcher places = PLACE.matcher(svg.substring(svg.indexOf("portrait-hook heavy")));
        double last = 0;
        int count = 0;
        while (places.find()) {
            double x = Double.parseDouble(places.group(1));
            assertThat(x).isBetween(last - 1e-9, 186.1);
            assertThat(Double.parseDouble(places.group(2))).isBetween(7.9, 52.1);
            last = x;
            count++;
        }
        assertThat(count).isGreaterThan(20);
        assertThat(last).isGreaterThan(120);
    }

    /** What rests is told from what moves: that is all that tells a drag from a dead stick. */
    @Test
    void whatIsStillIsThin() {
        // down, then still
        assertThat(count("dead-stick", "portrait-hook heavy")).isEqualTo(1);
        assertThat(count("dead-stick", "portrait-line")).isEqualTo(1);
        // six seconds a round
        assertThat(count("drag and pause", "portrait-line")).isBetween(4, 6);
        assertThat(count("drag and pause", "portrait-hook heavy")).isBetween(5, 7);
        assertThat(count("steady retrieve", "portrait-line")).isZero();
    }

    private static int count(String presentation, String kind) {
        return MotionStrip.svg(presentation).split(kind, -1).length - 1;
    }

    private static List<Path.Point> after(String presentation, double seconds) {
        Path path = MotionStrip.path(presentation);
        double down = path.points().stream()
                .filter(Path.Point::contact)
                .findFirst()
                .orElseThrow()
                .seconds();
        return path.points().stream()
                .filter(p -> p.seconds() >= down && p.seconds() <= down + seconds)
                .toList();
    }

    @Test
    void whatIsLeftLyingLiesAndWhatHopsComesUpAgainAndAgain() {
        assertThat(after("dead-stick", 30)).allSatisfy(p -> assertThat(p.z()).isCloseTo(3, within(1e-3)));
        assertThat(after("slow drag", 20)).allSatisfy(p -> assertThat(p.z()).isGreaterThan(2.8));
        List<Path.Point> hops = after("hop", 25);
        long landings = 0;
        for (int i = 1; i < hops.size(); i++) {
            landings += hops.get(i).contact() && !hops.get(i - 1).contact() ? 1 : 0;
        }
        assertThat(landings).isGreaterThan(4);
        assertThat(hops.stream().mapToDouble(Path.Point::z).min().orElseThrow()).isLessThan(2.9);
    }

    @Test
    void whatIsHeldUnderTheBoatHangsWhereItWasLetFallTo() {
        List<Path.Point> points = MotionStrip.path("vertical hold").points();
        double rest = points.get(points.size() - 1).z();
        assertThat(rest).isBetween(0.5, 2.9);
        assertThat(points)
                .filteredOn(p -> p.seconds() > 10)
                .isNotEmpty()
                .allSatisfy(p -> assertThat(p.z()).isCloseTo(rest, within(0.1)));
    }

    @Test
    void whatTheStripsShowIsSaidInTheReadersUnits() {
        assertThat(MotionStrip.note(UnitSystem.METRIC)).contains("a 7 g head with a 9 cm swimmer in 3 m of water");
        assertThat(MotionStrip.note(UnitSystem.US)).contains("a 1/4 oz head with a 3.54 in swimmer in 9.8 ft of water");
    }
}
