package dusk.ledger.web.records;

import dusk.ledger.fish.LengthMass;
import dusk.ledger.format.LedgerFormat;
import dusk.ledger.journal.Catch;
import dusk.ledger.journal.Invalid;
import dusk.ledger.journal.Trip;
import dusk.ledger.journal.Water;
import dusk.ledger.units.Length;
import dusk.ledger.units.UnitSystem;
import dusk.ledger.web.store.LedgerRows;
import dusk.ledger.web.store.Settled;
import dusk.ledger.web.store.Store;
import dusk.ledger.web.store.Viewer;
import java.time.Instant;
import java.time.MonthDay;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** What is known of a fish beside what was typed: its weight from its length, its condition, what the water's rules say of it. */
@Component
public class FishCurves {

    private final LedgerRows rows;
    private final WaterRules rules;
    private final Settled<Optional<LengthMass>> curves;

    FishCurves(LedgerRows rows, WaterRules rules, Store store) {
        curves = new Settled<>(store);
        this.rows = rows;
        this.rules = rules;
    }

    /** The standard weight of a species, else the club's own fit as the settled records have it. */
    public Optional<LengthMass> of(Viewer viewer, String species) {
        return curves.of(
                viewer,
                species,
                club -> LengthMass.of(
                        species,
                        rows.all(
                                club,
                                LedgerFormat.CATCHES,
                                LedgerRows.holds(LedgerFormat.CATCHES, "species", species)
                                        .and(LedgerRows.holds(LedgerFormat.CATCHES, "mass_how", "measured")),
                                List.of())));
    }

    /**
     * The fish with its weight reckoned, where that was asked for by {@code from_length} without a weight.
     *
     * @throws Invalid where it cannot be, or where a weight does not say how it was had
     */
    public Catch weighed(Viewer viewer, Catch fish) {
        if (fish.mass() != null && fish.massHow() == null) {
            throw refused("Say whether the weight was measured or estimated.");
        }
        if (fish.mass() != null || fish.massHow() == null) {
            return fish;
        }
        if (!fish.massHow().equals("from_length")) {
            throw refused("There is no weight to say this of.");
        }
        Length length = fish.length();
        if (length == null) {
            throw refused("A weight from length needs the length.");
        }
        LengthMass curve = of(viewer, fish.species())
                .orElseThrow(() -> refused("There is no curve for " + fish.species() + " yet: it takes "
                        + LengthMass.LEAST_FISH + " of the club's fish with length and weight both measured."));
        return LedgerFormat.CATCHES.changed(
                fish, Map.of("mass_g", (double) Math.round(curve.mass(length).grams())));
    }

    private static Invalid refused(String message) {
        return new Invalid(List.of(new Invalid.Problem("mass_how", message)));
    }

    /** The condition in words; empty unless length and weight were both measured. */
    public String condition(Viewer viewer, Catch fish) {
        Length length = fish.length();
        var mass = fish.mass();
        if (length == null
                || mass == null
                || !"measured".equals(fish.lengthHow())
                || !"measured".equals(fish.massHow())) {
            return "";
        }
        return of(viewer, fish.species())
                .map(curve -> ", condition " + Math.round(curve.condition(length, mass)))
                .orElse("");
    }

    /** What the club's notes on the water say of a fish of a trip, ending with whose word counts; empty for nothing. */
    public List<String> cautions(
            Viewer viewer, UnitSystem units, Trip trip, Water water, Catch fish, List<Catch> ofTrip) {
        List<String> said = new ArrayList<>();
        rules.of(viewer, water.id(), fish.species()).ifPresent(rule -> {
            Instant at = fish.at() == null ? trip.startedAt() : fish.at();
            int kept = ofTrip.stream()
                    .filter(f -> Boolean.TRUE.equals(f.kept()) && f.species().equals(fish.species()))
                    .mapToInt(Catch::count)
                    .sum();
            rule.cautions(fish.length(), MonthDay.from(at.atZone(water.zone())), kept)
                    .forEach(about -> said.add(WaterRules.words(about, rule, units)));
        });
        if (!said.isEmpty()) {
            said.add(WaterRules.PREVAIL);
        }
        return said;
    }
}
