package dusk.ledger.web.deck;

import static dusk.ledger.web.schema.Tables.DECKS;
import static dusk.ledger.web.schema.Tables.READINGS;

import dusk.ledger.interchange.Tables;
import dusk.ledger.journal.Invalid;
import dusk.ledger.journal.Reading;
import dusk.ledger.journal.Sign;
import dusk.ledger.web.form.RecordForm;
import dusk.ledger.web.form.UnitText;
import dusk.ledger.web.store.Acts;
import dusk.ledger.web.store.NewId;
import dusk.ledger.web.store.Viewer;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.TreeSet;
import org.jooq.impl.DSL;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** Readings and signs taken on the deck. One value is asked at a time; a new reading carries the others over, and the deck remembers how old each is. */
@Component
class Conditions {
    private final DeckRecords records;
    private final Acts acts;
    private final NewId newId;
    private final JsonMapper json = JsonMapper.shared();

    Conditions(DeckRecords records, Acts acts, NewId newId) {
        this.records = records;
        this.acts = acts;
        this.newId = newId;
    }

    /** The trip's newest reading up to a moment; null before the first. */
    @Nullable
    Reading last(Viewer viewer, String tripId, Instant until) {
        return records
                .rows()
                .all(
                        viewer,
                        Tables.READINGS,
                        READINGS.TRIP_ID.eq(tripId).and(READINGS.AT.le(until)),
                        List.of(DSL.field("at").desc(), DSL.field("reading_id").desc()),
                        1)
                .stream()
                .findFirst()
                .orElse(null);
    }

    /**
     * Stores what was typed of one column or several.
     *
     * @throws Invalid with the problem at its column
     */
    void read(DeckActs.By by, Map<String, String> typed) {
        Viewer viewer = by.viewer();
        Reading before = last(viewer, by.deck().trip().id(), by.at());
        UnitText text = new UnitText(by.person().units(), by.deck().zone());
        Map<String, Object> given =
                Map.of("reading_id", newId.next(), "trip_id", by.deck().trip().id(), "at", by.at(), "source", "hand");
        Reading reading = new RecordForm<>(Tables.READINGS, text).read(typed, given, before);
        acts.once(viewer, by.act("reading: " + String.join(", ", ConditionWords.names(typed.keySet()))), w -> {
            w.insert(Tables.READINGS, reading);
            Map<String, String> seen = new TreeMap<>();
            by.deck().seen().forEach((column, at) -> seen.put(column, at.toString()));
            typed.keySet().forEach(column -> seen.put(column, by.at().toString()));
            w.update(DECKS, by.deck().trip().id(), Map.of(DECKS.SEEN, json.writeValueAsString(seen)));
        });
    }

    /** The value stands as it was. */
    void still(DeckActs.By by, String column) {
        Reading last = last(by.viewer(), by.deck().trip().id(), by.at());
        if (last == null) {
            throw new Refusal("There is no reading to confirm yet.");
        }
        UnitText text = new UnitText(by.person().units(), by.deck().zone());
        Map<String, String> typed = new HashMap<>();
        typed.put(column, new RecordForm<>(Tables.READINGS, text).typed(last).getOrDefault(column, ""));
        read(by, typed);
    }

    /** Not now: the column is not asked for again on this trip. */
    void wave(DeckActs.By by, String column) {
        TreeSet<String> waved = new TreeSet<>(by.deck().waved());
        waved.add(column);
        acts.once(
                by.viewer(),
                by.act("not asked again: " + ConditionWords.name(column)),
                w -> w.update(DECKS, by.deck().trip().id(), Map.of(DECKS.WAVED, json.writeValueAsString(waved))));
    }

    /** Something seen on the water. */
    void sign(DeckActs.By by, String kind) {
        String spot = by.deck().rods().stream()
                .filter(rod -> !rod.down())
                .map(RodOut::spotId)
                .findFirst()
                .orElse(null);
        Sign sign = new Sign(newId.next(), by.deck().trip().id(), spot, by.at(), kind, null);
        acts.once(by.viewer(), by.act("sign: " + kind), w -> w.insert(Tables.SIGNS, sign));
    }
}
