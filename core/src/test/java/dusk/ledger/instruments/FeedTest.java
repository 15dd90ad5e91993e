package dusk.ledger.instruments;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dusk.ledger.instruments.FeedState.Trouble;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.List;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;

/** What a feed makes of what it hears: the right value, or words that say what is wrong. */
class FeedTest {
    private static final Instant AT = Instant.parse("2026-05-04T17:20:00Z");

    private static String summed(String body) {
        return "$" + body + "*" + Checksum.of(body);
    }

    private static String depth(double metres) {
        return summed("SDDPT," + metres + ",0.0");
    }

    /** Ten kinds of garbage for each kind of instrument, and more; none of it is a value. */
    static Stream<Arguments> garbage() {
        String tooDeep = "{\"at\":\"2026-05-04T17:20:00Z\",\"x\":" + "[".repeat(5000) + "]".repeat(5000) + "}";
        return Stream.of(
                garbage(Kind.BOAT, "noise", "\u0000\u0001ÿþ\u0007"),
                garbage(Kind.BOAT, "no frame", "YXMTW,11.3,C*2A"),
                garbage(Kind.BOAT, "no checksum", "$YXMTW,11.3,C"),
                garbage(Kind.BOAT, "half a checksum", "$YXMTW,11.3,C*0"),
                garbage(Kind.BOAT, "a wrong checksum", "$YXMTW,11.3,C*FF"),
                garbage(Kind.BOAT, "a cut line", "$GPRMC,172000,A,4427.5"),
                garbage(Kind.BOAT, "two lines in one", "$YXMTW,11.3,C*2A$YXMTW,11.3,C*2A"),
                garbage(Kind.BOAT, "a line without end", "$YXMTW," + "1".repeat(5000)),
                garbage(Kind.BOAT, "words for figures", summed("YXMTW,warm,C")),
                garbage(Kind.BOAT, "an unknown unit", summed("WIMWV,30.0,T,6.0,Q,A")),
                garbage(Kind.BOAT, "too few fields", summed("GPRMC,172000,A")),
                garbage(
                        Kind.BOAT,
                        "letters in a position",
                        summed("GPGGA,172000,44x7.5,N,01400.6,W,1,08,0.9,1,M,0,M,,")),
                garbage(
                        Kind.BOAT,
                        "a latitude that none is",
                        summed("GPGGA,172000,9927.5,N,01400.6,W,1,08,0.9,1,M,0,M,,")),
                garbage(Kind.GAUGE, "nothing", ""),
                garbage(Kind.GAUGE, "a page", "<html><body>503 try later</body></html>"),
                garbage(Kind.GAUGE, "half of it", "{\"at\":\"2026-05-04T17:20:00Z\",\"level_m\":1."),
                garbage(Kind.GAUGE, "a list", "[1.2, 3.4]"),
                garbage(Kind.GAUGE, "a number alone", "1.24"),
                garbage(Kind.GAUGE, "no time", "{\"level_m\":1.24}"),
                garbage(Kind.GAUGE, "a time of its own habit", "{\"at\":\"04/05/26 17:20\",\"level_m\":1.24}"),
                garbage(Kind.GAUGE, "a time to come", "{\"at\":\"2027-05-04T17:20:00Z\",\"level_m\":1.24}"),
                garbage(Kind.GAUGE, "figures as words", "{\"at\":\"2026-05-04T17:20:00Z\",\"level_m\":\"1.24\"}"),
                garbage(Kind.GAUGE, "none of ours", "{\"at\":\"2026-05-04T17:20:00Z\",\"stage\":1.24}"),
                garbage(Kind.GAUGE, "nested without end", tooDeep),
                garbage(Kind.STATION, "nothing", " "),
                garbage(Kind.STATION, "noise", "\u0000\u0001ÿþ\u0007"),
                garbage(Kind.STATION, "null", "null"),
                garbage(Kind.STATION, "a word", "\"windy\""),
                garbage(Kind.STATION, "an empty object", "{}"),
                garbage(Kind.STATION, "two objects' halves", "{\"at\":\"2026-05-04T17:20:00Z\"}{\"wind_mps\":4"),
                garbage(Kind.STATION, "no figure", "{\"at\":\"2026-05-04T17:20:00Z\",\"wind_mps\":NaN}"),
                garbage(Kind.STATION, "a list for a figure", "{\"at\":\"2026-05-04T17:20:00Z\",\"wind_mps\":[4]}"),
                garbage(Kind.STATION, "true for a figure", "{\"at\":\"2026-05-04T17:20:00Z\",\"wind_mps\":true}"),
                garbage(Kind.STATION, "a time that is a number", "{\"at\":1777915200,\"wind_mps\":4}"),
                garbage(Kind.BOARD, "noise", "\u0000\u0001ÿþ\u0007"),
                garbage(Kind.BOARD, "no checksum", "length 17 384 mm"),
                garbage(Kind.BOARD, "a wrong checksum", "length 17 384 mm*00"),
                garbage(Kind.BOARD, "a cut line", "length 17 38"),
                garbage(Kind.BOARD, "another word", board("weight 17 384 mm")),
                garbage(Kind.BOARD, "another unit", board("length 17 384 hands")),
                garbage(Kind.BOARD, "below nothing", board("length 17 -384 mm")),
                garbage(Kind.BOARD, "a comma in it", board("length 17 38,4 cm")),
                garbage(Kind.BOARD, "a figure without end", board("length 17 " + "9".repeat(400) + " mm")),
                garbage(Kind.BOARD, "a number too long", board("length 99999999999 384 mm")),
                garbage(Kind.BOARD, "two spaces", board("length  17 384 mm")));
    }

    private static Arguments garbage(Kind kind, String what, String line) {
        return Arguments.of(kind, what, line);
    }

    private static String board(String said) {
        return said + "*" + Checksum.of(said);
    }

    @ParameterizedTest(name = "{0}: {1}")
    @MethodSource("garbage")
    void garbageIsSaidAndIsNoValue(Kind kind, String what, String line) {
        Feed feed = new Feed(kind);
        // an empty line between lines is none; an empty report is no report
        for (int i = 0; i < 60; i++) {
            assertThat(feed.hear(line, AT)).isEmpty();
        }
        assertThat(feed.state(AT).trouble()).isEqualTo(Trouble.GARBLED);
        assertThat(feed.state(AT).words()).matches("50 of the last 50 (lines|reports) could not be read: .+\\.");
        assertThat(feed.known()).isEmpty();
    }

    @ParameterizedTest
    @EnumSource(Kind.class)
    void noBytesWhateverMakeItThrow(Kind kind) {
        Feed feed = new Feed(kind);
        Random random = new Random(7);
        String sound = kind == Kind.BOAT
                ? depth(5)
                : kind == Kind.BOARD
                        ? BoardLine.line(3, 384)
                        : "{\"at\":\"2026-05-04T17:20:00Z\",\"level_m\":1.24,\"wind_mps\":4.2}";
        for (int i = 0; i < 50_000; i++) {
            byte[] bytes = sound.getBytes(StandardCharsets.ISO_8859_1);
            for (int hit = random.nextInt(4); hit >= 0; hit--) {
                bytes[random.nextInt(bytes.length)] = (byte) random.nextInt(256);
            }
            feed.hear(new String(bytes, StandardCharsets.ISO_8859_1), AT.plusSeconds(i));
        }
        Sample length = feed.last(Quantity.LENGTH_MM);
        assertThat(length == null || (length.value() >= 5 && length.value() <= 6000))
                .isTrue();
        Sample depth = feed.last(Quantity.DEPTH_M);
        assertThat(depth == null || (depth.value() >= 0.1 && depth.value() <= 500))
                .isTrue();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "SDDPT,812.0,0.0 | Not believed: depth of 812, which none is.",
                "YXMTW,88.0,C | Not believed: water temperature of 88, which none is.",
                "YXMTW,-40.0,C | Not believed: water temperature of -40, which none is.",
                "YXMTW,NaN,C | Not believed: water temperature of no figure, which none is.",
                "YXMTW,1E99,C | Not believed: water temperature of no figure, which none is.",
                "WIMWV,30.0,T,600.0,M,A | Not believed: wind of 600, which none is.",
            })
    void whatCannotBeIsNotBelieved(String body, String words) {
        Feed feed = new Feed(Kind.BOAT);
        assertThat(feed.hear(summed(body), AT)).isEmpty();
        assertThat(feed.state(AT).words()).isEqualTo(words);
        assertThat(feed.state(AT).trouble()).isEqualTo(Trouble.LYING);
    }

    @Test
    void aJumpIsNotBelievedAndTheValueBeforeItStands() {
        Feed feed = new Feed(Kind.BOAT);
        feed.hear(depth(5.2), AT);
        feed.hear(depth(312), AT.plusSeconds(1));
        assertThat(feed.depthM(AT.plusSeconds(1))).isEqualTo(5.2);
        assertThat(feed.state(AT.plusSeconds(1)).words())
                .isEqualTo("Not believed: depth from 5.2 to 312 in 1.0 s, faster than it can change.");
        feed.hear(depth(5.4), AT.plusSeconds(2));
        assertThat(feed.depthM(AT.plusSeconds(2))).isEqualTo(5.4);
        // it is spoken of for a while, and then forgiven
        assertThat(feed.state(AT.plusSeconds(3)).trouble()).isEqualTo(Trouble.LYING);
        feed.hear(depth(5.4), AT.plusSeconds(200));
        assertThat(feed.state(AT.plusSeconds(200)).words()).isEqualTo("Well, heard 0 s ago.");
    }

    @Test
    void aFirstLieGivesWayToWhatStands() {
        Feed feed = new Feed(Kind.BOAT);
        feed.hear(depth(312), AT);
        for (int second = 1; second <= 29; second++) {
            feed.hear(depth(5 + second * 0.01), AT.plusSeconds(second));
            assertThat(feed.depthM(AT.plusSeconds(second))).isEqualTo(312);
        }
        for (int second = 30; second <= 32; second++) {
            feed.hear(depth(5.3), AT.plusSeconds(second));
        }
        assertThat(feed.depthM(AT.plusSeconds(32))).isEqualTo(5.3);
    }

    @Test
    void liesThatDisagreeAreNeverBelieved() {
        Feed feed = new Feed(Kind.BOAT);
        feed.hear(depth(5), AT);
        Random random = new Random(3);
        for (int second = 1; second <= 20; second++) {
            feed.hear(depth(150 + random.nextInt(3) * 100), AT.plusSeconds(second));
        }
        assertThat(feed.last(Quantity.DEPTH_M).value()).isEqualTo(5);
    }

    @Test
    void halfAPositionIsNone() {
        Feed feed = new Feed(Kind.BOAT);
        feed.hear(summed("GPGGA,172000,4427.5,N,01400.6,W,1,08,0.9,1,M,0,M,,"), AT);
        assertThat(feed.position(AT)).isNotNull();
        // the latitude jumps, the longitude does not
        List<Sample> believed =
                feed.hear(summed("GPGGA,172001,4527.5,N,01400.6,W,1,08,0.9,1,M,0,M,,"), AT.plusSeconds(1));
        assertThat(believed).isEmpty();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "BOAT | 10 | Well, heard 10 s ago.",
                "BOAT | 40 | Silent for 40 s.",
                "BOAT | 600 | Silent for 10 min.",
                "BOARD | 60 | Well, heard 60 s ago.",
                "BOARD | 7200 | Silent for 2 h.",
            })
    void silenceIsSaid(Kind kind, long seconds, String words) {
        Feed feed = new Feed(kind);
        assertThat(feed.state(AT).words()).isEqualTo("Nothing heard yet.");
        feed.hear(kind == Kind.BOAT ? depth(5) : BoardLine.line(1, 384), AT);
        assertThat(feed.state(AT.plusSeconds(seconds)).words()).isEqualTo(words);
        feed.unreached("nobody answers at that address");
        assertThat(feed.state(AT.plusSeconds(seconds)).words())
                .isEqualTo("Not reached: nobody answers at that address. It is tried again.");
        feed.hear(kind == Kind.BOAT ? depth(5) : BoardLine.line(1, 384), AT.plusSeconds(seconds));
        assertThat(feed.state(AT.plusSeconds(seconds)).well()).isTrue();
    }

    @Test
    void whatGrewOldIsSaidAndIsNotForNow() {
        Feed gauge = new Feed(Kind.GAUGE);
        for (int poll = 0; poll < 3; poll++) {
            gauge.hear("{\"at\":\"2026-05-04T10:20:00Z\",\"clarity_m\":1.2}", AT.plusSeconds(60L * poll));
        }
        assertThat(gauge.state(AT.plusSeconds(120)).words()).isEqualTo("What it says is 7 h old.");
        assertThat(gauge.known()).singleElement().satisfies(known -> {
            assertThat(known.cell()).isEqualTo(1.2);
            assertThat(gauge.stands(known.at(), AT)).isFalse();
        });
        Feed boat = new Feed(Kind.BOAT);
        boat.hear(depth(5), AT);
        assertThat(boat.depthM(AT.plusSeconds(59))).isEqualTo(5);
        assertThat(boat.depthM(AT.plusSeconds(61))).isNull();
    }

    @ParameterizedTest
    @CsvSource({"0.05, rising", "0.01, steady", "-0.01, steady", "-0.05, falling"})
    void aGaugeTellsWhetherTheWaterRises(double metresAnHour, String word) {
        Feed gauge = new Feed(Kind.GAUGE);
        for (int minute = 0; minute <= 300; minute += 5) {
            Instant at = AT.plusSeconds(60L * minute);
            gauge.hear("{\"at\":\"" + at + "\",\"level_m\":" + (1.2 + metresAnHour * minute / 60) + "}", at);
            boolean told = gauge.known().stream().anyMatch(k -> k.column().equals("level_trend"));
            assertThat(told).as("after " + minute + " minutes").isEqualTo(minute >= 40);
        }
        assertThat(gauge.known().get(0)).isEqualTo(new Known("level_trend", word, AT.plusSeconds(300 * 60)));
    }

    @Test
    void aBoatUnderWayDoesNotDrift() {
        Feed feed = new Feed(Kind.BOAT);
        feed.hear(summed("GPRMC,172000,A,4427.5,N,01400.6,W,0.6,090.0,040526,,,A"), AT);
        assertThat(feed.drift(AT).mps()).isCloseTo(0.309, within(0.001));
        assertThat(feed.drift(AT).toDeg()).isCloseTo(90, within(1e-6));
        Feed fast = new Feed(Kind.BOAT);
        fast.hear(summed("GPRMC,172000,A,4427.5,N,01400.6,W,6.0,090.0,040526,,,A"), AT);
        assertThat(fast.drift(AT)).isNull();
    }

    @ParameterizedTest
    @CsvSource({"0.5, 0.0, true", "12.0, 0.0, false", "0.5, 70.0, false", "12.0, 11.0, true"})
    void aLogThatHangsOrRacesMakesNoCurrent(String overGroundKnots, String throughWaterKnots, boolean told) {
        Feed feed = new Feed(Kind.BOAT);
        feed.hear(summed("VWVHW,090.0,T,,M," + throughWaterKnots + ",N,0.0,K"), AT);
        feed.hear(summed("GPRMC,172000,A,4427.5,N,01400.6,W," + overGroundKnots + ",090.0,040526,,,A"), AT);
        assertThat(feed.known().stream().anyMatch(k -> k.column().equals("current_mps")))
                .isEqualTo(told);
    }

    @Test
    void theMeanOfWindsAcrossNorthIsNorth() {
        Feed station = new Feed(Kind.STATION);
        for (int minute = 0; minute < 20; minute++) {
            Instant at = AT.plusSeconds(minute);
            station.hear(
                    "{\"at\":\"" + at + "\",\"wind_mps\":4,\"wind_from_deg\":" + (minute % 2 == 0 ? 350 : 10) + "}",
                    at);
        }
        double from = station.known().stream()
                .filter(k -> k.column().equals("wind_from_deg"))
                .mapToDouble(k -> (double) k.cell())
                .findFirst()
                .orElseThrow();
        assertThat(Math.cos(Math.toRadians(from))).isGreaterThan(0.98);
    }

    @Test
    void aBoardsLineIsTakenOnce() {
        assertThat(BoardLine.line(17, 384)).as("as it is written down").isEqualTo("length 17 384 mm*05");
        Feed board = new Feed(Kind.BOARD);
        assertThat(board.hear(BoardLine.line(17, 384), AT)).hasSize(1);
        assertThat(board.hear(BoardLine.line(17, 384), AT.plusSeconds(1))).isEmpty();
        assertThat(board.hear(BoardLine.line(18, 384), AT.plusSeconds(2))).hasSize(1);
        // switched off and on again it counts anew
        assertThat(board.hear(BoardLine.line(18, 291), AT.plusSeconds(2))).hasSize(1);
        assertThat(board.hear(board("length 19 15.25 in"), AT.plusSeconds(3)))
                .singleElement()
                .satisfies(s -> assertThat(s.value()).isCloseTo(387.35, within(1e-9)));
        assertThat(board.hear(board("length 20 38.4 cm"), AT.plusSeconds(4)))
                .singleElement()
                .satisfies(s -> assertThat(s.value()).isCloseTo(384, within(1e-9)));
        // shorter than any fish, longer than any
        assertThat(board.hear(board("length 21 2 mm"), AT.plusSeconds(5))).isEmpty();
        assertThat(board.hear(board("length 22 99999 cm"), AT.plusSeconds(6))).isEmpty();
        assertThat(board.state(AT.plusSeconds(6)).words()).isEqualTo("Not believed: length of 999990, which none is.");
    }
}
