package dusk.ledger.web.findings;

import dusk.ledger.evidence.Comparison;
import dusk.ledger.evidence.Question;
import dusk.ledger.light.SunHour;
import dusk.ledger.stints.StintTable;
import dusk.ledger.units.Figures;
import dusk.ledger.vocabulary.Factor;
import dusk.ledger.web.records.ClubNames;
import dusk.ledger.web.records.Person;
import dusk.ledger.web.security.ForReaders;
import dusk.ledger.web.store.RecentTables;
import dusk.ledger.web.store.Viewer;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.PriorityQueue;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The stints behind a figure. */
@Controller
@ForReaders
class StintsController {
    private static final int SHOWN = 300;

    private final RecentTables tables;
    private final ClubNames names;

    StintsController(RecentTables tables, ClubNames names) {
        this.tables = tables;
        this.names = names;
    }

    /** A stint in the list. */
    record Line(String address, String trip, String angler, String rodHours, int fish) {}

    @GetMapping("/findings/stints")
    String stints(
            Person person,
            @RequestParam MultiValueMap<String, String> asked,
            @RequestParam(defaultValue = "") String species,
            @RequestParam(defaultValue = "") String least,
            @RequestParam(defaultValue = "") String sun,
            @RequestParam(defaultValue = "false") boolean mine,
            Model model) {
        Viewer viewer = person.viewer();
        StintTable table = sun.isEmpty() ? tables.of(viewer) : tables.of(viewer).placedInDay();
        CompareAsk ask = CompareAsk.of(
                Factor.COLOUR.key(), asked.getOrDefault("where", List.of()), species, least, table, person.units());
        Question question = ask.question();
        Optional<SunHour> hour = Arrays.stream(SunHour.values())
                .filter(h -> h.toString().equals(sun))
                .findFirst();
        int[] fish = question == null ? new int[0] : table.fish(question.species(), question.least());
        int[] rows = question == null ? new int[0] : rows(viewer, table, question, hour, mine);
        List<String> conditions = new ArrayList<>();
        ask.where().forEach(w -> conditions.add(told(viewer, w)));
        hour.ifPresent(h -> conditions.add("by the sun: " + h.words()));
        if (mine) {
            conditions.add("yours only");
        }
        model.addAttribute("conditions", conditions);
        model.addAttribute("errors", ask.errors().values());
        model.addAttribute("lines", lines(viewer, table, fish, newest(table, rows)));
        model.addAttribute("count", rows.length);
        model.addAttribute("fish", Arrays.stream(rows).map(row -> fish[row]).sum());
        return "findings/stints";
    }

    private String told(Viewer viewer, String condition) {
        String factor = condition.substring(0, condition.indexOf('=') + 1);
        String id = condition.substring(factor.length());
        Map<String, String> named = switch (factor) {
            case "water=" -> names.waters(viewer);
            case "angler=" -> names.anglers(viewer);
            case "trip=" -> names.trips(viewer, List.of(id));
            default -> Map.of();
        };
        return factor.replace('_', ' ').replace("=", ": ") + named.getOrDefault(id, id);
    }

    private static int[] rows(
            Viewer viewer, StintTable table, Question question, Optional<SunHour> hour, boolean mine) {
        int own = table.codes(Factor.ANGLER).codeOf(String.valueOf(viewer.anglerId()));
        return Comparison.rows(table, question).stream()
                .filter(row -> hour.isEmpty() || table.sunHour(row) == hour.get())
                .filter(row -> !mine || table.codes(Factor.ANGLER).at(row) == own)
                .toArray();
    }

    /** The newest of them that are shown, the newest first: no more are put in order than that. */
    private static List<Integer> newest(StintTable table, int[] rows) {
        Comparator<Integer> byAge = Comparator.comparing(table::startedAt);
        PriorityQueue<Integer> kept = new PriorityQueue<>(byAge);
        for (int row : rows) {
            if (kept.size() < SHOWN || table.startedAt(row).isAfter(table.startedAt(kept.element()))) {
                kept.add(row);
            }
            if (kept.size() > SHOWN) {
                kept.remove();
            }
        }
        return kept.stream().sorted(byAge.reversed()).toList();
    }

    private List<Line> lines(Viewer viewer, StintTable table, int[] fish, List<Integer> rows) {
        Map<String, String> anglers = names.anglers(viewer);
        Map<String, String> trips = names.trips(
                viewer,
                rows.stream().map(row -> table.codes(Factor.TRIP).level(row)).toList());
        return rows.stream()
                .map(row -> {
                    String trip = table.codes(Factor.TRIP).level(row);
                    String angler = table.codes(Factor.ANGLER).level(row);
                    return new Line(
                            "/trips/" + trip,
                            trips.getOrDefault(trip, trip),
                            anglers.getOrDefault(angler, angler),
                            Figures.fixed(table.rodHours(row), 2),
                            fish[row]);
                })
                .toList();
    }
}
