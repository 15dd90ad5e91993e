package dusk.ledger.web.fan;

import dusk.ledger.units.Speed;
import dusk.ledger.units.UnitSystem;
import dusk.ledger.water.LaidFan;
import dusk.ledger.web.portrait.Svg;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * The casts from above, north up and to scale: a wedge as wide as a fish comes for the lure, filled where the cast was
 * made; where each comes down; wind and current as arrows.
 */
final class FanPicture {
    private static final double SIZE = 460;
    private static final double EDGE = 34;
    private static final int ARC_POINTS = 6;

    private final FanAsk ask;
    private final Svg svg = new Svg();
    private final double scale;
    private final double originX;
    private final double originY;
    private final double wide;
    private final double high;
    private final UnitSystem units;

    private FanPicture(FanAsk ask, List<Double> bearings, UnitSystem units) {
        this.ask = ask;
        this.units = units;
        double left = 0;
        double right = 0;
        double top = 0;
        double foot = 0;
        for (double bearing : bearings) {
            double east = ask.laid().castM() * Math.sin(Math.toRadians(bearing));
            double north = ask.laid().castM() * Math.cos(Math.toRadians(bearing));
            left = Math.min(left, east);
            right = Math.max(right, east);
            top = Math.max(top, north);
            foot = Math.min(foot, north);
        }
        scale = (SIZE - 2 * EDGE) / Math.max(right - left, Math.max(top - foot, 1));
        originX = EDGE - left * scale;
        originY = EDGE + top * scale;
        wide = (right - left) * scale + 2 * EDGE + 120;
        high = Math.max(170, (top - foot) * scale + 2 * EDGE);
    }

    static String svg(
            FanAsk ask, Set<Integer> made, List<LaidFan.@Nullable Landing> landings, String words, UnitSystem units) {
        List<Double> bearings = ask.laid().bearings();
        return new FanPicture(ask, bearings, units).draw(bearings, made, landings, words);
    }

    private double x(double bearing, double metres) {
        return originX + metres * scale * Math.sin(Math.toRadians(bearing));
    }

    private double y(double bearing, double metres) {
        return originY - metres * scale * Math.cos(Math.toRadians(bearing));
    }

    private String draw(
            List<Double> bearings, Set<Integer> made, List<LaidFan.@Nullable Landing> landings, String words) {
        svg.add(
                "<svg class=\"fan\" viewBox=\"0 0 %.0f %.0f\" width=\"%.0f\" height=\"%.0f\" role=\"img\" aria-label=\"%s\">",
                wide, high, wide, high, Svg.escape("The casts from above, north up. " + words));
        double castM = ask.laid().castM();
        double half = ask.laid().fan().stepDeg() / 2;
        for (int i = 0; i < bearings.size(); i++) {
            double bearing = bearings.get(i);
            svg.add(
                    "<path class=\"fan-width%s\" d=\"%s\"/>",
                    made.contains(i) ? " made" : "", wedge(bearing, half, castM));
        }
        for (int i = 0; i < bearings.size(); i++) {
            double bearing = bearings.get(i);
            svg.add(
                    "<path class=\"fan-cast%s\" d=\"M%.1f,%.1f L%.1f,%.1f\"/>",
                    made.contains(i) ? " made" : "", originX, originY, x(bearing, castM), y(bearing, castM));
            landing(bearing, landings.get(i));
            if (bearings.size() <= 30 || i % 5 == 0) {
                svg.label(
                        "water-number middle",
                        x(bearing, castM) + 13 * Math.sin(Math.toRadians(bearing)),
                        y(bearing, castM) - 13 * Math.cos(Math.toRadians(bearing)) + 4,
                        String.valueOf(i + 1));
            }
        }
        svg.add("<circle class=\"fan-boat\" cx=\"%.1f\" cy=\"%.1f\" r=\"6\"/>", originX, originY);
        svg.add("<path class=\"water-rod\" d=\"M%.1f,30 v-20 m-4,6 l4,-6 l4,6\"/>", wide - 60);
        svg.label("water-word middle", wide - 60, 46, "north");
        if (ask.wind() != null) {
            arrow("wind", ask.wind(), units.wind(), 84);
        }
        if (ask.current() != null) {
            arrow("current", ask.current(), units.current(), 142);
        }
        return svg.add("</svg>").toString();
    }

    private String wedge(double bearing, double half, double metres) {
        StringBuilder data = new StringBuilder(Svg.data("M%.1f,%.1f", originX, originY));
        for (int i = 0; i <= ARC_POINTS; i++) {
            double at = bearing - half + 2 * half * i / ARC_POINTS;
            data.append(Svg.data("L%.1f,%.1f", x(at, metres), y(at, metres)));
        }
        return data.append("Z").toString();
    }

    private void landing(double bearing, LaidFan.@Nullable Landing landing) {
        if (landing == null) {
            return;
        }
        double castM = ask.laid().castM();
        double fromX = x(bearing, castM);
        double fromY = y(bearing, castM);
        double toX =
                x(bearing, castM + landing.alongM()) + landing.asideM() * scale * Math.cos(Math.toRadians(bearing));
        double toY =
                y(bearing, castM + landing.alongM()) + landing.asideM() * scale * Math.sin(Math.toRadians(bearing));
        svg.add(
                "<path class=\"fan-carried\" d=\"M%.1f,%.1f L%.1f,%.1f\"/><circle class=\"water-second\" "
                        + "cx=\"%.1f\" cy=\"%.1f\" r=\"3.2\"/>",
                fromX, fromY, toX, toY, toX, toY);
    }

    private void arrow(String what, LaidFan.Stream stream, Speed.Unit unit, double down) {
        svg.add(
                "<g transform=\"translate(%.1f %.1f) rotate(%.0f)\"><path class=\"fan-%s\" d=\"M0,14 V-14 M-5,-7 L0,-14 L5,-7\"/></g>",
                wide - 60, down, stream.towardDeg(), what);
        svg.label(
                "water-word middle",
                wide - 60,
                down + 30,
                what + " " + Speed.ofMetresPerSecond(stream.mps()).show(unit));
    }
}
