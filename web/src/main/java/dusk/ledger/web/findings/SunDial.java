package dusk.ledger.web.findings;

import dusk.ledger.evidence.LevelFigures;
import dusk.ledger.evidence.Levels;
import dusk.ledger.evidence.RateGrid;
import dusk.ledger.light.SunHour;
import dusk.ledger.units.Figures;
import dusk.ledger.web.portrait.Svg;

/**
 * A dial of the day by the sun: night at the foot, sunrise on the left, the middle of the day on top, sunset on the
 * right. A part's wedge reaches out as far as its rate; a line over it is the likely range; parts with little fishing
 * are hatched, unfished ones empty.
 */
final class SunDial {
    private static final double SIZE = 320;
    private static final double MIDDLE = SIZE / 2;
    private static final double HUB = 22;
    private static final double REACH = 118;
    private static final double RIM = 128;
    private static final double STEP = 2 * Math.PI / SunHour.values().length;
    private static final double HALF = 0.5;
    private static final int FULL = 10;

    private SunDial() {}

    /**
     * Draws it.
     *
     * @param most the rate at the rim
     * @param lettered with words beside it, and the hatching that other dials of the page take from it
     */
    static String svg(Levels levels, double most, boolean lettered) {
        Svg svg = new Svg()
                .add("<svg class=\"dial\" viewBox=\"-10 -14 340 348\" role=\"img\" aria-label=\"Rates by "
                        + "part of the day; the same figures stand in the table below\">");
        if (lettered) {
            // once a page: the small dials hatch with it too
            svg.add("<defs><pattern id=\"little\" width=\"6\" height=\"6\" patternUnits=\"userSpaceOnUse\" "
                    + "patternTransform=\"rotate(45)\"><path class=\"dial-hatch\" d=\"M0,0 "
                    + "V6\"/></pattern></defs>");
        }
        for (SunHour hour : SunHour.values()) {
            double from = (hour.ordinal() - HALF) * STEP;
            svg.add(wedge("dial-sky " + sky(hour), REACH + 3, RIM, from, from + STEP));
        }
        for (int ring = 1; most > 0 && ring * step(most) <= most * 1.001; ring++) {
            double radius = radius(ring * step(most), most);
            svg.add("<circle class=\"dial-ring\" cx=\"160\" cy=\"160\" r=\"%.1f\"/>", radius);
        }
        levels.figures().forEach((code, figures) -> svg.add(part(code, figures, most)));
        if (lettered) {
            for (int ring = 1; most > 0 && ring * step(most) <= most * 1.001; ring++) {
                double radius = radius(ring * step(most), most);
                svg.add(
                        "<text class=\"dial-label\" x=\"163\" y=\"%.1f\">%s</text>",
                        MIDDLE - radius - 2, Figures.trimmed(ring * step(most), 2));
            }
            svg.add("<text class=\"dial-word\" x=\"160\" y=\"-3\">middle of the day</text><text "
                    + "class=\"dial-word\" x=\"160\" y=\"330\">night</text>");
            svg.add("<text class=\"dial-word\" transform=\"rotate(-90 0 160)\" x=\"0\" y=\"172\" "
                    + "dy=\"8\">sunrise</text><text class=\"dial-word\" transform=\"rotate(90 320 160)\" "
                    + "x=\"320\" y=\"172\" dy=\"8\">sunset</text>");
        }
        return svg.add("</svg>").toString();
    }

    /** To expect; 0 where there is no fish at all. */
    static double mean(LevelFigures figures) {
        return figures.shrunk() == null ? 0 : figures.shrunk().mean();
    }

    private static String part(int code, LevelFigures figures, double most) {
        double from = (code - HALF) * STEP;
        double reach = radius(Math.min(most, mean(figures)), most);
        boolean little = figures.rodHours() < RateGrid.LITTLE_ROD_HOURS;
        Svg part = new Svg().add(wedge("dial-part", HUB, reach, from + 0.03, from + STEP - 0.03));
        if (little) {
            part.add(wedge("dial-little", HUB, REACH, from + 0.03, from + STEP - 0.03));
        } else if (figures.shrunk() != null) {
            double angle = code * STEP;
            double low = radius(Math.min(most, figures.shrunk().interval().low()), most);
            double high = radius(Math.min(most, figures.shrunk().interval().high()), most);
            part.add(
                    "<line class=\"dial-range\" x1=\"%.1f\" y1=\"%.1f\" x2=\"%.1f\" y2=\"%.1f\"/>",
                    x(low, angle), y(low, angle), x(high, angle), y(high, angle));
        }
        return part.toString();
    }

    private static String sky(SunHour hour) {
        return switch (hour) {
            case NIGHT, TWO_BEFORE_SUNRISE, TWO_AFTER_SUNSET -> "light-night";
            case ONE_BEFORE_SUNRISE -> "light-dawn";
            case ONE_AFTER_SUNSET -> "light-dusk";
            case ONE_AFTER_SUNRISE, ONE_BEFORE_SUNSET -> "light-low-sun";
            case MORNING, MIDDLE, AFTERNOON -> "light-day";
        };
    }

    /** A round step that makes two to five rings. */
    private static double step(double most) {
        double step = Math.pow(FULL, Math.floor(Math.log10(most / 2)));
        while (most / step > 5) {
            step *= 2;
        }
        return step;
    }

    private static double radius(double rate, double most) {
        return HUB + (most > 0 ? (REACH - HUB) * rate / most : 0);
    }

    /** Angles run clockwise from the foot. */
    private static double x(double radius, double angle) {
        return MIDDLE - radius * Math.sin(angle);
    }

    private static double y(double radius, double angle) {
        return MIDDLE + radius * Math.cos(angle);
    }

    private static String wedge(String look, double inner, double outer, double from, double to) {
        return Svg.data(
                "<path class=\"%s\" d=\"M%.1f,%.1f L%.1f,%.1f A%.1f,%.1f 0 0 1 %.1f,%.1f L%.1f,%.1f A%.1f,%.1f 0 0 0 %.1f,%.1f Z\"/>",
                look,
                x(inner, from),
                y(inner, from),
                x(outer, from),
                y(outer, from),
                outer,
                outer,
                x(outer, to),
                y(outer, to),
                x(inner, to),
                y(inner, to),
                inner,
                inner,
                x(inner, from),
                y(inner, from));
    }
}
