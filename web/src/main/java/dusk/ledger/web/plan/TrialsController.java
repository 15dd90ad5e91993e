package dusk.ledger.web.plan;

import dusk.ledger.evidence.Effort;
import dusk.ledger.evidence.Estimate;
import dusk.ledger.evidence.Interval;
import dusk.ledger.evidence.TrialSize;
import dusk.ledger.journal.SetUp;
import dusk.ledger.stints.StintTable;
import dusk.ledger.teach.Question;
import dusk.ledger.teach.Teaching;
import dusk.ledger.teach.Trial;
import dusk.ledger.teach.TrialResult;
import dusk.ledger.units.Figures;
import dusk.ledger.web.afloat.LotQuestions;
import dusk.ledger.web.choose.Choices;
import dusk.ledger.web.form.FormField;
import dusk.ledger.web.form.Typed;
import dusk.ledger.web.records.Person;
import dusk.ledger.web.records.SetUps;
import dusk.ledger.web.records.Trials;
import dusk.ledger.web.store.NewId;
import dusk.ledger.web.store.RecentTables;
import dusk.ledger.web.store.Reckoned;
import dusk.ledger.web.words.FieldWords;
import dusk.ledger.web.words.SetUpWords;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** What would teach most, trials that find it out, and what the lot has cost and taught. */
@Controller
class TrialsController {
    private static final int QUESTIONS = 5;
    private static final int LEAST_MINUTES = 5;
    private static final int MOST_MINUTES = 120;
    private static final double MOST_HOURS = 200;

    private final RecentTables tables;
    private final Reckoned reckoned;
    private final LotQuestions questions;
    private final Trials trials;
    private final LotSoFar lot;
    private final SetUps setUps;
    private final Choices choices;
    private final NewId newId;
    private final Clock clock;

    TrialsController(
            RecentTables tables,
            Reckoned reckoned,
            LotQuestions questions,
            Trials trials,
            LotSoFar lot,
            SetUps setUps,
            Choices choices,
            NewId newId,
            Clock clock) {
        this.tables = tables;
        this.reckoned = reckoned;
        this.questions = questions;
        this.trials = trials;
        this.lot = lot;
        this.setUps = setUps;
        this.choices = choices;
        this.newId = newId;
        this.clock = clock;
    }

    /** A trial as the page lays it out. */
    record Line(String id, String title, String came, String verdict, String stopping, String more, boolean open) {}

    /** How long a trial of a ratio takes. */
    record Size(String ratio, String hours) {}

    @GetMapping("/plan/trials")
    String page(Person person, Model model) {
        return show(person, Map.of("minutes", String.valueOf(Trial.USUAL_MINUTES)), Map.of(), model);
    }

    @PostMapping("/plan/trials")
    String begin(Person person, @RequestParam Map<String, String> asked, Model model, HttpServletResponse response) {
        Choices.Found found = choices.found(person, asked);
        Typed typed = new Typed(found.typed(), person.units());
        Map<String, String> errors = new HashMap<>(found.errors());
        Map<String, SetUp> known =
                setUps.all(person.viewer()).stream().collect(Collectors.toMap(SetUp::id, one -> one));
        SetUp a = known.get(typed.text("setup_id_a"));
        SetUp b = known.get(typed.text("setup_id_b"));
        if (a == null) {
            errors.putIfAbsent("setup_id_a", "Choose the one.");
        }
        if (b == null) {
            errors.putIfAbsent("setup_id_b", "Choose the other.");
        } else if (b.equals(a)) {
            errors.put("setup_id_b", "Choose another than the first: a trial sets two against each other.");
        }
        Integer minutes = typed.whole("minutes", LEAST_MINUTES, MOST_MINUTES);
        Double hours = typed.number("hours", 1, MOST_HOURS, "rod-hours");
        typed.errors().forEach(errors::putIfAbsent);
        if (hours == null) {
            errors.putIfAbsent(
                    "hours", "Say how many rod-hours each is to be fished; the table below tells what that finds.");
        }
        if (!errors.isEmpty() || a == null || b == null || minutes == null || hours == null) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return show(person, typed.values(), errors, model);
        }
        String id = newId.next();
        trials.add(
                person.viewer(),
                new Trial(id, a.id(), b.id(), null, minutes, hours, id.hashCode(), clock.instant(), null));
        return "redirect:/plan/trials#trial-" + id;
    }

    @PostMapping("/plan/trials/{trialId}/end")
    String end(Person person, @PathVariable String trialId) {
        trials.end(person.viewer(), trialId, clock.instant());
        return "redirect:/plan/trials#trial-" + trialId;
    }

    private String show(Person person, Map<String, String> typed, Map<String, String> errors, Model model) {
        StintTable table = tables.of(person.viewer());
        List<Question> ranked = questions.of(person.viewer());
        model.addAttribute(
                "sentence",
                ranked.isEmpty()
                        ? "No question is worth its rod-hours yet: there is too little fishing in the records to judge by."
                        : ranked.get(0).text());
        model.addAttribute(
                "questions",
                ranked.stream().skip(1).limit(QUESTIONS - 1).map(Question::text).toList());
        List<Trial> all = trials.all(person.viewer());
        Map<String, SetUp> of = setUps
                .of(
                        person.viewer(),
                        all.stream()
                                .flatMap(t -> Stream.of(t.setUpA(), t.setUpB()))
                                .collect(Collectors.toSet()))
                .stream()
                .collect(Collectors.toMap(SetUp::id, one -> one));
        model.addAttribute(
                "trials",
                all.stream().map(trial -> line(person, table, trial, of)).toList());
        model.addAttribute("sizes", sizes(table));
        model.addAttribute("fields", fields(person, typed, errors));
        model.addAttribute("errors", errors);
        model.addAttribute("lot", lot.of(person));
        return "plan/trials";
    }

    private List<FormField> fields(Person person, Map<String, String> typed, Map<String, String> errors) {
        Choices.Offers likely = choices.offers(person);
        List<FormField> fields = new ArrayList<>();
        for (String side : List.of("a", "b")) {
            String name = "setup_id_" + side;
            fields.add(new FormField(
                    name,
                    side.equals("a") ? "This" : "or that",
                    likely.manySetUps() ? FormField.Kind.SEARCHED : FormField.Kind.CHOICE,
                    List.of(new FormField.Group(
                            "",
                            likely.setUps(name, typed, Set.of()).stream()
                                    .map(s -> new FormField.Option(s.id(), SetUpWords.of(s, person.units())))
                                    .toList())),
                    "",
                    true,
                    typed.getOrDefault(name, ""),
                    errors.getOrDefault(name, ""),
                    "",
                    null,
                    "",
                    typed.getOrDefault(FormField.FIND + name, "")));
        }
        for (Map.Entry<String, String> text :
                List.of(Map.entry("minutes", "Minutes of a turn"), Map.entry("hours", "Rod-hours on each"))) {
            fields.add(new FormField(
                    text.getKey(),
                    text.getValue(),
                    FormField.Kind.TEXT,
                    List.of(),
                    "",
                    true,
                    typed.getOrDefault(text.getKey(), ""),
                    errors.getOrDefault(text.getKey(), ""),
                    "",
                    null,
                    "",
                    ""));
        }
        return fields;
    }

    /** By the whole club's rate and dispersion; empty without a fish. */
    private static List<Size> sizes(StintTable table) {
        int[] fish = table.fish(null, null);
        double hours = 0;
        int sum = 0;
        for (int row = 0; row < fish.length; row++) {
            hours += table.rodHours(row);
            sum += fish[row];
        }
        if (sum == 0) {
            return List.of();
        }
        double rate = sum / hours;
        double dispersion = Teaching.dispersion(table, null);
        return Trial.RATIOS.stream()
                .map(ratio -> new Size(
                        Figures.fixed(ratio, 2) + " times",
                        Figures.fixed(
                                        Math.ceil(
                                                TrialSize.rodHoursEach(rate, ratio, dispersion, TrialSize.USUAL_POWER)),
                                        0)
                                + " rod-hours on each"))
                .toList();
    }

    private Line line(Person person, StintTable table, Trial trial, Map<String, SetUp> of) {
        SetUp a = Objects.requireNonNull(of.get(trial.setUpA()));
        SetUp b = Objects.requireNonNull(of.get(trial.setUpB()));
        String one = SetUpWords.of(a, person.units());
        String two = SetUpWords.of(b, person.units());
        TrialResult result = reckoned.of(table, TrialResult.class, trial, t -> TrialResult.of(t, trial));
        Double chance = result.chance();
        Double wrong = result.wrong();
        List<String> differ = Trial.differences(a, b);
        return new Line(
                trial.id(),
                one + " or " + two,
                came(one, result.a(), trial) + "; " + came(two, result.b(), trial),
                chance == null
                        ? "Not fished on both sides yet: take it up on the deck."
                        : Math.round(100 * Math.max(chance, 1 - chance)) + " in 100 that the "
                                + (chance >= 0.5 ? "first" : "second") + " takes more" + ratio(result) + ".",
                wrong == null
                        ? ""
                        : "To stop now and keep to the better would be wrong " + Math.round(100 * wrong)
                                + " times in 100; looked at again and again until it pleases, more often than that."
                                + " The whole trial finds what is there with the chance it was sized for.",
                differ.size() > 1
                        ? "They differ in " + differ.size() + " things ("
                                + differ.stream().map(FieldWords::of).collect(Collectors.joining(", "))
                                + "): whichever does better, it will not say by which of them."
                        : "",
                trial.ended() == null);
    }

    private static String came(String words, @Nullable Effort effort, Trial trial) {
        return words + ": "
                + (effort == null
                        ? "not yet"
                        : Math.round(effort.fish()) + " fish in " + Figures.fixed(effort.rodHours(), 1))
                + " of " + Figures.fixed(trial.hoursEach(), 0) + " rod-hours";
    }

    private static String ratio(TrialResult result) {
        if (!(result.matched().estimate() instanceof Estimate.Figure figure)) {
            return "";
        }
        Interval interval = figure.interval();
        return ", " + Figures.fixed(figure.ratio(), 2) + " times like for like"
                + (interval == null
                        ? ""
                        : " (" + Figures.fixed(interval.low(), 2) + " to " + Figures.fixed(interval.high(), 2) + ")");
    }
}
