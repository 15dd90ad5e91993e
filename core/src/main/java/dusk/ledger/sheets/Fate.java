package dusk.ledger.sheets;

/**
 * What becomes of a row.
 *
 * @param sheet name of its sheet
 * @param line number of the row, from 1
 * @param said in words
 */
public record Fate(String sheet, long line, Kind kind, String said) {
    /** What it comes to. */
    public enum Kind {
        FISH,
        BLANK,
        SKIPPED,
        FAULT
    }
}
