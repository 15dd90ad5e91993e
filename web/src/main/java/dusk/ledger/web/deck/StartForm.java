package dusk.ledger.web.deck;

import dusk.ledger.interchange.Tables;
import dusk.ledger.journal.Angler;
import dusk.ledger.journal.Rod;
import dusk.ledger.journal.SetUp;
import dusk.ledger.journal.Spot;
import dusk.ledger.journal.Water;
import dusk.ledger.units.Length;
import dusk.ledger.vocabulary.Words;
import dusk.ledger.web.form.FormField;
import dusk.ledger.web.form.TimeOfDay;
import dusk.ledger.web.form.Typed;
import dusk.ledger.web.frame.Horizon;
import dusk.ledger.web.security.Person;
import dusk.ledger.web.store.LedgerRows;
import dusk.ledger.web.trips.TripRecords;
import dusk.ledger.web.words.PlaceWords;
import dusk.ledger.web.words.SetUpWords;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import org.jooq.impl.DSL;
import org.jspecify.annotations.Nullable;

/** The form that puts rods on a deck: a new trip's, or another rod's. A row's fields are named by its number, such as {@code setup_id_2}. */
final class StartForm {
    private final Person person;
    private final LedgerRows rows;
    private final List<Angler> anglers;
    private final List<SetUp> setUps;
    private final List<Rod> rods;
    private final Map<String, String> errors = new HashMap<>();

    StartForm(Person person, TripRecords trips) {
        this.person = person;
        this.rows = trips.rows();
        anglers = trips.anglers(person.viewer());
        setUps = trips.setUps(person.viewer());
        rods = rows.all(
                person.viewer(),
                Tables.RODS,
                DSL.noCondition(),
                List.of(DSL.field("name").asc()));
    }

    /** What one row asks for. */
    record Row(int number, List<FormField> fields) {}

    /** A row as understood. */
    record Wanted(
            int number,
            @Nullable String anglerId,
            @Nullable String guest,
            String setUpId,
            @Nullable String rodId,
            @Nullable String presentation) {}

    Map<String, String> errors() {
        return errors;
    }

    /** Water, place, depth and end. */
    List<FormField> head(List<Water> waters, Map<String, String> typed) {
        String water = typed.getOrDefault("water_id", "");
        List<FormField.Option> spots = rows
                .all(person.viewer(), Tables.SPOTS, LedgerRows.holds(Tables.SPOTS, "water_id", water), List.of())
                .stream()
                .map((Spot s) -> new FormField.Option(s.id(), PlaceWords.of(s)))
                .sorted(Comparator.comparing(FormField.Option::label))
                .toList();
        return List.of(
                choice("spot_id", "Place", "", spots, typed),
                text("depth_m", "Depth", "3 m or 10 ft", typed),
                text("until", "Until", "when the day ends, such as 21:30", typed));
    }

    List<Row> rows(int from, int count, Map<String, String> typed) {
        List<Row> all = new ArrayList<>();
        for (int number = from; number < from + count; number++) {
            String n = "_" + number;
            all.add(new Row(
                    number,
                    List.of(
                            choice("angler_id" + n, "Who", "", anglerOptions(), typed),
                            text("guest" + n, "or a guest", "by name", typed),
                            choice("setup_id" + n, "Set-up", "", setUpOptions(), typed),
                            choice("rod_id" + n, "Rod", "", rodOptions(), typed),
                            words("presentation" + n, "How", typed))));
        }
        return all;
    }

    private List<FormField.Option> anglerOptions() {
        return anglers.stream()
                .map(a -> new FormField.Option(a.id(), a.called()))
                .toList();
    }

    private List<FormField.Option> setUpOptions() {
        return setUps.stream()
                .map(s -> new FormField.Option(s.id(), SetUpWords.of(s, person.units())))
                .toList();
    }

    private List<FormField.Option> rodOptions() {
        return rods.stream().map(r -> new FormField.Option(r.id(), r.called())).toList();
    }

    /** What rows start with: the person themself, and the set-ups fished last. */
    Map<String, String> fresh(int rodCount) {
        Map<String, String> typed = new HashMap<>();
        for (int number = 1; number <= rodCount; number++) {
            String angler = person.anglerId();
            typed.put("angler_id_" + number, angler == null ? "" : angler);
            if (number <= setUps.size()) {
                typed.put("setup_id_" + number, setUps.get(number - 1).id());
            }
        }
        return typed;
    }

    /** The rows that were filled in. Errors are collected. */
    List<Wanted> wanted(int from, int count, Map<String, String> typed) {
        List<Wanted> wanted = new ArrayList<>();
        for (int number = from; number < from + count; number++) {
            String n = "_" + number;
            String setUp = typed.getOrDefault("setup_id" + n, "");
            String angler = typed.getOrDefault("angler_id" + n, "");
            String guest = typed.getOrDefault("guest" + n, "").strip();
            boolean known = anglers.stream().anyMatch(a -> a.id().equals(angler));
            if (setUps.stream().noneMatch(s -> s.id().equals(setUp))) {
                errors.put("setup_id" + n, "Choose what is tied on.");
            }
            if (guest.isEmpty() && !known) {
                errors.put("angler_id" + n, "Choose who fishes it, or write a guest's name.");
            }
            wanted.add(new Wanted(
                    number,
                    guest.isEmpty() ? angler : anglerNamed(guest),
                    guest.isEmpty() || anglerNamed(guest) != null ? null : guest,
                    setUp,
                    rods.stream()
                            .map(Rod::id)
                            .filter(typed.getOrDefault("rod_id" + n, "")::equals)
                            .findFirst()
                            .orElse(null),
                    blankIsNull(typed.getOrDefault("presentation" + n, ""))));
        }
        return wanted;
    }

    private @Nullable String anglerNamed(String name) {
        return anglers.stream()
                .filter(a -> name.equalsIgnoreCase(a.name()))
                .map(Angler::id)
                .findFirst()
                .orElse(null);
    }

    @Nullable
    Length depth(Map<String, String> typed) {
        return read(typed, fields -> fields.depth("depth_m"));
    }

    private <T> @Nullable T read(Map<String, String> values, Function<Typed, @Nullable T> reading) {
        Typed typed = new Typed(values, person.units());
        T read = reading.apply(typed);
        typed.errors().forEach(errors::putIfAbsent);
        return read;
    }

    @Nullable
    String spot(Water water, Map<String, String> typed) {
        String spot = blankIsNull(typed.getOrDefault("spot_id", ""));
        boolean there = spot == null
                || rows.one(person.viewer(), Tables.SPOTS, spot)
                        .filter(s -> s.waterId().equals(water.id()))
                        .isPresent();
        if (!there) {
            errors.put("spot_id", "Choose a place of " + water.name() + ".");
        }
        return spot;
    }

    /** The next time the clock shows what was typed. */
    @Nullable
    Instant until(Water water, Instant now, Map<String, String> typed) {
        TimeOfDay time = read(typed, fields -> fields.time("until"));
        return time == null ? null : time.after(now, Horizon.zone(water));
    }

    private static @Nullable String blankIsNull(String text) {
        return text.isBlank() ? null : text;
    }

    private FormField choice(
            String name, String label, String hint, List<FormField.Option> options, Map<String, String> typed) {
        return field(name, label, FormField.Kind.CHOICE, options, hint, typed);
    }

    private FormField text(String name, String label, String hint, Map<String, String> typed) {
        return field(name, label, FormField.Kind.TEXT, List.of(), hint, typed);
    }

    private FormField words(String name, String label, Map<String, String> typed) {
        List<FormField.Option> options = Words.of("presentation").stream()
                .map(w -> new FormField.Option(w, w))
                .toList();
        return field(name, label, FormField.Kind.CHOICE, options, "", typed);
    }

    private FormField field(
            String name,
            String label,
            FormField.Kind kind,
            List<FormField.Option> options,
            String hint,
            Map<String, String> typed) {
        return new FormField(
                name,
                label,
                kind,
                List.of(new FormField.Group("", options)),
                hint,
                name.startsWith("setup_id"),
                typed.getOrDefault(name, ""),
                errors.getOrDefault(name, ""),
                "");
    }
}
