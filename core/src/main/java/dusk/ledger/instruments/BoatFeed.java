package dusk.ledger.instruments;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import net.sf.marineapi.nmea.parser.DataNotAvailableException;
import net.sf.marineapi.nmea.parser.ParseException;
import net.sf.marineapi.nmea.parser.SentenceFactory;
import net.sf.marineapi.nmea.sentence.DPTSentence;
import net.sf.marineapi.nmea.sentence.DepthSentence;
import net.sf.marineapi.nmea.sentence.GGASentence;
import net.sf.marineapi.nmea.sentence.MTWSentence;
import net.sf.marineapi.nmea.sentence.MWVSentence;
import net.sf.marineapi.nmea.sentence.RMCSentence;
import net.sf.marineapi.nmea.sentence.Sentence;
import net.sf.marineapi.nmea.sentence.VHWSentence;
import net.sf.marineapi.nmea.util.DataStatus;
import net.sf.marineapi.nmea.util.GpsFixQuality;
import net.sf.marineapi.nmea.util.Position;

/**
 * A boat's feed of NMEA 0183 sentences: RMC, GGA, DBT, DPT, MTW, MWV and VHW. It remembers how the boat moves, by which
 * the wind over the bow becomes the wind over the ground.
 */
public final class BoatFeed implements Language {
    private static final Set<String> SPOKEN = Set.of("RMC", "GGA", "DBT", "DPT", "MTW", "MWV", "VHW");

    /** So long a line may be; the standard allows 82 characters. */
    private static final int LONGEST = 100;

    private static final double KNOT_MPS = 1852.0 / 3600;
    private static final double KMH_MPS = 1 / 3.6;

    /** What another sentence said is known for this one as long. */
    private static final Duration HOLDS = Duration.ofSeconds(10);

    private final SentenceFactory factory = SentenceFactory.getInstance();
    private Motion motion = new Motion(0, 0, 0, Instant.MIN, Instant.MIN);
    private Instant sounded = Instant.MIN;

    /** How the boat goes over ground and where its bow points, each with when it was heard. */
    private record Motion(double mps, double courseDeg, double headingDeg, Instant moved, Instant pointed) {
        boolean moves(Instant at) {
            return since(moved, at);
        }

        boolean points(Instant at) {
            return since(pointed, at);
        }
    }

    private static boolean since(Instant heard, Instant at) {
        return !heard.equals(Instant.MIN) && Duration.between(heard, at).compareTo(HOLDS) <= 0;
    }

    @Override
    public Heard hear(String line, Instant at) {
        String text = line.strip();
        if (text.isEmpty()) {
            return Heard.NOTHING;
        }
        if (text.length() > LONGEST || !Checksum.printable(text)) {
            return new Heard.Garbled("no sentence of NMEA 0183");
        }
        int star = text.lastIndexOf('*');
        if (text.charAt(0) == '!') {
            // messages of other ships have the same frame and nothing for us
            return Heard.NOTHING;
        }
        if (text.charAt(0) != '$' || star < 1 || star + 3 != text.length()) {
            return new Heard.Garbled("a sentence without its checksum");
        }
        if (!Checksum.of(text.substring(1, star)).equalsIgnoreCase(text.substring(star + 1))) {
            return new Heard.Garbled("the checksum does not match");
        }
        int comma = text.indexOf(',');
        if (comma != 6 || !SPOKEN.contains(text.substring(3, comma))) {
            return Heard.NOTHING;
        }
        try {
            return new Heard.Values(samples(factory.createParser(text), at));
        } catch (RuntimeException e) {
            // an empty field has nothing to say now; else whatever a right sum over wrong fields makes the parser throw
            return e instanceof DataNotAvailableException && !(e instanceof ParseException)
                    ? Heard.NOTHING
                    : new Heard.Garbled("fields of " + text.substring(3, comma) + " that are no figures");
        }
    }

    private List<Sample> samples(Sentence sentence, Instant at) {
        List<Sample> samples = new ArrayList<>();
        if (sentence instanceof RMCSentence rmc) {
            if (rmc.getStatus() == DataStatus.ACTIVE) {
                position(rmc.getPosition(), at, samples);
                double mps = rmc.getSpeed() * KNOT_MPS;
                samples.add(new Sample(Quantity.SPEED_MPS, mps, at));
                course(rmc, mps, at, samples);
            }
        } else if (sentence instanceof GGASentence gga) {
            if (gga.getFixQuality() != GpsFixQuality.INVALID) {
                position(gga.getPosition(), at, samples);
            }
        } else if (sentence instanceof DPTSentence dpt) {
            sounded = at;
            samples.add(new Sample(Quantity.DEPTH_M, dpt.getDepth() + Math.max(0, offset(dpt)), at));
        } else if (sentence instanceof DepthSentence depth && !since(sounded, at)) {
            // below the sounder only: the one that knows how deep the sounder hangs goes before
            samples.add(new Sample(Quantity.DEPTH_M, depth.getDepth(), at));
        } else if (sentence instanceof MTWSentence temperature) {
            samples.add(new Sample(Quantity.WATER_TEMP_C, temperature.getTemperature(), at));
        } else if (sentence instanceof VHWSentence water) {
            water(water, at, samples);
        } else if (sentence instanceof MWVSentence wind && wind.getStatus() == DataStatus.ACTIVE) {
            wind(wind, at, samples);
        }
        return samples;
    }

    private static void position(Position position, Instant at, List<Sample> samples) {
        if (position.getLatitude() == 0 && position.getLongitude() == 0) {
            // what some receivers say before they know
            return;
        }
        samples.add(new Sample(Quantity.LATITUDE_DEG, position.getLatitude(), at));
        samples.add(new Sample(Quantity.LONGITUDE_DEG, position.getLongitude(), at));
    }

    /** A boat that lies still has no course: receivers leave it out. */
    private void course(RMCSentence rmc, double mps, Instant at, List<Sample> samples) {
        double course;
        try {
            course = rmc.getCourse();
        } catch (DataNotAvailableException e) {
            return;
        }
        samples.add(new Sample(Quantity.COURSE_DEG, course, at));
        motion = new Motion(mps, course, motion.headingDeg, at, motion.pointed);
    }

    /** Above 0 the sounder's depth below the surface; below 0 it counts from the keel, which is no depth of the water. */
    private static double offset(DPTSentence dpt) {
        try {
            return dpt.getOffset();
        } catch (DataNotAvailableException e) {
            return 0;
        }
    }

    private void water(VHWSentence water, Instant at, List<Sample> samples) {
        try {
            double heading = water.getHeading();
            samples.add(new Sample(Quantity.HEADING_DEG, heading, at));
            motion = new Motion(motion.mps, motion.courseDeg, heading, motion.moved, at);
        } catch (DataNotAvailableException e) {
            // no compass: the speed alone
        }
        samples.add(new Sample(Quantity.WATER_SPEED_MPS, water.getSpeedKnots() * KNOT_MPS, at));
    }

    /**
     * The wind over the ground. Its angle is told from the bow, so that without a heading only a true wind's speed is
     * known; an apparent one wants the boat's motion taken out of it as well.
     */
    private void wind(MWVSentence wind, Instant at, List<Sample> samples) {
        double mps = switch (wind.getSpeedUnit()) {
            case METER -> wind.getSpeed();
            case KILOMETERS -> wind.getSpeed() * KMH_MPS;
            case NAUTICAL_MILES -> wind.getSpeed() * KNOT_MPS;
            default -> throw new IllegalArgumentException("a wind in " + wind.getSpeedUnit());
        };
        boolean points = motion.points(at);
        if (wind.isTrue()) {
            samples.add(new Sample(Quantity.WIND_MPS, mps, at));
            if (points) {
                samples.add(new Sample(Quantity.WIND_FROM_DEG, turned(motion.headingDeg + wind.getAngle()), at));
            }
        } else if (points && motion.moves(at)) {
            Flow over = Flow.from(mps, motion.headingDeg + wind.getAngle());
            Flow ground = over.plus(Flow.to(motion.mps, motion.courseDeg));
            samples.add(new Sample(Quantity.WIND_MPS, ground.mps(), at));
            samples.add(new Sample(Quantity.WIND_FROM_DEG, turned(ground.toDeg() + 180), at));
        }
    }

    private static double turned(double degrees) {
        return ((degrees % 360) + 360) % 360;
    }
}
