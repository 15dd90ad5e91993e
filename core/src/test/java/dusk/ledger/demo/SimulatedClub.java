package dusk.ledger.demo;

import dusk.ledger.journal.Ledger;
import dusk.ledger.patterns.Term;
import java.util.List;
import java.util.Map;

/**
 * A club drawn from a seed with known truth, to measure a search by.
 *
 * @param truths what was planted
 * @param traps choices that look good and are not: the favourite of the best angler at dusk, what is thrown at the best place, one huge day
 * @param multiplier by stint id: what the truths make of the stint's rate
 */
public record SimulatedClub(Ledger ledger, List<Truth> truths, List<Term> traps, Map<String, Double> multiplier) {
    /** A planted truth: all terms hold, the rate is multiplied. */
    public record Truth(List<Term> terms, double ratio) {}

    /**
     * How a club is drawn.
     *
     * @param stints about how many
     * @param truths how many are planted; 0 for a club without any pattern
     * @param withTraps whether traps are laid
     */
    public record Plan(int stints, int truths, boolean withTraps) {}

    /** Draws a club; the same for the same plan and seed. */
    public static SimulatedClub draw(Plan plan, long seed) {
        return new ClubDrawing(plan, seed).club();
    }
}
