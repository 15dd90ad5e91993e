package dusk.ledger.water;

import dusk.ledger.units.Force;
import dusk.ledger.units.Length;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * The line in the water: from the lure the leader first, its own diameter over its length, then the main line.
 *
 * @param mainM diameter
 * @param leaderM diameter
 * @param leaderLengthM 0 where there is none
 */
public record Line(double mainM, double leaderM, double leaderLengthM) {
    /** Strength by area, Pa. */
    private static final Map<String, Double> STRENGTH = Map.of("mono", 0.95e9, "fluorocarbon", 0.80e9, "braid", 4.0e9);

    public Line {
        if (!(mainM >= 0) || !(leaderM >= 0) || !(leaderLengthM >= 0)) {
            throw new IllegalArgumentException("expected diameters and a length of 0 or more, not " + mainM + ", "
                    + leaderM + ", " + leaderLengthM);
        }
    }

    /** Of one piece. */
    public static Line of(Length diameter) {
        return new Line(diameter.metres(), diameter.metres(), 0);
    }

    /** A diameter from material and strength, give or take a fifth: d = sqrt(4 F / (pi s)). Nothing for another material. */
    public static Optional<Length> estimated(@Nullable String material, @Nullable Force strength) {
        Double pascal = material == null ? null : STRENGTH.get(material);
        return pascal == null || strength == null
                ? Optional.empty()
                : Optional.of(Length.ofMetres(Math.sqrt(4 * strength.newtons() / (Math.PI * pascal))));
    }

    /** Diameter times length of what is drawn down after a lure at a depth, m2. */
    double drawnM2(double depthM) {
        double leader = Math.min(depthM, leaderLengthM);
        return leader * leaderM + (depthM - leader) * mainM;
    }

    /**
     * What stands for diameter times length of a tight line swept sideways about the tip, m2: a piece at a distance s from
     * the tip moves with s and pulls with s, so that of one diameter it is d l, times 1.1/4.
     */
    double sweptM2(double lengthM) {
        double main = Math.max(0, lengthM - leaderLengthM);
        double share = lengthM > 0 ? Math.pow(main / lengthM, 4) : 0;
        return lengthM * (mainM * share + leaderM * (1 - share));
    }
}
