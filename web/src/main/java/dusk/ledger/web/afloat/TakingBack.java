package dusk.ledger.web.afloat;

import dusk.ledger.journal.Reading;
import dusk.ledger.web.records.Decks;
import dusk.ledger.web.records.TripRows;
import dusk.ledger.web.store.Acts;
import java.util.List;
import org.springframework.stereotype.Component;

/** Acts taken back. */
@Component
public class TakingBack {
    private final Decks decks;
    private final Acts acts;
    private final TripRows rows;
    private final Conditions conditions;

    TakingBack(Decks decks, Acts acts, TripRows rows, Conditions conditions) {
        this.decks = decks;
        this.acts = acts;
        this.rows = rows;
        this.conditions = conditions;
    }

    /** Takes an act back; a refusal says why it cannot be. */
    public void undo(By by, String actId) {
        decks.deck(by.viewer(), by.tripId());
        Acts.Undoing undoing = acts.unasked(by.viewer(), w -> {
            List<Reading> before = rows.readings(by.viewer(), by.tripId());
            Acts.Undoing done = acts.undo(by.viewer(), by.tripId(), actId);
            conditions.takenBack(w, by.viewer(), by.tripId(), before);
            return done;
        });
        if (undoing == Acts.Undoing.OVERTAKEN) {
            throw new Refusal("Something came after it. Undo that first, or change the stint on the trip's page.");
        } else if (undoing == Acts.Undoing.GONE) {
            throw new Refusal("That was undone already.");
        }
    }
}
