package dusk.ledger.web.plan;

import dusk.ledger.journal.SetUp;
import dusk.ledger.journal.Water;
import dusk.ledger.plan.Advice;
import dusk.ledger.plan.Call;
import dusk.ledger.plan.PackList;
import dusk.ledger.plan.PlanCautions;
import dusk.ledger.plan.PlanConditions;
import dusk.ledger.plan.Rule;
import dusk.ledger.plan.RuleBook;
import dusk.ledger.vocabulary.Factor;
import dusk.ledger.web.form.Typed;
import dusk.ledger.web.records.Calls;
import dusk.ledger.web.records.FishFacts;
import dusk.ledger.web.records.People;
import dusk.ledger.web.records.Person;
import dusk.ledger.web.records.RodOut;
import dusk.ledger.web.records.TripRows;
import dusk.ledger.web.words.TimeText;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** What to rig for the conditions of an hour. */
@Controller
class CallController {
    private static final int USUAL_RODS = 3;
    private static final double USUAL_HOURS = 5;
    private static final double LONGEST_HOURS = 24;
    private static final int MOST_FIT = 40;

    /** Set-ups that go into the boat beside those of the spread. */
    private static final int MORE = 3;

    private final PlannedWater planned;
    private final Advising advising;
    private final People people;
    private final Calls calls;
    private final TripRows trips;
    private final FishFacts fish;
    private final Clock clock;

    CallController(
            PlannedWater planned,
            Advising advising,
            People people,
            Calls calls,
            TripRows trips,
            FishFacts fish,
            Clock clock) {
        this.planned = planned;
        this.advising = advising;
        this.people = people;
        this.calls = calls;
        this.trips = trips;
        this.fish = fish;
        this.clock = clock;
    }

    @GetMapping("/plan")
    String call(Person person, @RequestParam Map<String, String> asked, Model model, HttpServletResponse response) {
        Made made = made(person, asked, model, response);
        if (made == null) {
            return "plan/no-water";
        }
        if (made.advice() != null) {
            model.addAttribute(
                    "call",
                    CallView.of(made.advice(), person.units(), made.water().id()));
        }
        return "plan/call";
    }

    /** What to pack for a call, as ticked so far. */
    @GetMapping("/plan/pack")
    String pack(Person person, @RequestParam Map<String, String> asked, Model model, HttpServletResponse response) {
        Made made = made(person, asked, model, response);
        if (made == null) {
            return "plan/no-water";
        }
        Advice advice = made.advice();
        PlanConditions conditions = made.conditions();
        if (advice == null || conditions == null) {
            // what is wrong is marked in the call's own form
            return "plan/call";
        }
        Typed typed = new Typed(asked, person.units());
        Double hours =
                asked.containsKey("hours") ? typed.number("hours", 0.5, LONGEST_HOURS, "hours") : (Double) USUAL_HOURS;
        Integer fits = asked.containsKey("fits") ? typed.whole("fits", 1, MOST_FIT) : (Integer) PackList.USUAL_ON_FOOT;
        if (hours == null || fits == null) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        }
        List<SetUp> more = advice.calls().stream()
                .filter(Call::owned)
                .map(Call::setUp)
                .filter(setUp -> advice.spread().stream()
                        .noneMatch(rod -> rod.call().setUp().id().equals(setUp.id())))
                .limit(MORE)
                .toList();
        model.addAttribute(
                "call", CallView.of(advice, person.units(), made.water().id()));
        model.addAttribute(
                "pack",
                PackList.of(
                        new PackList.For(
                                advice.spread(),
                                more,
                                hours == null ? USUAL_HOURS : hours,
                                fits == null ? PackList.USUAL_ON_FOOT : fits),
                        conditions,
                        person.units()));
        model.addAttribute("onFoot", conditions.onFoot());
        model.addAttribute("packErrors", typed.errors());
        model.addAttribute("hours", asked.getOrDefault("hours", "5"));
        model.addAttribute("fits", asked.getOrDefault("fits", String.valueOf(PackList.USUAL_ON_FOOT)));
        return "plan/pack";
    }

    /** Keeps a call with what it promises, and leads to the deck. */
    @PostMapping("/plan/calls")
    String keep(Person person, @RequestParam Map<String, String> asked, Model model, HttpServletResponse response) {
        Made made = made(person, asked, model, response);
        Advice advice = made == null ? null : made.advice();
        PlanConditions conditions = made == null ? null : made.conditions();
        if (made == null || advice == null || conditions == null) {
            return made == null ? "plan/no-water" : "plan/call";
        }
        boolean known = advice.spread().stream().allMatch(rod -> rod.call().owned());
        if (!known || advice.spread().isEmpty()) {
            model.addAttribute(
                    "call", CallView.of(advice, person.units(), made.water().id()));
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return "plan/call";
        }
        List<Calls.Rod> rods = new ArrayList<>();
        for (Advice.Rod rod : advice.spread()) {
            Call call = rod.call();
            rods.add(new Calls.Rod(
                    rods.size() + 1,
                    call.setUp().id(),
                    call.presentation(),
                    rod.role(),
                    call.rate(),
                    call.interval(),
                    call.features().stream()
                            .flatMap(feature -> feature.rules().stream())
                            .filter(rule -> rule.favours().stream().anyMatch(Rule.Favour::isFor))
                            .map(Rule::id)
                            .collect(Collectors.toSet())));
        }
        String id = calls.keep(
                person.viewer(),
                made.water().id(),
                clock.instant(),
                conditions.species(),
                TimeText.moment(conditions.reading().at(), made.water().zone()) + light(conditions),
                rods);
        return "redirect:" + CallView.start(advice, made.water().id(), id);
    }

    /** A call as far as it could be made. @param conditions null where something is wrong with what was typed */
    private record Made(
            Water water,
            @Nullable PlanConditions conditions,
            @Nullable Advice advice) {}

    /** Null in a club without a water. */
    private @Nullable Made made(Person person, Map<String, String> asked, Model model, HttpServletResponse response) {
        Water water = planned.of(person.viewer(), asked.getOrDefault("water", ""), model);
        if (water == null) {
            return null;
        }
        CallAsk ask = new CallAsk(person, water);
        var last = trips.lastOn(person.viewer(), water.id());
        Map<String, String> typed = new HashMap<>(ask.fresh(last.orElse(null), clock.instant()));
        // another water was chosen: its own reading, not what was typed of the one before
        boolean sameWater = asked.getOrDefault("of", water.id()).equals(water.id());
        if (sameWater) {
            typed.putAll(asked);
        }
        Map<String, String> schools = people.schools(person.id());
        Typed other = new Typed(asked, person.units());
        Integer rods = asked.containsKey("rods") ? other.whole("rods", 1, RodOut.MOST) : (Integer) USUAL_RODS;
        PlanConditions.Who who = new PlanConditions.Who(
                other.textOrNull("species"),
                water.kind(),
                other.ticked("on_foot"),
                fish.toothed(person.viewer(), water.id()));
        PlanConditions conditions = ask.read(typed, who);
        Advice advice = null;
        if (conditions == null || rods == null) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        } else {
            advice = advising.of(person, water.id(), conditions, rods, followed(schools, asked));
            model.addAttribute("cautions", PlanCautions.of(conditions, person.units()));
            model.addAttribute("ruled", advising.ruled(person, water.id()));
            model.addAttribute("hour", TimeText.moment(conditions.reading().at(), water.zone()) + light(conditions));
        }
        model.addAttribute("form", ask.form(typed));
        model.addAttribute("species", fish.likely(person.viewer(), water.id()));
        model.addAttribute("asked", asked);
        model.addAttribute("schoolsOf", RuleBook.schools());
        model.addAttribute("followed", followed(schools, asked));
        model.addAttribute("rods", asked.getOrDefault("rods", String.valueOf(USUAL_RODS)));
        model.addAttribute("errors", other.errors());
        model.addAttribute(
                "read", last.map(r -> TimeText.moment(r.at(), water.zone())).orElse(""));
        return new Made(water, conditions, advice);
    }

    /**
     * Schools to follow, by question; of a school that nobody knows all are heard.
     *
     * @param own that the person follows where nothing else is said
     */
    private static Map<String, String> followed(Map<String, String> own, Map<String, String> asked) {
        Map<String, String> followed = new HashMap<>();
        RuleBook.schools().forEach((question, answers) -> {
            String school = asked.getOrDefault("follow." + question, own.getOrDefault(question, ""));
            if (answers.stream().anyMatch(rule -> school.equals(rule.school()))) {
                followed.put(question, school);
            }
        });
        return followed;
    }

    private static String light(PlanConditions conditions) {
        String light = conditions.known().get(Factor.LIGHT);
        String season = conditions.known().get(Factor.SEASON);
        return (light == null ? "" : ", " + light) + (season == null ? "" : ", " + season);
    }
}
