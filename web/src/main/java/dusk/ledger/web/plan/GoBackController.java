package dusk.ledger.web.plan;

import dusk.ledger.journal.Water;
import dusk.ledger.places.GoBack;
import dusk.ledger.units.Figures;
import dusk.ledger.web.records.Person;
import dusk.ledger.web.words.PlaceWords;
import dusk.ledger.web.words.TimeText;
import java.time.Clock;
import java.util.List;
import java.util.Objects;
import java.util.stream.Collectors;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Which places to go back to, and what has changed there since. */
@Controller
class GoBackController {
    private final PlannedWater planned;
    private final Board board;
    private final Clock clock;

    GoBackController(PlannedWater planned, Board board, Clock clock) {
        this.planned = planned;
        this.board = board;
        this.clock = clock;
    }

    /**
     * A place as the page lays it out.
     *
     * @param rate to expect now
     * @param ring of a hundred, how much of the find is left
     */
    record Line(
            String place,
            String rate,
            String find,
            long left,
            String changes,
            boolean keepsPaying,
            String paid,
            String run) {}

    @GetMapping("/plan/go-back")
    String board(Person person, @RequestParam(name = "water", defaultValue = "") String asked, Model model) {
        Water water = planned.of(person.viewer(), asked, model);
        if (water == null) {
            return "plan/no-water";
        }
        Board.Laid laid = board.of(person.viewer(), water, clock.instant());
        List<Line> lines = laid.board().places().stream()
                .map(place -> line(laid, place, water))
                .toList();
        model.addAttribute("sentence", sentence(laid, water));
        model.addAttribute("lines", lines);
        model.addAttribute(
                "halfLife",
                Figures.fixed(laid.board().halfLives().days(laid.water().state().season()), 0));
        model.addAttribute(
                "fitted", laid.board().halfLives().fitted(laid.water().state().season()));
        model.addAttribute("light", Objects.requireNonNullElse(laid.water().light(), ""));
        model.addAttribute("season", season(laid));
        model.addAttribute(
                "read",
                laid.water().read() == null ? "" : TimeText.moment(laid.water().read(), water.zone()));
        return "plan/go-back";
    }

    private static String season(Board.Laid laid) {
        var season = laid.water().state().season();
        return season == null ? "" : season.word();
    }

    private static String sentence(Board.Laid laid, Water water) {
        GoBack.Place first = laid.board().places().stream().findFirst().orElse(null);
        if (first == null) {
            return "Nothing to go back to yet on " + water.name() + ": no fish stands at a place of its own.";
        }
        String place = PlaceWords.of(laid.spot(first));
        return first.rate() > laid.board().usual()
                ? "Back to " + place + ": " + rate(first.rate()) + " to expect, where a visit usually gives "
                        + Figures.fixed(laid.board().usual(), 2) + "."
                : "No find on " + water.name()
                        + " outlives what has changed since, and no place of it gives more than is usual: search anew.";
    }

    private static String rate(double rate) {
        return Figures.fixed(rate, 2) + " fish a rod-hour";
    }

    private static Line line(Board.Laid laid, GoBack.Place place, Water water) {
        long left = Math.round(100 * place.left());
        long days = Math.round(place.days());
        String ago = days == 0 ? "today" : days == 1 ? "yesterday" : days + " days ago";
        return new Line(
                PlaceWords.of(laid.spot(place)),
                rate(place.rate()) + " to expect, " + Figures.fixed(place.own(), 2) + " over all its visits",
                place.visit().fish() + " fish in " + Figures.fixed(place.visit().rodHours(), 1) + " rod-hours "
                        + ago
                        + (place.visit().light() == null
                                ? ""
                                : ", " + place.visit().light())
                        + (place.last().equals(place.visit().at())
                                ? ""
                                : "; fished last " + TimeText.date(place.last(), water.zone())),
                left,
                place.changes().isEmpty()
                        ? ""
                        : place.changes().stream()
                                .sorted()
                                .map(change -> change.words())
                                .collect(Collectors.joining(", ")),
                place.keepsPaying(),
                "paid on " + place.paid() + " of " + place.trips() + (place.trips() == 1 ? " trip" : " trips"),
                place.spotId());
    }
}
