package dusk.ledger.web.tackle;

import dusk.ledger.journal.SetUp;
import dusk.ledger.tackle.Hook;
import dusk.ledger.tackle.PlasticBody;
import dusk.ledger.units.Length;
import dusk.ledger.web.frame.Svg;
import java.util.Locale;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * A set-up drawn from its fields, all to one scale: a millimetre is a unit of the picture, which shows 190 by 76 of them; what is longer shrinks the
 * whole. A rig is told by where the line comes from, where the weight sits and where the point stands; drops and leaders are drawn short, with a
 * break.
 */
public final class Portrait {
    static final double WIDE = 190;
    private static final double MIDDLE = 36;
    private static final double FLOOR = 72;
    private static final double STANDING_DEG = -16;
    private static final double USUAL_PLASTIC_MM = 90;
    private static final double USUAL_HOOK_SHARE = 0.42;
    private static final Set<String> HUNG_IN_THE_MIDDLE =
            Set.of("wacky", "weighted wacky", "weedless wacky", "nail-weighted wacky", "sliding wacky");
    private static final Set<String> FREE_WEIGHT = Set.of("carolina rig", "drop shot", "sliding wacky");
    private static final Set<String> HARD = Set.of("crankbait", "lipless crankbait", "jerkbait", "topwater", "spoon");

    private static final String PRINT_INKS =
            ".portrait-line,.portrait-ring,.portrait-wire,.portrait-guard,.portrait-hook,.portrait-skirt,.portrait-worm,.portrait-worm-edge,"
                    + ".portrait-detail,.portrait-band{fill:none}.portrait-line,.portrait-wire,.portrait-ring,.portrait-guard,.portrait-hook,"
                    + ".portrait-body,.portrait-head,.portrait-blade,.portrait-cork,.portrait-detail,.portrait-worm-edge,.portrait-band{stroke:#222}";

    private final SetUp setUp;
    private final Drawing draw = new Drawing();
    private final double scale;
    private final double length;
    private final double nose;
    private final double head;

    private Portrait(SetUp setUp) {
        this.setUp = setUp;
        Length own = setUp.plasticLength();
        double plasticMm = none(setUp.plastic()) ? 45 : own == null ? USUAL_PLASTIC_MM : own.millimetres();
        double margin = setUp.rig().equals("carolina rig") || setUp.rig().equals("cork rig") ? 62 : 34;
        scale = Math.min(1, (WIDE - margin - 6) / plasticMm);
        length = plasticMm * scale;
        nose = margin;
        head = Heads.radius(setUp, scale);
    }

    /**
     * The picture for print, where no style sheet is: the same with its inks within.
     *
     * @param words the set-up in words
     */
    public static String print(SetUp setUp, String words) {
        return svg(setUp, words)
                .replaceFirst("<svg ", "<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"380\" height=\"152\" ")
                .replaceFirst(">", "><style>" + PRINT_INKS + "</style>");
    }

    /**
     * The picture as inline SVG.
     *
     * @param words the set-up in words, its accessible name
     */
    public static String svg(SetUp setUp, String words) {
        Portrait portrait = new Portrait(setUp);
        portrait.draw.add(
                "<svg class=\"portrait\" viewBox=\"0 0 190 76\" role=\"img\" aria-label=\"%s\">", Svg.escape(words));
        if (HUNG_IN_THE_MIDDLE.contains(setUp.rig())) {
            portrait.hungInTheMiddle();
        } else {
            portrait.hungByTheNose();
        }
        return portrait.draw.add("</svg>").toString();
    }

    /** A patch of a colour, for a button that chooses it; the word stands beside it. */
    public static String swatch(String colour) {
        return "<svg class=\"swatch\" viewBox=\"0 0 10 10\" aria-hidden=\"true\"><rect width=\"10\" height=\"10\" fill=\""
                + Ink.colour(colour) + "\"/></svg>";
    }

    private static boolean none(@Nullable String word) {
        return word == null || word.equals("none");
    }

    private String ink() {
        return Ink.head(setUp.headMaterial(), setUp.headColour());
    }

    private boolean buried() {
        return "point buried".equals(setUp.weedGuard());
    }

    private double reach() {
        double usual = Math.max(14, Math.min(42, length / scale * USUAL_HOOK_SHARE));
        String size = setUp.hookSize();
        return scale
                * (size == null
                        ? usual
                        : Hook.of(size).map(h -> h.reach().millimetres()).orElse(usual));
    }

    private void hungByTheNose() {
        String rig = setUp.rig();
        // a worm that stands up needs room above
        draw.add("<g transform=\"translate(0 %.0f)\">", rig.equals("shaky head") ? 22.0 : 0.0);
        line(rig);
        if (rig.equals("wire-arm spinner")) {
            wireArm();
        }
        boolean tube = "tube".equals(setUp.headShape()) && !none(setUp.plastic());
        if (buried()) {
            hook(true);
        }
        if (rig.equals("shaky head")) {
            draw.add("<g transform=\"rotate(%.0f %.1f %.1f)\">", STANDING_DEG, nose, MIDDLE);
        }
        skirt(false);
        plastic();
        if (rig.equals("shaky head")) {
            draw.add("</g>");
        }
        skirt(true);
        if (!buried()) {
            hook(false);
        } else {
            double point = nose - 2 + reach() * 0.78;
            draw.stroke("hook", "M%.1f,%.1f l-3,-3", point, MIDDLE - thickness() / 2);
        }
        weight(rig, tube);
        guard();
        if (rig.equals("underspin")) {
            underBlade();
        }
        draw.add("</g>");
    }

    /** The line tells the first thing of a rig: over the head, through it, from above, by a weight or a float. */
    private void line(String rig) {
        switch (rig) {
            case "drop shot" -> {
                draw.stroke("line", "M%.1f,0 L%.1f,%.1f", nose - 2, nose - 2, MIDDLE);
                broken(nose - 2, MIDDLE, nose - 2, FLOOR - 2 * head - 2);
            }
            case "carolina rig" -> {
                draw.stroke("line", "M0,%.1f L10,%.1f", MIDDLE - 8, MIDDLE);
                broken(12, MIDDLE, nose - 2, MIDDLE);
                draw.add("<circle class=\"portrait-bead\" cx=\"%.1f\" cy=\"%.1f\" r=\"2.2\"/>", 17.0, MIDDLE);
            }
            case "cork rig" -> {
                draw.stroke("line", "M0,4 L16,12");
                draw.fill("cork", "#c79a5b", "M12,4 L26,8 L24,20 L10,16Z");
                broken(20, 17, nose - 3, MIDDLE);
            }
            case "held minnow head" -> draw.stroke("line", "M%.1f,0 L%.1f,%.1f", nose - head, nose - head, MIDDLE);
            case "line-through head" ->
                draw.stroke(
                        "line", "M0,%.1f L%.1f,%.1f L%.1f,%.1f", MIDDLE, nose, MIDDLE, nose + length * 0.4, MIDDLE + 9);
            default ->
                draw.stroke("line", "M0,%.1f L%.1f,%.1f", MIDDLE - 22, nose - 2 - head * 0.6, MIDDLE - head * 0.4);
        }
    }

    /** A leader or drop, drawn shorter than it is: with a break. */
    private void broken(double x1, double y1, double x2, double y2) {
        double dx = x2 - x1;
        double dy = y2 - y1;
        draw.stroke("line", "M%.1f,%.1f L%.1f,%.1f", x1, y1, x1 + dx * 0.42, y1 + dy * 0.42);
        draw.stroke("line", "M%.1f,%.1f L%.1f,%.1f", x1 + dx * 0.56, y1 + dy * 0.56, x2, y2);
        double size = 2.2;
        double along = Math.hypot(dx, dy);
        for (double share : new double[] {0.42, 0.56}) {
            double x = x1 + dx * share;
            double y = y1 + dy * share;
            draw.stroke(
                    "line",
                    "M%.1f,%.1f L%.1f,%.1f",
                    x - size * dy / along,
                    y + size * dx / along,
                    x + size * dy / along,
                    y - size * dx / along);
        }
    }

    private double thickness() {
        Length own = setUp.plasticLength();
        return own == null
                ? 8 * scale
                : Math.max(3, PlasticBody.of(setUp.plastic()).thickness(own).millimetres() * scale);
    }

    private void plastic() {
        String plastic = setUp.plastic();
        if (plastic == null || plastic.equals("none")) {
            return;
        }
        draw.add("<g transform=\"translate(%.1f,%.1f) scale(%.3f)\">", nose, MIDDLE, length / 100);
        draw.fill("body", Ink.colour(setUp.colour()), Plastics.outline(plastic));
        draw.stroke("detail", "%s", Plastics.detail(plastic));
        accent();
        draw.add("</g>");
    }

    private void accent() {
        String word = setUp.colourAccent();
        String ink = Ink.accent(word);
        if (word == null || ink == null) {
            return;
        }
        switch (word) {
            case "chartreuse tail" -> draw.add("<circle fill=\"%s\" cx=\"94\" cy=\"0\" r=\"5\"/>", ink);
            case "orange belly" -> draw.add("<ellipse fill=\"%s\" cx=\"30\" cy=\"3.4\" rx=\"20\" ry=\"1.8\"/>", ink);
            case "dark back" -> draw.add("<ellipse fill=\"%s\" cx=\"30\" cy=\"-3.4\" rx=\"22\" ry=\"1.8\"/>", ink);
            default -> {
                for (int i = 0; i < 6; i++) {
                    draw.add(
                            "<circle fill=\"%s\" cx=\"%d\" cy=\"%d\" r=\"1.3\"/>",
                            ink, 12 + i * 11, i % 2 == 0 ? -1 : 2);
                }
            }
        }
    }

    private void skirt(boolean front) {
        if (none(setUp.skirt())) {
            return;
        }
        double reach = ("long".equals(setUp.skirt()) ? 52 : 30) * scale;
        int from = front ? -3 : -4;
        for (int i = from; i <= 4; i += 2) {
            draw.add(
                    "<path class=\"portrait-skirt\" stroke=\"%s\" d=\"M%.1f,%.1f q%.1f,%.1f %.1f,%.1f\"/>",
                    front ? Ink.colour(setUp.colour()) : Ink.dark(setUp.colour()),
                    nose - 2,
                    MIDDLE + i * 0.8,
                    reach * 0.45,
                    i * 3.0,
                    reach,
                    i * 2.2);
        }
    }

    /** The point stands out of the back, or hides in it; a treble hangs below. */
    private void hook(boolean hidden) {
        double reach = reach();
        double gap = Math.max(6 * scale, reach * 0.36);
        String wire = "heavy".equals(setUp.hookWire()) ? "hook heavy" : "hook";
        String plastic = setUp.plastic() == null ? "none" : setUp.plastic();
        if (HARD.contains(plastic) || setUp.rig().equals("hard bait")) {
            treble(nose + length * 0.34, MIDDLE + length * 0.1);
            treble(nose + length, MIDDLE);
        } else if ("treble".equals(setUp.hookWire())) {
            treble(nose + length * 0.4, MIDDLE + 9);
        } else if (hidden) {
            double bend = nose - 2 + reach;
            draw.stroke(
                    wire,
                    "M%.1f,%.1f l3,5 L%.1f,%.1f A%.1f,%.1f 0 0 0 %.1f,%.1f l-6,-3",
                    nose - 2,
                    MIDDLE,
                    bend,
                    MIDDLE + gap * 0.62,
                    gap / 2,
                    gap / 2,
                    bend,
                    MIDDLE - gap * 0.3);
        } else {
            double bend = nose - 2 + reach;
            draw.stroke(
                    wire,
                    "M%.1f,%.1f L%.1f,%.1f A%.1f,%.1f 0 0 0 %.1f,%.1f l-%.1f,0 l3.4,2.4",
                    nose - 2,
                    MIDDLE,
                    bend,
                    MIDDLE,
                    gap * 0.55,
                    gap * 0.55,
                    bend,
                    MIDDLE - gap - 2,
                    Math.min(9, reach * 0.35));
        }
    }

    private void treble(double x, double y) {
        draw.stroke("hook", "M%.1f,%.1f v5 m0,0 q-1,6 -6,4 l0,-4 m6,0 q1,6 6,4 l0,-4 m-6,0 v6", x, y);
    }

    private void weight(String rig, boolean tube) {
        String shape = setUp.headShape() == null ? "ball" : setUp.headShape();
        if (head == 0 || shape.equals("none")) {
            return;
        }
        if (rig.equals("drop shot")) {
            draw.fill("head", ink(), Heads.outline(shape, nose - 2 + head, FLOOR - 2 * head, head));
        } else if (rig.equals("carolina rig")) {
            draw.fill("head", ink(), Heads.outline(shape, 13 + head, MIDDLE, head));
        } else if (rig.equals("linked weight")) {
            draw.stroke("ring", "M%.1f,%.1f a2.4,2.4 0 1 0 0.1,0", nose - 4, MIDDLE + 1);
            draw.fill("head", ink(), Heads.outline(shape, nose - 3 + head, MIDDLE + 5 + 1.9 * head, head));
        } else if (rig.equals("swing head")) {
            draw.stroke("ring", "M%.1f,%.1f a2.6,2.6 0 1 0 0.1,0", nose - 2, MIDDLE - 2.6);
            draw.fill("head", ink(), Heads.outline(shape, nose - 4, MIDDLE, head));
        } else if (shape.equals("belly keel")) {
            draw.fill("head", ink(), Heads.outline(shape, nose + length * 0.1, MIDDLE + thickness() * 0.4, head));
        } else if (tube) {
            draw.add("<g class=\"portrait-inside\">")
                    .fill("head", ink(), Heads.outline(shape, nose, MIDDLE, head))
                    .add("</g>");
        } else {
            draw.fill("head", ink(), Heads.outline(shape, nose + (shape.equals("nail") ? 2 : 0), MIDDLE, head));
        }
        if (!FREE_WEIGHT.contains(rig) && !shape.equals("nail") && !shape.equals("belly keel") && !tube) {
            draw.add(
                    "<circle class=\"portrait-eye\" cx=\"%.1f\" cy=\"%.1f\" r=\"1.1\"/>",
                    nose - head * 0.9, MIDDLE - head * 0.3);
        }
    }

    private void guard() {
        String guard = setUp.weedGuard();
        double bend = nose - 2 + reach();
        if ("fibre".equals(guard)) {
            for (int i = 0; i < 4; i++) {
                draw.stroke(
                        "guard",
                        "M%.1f,%.1f L%.1f,%.1f",
                        nose - 1,
                        MIDDLE - head * 0.7,
                        bend - 9 + i * 2.5,
                        MIDDLE - 17 + i * 1.4);
            }
        } else if ("wire".equals(guard)) {
            draw.stroke(
                    "guard",
                    "M%.1f,%.1f Q%.1f,%.1f %.1f,%.1f",
                    nose - 1,
                    MIDDLE - head * 0.7,
                    nose + 8,
                    MIDDLE - 20,
                    bend - 6,
                    MIDDLE - 13);
        }
    }

    private void wireArm() {
        double size = blade();
        draw.stroke("wire", "M%.1f,%.1f L%.1f,%.1f L%.1f,%.1f", nose - 3, MIDDLE, nose - 10, 14.0, nose + 34, 11.0);
        draw.fill("blade", "#cfc8b4", Heads.ellipse(nose + 36 + size, 14, size, size * 0.55));
    }

    private void underBlade() {
        double size = blade() * 0.7;
        draw.stroke("wire", "M%.1f,%.1f L%.1f,%.1f", nose - head, MIDDLE + head, nose + 8, MIDDLE + 17);
        draw.fill("blade", "#cfc8b4", Heads.ellipse(nose + 9 + size, MIDDLE + 19, size, size * 0.5));
    }

    private double blade() {
        return scale
                * switch (setUp.blade() == null ? "medium" : setUp.blade()) {
                    case "large" -> 15;
                    case "small" -> 8;
                    default -> 11;
                };
    }

    /** A worm hung by its middle droops at both ends; a nail pulls one end down. */
    private void hungInTheMiddle() {
        String rig = setUp.rig();
        boolean sliding = rig.equals("sliding wacky");
        boolean nailed = rig.equals("nail-weighted wacky");
        double middle = WIDE / 2 + (sliding ? 14 : 0);
        double top = 30;
        double half = length * 0.44;
        double left = nailed ? 26 : 15;
        double right = nailed ? 4 : 15;
        if (sliding) {
            draw.stroke("line", "M22,0 L22,%.1f", FLOOR - 2 * head);
            draw.stroke("line", "M22,26 L%.1f,%.1f", middle, top - 5);
            draw.add("<circle class=\"portrait-bead\" cx=\"22\" cy=\"26\" r=\"2.2\"/>");
            draw.fill(
                    "head",
                    ink(),
                    Heads.outline(
                            setUp.headShape() == null ? "pear" : setUp.headShape(), 22 + head, FLOOR - 2 * head, head));
        } else {
            draw.stroke("line", "M%.1f,0 L%.1f,%.1f", middle - 14, middle, top - 5);
        }
        String worm = String.format(
                Locale.ROOT,
                "M%.1f,%.1f Q%.1f,%.1f %.1f,%.1f Q%.1f,%.1f %.1f,%.1f",
                middle - half,
                top + left,
                middle - half * 0.55,
                top + 1,
                middle,
                top,
                middle + half * 0.55,
                top + 1,
                middle + half,
                top + right);
        double thick = Math.max(4, thickness());
        draw.add("<path class=\"portrait-worm-edge\" stroke-width=\"%.1f\" d=\"%s\"/>", thick + 1.4, worm);
        draw.add(
                "<path class=\"portrait-worm\" stroke=\"%s\" stroke-width=\"%.1f\" d=\"%s\"/>",
                Ink.colour(setUp.colour()), thick, worm);
        if ("chartreuse tail".equals(setUp.colourAccent())) {
            draw.add(
                    "<circle fill=\"%s\" cx=\"%.1f\" cy=\"%.1f\" r=\"%.1f\"/>",
                    String.valueOf(Ink.accent("chartreuse tail")), middle + half, top + right, thick * 0.6);
        }
        double gap = Math.max(7, reach() * 0.36);
        draw.stroke(
                "hook",
                "M%.1f,%.1f L%.1f,%.1f A%.1f,%.1f 0 0 0 %.1f,%.1f l0,-%.1f",
                middle,
                top - 5,
                middle,
                top + gap * 0.7,
                gap / 2,
                gap / 2,
                middle + gap,
                top + gap * 0.7,
                buried() ? gap * 0.4 : gap * 0.9);
        if (rig.equals("weighted wacky") && head > 0) {
            draw.fill("head", ink(), Heads.ellipse(middle, top - thick / 2 - head * 0.8, head * 1.25, head * 1.25));
        } else if (rig.equals("weedless wacky") && head > 0) {
            draw.fill("head", ink(), Heads.outline("nail", middle - 2.4 * head, top, head));
        } else if (nailed && head > 0) {
            draw.add("<g transform=\"rotate(-52 %.1f %.1f)\">", middle - half, top + left)
                    .fill("head", ink(), Heads.outline("nail", middle - half - head, top + left, head))
                    .add("</g>");
        }
        if (buried()) {
            draw.stroke("guard", "M%.1f,%.1f q8,-2 %.1f,%.1f", middle, top - 4, gap, gap * 0.4);
        }
        if (rig.equals("wacky")) {
            draw.add("<circle class=\"portrait-band\" cx=\"%.1f\" cy=\"%.1f\" r=\"%.1f\"/>", middle, top, thick * 0.62);
        }
    }
}
