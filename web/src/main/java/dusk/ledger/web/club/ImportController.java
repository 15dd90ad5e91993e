package dusk.ledger.web.club;

import dusk.ledger.web.records.Person;
import dusk.ledger.web.store.NotYours;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.InputStream;
import java.util.Objects;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Brings packages in: whole or not at all, with how far it is where it takes longer than a moment. */
@Controller
class ImportController {
    /** A small package is answered in the page itself. */
    private static final long PATIENCE_MILLIS = 2000;

    private final Imports imports;

    ImportController(Imports imports) {
        this.imports = imports;
    }

    @PostMapping("/club/import")
    String start(
            Person person,
            @RequestParam("package") MultipartFile file,
            Model model,
            RedirectAttributes flash,
            HttpServletResponse response)
            throws IOException {
        officer(person);
        Optional<Imports.Import> started;
        try (InputStream in = file.getInputStream()) {
            started = imports.start(
                    person.clubId(), Objects.requireNonNullElse(file.getOriginalFilename(), "package"), in);
        }
        Optional<Imports.Ended> ended = started.flatMap(one -> one.ended(PATIENCE_MILLIS));
        if (ended.isPresent() && ended.get().faults().isEmpty()) {
            imports.told(person.clubId(), started.get());
            flash.addFlashAttribute("said", ended.get().said());
            return "redirect:/club";
        }
        return ended.isPresent() ? show(person, model, response) : "redirect:/club/import";
    }

    /** How far it is, or how it ended. */
    @GetMapping("/club/import")
    String look(Person person, Model model, HttpServletResponse response) {
        officer(person);
        return show(person, model, response);
    }

    private String show(Person person, Model model, HttpServletResponse response) {
        imports.of(person.clubId())
                .ifPresent(one -> one.ended(0)
                        .ifPresentOrElse(
                                ended -> {
                                    imports.told(person.clubId(), one);
                                    model.addAttribute("ended", ended);
                                    if (!ended.faults().isEmpty()) {
                                        response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
                                    }
                                },
                                () -> {
                                    model.addAttribute("running", one.words());
                                    model.addAttribute("percent", one.percent());
                                }));
        return Boolean.TRUE.equals(model.getAttribute("part")) ? "club/import :: answer" : "club/import";
    }

    @PostMapping("/club/import/stop")
    String stop(Person person) {
        officer(person);
        imports.of(person.clubId()).ifPresent(Imports.Import::stop);
        return "redirect:/club/import";
    }

    private static void officer(Person person) {
        if (!person.viewer().officer()) {
            throw new NotYours();
        }
    }
}
