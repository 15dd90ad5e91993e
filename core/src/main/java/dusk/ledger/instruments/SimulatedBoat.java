package dusk.ledger.instruments;

import dusk.ledger.units.Position;
import java.time.Instant;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;

/**
 * An invented boat that drifts to and fro along a bank, as its instruments would tell it: what a stand-in sends, and
 * what is true meanwhile. The same second gives the same sentences.
 *
 * @param home about which it drifts
 */
public record SimulatedBoat(Position home) {
    private static final double EARTH_M_A_DEGREE = 111_195;
    private static final double KNOT_MPS = 1852.0 / 3600;
    private static final DateTimeFormatter TIME =
            DateTimeFormatter.ofPattern("HHmmss.SS", Locale.ROOT).withZone(ZoneOffset.UTC);
    private static final DateTimeFormatter DATE =
            DateTimeFormatter.ofPattern("ddMMyy", Locale.ROOT).withZone(ZoneOffset.UTC);

    /** What the water carries it with, to the east. */
    private static final Flow CURRENT = new Flow(0.12, 0);

    private static final double LEG_M = 60;
    private static final double LEG_S = 600;

    /**
     * What is true at a moment.
     *
     * @param wind over the ground
     */
    public record Truth(
            Position position,
            Flow motion,
            Flow throughWater,
            double headingDeg,
            double depthM,
            double waterTempC,
            Flow wind) {}

    /** What is true then. */
    public Truth truth(Instant at) {
        double t = at.getEpochSecond() + at.getNano() / 1e9;
        double phase = 2 * Math.PI * t / LEG_S;
        double east = LEG_M * Math.sin(phase);
        double north = LEG_M / 3 * Math.cos(phase);
        Flow motion = new Flow(
                LEG_M * Math.cos(phase) * 2 * Math.PI / LEG_S, -LEG_M / 3 * Math.sin(phase) * 2 * Math.PI / LEG_S);
        Flow through = motion.minus(CURRENT);
        double lift = Math.cos(Math.toRadians(home.latitude()));
        return new Truth(
                new Position(
                        home.latitude() + north / EARTH_M_A_DEGREE,
                        home.longitude() + east / (EARTH_M_A_DEGREE * lift)),
                motion,
                through,
                through.toDeg(),
                4.6 + 0.9 * Math.sin(phase / 3),
                9.7 + 0.3 * Math.sin(t / 7000),
                Flow.from(4 + Math.sin(t / 40), 245 + 8 * Math.sin(t / 90)));
    }

    /** The sentences of a second, without the ends of lines. */
    public List<String> sentences(Instant at) {
        Truth truth = truth(at);
        Flow apparent = truth.wind().minus(truth.motion());
        double angle = (apparent.toDeg() + 180 - truth.headingDeg() + 720) % 360;
        String position = degrees(truth.position().latitude(), 2, "N", "S") + ","
                + degrees(truth.position().longitude(), 3, "E", "W");
        return List.of(
                sentence(
                        "GPRMC,%s,A,%s,%.2f,%.1f,%s,,,A",
                        TIME.format(at),
                        position,
                        truth.motion().mps() / KNOT_MPS,
                        truth.motion().toDeg(),
                        DATE.format(at)),
                sentence("GPGGA,%s,%s,1,09,0.9,12.0,M,0.0,M,,", TIME.format(at), position),
                sentence("SDDPT,%.1f,0.3", truth.depthM() - 0.3),
                sentence(
                        "SDDBT,%.1f,f,%.1f,M,%.1f,F",
                        (truth.depthM() - 0.3) / 0.3048, truth.depthM() - 0.3, (truth.depthM() - 0.3) / 1.8288),
                sentence("YXMTW,%.1f,C", truth.waterTempC()),
                sentence(
                        "VWVHW,%.1f,T,,M,%.2f,N,%.2f,K",
                        truth.headingDeg(),
                        truth.throughWater().mps() / KNOT_MPS,
                        truth.throughWater().mps() * 3.6),
                sentence("WIMWV,%.1f,R,%.1f,M,A", angle, apparent.mps()));
    }

    private static String sentence(String form, Object... values) {
        String body = String.format(Locale.ROOT, form, values);
        return "$" + body + "*" + Checksum.of(body);
    }

    /** Degrees and minutes as the standard writes them. */
    private static String degrees(double value, int digits, String above, String below) {
        double of = Math.abs(value);
        int whole = (int) of;
        return String.format(
                Locale.ROOT, "%0" + digits + "d%08.5f,%s", whole, (of - whole) * 60, value < 0 ? below : above);
    }
}
