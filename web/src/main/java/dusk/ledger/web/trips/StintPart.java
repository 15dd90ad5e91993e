package dusk.ledger.web.trips;

import dusk.ledger.format.LedgerFormat;
import dusk.ledger.format.Table;
import dusk.ledger.journal.Angler;
import dusk.ledger.journal.Bounds;
import dusk.ledger.journal.Catch;
import dusk.ledger.journal.Invalid;
import dusk.ledger.journal.Loss;
import dusk.ledger.journal.SetUp;
import dusk.ledger.journal.Spot;
import dusk.ledger.journal.Stint;
import dusk.ledger.journal.Tally;
import dusk.ledger.journal.Touch;
import dusk.ledger.web.choose.Choices;
import dusk.ledger.web.form.Form;
import dusk.ledger.web.form.FormField;
import dusk.ledger.web.form.RecordForm;
import dusk.ledger.web.records.Places;
import dusk.ledger.web.records.Rods;
import dusk.ledger.web.records.TripRows;
import dusk.ledger.web.records.Trips;
import dusk.ledger.web.store.Deletions;
import dusk.ledger.web.words.PlaceWords;
import dusk.ledger.web.words.SetUpWords;
import dusk.ledger.web.words.TimeText;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Stints: who fished what, where, for how long, blanks included. */
@Component
class StintPart implements TripPart<Stint> {
    private static final double SECONDS_PER_MINUTE = 60;

    private final Trips trips;
    private final TripRows rows;
    private final Choices choices;
    private final Places places;
    private final Rods rods;
    private final Deletions deletions;

    StintPart(Trips trips, TripRows rows, Choices choices, Places places, Rods rods, Deletions deletions) {
        this.trips = trips;
        this.rows = rows;
        this.choices = choices;
        this.places = places;
        this.rods = rods;
        this.deletions = deletions;
    }

    @Override
    public String path() {
        return "stints";
    }

    @Override
    public Table<Stint> table() {
        return LedgerFormat.STINTS;
    }

    @Override
    public RecordForm<Stint> form(TripContext on) {
        Choices.Offers offers = choices.offers(on.person());
        RecordForm<Stint> form = new RecordForm<>(LedgerFormat.STINTS, on.text());
        if (offers.manyAnglers()) {
            form.search("angler_id", "Who", List.of(anglers(on, offers)), "");
        } else {
            form.choose("angler_id", "Who", List.of(anglers(on, offers)));
        }
        if (offers.manySetUps()) {
            form.search("setup_id", "Set-up", setUps(on, offers), "/tackle/portrait");
        } else {
            form.choose("setup_id", "Set-up", "", setUps(on, offers), "/tackle/portrait");
        }
        return form.choose("spot_id", "Place", List.of(spots(on)))
                .ask("started_at", "From", "")
                .ask("minutes", "Minutes fished", "a blank counts as much as a fish")
                .ask("depth_m", "Depth", "")
                .ask("presentation", "Presentation", "")
                .ask("follows", "Follows", "")
                .ask("bites", "Bites", "hooked ones too")
                .ask("hooked", "Hooked", "landed and lost")
                .askMore("speed", "Speed", "")
                .askMore("pause_s", "Pause", "in seconds")
                .askMore("line_method", "Line on the fall", "")
                .askMore("hook_set", "Hook set", "")
                .askMore("fish_position", "Where the fish were", "")
                .askMore("fish_depth_m", "Depth of the fish", "apart from the bottom's and the lure's")
                .chooseMore("rod_id", "Rod", List.of(rods(on)))
                .askMore("purpose", "Why this stint", "")
                .askMore("casts", "Casts", "")
                .askMore("plastics_used", "Plastics used up", "");
    }

    private static FormField.Group anglers(TripContext on, Choices.Offers offers) {
        return new FormField.Group(
                "",
                offers.anglers("angler_id", on.asked()).stream()
                        .map((Angler a) -> new FormField.Option(a.id(), a.called()))
                        .toList());
    }

    private FormField.Group rods(TripContext on) {
        return new FormField.Group(
                "",
                rods.all(on.viewer()).stream()
                        .map(r -> new FormField.Option(r.id(), r.called()))
                        .toList());
    }

    private FormField.Group spots(TripContext on) {
        return new FormField.Group(
                "",
                places.of(on.viewer(), on.water().id()).stream()
                        .map((Spot s) -> new FormField.Option(s.id(), PlaceWords.of(s)))
                        .toList());
    }

    /** Those of this trip first; the rest with the newest first, by rig. */
    private List<FormField.Group> setUps(TripContext on, Choices.Offers offers) {
        Set<String> here = rows.stints(on.viewer(), on.trip().id()).stream()
                .map(Stint::setUpId)
                .collect(Collectors.toSet());
        boolean sought =
                !on.asked().getOrDefault(FormField.FIND + "setup_id", "").isBlank();
        List<FormField.Option> onTrip = new ArrayList<>();
        Map<String, List<FormField.Option>> byRig = new TreeMap<>();
        for (SetUp setUp : offers.setUps("setup_id", on.asked(), sought ? Set.of() : here)) {
            FormField.Option option = new FormField.Option(
                    setUp.id(), SetUpWords.of(setUp, on.person().units()));
            if (here.contains(setUp.id())) {
                onTrip.add(option);
            } else {
                byRig.computeIfAbsent(setUp.rig(), r -> new ArrayList<>()).add(option);
            }
        }
        List<FormField.Group> groups = new ArrayList<>();
        if (!onTrip.isEmpty()) {
            groups.add(new FormField.Group("on this trip", onTrip));
        }
        byRig.forEach((rig, options) -> groups.add(new FormField.Group(rig, options)));
        return groups;
    }

    @Override
    public Form head(TripContext on, @Nullable String id) {
        return new Form(
                "stint-form",
                id == null ? "New stint" : "Change the stint",
                on.page() + "/stints" + (id == null ? "" : "/" + id),
                "Save the stint",
                on.page(),
                List.of(),
                List.of());
    }

    @Override
    public Map<String, String> fresh(TripContext on) {
        Map<String, String> typed = new HashMap<>();
        typed.put("angler_id", on.person().anglerId() == null ? "" : on.person().anglerId());
        Instant from = on.trip().startedAt();
        for (Stint stint : rows.stints(on.viewer(), on.trip().id())) {
            if (stint.anglerId().equals(typed.get("angler_id"))) {
                from = stint.startedAt().plus(Duration.ofSeconds(Math.round(stint.minutes() * SECONDS_PER_MINUTE)));
                typed.put("setup_id", stint.setUpId());
                typed.put("spot_id", stint.spotId() == null ? "" : stint.spotId());
            }
        }
        typed.put("started_at", TimeText.input(from, on.zone()));
        return typed;
    }

    @Override
    public Map<String, Object> given(TripContext on, String id, @Nullable Stint before) {
        return Map.of("stint_id", id, "trip_id", on.trip().id());
    }

    @Override
    public List<Invalid.Problem> problems(TripContext on, Stint stint) {
        List<Invalid.Problem> problems = new ArrayList<>(tally(on, stint).problems());
        if (!Bounds.ofTrip(stint.startedAt(), on.trip().startedAt())) {
            problems.add(new Invalid.Problem("started_at", "That is days away from the trip. Was it this trip?"));
        }
        List<Touch> touches = rows.touches(on.viewer(), List.of(stint));
        tapped(problems, touches, "follow", "follows", stint.follows());
        tapped(problems, touches, "bite", "bites", stint.bites());
        tapped(problems, touches, "hooked", "hooked", stint.hooked());
        known(
                problems,
                "angler_id",
                rows.one(on.viewer(), LedgerFormat.ANGLERS, stint.anglerId()).isPresent());
        if (!trips.may(on.viewer(), on.trip().id(), Trips.Doing.CHANGE)
                && !trips.mayLogFor(on.viewer(), stint.anglerId())) {
            problems.add(
                    new Invalid.Problem(
                            "angler_id",
                            "You log for yourself and for guests you brought. Ask whoever logged the trip, or an officer, for others."));
        }
        known(
                problems,
                "setup_id",
                rows.one(on.viewer(), LedgerFormat.SETUPS, stint.setUpId()).isPresent());
        String spot = stint.spotId();
        known(
                problems,
                "spot_id",
                spot == null
                        || rows.one(on.viewer(), LedgerFormat.SPOTS, spot)
                                .filter(s -> s.waterId().equals(on.water().id()))
                                .isPresent());
        String rod = stint.rodId();
        known(
                problems,
                "rod_id",
                rod == null || rows.one(on.viewer(), LedgerFormat.RODS, rod).isPresent());
        return problems;
    }

    /** What was tapped in on the deck was seen: a count below it would be a package that nobody takes. */
    private static void tapped(
            List<Invalid.Problem> problems, List<Touch> touches, String kind, String column, int count) {
        long tapped = touches.stream().filter(t -> t.kind().equals(kind)).count();
        if (count < tapped) {
            problems.add(new Invalid.Problem(
                    column, count + " is fewer than were tapped in on the deck, expected " + tapped + " or more"));
        }
    }

    private static void known(List<Invalid.Problem> problems, String column, boolean there) {
        if (!there) {
            problems.add(new Invalid.Problem(column, "This one is not in the club's record. Choose one of the list."));
        }
    }

    private Tally tally(TripContext on, Stint stint) {
        List<Stint> one = List.of(stint);
        return new Tally(
                stint.follows(),
                stint.bites(),
                stint.hooked(),
                rows.catches(on.viewer(), one).stream().mapToInt(Catch::count).sum(),
                rows.losses(on.viewer(), one).stream().mapToInt(Loss::count).sum());
    }

    @Override
    public void store(TripContext on, Stint stint, boolean fresh) {
        rows.store(on.viewer(), LedgerFormat.STINTS, stint, fresh);
    }

    @Override
    public boolean of(TripContext on, Stint record) {
        return record.tripId().equals(on.trip().id());
    }

    @Override
    public boolean mayChange(TripContext on, Stint record) {
        return trips.changeableStints(on.viewer(), on.trip().id()).contains(record.id());
    }

    @Override
    public String delete(TripContext on, Stint stint) {
        return deletions.stint(
                on.viewer(), stint.id(), "the stint of " + TimeText.moment(stint.startedAt(), on.zone()));
    }
}
