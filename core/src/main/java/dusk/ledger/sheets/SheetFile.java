package dusk.ledger.sheets;

import java.util.List;

/**
 * A spreadsheet that was read.
 *
 * @param name of the file
 * @param encoding how its letters are written; empty for a workbook, which says so itself
 * @param delimiter what stands between cells; empty for a workbook
 */
public record SheetFile(String name, String encoding, String delimiter, List<Sheet> sheets) {
    public SheetFile {
        sheets = List.copyOf(sheets);
    }

    /** A sheet by its name; the first where the name is empty or not there. */
    public Sheet sheet(String wanted) {
        return sheets.stream().filter(s -> s.name().equals(wanted)).findFirst().orElse(sheets.get(0));
    }

    /** How faults name a sheet: the file, and where there are several which of them. */
    public String place(Sheet sheet) {
        return sheets.size() == 1 ? name : name + " [" + sheet.name() + "]";
    }
}
