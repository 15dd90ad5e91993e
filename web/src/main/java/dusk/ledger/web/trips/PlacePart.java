package dusk.ledger.web.trips;

import dusk.ledger.format.LedgerFormat;
import dusk.ledger.format.Table;
import dusk.ledger.journal.Invalid;
import dusk.ledger.journal.Spot;
import dusk.ledger.web.form.Form;
import dusk.ledger.web.form.RecordForm;
import dusk.ledger.web.records.Places;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Places on the trip's water. A new one belongs to whoever enters it and stays theirs until they share it. */
@Component
class PlacePart implements TripPart<Spot> {
    private final Places places;

    PlacePart(Places places) {
        this.places = places;
    }

    @Override
    public String path() {
        return "places";
    }

    @Override
    public Table<Spot> table() {
        return LedgerFormat.SPOTS;
    }

    @Override
    public RecordForm<Spot> form(TripContext on) {
        return new RecordForm<>(LedgerFormat.SPOTS, on.text())
                .ask("label", "Name", "yours; what others see of it you say under Club, Sharing")
                .ask("structure", "Structure", "the club's analysis reads this")
                .ask("bottom", "Bottom", "")
                .ask("cover", "Cover", "")
                .askMore("slope", "Fall of the bottom", "")
                .askMore("top_m", "Top of the edge", "its depth")
                .askMore("foot_m", "Foot of the edge", "its depth")
                .askMore("shelter", "Shelter from the wind", "")
                .askMore("shade", "In the shade", "")
                .askMore("latitude", "Latitude", "degrees, north above 0")
                .askMore("longitude", "Longitude", "degrees, east above 0");
    }

    @Override
    public Form head(TripContext on, @Nullable String id) {
        return new Form(
                "place-form",
                (id == null ? "New place on " : "Change the place on ")
                        + on.water().name(),
                on.page() + "/places" + (id == null ? "" : "/" + id),
                "Save the place",
                on.page(),
                List.of(),
                List.of());
    }

    @Override
    public Map<String, String> fresh(TripContext on) {
        return Map.of();
    }

    @Override
    public Map<String, Object> given(TripContext on, String id, @Nullable Spot before) {
        return Map.of("spot_id", id, "water_id", on.water().id());
    }

    @Override
    public List<Invalid.Problem> problems(TripContext on, Spot spot) {
        return spot.label() == null && spot.structure() == null
                ? List.of(new Invalid.Problem(
                        "label", "Give it a name or a structure, so that it can be told from others."))
                : List.of();
    }

    @Override
    public void store(TripContext on, Spot spot, boolean fresh) {
        if (fresh) {
            places.add(on.viewer(), spot);
        } else {
            places.change(on.viewer(), spot);
        }
    }

    @Override
    public boolean of(TripContext on, Spot record) {
        return record.waterId().equals(on.water().id());
    }

    @Override
    public boolean mayChange(TripContext on, Spot record) {
        return Places.mayChange(on.viewer(), record);
    }

    @Override
    public @Nullable String delete(TripContext on, Spot record) {
        return null;
    }
}
