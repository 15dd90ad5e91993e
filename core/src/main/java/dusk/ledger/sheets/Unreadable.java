package dusk.ledger.sheets;

/** Why a file cannot be read as a spreadsheet, and from which row on. */
final class Unreadable extends Exception {
    private static final long serialVersionUID = 1;

    private final long line;

    /** @param line from 1; 0 where it is of the whole file */
    Unreadable(long line, String message) {
        super(message);
        this.line = line;
    }

    long line() {
        return line;
    }

    static Unreadable tooMany(long line) {
        return new Unreadable(
                line, "more rows than there is memory for, expected a smaller file or a server with more memory");
    }

    static Unreadable tooWide(long line, int most) {
        return new Unreadable(line, "more than " + most + " columns, expected a sheet with fewer");
    }
}
