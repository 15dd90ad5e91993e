package dusk.ledger.water;

import dusk.ledger.journal.SetUp;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * What all drops counted in a club say of its set-ups. Drops of set-ups that the water cannot tell apart count
 * together; a plastic's calibrated set-ups give its others a start.
 */
public final class Calibrations {
    private final Map<Tied.Known, Calibration> own = new LinkedHashMap<>();

    /** A drop with what was dropped. */
    public record Counted(SetUp setUp, Calibration.Drop drop, double water) {}

    /**
     * What a set-up's times rest on.
     *
     * @param others how many other set-ups of the same plastic it rests on; 0 where it has drops of its own, or where there are none
     */
    public record Basis(Calibration calibration, int others) {
        /** On drops of its own. */
        public boolean counted() {
            return calibration.drops() > 0;
        }
    }

    private Calibrations(Map<Tied.Known, List<Counted>> drops) {
        drops.forEach((tied, counted) -> own.put(
                tied,
                Calibration.ofLogFactors(counted.stream()
                        .mapToDouble(c -> logFactor(tied, c.drop(), c.water()))
                        .toArray())));
    }

    /** Of every drop of a club; those of set-ups that cannot be weighed are passed over. */
    public static Calibrations of(List<Counted> all) {
        Map<Tied.Known, List<Counted>> drops = new LinkedHashMap<>();
        for (Counted one : all) {
            body(one.setUp(), drops, one);
        }
        return new Calibrations(drops);
    }

    private static void body(SetUp setUp, Map<Tied.Known, List<Counted>> drops, Counted one) {
        if (Tied.of(setUp) instanceof Tied.Known tied
                && !Lure.of(tied.parts(), one.water()).floats()) {
            drops.computeIfAbsent(tied, t -> new ArrayList<>()).add(one);
        }
    }

    /** The log factor on S that one drop on slack line says. */
    public static double logFactor(Tied.Known tied, Calibration.Drop drop, double water) {
        return Calibration.logFactor(
                Lure.of(tied.parts(), water), new Cast(drop.metres(), 0, 0, tied.line(), water, 0, 0), drop);
    }

    /** For one set-up: its own drops, else those of its plastic's other set-ups, else none. */
    public Basis basis(Tied.Known tied) {
        Calibration mine = own.get(tied);
        if (mine != null && mine.drops() > 0) {
            return new Basis(mine, 0);
        }
        List<Calibration> others = new ArrayList<>();
        own.forEach((other, calibration) -> {
            if (calibration.drops() > 0
                    && samePlastic(tied.parts().plastic(), other.parts().plastic())) {
                others.add(calibration);
            }
        });
        return new Basis(Calibration.ofOthers(others), others.size());
    }

    private static boolean samePlastic(@Nullable String one, @Nullable String other) {
        return one != null && !one.equals("none") && one.equals(other);
    }
}
