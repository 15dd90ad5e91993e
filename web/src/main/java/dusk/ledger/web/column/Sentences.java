package dusk.ledger.web.column;

import dusk.ledger.units.Figures;
import dusk.ledger.units.UnitSystem;
import dusk.ledger.water.Arrival;
import dusk.ledger.water.Band;
import dusk.ledger.water.Fall;
import dusk.ledger.water.Path;
import dusk.ledger.web.words.DistanceWords;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/** What was reckoned, in words. */
final class Sentences {
    /** Nearer than this it lies where it fell in. */
    private static final double RIGHT_UNDER_M = 0.15;

    /** On the bottom for less of the time than this it only touches it. */
    private static final double HARDLY = 0.01;

    private final Scene scene;
    private final ColumnAsk ask;
    private final UnitSystem units;

    Sentences(Scene scene, UnitSystem units) {
        this.scene = scene;
        this.ask = scene.ask();
        this.units = units;
    }

    private String metres(double metres) {
        return DistanceWords.of(metres, units);
    }

    /** The fall, the way that was chosen first. */
    String fall() {
        Scene.Subject of = scene.subjects().get(0);
        if (of.fall() == null) {
            return of.why();
        }
        Arrival chosen = arrival(of, ask.method());
        Arrival other = arrival(of, ask.method() == Arrival.Method.TIGHT ? Arrival.Method.SLACK : Arrival.Method.TIGHT);
        return capital(told(chosen, of.fall(), ", " + metres(ask.depthM()) + " down,")) + "; "
                + told(other, of.fall(), "") + ".";
    }

    static Arrival arrival(Scene.Subject of, Arrival.Method method) {
        return of.arrivals().stream()
                .filter(a -> a.method() == method)
                .findFirst()
                .orElseThrow();
    }

    private String told(Arrival arrival, Fall.Known fall, String down) {
        String how = Elevation.fallWords(arrival.method());
        Double seconds = arrival.seconds();
        if (seconds == null) {
            Double hangs = arrival.hangsAtM();
            double deep = hangs == null ? 0 : hangs;
            return how + " it never gets down: it hangs at " + metres(deep) + ", " + metres(ask.depthM() - deep)
                    + " over the bottom";
        }
        return how + (down.isEmpty() ? "" : " it is on the bottom" + down) + " after " + fall.words(seconds) + ", "
                + lands(arrival);
    }

    /** Where it lands, against where it fell in. */
    String lands(Arrival arrival) {
        String out = Math.abs(arrival.shortM()) < RIGHT_UNDER_M
                ? ""
                : metres(Math.abs(arrival.shortM())) + (arrival.shortM() > 0 ? " short" : " farther out");
        String aside = arrival.driftM() < RIGHT_UNDER_M ? "" : metres(arrival.driftM()) + " aside";
        if (out.isEmpty() && aside.isEmpty()) {
            return "right under";
        }
        return out.isEmpty() || aside.isEmpty() ? out + aside : out + " and " + aside;
    }

    /** What it does after the fall, and among the fish. */
    List<String> wayHome() {
        if (scene.tracks().isEmpty()) {
            return List.of();
        }
        Scene.Track main = scene.tracks().get(0);
        Path path = main.path();
        List<String> said = new ArrayList<>();
        Double count = ask.countSeconds();
        if (count != null) {
            Path.Point turn = path.at(main.fallSeconds());
            said.add(
                    turn.contact() || main.fallSeconds() < count - 0.1
                            ? "Counted " + Figures.trimmed(count, 1) + " s it lies on the bottom before the reel turns."
                            : "Counted " + Figures.trimmed(count, 1) + " s it is at " + metres(turn.z())
                                    + " when the reel turns.");
        }
        said.add(run(main));
        if (path.last().seconds() >= Path.LONGEST_SECONDS - 1) {
            said.add("It is not home after ten minutes: the rest is not reckoned.");
        }
        Band band = ask.band();
        if (band != null) {
            said.add(among(main, band));
        }
        return said;
    }

    private String run(Scene.Track track) {
        Path path = track.path();
        String home = "On the way home, " + Figures.fixed(path.last().seconds() - track.fallSeconds(), 0) + " s, ";
        double over = ask.depthM() - path.meanDepthM(1);
        String bottom = metres(over) + " over the bottom on the mean";
        if (!path.touched()) {
            return home + "it runs at " + metres(path.meanDepthM(1)) + ", " + bottom + ", and never touches it.";
        }
        long again = touches(path) - 1;
        if (path.contactShare() < HARDLY) {
            return again < 1
                    ? home + "it leaves the bottom at once and runs " + bottom + "."
                    : home + "it comes back to the bottom " + (again == 1 ? "once" : again + " times") + " and runs "
                            + bottom + ".";
        }
        return home + "it is on the bottom for " + Math.round(100 * path.contactShare())
                + " % of the time since it first touched" + (over < RIGHT_UNDER_M ? "." : ", and runs " + bottom + ".");
    }

    /** How often it came to the bottom. */
    private static long touches(Path path) {
        long touches = 0;
        boolean before = false;
        for (Path.Point point : path.points()) {
            touches += point.contact() && !before ? 1 : 0;
            before = point.contact();
        }
        return touches;
    }

    private String among(Scene.Track track, Band band) {
        Path path = track.path();
        double all = band.secondsOf(path);
        Path fallen =
                new Path(path.points().stream().filter(p -> p.phase() == 0).toList());
        double falling = band.secondsOf(fallen);
        return "Among the fish, " + metres(band.fromM()) + " to " + metres(Math.min(band.toM(), ask.depthM()))
                + ", it is "
                + Figures.fixed(falling, 1) + " s on the fall and " + Figures.fixed(Math.max(0, all - falling), 1)
                + " s on the way home.";
    }

    private static String capital(String words) {
        return words.substring(0, 1).toUpperCase(Locale.ROOT) + words.substring(1);
    }
}
