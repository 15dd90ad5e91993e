package dusk.ledger.web.plan;

import dusk.ledger.plan.Advice;
import dusk.ledger.plan.Adviser;
import dusk.ledger.plan.PlanConditions;
import dusk.ledger.tackle.TackleChecks;
import dusk.ledger.vocabulary.Factor;
import dusk.ledger.web.records.Person;
import dusk.ledger.web.records.SetUps;
import dusk.ledger.web.records.WaterRules;
import dusk.ledger.web.store.RecentTables;
import dusk.ledger.web.store.Reckoned;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;

/** The adviser asked by the club's records, with what its waters forbid; once for a state of the records. */
@Component
public class Advising {
    private final RecentTables tables;
    private final Reckoned reckoned;
    private final SetUps setUps;
    private final WaterRules rules;

    Advising(RecentTables tables, Reckoned reckoned, SetUps setUps, WaterRules rules) {
        this.tables = tables;
        this.reckoned = reckoned;
        this.setUps = setUps;
        this.rules = rules;
    }

    /** What the club noted of a water's rules in words, with the line that the published ones prevail; nothing where it noted none. */
    public List<String> ruled(Person person, String waterId) {
        List<String> ruled =
                new ArrayList<>(rules.inWords(person.viewer(), waterId).lines());
        if (!ruled.isEmpty()) {
            ruled.add(WaterRules.PREVAIL);
        }
        return ruled;
    }

    /** @param followed schools by question */
    public Advice of(Person person, String waterId, PlanConditions conditions, int rods, Map<String, String> followed) {
        TackleChecks.Use use = new TackleChecks.Use(
                null,
                null,
                conditions.known().get(Factor.COVER),
                rules.leadForbidden(person.viewer(), waterId),
                conditions.toothedFish());
        Adviser.Wish wish = new Adviser.Wish(rods, followed, use, 1);
        return reckoned.of(
                tables.of(person.viewer()),
                Advice.class,
                conditions,
                wish,
                table -> Adviser.of(table, setUps.mostFishedFirst(person.viewer()), conditions, wish));
    }
}
