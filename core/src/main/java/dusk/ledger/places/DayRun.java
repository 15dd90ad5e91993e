package dusk.ledger.places;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * The run of a day: which places, in which order, for how long, so that the most bites are to be expected. Time is cut into
 * slots; each place has its bites by slot (light and tide make them differ), which wear off while it is fished; moving costs
 * slots; a place is fished once without a break, and one may wait there for better light before the first cast. Exact by
 * dynamic programming over the sets of places visited (Held and Karp's scheme, with time).
 *
 * @param legs in the order of the day
 * @param bites to be expected of all
 */
public record DayRun(List<Leg> legs, double bites) {
    /** More would take too long to weigh against one another. */
    public static final int MOST_PLACES = 12;

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
     * @param kept of the bites of a place, with each slot that it has been fished: above 0, and 1 where it does not wear
     */
    @SuppressWarnings("ArrayRecordComponent") // for speed; never compared
    public record Day(double[][] bites, int[][] move, int[] reach, double kept) {
        public Day {
            int places = bites.length;
            if (places < 1 || places > MOST_PLACES || move.length != places || reach.length != places) {
                throw new IllegalArgumentException("expected 1 to " + MOST_PLACES
                        + " places, each with its bites, its moves and how it is reached, not " + places);
            }
            if (!(kept > 0 && kept <= 1)) {
                throw new IllegalArgumentException("expected a share above 0 and no more than 1, not " + kept);
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
        return new Search(day).best();
    }

    /** What is reckoned on the way; all values by set of places visited, place of it where one is, and slot. */
    private static final class Search {
        private final Day day;
        private final int slots;

        /** By place, slot of the first cast and slot of leaving: bites of such a stay. */
        private final double[][][] stay;

        /** Most bites until one may make the first cast there. */
        private final double[][][] come;

        /** Most bites until one leaves there. */
        private final double[][][] leave;

        Search(Day day) {
            this.day = day;
            slots = day.slots();
            stay = new double[day.places()][slots][slots + 1];
            for (int place = 0; place < stay.length; place++) {
                for (int from = 0; from < slots; from++) {
                    double kept = 1;
                    for (int slot = from; slot < slots; slot++) {
                        stay[place][from][slot + 1] = stay[place][from][slot] + kept * day.bites()[place][slot];
                        kept *= day.kept();
                    }
                }
            }
            come = new double[1 << day.places()][day.places()][];
            leave = new double[1 << day.places()][day.places()][];
        }

        DayRun best() {
            for (int place = 0; place < day.places(); place++) {
                if (day.reach()[place] < slots) {
                    come[1 << place][place] = empty();
                    come[1 << place][place][day.reach()[place]] = 0;
                }
            }
            double most = -1;
            int mostSet = 0;
            int mostPlace = 0;
            int mostSlot = 0;
            // sets grow with each move, so that a set is done before any that holds it
            for (int set = 1; set < come.length; set++) {
                for (int place = 0; place < day.places(); place++) {
                    if (come[set][place] == null) {
                        continue;
                    }
                    fish(set, place);
                    for (int slot = 1; slot <= slots; slot++) {
                        if (leave[set][place][slot] > most) {
                            most = leave[set][place][slot];
                            mostSet = set;
                            mostPlace = place;
                            mostSlot = slot;
                        }
                    }
                    go(set, place);
                }
            }
            return mostSet == 0 ? new DayRun(List.of(), 0) : traced(mostSet, mostPlace, mostSlot, most);
        }

        private double[] empty() {
            double[] values = new double[slots + 1];
            Arrays.fill(values, Double.NEGATIVE_INFINITY);
            return values;
        }

        /** Waits for the first cast, then stays. */
        private void fish(int set, int place) {
            double[] here = come[set][place];
            double[] after = empty();
            for (int from = 0; from < slots; from++) {
                if (from > 0) {
                    here[from] = Math.max(here[from], here[from - 1]);
                }
                if (here[from] >= 0) {
                    double[] bites = stay[place][from];
                    for (int to = from + 1; to <= slots; to++) {
                        after[to] = Math.max(after[to], here[from] + bites[to]);
                    }
                }
            }
            leave[set][place] = after;
        }

        private void go(int set, int from) {
            double[] here = leave[set][from];
            for (int to = 0; to < day.places(); to++) {
                int next = set | 1 << to;
                if (next == set) {
                    continue;
                }
                int move = day.move()[from][to];
                for (int slot = 1; slot + move < slots; slot++) {
                    if (here[slot] >= 0) {
                        if (come[next][to] == null) {
                            come[next][to] = empty();
                        }
                        come[next][to][slot + move] = Math.max(come[next][to][slot + move], here[slot]);
                    }
                }
            }
        }

        /** Walks back from the end of the best day. */
        private DayRun traced(int lastSet, int lastPlace, int lastSlot, double most) {
            List<Leg> legs = new ArrayList<>();
            int set = lastSet;
            int place = lastPlace;
            int to = lastSlot;
            while (place >= 0) {
                int from = firstCast(set, place, to);
                legs.add(0, new Leg(place, from, to, stay[place][from][to]));
                double before = come[set][place][from];
                int others = set & ~(1 << place);
                int there = from;
                int came = others == 0 ? -1 : cameFrom(others, place, there, before);
                while (others != 0 && came < 0) {
                    there--;
                    came = cameFrom(others, place, there, before);
                }
                if (came >= 0) {
                    to = there - day.move()[came][place];
                }
                set = others;
                place = came;
            }
            return new DayRun(List.copyOf(legs), most);
        }

        private int firstCast(int set, int place, int to) {
            for (int from = 0; from < to; from++) {
                if (come[set][place][from] + stay[place][from][to] == leave[set][place][to]) {
                    return from;
                }
            }
            throw new IllegalStateException("no stay leads to slot " + to);
        }

        /** The place from which one came at a slot with so many bites; -1 for none. */
        private int cameFrom(int others, int place, int slot, double bites) {
            for (int from = 0; from < day.places(); from++) {
                int left = slot - day.move()[from][place];
                boolean was = (others >> from & 1) == 1 && leave[others][from] != null && left >= 0;
                if (was && leave[others][from][left] == bites) {
                    return from;
                }
            }
            return -1;
        }
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
        return best(new Day(day.bites(), move, reach, day.kept()));
    }
}
