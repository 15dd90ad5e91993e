package dusk.ledger.web.afloat;

import dusk.ledger.plan.PlanConditions;
import dusk.ledger.stints.StintTable;
import dusk.ledger.teach.Lot;
import dusk.ledger.teach.Question;
import dusk.ledger.teach.Teaching;
import dusk.ledger.web.records.SetUps;
import dusk.ledger.web.store.RecentTables;
import dusk.ledger.web.store.Reckoned;
import dusk.ledger.web.store.Viewer;
import java.util.List;
import org.springframework.stereotype.Component;

/** The questions that a club's next fishing would answer to most profit, as the lot and the pages ask them. */
@Component
public class LotQuestions {
    private static final int ASKED = 20;

    private final RecentTables tables;
    private final SetUps setUps;
    private final Reckoned reckoned;

    LotQuestions(RecentTables tables, SetUps setUps, Reckoned reckoned) {
        this.tables = tables;
        this.setUps = setUps;
        this.reckoned = reckoned;
    }

    private record Ranked(List<Question> questions) {}

    /** The best first. */
    public List<Question> of(Viewer viewer) {
        StintTable table = tables.of(viewer);
        return reckoned.of(
                        table,
                        Ranked.class,
                        "questions",
                        t -> new Ranked(Teaching.under(t, setUps.all(viewer), PlanConditions.unknown())))
                .questions();
    }

    /** As a deck keeps them. */
    List<Lot.Pair> asked(Viewer viewer) {
        return of(viewer).stream().limit(ASKED).map(Question::pair).toList();
    }
}
