package dusk.ledger.web.afloat;

import dusk.ledger.format.FileColumn;
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
import dusk.ledger.web.store.Acts;
import dusk.ledger.web.store.NewId;
import dusk.ledger.web.store.Viewer;
import dusk.ledger.web.store.Writing;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/**
 * Readings and signs taken on the deck. One value is asked at a time; a new reading carries the others over, and the
 * deck remembers how old each is.
 */
@Component
public class Conditions {
    private static final String HAND = "hand";

    /** Columns that say which reading it is, and are never carried over. */
    private static final Set<String> OWN = Set.of("reading_id", "trip_id", "at", "source", "how");

    private final Afloat afloat;
    private final Acts acts;
    private final Decks decks;
    private final TripRows rows;
    private final NewId newId;

    Conditions(Afloat afloat, Acts acts, Decks decks, TripRows rows, NewId newId) {
        this.acts = acts;
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
                "reading_id", newId.next(), "trip_id", on.by().tripId(), "at", on.at(), "source", HAND, "how", how);
        Reading read = form(on).read(typed, given, before);
        List<Reading> later = rows.readings(on.by().viewer(), on.by().tripId());
        on.w().insert(LedgerFormat.READINGS, read);
        follow(on.w(), later, on.at(), before, read);
        Map<String, Instant> seen = new TreeMap<>(on.deck().seen());
        typed.keySet().forEach(column -> seen.put(column, on.at()));
        decks.see(on.w(), on.deck(), seen);
    }

    /**
     * What instruments said: a reading that carries all else over. It is no act, so that undoing goes by what people did.
     *
     * @param cells by column, as the format has them
     * @param source as the format has it
     */
    public void hear(Viewer viewer, String tripId, Instant at, Map<String, Object> cells, String source) {
        acts.unasked(viewer, w -> {
            Map<String, Object> all = new TreeMap<>(cells);
            // somebody may have looked since what is to be stored was chosen
            Map<String, Instant> looked = decks.looked(viewer, tripId);
            all.keySet().removeIf(column -> ConditionWords.good(looked.get(column), column, at));
            if (all.isEmpty()) {
                return false;
            }
            Reading before = rows.lastReading(viewer, tripId, at);
            all.put("reading_id", newId.next());
            all.put("trip_id", tripId);
            all.put("at", at);
            all.put("source", source);
            all.put("how", "measured");
            Reading heard = LedgerFormat.READINGS.changed(before, all);
            w.insert(LedgerFormat.READINGS, heard);
            return true;
        });
    }

    /**
     * What an instrument's readings carried over of one by hand that was taken back goes too.
     *
     * @param before the trip's readings before it was taken back, in their order
     */
    void takenBack(Writing w, Viewer viewer, String tripId, List<Reading> before) {
        List<Reading> after = rows.readings(viewer, tripId);
        Set<String> ids = after.stream().map(Reading::id).collect(Collectors.toSet());
        for (Reading gone : before) {
            if (!ids.contains(gone.id())) {
                follow(w, after, gone.at(), gone, rows.lastReading(viewer, tripId, gone.at()));
            }
        }
    }

    /**
     * Instruments' readings from then on that carried a hand's values over carry those that stand in their place, up to
     * the next reading by hand. So a touch that waited without a signal, and one that is taken back, are as if in turn.
     */
    private static void follow(
            Writing w, List<Reading> rows, Instant from, @Nullable Reading carried, @Nullable Reading stands) {
        for (Reading row : rows) {
            if (!row.at().isAfter(from)) {
                continue;
            }
            if (HAND.equals(row.source()) || row.source() == null) {
                return;
            }
            Map<String, @Nullable Object> cells = new TreeMap<>();
            for (FileColumn<Reading> column : LedgerFormat.READINGS.columns()) {
                Object was = carried == null ? null : column.value().apply(carried);
                Object is = stands == null ? null : column.value().apply(stands);
                if (!OWN.contains(column.name())
                        && !Objects.equals(was, is)
                        && Objects.equals(was, column.value().apply(row))) {
                    cells.put(column.name(), is);
                }
            }
            if (!cells.isEmpty()) {
                w.update(LedgerFormat.READINGS, LedgerFormat.READINGS.changed(row, cells));
            }
        }
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
