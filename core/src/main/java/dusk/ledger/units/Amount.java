package dusk.ledger.units;

import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * What a person typed for a measured value: a number and, perhaps, a unit. Accepts {@code 10}, {@code 2.5}, {@code 2,5}, {@code 3/8},
 * {@code 1 1/4}, each with or without a unit behind it, with or without a space.
 *
 * @param value the number, finite
 * @param unit the unit as typed, lower case; empty where none was typed
 * @param fraction whether it was typed as a fraction
 */
record Amount(double value, String unit, boolean fraction) {
    private static final Pattern FORM = Pattern.compile(
            "([+-]?)(?:(\\d+)[ -])?(\\d+)/(\\d+)\\s*(\\D*)|([+-]?(?:\\d+(?:[.,]\\d*)?|[.,]\\d+))\\s*(\\D*)");

    /**
     * @param what the thing asked for, named in the message
     * @param example what would be right, named in the message
     * @throws IllegalArgumentException with a plain message where the text is no amount
     */
    static Amount parse(String text, String what, String example) {
        String trimmed = text.strip().toLowerCase(Locale.ROOT);
        Matcher form = FORM.matcher(trimmed);
        if (!form.matches()) {
            throw refused(text, what, example);
        }
        if (form.group(4) != null) {
            double below = Double.parseDouble(form.group(4));
            if (!(below > 0)) {
                throw refused(text, what, example);
            }
            double whole = form.group(2) == null ? 0 : Double.parseDouble(form.group(2));
            double value = whole + Double.parseDouble(form.group(3)) / below;
            return new Amount(
                    "-".equals(form.group(1)) ? -value : value, form.group(5).strip(), true);
        }
        return new Amount(
                Double.parseDouble(form.group(6).replace(',', '.')),
                form.group(7).strip(),
                false);
    }

    static IllegalArgumentException refused(String text, String what, String example) {
        return new IllegalArgumentException(
                "“" + text.strip() + "” is not " + what + ". Write it like " + example + ".");
    }
}
