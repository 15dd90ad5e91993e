package dusk.ledger.web.tackle;

import dusk.ledger.journal.SetUp;
import dusk.ledger.units.Length;
import dusk.ledger.units.Mass;
import java.util.Locale;
import org.jspecify.annotations.Nullable;

/**
 * A set-up drawn from its fields, to one scale for all: a millimetre is a unit of the picture, which shows 190 by 64 of them. Longer plastics shrink
 * the whole.
 */
public final class Portrait {
    private static final double WIDE = 190;
    private static final double HIGH = 64;
    private static final double MIDDLE = 32;
    private static final double NOSE = 26;
    private static final double DEFAULT_PLASTIC_MM = 90;

    /** kg/m3, as moulded; g to mm3 by 1e6 / (1000 * density). */
    private static double density(@Nullable String material) {
        return switch (material == null ? "lead" : material) {
            case "tungsten" -> 16000;
            case "tin-bismuth" -> 8600;
            case "brass" -> 8500;
            case "steel" -> 7850;
            default -> 11000;
        };
    }

    private Portrait() {}

    /**
     * The picture as inline SVG.
     *
     * @param words the set-up in words, its accessible name
     */
    public static String svg(SetUp setUp, String words) {
        Length length = setUp.plasticLength();
        double plasticMm = length == null ? DEFAULT_PLASTIC_MM : length.millimetres();
        double scale = Math.min(1, (WIDE - NOSE - 8) / plasticMm);
        StringBuilder svg = new StringBuilder(1200);
        svg.append("<svg class=\"portrait\" viewBox=\"0 0 190 64\" role=\"img\" aria-label=\"")
                .append(escape(words))
                .append("\"><g class=\"portrait-line\">");
        boolean apart = setUp.leader() != null
                || setUp.rig().equals("drop shot")
                || setUp.rig().equals("carolina rig");
        add(svg, "<path d=\"M0,%.1f L%.1f,%.1f\"/>", MIDDLE - 14, NOSE - 4, MIDDLE);
        svg.append("</g>");
        plastic(svg, setUp, plasticMm * scale, plasticMm * scale / 100);
        hook(svg, setUp, plasticMm * scale);
        head(svg, setUp, scale, apart);
        return svg.append("</svg>").toString();
    }

    /** A patch of a colour, for a button that chooses it; the word stands beside it. */
    public static String swatch(String colour) {
        return "<svg class=\"swatch\" viewBox=\"0 0 10 10\" aria-hidden=\"true\"><rect width=\"10\" height=\"10\" fill=\""
                + Ink.colour(colour) + "\"/></svg>";
    }

    private static void plastic(StringBuilder svg, SetUp setUp, double lengthMm, double factor) {
        String plastic = setUp.plastic();
        if (plastic == null || plastic.equals("none")) {
            return;
        }
        String accent = Ink.accent(setUp.colourAccent());
        add(
                svg,
                "<g transform=\"translate(%.1f,%.1f) scale(%.3f)\"><path class=\"portrait-body\" fill=\"%s\" d=\"%s\"/>",
                NOSE,
                MIDDLE,
                factor,
                Ink.colour(setUp.colour()),
                Plastics.outline(plastic));
        if (accent != null) {
            accent(svg, String.valueOf(setUp.colourAccent()), accent);
        }
        svg.append("</g>");
        if ("short".equals(setUp.skirt()) || "long".equals(setUp.skirt())) {
            double reach = "long".equals(setUp.skirt()) ? 38 : 22;
            for (int i = -3; i <= 3; i++) {
                add(
                        svg,
                        "<path class=\"portrait-skirt\" stroke=\"%s\" d=\"M%.1f,%.1f q%.1f,%.1f %.1f,%.1f\"/>",
                        Ink.colour(setUp.colour()),
                        NOSE,
                        MIDDLE + i,
                        reach / 2,
                        i * 3.0,
                        reach,
                        i * 2.6);
            }
        }
        if (lengthMm > 0 && "wacky".equals(setUp.rig())) {
            add(svg, "<circle class=\"portrait-band\" cx=\"%.1f\" cy=\"%.1f\" r=\"4\"/>", NOSE + lengthMm / 2, MIDDLE);
        }
    }

    private static void accent(StringBuilder svg, String word, String ink) {
        switch (word) {
            case "chartreuse tail" -> add(svg, "<circle fill=\"%s\" cx=\"95\" cy=\"0\" r=\"4\"/>", ink);
            case "orange belly" -> add(svg, "<ellipse fill=\"%s\" cx=\"30\" cy=\"4\" rx=\"20\" ry=\"1.6\"/>", ink);
            case "dark back" -> add(svg, "<ellipse fill=\"%s\" cx=\"30\" cy=\"-4\" rx=\"22\" ry=\"1.6\"/>", ink);
            default -> {
                for (int i = 0; i < 6; i++) {
                    add(
                            svg,
                            "<circle fill=\"%s\" cx=\"%d\" cy=\"%d\" r=\"1\"/>",
                            ink,
                            12 + i * 11,
                            i % 2 == 0 ? -1 : 2);
                }
            }
        }
    }

    /** A hook is told by where its point stands: out of the back, or in the middle of a worm hung by it. */
    private static void hook(StringBuilder svg, SetUp setUp, double lengthMm) {
        double wire = "heavy".equals(setUp.hookWire()) ? 1.8 : 1.1;
        boolean buried = "point buried".equals(setUp.weedGuard());
        double eye = setUp.rig().contains("wacky") ? NOSE + lengthMm / 2 - 6 : NOSE - 2;
        double bend = eye + Math.min(30, Math.max(14, lengthMm * 0.38));
        double point = buried ? MIDDLE - 5 : MIDDLE - 13;
        add(
                svg,
                "<path class=\"portrait-hook\" stroke-width=\"%.1f\" d=\"M%.1f,%.1f L%.1f,%.1f C%.1f,%.1f %.1f,%.1f %.1f,%.1f\"/>",
                wire,
                eye,
                MIDDLE,
                bend - 5,
                MIDDLE + 1,
                bend + 8,
                MIDDLE + 1,
                bend + 7,
                point,
                bend - 3,
                point);
    }

    private static void head(StringBuilder svg, SetUp setUp, double scale, boolean apart) {
        Mass mass = setUp.headMass();
        if (mass == null) {
            return;
        }
        double volumeMm3 = mass.grams() * 1e6 / density(setUp.headMaterial());
        double r = Math.max(2.2, Math.cbrt(3 * volumeMm3 / (4 * Math.PI)) * scale * 1.15);
        String ink = Ink.head(setUp.headMaterial(), setUp.headColour());
        double x = NOSE - r * 0.4;
        double y = MIDDLE;
        if (apart) {
            x = 12;
            y = HIGH - r - 3;
            add(svg, "<path class=\"portrait-leader\" d=\"M%.1f,%.1f L%.1f,%.1f\"/>", NOSE - 3, MIDDLE, x, y - r);
        }
        add(svg, "<path class=\"portrait-head\" fill=\"%s\" d=\"%s\"/>", ink, headPath(setUp.headShape(), x, y, r));
    }

    private static String headPath(@Nullable String shape, double x, double y, double r) {
        return switch (shape == null ? "ball" : shape) {
            case "mushroom" ->
                fill("M%1$.1f,%2$.1f a%3$.1f,%3$.1f 0 0 0 0,%4$.1f l%5$.1f,0 l0,-%4$.1fZ", x, y - r, r, 2 * r, r * 0.5);
            case "football" -> ellipse(x, y, r * 0.8, r * 1.35);
            case "stand-up" -> polygon(x, y, r, -1.2, -0.6, 0.9, -0.9, 1.1, 0.2, -0.9, 1.3);
            case "bullet" -> polygon(x, y, r, -1.7, 0, -0.4, -0.8, 1.1, -0.95, 1.1, 0.95, -0.4, 0.8);
            case "keeled minnow" -> polygon(x, y, r, -1.4, -0.2, -0.2, -0.9, 1.2, -0.6, 1.2, 0.6, 0, 1.3);
            case "darter" -> polygon(x, y, r, -2.0, 0, 0.2, -0.7, 1.2, -0.5, 1.2, 0.5, 0.2, 0.7);
            case "pointed" -> polygon(x, y, r, -1.9, 0.2, 0, -1, 1.1, -0.7, 1.1, 0.7, 0, 0.9);
            case "cylinder" -> polygon(x, y, r, -0.6, -1.6, 0.6, -1.6, 0.6, 1.6, -0.6, 1.6);
            case "nail" -> polygon(x + r, y, r, -2.4, -0.3, 2.4, -0.1, 2.4, 0.1, -2.4, 0.3);
            case "pear" ->
                fill("M%1$.1f,%2$.1f c%3$.1f,%4$.1f -%3$.1f,%4$.1f 0,0Z", x, y - r * 1.4, r * 2.6, r * 3.4, 0);
            case "belly keel" -> ellipse(x + 3 * r, y + r, r * 1.4, r * 0.6);
            case "tube", "line-through" -> ellipse(x + r, y, r * 1.6, r * 0.8);
            default -> ellipse(x, y, r, r);
        };
    }

    private static String ellipse(double x, double y, double rx, double ry) {
        return String.format(
                Locale.ROOT,
                "M%1$.1f,%2$.1f a%3$.1f,%4$.1f 0 1 0 %5$.1f,0 a%3$.1f,%4$.1f 0 1 0 -%5$.1f,0Z",
                x - rx,
                y,
                rx,
                ry,
                2 * rx);
    }

    private static String polygon(double x, double y, double r, double... corners) {
        StringBuilder path = new StringBuilder();
        for (int i = 0; i < corners.length; i += 2) {
            path.append(i == 0 ? 'M' : 'L');
            path.append(String.format(Locale.ROOT, "%.1f,%.1f ", x + r * corners[i], y + r * corners[i + 1]));
        }
        return path.append('Z').toString();
    }

    private static String fill(String path, Object... values) {
        return String.format(Locale.ROOT, path, values);
    }

    private static void add(StringBuilder svg, String form, Object... values) {
        svg.append(String.format(Locale.ROOT, form, values));
    }

    private static String escape(String text) {
        return text.replace("&", "&amp;").replace("<", "&lt;").replace("\"", "&quot;");
    }
}
