package dusk.ledger.web.column;

import dusk.ledger.units.Figures;
import dusk.ledger.units.UnitSystem;
import dusk.ledger.water.Arrival;
import dusk.ledger.water.Fall;
import dusk.ledger.water.Path;
import dusk.ledger.web.portrait.Portrait;
import dusk.ledger.web.words.DistanceWords;
import dusk.ledger.web.words.SetUpWords;
import java.util.ArrayList;
import java.util.List;

/**
 * The bench as its page lays it out.
 *
 * @param sentence the fall
 * @param doubts what it rests on, and what was taken for granted
 * @param drawing empty where nothing falls
 */
record ColumnView(
        String sentence,
        List<String> home,
        List<String> doubts,
        String drawing,
        List<Key> keys,
        List<Beside> beside,
        List<Moment> moments,
        boolean band) {
    /** The longest table of moments. */
    private static final int MOMENTS = 40;

    /** A line of the drawing beside the first, explained. */
    record Key(String look, String words) {}

    /**
     * One of the set-ups.
     *
     * @param id of the club's set-up; empty where it was built or changed here
     */
    record Beside(
            String letter,
            String words,
            String portrait,
            String id,
            String why,
            String basis,
            List<Landing> landings) {}

    /** How it comes down by one way. */
    record Landing(String how, String count, String lands, boolean chosen) {}

    /** Where it is at a second. */
    record Moment(String at, String out, String aside, String deep, String what) {}

    static ColumnView of(Scene scene, UnitSystem units) {
        Sentences words = new Sentences(scene, units);
        boolean drawn = !scene.tracks().isEmpty();
        String sentence = words.fall();
        return new ColumnView(
                sentence,
                words.wayHome(),
                doubts(scene.subjects().get(0)),
                drawn ? Elevation.svg(scene, units, "The water from the side, to scale. " + sentence) : "",
                scene.tracks().stream()
                        .skip(1)
                        .map(t -> new Key(t.look(), t.letter() + ": " + Elevation.fallWords(t.method())))
                        .toList(),
                scene.subjects().stream()
                        .map(s -> beside(scene, s, words, units))
                        .toList(),
                drawn ? moments(scene.tracks().get(0), units) : List.of(),
                scene.ask().band() != null);
    }

    private static List<String> doubts(Scene.Subject of) {
        Fall.Known fall = of.fall();
        if (fall == null) {
            return List.of();
        }
        List<String> doubts = new ArrayList<>(List.of(fall.basisWords()));
        doubts.addAll(fall.taken());
        return doubts;
    }

    private static Beside beside(Scene scene, Scene.Subject of, Sentences words, UnitSystem units) {
        String name = SetUpWords.of(of.setUp(), units);
        Fall.Known fall = of.fall();
        boolean stored = !of.setUp().id().equals(SetUpAsk.BUILT);
        return new Beside(
                String.valueOf(of.letter()),
                name,
                Portrait.svg(of.setUp(), name),
                stored ? of.setUp().id() : "",
                of.why(),
                fall == null ? "" : fall.basisWords(),
                fall == null
                        ? List.of()
                        : of.arrivals().stream()
                                .map(a -> landing(scene, fall, a, words, units))
                                .toList());
    }

    private static Landing landing(Scene scene, Fall.Known fall, Arrival arrival, Sentences words, UnitSystem units) {
        Double seconds = arrival.seconds();
        Double hangs = arrival.hangsAtM();
        return new Landing(
                Elevation.fallWords(arrival.method()),
                seconds == null ? "never" : fall.words(seconds),
                seconds == null
                        ? "hangs at " + DistanceWords.of(hangs == null ? 0 : hangs, units)
                        : words.lands(arrival),
                arrival.method() == scene.ask().method());
    }

    private static List<Moment> moments(Scene.Track track, UnitSystem units) {
        Path path = track.path();
        int each = (int) Math.ceil(path.last().seconds() / MOMENTS);
        List<Moment> moments = new ArrayList<>();
        for (int second = 0; second <= path.last().seconds(); second += Math.max(1, each)) {
            Path.Point at = path.at(second);
            moments.add(new Moment(
                    second + " s",
                    DistanceWords.of(at.x(), units),
                    Math.abs(at.y()) < 0.05 ? "" : DistanceWords.of(Math.abs(at.y()), units),
                    DistanceWords.of(at.z(), units),
                    at.contact() ? "on the bottom" : at.phase() == 0 ? "falling" : "on the way home"));
        }
        return moments;
    }

    /** Fields of the form as they stand where nothing was typed. */
    static String usual(String name, UnitSystem units) {
        return switch (name) {
            case "depth_m" -> DistanceWords.round(ColumnAsk.USUAL_DEPTH_M, units);
            case "cast_m" -> DistanceWords.round(ColumnAsk.USUAL_CAST_M, units);
            case "reel" -> Figures.trimmed(ColumnAsk.USUAL_REEL_MPS, 2) + " m/s";
            default -> "";
        };
    }
}
