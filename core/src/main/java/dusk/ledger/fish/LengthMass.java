package dusk.ledger.fish;

import dusk.ledger.journal.Catch;
import dusk.ledger.units.Length;
import dusk.ledger.units.Mass;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.hipparchus.stat.regression.SimpleRegression;

/**
 * How heavy a fish of a species is for its length: log10 g = a + b log10 mm.
 *
 * @param intercept a
 * @param slope b
 * @param fish from how many of the club's own it was fitted; 0 for the standard weight of the literature
 */
public record LengthMass(double intercept, double slope, int fish) {
    /** So few measured fish make a club's own fit. */
    public static final int LEAST_FISH = 10;

    private static final double PERCENT = 100;

    /** The lengths must differ by this ratio before a slope can be told. */
    private static final double LEAST_SPREAD = 1.15;

    private static final Map<String, LengthMass> STANDARD = Map.of(
            "largemouth", new LengthMass(-5.528, 3.273, 0),
            "smallmouth", new LengthMass(-5.329, 3.200, 0),
            "spotted bass", new LengthMass(-5.392, 3.215, 0),
            "yellow perch", new LengthMass(-5.386, 3.230, 0),
            "walleye", new LengthMass(-5.453, 3.180, 0));

    /** The standard weight of a species, where there is one. */
    public static Optional<LengthMass> standard(String species) {
        return Optional.ofNullable(STANDARD.get(species));
    }

    /** The club's own, by least squares of the logs, from fish of which length and mass were both measured; empty under ten of them. */
    public static Optional<LengthMass> fitted(String species, List<Catch> club) {
        SimpleRegression line = new SimpleRegression();
        double shortest = Double.MAX_VALUE;
        double longest = 0;
        for (Catch fish : club) {
            Length length = fish.length();
            Mass mass = fish.mass();
            if (fish.species().equals(species)
                    && fish.count() == 1
                    && length != null
                    && mass != null
                    && "measured".equals(fish.lengthHow())
                    && "measured".equals(fish.massHow())) {
                line.addData(Math.log10(length.millimetres()), Math.log10(mass.grams()));
                shortest = Math.min(shortest, length.millimetres());
                longest = Math.max(longest, length.millimetres());
            }
        }
        return line.getN() < LEAST_FISH || longest < shortest * LEAST_SPREAD
                ? Optional.empty()
                : Optional.of(new LengthMass(line.getIntercept(), line.getSlope(), (int) line.getN()));
    }

    /** The standard weight, else the club's own. */
    public static Optional<LengthMass> of(String species, List<Catch> club) {
        return standard(species).or(() -> fitted(species, club));
    }

    /** The mass of a fish of a length above 0. */
    public Mass mass(Length length) {
        return Mass.ofGrams(Math.pow(10, intercept + slope * Math.log10(length.millimetres())));
    }

    /** 100 x its mass / the mass of a fish of its length. */
    public double condition(Length length, Mass mass) {
        return PERCENT * mass.grams() / mass(length).grams();
    }
}
