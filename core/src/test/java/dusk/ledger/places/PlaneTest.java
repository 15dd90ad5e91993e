package dusk.ledger.places;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dusk.ledger.units.Position;
import java.util.Random;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.RepetitionInfo;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PlaneTest {
    private static final double RADIUS_M = 6_371_008.8;

    /** Great-circle distance (haversine), reckoned apart. */
    private static double distance(Position a, Position b) {
        double north = Math.toRadians(b.latitude() - a.latitude());
        double east = Math.toRadians(b.longitude() - a.longitude());
        double h = Math.pow(Math.sin(north / 2), 2)
                + Math.cos(Math.toRadians(a.latitude()))
                        * Math.cos(Math.toRadians(b.latitude()))
                        * Math.pow(Math.sin(east / 2), 2);
        return 2 * RADIUS_M * Math.asin(Math.sqrt(h));
    }

    @RepeatedTest(50)
    void itIsTrueToAThousandthOverTenKilometresAndComesBack(RepetitionInfo info) {
        Random random = new Random(info.getCurrentRepetition());
        Position centre = new Position(random.nextDouble(-65, 65), random.nextDouble(-180, 180));
        Plane plane = new Plane(centre);
        double east = random.nextDouble(-7000, 7000);
        double north = random.nextDouble(-7000, 7000);
        Position there = plane.at(east, north);
        assertThat(plane.east(there)).isCloseTo(east, within(1e-5));
        assertThat(plane.north(there)).isCloseTo(north, within(1e-5));
        double away = Math.hypot(east, north);
        assertThat(distance(centre, there)).isCloseTo(away, within(away * 3e-3 + 0.01));
    }

    @Test
    void acrossTheDateLineItIsTheShortWay() {
        Plane plane = new Plane(new Position(0, 179.99));
        assertThat(plane.east(new Position(0, -179.99))).isCloseTo(2224, within(1.0));
        assertThat(plane.at(2223.9, 0).longitude()).isCloseTo(-179.99, within(1e-5));
    }

    @ParameterizedTest
    @CsvSource({"999, 500", "1000, 1000", "1, 1", "0.3, 0.2", "499, 200", "5.1, 5", "2e5, 2e5"})
    void aRoundLengthIsOneTwoOrFive(double span, double round) {
        assertThat(Plane.round(span)).isCloseTo(round, within(round * 1e-9));
    }
}
