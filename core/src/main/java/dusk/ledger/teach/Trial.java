package dusk.ledger.teach;

import dusk.ledger.journal.SetUp;
import dusk.ledger.tackle.Alteration;
import java.time.Instant;
import java.util.List;
import java.util.SplittableRandom;
import org.jspecify.annotations.Nullable;

/**
 * A fair trial of two set-ups. Each rod fishes them by turns of equal length: two turns make a block, in an order that the
 * seed draws for each block, and the next rod of the boat has it the other way round, so that whatever the hour brings both
 * meet it alike.
 *
 * @param setUpA id
 * @param setUpB id of another
 * @param species that counts; null for any
 * @param minutes of a turn
 * @param hoursEach rod-hours that each is to be fished
 * @param made no stint before it counts
 * @param ended null while it goes on
 */
public record Trial(
        String id,
        String setUpA,
        String setUpB,
        @Nullable String species,
        int minutes,
        double hoursEach,
        long seed,
        Instant made,
        @Nullable Instant ended) {
    public static final int USUAL_MINUTES = 20;

    /** Ratios by which one may be to differ for a trial to be worth its size. */
    public static final List<Double> RATIOS = List.of(1.25, 1.5, 2.0, 3.0);

    public Trial {
        if (setUpA.equals(setUpB) || minutes < 1 || !(hoursEach > 0)) {
            throw new IllegalArgumentException("expected two set-ups, turns of a minute or more and hours above 0, not "
                    + setUpA + ", " + setUpB + ", " + minutes + " and " + hoursEach);
        }
    }

    /**
     * Which set-up a turn is for.
     *
     * @param turn from 0, of one rod at one place
     * @param rod its number
     * @param place where it is: each has an order of its own
     */
    public String turn(int turn, int rod, String place) {
        boolean first = new SplittableRandom(31 * (seed + turn / 2) + place.hashCode()).nextBoolean();
        boolean a = first ^ (turn % 2 == 1) ^ (rod % 2 == 0);
        return a ? setUpA : setUpB;
    }

    /** In how many things two set-ups differ: a trial of more than one cannot say which of them it was. */
    public static List<String> differences(SetUp a, SetUp b) {
        return List.copyOf(Alteration.differences(a, b));
    }
}
