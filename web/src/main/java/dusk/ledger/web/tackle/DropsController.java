package dusk.ledger.web.tackle;

import dusk.ledger.journal.Angler;
import dusk.ledger.journal.Drop;
import dusk.ledger.journal.SetUp;
import dusk.ledger.units.Figures;
import dusk.ledger.units.UnitSystem;
import dusk.ledger.water.Calibration;
import dusk.ledger.water.Calibrations;
import dusk.ledger.water.Cast;
import dusk.ledger.water.Fall;
import dusk.ledger.water.Tied;
import dusk.ledger.web.form.Typed;
import dusk.ledger.web.portrait.Portrait;
import dusk.ledger.web.records.Anglers;
import dusk.ledger.web.records.Drops;
import dusk.ledger.web.records.Person;
import dusk.ledger.web.records.SetUps;
import dusk.ledger.web.store.Deletions;
import dusk.ledger.web.store.NotYours;
import dusk.ledger.web.words.CountForm;
import dusk.ledger.web.words.SetUpWords;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The drops that were counted of a set-up, and what they did to its times. */
@Controller
@RequestMapping("/tackle/set-ups/{setUpId}/drops")
class DropsController {
    private final SetUps setUps;
    private final Drops drops;
    private final Deletions deletions;
    private final Anglers anglers;
    private final Clock clock;

    DropsController(SetUps setUps, Drops drops, Deletions deletions, Anglers anglers, Clock clock) {
        this.setUps = setUps;
        this.drops = drops;
        this.deletions = deletions;
        this.anglers = anglers;
        this.clock = clock;
    }

    /**
     * A drop as listed.
     *
     * @param says the factor it alone would put on the drag
     * @param other words of the set-up it was counted on, where that is another that falls alike; empty where it is this one
     */
    record Line(
            String id,
            String when,
            String who,
            String count,
            String reckoned,
            String says,
            boolean outlier,
            String other,
            boolean mayStrike) {}

    /** What the drops did. */
    record Effect(String factor, String before, String after) {}

    @GetMapping
    String page(Person person, @PathVariable String setUpId, Model model) {
        return show(person, setUps.one(person.viewer(), setUpId), Map.of(), Map.of(), model);
    }

    private String show(
            Person person, SetUp setUp, Map<String, String> typed, Map<String, String> errors, Model model) {
        UnitSystem units = person.units();
        Fall fall = Fall.of(setUp, drops.calibrations(person.viewer()));
        String words = SetUpWords.of(setUp, units);
        model.addAttribute("id", setUp.id());
        model.addAttribute("words", words);
        model.addAttribute("portrait", Portrait.svg(setUp, words));
        model.addAttribute("typed", typed);
        model.addAttribute("errors", errors);
        model.addAttribute("depthHint", CountForm.depthHint(units));
        if (fall instanceof Fall.Known known && !known.floats(Cast.density(false))) {
            model.addAttribute("basis", known.basisWords());
            model.addAttribute("lines", lines(person, setUp, known));
            model.addAttribute("effect", known.basis().calibration().equals(Calibration.NONE) ? null : effect(known));
            model.addAttribute("why", "");
        } else {
            model.addAttribute(
                    "why", fall instanceof Fall.Unknown unknown ? unknown.why() : "It floats: it never falls.");
        }
        return "tackle/drops";
    }

    private List<Line> lines(Person person, SetUp setUp, Fall.Known fall) {
        List<Drop> everyones = drops.all(person.viewer());
        Map<String, SetUp> all =
                setUps.of(person.viewer(), everyones.stream().map(Drop::setUpId).collect(Collectors.toSet())).stream()
                        .collect(Collectors.toMap(SetUp::id, Function.identity()));
        Map<String, String> names =
                anglers.all(person.viewer()).stream().collect(Collectors.toMap(Angler::id, Angler::called));
        List<Drop> alike = everyones.stream()
                .filter(d ->
                        Tied.of(Objects.requireNonNull(all.get(d.setUpId()))).equals(fall.tied()))
                .toList();
        double[] logs = alike.stream()
                .mapToDouble(d -> Calibrations.logFactor(fall.tied(), Drops.reckoned(d), Drops.water(d)))
                .toArray();
        boolean[] outliers = Calibration.outliers(logs);
        Fall.Known bare = fall.uncounted();
        List<Line> lines = new ArrayList<>();
        for (int i = 0; i < alike.size(); i++) {
            Drop drop = alike.get(i);
            SetUp of = Objects.requireNonNull(all.get(drop.setUpId()));
            lines.add(new Line(
                    drop.id(),
                    CountForm.day(drop.at()),
                    names.getOrDefault(String.valueOf(drop.anglerId()), "someone"),
                    Figures.trimmed(drop.seconds(), 1) + " s to "
                            + drop.depth().show(person.units().depth())
                            + (Boolean.TRUE.equals(drop.salt()) ? ", salt water" : ""),
                    Fall.counted(bare.seconds(drop.depth().metres(), Drops.water(drop))) + " s",
                    Figures.fixed(Math.exp(logs[i]), 2),
                    outliers[i],
                    of.id().equals(setUp.id()) ? "" : SetUpWords.of(of, person.units()),
                    Drops.mayStrike(person.viewer(), drop)));
        }
        return lines;
    }

    private static Effect effect(Fall.Known fall) {
        double fresh = Cast.density(false);
        Fall.Known bare = fall.uncounted();
        return new Effect(
                Figures.fixed(fall.basis().calibration().factor(), 2),
                Figures.fixed(bare.lure(fresh).terminalMps(fresh), 2) + " m/s",
                Figures.fixed(fall.lure(fresh).terminalMps(fresh), 2) + " m/s");
    }

    @PostMapping
    String add(
            Person person,
            @PathVariable String setUpId,
            @RequestParam Map<String, String> typed,
            Model model,
            RedirectAttributes flash,
            HttpServletResponse response) {
        SetUp setUp = setUps.one(person.viewer(), setUpId);
        Typed fields = new Typed(typed, person.units());
        boolean salt = fields.ticked("salt");
        Calibration.Drop drop = CountForm.read(setUp, fields, salt);
        if (drop == null) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return show(person, setUp, typed, fields.errors(), model);
        }
        drops.add(person.viewer(), setUpId, clock.instant(), drop, salt);
        flash.addFlashAttribute("said", "Counted: " + CountForm.words(drop, person.units()) + ".");
        return page(setUpId);
    }

    private static String page(String setUpId) {
        return "redirect:/tackle/set-ups/" + setUpId + "/drops";
    }

    @PostMapping("/{dropId}/delete")
    String strike(Person person, @PathVariable String setUpId, @PathVariable String dropId, RedirectAttributes flash) {
        Drop drop = drops.all(person.viewer()).stream()
                .filter(d -> d.id().equals(dropId) && Drops.mayStrike(person.viewer(), d))
                .findFirst()
                .orElseThrow(NotYours::new);
        String what = "the drop of " + CountForm.words(Drops.reckoned(drop), person.units());
        flash.addFlashAttribute("struck", drops.strike(person.viewer(), drop, what));
        return page(setUpId);
    }

    @PostMapping("/undo")
    String undo(Person person, @PathVariable String setUpId, @RequestParam String deletion, RedirectAttributes flash) {
        flash.addFlashAttribute(
                "said",
                deletions.undo(person.viewer(), deletion)
                        ? "It is back."
                        : "That deletion is not there any more: it was undone already.");
        return page(setUpId);
    }
}
