package dusk.ledger.plan;

import dusk.ledger.safety.Danger;
import dusk.ledger.units.Length;
import dusk.ledger.units.UnitSystem;
import dusk.ledger.vocabulary.Factor;
import java.util.ArrayList;
import java.util.List;

/** What planned conditions ask to be careful of: harm to people and fish, and what local rules may say. */
public final class PlanCautions {
    /** Fish hauled up from below it are hurt by the pressure they leave. */
    private static final double DEEP_M = 9;

    private static final double WADING_CURRENT_MPS = 0.3;

    private static final String RULES = " Published local rules prevail.";

    private PlanCautions() {}

    /** As sentences, those for people first. */
    public static List<String> of(PlanConditions conditions, UnitSystem units) {
        List<String> cautions = new ArrayList<>(
                Danger.of(conditions.reading()).stream().map(Danger::words).toList());
        var temperature = conditions.reading().waterTemp();
        if (temperature != null && temperature.celsius() < 4) {
            cautions.add("Ice, where there is any, is never judged by a program: ask who has drilled it.");
        }
        if ("front coming".equals(conditions.reading().weather())) {
            cautions.add("Thunder may come with the front: off the water at the first of it.");
        }
        var current = conditions.reading().current();
        if (conditions.onFoot() && current != null && current.metresPerSecond() >= WADING_CURRENT_MPS) {
            cautions.add("Wading in this current: a staff, a belt, and never alone or above the knee.");
        }
        Length depth = conditions.depth();
        if (depth != null && depth.metres() > DEEP_M) {
            cautions.add("Fish from below " + Length.ofMetres(DEEP_M).show(units.depth())
                    + " are hurt by being hauled up: do not fish here to let go.");
        }
        if ("on beds".equals(conditions.known().get(Factor.FISH_POSITION))
                || "spawning flat".equals(conditions.known().get(Factor.STRUCTURE))
                || "spawn".equals(conditions.known().get(Factor.SEASON))) {
            cautions.add("Fish on beds: local rules may close them, and a fish taken off one leaves it open." + RULES);
        }
        if ("crayfish".equals(conditions.known().get(Factor.FORAGE))) {
            cautions.add(
                    "Crayfish and other live prey kept or moved between waters is closed or licensed in many places."
                            + RULES);
        }
        if (conditions.toothedFish()) {
            cautions.add("Fish that cut line are about: a trace of wire or thick line, and long pliers.");
        }
        return cautions;
    }
}
