package dusk.ledger.web.portrait;

import dusk.ledger.journal.SetUp;
import dusk.ledger.tackle.Head;
import dusk.ledger.units.Mass;

/** Outlines of heads and weights, as large as their mass and metal make them. */
final class HeadOutlines {
    private static final double SMALLEST = 2.4;
    private static final double DRAWN_LARGER = 1.15;

    private HeadOutlines() {}

    /** The radius of a ball of the head's mass, in mm, times a scale; 0 where there is no head. */
    static double radius(SetUp setUp, double scale) {
        Mass mass = setUp.headMass();
        if (mass == null) {
            return 0;
        }
        double ballMm = Head.ballRadius(mass, setUp.headMaterial()).millimetres();
        return Math.max(SMALLEST, ballMm * DRAWN_LARGER * scale);
    }

    /** Path data of a head whose back stands at x and whose middle is y; r is the radius of a ball of its mass. */
    static String outline(String shape, double x, double y, double r) {
        return switch (shape) {
            case "mushroom" ->
                format(
                        "M%.1f,%.1f A%.1f,%.1f 0 0 0 %.1f,%.1f L%.1f,%.1f L%.1f,%.1f L%.1f,%.1f L%.1f,%.1fZ",
                        x,
                        y - 1.3 * r,
                        1.3 * r,
                        1.3 * r,
                        x,
                        y + 1.3 * r,
                        x,
                        y + r * 0.5,
                        x + r,
                        y + r * 0.5,
                        x + r,
                        y - r * 0.5,
                        x,
                        y - r * 0.5);
            case "football" -> ellipse(x - r * 0.7, y, r * 0.75, r * 1.5);
            case "stand-up" -> polygon(x, y, r, 0, -0.9, 0, 0.9, -1.1, 1.7, -2.2, 1.5, -1.5, -0.4);
            case "bullet" ->
                format(
                        "M%.1f,%.1f Q%.1f,%.1f %.1f,%.1f L%.1f,%.1f Q%.1f,%.1f %.1f,%.1fZ",
                        x - 3.1 * r,
                        y,
                        x - 1.6 * r,
                        y - 0.9 * r,
                        x,
                        y - 0.95 * r,
                        x,
                        y + 0.95 * r,
                        x - 1.6 * r,
                        y + 0.9 * r,
                        x - 3.1 * r,
                        y);
            case "keeled minnow" -> polygon(x, y, r, 0, -0.8, 0, 0.7, -1.0, 1.9, -2.0, 1.2, -2.9, 0, -1.6, -0.9);
            case "darter" -> polygon(x, y, r, 0, -0.7, 0, 0.7, -1.6, 0.9, -3.6, 0.25, -3.6, -0.25, -1.6, -0.9);
            case "pointed" -> polygon(x, y, r, 0, -0.8, 0, 0.8, -1.5, 0.7, -3.4, -0.9, -1.7, -0.9);
            case "cylinder" -> polygon(x - r, y, r, -0.55, -2.0, 0.55, -2.0, 0.55, 2.0, -0.55, 2.0);
            case "nail" -> polygon(x, y, r, 0, -0.45, 0.4, -0.45, 3.8, 0, 0.4, 0.45, 0, 0.45);
            case "pear" ->
                format(
                        "M%.1f,%.1f C%.1f,%.1f %.1f,%.1f %.1f,%.1f C%.1f,%.1f %.1f,%.1f %.1f,%.1fZ",
                        x - r,
                        y - 1.9 * r,
                        x + 0.4 * r,
                        y - 0.6 * r,
                        x + 0.9 * r,
                        y + 1.4 * r,
                        x - r,
                        y + 1.4 * r,
                        x - 2.9 * r,
                        y + 1.4 * r,
                        x - 2.4 * r,
                        y - 0.6 * r,
                        x - r,
                        y - 1.9 * r);
            case "belly keel" ->
                format(
                        "M%.1f,%.1f L%.1f,%.1f Q%.1f,%.1f %.1f,%.1f Q%.1f,%.1f %.1f,%.1fZ",
                        x,
                        y,
                        x + 4.4 * r,
                        y,
                        x + 4.0 * r,
                        y + 1.5 * r,
                        x + 2.2 * r,
                        y + 1.5 * r,
                        x + 0.4 * r,
                        y + 1.5 * r,
                        x,
                        y);
            case "tube" ->
                format(
                        "M%.1f,%.1f a%.1f,%.1f 0 0 0 0,%.1f L%.1f,%.1f L%.1f,%.1fZ",
                        x + 1.2 * r,
                        y - 0.8 * r,
                        0.8 * r,
                        0.8 * r,
                        1.6 * r,
                        x + 4 * r,
                        y + 0.45 * r,
                        x + 4 * r,
                        y - 0.45 * r);
            case "line-through" -> polygon(x, y, r, 0, -0.9, 0, 0.9, -1.2, 1.1, -2.6, 0.35, -2.6, -0.35, -1.2, -1.1);
            default -> ellipse(x - r * 0.8, y, r, r);
        };
    }

    static String ellipse(double x, double y, double rx, double ry) {
        return format(
                "M%1$.1f,%2$.1f a%3$.1f,%4$.1f 0 1 0 %5$.1f,0 a%3$.1f,%4$.1f 0 1 0 -%5$.1f,0Z",
                x - rx, y, rx, ry, 2 * rx);
    }

    private static String polygon(double x, double y, double r, double... corners) {
        StringBuilder path = new StringBuilder();
        for (int i = 0; i < corners.length; i += 2) {
            path.append(i == 0 ? 'M' : 'L').append(format("%.1f,%.1f ", x + r * corners[i], y + r * corners[i + 1]));
        }
        return path.append('Z').toString();
    }

    private static String format(String form, Object... values) {
        return Svg.data(form, values);
    }
}
