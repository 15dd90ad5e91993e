package dusk.ledger.instruments;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dusk.ledger.units.Position;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class BoatFeedTest {
    private static final Instant AT = Instant.parse("2026-05-04T17:20:00Z");

    private static String summed(String body) {
        return "$" + body + "*" + Checksum.of(body);
    }

    private static Map<Quantity, Double> values(BoatFeed feed, String body, Instant at) {
        Map<Quantity, Double> values = new TreeMap<>();
        if (feed.hear(summed(body), at) instanceof Heard.Values heard) {
            heard.samples().forEach(s -> values.put(s.quantity(), s.value()));
        }
        return values;
    }

    @Test
    void theChecksumIsTheStandards() {
        // reckoned by hand: the characters of “A” and “B” are 0x41 and 0x42
        assertThat(Checksum.of("AB")).isEqualTo("03");
        assertThat(Checksum.of("")).isEqualTo("00");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "GPRMC,172000,A,4427.500,N,01400.600,W,10.0,090.0,040526,,,A | LATITUDE_DEG | 44.458333",
                "GPRMC,172000,A,4427.500,N,01400.600,W,10.0,090.0,040526,,,A | LONGITUDE_DEG | -14.01",
                "GPRMC,172000,A,4427.500,N,01400.600,W,10.0,090.0,040526,,,A | SPEED_MPS | 5.144444",
                "GPRMC,172000,A,4427.500,N,01400.600,W,10.0,090.0,040526,,,A | COURSE_DEG | 90",
                "GPGGA,172000,4427.500,S,01400.600,E,1,08,0.9,12.0,M,0.0,M,, | LATITUDE_DEG | -44.458333",
                "SDDBT,16.4,f,5.0,M,2.7,F | DEPTH_M | 5.0",
                "SDDPT,5.0,0.4 | DEPTH_M | 5.4",
                "SDDPT,5.0,-0.4 | DEPTH_M | 5.0",
                "YXMTW,11.3,C | WATER_TEMP_C | 11.3",
                "VWVHW,200.0,T,,M,2.0,N,3.7,K | HEADING_DEG | 200",
                "VWVHW,200.0,T,,M,2.0,N,3.7,K | WATER_SPEED_MPS | 1.028889",
                "WIMWV,30.0,T,6.0,M,A | WIND_MPS | 6",
                "WIMWV,30.0,T,10.0,N,A | WIND_MPS | 5.144444",
                "WIMWV,30.0,T,36.0,K,A | WIND_MPS | 10",
            })
    void aSentenceSays(String body, Quantity quantity, double value) {
        assertThat(values(new BoatFeed(), body, AT).get(quantity)).isCloseTo(value, within(1e-5));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "GPRMC,172000,V,4427.500,N,01400.600,W,10.0,090.0,040526,,,N | no fix",
                "GPGGA,172000,4427.500,N,01400.600,W,0,00,99.9,,M,,M,, | no fix",
                "GPGGA,172000,0000.000,N,00000.000,E,1,08,0.9,12.0,M,0.0,M,, | what is said before a fix",
                "YXMTW,,C | nothing to say now",
                "SDDPT,,0.4 | nothing to say now",
                "WIMWV,30.0,T,6.0,M,V | not valid",
                "WIMWV,30.0,R,6.0,M,A | apparent, without the boat's motion",
                "GPGSV,1,1,01,01,40,083,46 | a sentence of no use here",
            })
    void aSentenceWithoutAValueSaysNothingAndIsNoGarbage(String body, String why) {
        assertThat(new BoatFeed().hear(summed(body), AT)).as(why).isEqualTo(Heard.NOTHING);
    }

    @Test
    void theApparentWindIsTurnedByTheBowAndTheBoatsWayTakenOut() {
        BoatFeed feed = new BoatFeed();
        // the boat goes north at 4 m/s in still air: the wind over the bow is its own
        double knots = 4 * 3600 / 1852.0;
        values(feed, "GPRMC,172000,A,4427.500,N,01400.600,W," + knots + ",000.0,040526,,,A", AT);
        values(feed, "VWVHW,000.0,T,,M," + knots + ",N,14.4,K", AT);
        assertThat(values(feed, "WIMWV,000.0,R,4.0,M,A", AT).get(Quantity.WIND_MPS))
                .isCloseTo(0, within(1e-6));
        // over the beam from the east, as strong as the boat is fast: truly from the south-east
        Map<Quantity, Double> wind = values(feed, "WIMWV,090.0,R,4.0,M,A", AT);
        assertThat(wind.get(Quantity.WIND_MPS)).isCloseTo(4 * Math.sqrt(2), within(1e-6));
        assertThat(wind.get(Quantity.WIND_FROM_DEG)).isCloseTo(135, within(1e-6));
    }

    @Test
    void aMotionThatIsOldTurnsNoWind() {
        BoatFeed feed = new BoatFeed();
        values(feed, "VWVHW,090.0,T,,M,0.0,N,0.0,K", AT);
        assertThat(values(feed, "WIMWV,010.0,T,5.0,M,A", AT.plusSeconds(5)).get(Quantity.WIND_FROM_DEG))
                .isCloseTo(100, within(1e-9));
        assertThat(values(feed, "WIMWV,010.0,T,5.0,M,A", AT.plusSeconds(30))).containsOnlyKeys(Quantity.WIND_MPS);
    }

    @Test
    void theSounderThatKnowsHowDeepItHangsGoesBeforeTheOtherOne() {
        BoatFeed feed = new BoatFeed();
        assertThat(values(feed, "SDDBT,16.4,f,5.0,M,2.7,F", AT)).containsKey(Quantity.DEPTH_M);
        values(feed, "SDDPT,5.0,0.4", AT.plusSeconds(1));
        assertThat(values(feed, "SDDBT,16.4,f,5.0,M,2.7,F", AT.plusSeconds(2))).isEmpty();
        assertThat(values(feed, "SDDBT,16.4,f,5.0,M,2.7,F", AT.plusSeconds(60))).containsKey(Quantity.DEPTH_M);
    }

    @Test
    void twentyFourHoursOfASimulatedBoatAreHeardAsTheyAre() {
        SimulatedBoat boat = new SimulatedBoat(new Position(44.458, -14.013));
        Feed feed = new Feed(Kind.BOAT);
        long sentences = 0;
        for (int second = 0; second < 24 * 3600; second += 2) {
            Instant at = AT.plusSeconds(second);
            List<String> said = boat.sentences(at);
            said.forEach(sentence -> feed.hear(sentence, at));
            sentences += said.size();
            if (second % 600 == 598) {
                asItIs(feed, boat, at);
            }
        }
        assertThat(sentences).isEqualTo(7L * 24 * 1800);
    }

    private static void asItIs(Feed feed, SimulatedBoat boat, Instant at) {
        SimulatedBoat.Truth truth = boat.truth(at);
        assertThat(feed.state(at).trouble()).isEqualTo(FeedState.Trouble.NONE);
        Position position = feed.position(at);
        assertThat(position.latitude()).isCloseTo(truth.position().latitude(), within(1e-6));
        assertThat(position.longitude()).isCloseTo(truth.position().longitude(), within(1e-6));
        assertThat(feed.depthM(at)).isCloseTo(truth.depthM(), within(0.06));
        Map<String, Object> known = new TreeMap<>();
        feed.known().forEach(k -> known.put(k.column(), k.cell()));
        assertThat((double) known.get("water_temp_c")).isCloseTo(truth.waterTempC(), within(0.06));
        // what carries the boat is steady; the mean of its own way lags alike over ground and through the water
        assertThat((double) known.get("current_mps")).isCloseTo(0.12, within(0.02));
        assertThat((double) known.get("wind_mps")).isBetween(3.0, 5.0);
        assertThat((double) known.get("wind_from_deg")).isBetween(230.0, 260.0);
        Flow drift = feed.drift(at);
        double lagged = Duration.ofSeconds(60).toSeconds() * 2 * Math.PI / 600;
        assertThat(drift.minus(truth.motion()).mps()).isLessThan(lagged * 0.7);
    }
}
