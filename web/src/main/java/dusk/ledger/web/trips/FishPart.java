package dusk.ledger.web.trips;

import static dusk.ledger.web.schema.Tables.CATCHES;
import static dusk.ledger.web.schema.Tables.LOSSES;
import static dusk.ledger.web.schema.Tables.STINTS;
import static org.jooq.impl.DSL.coalesce;
import static org.jooq.impl.DSL.greatest;
import static org.jooq.impl.DSL.sum;
import static org.jooq.impl.DSL.val;

import dusk.ledger.interchange.Table;
import dusk.ledger.interchange.Tables;
import dusk.ledger.journal.Catch;
import dusk.ledger.journal.Invalid;
import dusk.ledger.journal.Stint;
import dusk.ledger.web.form.Form;
import dusk.ledger.web.form.RecordForm;
import dusk.ledger.web.store.Deletions;
import dusk.ledger.web.store.NotYours;
import dusk.ledger.web.store.Visibility;
import java.util.List;
import java.util.Map;
import org.jooq.DSLContext;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Fish landed in a stint. A fish landed was hooked and bit: the stint's counts rise with it where they lag behind. */
@Component
class FishPart implements TripPart<Catch> {
    private final TripRecords records;
    private final Deletions deletions;
    private final FishCurves curves;

    FishPart(TripRecords records, Deletions deletions, FishCurves curves) {
        this.records = records;
        this.deletions = deletions;
        this.curves = curves;
    }

    @Override
    public String path() {
        return "fish";
    }

    @Override
    public Table<Catch> table() {
        return Tables.CATCHES;
    }

    @Override
    public RecordForm<Catch> form(TripContext on) {
        return new RecordForm<>(Tables.CATCHES, on.text())
                .ask("species", "Species", "")
                .ask("length_mm", "Length", "leave it out where it was not taken")
                .ask("length_how", "How the length was had", "")
                .ask("bite_on", "Taken on", "")
                .ask("at", "When", "")
                .askMore("count", "How many", "for several fish not measured one by one")
                .askMore("mass_g", "Weight", "")
                .askMore("mass_how", "How the weight was had", "");
    }

    @Override
    public Form head(TripContext on, @Nullable String id) {
        String stint = on.asked().getOrDefault("stint", "");
        return new Form(
                "fish-form",
                id == null ? "Fish landed" : "Change the fish",
                on.page() + "/fish" + (id == null ? "?stint=" + stint : "/" + id),
                "Save the fish",
                on.page(),
                List.of(),
                List.of());
    }

    @Override
    public Map<String, String> fresh(TripContext on) {
        List<Stint> stints = records.stints(on.viewer(), on.trip().id());
        List<Catch> landed = records.catches(on.viewer(), stints);
        String likely = landed.isEmpty() ? "" : landed.get(landed.size() - 1).species();
        return Map.of("species", likely);
    }

    @Override
    public Map<String, Object> given(TripContext on, String id, @Nullable Catch before) {
        String stintId = before == null ? on.asked().getOrDefault("stint", "") : before.stintId();
        if (!ofTrip(on, stintId)) {
            throw new NotYours();
        }
        return Map.of("catch_id", id, "stint_id", stintId);
    }

    @Override
    public Catch completed(TripContext on, Catch fish) {
        return curves.weighed(on.viewer(), fish);
    }

    @Override
    public List<Invalid.Problem> problems(TripContext on, Catch fish) {
        if (fish.length() != null && fish.lengthHow() == null) {
            return List.of(new Invalid.Problem("length_how", "Say whether the length was measured or estimated."));
        }
        return List.of();
    }

    @Override
    public void alongside(DSLContext tx, TripContext on, Catch fish) {
        Long landed = tx.select(coalesce(sum(CATCHES.COUNT), 0))
                .from(CATCHES)
                .where(Visibility.of(on.viewer(), CATCHES))
                .and(CATCHES.STINT_ID.eq(fish.stintId()))
                .fetchOne(0, Long.class);
        Long lost = tx.select(coalesce(sum(LOSSES.COUNT), 0))
                .from(LOSSES)
                .where(Visibility.of(on.viewer(), LOSSES))
                .and(LOSSES.STINT_ID.eq(fish.stintId()))
                .fetchOne(0, Long.class);
        long hooked = (landed == null ? 0 : landed) + (lost == null ? 0 : lost);
        tx.update(STINTS)
                .set(STINTS.HOOKED, greatest(STINTS.HOOKED, val(hooked)))
                .set(STINTS.BITES, greatest(STINTS.BITES, greatest(STINTS.HOOKED, val(hooked))))
                .where(Visibility.of(on.viewer(), STINTS))
                .and(STINTS.STINT_ID.eq(fish.stintId()))
                .execute();
    }

    @Override
    public boolean of(TripContext on, Catch record) {
        return ofTrip(on, record.stintId());
    }

    private boolean ofTrip(TripContext on, String stintId) {
        return records.rows()
                .one(on.viewer(), Tables.STINTS, stintId)
                .filter(s -> s.tripId().equals(on.trip().id()))
                .isPresent();
    }

    @Override
    public String delete(TripContext on, Catch fish) {
        return deletions.fish(on.viewer(), fish.id(), "the " + fish.species());
    }
}
