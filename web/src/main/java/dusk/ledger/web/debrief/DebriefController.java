package dusk.ledger.web.debrief;

import com.openhtmltopdf.pdfboxout.PdfRendererBuilder;
import com.openhtmltopdf.svgsupport.BatikSVGDrawer;
import dusk.ledger.journal.SetUp;
import dusk.ledger.web.frame.Horizon;
import dusk.ledger.web.frame.HorizonStrip;
import dusk.ledger.web.portrait.Portrait;
import dusk.ledger.web.records.Calls;
import dusk.ledger.web.records.Person;
import dusk.ledger.web.records.SetUps;
import dusk.ledger.web.records.Trips;
import dusk.ledger.web.security.ForReaders;
import dusk.ledger.web.store.NotYours;
import dusk.ledger.web.store.Viewer;
import dusk.ledger.web.words.PromiseWords;
import dusk.ledger.web.words.SetUpWords;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.thymeleaf.context.Context;
import org.thymeleaf.spring6.SpringTemplateEngine;

/** The debrief of a trip, and its clients' cards. */
@Controller
class DebriefController {
    private final DayReading days;
    private final Trips trips;
    private final Horizon horizon;
    private final Calls calls;
    private final SetUps setUps;
    private final SpringTemplateEngine templates;

    DebriefController(
            DayReading days, Trips trips, Horizon horizon, Calls calls, SetUps setUps, SpringTemplateEngine templates) {
        this.calls = calls;
        this.setUps = setUps;
        this.days = days;
        this.trips = trips;
        this.horizon = horizon;
        this.templates = templates;
    }

    @GetMapping("/trips/{tripId}/debrief")
    String page(Person person, @PathVariable String tripId, Model model) {
        Viewer viewer = person.viewer();
        DayRecord day = days.of(viewer, tripId);
        model.addAttribute(
                "day",
                new Debriefs(day, person.units())
                        .page(
                                trips.may(viewer, tripId, Trips.Doing.ADD),
                                trips.may(viewer, tripId, Trips.Doing.CHANGE)));
        model.addAttribute("promised", promised(person, tripId));
        model.addAttribute("strip", strip(day));
        return "debrief/debrief";
    }

    /** What the call that was taken to the trip promised, and what came; none where none was. */
    private List<String> promised(Person person, String tripId) {
        Calls.Call call = calls.of(person.viewer(), tripId).orElse(null);
        if (call == null) {
            return List.of();
        }
        Map<String, SetUp> tied =
                setUps
                        .of(
                                person.viewer(),
                                call.rods().stream().map(Calls.Rod::setUpId).toList())
                        .stream()
                        .collect(Collectors.toMap(SetUp::id, one -> one));
        List<Calls.Came> came = calls.came(person.viewer(), List.of(call)).getOrDefault(call, List.of());
        return call.rods().stream()
                .map(rod -> SetUpWords.of(Objects.requireNonNull(tied.get(rod.setUpId())), person.units()) + ": "
                        + PromiseWords.of(rod, came))
                .toList();
    }

    private HorizonStrip strip(DayRecord day) {
        LocalDate date = LocalDate.ofInstant(day.trip().startedAt(), day.zone());
        return horizon.of(day.water(), date, HorizonStrip.Marks.NONE);
    }

    @ForReaders
    @GetMapping("/trips/{tripId}/client")
    String client(Person person, @PathVariable String tripId, @RequestParam String angler, Model model) {
        DayRecord day = days.of(person.viewer(), tripId);
        model.addAttribute("card", card(person, day, angler));
        model.addAttribute("portrait", portrait(card(person, day, angler)));
        model.addAttribute("strip", strip(day));
        return "debrief/client";
    }

    /** Whoever was on a trip may hand its cards out; a guest reader sees their own. */
    private ClientCard card(Person person, DayRecord day, String angler) {
        boolean fished = day.stints().stream().anyMatch(s -> s.anglerId().equals(angler));
        boolean handsOut = person.viewer().guest()
                ? angler.equals(person.anglerId())
                : trips.may(person.viewer(), day.trip().id(), Trips.Doing.ADD);
        if (!fished || !handsOut) {
            throw new NotYours();
        }
        return new Debriefs(day, person.units()).card(angler);
    }

    private static String portrait(ClientCard card) {
        return card.best() == null ? "" : Portrait.svg(card.best(), card.setUp());
    }

    @ForReaders
    @GetMapping("/trips/{tripId}/client.pdf")
    void pdf(Person person, @PathVariable String tripId, @RequestParam String angler, HttpServletResponse response)
            throws IOException {
        DayRecord day = days.of(person.viewer(), tripId);
        ClientCard card = card(person, day, angler);
        String page = templates.process(
                "debrief/client-pdf",
                new Context(
                        Locale.ENGLISH,
                        Map.of(
                                "card",
                                card,
                                "portrait",
                                card.best() == null ? "" : Portrait.print(card.best(), card.setUp()))));
        response.setContentType("application/pdf");
        response.setHeader("Content-Disposition", "attachment; filename=\"day.pdf\"");
        new PdfRendererBuilder()
                .useSVGDrawer(new BatikSVGDrawer())
                .withHtmlContent(page, null)
                .toStream(response.getOutputStream())
                .run();
    }
}
