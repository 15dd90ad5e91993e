package dusk.ledger.stints;

import dusk.ledger.journal.Stint;
import dusk.ledger.light.SunHour;
import dusk.ledger.vocabulary.Factor;
import java.util.List;
import java.util.Map;

/**
 * A stint as the table takes it.
 *
 * @param celsius of the water then; NaN where it is not known
 */
record StintRow(
        Stint stint,
        Map<Factor, String> levels,
        SunHour sunHour,
        double celsius,
        List<Landed> landed,
        List<Lost> lost) {
    String level(Factor factor) {
        return levels.getOrDefault(factor, Factor.NOT_RECORDED);
    }
}
