package dusk.ledger.teach;

import dusk.ledger.evidence.Contrast;
import dusk.ledger.evidence.Effort;
import dusk.ledger.evidence.MatchedRatio;
import dusk.ledger.evidence.TrialOutcome;
import dusk.ledger.stints.Codes;
import dusk.ledger.stints.StintTable;
import dusk.ledger.vocabulary.Factor;
import org.jspecify.annotations.Nullable;

/**
 * What a trial says by its own stints alone.
 *
 * @param a fish and rod-hours of the one; null where it was not fished yet
 * @param b of the other
 * @param matched the one against the other in the same hands, at the same place, on the same trip
 * @param chance that the one takes more; null as long as one of them was not fished
 */
public record TrialResult(
        @Nullable Effort a,
        @Nullable Effort b,
        MatchedRatio matched,
        @Nullable Double chance) {

    /** Reckons it of the whole records. */
    public static TrialResult of(StintTable table, Trial trial) {
        Codes setUps = table.setUps();
        StintTable own = table.where(row -> !table.startedAt(row).isBefore(trial.made())
                && (trial.ended() == null || table.startedAt(row).isBefore(trial.ended()))
                && table.codes(Factor.PURPOSE).level(row).equals("trial")
                && (setUps.level(row).equals(trial.setUpA())
                        || setUps.level(row).equals(trial.setUpB())));
        Effort a = effort(own, trial.setUpA(), trial.species());
        Effort b = effort(own, trial.setUpB(), trial.species());
        return new TrialResult(
                a,
                b,
                Contrast.ofSetUps(own, trial.setUpA(), trial.setUpB(), trial.species(), Contrast.USUAL_BLOCKS),
                a == null || b == null
                        ? null
                        : (Double) TrialOutcome.chanceThatABeatsB(a, b, Teaching.dispersion(own, trial.species())));
    }

    private static @Nullable Effort effort(StintTable table, String setUp, @Nullable String species) {
        int[] fish = table.fish(species, null);
        double hours = 0;
        double sum = 0;
        for (int row = 0; row < fish.length; row++) {
            if (table.setUps().level(row).equals(setUp)) {
                hours += table.rodHours(row);
                sum += fish[row];
            }
        }
        return hours > 0 ? new Effort(sum, hours) : null;
    }

    /** The chance that the one which looks better now is not: what stopping here costs. */
    public @Nullable Double wrong() {
        return chance == null ? null : (Double) Math.min(chance, 1 - chance);
    }
}
