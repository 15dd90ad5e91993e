package dusk.ledger.demo;

import dusk.ledger.journal.Ledger;
import dusk.ledger.journal.SetUp;
import dusk.ledger.patterns.Term;
import java.util.List;
import java.util.Map;
import java.util.function.Supplier;

/**
 * A club drawn from a seed with known truth, to measure a search by.
 *
 * @param truths what was planted
 * @param traps choices that look good and are not: the favourite of the best angler at dusk, what is thrown at the best place, one huge day
 * @param multiplier by stint id: what the truths make of the stint's rate
 * @param bareRate by stint id: fish a rod-hour by its place, light and warmth in the club's
 *     usual hands on a usual trip, with tackle that does nothing
 */
public record SimulatedClub(
        Ledger ledger,
        List<Truth> truths,
        List<Term> traps,
        Map<String, Double> multiplier,
        Map<String, Double> bareRate) {
    /** A planted truth: all terms hold, the rate is multiplied. */
    public record Truth(List<Term> terms, double ratio) {}

    /**
     * How a club is drawn.
     *
     * @param stints about how many
     * @param truths how many are planted; 0 for a club without any pattern
     * @param withTraps whether traps are laid
     * @param schools how much luckier one stint is than another by the fish being in schools: the coefficient of
     *     variation of a multiplier of its rate, 0 for none
     * @param habits how far anglers' leanings differ between set-ups: the sd of their log
     * @param keeping share of stints, not by lot, that an angler fishes with what was tied on before on that trip
     * @param byLot share of stints whose set-up was drawn by lot from all there are, whatever the angler leans to
     */
    public record Plan(
            int stints, int truths, boolean withTraps, double schools, double byLot, double habits, double keeping) {
        private static final double USUAL_HABITS = 0.9;

        /** Without schools and without a lot. */
        public Plan(int stints, int truths, boolean withTraps) {
            this(stints, truths, withTraps, 0, 0, USUAL_HABITS, 0);
        }

        /** The same club's plan with the fish in schools. */
        public Plan inSchools(double cv) {
            return new Plan(stints, truths, withTraps, cv, byLot, habits, keeping);
        }

        /** The same club's plan with so many stints by lot. */
        public Plan withLot(double share) {
            return new Plan(stints, truths, withTraps, schools, share, habits, keeping);
        }

        /**
         * The same club's plan with other habits.
         *
         * @param sd at 2 a handful of set-ups take most of an angler's stints
         * @param kept share of stints with what was tied on before
         */
        public Plan withHabits(double sd, double kept) {
            return new Plan(stints, truths, withTraps, schools, byLot, sd, kept);
        }
    }

    /** What the lot draws where a stint's set-up is drawn by it. */
    public interface Chooser {
        /**
         * Draws.
         *
         * @param all set-ups there are
         * @param habit what the angler would have tied on
         * @param trip its number
         * @param soFar the club's records up to here
         */
        SetUp choose(List<SetUp> all, SetUp habit, int trip, Supplier<Ledger> soFar);
    }

    /** Draws a club whose lot draws by a chooser. */
    public static SimulatedClub draw(Plan plan, long seed, Chooser chooser) {
        return new ClubDrawing(plan, seed, chooser).club();
    }

    /** Draws a club; the same for the same plan and seed. */
    public static SimulatedClub draw(Plan plan, long seed) {
        return new ClubDrawing(plan, seed, null).club();
    }
}
