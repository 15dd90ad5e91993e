package dusk.ledger.patterns;

/**
 * Which of a run's choices have been fished enough, and the others beside them: stints, trips and rod-hours on both
 * sides. Most choices of a large club have it by their stints alone; only for the others are trips and hours counted.
 */
final class Support {
    static final int LEAST_STINTS = 8;
    static final int LEAST_TRIPS = 4;
    static final double LEAST_ROD_HOURS = 4;

    private boolean[] has = new boolean[0];
    private double[] hours = new double[0];
    private int[] trips = new int[0];
    private int[] soleTrips = new int[0];
    private int[] inTrip = new int[0];
    private int[] touched = new int[0];

    static boolean enoughStints(int stints, int recorded) {
        return stints >= LEAST_STINTS && recorded - stints >= LEAST_STINTS;
    }

    /**
     * Settles it for the first {@code count} choices.
     *
     * @param choiceOf number of each index's choice, negative for none
     * @param unrecorded the number that stands for stints that are on no side
     * @param recorded how many are on a side
     */
    void settle(Within within, int[] choiceOf, int unrecorded, Choice[] choices, int count, int recorded) {
        makeRoom(count);
        boolean evident = true;
        for (int k = 0; k < count; k++) {
            has[k] = evident(choices[k].stints, within) && evident(recorded - choices[k].stints, within);
            evident &= has[k];
        }
        if (!evident) {
            count(within, choiceOf, unrecorded, count);
        }
    }

    boolean has(int choice) {
        return has[choice];
    }

    private static boolean evident(int stints, Within within) {
        return stints > (LEAST_TRIPS - 1) * within.mostInTrip && stints * within.leastHours >= LEAST_ROD_HOURS;
    }

    private void makeRoom(int count) {
        if (has.length < count) {
            has = new boolean[2 * count];
            hours = new double[2 * count];
            trips = new int[2 * count];
            soleTrips = new int[2 * count];
            inTrip = new int[2 * count];
            touched = new int[2 * count];
        }
    }

    private void count(Within within, int[] choiceOf, int unrecorded, int count) {
        for (int k = 0; k < count; k++) {
            hours[k] = 0;
            trips[k] = 0;
            soleTrips[k] = 0;
        }
        int allTrips = 0;
        double allHours = 0;
        int rowsOfTrip = 0;
        int touchedHere = 0;
        for (int b = 0; b < within.blocks; b++) {
            for (int i = within.blockFrom[b]; i < within.blockFrom[b + 1]; i++) {
                int k = choiceOf[i];
                if (k == unrecorded) {
                    continue;
                }
                rowsOfTrip++;
                allHours += within.rodHours[i];
                if (k < 0) {
                    continue;
                }
                if (inTrip[k]++ == 0) {
                    touched[touchedHere++] = k;
                }
                hours[k] += within.rodHours[i];
            }
            if (within.lastOfTrip(b)) {
                for (int t = 0; t < touchedHere; t++) {
                    int k = touched[t];
                    trips[k]++;
                    soleTrips[k] += inTrip[k] == rowsOfTrip ? 1 : 0;
                    inTrip[k] = 0;
                }
                allTrips += rowsOfTrip > 0 ? 1 : 0;
                touchedHere = 0;
                rowsOfTrip = 0;
            }
        }
        for (int k = 0; k < count; k++) {
            has[k] = trips[k] >= LEAST_TRIPS
                    && hours[k] >= LEAST_ROD_HOURS
                    && allTrips - soleTrips[k] >= LEAST_TRIPS
                    && allHours - hours[k] >= LEAST_ROD_HOURS;
        }
    }
}
