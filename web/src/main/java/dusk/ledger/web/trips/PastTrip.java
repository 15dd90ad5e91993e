package dusk.ledger.web.trips;

import dusk.ledger.fish.Shorthand;
import dusk.ledger.format.LedgerFormat;
import dusk.ledger.journal.Angler;
import dusk.ledger.journal.Bounds;
import dusk.ledger.journal.Catch;
import dusk.ledger.journal.CatchBuilder;
import dusk.ledger.journal.Invalid;
import dusk.ledger.journal.Loss;
import dusk.ledger.journal.Reading;
import dusk.ledger.journal.SetUp;
import dusk.ledger.journal.Spot;
import dusk.ledger.journal.Stint;
import dusk.ledger.journal.StintBuilder;
import dusk.ledger.journal.Trip;
import dusk.ledger.journal.Water;
import dusk.ledger.vocabulary.Words;
import dusk.ledger.web.form.RecordForm;
import dusk.ledger.web.form.TimeOfDay;
import dusk.ledger.web.form.Typed;
import dusk.ledger.web.form.UnitText;
import dusk.ledger.web.records.Person;
import dusk.ledger.web.records.Trips;
import dusk.ledger.web.store.NewId;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * A whole trip as it is typed in afterwards, a row a stint: minutes, what came, set-up, place, who; a cell left empty
 * is as in the row above. Understood as a whole or not at all.
 */
final class PastTrip {
    private static final Pattern MINUTES = Pattern.compile("(?:(\\d{1,2}):?(\\d{2})\\s+)?(\\d{1,4}(?:[.,]\\d+)?)");

    private final Person person;
    private final Water water;
    private final NewId newId;
    private final Instant now;
    private final Typed typed;
    private final List<Stint> stints = new ArrayList<>();
    private final List<Catch> catches = new ArrayList<>();
    private final List<Loss> losses = new ArrayList<>();
    private @Nullable Trip trip;
    private @Nullable Reading reading;

    /** What may be chosen. */
    record Choices(List<Angler> anglers, List<SetUp> setUps, List<Spot> spots, List<String> species) {}

    PastTrip(Person person, Water water, NewId newId, Instant now, Map<String, String> typed) {
        this.person = person;
        this.now = now;
        this.water = water;
        this.newId = newId;
        this.typed = new Typed(typed, person.units());
    }

    /** Notes what is wrong with a field that was read elsewhere. */
    void wrong(String field, String message) {
        typed.wrong(field, message);
    }

    Map<String, String> errors() {
        return typed.errors();
    }

    /** The trip as understood; there must be no error. */
    Trips.Whole whole() {
        Trip read = trip;
        if (read == null) {
            throw new IllegalStateException("the trip was refused");
        }
        return new Trips.Whole(read, reading, stints, catches, losses);
    }

    private String cell(String name) {
        return typed.text(name);
    }

    /** Reads all of it; what is wrong is in {@link #errors}. */
    void read(int rows, Choices choices) {
        Instant start = start();
        String tripId = newId.next();
        Map<String, Instant> free = new HashMap<>();
        String angler = person.anglerId();
        String setUp = null;
        String spot = null;
        for (int row = 1; row <= rows; row++) {
            angler = chosen(row, "angler", angler, choices.anglers(), Angler::id);
            setUp = chosen(row, "setup", setUp, choices.setUps(), SetUp::id);
            spot = chosen(row, "spot", spot, choices.spots(), Spot::id);
            boolean fished = !cell("minutes_" + row).isEmpty();
            if (!fished && !cell("came_" + row).isEmpty()) {
                typed.wrong("minutes_" + row, "How many minutes were fished for it?");
            }
            if (fished && angler == null) {
                typed.wrong("angler_" + row, "Choose who fished.");
            }
            if (fished && setUp == null) {
                typed.wrong("setup_" + row, "Choose what was tied on.");
            }
            if (fished && angler != null && setUp != null && start != null) {
                row(row, tripId, new Chosen(angler, setUp, spot), free, start, choices.species());
            }
        }
        if (stints.isEmpty() && typed.errors().isEmpty()) {
            typed.wrong("minutes_1", "A trip has at least one stint: write its minutes, blank or not.");
        }
        if (start != null && typed.errors().isEmpty()) {
            finish(tripId, start, free);
        }
    }

    private <T> @Nullable String chosen(
            int row, String name, @Nullable String above, List<T> among, Function<T, String> id) {
        String value = cell(name + "_" + row);
        if (value.isEmpty()) {
            return above;
        }
        if (among.stream().noneMatch(one -> id.apply(one).equals(value))) {
            typed.wrong(name + "_" + row, "Choose one of the list.");
        }
        return value;
    }

    private record Chosen(
            String angler, String setUp, @Nullable String spot) {}

    private void row(
            int row, String tripId, Chosen chosen, Map<String, Instant> free, Instant start, List<String> species) {
        Matcher form = MINUTES.matcher(cell("minutes_" + row));
        Shorthand came;
        try {
            came = Shorthand.read(cell("came_" + row), species, person.units().lure());
        } catch (IllegalArgumentException e) {
            typed.wrong("came_" + row, String.valueOf(e.getMessage()));
            return;
        }
        double minutes = form.matches() ? Typed.decimal(form.group(3)) : 0;
        if (!(minutes >= Bounds.LEAST_MINUTES) || minutes > Bounds.MOST_MINUTES) {
            typed.wrong(
                    "minutes_" + row,
                    "“" + cell("minutes_" + row) + "” is not a number of minutes from 0.1 to 1440."
                            + " Write it like 45, or 18:20 45 to say when.");
            return;
        }
        Instant from = free.getOrDefault(chosen.angler(), start);
        if (form.group(1) != null) {
            Instant said = clock(start, form.group(1) + form.group(2));
            if (said == null || said.isBefore(from)) {
                typed.wrong("minutes_" + row, "It would begin before the stint above ended.");
                return;
            }
            from = said;
        }
        free.put(chosen.angler(), from.plus(Duration.ofSeconds(Math.round(minutes * 60))));
        store(tripId, chosen, from, minutes, came);
    }

    private void store(String tripId, Chosen chosen, Instant from, double minutes, Shorthand came) {
        int hooked = came.landed() + came.lost();
        Stint stint = StintBuilder.builder()
                .id(newId.next())
                .tripId(tripId)
                .anglerId(chosen.angler())
                .spotId(chosen.spot())
                .setUpId(chosen.setUp())
                .startedAt(from)
                .minutes(minutes)
                .follows(came.follows())
                .bites(came.bites() + hooked)
                .hooked(hooked)
                .build();
        stints.add(stint);
        for (Shorthand.Fish fish : came.fish()) {
            catches.add(CatchBuilder.builder()
                    .id(newId.next())
                    .stintId(stint.id())
                    .species(fish.species())
                    .count(fish.count())
                    .length(fish.length())
                    .lengthHow(fish.length() == null ? null : lengthHow())
                    .build());
        }
        if (came.lost() > 0) {
            losses.add(new Loss(newId.next(), stint.id(), null, "not noted", came.lost()));
        }
    }

    /** Estimated unless measured was said: a guess must not pass for a measure. */
    private String lengthHow() {
        return cell("length_how").equals("measured") ? "measured" : "estimated";
    }

    private @Nullable Instant start() {
        LocalDate date = typed.date("date");
        if (cell("date").isEmpty()) {
            typed.wrong("date", "Say which day it was. Write it like 2026-05-01.");
        }
        TimeOfDay from = typed.time("from");
        if (cell("from").isEmpty()) {
            typed.wrong("from", "Say when it began. Write it like 17:30, or 17.");
        }
        if (date == null || from == null) {
            return null;
        }
        Instant start = date.atTime(from.time()).atZone(water.zone()).toInstant();
        if (Bounds.toCome(start, now)) {
            typed.wrong("date", "That is still to come. Was it the day before?");
        }
        return start;
    }

    /** The first moment from the trip's start on at which the clock shows a time; null where no clock ever does. */
    private @Nullable Instant clock(Instant start, String time) {
        try {
            return TimeOfDay.parse(time).from(start, water.zone());
        } catch (IllegalArgumentException e) {
            return null;
        }
    }

    private void finish(String tripId, Instant start, Map<String, Instant> free) {
        Instant end = free.values().stream().max(Instant::compareTo).orElse(start);
        String note = cell("note");
        trip = new Trip(tripId, water.id(), start, end, note.isEmpty() ? null : note);
        Map<String, String> cells = new HashMap<>();
        for (String column : List.of("water_temp_c", "clarity_m")) {
            if (!cell(column).isEmpty()) {
                cells.put(column, cell(column));
            }
        }
        if (!cells.isEmpty()) {
            try {
                reading = new RecordForm<>(LedgerFormat.READINGS, new UnitText(person.units(), water.zone()))
                        .read(
                                cells,
                                Map.of("reading_id", newId.next(), "trip_id", tripId, "at", start, "source", "hand"),
                                null);
            } catch (Invalid e) {
                e.problems().forEach(p -> typed.wrong(p.column(), p.message()));
            }
        }
    }

    /** Species as the vocabulary has them, those landed most on the water first. */
    static List<String> species(List<String> likely) {
        List<String> all = new ArrayList<>(likely);
        Words.of("species").stream().filter(s -> !all.contains(s)).forEach(all::add);
        return all;
    }
}
