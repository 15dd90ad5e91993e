package dusk.ledger.patterns;

/**
 * One comparison that a pattern's ratio is made of: the choice and the others, by one angler on one trip, or on
 * different trips to one water in one month.
 *
 * @param row of the table, one of its stints
 * @param acrossTrips whether it sets trips against other trips
 * @param fish with the choice
 * @param even as many fish as the choice would have, did it as well as the others
 * @param all fish of both
 */
public record PatternBlock(int row, boolean acrossTrips, double fish, double even, double all) {
    /** How far it speaks for the choice, in fish; negative against it. */
    public double says() {
        return fish - even;
    }
}
