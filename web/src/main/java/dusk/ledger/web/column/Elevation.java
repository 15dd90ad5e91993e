package dusk.ledger.web.column;

import dusk.ledger.units.Figures;
import dusk.ledger.units.Length;
import dusk.ledger.units.Speed;
import dusk.ledger.units.UnitSystem;
import dusk.ledger.water.Arrival;
import dusk.ledger.water.Band;
import dusk.ledger.water.Cast;
import dusk.ledger.water.Line;
import dusk.ledger.water.Path;
import dusk.ledger.water.Tied;
import dusk.ledger.web.portrait.Svg;
import java.util.ArrayList;
import java.util.List;

/**
 * The water from the side, to scale, depth and distance alike: the rod, the surface, the bottom, the fish, and the
 * paths with a mark each second. Where a lure is carried aside the water from above stands under it, on the same
 * scale.
 */
final class Elevation {
    private static final double WIDE = 780;
    private static final double HIGH = 400;
    static final double LEFT = 62;
    static final double RIGHT = 22;
    private static final double FOOT = 38;

    /** Carried aside by less than this there is nothing to see from above. */
    private static final double ASIDE_M = 0.3;

    final Scene scene;
    final ColumnAsk ask;
    private final UnitSystem units;
    private final Svg svg = new Svg();
    private final double farM;
    final double scale;
    private final double top;
    private final double leftM;
    private final double rightM;

    private Elevation(Scene scene, UnitSystem units) {
        this.scene = scene;
        this.ask = scene.ask();
        this.units = units;
        farM = Math.max(Math.max(ask.castM(), 2), far(scene)) + 0.8;
        leftM = scene.tracks().stream().mapToDouble(t -> least(t.path())).min().orElse(0);
        rightM = scene.tracks().stream().mapToDouble(t -> most(t.path())).max().orElse(0);
        double highM = ask.depthM() + ask.tipM() + 0.4 + (aside() ? rightM - leftM + 1 : 0);
        scale = Math.min((WIDE - LEFT - RIGHT) / farM, HIGH / highM);
        top = (ask.tipM() + 0.4) * scale + 8;
    }

    private static double far(Scene scene) {
        return scene.tracks().stream()
                .flatMap(t -> t.path().points().stream())
                .mapToDouble(Path.Point::x)
                .max()
                .orElse(0);
    }

    private static double least(Path path) {
        return path.points().stream().mapToDouble(Path.Point::y).min().orElse(0);
    }

    private static double most(Path path) {
        return path.points().stream().mapToDouble(Path.Point::y).max().orElse(0);
    }

    private boolean aside() {
        return rightM - leftM > ASIDE_M;
    }

    /** Inline SVG. */
    static String svg(Scene scene, UnitSystem units, String words) {
        return new Elevation(scene, units).draw(words);
    }

    double x(double metres) {
        return LEFT + metres * scale;
    }

    double y(double metres) {
        return top + metres * scale;
    }

    private String draw(String words) {
        Tracks tracks = new Tracks(this, svg);
        double wide = x(farM) + RIGHT;
        double plan = y(ask.depthM()) + FOOT;
        double high = plan + (aside() ? (rightM - leftM + 1) * scale + 24 : 0);
        svg.add(
                "<svg class=\"elevation\" viewBox=\"0 0 %.0f %.0f\" width=\"%.0f\" height=\"%.0f\" role=\"img\" aria-label=\"%s\">",
                wide, high, wide, high, Svg.escape(words));
        water(wide);
        band(wide);
        current(wide);
        rod();
        for (int i = scene.tracks().size() - 1; i >= 0; i--) {
            tracks.draw(scene.tracks().get(i), i);
        }
        for (int i = scene.tracks().size() - 1; i >= 0; i--) {
            Scene.Track track = scene.tracks().get(i);
            Path.Point down = track.path().at(track.fallSeconds());
            svg.label(
                    "water-letter middle",
                    x(down.x()) + (i == 0 ? 15 : -15),
                    y(down.z()) - (i == 0 ? 9 : 26),
                    track.letter());
        }
        if (aside()) {
            tracks.fromAbove(wide, plan + 18, leftM);
        }
        return svg.add("</svg>").toString();
    }

    private void water(double wide) {
        svg.add(
                "<rect class=\"water-body\" x=\"%.1f\" y=\"%.1f\" width=\"%.1f\" height=\"%.1f\"/>",
                LEFT, top, wide - LEFT, ask.depthM() * scale);
        svg.add("<path class=\"water-surface\" d=\"M%.1f,%.1f H%.1f\"/>", LEFT - 8, top, wide);
        svg.add("<path class=\"water-bottom\" d=\"M%.1f,%.1f H%.1f\"/>", LEFT - 8, y(ask.depthM()), wide);
        for (double hatch = LEFT; hatch < wide; hatch += 12) {
            svg.add("<path class=\"water-hatch\" d=\"M%.1f,%.1f l-6,7\"/>", hatch, y(ask.depthM()) + 1);
        }
        Length.Unit unit = units.depth();
        double each = Length.ofMetres(1).in(unit);
        for (double depth : ticks(ask.depthM() * each, ask.depthM() * scale, 30)) {
            svg.label(
                    "water-word end", LEFT - 12, y(depth / each) + 4, Figures.trimmed(depth, 0) + " " + unit.symbol());
        }
        svg.label(
                "water-word end strong",
                LEFT - 12,
                y(ask.depthM()) + 4,
                Length.ofMetres(ask.depthM()).show(unit));
        for (double out : ticks(farM * each, farM * scale, 70)) {
            double at = x(out / each);
            svg.add("<path class=\"water-tick\" d=\"M%.1f,%.1f v5\"/>", at, y(ask.depthM()) + 10);
            svg.label("water-word middle", at, y(ask.depthM()) + 28, Figures.trimmed(out, 0) + " " + unit.symbol());
        }
    }

    /** Round steps up to a length, each at least so far apart on the drawing; the last is left out where it would touch the end. */
    private static List<Double> ticks(double most, double length, double apart) {
        double step = 1;
        for (double times = 2; step / most * length < apart; times = times == 2 ? 2.5 : 2) {
            step *= times;
        }
        List<Double> ticks = new ArrayList<>();
        for (double tick = step; (most - tick) / most * length > apart * 0.6; tick += step) {
            ticks.add(tick);
        }
        return ticks;
    }

    private void band(double wide) {
        Band band = ask.band();
        if (band != null && band.fromM() < ask.depthM()) {
            double foot = Math.min(band.toM(), ask.depthM());
            svg.add(
                    "<rect class=\"water-fish\" x=\"%.1f\" y=\"%.1f\" width=\"%.1f\" height=\"%.1f\"/>",
                    LEFT, y(band.fromM()), wide - LEFT, (foot - band.fromM()) * scale);
            svg.label("water-word end", wide - 8, y(band.fromM()) - 5, "fish");
        }
    }

    /** Its profile near the rod: arrows along the cast as long as it is strong, and how it runs in words. */
    private void current(double wide) {
        if (ask.currentMps() == 0) {
            return;
        }
        svg.label(
                "water-word",
                LEFT + 46,
                top - 8,
                "current " + Speed.ofMetresPerSecond(ask.currentMps()).show(units.current()));
        Cast profile = ask.cast(Line.of(Tied.USUAL_LINE));
        double along = Math.cos(Math.toRadians(ask.headingDeg()));
        for (double part : new double[] {0.06, 0.3, 0.55, 0.78, 0.93}) {
            double speed = profile.currentMps(part * ask.depthM()) / ask.currentMps();
            double reach = 34 * speed * along;
            double at = LEFT + 26;
            double deep = y(part * ask.depthM());
            if (Math.abs(along) > 0.3) {
                svg.add(
                        "<path class=\"water-current\" d=\"M%.1f,%.1f h%.1f m%.1f,-4 l%.1f,4 l%.1f,4\"/>",
                        at - reach / 2,
                        deep,
                        reach,
                        -5 * Math.signum(along),
                        5 * Math.signum(along),
                        -5 * Math.signum(along));
            } else {
                svg.add("<circle class=\"water-current\" cx=\"%.1f\" cy=\"%.1f\" r=\"%.1f\"/>", at, deep, 5 * speed);
            }
        }
    }

    private void rod() {
        svg.add("<path class=\"water-rod\" d=\"M%.1f,%.1f L%.1f,%.1f\"/>", LEFT - 34, top - 6, x(0), y(-ask.tipM()));
        svg.add("<path class=\"water-rod boat\" d=\"M%.1f,%.1f h30 l-5,7 h-20 z\"/>", LEFT - 52, top - 6);
        if (!scene.tracks().isEmpty()) {
            Scene.Track main = scene.tracks().get(0);
            Path.Point at = main.path().at(main.fallSeconds());
            svg.add(
                    "<path class=\"water-line\" d=\"M%.1f,%.1f L%.1f,%.1f\"/>",
                    x(0), y(-ask.tipM()), x(at.x()), y(at.z()));
        }
    }

    /** How a way of falling is told in a legend. */
    static String fallWords(Arrival.Method method) {
        return switch (method) {
            case SLACK -> "on slack line";
            case TIGHT -> "on a tight line";
            case OPEN_BAIL -> "with the bail open";
        };
    }
}
