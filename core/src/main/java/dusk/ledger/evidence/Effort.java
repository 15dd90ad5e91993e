package dusk.ledger.evidence;

import java.util.List;

/**
 * Fish and hours of one trip at one level.
 *
 * @param fish 0 or more
 * @param rodHours above 0
 */
public record Effort(double fish, double rodHours) {
    public Effort {
        if (!(fish >= 0) || !(rodHours > 0)) {
            throw new IllegalArgumentException(
                    "expected fish of 0 or more and rod-hours above 0, not " + fish + " fish in " + rodHours);
        }
    }

    public Effort plus(Effort other) {
        return new Effort(fish + other.fish, rodHours + other.rodHours);
    }

    /** Fish and hours both divided, so that the rate stays and its weight falls. */
    Effort dividedBy(double swing) {
        return new Effort(fish / swing, rodHours / swing);
    }

    /** All of some together. */
    public static Effort sum(List<Effort> all) {
        double fish = 0;
        double hours = 0;
        for (Effort one : all) {
            fish += one.fish();
            hours += one.rodHours();
        }
        return new Effort(fish, hours);
    }
}
