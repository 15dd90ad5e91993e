package dusk.ledger.web.afloat;

import dusk.ledger.format.LedgerFormat;
import dusk.ledger.journal.Invalid;
import dusk.ledger.journal.Reading;
import dusk.ledger.journal.Sign;
import dusk.ledger.vocabulary.Judged;
import dusk.ledger.web.form.RecordForm;
import dusk.ledger.web.form.UnitText;
import dusk.ledger.web.records.Decks;
import dusk.ledger.web.records.RodOut;
import dusk.ledger.web.records.TripRows;
import dusk.ledger.web.store.NewId;
import java.time.Instant;
import java.util.Map;
import java.util.TreeMap;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/**
 * Readings and signs taken on the deck. One value is asked at a time; a new reading carries the others over, and the
 * deck remembers how old each is.
 */
@Component
public class Conditions {
    private final Afloat afloat;
    private final Decks decks;
    private final TripRows rows;
    private final NewId newId;

    Conditions(Afloat afloat, Decks decks, TripRows rows, NewId newId) {
        this.afloat = afloat;
        this.decks = decks;
        this.rows = rows;
        this.newId = newId;
    }

    /**
     * Stores what was typed of one column or several. A word that is judged by, such as “stained”, stands for the middle of
     * its band, and the reading says that it was judged.
     *
     * @throws Invalid with the problem at its column
     */
    public void read(By by, Map<String, String> typed) {
        afloat.once(
                by,
                "reading: " + String.join(", ", ConditionWords.names(typed.keySet())),
                on -> read(on, typed, last(on)));
    }

    private @Nullable Reading last(Afloat.Doing on) {
        return rows.lastReading(on.by().viewer(), on.by().tripId(), on.at());
    }

    private void read(Afloat.Doing on, Map<String, String> typed, @Nullable Reading before) {
        Map<String, String> meant = new TreeMap<>(typed);
        meant.replaceAll((column, text) -> Judged.of(column, text).orElse(text));
        store(on, meant, before, meant.equals(typed) ? "measured" : "judged");
    }

    private void store(Afloat.Doing on, Map<String, String> typed, @Nullable Reading before, String how) {
        Map<String, Object> given = Map.of(
                "reading_id", newId.next(), "trip_id", on.by().tripId(), "at", on.at(), "source", "hand", "how", how);
        on.w().insert(LedgerFormat.READINGS, form(on).read(typed, given, before));
        Map<String, Instant> seen = new TreeMap<>(on.deck().seen());
        typed.keySet().forEach(column -> seen.put(column, on.at()));
        decks.see(on.w(), on.deck(), seen);
    }

    private static RecordForm<Reading> form(Afloat.Doing on) {
        return new RecordForm<>(
                LedgerFormat.READINGS,
                new UnitText(on.by().person().units(), on.deck().zone()));
    }

    /** The value stands as it was. */
    public void still(By by, String column) {
        afloat.once(by, "reading: " + ConditionWords.name(column), on -> {
            Reading last = last(on);
            if (last == null) {
                throw new Refusal("There is no reading to confirm yet.");
            }
            store(
                    on,
                    Map.of(column, form(on).typed(last).getOrDefault(column, "")),
                    last,
                    last.how() == null ? "measured" : last.how());
        });
    }

    /** Not now: the column is not asked for again on this trip. */
    public void wave(By by, String column) {
        afloat.once(by, "not asked again: " + ConditionWords.name(column), on -> {
            TreeSet<String> waved = new TreeSet<>(on.deck().waved());
            waved.add(column);
            decks.wave(on.w(), on.deck(), waved);
        });
    }

    /** Something seen on the water. */
    public void sign(By by, String kind) {
        afloat.once(by, "sign: " + kind, on -> {
            String spot = on.deck().rods().stream()
                    .filter(rod -> !rod.down())
                    .map(RodOut::spotId)
                    .findFirst()
                    .orElse(null);
            on.w().insert(LedgerFormat.SIGNS, new Sign(newId.next(), by.tripId(), spot, on.at(), kind, null));
        });
    }
}
