package dusk.ledger.tackle;

import dusk.ledger.units.Length;
import dusk.ledger.units.Mass;
import org.jspecify.annotations.Nullable;

/** What a head's mass and metal make of its size. */
public final class Head {
    private Head() {}

    /** The radius of a ball of a mass and a metal: r = cbrt(3 m / (4 pi rho)). */
    public static Length ballRadius(Mass mass, @Nullable String material) {
        double volumeMm3 = mass.grams() * 1e6 / Material.headDensity(material);
        return Length.ofMillimetres(Math.cbrt(3 * volumeMm3 / (4 * Math.PI)));
    }
}
