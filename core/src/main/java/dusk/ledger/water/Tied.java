package dusk.ledger.water;

import dusk.ledger.journal.SetUp;
import dusk.ledger.tackle.HardBait;
import dusk.ledger.tackle.Rig;
import dusk.ledger.units.Length;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** What is tied on as the water feels it, or why that cannot be told from the set-up. */
public sealed interface Tied {
    /** Grams of a hook whose weight nobody gave. */
    double USUAL_HOOK_G = 0.4;

    /** Drag area of a blade and of a skirt, m2. */
    double USUAL_BLADE_M2 = 0.0006;

    double USUAL_SKIRT_M2 = 0.0008;

    /** Diameter of a line that was not recorded. */
    Length USUAL_LINE = Length.ofMillimetres(0.25);

    /**
     * It can be told.
     *
     * @param line diameter
     * @param taken what had to be taken for granted, each as a sentence
     */
    record Known(Lure.Parts parts, Length line, List<String> taken) implements Tied {
        public Known {
            taken = List.copyOf(taken);
        }
    }

    /** @param why as a sentence, with what would help */
    record Unknown(String why) implements Tied {}

    /** Of a set-up. */
    static Tied of(SetUp setUp) {
        if (setUp.rig().equals("hard bait") || HardBait.is(setUp.plastic())) {
            return new Unknown("A hard bait floats, hangs or sinks as it was made: its length does not tell.");
        }
        if (setUp.rig().equals("cork rig")) {
            return new Unknown("The cork holds it up, so it fishes at the length below the cork.");
        }
        boolean headed = Rig.of(setUp.rig())
                .map(r -> r.columns().contains("head_mass_g"))
                .orElse(false);
        if (headed && setUp.headMass() == null) {
            return new Unknown("The weight of its head is not recorded. Change the set-up and give it.");
        }
        if (some(setUp.plastic()) && setUp.plasticLength() == null) {
            return new Unknown("The length of its plastic is not recorded. Change the set-up and give it.");
        }
        if (setUp.headMass() == null && !some(setUp.plastic())) {
            return new Unknown("Neither head nor plastic is recorded.");
        }
        List<String> taken = new ArrayList<>();
        if (setUp.lineDiameter() == null) {
            taken.add("The line is taken as " + USUAL_LINE.show(Length.Unit.MILLIMETRE) + "; none is recorded.");
        }
        if (setUp.headMass() != null && setUp.headMaterial() == null) {
            taken.add("The head is taken as lead; no material is recorded.");
        }
        return new Known(
                new Lure.Parts(
                        setUp.headMass(),
                        setUp.headMaterial(),
                        setUp.plastic(),
                        setUp.plasticLength(),
                        setUp.plasticMaterial(),
                        USUAL_HOOK_G,
                        some(setUp.blade()) || setUp.rig().equals("underspin") ? USUAL_BLADE_M2 : 0,
                        some(setUp.skirt()) || setUp.rig().equals("skirted jig") ? USUAL_SKIRT_M2 : 0),
                setUp.lineDiameter() == null ? USUAL_LINE : setUp.lineDiameter(),
                taken);
    }

    private static boolean some(@Nullable String word) {
        return word != null && !word.equals("none");
    }
}
