package dusk.ledger.web.plan;

import dusk.ledger.format.LedgerFormat;
import dusk.ledger.journal.Invalid;
import dusk.ledger.journal.Reading;
import dusk.ledger.journal.Spot;
import dusk.ledger.journal.Stint;
import dusk.ledger.journal.Water;
import dusk.ledger.plan.PlanConditions;
import dusk.ledger.web.form.Form;
import dusk.ledger.web.form.FormField;
import dusk.ledger.web.form.RecordForm;
import dusk.ledger.web.form.UnitText;
import dusk.ledger.web.records.Person;
import dusk.ledger.web.words.TimeText;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;

/** What is asked of the adviser: a reading to be taken, a place and how it will be fished, as forms of these know them. */
final class CallAsk {
    private static final Map<String, Object> PLANNED_READING = Map.of("reading_id", "planned", "trip_id", "planned");

    private final RecordForm<Reading> readings;
    private final RecordForm<Spot> spots;
    private final RecordForm<Stint> stints;
    private final Water water;
    private final List<Invalid.Problem> problems = new ArrayList<>();

    CallAsk(Person person, Water water) {
        this.water = water;
        UnitText text = new UnitText(person.units(), water.zone());
        readings = new RecordForm<>(LedgerFormat.READINGS, text)
                .ask("at", "When", "")
                .ask("water_temp_c", "Water temperature", "")
                .ask("clarity_m", "Clarity", "how far down one sees")
                .ask("weather", "Weather", "")
                .ask("sky", "Sky", "")
                .ask("wind_mps", "Wind", UnitText.speedHint("wind_mps", person.units()))
                .askMore("current_mps", "Current", UnitText.speedHint("current_mps", person.units()))
                .askMore("level_trend", "Level", "")
                .askMore("tide", "Tide", "")
                .askMore("pressure", "Other anglers", "")
                .askMore("forage", "Prey about", "")
                .askMore("forage_length_mm", "Length of the prey", "")
                .askMore("prey_colour", "Colour of the prey", "");
        spots = new RecordForm<>(LedgerFormat.SPOTS, text)
                .ask("structure", "Kind of place", "")
                .askMore("bottom", "Bottom", "")
                .askMore("cover", "Cover", "");
        stints = new RecordForm<>(LedgerFormat.STINTS, text)
                .ask("depth_m", "Depth", "")
                .askMore("fish_position", "Where the fish are", "")
                .askMore("fish_depth_m", "Depth of the fish", "");
    }

    /** What to start from: the water's last reading, carried to an hour. */
    Map<String, String> fresh(@Nullable Reading last, Instant at) {
        Map<String, String> typed = new HashMap<>();
        if (last != null) {
            typed.putAll(readings.copied(last));
        }
        typed.put("at", TimeText.input(at, water.zone()));
        return typed;
    }

    /** The conditions that were typed; null where something is wrong with them. */
    @Nullable
    PlanConditions read(Map<String, String> typed, PlanConditions.Who who) {
        Reading reading = part(() -> readings.read(typed, PLANNED_READING, null));
        Spot spot = part(() -> spots.read(typed, Map.of("spot_id", "planned", "water_id", water.id()), null));
        Stint stint = part(() -> stints.read(
                typed,
                Map.of(
                        "stint_id", "planned",
                        "trip_id", "planned",
                        "angler_id", "planned",
                        "setup_id", "planned",
                        "started_at", Instant.EPOCH,
                        "minutes", 1.0),
                null));
        if (reading == null || spot == null || stint == null) {
            return null;
        }
        return PlanConditions.of(
                reading,
                new PlanConditions.At(
                        spot.structure(),
                        spot.bottom(),
                        spot.cover(),
                        stint.depth(),
                        stint.fishPosition(),
                        stint.fishDepth()),
                new PlanConditions.Hour(reading.at(), water.position(), null, null),
                who);
    }

    private <T> @Nullable T part(Supplier<T> read) {
        try {
            return read.get();
        } catch (Invalid e) {
            problems.addAll(e.problems());
            return null;
        }
    }

    /** The fields as they stand, with what is wrong at each. */
    Form form(Map<String, String> typed) {
        Form head = new Form("call", "", "/plan", "Call", "/plan", List.of(), List.of());
        List<FormField> main = new ArrayList<>();
        List<FormField> more = new ArrayList<>();
        for (Form part : List.of(
                readings.form(head, typed, problems),
                spots.form(head, typed, problems),
                stints.form(head, typed, problems))) {
            main.addAll(part.main());
            more.addAll(part.more());
        }
        return new Form(head.id(), head.title(), head.action(), head.submit(), head.cancel(), main, more);
    }
}
