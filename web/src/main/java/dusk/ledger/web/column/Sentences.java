package dusk.ledger.web.column;

import dusk.ledger.units.Figures;
import dusk.ledger.units.Length;
import dusk.ledger.units.Speed;
import dusk.ledger.units.UnitSystem;
import dusk.ledger.water.Arrival;
import dusk.ledger.water.Band;
import dusk.ledger.water.Ladder;
import dusk.ledger.water.Path;
import dusk.ledger.web.tackle.Fall;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;

/** What was reckoned, in words. */
final class Sentences {
    /** Nearer than this it lies where it fell in. */
    private static final double RIGHT_UNDER_M = 0.15;

    private static final double LONG_S = 600;

    private final Scene scene;
    private final ColumnAsk ask;
    private final UnitSystem units;

    Sentences(Scene scene, UnitSystem units) {
        this.scene = scene;
        this.ask = scene.ask();
        this.units = units;
    }

    String metres(double metres) {
        Length.Unit unit = units.depth();
        return Figures.trimmed(Length.ofMetres(Math.max(0, metres)).in(unit), 1) + " " + unit.symbol();
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
        said.add(run(path));
        if (path.last().seconds() >= LONG_S - 1) {
            said.add("It is not home after ten minutes: the rest is not reckoned.");
        }
        Band band = ask.band();
        if (band != null) {
            said.add(among(main, band));
        }
        return said;
    }

    private String run(Path path) {
        String home = "On the way home, " + Figures.fixed(path.last().seconds() - fallSeconds(path), 0) + " s, ";
        String bottom = metres(ask.depthM() - path.meanDepthM(1)) + " over the bottom on the mean";
        if (!path.touched()) {
            return home + "it runs at " + metres(path.meanDepthM(1)) + ", " + bottom + ", and never touches it.";
        }
        if (path.contactShare() < 0.01) {
            return home + "it leaves the bottom at once and runs " + bottom + ".";
        }
        return home + "it is on the bottom for " + Math.round(100 * path.contactShare())
                + " % of the time since it first touched, and runs " + bottom + ".";
    }

    private static double fallSeconds(Path path) {
        return path.points().stream()
                .filter(p -> p.phase() == 0)
                .mapToDouble(Path.Point::seconds)
                .max()
                .orElse(0);
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

    /** School W1. */
    String lightest(Scene.Rungs rungs) {
        Ladder ladder = rungs.ladder();
        if (ladder.lightest().isEmpty()) {
            boolean beyond = ladder.rungs().stream().anyMatch(r -> r.holds());
            return "Lightest that holds: no head"
                    + (beyond ? " within the rod's rating" : " of the ladder")
                    + " is on the bottom for 70 % of the way home at " + speed(ask.reelMps())
                    + ". Reel slower, or give it line and let it fall again.";
        }
        Ladder.Rung rung = ladder.lightest().get();
        return "Lightest that holds: " + rung.head().show(units.headMass()) + ", on the bottom for "
                + Math.round(100 * rung.contactShare()) + " % of the way home"
                + (rung.fallSeconds() == null ? "" : ", " + Fall.counted(rung.fallSeconds()) + " s in the fall") + ".";
    }

    /** School W2. */
    String control(Scene.Rungs rungs) {
        Ladder ladder = rungs.ladder();
        if (ladder.control().isEmpty()) {
            return "Overweight for control: has no say in less than " + metres(3) + " of water.";
        }
        Ladder.Rung rung = ladder.control().get();
        return "Overweight for control: " + rung.head().show(units.headMass()) + ", on the bottom for "
                + Math.round(100 * rung.contactShare()) + " % of the way home"
                + (rung.fallSeconds() == null ? "" : ", " + Fall.counted(rung.fallSeconds()) + " s in the fall") + ".";
    }

    /** When each wins. */
    String whichWins(Scene.Rungs rungs) {
        Ladder ladder = rungs.ladder();
        if (ladder.lightest().isEmpty()) {
            return ladder.control().isEmpty()
                    ? "Neither school has an answer here at this speed."
                    : "Here the first has no answer at this speed: control is all there is, at the cost of snags and of the fish that a heavy head throws.";
        }
        if (ladder.control().isEmpty()) {
            return "Here the light head wins: it is eaten on the fall, and it holds " + upTo(rungs.lightestUpTo())
                    + ".";
        }
        Ladder.Rung light = ladder.lightest().get();
        Ladder.Rung heavy = ladder.control().get();
        if (heavy.head().compareTo(light.head()) <= 0) {
            return "Here even the lightest that holds is no lighter: both schools tie on the same, or the light one goes up.";
        }
        double gained = light.fallSeconds() == null || heavy.fallSeconds() == null
                ? 0
                : light.fallSeconds() - heavy.fallSeconds();
        return "The light head wins while fish eat on the fall: it is " + Figures.fixed(gained, 1)
                + " s longer before their eyes, and it holds " + upTo(rungs.lightestUpTo())
                + ". The heavy one wins beyond that, in wind and drift: it holds " + upTo(rungs.controlUpTo()) + ".";
    }

    private String upTo(OptionalDouble current) {
        if (current.isEmpty()) {
            return "no current at this speed";
        }
        if (current.getAsDouble() >= Ladder.STRONGEST_MPS - 0.05) {
            return "any current one fishes in";
        }
        return current.getAsDouble() < 0.05
                ? "in still water only"
                : "up to a current of about " + speed(current.getAsDouble());
    }

    private static String speed(double mps) {
        return Speed.ofMetresPerSecond(Math.round(mps * 100) / 100.0).show();
    }

    /** For fish off the bottom. */
    String held(Scene.Rungs rungs) {
        return rungs.ladder()
                .held()
                .map(h -> "For these fish: " + h.head().show(units.headMass()) + " counted to "
                        + Fall.counted(h.countSeconds()) + ", then reeled: " + Figures.fixed(h.bandSeconds(), 1)
                        + " s among them, the most of the ladder.")
                .orElse("");
    }

    private static String capital(String words) {
        return words.substring(0, 1).toUpperCase(Locale.ROOT) + words.substring(1);
    }
}
