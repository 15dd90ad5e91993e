package dusk.ledger.web.tackle;

import java.util.Locale;

/** SVG being written. Lengths are millimetres of tackle. */
final class Drawing {
    private final StringBuilder svg = new StringBuilder(1600);

    /** Writes in the form of {@link String#format}, the same in every locale. */
    Drawing add(String form, Object... values) {
        svg.append(String.format(Locale.ROOT, form, values));
        return this;
    }

    /** A line of a kind of ink, as path data. */
    Drawing stroke(String kind, String form, Object... values) {
        return add("<path class=\"portrait-%s\" d=\"%s\"/>", kind, String.format(Locale.ROOT, form, values));
    }

    /** A filled outline of a kind of ink. */
    Drawing fill(String kind, String ink, String path) {
        return add("<path class=\"portrait-%s\" fill=\"%s\" d=\"%s\"/>", kind, ink, path);
    }

    @Override
    public String toString() {
        return svg.toString();
    }
}
