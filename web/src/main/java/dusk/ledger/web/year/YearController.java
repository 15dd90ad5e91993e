package dusk.ledger.web.year;

import dusk.ledger.plan.PlanConditions;
import dusk.ledger.review.ClubYear;
import dusk.ledger.stints.StintTable;
import dusk.ledger.teach.Question;
import dusk.ledger.teach.Teaching;
import dusk.ledger.units.Figures;
import dusk.ledger.web.records.BestFish;
import dusk.ledger.web.records.ClubNames;
import dusk.ledger.web.records.Person;
import dusk.ledger.web.records.SetUps;
import dusk.ledger.web.store.RecentTables;
import dusk.ledger.web.store.Reckoned;
import dusk.ledger.web.words.TimeText;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The club's year on a page for the meeting and for print. It is of what all share, the same for everyone, and names no place. */
@Controller
class YearController {
    private static final int TO_TRY = 3;
    private static final int EARLIEST = 1900;
    private static final int LATEST = 2099;

    private final RecentTables tables;
    private final Reckoned reckoned;
    private final BestFish best;
    private final ClubNames names;
    private final SetUps setUps;
    private final Clock clock;

    YearController(RecentTables tables, Reckoned reckoned, BestFish best, ClubNames names, SetUps setUps, Clock clock) {
        this.tables = tables;
        this.reckoned = reckoned;
        this.best = best;
        this.names = names;
        this.setUps = setUps;
        this.clock = clock;
    }

    /** A fish in words. */
    record Fish(String species, String length, String by) {}

    /** Who logged, in figures. */
    record Angler(String name, int trips, String hours, int fish) {}

    private record ToTry(List<String> questions) {}

    @GetMapping("/club/year")
    String page(Person person, @RequestParam @Nullable Integer year, Model model) {
        StintTable table = tables.shared(person.viewer()).table();
        List<Integer> years = IntStream.range(0, table.size())
                .map(row -> table.startedAt(row).atOffset(ZoneOffset.UTC).getYear())
                .distinct()
                .sorted()
                .boxed()
                .toList();
        int latest = years.isEmpty()
                ? LocalDate.ofInstant(clock.instant(), ZoneOffset.UTC).getYear()
                : years.get(years.size() - 1);
        int asked = year == null ? latest : Math.max(EARLIEST, Math.min(LATEST, year));
        ClubYear of = reckoned.of(table, ClubYear.class, asked, t -> ClubYear.of(t, asked));
        Map<String, String> anglers = names.anglers(person.viewer());
        model.addAttribute("year", asked);
        model.addAttribute("years", years);
        model.addAttribute("of", of);
        model.addAttribute("hours", Figures.trimmed(of.effort().rodHours(), 0));
        model.addAttribute("sentence", sentence(of));
        model.addAttribute(
                "anglers",
                of.anglers().stream()
                        .map(a -> new Angler(
                                anglers.getOrDefault(a.anglerId(), "somebody without a name"),
                                a.trips(),
                                Figures.trimmed(a.rodHours(), 1),
                                a.fish()))
                        .toList());
        model.addAttribute("best", best(person, asked));
        model.addAttribute("next", next(person, table));
        return "year/year";
    }

    private static String sentence(ClubYear of) {
        ClubYear.Effort effort = of.effort();
        if (effort.stints() == 0) {
            return "Nothing was logged in " + of.year() + ".";
        }
        double rate = effort.rodHours() > 0 ? effort.fish() / effort.rodHours() : 0;
        return effort.fish() + " fish in " + Figures.trimmed(effort.rodHours(), 0) + " rod-hours, "
                + Figures.fixed(rate, 2) + " an hour, on " + effort.trips() + " trips. "
                + (effort.blankTrips() == 0
                        ? "No trip"
                        : effort.blankTrips() == 1 ? "One trip" : effort.blankTrips() + " trips")
                + " and " + effort.blankStints() + " of " + effort.stints()
                + " stints were blanks, and without them nothing could be said.";
    }

    private List<Fish> best(Person person, int year) {
        Instant from = LocalDate.of(year, 1, 1).atStartOfDay(ZoneOffset.UTC).toInstant();
        Instant to = LocalDate.of(year + 1, 1, 1).atStartOfDay(ZoneOffset.UTC).toInstant();
        return best.of(person.viewer(), from, to).stream()
                .map(one -> new Fish(
                        one.species(),
                        one.length().show(person.units().lure()) + (one.estimated() ? ", estimated" : ""),
                        (one.angler().isEmpty() ? "" : one.angler() + ", ") + TimeText.date(one.on(), ZoneOffset.UTC)))
                .toList();
    }

    private List<String> next(Person person, StintTable table) {
        return reckoned.of(
                        table,
                        ToTry.class,
                        "year",
                        t -> new ToTry(Teaching.under(t, setUps.all(person.viewer()), PlanConditions.unknown()).stream()
                                .limit(TO_TRY)
                                .map(Question::text)
                                .toList()))
                .questions();
    }
}
