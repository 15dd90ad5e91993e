package dusk.ledger.web.portrait;

import dusk.ledger.journal.SetUp;

/** A worm hung by its middle. */
final class MiddleHung extends Figure {
    MiddleHung(SetUp setUp) {
        super(setUp);
    }

    /** A worm hung by its middle droops at both ends; a nail pulls one end down. */
    @Override
    void draw() {
        String rig = setUp.rigKind();
        boolean sliding = rig.equals("sliding wacky");
        boolean nailed = rig.equals("nail-weighted wacky");
        double middle = WIDE / 2 + (sliding ? 14 : 0);
        double top = 30;
        double half = length * 0.44;
        double left = nailed ? 26 : 15;
        double right = nailed ? 4 : 15;
        if (sliding) {
            stroke("line", "M22,0 L22,%.1f", FLOOR - 2 * head);
            stroke("line", "M22,26 L%.1f,%.1f", middle, top - 5);
            draw.add("<circle class=\"portrait-bead\" cx=\"22\" cy=\"26\" r=\"2.2\"/>");
            fill(
                    "head",
                    ink(),
                    HeadOutlines.outline(
                            setUp.headShape() == null ? "pear" : setUp.headShape(), 22 + head, FLOOR - 2 * head, head));
        } else {
            stroke("line", "M%.1f,0 L%.1f,%.1f", middle - 14, middle, top - 5);
        }
        String worm = Svg.data(
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
        stroke(
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
            fill("head", ink(), HeadOutlines.ellipse(middle, top - thick / 2 - head * 0.8, head * 1.25, head * 1.25));
        } else if (rig.equals("weedless wacky") && head > 0) {
            fill("head", ink(), HeadOutlines.outline("nail", middle - 2.4 * head, top, head));
        } else if (nailed && head > 0) {
            draw.add("<g transform=\"rotate(-52 %.1f %.1f)\">", middle - half, top + left);
            fill("head", ink(), HeadOutlines.outline("nail", middle - half - head, top + left, head));
            draw.add("</g>");
        }
        if (buried()) {
            stroke("guard", "M%.1f,%.1f q8,-2 %.1f,%.1f", middle, top - 4, gap, gap * 0.4);
        }
        if (rig.equals("wacky")) {
            draw.add("<circle class=\"portrait-band\" cx=\"%.1f\" cy=\"%.1f\" r=\"%.1f\"/>", middle, top, thick * 0.62);
        }
    }
}
