package dusk.ledger.sheets;

import java.io.IOException;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.regex.Pattern;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.dhatim.fastexcel.Workbook;
import org.dhatim.fastexcel.Worksheet;

/** Writes tables as a CSV file or a workbook. */
public final class SheetWriter {
    private static final Pattern NUMBER = Pattern.compile("-?\\d{1,15}(\\.\\d{1,10})?");

    /** What a spreadsheet would run as a formula, where it opens a text file. */
    private static final Pattern FORMULA = Pattern.compile("'*[=+\\-@\\t\\r].*", Pattern.DOTALL);

    /** What the name of a sheet may not hold, and its length. */
    private static final Pattern NO_NAME = Pattern.compile("[\\[\\]:*?/\\\\']");

    private static final int LONGEST_NAME = 31;

    private SheetWriter() {}

    /** A table: its name and its rows, the first of them the header. */
    public record Written(String name, List<List<String>> rows) {}

    /**
     * Writes CSV (RFC 4180, UTF-8 with a mark so that spreadsheets know it); several tables stand under their names with an
     * empty line between. A text that would be run as a formula is written behind an apostrophe, as packages are.
     */
    public static void csv(List<Written> tables, OutputStream out) throws IOException {
        Writer writer = new OutputStreamWriter(out, StandardCharsets.UTF_8);
        writer.write('\uFEFF');
        try (CSVPrinter printer = new CSVPrinter(writer, CSVFormat.RFC4180)) {
            for (int i = 0; i < tables.size(); i++) {
                if (tables.size() > 1) {
                    if (i > 0) {
                        printer.println();
                    }
                    printer.printRecord(harmless(tables.get(i).name()));
                }
                for (List<String> row : tables.get(i).rows()) {
                    printer.printRecord(row.stream().map(SheetWriter::harmless));
                }
            }
        }
    }

    private static String harmless(String cell) {
        return FORMULA.matcher(cell).matches() && !NUMBER.matcher(cell).matches() ? "'" + cell : cell;
    }

    /** Writes a workbook, a sheet for each table; numbers are numbers, all else is text and never a formula. */
    public static void workbook(List<Written> tables, OutputStream out) throws IOException {
        try (Workbook book = new Workbook(out, "Dusk Ledger", "1.0")) {
            Set<String> taken = new HashSet<>();
            for (Written table : tables) {
                Worksheet sheet = book.newWorksheet(name(table.name(), taken));
                for (int y = 0; y < table.rows().size(); y++) {
                    List<String> row = table.rows().get(y);
                    for (int x = 0; x < row.size(); x++) {
                        String cell = row.get(x);
                        if (NUMBER.matcher(cell).matches()) {
                            sheet.value(y, x, Double.parseDouble(cell));
                        } else if (!cell.isEmpty()) {
                            sheet.value(y, x, cell);
                        }
                    }
                }
                if (!table.rows().isEmpty() && !table.rows().get(0).isEmpty()) {
                    sheet.range(0, 0, 0, table.rows().get(0).size() - 1)
                            .style()
                            .bold()
                            .set();
                }
            }
        }
    }

    private static String name(String wanted, Set<String> taken) {
        String plain = NO_NAME.matcher(wanted).replaceAll(" ").strip();
        String base = plain.isEmpty() ? "Table" : plain;
        for (int number = 1; ; number++) {
            String end = number == 1 ? "" : " " + number;
            String name = base.substring(0, Math.min(base.length(), LONGEST_NAME - end.length())) + end;
            if (taken.add(name.toLowerCase(Locale.ROOT))) {
                return name;
            }
        }
    }
}
