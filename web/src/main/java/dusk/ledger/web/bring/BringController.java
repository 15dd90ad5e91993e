package dusk.ledger.web.bring;

import dusk.ledger.interchange.Fault;
import dusk.ledger.interchange.PackageReader;
import dusk.ledger.interchange.PackageReading;
import dusk.ledger.interchange.Refused;
import dusk.ledger.journal.Ledger;
import dusk.ledger.sheets.Bringing;
import dusk.ledger.sheets.Brought;
import dusk.ledger.sheets.DateForm;
import dusk.ledger.sheets.Fate;
import dusk.ledger.sheets.MappingFile;
import dusk.ledger.sheets.MappingGuess;
import dusk.ledger.sheets.SheetFile;
import dusk.ledger.sheets.SheetMapping;
import dusk.ledger.sheets.SheetReader;
import dusk.ledger.vocabulary.Words;
import dusk.ledger.web.records.ClubMake;
import dusk.ledger.web.records.Mappings;
import dusk.ledger.web.records.Person;
import dusk.ledger.web.records.Waters;
import dusk.ledger.web.store.Imports;
import dusk.ledger.web.store.Intake;
import dusk.ledger.web.store.NewId;
import dusk.ledger.web.store.NotYours;
import dusk.ledger.web.words.LedgerWords;
import jakarta.servlet.http.HttpServletResponse;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.time.Clock;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Brings packages and spreadsheets in: read, looked at, taken whole or not at all, and taken back. */
@Controller
class BringController {
    /** What takes no longer is answered in the page itself. */
    private static final long PATIENCE_MILLIS = 2000;

    private static final int IMPORTS_SHOWN = 20;

    private final Jobs jobs;
    private final Drafts drafts;
    private final Intake intake;
    private final Imports imports;
    private final ClubMake make;
    private final Mappings mappings;
    private final Waters waters;
    private final NewId newId;
    private final Clock clock;

    BringController(
            Jobs jobs,
            Drafts drafts,
            Intake intake,
            Imports imports,
            ClubMake make,
            Mappings mappings,
            Waters waters,
            NewId newId,
            Clock clock) {
        this.jobs = jobs;
        this.drafts = drafts;
        this.intake = intake;
        this.imports = imports;
        this.make = make;
        this.mappings = mappings;
        this.waters = waters;
        this.newId = newId;
        this.clock = clock;
    }

    /** What is under way, what is looked at, what came in. */
    @GetMapping("/club/bring")
    String page(Person person, Model model, HttpServletResponse response) {
        person.onlyOfficer();
        jobs.of(person.clubId())
                .ifPresent(one -> one.ended(0)
                        .ifPresentOrElse(
                                ended -> {
                                    jobs.told(person.clubId(), one);
                                    model.addAttribute("ended", ended);
                                    if (!ended.faults().isEmpty()) {
                                        response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
                                    }
                                },
                                () -> {
                                    model.addAttribute("running", one.words());
                                    model.addAttribute("percent", one.percent());
                                }));
        if (Boolean.TRUE.equals(model.getAttribute("part"))) {
            return "bring/bring :: answer";
        }
        model.addAttribute(
                "drafts",
                drafts.all(person.clubId()).stream()
                        .map(d -> Map.of("id", d.id(), "name", d.name()))
                        .toList());
        model.addAttribute("imports", ImportLine.of(imports.recent(person.viewer(), IMPORTS_SHOWN)));
        return "bring/bring";
    }

    @PostMapping("/club/bring")
    String read(
            Person person,
            @RequestParam("file") MultipartFile file,
            Model model,
            RedirectAttributes flash,
            HttpServletResponse response)
            throws IOException {
        person.onlyOfficer();
        String name = Objects.requireNonNullElse(file.getOriginalFilename(), "file");
        byte[] bytes = file.getBytes();
        Optional<Jobs.Job> started = jobs.start(
                person.clubId(), "Reading and checking " + name + ".", progress -> read(person, name, bytes));
        return answer(person, started, model, flash, response);
    }

    private Jobs.Ended read(Person person, String name, byte[] bytes) throws IOException, Refused {
        Draft draft =
                SheetReader.isSpreadsheet(name, bytes) ? ofSheets(person, name, bytes) : ofPackage(person, name, bytes);
        drafts.keep(draft);
        return Jobs.Ended.well("/club/bring/" + draft.id(), "");
    }

    private Draft ofPackage(Person person, String name, byte[] bytes) throws IOException, Refused {
        PackageReading reading = PackageReader.toStore(name, new ByteArrayInputStream(bytes), clock.instant());
        return Draft.of(newId.next(), person.clubId(), name, clock.instant(), reading);
    }

    private Draft ofSheets(Person person, String name, byte[] bytes) throws Refused {
        SheetFile sheets = SheetReader.read(name, bytes);
        List<SheetMapping> guessed = guess(person).all(sheets).stream()
                .map(m -> m.withFixed(SheetForm.usual(m, person, waters.home(person.viewer()))))
                .toList();
        return Draft.of(newId.next(), person.clubId(), name, clock.instant(), sheets, guessed);
    }

    private MappingGuess guess(Person person) {
        return new MappingGuess(make.of(person.clubId()), make.species(person.clubId()));
    }

    private String answer(
            Person person,
            Optional<Jobs.Job> started,
            Model model,
            RedirectAttributes flash,
            HttpServletResponse response) {
        Optional<Jobs.Ended> ended = started.flatMap(one -> one.ended(PATIENCE_MILLIS));
        if (ended.isPresent() && ended.get().faults().isEmpty()) {
            jobs.told(person.clubId(), started.get());
            if (!ended.get().said().isEmpty()) {
                flash.addFlashAttribute("said", ended.get().said());
            }
            return "redirect:" + ended.get().next();
        }
        if (started.isEmpty()) {
            flash.addFlashAttribute(
                    "said",
                    "Something is being brought in already; this one was not begun. Send it again once that has ended.");
        }
        return ended.isPresent() ? page(person, model, response) : "redirect:/club/bring";
    }

    @PostMapping("/club/bring/stop")
    String stop(Person person) {
        person.onlyOfficer();
        jobs.of(person.clubId()).ifPresent(Jobs.Job::stop);
        return "redirect:/club/bring";
    }

    /** A file before it is brought in. */
    @GetMapping("/club/bring/{id}")
    String look(Person person, @PathVariable String id, @RequestParam(defaultValue = "") String sheet, Model model) {
        person.onlyOfficer();
        Draft draft = draft(person, id);
        model.addAttribute("id", id);
        model.addAttribute("name", draft.name());
        PackageReading reading = draft.reading();
        if (reading != null) {
            Intake.Compared compared = intake.compare(person.clubId(), reading.ledger());
            model.addAttribute("view", PackageView.of(reading, compared));
            return "bring/package";
        }
        SheetFile file = Objects.requireNonNull(draft.sheets());
        Ledger known = make.of(person.clubId());
        MappingGuess guess = new MappingGuess(known, make.species(person.clubId()));
        Brought brought = Bringing.of(file, draft.mappings(), known, clock.instant());
        Intake.Compared compared = intake.compare(person.clubId(), brought.ledger());
        SheetView view = SheetView.of(file, draft, sheet, guess, brought, compared);
        model.addAttribute("view", view);
        model.addAttribute("lists", view.lists(guess));
        model.addAttribute(
                "dateForms",
                Arrays.stream(DateForm.values()).map(DateForm::word).toList());
        model.addAttribute("waterKinds", Words.closed("kind", "waters"));
        model.addAttribute("named", mappings.all(person.viewer()));
        return "bring/sheet";
    }

    /** Understands a sheet otherwise. */
    @PostMapping("/club/bring/{id}")
    String understand(
            Person person, @PathVariable String id, @RequestParam Map<String, String> typed, RedirectAttributes flash) {
        person.onlyOfficer();
        Draft draft = draft(person, id);
        SheetFile file = sheets(draft);
        SheetMapping mapping = SheetForm.read(typed, file, draft, guess(person));
        if (typed.containsKey("whole") && !typed.containsKey("included")) {
            draft.leaveOut(mapping.sheet());
        } else {
            draft.understand(mapping);
        }
        String name = typed.getOrDefault("save_as", "").strip();
        if (!name.isEmpty() && name.length() <= 80) {
            mappings.keep(person.viewer(), name, MappingFile.write(draft.mappings()));
            flash.addFlashAttribute("said", "Kept as “" + name + "”, for the next of this habit.");
        }
        flash.addAttribute("sheet", mapping.sheet());
        return "redirect:/club/bring/" + id;
    }

    /** Understands it as another was, whose mapping was kept. */
    @PostMapping("/club/bring/{id}/as")
    String asAnother(
            Person person,
            @PathVariable String id,
            @RequestParam(defaultValue = "") String mapping,
            RedirectAttributes flash) {
        person.onlyOfficer();
        Draft draft = draft(person, id);
        Mappings.Named named = mappings.one(person.viewer(), mapping);
        try {
            draft.understand(MappingFile.read(named.name(), named.body(), sheets(draft), guess(person)));
            flash.addFlashAttribute("said", "Understood as “" + named.name() + "”.");
        } catch (Refused e) {
            flash.addFlashAttribute(
                    "said",
                    "“" + named.name() + "” does not fit this file: "
                            + e.faults().get(0) + ". Nothing was changed.");
        }
        return "redirect:/club/bring/" + id;
    }

    /** The mapping as a file, for the command line. */
    @GetMapping("/club/bring/{id}/mapping.json")
    ResponseEntity<String> mapping(Person person, @PathVariable String id) {
        person.onlyOfficer();
        Draft draft = draft(person, id);
        sheets(draft);
        return ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_JSON)
                .header("Content-Disposition", "attachment; filename=\"mapping.json\"")
                .body(MappingFile.write(draft.mappings()));
    }

    /** Takes a file in. */
    @PostMapping("/club/bring/{id}/take")
    String take(
            Person person,
            @PathVariable String id,
            @RequestParam(defaultValue = "") String keep,
            Model model,
            RedirectAttributes flash,
            HttpServletResponse response) {
        person.onlyOfficer();
        Draft draft = draft(person, id);
        Intake.Keep kept = keep.equals("theirs") ? Intake.Keep.THEIRS : Intake.Keep.OURS;
        Optional<Jobs.Job> started = jobs.start(person.clubId(), "Reading " + draft.name() + ".", progress -> {
            Ledger ledger = ledger(person, draft);
            String said = LedgerWords.of(ledger);
            Optional<String> brought = intake.bring(person.viewer(), ledger, draft.name(), said, kept, progress);
            drafts.forget(draft);
            return Jobs.Ended.well(
                    "/club/bring",
                    brought.isPresent()
                            ? "Taken whole: " + said + "."
                            : "All of it is here already; nothing was changed.");
        });
        return answer(person, started, model, flash, response);
    }

    private Ledger ledger(Person person, Draft draft) throws Refused {
        PackageReading reading = draft.reading();
        if (reading != null) {
            return reading.ledger();
        }
        List<SheetMapping> understood = draft.mappings();
        Brought brought = Bringing.of(sheets(draft), understood, make.of(person.clubId()), clock.instant());
        boolean leftOut = understood.stream().allMatch(SheetMapping::leaveOut);
        if (!brought.faults().isEmpty() && !leftOut) {
            throw Refused.of(
                    brought.faults().subList(0, Math.min(200, brought.faults().size())),
                    brought.faults().size());
        }
        if (brought.count(Fate.Kind.FISH) + brought.count(Fate.Kind.BLANK) == 0) {
            throw Refused.of(new Fault(
                    draft.name(), 0, "", "no row of it could be taken, expected one with a date at the least"));
        }
        return brought.ledger();
    }

    @PostMapping("/club/bring/{id}/forget")
    String forget(Person person, @PathVariable String id) {
        person.onlyOfficer();
        drafts.of(person.clubId(), id).ifPresent(drafts::forget);
        return "redirect:/club/bring";
    }

    /** Takes back what came in once. */
    @PostMapping("/club/bring/imports/{id}/undo")
    String takeBack(Person person, @PathVariable String id, RedirectAttributes flash) {
        person.onlyOfficer();
        flash.addFlashAttribute(
                "said",
                imports.takeBack(person.viewer(), id)
                        .map(back -> "Taken back"
                                + (back.stayed() == 0
                                        ? "."
                                        : "; " + back.stayed() + " rows stay, since something else stands on them.")
                                + " Under Trips, Lately deleted, it can be brought back.")
                        .orElse("That was taken back already."));
        return "redirect:/club/bring";
    }

    /** @throws NotYours where it is not there, any more or for this person */
    private Draft draft(Person person, String id) {
        return drafts.of(person.clubId(), id).orElseThrow(NotYours::new);
    }

    private static SheetFile sheets(Draft draft) {
        return Optional.ofNullable(draft.sheets()).orElseThrow(NotYours::new);
    }
}
