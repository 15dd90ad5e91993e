package dusk.ledger.plan;

import dusk.ledger.journal.SetUp;
import dusk.ledger.tackle.Caution;
import dusk.ledger.tackle.TackleChecks;
import dusk.ledger.units.UnitSystem;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * What may be called: the set-ups of the records, and those that the trade puts together, as far as they are sound.
 *
 * @param owned ids of those of the records
 * @param leftOut of the records, with what is wrong with each
 */
record Candidates(List<SetUp> sound, Set<String> owned, List<Advice.LeftOut> leftOut) {
    static Candidates of(List<SetUp> setUps, List<SetUp> usual, TackleChecks.Use use) {
        List<SetUp> sound = new ArrayList<>();
        Set<String> owned = new HashSet<>();
        List<Advice.LeftOut> leftOut = new ArrayList<>();
        for (SetUp setUp : setUps) {
            Optional<Caution> caution =
                    TackleChecks.of(setUp, use, UnitSystem.METRIC).stream().findFirst();
            if (caution.isPresent()) {
                leftOut.add(new Advice.LeftOut(setUp, caution.get()));
            } else {
                sound.add(setUp);
                owned.add(setUp.id());
            }
        }
        usual.stream()
                .filter(setUp -> TackleChecks.of(setUp, use, UnitSystem.METRIC).isEmpty())
                .forEach(sound::add);
        return new Candidates(sound, owned, leftOut);
    }
}
