package dusk.ledger.sheets;

import dusk.ledger.interchange.Fault;
import dusk.ledger.interchange.Refused;
import dusk.ledger.interchange.Room;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;

/** Reads a spreadsheet, CSV or workbook, told apart by what is in it and not by its name. */
public final class SheetReader {
    private static final int MOST_COLUMNS = 400;

    /** What a cell may hold; a longer text is cut where a note ends. */
    private static final int LONGEST_CELL = 10_000;

    private static final Pattern UNSEEN = Pattern.compile("[\\p{Cc}\\p{Cf}\\p{Cs}\\u2028\\u2029]+");

    /** A formula that was made harmless, as it is written out. */
    private static final Pattern HARMLESS = Pattern.compile("'+[=+\\-@]");

    private SheetReader() {}

    /**
     * @param name of the file, for faults
     * @throws Refused where it is no spreadsheet, or more than there is memory for
     */
    public static SheetFile read(String name, byte[] bytes) throws Refused {
        return read(name, bytes, Room.ofHeap());
    }

    static SheetFile read(String name, byte[] bytes, Room room) throws Refused {
        try {
            SheetFile file = begins(bytes, 'P', 'K') ? workbook(name, bytes, room) : delimited(name, bytes, room);
            if (file.sheets().isEmpty()) {
                throw new Unreadable(
                        0, "empty, expected a sheet with a header row and a row for each fish, stint or day");
            }
            return file;
        } catch (Unreadable e) {
            throw Refused.of(new Fault(name, e.line(), "", String.valueOf(e.getMessage())));
        }
    }

    /** Whether a file is a spreadsheet and not a ledger package, by what is in it: a workbook is a zip too. */
    public static boolean isSpreadsheet(String name, byte[] bytes) {
        boolean workbook = new String(bytes, StandardCharsets.ISO_8859_1).contains("[Content_Types].xml");
        return !name.endsWith(".zip") && (workbook || !begins(bytes, 'P', 'K'));
    }

    private static boolean begins(byte[] bytes, int... with) {
        for (int i = 0; i < with.length; i++) {
            if (bytes.length <= i || (bytes[i] & 0xff) != with[i]) {
                return false;
            }
        }
        return true;
    }

    private static SheetFile workbook(String name, byte[] bytes, Room room) throws Unreadable {
        return new SheetFile(name, "", "", Workbook.sheets(bytes, room.bytes(), room.rows(), MOST_COLUMNS));
    }

    private static SheetFile delimited(String name, byte[] bytes, Room room) throws Unreadable {
        if (begins(bytes, 0xd0, 0xcf, 0x11, 0xe0)) {
            throw new Unreadable(0, "an old workbook (.xls), expected a .xlsx or a CSV file; save it as one of these");
        } else if (bytes.length > room.bytes()) {
            throw new Unreadable(
                    0,
                    "over " + (room.bytes() >> 20)
                            + " MiB, which is what there is memory for, expected a smaller file");
        }
        Delimited.Text text = Delimited.text(bytes);
        if (text.letters().indexOf('\0') >= 0) {
            throw new Unreadable(0, "not text, expected a CSV file or a .xlsx workbook");
        }
        char delimiter = Delimited.delimiter(text.letters());
        List<Sheet.Line> lines = Delimited.lines(text.letters(), delimiter, room.rows(), MOST_COLUMNS);
        List<Sheet> sheets = lines.isEmpty() ? List.of() : List.of(new Sheet("", lines));
        return new SheetFile(name, text.encoding(), String.valueOf(delimiter), sheets);
    }

    /** Adds a row where anything stands in it, without what is empty behind. */
    static void add(List<Sheet.Line> lines, long number, List<String> cells) {
        List<String> clean = new ArrayList<>();
        int filled = 0;
        for (String cell : cells) {
            clean.add(clean(cell));
            if (!clean.get(clean.size() - 1).isEmpty()) {
                filled = clean.size();
            }
        }
        if (filled > 0) {
            lines.add(new Sheet.Line(number, List.copyOf(clean.subList(0, filled))));
        }
    }

    /** Without spaces around, hard spaces being spaces, and without signs that cannot be seen. */
    private static String clean(String cell) {
        String text = (cell.length() > LONGEST_CELL ? cell.substring(0, LONGEST_CELL) : cell)
                .replace('\u00a0', ' ')
                .replace('\u202f', ' ')
                .strip();
        text = UNSEEN.matcher(text).replaceAll(" ").strip();
        return HARMLESS.matcher(text).lookingAt() ? text.substring(1) : text;
    }
}
