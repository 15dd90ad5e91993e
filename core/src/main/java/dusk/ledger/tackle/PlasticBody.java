package dusk.ledger.tackle;

import dusk.ledger.units.Length;
import java.util.HashMap;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * A plastic's body, L its length in metres.
 *
 * @param volumeShare kv: its volume is kv L^3
 * @param areaShare ka: the area seen by the flow when it falls level is ka L^2
 */
public record PlasticBody(double volumeShare, double areaShare) {
    private static final PlasticBody NONE = new PlasticBody(0, 0);
    private static final PlasticBody USUAL = new PlasticBody(0.0089, 0.120);
    private static final Map<String, PlasticBody> BODIES = new HashMap<>();

    static {
        body(0.0019, 0.053, "straight worm", "bulb-tail worm");
        body(0.0022, 0.065, "cut-tail worm");
        body(0.0017, 0.090, "ribbon-tail worm");
        body(0.0050, 0.080, "stick worm");
        body(0.0165, 0.150, "short stick");
        body(0.0089, 0.120, "straight-tail minnow", "soft jerkbait");
        body(0.0120, 0.180, "paddle-tail swimmer");
        body(0.0095, 0.180, "curl-tail grub");
        body(0.0117, 0.280, "creature");
        body(0.0142, 0.330, "craw");
        body(0.0150, 0.260, "chunk");
        body(0.0030, 0.120, "lizard");
        body(0.0090, 0.200, "tube");
        body(0, 0, "none");
    }

    private static void body(double volumeShare, double areaShare, String... plastics) {
        for (String plastic : plastics) {
            BODIES.put(plastic, new PlasticBody(volumeShare, areaShare));
        }
    }

    /** Of a plastic's word; nothing where there is none, a minnow's body for a word outside the table. */
    public static PlasticBody of(@Nullable String plastic) {
        return plastic == null ? NONE : BODIES.getOrDefault(plastic, USUAL);
    }

    /** In grams. */
    public double massGrams(Length length, @Nullable String material) {
        return volumeShare * Math.pow(length.metres(), 3) * Material.plasticDensity(material) * 1000;
    }

    /** That of a rod of the same length and volume. */
    public Length thickness(Length length) {
        return Length.ofMillimetres(length.millimetres() * Math.sqrt(4 * volumeShare / Math.PI));
    }
}
