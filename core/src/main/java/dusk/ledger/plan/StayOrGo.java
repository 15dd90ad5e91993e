package dusk.ledger.plan;

import org.jspecify.annotations.Nullable;

/**
 * Whether to stay at a place or move on. A blank place is worth staying at as long as some plan "so long more without
 * a bite, then leave" is: its bites, and what the rest of the day at a place that has shown itself good would give
 * above the going rate, and the move then saved, outweigh what the time would bring elsewhere. To compare only the
 * rate to expect with the going rate would leave every place at once, since days are made at the good ones (optimal
 * stopping, as in foraging: Charnov, Theor. Popul. Biol. 9, 1976).
 *
 * @param chanceOfFish that biting fish are here
 * @param expectedRate bites a rod-hour from now on
 * @param goAfterHours further rod-hours after which, still without another bite, to move; null where staying to the end is best
 */
public record StayOrGo(
        double chanceOfFish, double expectedRate, @Nullable Double goAfterHours) {
    /** Hours that a move costs where nothing else is known. */
    public static final double USUAL_MOVE_HOURS = 0.15;

    private static final double STEP_HOURS = 1 / 60.0;

    /**
     * What is going on.
     *
     * @param bites so far on this set-up at this place
     * @param rodHours fished for them
     * @param goingRate all bites over all rod-hours of the last two years' trips on such water
     * @param moveHours that a move costs
     * @param leftHours left of the trip
     */
    public record Now(int bites, double rodHours, double goingRate, double moveHours, double leftHours) {
        public Now {
            if (bites < 0 || !(rodHours >= 0) || !(goingRate >= 0) || !(moveHours >= 0) || !(leftHours >= 0)) {
                throw new IllegalArgumentException("expected bites, hours and rates of 0 or more, not " + bites + ", "
                        + rodHours + ", " + goingRate + ", " + moveHours + ", " + leftHours);
            }
        }
    }

    /** Whether to move now. */
    public boolean go() {
        return goAfterHours != null && goAfterHours == 0;
    }

    /** Only that, without the search for the time to go. */
    static boolean goesNow(Holding place, Now now) {
        return over(place, now, 0);
    }

    /** Weighs it. */
    public static StayOrGo of(Holding place, Now now) {
        Double after = null;
        for (double more = 0; more <= now.leftHours() && after == null; more += STEP_HOURS) {
            if (over(place, now, more)) {
                after = more;
            }
        }
        return new StayOrGo(
                place.chanceAfter(now.bites(), now.rodHours()), place.rateAfter(now.bites(), now.rodHours()), after);
    }

    /** Whether no plan to stay is worth its time, after so many further hours without a bite. */
    private static boolean over(Holding place, Now now, double more) {
        double left = now.leftHours() - more;
        if (left <= now.moveHours()) {
            return false;
        }
        double hours = now.rodHours() + more;
        double chance = place.chanceAfter(now.bites(), hours);
        double shape = place.shape() + now.bites();
        double rate = place.rodHours() + hours;
        double gain = 0;
        double unbitten = 1;
        for (double s = 0; s < left; s += STEP_HOURS) {
            double after = chance * Math.pow(rate / (rate + s + STEP_HOURS), shape) + 1 - chance;
            double bite = unbitten - after;
            double surplus = Math.max(0, (shape + 1) / (rate + s + STEP_HOURS) - now.goingRate()) * (left - s);
            gain += bite * (1 + surplus + now.goingRate() * now.moveHours()) - now.goingRate() * STEP_HOURS * unbitten;
            unbitten = after;
            if (gain > 0) {
                return false;
            }
        }
        return true;
    }
}
