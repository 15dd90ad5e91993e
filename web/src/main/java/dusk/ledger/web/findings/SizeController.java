package dusk.ledger.web.findings;

import dusk.ledger.evidence.BestFive;
import dusk.ledger.evidence.Comparison;
import dusk.ledger.evidence.LikeForLike;
import dusk.ledger.evidence.Question;
import dusk.ledger.evidence.Sizes;
import dusk.ledger.stints.StintTable;
import dusk.ledger.vocabulary.Factor;
import dusk.ledger.web.records.ClubNames;
import dusk.ledger.web.records.Person;
import dusk.ledger.web.security.ForReaders;
import dusk.ledger.web.store.RecentTables;
import dusk.ledger.web.store.Reckoned;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.BitSet;
import java.util.List;
import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.LinkedMultiValueMap;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Which choice takes better fish, not more. */
@Controller
@ForReaders
class SizeController {
    private static final int TRIPS_SHOWN = 5;
    private static final int ANGLERS_SHOWN = 10;

    private final RecentTables tables;
    private final Reckoned reckoned;
    private final AskForm form;
    private final ClubNames names;
    private final Clock clock;

    SizeController(RecentTables tables, Reckoned reckoned, AskForm form, ClubNames names, Clock clock) {
        this.tables = tables;
        this.reckoned = reckoned;
        this.form = form;
        this.names = names;
        this.clock = clock;
    }

    /** Both readings of the sizes, and, where a least length is asked for, how often fish of it come. */
    private record Read(Sizes measured, Sizes withEstimated) {}

    @GetMapping("/findings/size")
    String size(
            Person person,
            @RequestParam(defaultValue = "colour") String factor,
            @RequestParam MultiValueMap<String, String> asked,
            Model model,
            HttpServletResponse response) {
        StintTable table = tables.whole(person.viewer());
        CompareAsk ask = form.read(person, table, factor, ofOneSpecies(asked, table), model);
        Question question = ask.question();
        if (question == null) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return "findings/size";
        }
        Read read = reckoned.of(
                table, Read.class, question, t -> new Read(Sizes.of(t, question, false), Sizes.of(t, question, true)));
        Comparison often = question.least() == null
                ? null
                : reckoned.of(table, Comparison.class, question, t -> Comparison.of(t, question));
        LikeForLike fair = question.least() == null
                ? null
                : reckoned.of(table, LikeForLike.class, question, t -> LikeForLike.of(t, question));
        model.addAttribute(
                "answer",
                SizeView.of(
                        new SizeView.Reckoning(question, read.measured(), read.withEstimated(), often, fair),
                        person.units()));
        if (question.species() != null) {
            model.addAttribute("tallies", tallies(person, table, question));
        }
        return "findings/size";
    }

    /** Fish of several species are never one size; where none is chosen yet, the one landed most is. */
    private static MultiValueMap<String, String> ofOneSpecies(MultiValueMap<String, String> asked, StintTable table) {
        if (asked.containsKey("species") || table.species().isEmpty()) {
            return asked;
        }
        MultiValueMap<String, String> with = new LinkedMultiValueMap<>(asked);
        with.set("species", table.species().get(0));
        return with;
    }

    /** The tallies, which go through every length there is. */
    private record BestFives(List<BestFive> trips, List<BestFive> anglersThisYear, List<BestFive> seasons) {
        static BestFives of(StintTable table, Question question, LocalDate today) {
            BitSet rows = Comparison.rows(table, question);
            double[][] lengths = table.lengthsMm(String.valueOf(question.species()), false);
            BitSet thisYear = BestFive.since(
                    table, rows, today.withDayOfYear(1).atStartOfDay().toInstant(ZoneOffset.UTC));
            return new BestFives(
                    BestFive.by(table.codes(Factor.TRIP), rows, lengths).stream()
                            .limit(TRIPS_SHOWN)
                            .toList(),
                    BestFive.by(table.codes(Factor.ANGLER), thisYear, lengths).stream()
                            .limit(ANGLERS_SHOWN)
                            .toList(),
                    BestFive.by(table.codes(Factor.SEASON), rows, lengths));
        }
    }

    private List<SizeView.Tally> tallies(Person person, StintTable table, Question question) {
        LocalDate today = LocalDate.now(clock.withZone(ZoneOffset.UTC));
        BestFives best = reckoned.of(table, BestFives.class, question, today, t -> BestFives.of(t, question, today));
        Map<String, String> trips = names.trips(
                person.viewer(), best.trips().stream().map(BestFive::of).toList());
        Map<String, String> anglers = names.anglers(person.viewer());
        return List.of(
                SizeView.Tally.of("The best five of a trip", best.trips(), trips, person.units()),
                SizeView.Tally.of(
                        "The best five of a person, " + today.getYear(),
                        best.anglersThisYear(),
                        anglers,
                        person.units()),
                SizeView.Tally.of("The best five of a season, all years", best.seasons(), Map.of(), person.units()));
    }
}
