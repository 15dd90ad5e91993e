package dusk.ledger.web.deck;

import dusk.ledger.journal.Angler;
import dusk.ledger.journal.Rod;
import dusk.ledger.journal.SetUp;
import dusk.ledger.journal.Spot;
import dusk.ledger.journal.Water;
import dusk.ledger.teach.Lot;
import dusk.ledger.units.Length;
import dusk.ledger.vocabulary.Words;
import dusk.ledger.web.afloat.TripActs;
import dusk.ledger.web.choose.Choices;
import dusk.ledger.web.form.FormField;
import dusk.ledger.web.form.TimeOfDay;
import dusk.ledger.web.form.Typed;
import dusk.ledger.web.records.Anglers;
import dusk.ledger.web.records.Person;
import dusk.ledger.web.records.Places;
import dusk.ledger.web.records.RodOut;
import dusk.ledger.web.records.Rods;
import dusk.ledger.web.records.SetUps;
import dusk.ledger.web.words.PlaceWords;
import dusk.ledger.web.words.SetUpWords;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/**
 * The form that puts rods on a deck: a new trip's, or another rod's. A row's fields are named by its number, such as
 * {@code setup_id_2}.
 */
final class StartForm {
    private final Person person;
    private final Places places;
    private final Choices choices;
    private final Choices.Offers offers;
    private final List<Angler> anglers;
    private final List<SetUp> setUps;
    private final List<Rod> rods;
    private final Map<String, String> errors = new HashMap<>();

    StartForm(Person person, Choices choices, Anglers anglers, SetUps setUps, Rods rods, Places places) {
        this.choices = choices;
        offers = choices.offers(person);
        this.person = person;
        this.places = places;
        this.anglers = anglers.all(person.viewer());
        this.setUps = setUps.lastFishedFirst(person.viewer());
        this.rods = rods.all(person.viewer());
    }

    /** What one row asks for. */
    record Row(int number, List<FormField> fields) {}

    Map<String, String> errors() {
        return errors;
    }

    /** Whether there is no set-up yet. */
    boolean nothingToTie() {
        return setUps.isEmpty();
    }

    /** Water, place, depth and end. */
    List<FormField> head(Map<String, String> typed) {
        String water = typed.getOrDefault("water_id", "");
        List<FormField.Option> spots = places.of(person.viewer(), water).stream()
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
                            searched("angler_id" + n, "Who", offers.manyAnglers(), anglerOptions(n, typed), typed),
                            text("guest" + n, "or a guest", "by name", typed),
                            searched("setup_id" + n, "Set-up", offers.manySetUps(), setUpOptions(n, typed), typed),
                            choice("rod_id" + n, "Rod", "", rodOptions(), typed),
                            words("presentation" + n, "How", typed))));
        }
        return all;
    }

    private List<FormField.Option> anglerOptions(String n, Map<String, String> typed) {
        return offers.anglers("angler_id" + n, typed).stream()
                .map(a -> new FormField.Option(a.id(), a.called()))
                .toList();
    }

    private List<FormField.Option> setUpOptions(String n, Map<String, String> typed) {
        return offers.setUps("setup_id" + n, typed, Set.of()).stream()
                .map(s -> new FormField.Option(s.id(), SetUpWords.of(s, person.units())))
                .toList();
    }

    private List<FormField.Option> rodOptions() {
        return rods.stream().map(r -> new FormField.Option(r.id(), r.called())).toList();
    }

    /** The number that a row was asked under: another hand may have put a rod out since. */
    static int numberOf(Map<String, String> typed, int otherwise) {
        for (int number = 1; number <= RodOut.MOST; number++) {
            if (typed.containsKey("setup_id_" + number)) {
                return number;
            }
        }
        return otherwise;
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

    /** What was typed, with what the words beside its fields find. Errors are collected. */
    Map<String, String> found(Map<String, String> typed) {
        Choices.Found found = choices.found(person, typed);
        errors.putAll(found.errors());
        return found.typed();
    }

    /** The rows that were filled in. Errors are collected. */
    List<TripActs.Wanted> wanted(int from, int count, Map<String, String> typed) {
        List<TripActs.Wanted> wanted = new ArrayList<>();
        for (int number = from; number < from + count; number++) {
            String n = "_" + number;
            String setUp = typed.getOrDefault("setup_id" + n, "");
            String angler = typed.getOrDefault("angler_id" + n, "");
            String guest = typed.getOrDefault("guest" + n, "").strip();
            boolean known = anglers.stream().anyMatch(a -> a.id().equals(angler));
            if (setUps.stream().noneMatch(s -> s.id().equals(setUp))) {
                errors.putIfAbsent("setup_id" + n, "Choose what is tied on.");
            }
            if (guest.isEmpty() && !known) {
                errors.putIfAbsent("angler_id" + n, "Choose who fishes it, or write a guest's name.");
            }
            wanted.add(new TripActs.Wanted(
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

    /** How often by lot, and the call that is taken along. */
    TripActs.Plan plan(Map<String, String> typed) {
        String lot = typed.getOrDefault("lot", "0");
        return new TripActs.Plan(
                Lot.HOW_OFTEN.stream()
                        .filter(n -> String.valueOf(n).equals(lot))
                        .findFirst()
                        .orElse(0),
                blankIsNull(typed.getOrDefault("call", "")));
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
        boolean there =
                spot == null || places.on(person.viewer(), water.id(), spot).isPresent();
        if (!there) {
            errors.put("spot_id", "Choose a place of " + water.name() + ".");
        }
        return spot;
    }

    /** The next time the clock shows what was typed. */
    @Nullable
    Instant until(Water water, Instant now, Map<String, String> typed) {
        TimeOfDay time = read(typed, fields -> fields.time("until"));
        return time == null ? null : time.after(now, water.zone());
    }

    private static @Nullable String blankIsNull(String text) {
        return text.isBlank() ? null : text;
    }

    private FormField choice(
            String name, String label, String hint, List<FormField.Option> options, Map<String, String> typed) {
        return field(name, label, FormField.Kind.CHOICE, options, hint, typed);
    }

    private FormField searched(
            String name, String label, boolean many, List<FormField.Option> options, Map<String, String> typed) {
        return field(name, label, many ? FormField.Kind.SEARCHED : FormField.Kind.CHOICE, options, "", typed);
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
                "",
                null,
                "",
                typed.getOrDefault(FormField.FIND + name, ""));
    }
}
