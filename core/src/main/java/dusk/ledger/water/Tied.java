package dusk.ledger.water;

import dusk.ledger.journal.SetUp;
import dusk.ledger.tackle.HardBait;
import dusk.ledger.tackle.Hook;
import dusk.ledger.tackle.PlasticBody;
import dusk.ledger.tackle.Rig;
import dusk.ledger.units.Figures;
import dusk.ledger.units.Length;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
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
     * @param line in the water
     * @param taken what had to be taken for granted, each as a sentence
     */
    record Known(Lure.Parts parts, Line line, List<String> taken) implements Tied {
        public Known {
            taken = List.copyOf(taken);
        }
    }

    /** @param why as a sentence, with what would help */
    record Unknown(String why) implements Tied {}

    /** Of a set-up. */
    static Tied of(SetUp setUp) {
        if (setUp.rigKind().equals("hard bait") || HardBait.is(setUp.plastic())) {
            return new Unknown("A hard bait floats, hangs or sinks as it was made: its length does not tell.");
        }
        if (setUp.rigKind().equals("cork rig")) {
            return new Unknown("The cork holds it up, so it fishes at the length below the cork.");
        }
        boolean headed = Rig.of(setUp.rigKind())
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
        if (setUp.plastic() != null && PlasticBody.of(setUp.plastic()).isEmpty()) {
            return new Unknown(
                    "“" + setUp.plastic()
                            + "” has no body in the table. Change the set-up, or build one here, with the plastic nearest to it.");
        }
        List<String> taken = new ArrayList<>();
        Line line = line(setUp, taken);
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
                        setUp.plasticBody(),
                        setUp.trimmedFrom(),
                        hookGrams(setUp),
                        some(setUp.blade()) || setUp.rigKind().equals("underspin") ? USUAL_BLADE_M2 : 0,
                        some(setUp.skirt()) || setUp.rigKind().equals("skirted jig") ? USUAL_SKIRT_M2 : 0),
                line,
                taken);
    }

    /** By its size and wire where they are known. */
    private static double hookGrams(SetUp setUp) {
        return setUp.hookSize() == null
                ? USUAL_HOOK_G
                : Hook.of(setUp.hookSize())
                        .map(hook -> hook.mass(setUp.hookWire()).grams())
                        .orElse(USUAL_HOOK_G);
    }

    private static Line line(SetUp setUp, List<String> taken) {
        Length main = setUp.lineDiameter();
        if (main == null) {
            Optional<Length> estimated = Line.estimated(setUp.lineMaterial(), setUp.lineStrength());
            main = estimated.orElse(USUAL_LINE);
            taken.add(
                    estimated.isPresent()
                            ? "The line is estimated from its strength as " + thin(main) + ", give or take a fifth."
                            : "The line is taken as " + thin(main) + "; none is recorded.");
        }
        Length leader = setUp.leaderLength();
        if (leader == null || leader.millimetres() == 0) {
            return Line.of(main);
        }
        Length own = setUp.leaderDiameter();
        if (own == null) {
            Optional<Length> estimated = Line.estimated(setUp.leaderMaterial(), setUp.leaderStrength());
            own = estimated.orElse(main);
            taken.add(
                    estimated.isPresent()
                            ? "The leader is estimated from its strength as " + thin(own) + ", give or take a fifth."
                            : "The leader is taken to be as thick as the line.");
        }
        return new Line(main.metres(), own.metres(), leader.metres());
    }

    private static String thin(Length diameter) {
        return Figures.fixed(diameter.millimetres(), 2) + " mm";
    }

    private static boolean some(@Nullable String word) {
        return word != null && !word.equals("none");
    }
}
