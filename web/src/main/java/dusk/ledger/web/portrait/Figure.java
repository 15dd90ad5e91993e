package dusk.ledger.web.portrait;

import dusk.ledger.journal.SetUp;
import dusk.ledger.tackle.Hook;
import dusk.ledger.tackle.Plastic;
import dusk.ledger.units.Length;
import org.jspecify.annotations.Nullable;

/** What every portrait is drawn with: the set-up to one scale, where its nose and its head are, its inks. */
abstract class Figure {
    static final double WIDE = 190;
    static final double MIDDLE = 36;
    static final double FLOOR = 72;
    private static final double USUAL_PLASTIC_MM = 90;
    private static final double USUAL_HOOK_SHARE = 0.42;

    final SetUp setUp;
    final Svg draw = new Svg();
    final double scale;
    final double length;
    final double nose;
    final double head;

    Figure(SetUp setUp) {
        this.setUp = setUp;
        Length own = setUp.plasticLength();
        double plasticMm = none(setUp.plastic()) ? 45 : own == null ? USUAL_PLASTIC_MM : own.millimetres();
        double margin =
                setUp.rigKind().equals("carolina rig") || setUp.rigKind().equals("cork rig") ? 62 : 34;
        scale = Math.min(1, (WIDE - margin - 6) / plasticMm);
        length = plasticMm * scale;
        nose = margin;
        head = HeadOutlines.radius(setUp, scale);
    }

    /** Draws it, without the frame around it. */
    abstract void draw();

    /** A line of a kind of ink, as path data. */
    final void stroke(String kind, String form, Object... values) {
        draw.add("<path class=\"portrait-%s\" d=\"%s\"/>", kind, Svg.data(form, values));
    }

    /** A filled outline of a kind of ink. */
    final void fill(String kind, String ink, String path) {
        draw.add("<path class=\"portrait-%s\" fill=\"%s\" d=\"%s\"/>", kind, ink, path);
    }

    static boolean none(@Nullable String word) {
        return word == null || word.equals("none");
    }

    final String ink() {
        return Ink.head(setUp.headMaterial(), setUp.headColour());
    }

    final boolean buried() {
        return "point buried".equals(setUp.weedGuard());
    }

    final double reach() {
        double usual = Math.max(14, Math.min(42, length / scale * USUAL_HOOK_SHARE));
        String size = setUp.hookSize();
        return scale
                * (size == null
                        ? usual
                        : Hook.of(size).map(h -> h.reach().millimetres()).orElse(usual));
    }

    final double thickness() {
        return Plastic.of(setUp)
                .map(p -> Math.max(3, p.thickness().millimetres() * scale))
                .orElse(8 * scale);
    }
}
