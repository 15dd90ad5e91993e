package dusk.ledger.sheets;

import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.Charset;
import java.nio.charset.CodingErrorAction;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;

/** Text with a delimiter: which one, and in which letters, is told from the text itself. */
final class Delimited {
    private static final char[] DELIMITERS = {',', ';', '\t', '|'};
    private static final Charset WINDOWS = Charset.forName("windows-1252");
    private static final int LOOKED_AT = 200;

    private Delimited() {}

    /** Letters of a file, and what they are written in. */
    record Text(String letters, String encoding) {}

    /** UTF-8 or UTF-16 where it is that, else as old spreadsheets of the West wrote. */
    static Text text(byte[] bytes) {
        if (bytes.length > 1 && (bytes[0] & 0xff) == 0xff && (bytes[1] & 0xff) == 0xfe) {
            return new Text(new String(bytes, 2, bytes.length - 2, StandardCharsets.UTF_16LE), "UTF-16");
        } else if (bytes.length > 1 && (bytes[0] & 0xff) == 0xfe && (bytes[1] & 0xff) == 0xff) {
            return new Text(new String(bytes, 2, bytes.length - 2, StandardCharsets.UTF_16BE), "UTF-16");
        }
        try {
            String text = StandardCharsets.UTF_8
                    .newDecoder()
                    .onMalformedInput(CodingErrorAction.REPORT)
                    .onUnmappableCharacter(CodingErrorAction.REPORT)
                    .decode(ByteBuffer.wrap(bytes))
                    .toString();
            return new Text(text.startsWith("\uFEFF") ? text.substring(1) : text, "UTF-8");
        } catch (CharacterCodingException e) {
            return new Text(new String(bytes, WINDOWS), WINDOWS.displayName());
        }
    }

    /**
     * The delimiter that gives most rows the same number of cells, above one.
     *
     * @return a comma where there is only one column
     */
    static char delimiter(String text) {
        char best = ',';
        double most = 0;
        for (char delimiter : DELIMITERS) {
            double worth = worth(counts(text, delimiter));
            if (worth > most) {
                most = worth;
                best = delimiter;
            }
        }
        return best;
    }

    /** Rows of the commonest width, by their width: a comma within numbers makes rows of many widths. */
    private static double worth(List<Integer> widths) {
        Map<Integer, Integer> rows = new HashMap<>();
        widths.forEach(w -> rows.merge(w, 1, Integer::sum));
        double worth = 0;
        for (Map.Entry<Integer, Integer> one : rows.entrySet()) {
            if (one.getKey() > 1) {
                double share = (double) one.getValue() / widths.size();
                worth = Math.max(worth, share * share * Math.log(one.getKey()));
            }
        }
        return worth;
    }

    /** Cells of each of the first rows, quotes heeded. */
    private static List<Integer> counts(String text, char delimiter) {
        List<Integer> widths = new ArrayList<>();
        int width = 1;
        boolean quoted = false;
        boolean blank = true;
        for (int i = 0; i < text.length() && widths.size() < LOOKED_AT; i++) {
            char c = text.charAt(i);
            if (c == '"') {
                quoted = !quoted;
                blank = false;
            } else if (c == '\n' && !quoted) {
                if (!blank) {
                    widths.add(width);
                }
                width = 1;
                blank = true;
            } else if (c == delimiter && !quoted) {
                width++;
            } else if (c > ' ') {
                blank = false;
            }
        }
        if (!blank) {
            widths.add(width);
        }
        return widths;
    }

    /**
     * The rows.
     *
     * @param most rows there is room for
     * @throws Unreadable where quotes do not close, or there are too many rows or columns
     */
    static List<Sheet.Line> lines(String text, char delimiter, long most, int mostColumns) throws Unreadable {
        CSVFormat format = CSVFormat.RFC4180
                .builder()
                .setDelimiter(delimiter)
                .setIgnoreEmptyLines(false)
                .setLenientEof(true)
                .setTrailingData(true)
                .get();
        List<Sheet.Line> lines = new ArrayList<>();
        long line = 1;
        try (CSVParser parser = format.parse(new StringReader(text))) {
            var records = parser.iterator();
            line = parser.getCurrentLineNumber() + 1;
            while (records.hasNext()) {
                CSVRecord record = records.next();
                if (lines.size() >= most) {
                    throw Unreadable.tooMany(line);
                } else if (record.size() > mostColumns) {
                    throw Unreadable.tooWide(line, mostColumns);
                }
                SheetReader.add(lines, line, record.toList());
                line = parser.getCurrentLineNumber() + 1;
            }
        } catch (IOException | UncheckedIOException e) {
            throw new Unreadable(
                    line,
                    "broken quoting, expected cells with the delimiter or quotes in double quotes, quotes doubled");
        }
        return lines;
    }
}
