package dusk.ledger.web.trips;

import dusk.ledger.format.LedgerFormat;
import dusk.ledger.format.Table;
import dusk.ledger.journal.Bounds;
import dusk.ledger.journal.Invalid;
import dusk.ledger.journal.Sign;
import dusk.ledger.web.form.Form;
import dusk.ledger.web.form.FormField;
import dusk.ledger.web.form.RecordForm;
import dusk.ledger.web.records.Places;
import dusk.ledger.web.records.TripRows;
import dusk.ledger.web.store.Deletions;
import dusk.ledger.web.words.PlaceWords;
import dusk.ledger.web.words.TimeText;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Signs of fish that were seen, at a moment and perhaps a place. */
@Component
class SignPart implements TripPart<Sign> {
    private final TripRows rows;
    private final Places places;
    private final Deletions deletions;

    SignPart(TripRows rows, Places places, Deletions deletions) {
        this.rows = rows;
        this.places = places;
        this.deletions = deletions;
    }

    @Override
    public String path() {
        return "signs";
    }

    @Override
    public Table<Sign> table() {
        return LedgerFormat.SIGNS;
    }

    @Override
    public RecordForm<Sign> form(TripContext on) {
        List<FormField.Option> spots = places.of(on.viewer(), on.water().id()).stream()
                .map(s -> new FormField.Option(s.id(), PlaceWords.of(s)))
                .toList();
        return new RecordForm<>(LedgerFormat.SIGNS, on.text())
                .ask("kind", "Sign", "")
                .ask("at", "When", "")
                .choose("spot_id", "Place", List.of(new FormField.Group("", spots)))
                .ask("note", "Note", "");
    }

    @Override
    public Form head(TripContext on, @Nullable String id) {
        return new Form(
                "sign-form",
                id == null ? "New sign" : "Change the sign",
                on.page() + "/signs" + (id == null ? "" : "/" + id),
                "Save the sign",
                on.page(),
                List.of(),
                List.of());
    }

    @Override
    public Map<String, String> fresh(TripContext on) {
        return Map.of("at", TimeText.input(on.trip().startedAt(), on.zone()));
    }

    @Override
    public Map<String, Object> given(TripContext on, String id, @Nullable Sign before) {
        return Map.of("sign_id", id, "trip_id", on.trip().id());
    }

    @Override
    public List<Invalid.Problem> problems(TripContext on, Sign sign) {
        List<Invalid.Problem> problems = new ArrayList<>();
        if (!Bounds.ofTrip(sign.at(), on.trip().startedAt())) {
            problems.add(new Invalid.Problem("at", "That is days away from the trip. Was it this trip?"));
        }
        String spot = sign.spotId();
        if (spot != null && places.on(on.viewer(), on.water().id(), spot).isEmpty()) {
            problems.add(
                    new Invalid.Problem("spot_id", "This one is not in the club's record. Choose one of the list."));
        }
        return problems;
    }

    @Override
    public void store(TripContext on, Sign sign, boolean fresh) {
        rows.store(on.viewer(), LedgerFormat.SIGNS, sign, fresh);
    }

    @Override
    public boolean of(TripContext on, Sign sign) {
        return sign.tripId().equals(on.trip().id());
    }

    @Override
    public String delete(TripContext on, Sign sign) {
        return deletions.sign(on.viewer(), sign.id(), "the sign of " + TimeText.moment(sign.at(), on.zone()));
    }
}
