package dusk.ledger.interchange;

import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.CodingErrorAction;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;

/** A CSV file (RFC 4180, UTF-8) as rows of text, each with the line it starts on. */
final class CsvRows {
    /** A row and the line it starts on, from 1. */
    record Row(long line, List<String> cells) {}

    private final String file;
    private final long most;
    private final List<Row> rows = new ArrayList<>();

    private CsvRows(String file, long most) {
        this.file = file;
        this.most = most;
    }

    List<Row> rows() {
        return rows;
    }

    /**
     * Reads all rows; a fault of the file as such is added to {@code faults} and ends the reading.
     *
     * @param most rows there is room for
     */
    static CsvRows read(String file, byte[] bytes, long most, Faults faults) {
        CsvRows read = new CsvRows(file, most);
        String text;
        try {
            text = StandardCharsets.UTF_8
                    .newDecoder()
                    .onMalformedInput(CodingErrorAction.REPORT)
                    .onUnmappableCharacter(CodingErrorAction.REPORT)
                    .decode(ByteBuffer.wrap(bytes))
                    .toString();
        } catch (CharacterCodingException e) {
            faults.add(new Fault(file, lineOfFirstBadByte(bytes), "", "not UTF-8, expected the file saved as UTF-8"));
            return read;
        }
        read.parse(text.startsWith("\uFEFF") ? text.substring(1) : text, faults);
        return read;
    }

    private static long lineOfFirstBadByte(byte[] bytes) {
        String lossy = new String(bytes, StandardCharsets.UTF_8);
        int bad = lossy.indexOf('\uFFFD');
        return 1
                + lossy.substring(0, Math.max(0, bad))
                        .chars()
                        .filter(c -> c == '\n')
                        .count();
    }

    private void parse(String text, Faults faults) {
        CSVFormat format =
                CSVFormat.RFC4180.builder().setIgnoreEmptyLines(false).get();
        long line = 1;
        try (CSVParser parser = format.parse(new StringReader(text))) {
            var records = parser.iterator();
            line = parser.getCurrentLineNumber() + 1;
            while (records.hasNext()) {
                CSVRecord record = records.next();
                if (rows.size() >= most) {
                    faults.add(
                            new Fault(
                                    file,
                                    line,
                                    "",
                                    "more rows than there is memory for, expected a smaller package or a server with more memory"));
                    rows.clear();
                    return;
                }
                if (record.size() > 1 || !record.get(0).isBlank()) {
                    rows.add(new Row(line, record.toList()));
                }
                line = parser.getCurrentLineNumber() + 1;
            }
        } catch (IOException | UncheckedIOException e) {
            faults.add(new Fault(
                    file,
                    line,
                    "",
                    "broken quoting, expected cells with commas or quotes in double quotes, quotes doubled"));
        }
    }
}
