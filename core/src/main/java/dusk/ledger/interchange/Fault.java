package dusk.ledger.interchange;

/**
 * One thing wrong with a package, and where.
 *
 * @param file file name
 * @param line line in the file, from 1; 0 where the fault is of the whole file
 * @param column column name; empty where the fault is of the whole row or file
 * @param message what is wrong, what was expected
 */
public record Fault(String file, long line, String column, String message) {
    @Override
    public String toString() {
        StringBuilder text = new StringBuilder(file);
        if (line > 0) {
            text.append(':').append(line);
        }
        text.append(": ");
        if (!column.isEmpty()) {
            text.append(column).append(": ");
        }
        return text.append(message).toString();
    }
}
