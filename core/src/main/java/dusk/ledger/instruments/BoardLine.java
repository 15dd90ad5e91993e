package dusk.ledger.instruments;

import java.math.BigDecimal;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A measuring board's line: {@code length 17 384 mm*05}. The number of the measurement since the board was switched on,
 * the length, its unit (mm, cm or in) and the checksum of all before the star. A board repeats its last line until the
 * next, so that one that was missed is heard still and the board is known to be there; a repeated line is taken once.
 */
public final class BoardLine implements Language {
    private static final Pattern LINE = Pattern.compile("length (\\d{1,9}) (\\d{1,5}(?:\\.\\d{1,3})?) (mm|cm|in)");
    private static final int LONGEST = 60;

    private String last = "";

    /** The line of a measurement. */
    public static String line(long number, double lengthMm) {
        String text = "length " + number + " " + BigDecimal.valueOf(Math.round(lengthMm)) + " mm";
        return text + "*" + Checksum.of(text);
    }

    @Override
    public Heard hear(String line, Instant at) {
        String text = line.strip();
        if (text.isEmpty()) {
            return Heard.NOTHING;
        }
        int star = text.lastIndexOf('*');
        if (text.length() > LONGEST || star < 0 || !Checksum.printable(text)) {
            return new Heard.Garbled("no line of a measuring board");
        }
        String said = text.substring(0, star);
        if (!Checksum.of(said).equals(text.substring(star + 1).toUpperCase(Locale.ROOT))) {
            return new Heard.Garbled("the checksum does not match");
        }
        Matcher parts = LINE.matcher(said);
        if (!parts.matches()) {
            return new Heard.Garbled("no line of a measuring board");
        }
        if (said.equals(last)) {
            return Heard.NOTHING;
        }
        last = said;
        double each = switch (parts.group(3)) {
            case "cm" -> 10;
            case "in" -> 25.4;
            default -> 1;
        };
        return new Heard.Values(
                List.of(new Sample(Quantity.LENGTH_MM, new BigDecimal(parts.group(2)).doubleValue() * each, at)));
    }
}
