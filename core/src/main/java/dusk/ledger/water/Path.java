package dusk.ledger.water;

import java.util.List;
import java.util.OptionalDouble;

/**
 * Where a lure went.
 *
 * @param points in the order of time, about two a second and at every change
 */
public record Path(List<Point> points) {
    /** Nothing is followed for longer. */
    public static final double LONGEST_SECONDS = 600;

    /** As near as this it is there: the bottom is met to the millimetre. */
    private static final double REACHED_M = 1e-3;

    /**
     * A moment.
     *
     * @param phase index of the phase it belongs to
     * @param contact whether it is on the bottom
     */
    public record Point(double seconds, double x, double y, double z, int phase, boolean contact) {
        /** Along the surface from under the rod tip. */
        public double outM() {
            return Math.hypot(x, y);
        }
    }

    public Path {
        points = List.copyOf(points);
    }

    public Point last() {
        return points.get(points.size() - 1);
    }

    public double deepestM() {
        return points.stream().mapToDouble(Point::z).max().orElse(0);
    }

    /** Whether it came to the bottom. */
    public boolean touched() {
        return points.stream().anyMatch(Point::contact);
    }

    /** Time on the bottom over time from first touching it to the end; 0 where it never did. */
    public double contactShare() {
        double first = -1;
        double on = 0;
        for (int i = 0; i < points.size(); i++) {
            Point point = points.get(i);
            if (point.contact() && first < 0) {
                first = point.seconds();
            }
            if (i > 0 && points.get(i - 1).contact() && point.contact()) {
                on += point.seconds() - points.get(i - 1).seconds();
            }
        }
        double whole = first < 0 ? 0 : last().seconds() - first;
        return whole > 0 ? on / whole : first < 0 ? 0 : 1;
    }

    /** When it first comes to a depth, between the points beside it; empty where it never does. */
    public OptionalDouble secondsTo(double depthM) {
        for (int i = 0; i < points.size(); i++) {
            Point b = points.get(i);
            if (b.z() >= depthM - REACHED_M) {
                Point a = points.get(Math.max(0, i - 1));
                double share = b.z() > a.z() ? Math.min(1, (depthM - a.z()) / (b.z() - a.z())) : 0;
                return OptionalDouble.of(a.seconds() + Math.max(0, share) * (b.seconds() - a.seconds()));
            }
        }
        return OptionalDouble.empty();
    }

    /** Where it is at a time, between the points beside it; where it ended, later. */
    public Point at(double seconds) {
        for (int i = 1; i < points.size(); i++) {
            Point b = points.get(i);
            if (b.seconds() >= seconds) {
                Point a = points.get(i - 1);
                double span = b.seconds() - a.seconds();
                double share = span > 0 ? (seconds - a.seconds()) / span : 1;
                return new Point(
                        seconds,
                        a.x() + share * (b.x() - a.x()),
                        a.y() + share * (b.y() - a.y()),
                        a.z() + share * (b.z() - a.z()),
                        b.phase(),
                        a.contact() && b.contact());
            }
        }
        return last();
    }

    /** The mean depth over time from a phase on; 0 where nothing of it was followed. */
    public double meanDepthM(int fromPhase) {
        double seconds = 0;
        double sum = 0;
        for (int i = 1; i < points.size(); i++) {
            Point a = points.get(i - 1);
            Point b = points.get(i);
            if (b.phase() >= fromPhase) {
                seconds += b.seconds() - a.seconds();
                sum += (b.seconds() - a.seconds()) * (a.z() + b.z()) / 2;
            }
        }
        return seconds > 0 ? sum / seconds : 0;
    }

    /** Seconds between two depths. */
    public double secondsBetween(double fromM, double toM) {
        double seconds = 0;
        for (int i = 1; i < points.size(); i++) {
            Point a = points.get(i - 1);
            Point b = points.get(i);
            double span = b.seconds() - a.seconds();
            double low = Math.min(a.z(), b.z());
            double high = Math.max(a.z(), b.z());
            if (high == low) {
                seconds += low >= fromM && low <= toM ? span : 0;
            } else {
                seconds += span * Math.max(0, Math.min(high, toM) - Math.max(low, fromM)) / (high - low);
            }
        }
        return seconds;
    }
}
