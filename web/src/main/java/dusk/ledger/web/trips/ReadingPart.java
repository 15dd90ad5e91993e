package dusk.ledger.web.trips;

import dusk.ledger.format.LedgerFormat;
import dusk.ledger.format.Table;
import dusk.ledger.journal.Invalid;
import dusk.ledger.journal.Reading;
import dusk.ledger.web.form.Form;
import dusk.ledger.web.form.RecordForm;
import dusk.ledger.web.form.UnitText;
import dusk.ledger.web.records.TripRows;
import dusk.ledger.web.store.Deletions;
import dusk.ledger.web.words.TimeText;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Readings of the water and the weather. */
@Component
class ReadingPart implements TripPart<Reading> {
    private final TripRows rows;
    private final Deletions deletions;

    ReadingPart(TripRows rows, Deletions deletions) {
        this.rows = rows;
        this.deletions = deletions;
    }

    @Override
    public String path() {
        return "readings";
    }

    @Override
    public Table<Reading> table() {
        return LedgerFormat.READINGS;
    }

    @Override
    public RecordForm<Reading> form(TripContext on) {
        return new RecordForm<>(LedgerFormat.READINGS, on.text())
                .ask("at", "When", "")
                .ask("water_temp_c", "Water temperature", "12.5 C or 54 F")
                .ask("clarity_m", "Clarity", "depth at which a white disc or lure goes out of sight")
                .ask("sky", "Sky", "")
                .ask("weather", "Weather", "")
                .ask(
                        "wind_mps",
                        "Wind",
                        UnitText.speedHint("wind_mps", on.person().units()))
                .ask("level_trend", "Level", "")
                .askMore("tide", "Tide", "")
                .askMore(
                        "current_mps",
                        "Current",
                        UnitText.speedHint("current_mps", on.person().units()))
                .askMore("pressure", "Other anglers", "")
                .askMore("forage", "Prey about", "")
                .askMore("forage_length_mm", "Length of the prey", "")
                .askMore("prey_colour", "Colour of the prey", "")
                .askMore("wind_from_deg", "Wind from", "degrees from north")
                .askMore("air_temp_c", "Air temperature", "")
                .askMore("air_pressure_hpa", "Air pressure", "in hPa")
                .askMore("how", "Measured or judged", "judged by a word stands for the middle of its band");
    }

    @Override
    public Form head(TripContext on, @Nullable String id) {
        return new Form(
                "reading-form",
                id == null ? "New reading" : "Change the reading",
                on.page() + "/readings" + (id == null ? "" : "/" + id),
                "Save the reading",
                on.page(),
                List.of(),
                List.of());
    }

    @Override
    public Map<String, String> fresh(TripContext on) {
        Reading last = null;
        for (Reading reading : rows.readings(on.viewer(), on.trip().id())) {
            last = reading;
        }
        String at = TimeText.input(last == null ? on.trip().startedAt() : last.at(), on.zone());
        return Map.of("at", at);
    }

    @Override
    public Map<String, Object> given(TripContext on, String id, @Nullable Reading before) {
        return Map.of("reading_id", id, "trip_id", on.trip().id(), "source", source(before));
    }

    private static String source(@Nullable Reading before) {
        String source = before == null ? null : before.source();
        return source == null ? "hand" : source;
    }

    @Override
    public List<Invalid.Problem> problems(TripContext on, Reading record) {
        return List.of();
    }

    @Override
    public void store(TripContext on, Reading record, boolean fresh) {
        rows.store(on.viewer(), LedgerFormat.READINGS, record, fresh);
    }

    @Override
    public boolean of(TripContext on, Reading record) {
        return record.tripId().equals(on.trip().id());
    }

    @Override
    public String delete(TripContext on, Reading record) {
        return deletions.reading(on.viewer(), record.id(), "the reading of " + TimeText.moment(record.at(), on.zone()));
    }
}
