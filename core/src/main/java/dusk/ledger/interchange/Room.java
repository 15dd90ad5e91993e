package dusk.ledger.interchange;

/**
 * How much of a package is taken in at once, so that a crafted or mistaken one does not take the memory of all others.
 *
 * @param bytes of all its files together, unpacked
 * @param rows of all its files together
 */
public record Room(long bytes, long rows) {
    private static final long MOST_BYTES = 512L << 20;

    /** A row is held as text and as a record while its file is read, and the text of a file twice. */
    private static final int HEAP_A_BYTE = 6;

    private static final int HEAP_A_ROW = 2000;

    /** As the memory there is allows: some 500,000 rows for a gigabyte. */
    public static Room ofHeap() {
        long heap = Runtime.getRuntime().maxMemory();
        return new Room(Math.min(MOST_BYTES, heap / HEAP_A_BYTE), heap / HEAP_A_ROW);
    }
}
