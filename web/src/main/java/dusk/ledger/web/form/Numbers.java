package dusk.ledger.web.form;

/** Plain numbers as they are typed; a comma may stand for the point. */
final class Numbers {
    private Numbers() {}

    /**
     * A number, finite.
     *
     * @throws IllegalArgumentException with a message that can stand at the field
     */
    static double decimal(String text) {
        try {
            double value = Double.parseDouble(text.strip().replace(',', '.'));
            if (Double.isFinite(value)) {
                return value;
            }
        } catch (NumberFormatException e) {
            // said below, as for a number that is not finite
        }
        throw new IllegalArgumentException("“" + text + "” is not a number. Write it like 12.5.");
    }

    /**
     * A whole number.
     *
     * @throws IllegalArgumentException with a message that can stand at the field
     */
    static int whole(String text) {
        try {
            return Integer.parseInt(text.strip());
        } catch (NumberFormatException e) {
            throw new IllegalArgumentException("“" + text + "” is not a whole number. Write it like 3.", e);
        }
    }
}
