package dusk.ledger.web.plan;

import dusk.ledger.journal.Water;
import dusk.ledger.plan.Adviser;
import dusk.ledger.plan.PlanCautions;
import dusk.ledger.plan.PlanConditions;
import dusk.ledger.tackle.TackleChecks;
import dusk.ledger.vocabulary.Factor;
import dusk.ledger.web.form.Typed;
import dusk.ledger.web.records.FishFacts;
import dusk.ledger.web.records.Person;
import dusk.ledger.web.records.RodOut;
import dusk.ledger.web.records.SetUps;
import dusk.ledger.web.records.TripRows;
import dusk.ledger.web.records.WaterRules;
import dusk.ledger.web.records.Waters;
import dusk.ledger.web.store.RecentTables;
import dusk.ledger.web.words.TimeText;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** What to rig for the conditions of an hour. */
@Controller
class CallController {
    private static final int USUAL_RODS = 3;

    private final RecentTables tables;
    private final SetUps setUps;
    private final Waters waters;
    private final TripRows trips;
    private final WaterRules rules;
    private final FishFacts fish;
    private final Clock clock;

    CallController(
            RecentTables tables,
            SetUps setUps,
            Waters waters,
            TripRows trips,
            WaterRules rules,
            FishFacts fish,
            Clock clock) {
        this.tables = tables;
        this.setUps = setUps;
        this.waters = waters;
        this.trips = trips;
        this.rules = rules;
        this.fish = fish;
        this.clock = clock;
    }

    @GetMapping("/plan")
    String call(Person person, @RequestParam Map<String, String> asked, Model model, HttpServletResponse response) {
        List<Water> all = waters.all(person.viewer());
        if (all.isEmpty()) {
            return "plan/no-water";
        }
        String chosen = asked.getOrDefault("water", "");
        Water water = all.stream()
                .filter(w -> w.id().equals(chosen))
                .findFirst()
                .or(() -> waters.home(person.viewer()))
                .orElse(all.get(0));
        CallAsk ask = new CallAsk(person, water);
        var last = trips.lastOn(person.viewer(), water.id());
        Map<String, String> typed = new HashMap<>(ask.fresh(last.orElse(null), clock.instant()));
        // another water was chosen: its own reading, not what was typed of the one before
        boolean sameWater = asked.getOrDefault("of", water.id()).equals(water.id());
        if (sameWater) {
            typed.putAll(asked);
        }
        Typed other = new Typed(asked, person.units());
        Integer rods = asked.containsKey("rods") ? other.whole("rods", 1, RodOut.MOST) : (Integer) USUAL_RODS;
        PlanConditions.Who who = new PlanConditions.Who(
                other.textOrNull("species"),
                water.kind(),
                other.ticked("on_foot"),
                fish.toothed(person.viewer(), water.id()));
        PlanConditions conditions = ask.read(typed, who);
        if (conditions == null || rods == null) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        } else {
            TackleChecks.Use use = new TackleChecks.Use(
                    null,
                    null,
                    conditions.known().get(Factor.COVER),
                    rules.leadForbidden(person.viewer(), water.id()),
                    who.toothedFish());
            model.addAttribute(
                    "call",
                    CallView.of(
                            Adviser.of(
                                    tables.of(person.viewer()),
                                    setUps.mostFishedFirst(person.viewer()),
                                    conditions,
                                    new Adviser.Wish(rods, Map.of(), use, 1)),
                            person.units(),
                            water.id()));
            model.addAttribute("cautions", PlanCautions.of(conditions, person.units()));
            model.addAttribute("hour", TimeText.moment(conditions.reading().at(), water.zone()) + light(conditions));
        }
        model.addAttribute("form", ask.form(typed));
        model.addAttribute("waters", all);
        model.addAttribute("water", water);
        model.addAttribute("species", fish.likely(person.viewer(), water.id()));
        model.addAttribute("asked", asked);
        model.addAttribute("rods", asked.getOrDefault("rods", String.valueOf(USUAL_RODS)));
        model.addAttribute("errors", other.errors());
        model.addAttribute(
                "read", last.map(r -> TimeText.moment(r.at(), water.zone())).orElse(""));
        return "plan/call";
    }

    private static String light(PlanConditions conditions) {
        String light = conditions.known().get(Factor.LIGHT);
        String season = conditions.known().get(Factor.SEASON);
        return (light == null ? "" : ", " + light) + (season == null ? "" : ", " + season);
    }
}
