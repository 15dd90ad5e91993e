package dusk.ledger.web.portrait;

import java.util.Locale;

/** SVG as it is put together, the same in every locale. */
public final class Svg {
    private final StringBuilder svg = new StringBuilder(8_000);

    /** Writes in the form of {@link String#format}; without values just as it is. */
    public Svg add(String form, Object... values) {
        svg.append(values.length == 0 ? form : data(form, values));
        return this;
    }

    /** Writes words at a point. */
    public Svg label(String look, double x, double y, String text) {
        return add("<text class=\"%s\" x=\"%.1f\" y=\"%.1f\">%s</text>", look, x, y, escape(text));
    }

    /** Path data, or whatever else stands in an attribute, in the form of {@link String#format}. */
    public static String data(String form, Object... values) {
        return String.format(Locale.ROOT, form, values);
    }

    @Override
    public String toString() {
        return svg.toString();
    }

    /** Text as it may stand in an element or an attribute. */
    public static String escape(String text) {
        return text.replace("&", "&amp;")
                .replace("<", "&lt;")
                .replace(">", "&gt;")
                .replace("\"", "&quot;");
    }
}
