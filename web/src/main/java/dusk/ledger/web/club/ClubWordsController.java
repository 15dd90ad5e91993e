package dusk.ledger.web.club;

import dusk.ledger.evidence.Comparison;
import dusk.ledger.evidence.LevelFigures;
import dusk.ledger.evidence.Question;
import dusk.ledger.journal.Invalid;
import dusk.ledger.sheets.Misspelt;
import dusk.ledger.stints.StintTable;
import dusk.ledger.units.Figures;
import dusk.ledger.vocabulary.Factor;
import dusk.ledger.vocabulary.Words;
import dusk.ledger.web.records.Person;
import dusk.ledger.web.records.SetUps;
import dusk.ledger.web.records.UsedWords;
import dusk.ledger.web.store.ClubWords;
import dusk.ledger.web.store.NotYours;
import dusk.ledger.web.store.RecentTables;
import dusk.ledger.web.store.Viewer;
import dusk.ledger.web.words.FieldWords;
import jakarta.servlet.http.HttpServletResponse;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The club's words: all see them; what a word stands for, and how it is said here, the records officer settles. */
@Controller
@RequestMapping("/club/words")
class ClubWordsController {
    private static final int LONGEST = 60;

    private final ClubWords words;
    private final UsedWords used;
    private final SetUps setUps;
    private final RecentTables tables;

    ClubWordsController(ClubWords words, UsedWords used, SetUps setUps, RecentTables tables) {
        this.words = words;
        this.used = used;
        this.setUps = setUps;
        this.tables = tables;
    }

    /**
     * A word that nobody has looked at yet.
     *
     * @param rows how many of the records hold it
     * @param meant what it may be a slip of the pen for; empty where it is like none
     * @param known what it may be said to stand for
     */
    record Waiting(String column, String label, String word, int rows, String meant, List<String> known) {}

    /** A word that was settled, in words. */
    record Settled(String id, String label, String word, String as) {}

    /** A column whose words can be said otherwise. */
    record Column(String name, String label, List<String> words) {}

    /** The figures of a level, before or after. */
    record Row(String level, int stints, String hours, int fish, String rate) {}

    @GetMapping
    String page(Person person, Model model) {
        return page(person, model, Map.of(), Map.of());
    }

    private String page(Person person, Model model, Map<String, String> typed, Map<String, String> errors) {
        Viewer viewer = person.viewer();
        Map<String, Map<String, Integer>> all = used.of(viewer);
        List<ClubWords.Word> settled = words.all(viewer);
        Misspelt misspelt = new Misspelt(setUps.all(viewer));
        List<Waiting> waiting = new ArrayList<>();
        all.forEach((column, of) -> of.forEach((word, rows) -> {
            boolean looked = settled.stream()
                    .anyMatch(w -> w.column().equals(column) && w.word().equals(word));
            if (Words.outside(column, word) && !looked) {
                List<String> known = known(column, of.keySet(), settled, word);
                waiting.add(new Waiting(
                        column,
                        FieldWords.label(column),
                        word,
                        rows,
                        misspelt.meant(column, word, known).orElse(""),
                        known));
            }
        }));
        model.addAttribute("officer", viewer.officer());
        model.addAttribute("waiting", waiting);
        model.addAttribute(
                "settled", settled.stream().map(ClubWordsController::settled).toList());
        model.addAttribute(
                "columns",
                all.entrySet().stream()
                        .map(c -> new Column(
                                c.getKey(),
                                FieldWords.label(c.getKey()),
                                List.copyOf(c.getValue().keySet())))
                        .toList());
        model.addAttribute("typed", typed);
        model.addAttribute("errors", errors);
        return "club/words";
    }

    /** Words that are right: the vocabulary's, and those of the club that stand for themselves. */
    private static List<String> known(String column, Set<String> used, List<ClubWords.Word> settled, String but) {
        Set<String> known = new LinkedHashSet<>(Words.of(column));
        known.addAll(used);
        settled.stream()
                .filter(w -> w.column().equals(column) && w.standsFor() != null)
                .forEach(w -> known.remove(w.word()));
        known.remove(but);
        return List.copyOf(known);
    }

    private static Settled settled(ClubWords.Word word) {
        List<String> as = new ArrayList<>();
        if (word.standsFor() != null) {
            as.add("counts as “" + word.standsFor() + "”");
        }
        if (word.saidAs() != null) {
            as.add("is said as “" + word.saidAs() + "”");
        }
        return new Settled(
                word.id(),
                FieldWords.label(word.column()),
                word.word(),
                as.isEmpty() ? "is a word of its own" : String.join(", ", as));
    }

    /** What would change in the findings if a word counted as another. */
    @GetMapping("/merge")
    String merge(
            Person person,
            @RequestParam String column,
            @RequestParam String word,
            @RequestParam String into,
            Model model,
            HttpServletResponse response) {
        person.onlyOfficer();
        Optional<String> fault = fault(person, column, word, into);
        if (fault.isPresent()) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return page(person, model, Map.of(key(column, word), into), Map.of(key(column, word), fault.get()));
        }
        model.addAttribute("column", column);
        model.addAttribute("label", FieldWords.label(column));
        model.addAttribute("word", word);
        model.addAttribute("into", into);
        model.addAttribute(
                "rows", used.of(person.viewer()).getOrDefault(column, Map.of()).getOrDefault(word, 0));
        Optional<Factor> factor = Factor.byKey(column);
        if (factor.isPresent()) {
            StintTable now = tables.shared(person.viewer()).table();
            StintTable then = tables.sharedIf(person.viewer(), words.meantIf(person.clubId(), column, word, into));
            model.addAttribute("before", figures(now, factor.get(), Set.of(word, into)));
            model.addAttribute("after", figures(then, factor.get(), Set.of(word, into)));
        }
        return "club/merge";
    }

    private static String key(String column, String word) {
        return column + " " + word;
    }

    private static List<Row> figures(StintTable table, Factor factor, Set<String> levels) {
        return Comparison.of(table, new Question(factor, Map.of(), null, null)).recorded().stream()
                .filter(figures -> levels.contains(figures.level()))
                .map(ClubWordsController::row)
                .toList();
    }

    private static Row row(LevelFigures figures) {
        return new Row(
                figures.level(),
                figures.stints(),
                Figures.trimmed(figures.rodHours(), 1),
                figures.fish(),
                figures.rodHours() > 0 ? Figures.trimmed(figures.fish() / figures.rodHours(), 2) : "");
    }

    private Optional<String> fault(Person person, String column, String word, String into) {
        Map<String, Integer> of = used.of(person.viewer()).get(column);
        if (of == null || !of.containsKey(word)) {
            throw new NotYours();
        }
        if (into.isBlank()) {
            return Optional.of("Choose what it stands for.");
        }
        if (into.equals(word)) {
            return Optional.of("That is the word itself.");
        }
        return known(column, of.keySet(), words.all(person.viewer()), word).contains(into)
                ? Optional.empty()
                : Optional.of("Choose one of the list.");
    }

    /** Settles a word: as one of its own, as another, or as said otherwise. */
    @PostMapping
    String settle(
            Person person,
            @RequestParam(defaultValue = "") String column,
            @RequestParam(defaultValue = "") String word,
            @RequestParam(defaultValue = "") String into,
            @RequestParam(defaultValue = "") String said,
            Model model,
            RedirectAttributes flash,
            HttpServletResponse response) {
        person.onlyOfficer();
        String problem = null;
        if (Words.of(column).isEmpty()) {
            problem = "Choose what kind of word it is.";
        } else if (word.isBlank() || word.strip().length() > LONGEST) {
            problem = "Write the word, " + LONGEST + " letters at the most.";
        } else if (said.strip().length() > LONGEST) {
            problem = "Write " + LONGEST + " letters at the most.";
        } else if (!into.isBlank()) {
            problem = fault(person, column, word, into).orElse(null);
        }
        if (problem == null) {
            problem = settled(person, column, word.strip(), blank(into), blank(said));
        }
        if (problem != null) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return page(
                    person,
                    model,
                    Map.of("column", column, "word", word, "said", said, key(column, word), into),
                    Map.of(into.isBlank() ? "word" : key(column, word), problem));
        }
        flash.addFlashAttribute("said", "Settled. Records keep what was written; it can be undone here.");
        return "redirect:/club/words";
    }

    private @Nullable String settled(
            Person person, String column, String word, @Nullable String into, @Nullable String said) {
        try {
            words.settle(person.viewer(), column, word, into, said);
            return null;
        } catch (Invalid e) {
            return e.problems().get(0).message();
        }
    }

    private static @Nullable String blank(String typed) {
        return typed.isBlank() ? null : typed.strip();
    }

    @PostMapping("/{id}/undo")
    String undo(Person person, @PathVariable String id, RedirectAttributes flash) {
        person.onlyOfficer();
        ClubWords.Word word = words.undo(person.viewer(), id).orElseThrow(NotYours::new);
        flash.addFlashAttribute("said", "“" + word.word() + "” is as it was before.");
        return "redirect:/club/words";
    }
}
