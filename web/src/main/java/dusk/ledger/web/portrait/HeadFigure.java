package dusk.ledger.web.portrait;

import java.util.Set;

/** The weight of a rig hung by the nose, and the guard of its hook. */
final class HeadFigure {
    private static final Set<String> FREE_WEIGHT = Set.of("carolina rig", "drop shot", "sliding wacky");

    private final Figure of;

    HeadFigure(Figure of) {
        this.of = of;
    }

    /** @param tube whether the head sits inside the plastic */
    void draw(boolean tube) {
        weight(of.setUp.rigKind(), tube);
        guard();
    }

    private void weight(String rig, boolean tube) {
        String shape = of.setUp.headShape() == null ? "ball" : of.setUp.headShape();
        if (of.head == 0 || shape.equals("none")) {
            return;
        }
        if (rig.equals("drop shot")) {
            of.fill(
                    "head",
                    of.ink(),
                    HeadOutlines.outline(shape, of.nose - 2 + of.head, Figure.FLOOR - 2 * of.head, of.head));
        } else if (rig.equals("carolina rig")) {
            of.fill("head", of.ink(), HeadOutlines.outline(shape, 13 + of.head, Figure.MIDDLE, of.head));
        } else if (rig.equals("linked weight")) {
            of.stroke("ring", "M%.1f,%.1f a2.4,2.4 0 1 0 0.1,0", of.nose - 4, Figure.MIDDLE + 1);
            of.fill(
                    "head",
                    of.ink(),
                    HeadOutlines.outline(shape, of.nose - 3 + of.head, Figure.MIDDLE + 5 + 1.9 * of.head, of.head));
        } else if (rig.equals("swing head")) {
            of.stroke("ring", "M%.1f,%.1f a2.6,2.6 0 1 0 0.1,0", of.nose - 2, Figure.MIDDLE - 2.6);
            of.fill("head", of.ink(), HeadOutlines.outline(shape, of.nose - 4, Figure.MIDDLE, of.head));
        } else if (shape.equals("belly keel")) {
            of.fill(
                    "head",
                    of.ink(),
                    HeadOutlines.outline(
                            shape, of.nose + of.length * 0.1, Figure.MIDDLE + of.thickness() * 0.4, of.head));
        } else if (tube) {
            of.draw.add("<g class=\"portrait-inside\">");
            of.fill("head", of.ink(), HeadOutlines.outline(shape, of.nose, Figure.MIDDLE, of.head));
            of.draw.add("</g>");
        } else {
            of.fill(
                    "head",
                    of.ink(),
                    HeadOutlines.outline(shape, of.nose + (shape.equals("nail") ? 2 : 0), Figure.MIDDLE, of.head));
        }
        if (!FREE_WEIGHT.contains(rig) && !shape.equals("nail") && !shape.equals("belly keel") && !tube) {
            of.draw.add(
                    "<circle class=\"portrait-eye\" cx=\"%.1f\" cy=\"%.1f\" r=\"1.1\"/>",
                    of.nose - of.head * 0.9, Figure.MIDDLE - of.head * 0.3);
        }
    }

    private void guard() {
        String guard = of.setUp.weedGuard();
        double bend = of.nose - 2 + of.reach();
        if ("fibre".equals(guard)) {
            for (int i = 0; i < 4; i++) {
                of.stroke(
                        "guard",
                        "M%.1f,%.1f L%.1f,%.1f",
                        of.nose - 1,
                        Figure.MIDDLE - of.head * 0.7,
                        bend - 9 + i * 2.5,
                        Figure.MIDDLE - 17 + i * 1.4);
            }
        } else if ("wire".equals(guard)) {
            of.stroke(
                    "guard",
                    "M%.1f,%.1f Q%.1f,%.1f %.1f,%.1f",
                    of.nose - 1,
                    Figure.MIDDLE - of.head * 0.7,
                    of.nose + 8,
                    Figure.MIDDLE - 20,
                    bend - 6,
                    Figure.MIDDLE - 13);
        }
    }
}
