package dusk.ledger.tackle;

import java.util.Map;
import org.jspecify.annotations.Nullable;

/** Densities of what heads and plastics are made of, in kg/m3. */
public final class Material {
    private static final double LEAD = 11000;
    private static final double PLASTISOL = 1080;

    /** Tungsten as moulded, with its binder. */
    private static final Map<String, Double> HEADS =
            Map.of("lead", LEAD, "tungsten", 16000.0, "tin-bismuth", 8600.0, "brass", 8500.0, "steel", 7850.0);

    private static final Map<String, Double> PLASTICS =
            Map.of("plastisol", PLASTISOL, "salted plastisol", 1220.0, "floating elastomer", 940.0);

    private Material() {}

    /** Of a head; lead where the material is not known. */
    public static double headDensity(@Nullable String material) {
        return material == null ? LEAD : HEADS.getOrDefault(material, LEAD);
    }

    /** Of a plastic; plastisol where the material is not known. */
    public static double plasticDensity(@Nullable String material) {
        return material == null ? PLASTISOL : PLASTICS.getOrDefault(material, PLASTISOL);
    }
}
