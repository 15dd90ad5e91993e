package dusk.ledger.web.bring;

import dusk.ledger.sheets.Brought;
import dusk.ledger.sheets.Fate;
import dusk.ledger.sheets.MappingGuess;
import dusk.ledger.sheets.Sheet;
import dusk.ledger.sheets.SheetFile;
import dusk.ledger.sheets.SheetMapping;
import dusk.ledger.sheets.Target;
import dusk.ledger.web.store.Intake;
import dusk.ledger.web.words.LedgerWords;
import dusk.ledger.web.words.StintWords;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;

/**
 * A spreadsheet before it is brought in.
 *
 * @param comes what it comes to, in a sentence
 * @param readAs how it was read, in a sentence
 * @param ready whether it can be taken as it is
 * @param sheets all of the file
 * @param sheet the one that is shown, and how it is understood
 * @param fates what becomes of its rows, those with faults first
 * @param more rows that are not shown
 */
record SheetView(
        String comes,
        String readAs,
        boolean ready,
        int faults,
        boolean nothingNew,
        List<PackageView.File> files,
        List<PackageView.Conflict> conflicts,
        List<SheetTab> sheets,
        Shown sheet,
        List<Row> fates,
        long more) {
    private static final int ROWS_SHOWN = 200;
    private static final int EXAMPLES = 3;
    private static final int WORDS_SHOWN = 120;

    private static final Map<String, String> DELIMITERS =
            Map.of(",", "commas", ";", "semicolons", "\t", "tabs", "|", "strokes");

    record SheetTab(String name, boolean included, boolean here) {}

    /** @param groups of what a column may be, with the choices of each */
    record Shown(
            String name,
            boolean included,
            String row,
            String dates,
            String decimal,
            boolean carried,
            boolean leaveOut,
            List<Column> columns,
            Map<String, List<Target>> groups,
            List<Fixed> fixed,
            List<Word> words,
            List<NewWater> waters) {}

    record Column(String name, String to, String label, String unit, List<String> units, String examples) {}

    record Fixed(String key, String label, String text, List<String> choices) {}

    /** @param list id of the list of words that may be meant */
    record Word(String key, String label, String text, String word, String list) {}

    record NewWater(String name, String kind) {}

    record Row(String place, String kind, String said) {}

    static SheetView of(
            SheetFile file, Draft draft, String wanted, MappingGuess guess, Brought brought, Intake.Compared compared) {
        List<SheetMapping> mappings = draft.mappings();
        Set<String> included = new HashSet<>();
        mappings.forEach(m -> included.add(m.sheet()));
        String first = wanted.isEmpty() ? mappings.get(0).sheet() : wanted;
        Sheet sheet = file.sheet(first);
        SheetMapping mapping = mappings.stream()
                .filter(m -> m.sheet().equals(sheet.name()))
                .findFirst()
                .orElseGet(() -> guess.of(sheet));
        boolean leavesOut = mappings.stream().allMatch(SheetMapping::leaveOut);
        List<Fate> fates = new ArrayList<>(brought.fates());
        fates.sort(Comparator.comparingInt(f -> f.kind() == Fate.Kind.FAULT ? 0 : 1));
        List<SheetTab> tabs = file.sheets().stream()
                .map(s -> new SheetTab(
                        s.name(), included.contains(s.name()), s.name().equals(sheet.name())))
                .toList();
        long taken = brought.count(Fate.Kind.FISH) + brought.count(Fate.Kind.BLANK);
        return new SheetView(
                comes(brought),
                readAs(file, mapping),
                taken > 0 && (leavesOut || brought.faults().isEmpty()),
                Math.toIntExact(brought.count(Fate.Kind.FAULT)),
                compared.fresh() + compared.back() + compared.conflicting() == 0,
                PackageView.files(compared),
                PackageView.conflicts(compared),
                tabs,
                shown(sheet, mapping, included.contains(sheet.name()), guess, brought),
                fates.stream()
                        .limit(ROWS_SHOWN)
                        .map(f -> new Row(
                                (f.sheet().isEmpty() || tabs.size() == 1 ? "" : f.sheet() + ", ") + "row " + f.line(),
                                KINDS.getOrDefault(f.kind(), ""),
                                f.said()))
                        .toList(),
                Math.max(0, fates.size() - ROWS_SHOWN));
    }

    private static final Map<Fate.Kind, String> KINDS = Map.of(
            Fate.Kind.FISH, "fish",
            Fate.Kind.BLANK, "no fish",
            Fate.Kind.SKIPPED, "left out",
            Fate.Kind.FAULT, "fault");

    private static String comes(Brought brought) {
        int untimed = brought.stints().getOrDefault("without hours", 0);
        String species = brought.fish().entrySet().stream()
                .sorted(Map.Entry.<String, Integer>comparingByValue().reversed())
                .limit(6)
                .map(e -> e.getValue() + " " + e.getKey())
                .collect(Collectors.joining(", "));
        return StintWords.count(brought.fates().size(), "row comes", "rows come") + " to "
                + LedgerWords.of(brought.ledger())
                + (species.isEmpty() ? "" : " (" + species + ")")
                + (untimed == 0
                        ? "."
                        : ". Of " + untimed
                                + " stints nobody wrote how long they were: they count for fish, sizes and the funnel, never for a rate.");
    }

    private static String readAs(SheetFile file, SheetMapping mapping) {
        String letters = file.encoding().isEmpty()
                ? "A workbook"
                : "Text in " + file.encoding() + ", cells between "
                        + DELIMITERS.getOrDefault(file.delimiter(), file.delimiter());
        String head = mapping.headRows() > 1
                ? "the header in rows " + (mapping.headRow() - 1) + " and " + mapping.headRow()
                : "the header in row " + mapping.headRow();
        return letters + ", " + head + ", dates as " + mapping.dates().word() + ", "
                + (mapping.commas() ? "a comma for the point of a number" : "a point in numbers") + ".";
    }

    private static Shown shown(
            Sheet sheet, SheetMapping mapping, boolean included, MappingGuess guess, Brought brought) {
        Map<String, List<Target>> groups = new LinkedHashMap<>();
        Target.all()
                .forEach(t -> groups.computeIfAbsent(t.group(), g -> new ArrayList<>())
                        .add(t));
        List<Column> columns = guess.columns(sheet, mapping, EXAMPLES).entrySet().stream()
                .map(e -> column(mapping, e.getKey(), e.getValue()))
                .toList();
        List<NewWater> waters = brought.ledger().waters().stream()
                .filter(w -> guess.candidates(Target.WATER).stream().noneMatch(w.name()::equalsIgnoreCase))
                .map(w -> new NewWater(w.name(), w.kind()))
                .toList();
        return new Shown(
                sheet.name(),
                included,
                mapping.row().word(),
                mapping.dates().word(),
                mapping.commas() ? "," : ".",
                mapping.carried(),
                mapping.leaveOut(),
                columns,
                groups,
                fixed(mapping, guess),
                words(sheet, mapping, guess),
                waters);
    }

    private static Column column(SheetMapping mapping, String name, List<String> examples) {
        SheetMapping.Column column = Objects.requireNonNull(mapping.columns().get(name));
        String label = Target.of(column.to()).map(Target::label).orElse("");
        return new Column(
                name, column.to(), label, column.unit(), Target.units(column.to()), String.join(" · ", examples));
    }

    private static List<Fixed> fixed(SheetMapping mapping, MappingGuess guess) {
        Set<String> told =
                mapping.columns().values().stream().map(SheetMapping.Column::to).collect(Collectors.toSet());
        boolean counted = told.stream().anyMatch(k -> k.startsWith(Target.FISH));
        return SheetForm.FIXED.stream()
                .filter(key -> !told.contains(key) && !(key.equals(Target.SPECIES) && counted))
                .map(key -> new Fixed(
                        key,
                        Target.of(key).map(Target::label).orElse(""),
                        mapping.fixed().getOrDefault(key, ""),
                        guess.candidates(key)))
                .toList();
    }

    /** Texts that are no words of the vocabulary, or stand for one, each with the word that is kept. */
    private static List<Word> words(Sheet sheet, SheetMapping mapping, MappingGuess guess) {
        List<Word> words = new ArrayList<>();
        guess.texts(sheet, mapping).forEach((key, texts) -> {
            Set<String> known = new TreeSet<>(guess.candidates(key));
            for (String text : texts) {
                String word = mapping.words().getOrDefault(key, Map.of()).getOrDefault(text, text);
                if (!known.contains(text) && words.size() < WORDS_SHOWN) {
                    words.add(new Word(
                            key,
                            Target.of(key).map(Target::label).orElse(key),
                            text,
                            word,
                            "words-" + key.replace('.', '-')));
                }
            }
        });
        return words;
    }

    /** Lists of words by their id, for the fields of the words that are shown. */
    Map<String, List<String>> lists(MappingGuess guess) {
        Map<String, List<String>> lists = new LinkedHashMap<>();
        sheet.words().forEach(w -> lists.putIfAbsent(w.list(), guess.candidates(w.key())));
        return lists;
    }
}
