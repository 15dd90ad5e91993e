package dusk.ledger.web.column;

import dusk.ledger.journal.SetUp;
import dusk.ledger.water.Arrival;
import dusk.ledger.water.Calibrations;
import dusk.ledger.water.Cast;
import dusk.ledger.water.Fall;
import dusk.ledger.water.Lure;
import dusk.ledger.water.Motion;
import dusk.ledger.water.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What was asked, reckoned.
 *
 * @param tracks what is drawn, the first of them in full
 */
record Scene(ColumnAsk ask, List<Subject> subjects, List<Track> tracks) {
    /**
     * A set-up in this water.
     *
     * @param why it cannot be told; empty where it can
     * @param fall null where it cannot be told
     */
    record Subject(char letter, SetUp setUp, String why, Fall.@Nullable Known fall, List<Arrival> arrivals) {}

    /** A path as drawn, of one of the subjects. */
    record Track(Subject of, Arrival.Method method, Path path, boolean other) {
        /** The name of its line's look. */
        String look() {
            return other ? "other" : of.letter() == 'A' ? "main" : "beside-" + of.letter();
        }

        /** What it is called on the drawing. */
        String letter() {
            return of.letter() + (other ? "′" : "");
        }

        /** When the fall is over: the reel turns, or it lies on the bottom or hangs. */
        double fallSeconds() {
            return path.points().stream()
                    .filter(p -> p.phase() == 0)
                    .mapToDouble(Path.Point::seconds)
                    .max()
                    .orElse(0);
        }
    }

    static Scene of(ColumnAsk ask, Calibrations calibrations) {
        List<Subject> subjects = new ArrayList<>();
        List<Track> tracks = new ArrayList<>();
        for (SetUp setUp : ask.setUps()) {
            Subject subject = subject(ask, (char) ('A' + subjects.size()), setUp, calibrations);
            if (subject.fall() != null) {
                tracks.add(new Track(subject, ask.method(), path(ask, subject.fall()), false));
                if (subjects.isEmpty() && ask.others()) {
                    tracks.add(other(ask, subject, subject.fall()));
                }
            }
            subjects.add(subject);
        }
        return new Scene(ask, subjects, tracks);
    }

    private static Subject subject(ColumnAsk ask, char letter, SetUp setUp, Calibrations calibrations) {
        Fall fall = Fall.of(setUp, calibrations);
        if (fall instanceof Fall.Unknown unknown) {
            return new Subject(letter, setUp, unknown.why(), null, List.of());
        }
        Fall.Known known = (Fall.Known) fall;
        if (known.floats(ask.waterKgM3())) {
            return new Subject(letter, setUp, "It floats: it never falls. Give it a heavier head.", null, List.of());
        }
        Lure lure = known.lure(ask.waterKgM3());
        Cast cast = ask.cast(known.tied().line());
        return new Subject(
                letter,
                setUp,
                "",
                known,
                Arrays.stream(Arrival.Method.values())
                        .map(method -> Arrival.of(lure, cast, method))
                        .toList());
    }

    private static Path path(ColumnAsk ask, Fall.Known fall) {
        Double count = ask.countSeconds();
        return Motion.of(
                fall.lure(ask.waterKgM3()),
                ask.cast(fall.tied().line()),
                count == null ? ask.method().fall() : ask.method().fall(count),
                ask.retrieve());
    }

    /** The fall by the way that was not chosen: slack line and open bail are one in the water. */
    private static Track other(ColumnAsk ask, Subject of, Fall.Known fall) {
        Arrival.Method other = ask.method() == Arrival.Method.TIGHT ? Arrival.Method.SLACK : Arrival.Method.TIGHT;
        Cast cast = ask.cast(fall.tied().line());
        return new Track(of, other, Motion.of(fall.lure(ask.waterKgM3()), cast, List.of(other.fall())), true);
    }
}
