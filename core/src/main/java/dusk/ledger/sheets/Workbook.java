package dusk.ledger.sheets;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.math.BigDecimal;
import java.math.MathContext;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.format.DateTimeFormatter;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.apache.commons.compress.archivers.zip.ZipArchiveEntry;
import org.apache.commons.compress.archivers.zip.ZipFile;
import org.apache.commons.compress.utils.SeekableInMemoryByteChannel;
import org.dhatim.fastexcel.reader.Cell;
import org.dhatim.fastexcel.reader.CellType;
import org.dhatim.fastexcel.reader.ReadableWorkbook;
import org.dhatim.fastexcel.reader.ReadingOptions;
import org.dhatim.fastexcel.reader.Row;

/** A workbook (Office Open XML): its cells as text, dates as ISO 8601 has them, numbers with a point. */
final class Workbook {
    private static final DateTimeFormatter TIME = DateTimeFormatter.ofPattern("HH:mm", Locale.ROOT);
    private static final DateTimeFormatter BOTH = DateTimeFormatter.ofPattern("uuuu-MM-dd'T'HH:mm", Locale.ROOT);
    private static final int MOST_ENTRIES = 2000;
    private static final int HEAD = 4096;

    /** What of a number format is a text, a colour or a condition, and no pattern. */
    private static final Pattern SPOKEN = Pattern.compile("\"[^\"]*\"|\\\\.|\\[[^\\]]*\\]|_.|\\*.");

    /** A day in a serial number before this is none: those are times of day. */
    private static final int FIRST_YEAR = 1901;

    /** Digits that a spreadsheet keeps; more are the dust of its reckoning. */
    private static final MathContext KEPT = new MathContext(12);

    private Workbook() {}

    /**
     * Its sheets, in their order.
     *
     * @throws Unreadable where it is none, or unpacks to more than there is room for
     */
    static List<Sheet> sheets(byte[] bytes, long mostBytes, long mostRows, int mostColumns) throws Unreadable {
        measure(bytes, mostBytes);
        List<Sheet> sheets = new ArrayList<>();
        long left = mostRows;
        // shared strings, merged cells and formats are the library's to know
        try (ReadableWorkbook book =
                new ReadableWorkbook(new ByteArrayInputStream(bytes), new ReadingOptions(true, true))) {
            for (org.dhatim.fastexcel.reader.Sheet one : book.getSheets().toList()) {
                List<Sheet.Line> lines = lines(one, left, mostColumns);
                left -= lines.size();
                if (!lines.isEmpty()) {
                    sheets.add(new Sheet(String.valueOf(one.getName()), lines));
                }
            }
        } catch (IOException | RuntimeException e) {
            // a damaged part ends in any exception the library or its parser has; all of them are the file's fault
            if (e instanceof TooMuch much) {
                throw much.why;
            }
            throw new Unreadable(0, "not a workbook that can be read, expected a .xlsx as a spreadsheet saves it");
        }
        return sheets;
    }

    private static List<Sheet.Line> lines(org.dhatim.fastexcel.reader.Sheet sheet, long most, int mostColumns)
            throws IOException {
        List<Sheet.Line> lines = new ArrayList<>();
        try (Stream<Row> rows = sheet.openStream()) {
            rows.forEach(row -> {
                if (lines.size() >= most) {
                    throw new TooMuch(Unreadable.tooMany(row.getRowNum()));
                }
                List<String> cells = new ArrayList<>();
                for (Cell cell : row) {
                    String text = cell == null ? "" : text(cell);
                    if (!text.isEmpty() && cells.size() >= mostColumns) {
                        throw new TooMuch(Unreadable.tooWide(row.getRowNum(), mostColumns));
                    }
                    cells.add(text);
                }
                SheetReader.add(lines, row.getRowNum(), cells);
            });
        }
        return lines;
    }

    /** Carries why there is too much through a stream. */
    private static final class TooMuch extends RuntimeException {
        private static final long serialVersionUID = 1;

        private final transient Unreadable why;

        TooMuch(Unreadable why) {
            super(why);
            this.why = why;
        }
    }

    /** A cell as a person would type it. */
    private static String text(Cell cell) {
        Object value = cell.getValue();
        if (cell.getType() == CellType.EMPTY || cell.getType() == CellType.ERROR || value == null) {
            return "";
        }
        if (value instanceof BigDecimal number) {
            return dated(cell.getDataFormatString()) ? date(cell) : number(number);
        }
        if (cell.getType() == CellType.FORMULA) {
            // what it came to when it was saved; a formula is never reckoned here
            String raw = cell.getRawValue();
            return raw == null ? "" : raw;
        }
        return value.toString();
    }

    private static String number(BigDecimal value) {
        return value.round(KEPT).stripTrailingZeros().toPlainString();
    }

    /** Whether a number format shows a date or a time of day. */
    private static boolean dated(String format) {
        if (format == null || format.equalsIgnoreCase("general")) {
            return false;
        }
        String pattern = SPOKEN.matcher(format.toLowerCase(Locale.ROOT)).replaceAll("");
        return pattern.matches(".*[dy].*|.*h.*|.*m+.*s.*|.*m{3,}.*");
    }

    private static String date(Cell cell) {
        LocalDateTime at = cell.asDate().plusSeconds(30).truncatedTo(ChronoUnit.MINUTES);
        if (at.getYear() < FIRST_YEAR) {
            return TIME.format(at);
        }
        return at.toLocalTime().equals(LocalTime.MIDNIGHT) ? at.toLocalDate().toString() : BOTH.format(at);
    }

    /** Unpacks it once to see how much it is, and that no part of it points elsewhere. */
    private static void measure(byte[] bytes, long mostBytes) throws Unreadable {
        long left = mostBytes;
        int entries = 0;
        // by the archive's own list of what is in it, as the library reads it
        try (ZipFile zip = ZipFile.builder()
                .setSeekableByteChannel(new SeekableInMemoryByteChannel(bytes))
                .get()) {
            byte[] some = new byte[1 << 16];
            for (ZipArchiveEntry entry : Collections.list(zip.getEntries())) {
                String name = entry.getName().replace('\\', '/');
                if (name.startsWith("/") || List.of(name.split("/")).contains("..")) {
                    throw new Unreadable(
                            0, "holds a path that leads out of it, expected a .xlsx as a spreadsheet saves it");
                }
                if (++entries > MOST_ENTRIES) {
                    throw tooLarge(mostBytes);
                }
                StringBuilder head = new StringBuilder();
                try (InputStream in = zip.getInputStream(entry)) {
                    for (int read = in.read(some); read >= 0; read = in.read(some)) {
                        left -= read;
                        if (left < 0) {
                            throw tooLarge(mostBytes);
                        }
                        for (int i = 0; i < read && head.length() < HEAD; i++) {
                            head.append((char) (some[i] & 0xff));
                        }
                    }
                }
                if (head.indexOf("<!DOCTYPE") >= 0) {
                    throw new Unreadable(0, "declares a document type, expected a .xlsx as a spreadsheet saves it");
                }
            }
        } catch (IOException | RuntimeException e) {
            // what a damaged archive ends in is the file's fault, whichever exception the library has for it
            throw new Unreadable(0, "cut short or damaged, expected the whole .xlsx; send or copy it again");
        }
        if (entries == 0) {
            throw new Unreadable(0, "not a workbook, expected a .xlsx as a spreadsheet saves it");
        }
    }

    private static Unreadable tooLarge(long mostBytes) {
        return new Unreadable(
                0,
                "over " + (mostBytes >> 20)
                        + " MiB unpacked, which is what there is memory for, expected a smaller file");
    }
}
