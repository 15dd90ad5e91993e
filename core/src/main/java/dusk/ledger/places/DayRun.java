package dusk.ledger.places;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * The run of a day: which places, in which order, for how long, so that the most bites are to be expected. Time is cut into
 * slots; each place has its bites by slot (light and tide make them differ), moving costs slots, a place is fished once
 * without a break. Exact by dynamic programming over the sets of places visited (Held and Karp's scheme, with time).
 *
 * @param legs in the order of the day
 * @param bites to be expected of all
 */
public record DayRun(List<Leg> legs, double bites) {
    /** More would take too long to weigh against one another. */
    public static final int MOST_PLACES = 12;

    private static final int STAYED = -2;
    private static final int BEGAN = -1;

    /**
     * A stay.
     *
     * @param place by its number
     * @param from slot in which it begins
     * @param to slot before which it ends, after {@code from}
     * @param bites to be expected
     */
    public record Leg(int place, int from, int to, double bites) {}

    /**
     * The day to fill.
     *
     * @param bites by place and slot: to be expected of one slot fished there, 0 or more
     * @param move by place and place: slots that going from the one to the other takes; no way round is to be shorter
     * @param reach by place: slots from the start of the day until it is reached
     */
    @SuppressWarnings("ArrayRecordComponent") // for speed; never compared
    public record Day(double[][] bites, int[][] move, int[] reach) {
        public Day {
            int places = bites.length;
            if (places < 1 || places > MOST_PLACES || move.length != places || reach.length != places) {
                throw new IllegalArgumentException("expected 1 to " + MOST_PLACES
                        + " places, each with its bites, its moves and how it is reached, not " + places);
            }
            for (int p = 0; p < places; p++) {
                boolean even = bites[p].length == bites[0].length && move[p].length == places && reach[p] >= 0;
                if (!even
                        || Arrays.stream(bites[p]).anyMatch(b -> !(b >= 0))
                        || Arrays.stream(move[p]).anyMatch(m -> m < 0)) {
                    throw new IllegalArgumentException(
                            "place " + p + ": expected bites for every slot and moves of 0 or more");
                }
            }
        }

        int places() {
            return bites.length;
        }

        int slots() {
            return bites[0].length;
        }
    }

    /** The best run of all. */
    public static DayRun best(Day day) {
        int places = day.places();
        int slots = day.slots();
        // value[set][place] by slot: most bites up to that slot, being at the place with the set visited
        double[][][] value = new double[1 << places][places][];
        for (int p = 0; p < places; p++) {
            value[1 << p][p] = empty(slots);
            if (day.reach()[p] <= slots) {
                value[1 << p][p][day.reach()[p]] = 0;
            }
        }
        double most = -1;
        int mostSet = 0;
        int mostPlace = 0;
        // sets grow with each move, so that a set is done before any that holds it
        for (int set = 1; set < value.length; set++) {
            for (int p = 0; p < places; p++) {
                double[] here = value[set][p];
                if (here == null) {
                    continue;
                }
                stay(here, day.bites()[p]);
                if (here[slots] > most) {
                    most = here[slots];
                    mostSet = set;
                    mostPlace = p;
                }
                go(day, value, set, p);
            }
        }
        return mostSet == 0 ? new DayRun(List.of(), 0) : traced(day, value, mostSet, mostPlace);
    }

    private static double[] empty(int slots) {
        double[] values = new double[slots + 1];
        Arrays.fill(values, Double.NEGATIVE_INFINITY);
        return values;
    }

    /** To be there at a slot one comes then, or has fished the slot before it. */
    private static void stay(double[] here, double[] bites) {
        for (int slot = 0; slot < bites.length; slot++) {
            here[slot + 1] = Math.max(here[slot + 1], here[slot] + bites[slot]);
        }
    }

    private static void go(Day day, double[][][] value, int set, int from) {
        double[] here = value[set][from];
        for (int to = 0; to < day.places(); to++) {
            int next = set | 1 << to;
            if (next == set) {
                continue;
            }
            if (value[next][to] == null) {
                value[next][to] = empty(day.slots());
            }
            int move = day.move()[from][to];
            for (int slot = 0; slot + move <= day.slots(); slot++) {
                value[next][to][slot + move] = Math.max(value[next][to][slot + move], here[slot]);
            }
        }
    }

    /** Walks back from the end of the best day. */
    private static DayRun traced(Day day, double[][][] value, int lastSet, int lastPlace) {
        List<Leg> legs = new ArrayList<>();
        int set = lastSet;
        int place = lastPlace;
        int end = day.slots();
        double bites = value[set][place][end];
        while (place >= 0) {
            int from = end;
            double got = 0;
            int before = cameFrom(day, value, set, place, from);
            while (before == STAYED) {
                from--;
                got += day.bites()[place][from];
                before = cameFrom(day, value, set, place, from);
            }
            if (from < end) {
                legs.add(0, new Leg(place, from, end, got));
            }
            end = before < 0 ? 0 : from - day.move()[before][place];
            set &= ~(1 << place);
            place = before;
        }
        return new DayRun(List.copyOf(legs), bites);
    }

    /** Where one was before being at a place at a slot: there, at another place, or nowhere yet. */
    private static int cameFrom(Day day, double[][][] value, int set, int place, int slot) {
        double here = value[set][place][slot];
        if (set == 1 << place && slot == day.reach()[place] && here == 0) {
            return BEGAN;
        }
        int others = set & ~(1 << place);
        for (int from = 0; from < day.places(); from++) {
            int left = slot - day.move()[from][place];
            boolean was = (others >> from & 1) == 1 && value[others][from] != null && left >= 0;
            if (was && value[others][from][left] == here) {
                return from;
            }
        }
        return STAYED;
    }

    /**
     * The best stays for an order that was chosen by hand; places that earn nothing there get none.
     *
     * @param order numbers of places, each at most once
     */
    public static DayRun inOrder(Day day, List<Integer> order) {
        int never = day.slots() + 1;
        int[][] move = new int[day.places()][day.places()];
        int[] reach = new int[day.places()];
        for (int place = 0; place < day.places(); place++) {
            int at = order.indexOf(place);
            reach[place] = at < 0 ? never : day.reach()[place];
            for (int next = 0; next < day.places(); next++) {
                move[place][next] = at >= 0 && order.indexOf(next) > at ? day.move()[place][next] : never;
            }
        }
        return best(new Day(day.bites(), move, reach));
    }
}
