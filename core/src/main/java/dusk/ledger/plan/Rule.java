package dusk.ledger.plan;

import dusk.ledger.vocabulary.Factor;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * A rule of the trade: when the water is so, this does better, or worse. Where advice starts, never a fact.
 *
 * @param title what it says, in a few words
 * @param question what schools disagree about; null where they do not
 * @param school who answers so; null without a question
 * @param when levels of conditions that must all hold, any of a factor's; empty for always
 * @param favours what it favours or warns of
 * @param why in a sentence or two
 */
public record Rule(
        String id,
        String title,
        @Nullable String question,
        @Nullable String school,
        Map<Factor, Set<String>> when,
        List<Favour> favours,
        String why) {

    /**
     * Levels of a tackle factor, and how many times as many fish they are held to take as the others.
     *
     * @param ratio above 0 and not 1; under 1 warns
     */
    public record Favour(Factor factor, Set<String> levels, double ratio) {
        public Favour {
            if (!(ratio > 0) || ratio == 1 || levels.isEmpty()) {
                throw new IllegalArgumentException(
                        "expected levels and a ratio above 0 that is not 1, not " + levels + " x " + ratio);
            }
        }

        /** Whether it is for something, not against. */
        public boolean isFor() {
            return ratio > 1;
        }
    }

    /** What is known of a rule's conditions. */
    public enum Firing {
        FIRES,
        SILENT,
        /** What is known holds, something is not known. */
        UNTOLD
    }

    /**
     * Whether it speaks.
     *
     * @param known levels of the conditions; a factor that is not known is absent
     */
    public Firing given(Map<Factor, String> known) {
        boolean untold = false;
        for (Map.Entry<Factor, Set<String>> term : when.entrySet()) {
            String level = known.get(term.getKey());
            if (level == null) {
                untold = true;
            } else if (!term.getValue().contains(level)) {
                return Firing.SILENT;
            }
        }
        return untold ? Firing.UNTOLD : Firing.FIRES;
    }
}
