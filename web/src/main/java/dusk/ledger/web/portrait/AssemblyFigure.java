package dusk.ledger.web.portrait;

import dusk.ledger.tackle.Assembly.Part;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;

/** A step of putting a rig together, drawn: the line from the left, what is on it, and how the plastic stands to the hook. */
public final class AssemblyFigure {
    private static final double LINE = 30;
    private static final double FLOOR = 80;
    private static final double RIGHT = 156;
    private static final double LONG = 84;
    private static final String METAL = "#6c7076";
    private static final String PLASTIC = "#7c55b8";
    private static final Set<Part> HOOKS =
            EnumSet.of(Part.HOOK, Part.WIDE_HOOK, Part.SHORT_HOOK, Part.TREBLE, Part.BAIT);

    private final Svg draw = new Svg();
    private final Set<Part> parts;

    /** Where the next part on the line begins. */
    private double at = 8;

    /** The hook's eye, once it is drawn. */
    private double eye;

    /** The middle of the swivel, once it is drawn. */
    private double ring;

    private AssemblyFigure(List<Part> parts) {
        this.parts = EnumSet.copyOf(parts);
        parts.forEach(this::along);
        if (HOOKS.stream().noneMatch(this.parts::contains)) {
            line(at, LINE, RIGHT, LINE);
        }
        plastic();
    }

    /** The picture as inline SVG; what it shows is said beside it. */
    public static String svg(List<Part> parts) {
        return "<svg class=\"portrait\" viewBox=\"0 0 160 84\" aria-hidden=\"true\">" + new AssemblyFigure(parts).draw
                + "</svg>";
    }

    private void line(double fromX, double fromY, double toX, double toY) {
        stroke("line", "M%.1f,%.1f L%.1f,%.1f", fromX, fromY, toX, toY);
    }

    private void stroke(String kind, String form, Object... values) {
        draw.add("<path class=\"portrait-%s\" d=\"%s\"/>", kind, Svg.data(form, values));
    }

    private void fill(String kind, String ink, String path) {
        draw.add("<path class=\"portrait-%s\" fill=\"%s\" d=\"%s\"/>", kind, ink, path);
    }

    private void along(Part part) {
        switch (part) {
            case BALL -> head("ball", 6);
            case MUSHROOM -> head("mushroom", 6);
            case STANDING -> head("stand-up", 5);
            case FOOTBALL -> head("football", 6);
            case MINNOW -> head("keeled minnow", 5);
            case BULLET -> head("bullet", 5);
            case LINE_THROUGH -> head("line-through", 6);
            case FLOAT -> fill("cork", "#d8782a", HeadOutlines.ellipse(step(24) - 6, LINE, 6, 9));
            case BEAD ->
                draw.add("<circle class=\"portrait-bead\" cx=\"%.1f\" cy=\"%.1f\" r=\"2.6\"/>", step(10) - 4, LINE);
            case SWIVEL -> {
                double x = step(16);
                ring = x - 6;
                stroke(
                        "ring",
                        "M%.1f,%.1f a3,3 0 1 0 -6,0 a3,3 0 1 0 6,0 m-6,0 a3,3 0 1 0 -6,0 a3,3 0 1 0 6,0",
                        x,
                        LINE);
            }
            case LEADER -> step(18);
            case SKIRT -> {
                for (int strand = -3; strand <= 3; strand++) {
                    stroke("guard", "M%.1f,%.1f q14,%.1f 34,%.1f", at, LINE, strand * 1.5, strand * 4.5);
                }
            }
            case ARM -> {
                stroke(
                        "wire",
                        "M%.1f,%.1f L%.1f,%.1f L%.1f,%.1f",
                        at - 6,
                        LINE - 4,
                        at - 18,
                        LINE - 18,
                        at + 34,
                        LINE - 20);
                fill("blade", "#b8913a", HeadOutlines.ellipse(at + 42, LINE - 19, 9, 5));
            }
            case BLADE -> {
                stroke("wire", "M%.1f,%.1f l6,16", at - 8, LINE + 5);
                fill("blade", "#b8913a", HeadOutlines.ellipse(at + 6, LINE + 23, 8, 4));
            }
            case TUBE_WEIGHT -> fill("head", METAL, HeadOutlines.outline("tube", step(8), LINE, 5));
            case HOOK -> hook(34, -13);
            case WIDE_HOOK -> hook(46, -18);
            case SHORT_HOOK -> hook(26, 14);
            case BAIT -> {
                step(30);
                draw.add(
                        "<path class=\"portrait-body\" fill=\"%s\" transform=\"translate(%.1f %.1f) scale(0.7 0.8)\" d=\"%s\"/>",
                        PLASTIC, at, LINE, Plastics.outline("crankbait"));
                stroke("hook", "M%.1f,%.1f v8 a4,4 0 0 0 8,0 m-8,0 a4,4 0 0 1 -8,0", at + 30, LINE + 9);
                stroke("hook", "M%.1f,%.1f v8 a4,4 0 0 0 8,0 m-8,0 a4,4 0 0 1 -8,0", at + 68, LINE + 2);
            }
            case TAG_END -> line(eye + 2, LINE, eye + 2, FLOOR - 10);
            case TREBLE -> treble();
            case KEEL -> step(4);
            case WEIGHT_BELOW -> below();
            case BESIDE, STARTED, THREADED, TURNED, BURIED, MIDDLE, NOSE, BAND, NAIL_END, NAIL_MIDDLE -> {}
        }
    }

    /** Draws the line on by so much; where it ends then. */
    private double step(double length) {
        line(at, LINE, at + length, LINE);
        at += length;
        return at;
    }

    private void head(String shape, double r) {
        step(30);
        fill("head", METAL, HeadOutlines.outline(shape, at, LINE, r));
    }

    /** @param gap from shank to point; upward where it is negative */
    private void hook(double shank, double gap) {
        if (at < 20) {
            step(26);
        } else if (parts.contains(Part.LEADER)) {
            step(10);
        }
        eye = at;
        stroke("ring", "M%.1f,%.1f a2,2 0 1 0 4,0 a2,2 0 1 0 -4,0", eye, LINE);
        stroke(
                "hook",
                "M%1$.1f,%2$.1f L%3$.1f,%2$.1f A%4$.1f,%4$.1f 0 0 %5$d %3$.1f,%6$.1f l-%7$.1f,%8$.1f",
                eye + 4,
                LINE,
                eye + shank,
                Math.abs(gap) / 2,
                gap > 0 ? 1 : 0,
                LINE + gap,
                Math.abs(gap) * 0.7,
                -Math.signum(gap));
        at = eye + shank + Math.abs(gap) / 2;
        if (parts.contains(Part.KEEL)) {
            fill("head", METAL, HeadOutlines.outline("belly keel", eye + 14, LINE, 5));
        }
    }

    private void treble() {
        double x = step(50) - 4;
        stroke("hook", "M%1$.1f,%2$.1f v10 a5,5 0 0 0 10,0 m-10,0 a5,5 0 0 1 -10,0 m10,-10 v14", x, LINE);
        eye = x - 40;
    }

    /** A weight hangs from the ring where there is one, else below the hook's eye. */
    private void below() {
        double x = ring > 0 ? ring : eye + 2;
        line(x, LINE, x, FLOOR - 10);
        fill("head", METAL, HeadOutlines.outline("pear", x + 4, FLOOR - 8, 4));
    }

    private void plastic() {
        if (parts.contains(Part.BESIDE)) {
            body(eye + 2, LINE + 26, 0);
        } else if (parts.contains(Part.STARTED)) {
            body(eye + 28, LINE - 13, 14);
        } else if (parts.contains(Part.THREADED)) {
            body(eye + (parts.contains(Part.TUBE_WEIGHT) ? -12 : 4), LINE, 0);
        } else if (parts.contains(Part.TURNED)) {
            body(eye, LINE + 2, 20);
        } else if (parts.contains(Part.BURIED)) {
            body(eye + 2, LINE, -9);
        } else if (parts.contains(Part.NOSE)) {
            body(
                    parts.contains(Part.TREBLE) ? eye + 10 : eye + 25,
                    parts.contains(Part.TREBLE) ? LINE + 4 : LINE - 12,
                    4);
        } else if (parts.contains(Part.MIDDLE)) {
            across(eye + 32, LINE + 12);
        } else if (parts.contains(Part.BAND) || parts.contains(Part.NAIL_END) || parts.contains(Part.NAIL_MIDDLE)) {
            across(eye + 44, LINE + 32);
        }
    }

    /** A plastic from its nose on, turned by degrees; seen through, so that the hook in it shows. */
    private void body(double x, double noseY, double degrees) {
        String plastic = parts.contains(Part.TUBE_WEIGHT)
                ? "tube"
                : parts.contains(Part.MUSHROOM)
                        ? "short stick"
                        : parts.contains(Part.MINNOW)
                                ? "straight-tail minnow"
                                : parts.contains(Part.SKIRT) ? "craw" : "straight worm";
        draw.add(
                "<path class=\"portrait-body\" fill=\"%s\" fill-opacity=\"0.55\" transform=\"translate(%.1f %.1f) rotate(%.0f) scale(%.2f 1.1)\" d=\"%s\"/>",
                PLASTIC, x, noseY, degrees, Math.min(LONG, RIGHT - x) / 100, Plastics.outline(plastic));
    }

    /** A worm hung or held by its middle. */
    private void across(double x, double middleY) {
        String worm = Svg.data(
                "M%.1f,%.1f Q%.1f,%.1f %.1f,%.1f Q%.1f,%.1f %.1f,%.1f",
                x - 36, middleY + 12, x - 20, middleY, x, middleY, x + 20, middleY, x + 36, middleY + 12);
        draw.add("<path class=\"portrait-worm-edge\" stroke-width=\"7.4\" d=\"%s\"/>", worm);
        draw.add("<path class=\"portrait-worm\" stroke=\"%s\" stroke-width=\"6\" d=\"%s\"/>", PLASTIC, worm);
        if (parts.contains(Part.BAND)) {
            draw.add("<circle class=\"portrait-band\" cx=\"%.1f\" cy=\"%.1f\" r=\"4\"/>", x, middleY);
        }
        if (parts.contains(Part.NAIL_MIDDLE)) {
            fill("head", METAL, HeadOutlines.outline("nail", x - 6, middleY, 3));
        }
        if (parts.contains(Part.NAIL_END)) {
            fill("head", METAL, HeadOutlines.outline("nail", x - 42, middleY + 12, 3));
        }
    }
}
