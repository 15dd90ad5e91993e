package dusk.ledger.tackle;

import java.util.HashMap;
import java.util.Map;
import java.util.Optional;

/**
 * A plastic's body, L its length in metres.
 *
 * @param volumeShare kv: its volume is kv L^3
 * @param areaShare ka: the area seen by the flow when it falls level is ka L^2
 */
public record PlasticBody(double volumeShare, double areaShare) {
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

    /** Of a plastic's word; nothing for one outside the table, which has no body until somebody names the nearest. */
    public static Optional<PlasticBody> of(String plastic) {
        return Optional.ofNullable(BODIES.get(plastic));
    }
}
