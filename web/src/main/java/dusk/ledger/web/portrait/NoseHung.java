package dusk.ledger.web.portrait;

import dusk.ledger.journal.SetUp;
import dusk.ledger.tackle.HardBait;

/** A rig hung by the nose: line, hook, plastic, skirt and blade. */
final class NoseHung extends Figure {
    private static final double STANDING_DEG = -16;

    NoseHung(SetUp setUp) {
        super(setUp);
    }

    @Override
    void draw() {
        String rig = setUp.rigKind();
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
            stroke("hook", "M%.1f,%.1f l-3,-3", point, MIDDLE - thickness() / 2);
        }
        new HeadFigure(this).draw(tube);
        if (rig.equals("underspin")) {
            underBlade();
        }
        draw.add("</g>");
    }

    /** The line tells the first thing of a rig: over the head, through it, from above, by a weight or a float. */
    private void line(String rig) {
        switch (rig) {
            case "drop shot" -> {
                stroke("line", "M%.1f,0 L%.1f,%.1f", nose - 2, nose - 2, MIDDLE);
                broken(nose - 2, MIDDLE, nose - 2, FLOOR - 2 * head - 2);
            }
            case "carolina rig" -> {
                stroke("line", "M0,%.1f L10,%.1f", MIDDLE - 8, MIDDLE);
                broken(12, MIDDLE, nose - 2, MIDDLE);
                draw.add("<circle class=\"portrait-bead\" cx=\"%.1f\" cy=\"%.1f\" r=\"2.2\"/>", 17.0, MIDDLE);
            }
            case "cork rig" -> {
                stroke("line", "M0,4 L16,12");
                fill("cork", "#c79a5b", "M12,4 L26,8 L24,20 L10,16Z");
                broken(20, 17, nose - 3, MIDDLE);
            }
            case "held minnow head" -> stroke("line", "M%.1f,0 L%.1f,%.1f", nose - head, nose - head, MIDDLE);
            case "line-through head" ->
                stroke("line", "M0,%.1f L%.1f,%.1f L%.1f,%.1f", MIDDLE, nose, MIDDLE, nose + length * 0.4, MIDDLE + 9);
            default -> stroke("line", "M0,%.1f L%.1f,%.1f", MIDDLE - 22, nose - 2 - head * 0.6, MIDDLE - head * 0.4);
        }
    }

    /** A leader or drop, drawn shorter than it is: with a break. */
    private void broken(double x1, double y1, double x2, double y2) {
        double dx = x2 - x1;
        double dy = y2 - y1;
        stroke("line", "M%.1f,%.1f L%.1f,%.1f", x1, y1, x1 + dx * 0.42, y1 + dy * 0.42);
        stroke("line", "M%.1f,%.1f L%.1f,%.1f", x1 + dx * 0.56, y1 + dy * 0.56, x2, y2);
        double size = 2.2;
        double along = Math.hypot(dx, dy);
        for (double share : new double[] {0.42, 0.56}) {
            double x = x1 + dx * share;
            double y = y1 + dy * share;
            stroke(
                    "line",
                    "M%.1f,%.1f L%.1f,%.1f",
                    x - size * dy / along,
                    y + size * dx / along,
                    x + size * dy / along,
                    y - size * dx / along);
        }
    }

    private void plastic() {
        String plastic = setUp.plastic();
        if (plastic == null || plastic.equals("none")) {
            return;
        }
        draw.add("<g transform=\"translate(%.1f,%.1f) scale(%.3f)\">", nose, MIDDLE, length / 100);
        fill("body", Ink.colour(setUp.colour()), Plastics.outline(plastic));
        stroke("detail", "%s", Plastics.detail(plastic));
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
        if (HardBait.hangsOnTrebles(plastic) || setUp.rigKind().equals("hard bait")) {
            treble(nose + length * 0.34, MIDDLE + length * 0.1);
            treble(nose + length, MIDDLE);
        } else if ("treble".equals(setUp.hookWire())) {
            treble(nose + length * 0.4, MIDDLE + 9);
        } else if (hidden) {
            double bend = nose - 2 + reach;
            stroke(
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
            stroke(
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
        stroke("hook", "M%.1f,%.1f v5 m0,0 q-1,6 -6,4 l0,-4 m6,0 q1,6 6,4 l0,-4 m-6,0 v6", x, y);
    }

    private void wireArm() {
        double size = blade();
        stroke("wire", "M%.1f,%.1f L%.1f,%.1f L%.1f,%.1f", nose - 3, MIDDLE, nose - 10, 14.0, nose + 34, 11.0);
        fill("blade", "#cfc8b4", HeadOutlines.ellipse(nose + 36 + size, 14, size, size * 0.55));
    }

    private void underBlade() {
        double size = blade() * 0.7;
        stroke("wire", "M%.1f,%.1f L%.1f,%.1f", nose - head, MIDDLE + head, nose + 8, MIDDLE + 17);
        fill("blade", "#cfc8b4", HeadOutlines.ellipse(nose + 9 + size, MIDDLE + 19, size, size * 0.5));
    }

    private double blade() {
        return scale
                * switch (setUp.blade() == null ? "medium" : setUp.blade()) {
                    case "large" -> 15;
                    case "small" -> 8;
                    default -> 11;
                };
    }
}
