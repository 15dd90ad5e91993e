package dusk.ledger.water;

import dusk.ledger.journal.SetUp;
import dusk.ledger.units.Figures;
import java.util.List;

/** How one set-up falls, with how sure that is; or why it cannot be told. */
public sealed interface Fall {
    /** It can be told. */
    record Known(Tied.Known tied, Calibrations.Basis basis) implements Fall {
        /** As the water feels it, its drag as the drops say. */
        public Lure lure(double water) {
            return Lure.of(tied.parts(), water).calibrated(basis.calibration().factor());
        }

        /** The same as if nobody had counted anything. */
        public Known uncounted() {
            return new Known(tied, new Calibrations.Basis(Calibration.NONE, 0));
        }

        /** Seconds on slack line to a depth in m; it must not float. */
        public double seconds(double depthM, double water) {
            return new Cast(depthM, 0, 0, tied.line(), water, 0, 0).freeFallSeconds(lure(water), depthM);
        }

        /** Such as {@code 11 s (8 to 14)}. */
        public String count(double depthM, double water) {
            return words(seconds(depthM, water));
        }

        /** A time of this set-up with its likely range. */
        public String words(double seconds) {
            double[] range = basis.calibration().range(seconds);
            return counted(seconds) + " s (" + counted(range[0]) + " to " + counted(range[1]) + ")";
        }

        public boolean floats(double water) {
            return lure(water).floats();
        }

        /** What the times rest on, as a sentence. */
        public String basisWords() {
            Calibration calibration = basis.calibration();
            String spread = "give or take " + Math.round(100 * calibration.spread()) + " %";
            if (basis.counted()) {
                return "By " + calibration.drops() + (calibration.drops() == 1 ? " counted drop" : " counted drops")
                        + " of it, " + spread + ".";
            }
            if (basis.others() > 0) {
                return "Nobody has counted a drop of it; drops of "
                        + (basis.others() == 1 ? "another set-up" : basis.others() + " other set-ups")
                        + " with its plastic give it a start, " + spread + ".";
            }
            return "Reckoned from weight and size, " + spread + ": nobody has counted a drop of it.";
        }
    }

    /** @param why as a sentence, with what would help */
    record Unknown(String why) implements Fall {}

    /** Of a set-up by what a club counted. */
    static Fall of(SetUp setUp, Calibrations calibrations) {
        Tied tied = Tied.of(setUp);
        return tied instanceof Tied.Known known
                ? new Known(known, calibrations.basis(known))
                : new Unknown(((Tied.Unknown) tied).why());
    }

    /** What had to be taken for granted. */
    default List<String> taken() {
        return this instanceof Known known ? known.tied().taken() : List.of();
    }

    /** Seconds as one counts them: whole ones from three on. */
    static String counted(double seconds) {
        return seconds < 3 ? Figures.fixed(seconds, 1) : Figures.fixed(seconds, 0);
    }
}
