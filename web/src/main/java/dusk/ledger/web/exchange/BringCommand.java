package dusk.ledger.web.exchange;

import dusk.ledger.interchange.Fault;
import dusk.ledger.interchange.PackageReader;
import dusk.ledger.interchange.Refused;
import dusk.ledger.journal.Ledger;
import dusk.ledger.sheets.Bringing;
import dusk.ledger.sheets.Brought;
import dusk.ledger.sheets.Fate;
import dusk.ledger.sheets.MappingFile;
import dusk.ledger.sheets.MappingGuess;
import dusk.ledger.sheets.SheetFile;
import dusk.ledger.sheets.SheetMapping;
import dusk.ledger.sheets.SheetReader;
import dusk.ledger.web.records.ClubMake;
import dusk.ledger.web.store.Clubs;
import dusk.ledger.web.store.Intake;
import dusk.ledger.web.store.Progress;
import dusk.ledger.web.store.Viewer;
import dusk.ledger.web.words.LedgerWords;
import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Brings a package or a spreadsheet into a store, and prints what became of each of its rows as JSON. */
@Command(
        name = "bring",
        description = "Brings a package or a spreadsheet into a store: what is new, whole or not at all")
final class BringCommand implements Callable<Integer> {
    @Parameters(index = "0", paramLabel = "FILE", description = "a package's folder or zip, a CSV file or a workbook")
    @SuppressWarnings("NullAway.Init") // set by picocli
    private Path file;

    @Option(
            names = "--mapping",
            description = "how a spreadsheet is understood, as JSON; guessed where it does not say")
    private @Nullable Path mapping;

    @Option(
            names = "--show-mapping",
            description = "prints how the spreadsheet would be understood, and stores nothing")
    private boolean showMapping;

    @Option(names = "--dry-run", description = "prints what would become of each row, and stores nothing")
    private boolean dryRun;

    @Option(
            names = "--keep",
            description = "ours or theirs: which row is kept where one stands here otherwise; ours where not given")
    private String keep = "ours";

    @Mixin
    private final StoreOption option = new StoreOption();

    @Spec
    @SuppressWarnings("NullAway.Init") // set by picocli
    private CommandSpec spec;

    @Override
    public Integer call() throws Exception {
        if (!keep.equals("ours") && !keep.equals("theirs")) {
            throw new IllegalArgumentException("--keep: “" + keep + "” is neither, expected ours or theirs");
        }
        if (!Files.exists(file)) {
            throw new IllegalArgumentException(file + ": not there, expected a package, a CSV file or a workbook");
        }
        SheetFile sheets = sheets();
        if (sheets == null && (mapping != null || showMapping)) {
            throw new IllegalArgumentException("--mapping: " + file + " is a package and needs none");
        }
        try (StoreOption.Opened opened = dryRun || showMapping ? option.look() : option.open()) {
            Clubs clubs = opened.clubs();
            Optional<Clubs.Club> there = clubs.all().isEmpty() ? Optional.empty() : Optional.of(option.choose(clubs));
            ClubMake make = new ClubMake(opened.store(), opened.rows());
            Ledger known = there.map(club -> make.of(club.id())).orElse(Ledger.empty());
            List<String> species = there.map(club -> make.species(club.id())).orElse(List.of());
            if (sheets != null) {
                return bringSheets(sheets, new MappingGuess(known, species), known, there, opened);
            }
            Ledger ledger =
                    PackageReader.toStore(file, opened.clock().instant()).ledger();
            return bring(ledger, JsonMapper.shared().createObjectNode(), there, opened);
        }
    }

    /** Null for a package. */
    private @Nullable SheetFile sheets() throws IOException, Refused {
        if (Files.isDirectory(file)) {
            return null;
        }
        byte[] bytes = Files.readAllBytes(file);
        return SheetReader.isSpreadsheet(name(), bytes) ? SheetReader.read(name(), bytes) : null;
    }

    private String name() {
        return String.valueOf(file.getFileName());
    }

    private int bringSheets(
            SheetFile sheets, MappingGuess guess, Ledger known, Optional<Clubs.Club> there, StoreOption.Opened opened)
            throws IOException, Refused {
        List<SheetMapping> mappings = mapping == null
                ? guess.all(sheets)
                : MappingFile.read(mapping.toString(), Files.readString(mapping), sheets, guess);
        if (showMapping) {
            out().println(MappingFile.write(mappings));
            return 0;
        }
        Brought brought = Bringing.of(sheets, mappings, known, opened.clock().instant());
        boolean leaveOut = mappings.stream().allMatch(SheetMapping::leaveOut);
        if (!brought.faults().isEmpty() && !leaveOut) {
            throw Refused.of(brought.faults(), brought.faults().size());
        }
        if (brought.count(Fate.Kind.FISH) + brought.count(Fate.Kind.BLANK) == 0) {
            throw Refused.of(
                    new Fault(name(), 0, "", "no row of it could be taken, expected one with a date at the least"));
        }
        return bring(brought.ledger(), told(brought), there, opened);
    }

    private static ObjectNode told(Brought brought) {
        ObjectNode told = JsonMapper.shared().createObjectNode();
        ArrayNode rows = told.putArray("rows");
        brought.fates()
                .forEach(f -> rows.addObject()
                        .put("sheet", f.sheet())
                        .put("row", f.line())
                        .put("fate", f.kind().name().toLowerCase(java.util.Locale.ROOT))
                        .put("said", f.said()));
        ObjectNode fish = told.putObject("fish");
        brought.fish().forEach(fish::put);
        ObjectNode words = told.putObject("words_outside");
        brought.wordsOutside().forEach((column, some) -> {
            ArrayNode of = words.putArray(column);
            some.forEach(of::add);
        });
        return told;
    }

    private int bring(Ledger ledger, ObjectNode told, Optional<Clubs.Club> there, StoreOption.Opened opened)
            throws IOException {
        told.put("trips", ledger.trips().size());
        told.put("stints", ledger.stints().size());
        told.put("catches", ledger.catches().size());
        Intake intake = opened.intake();
        Intake.Compared compared = intake.compare(there.map(Clubs.Club::id).orElse(""), ledger);
        ObjectNode files = told.putObject("files");
        compared.files()
                .forEach((name, counts) -> files.putObject(name)
                        .put("new", counts.fresh())
                        .put("same", counts.same())
                        .put("otherwise", counts.conflicting())
                        .put("deleted_here", counts.back()));
        told.put("stored", !dryRun);
        if (!dryRun) {
            // one transaction: what is refused leaves no empty club behind
            Clubs.Club club = opened.store().writeApart(tx -> {
                Clubs.Club into = there.orElseGet(() -> founded(opened));
                intake.bring(
                        Viewer.club(into.id()),
                        ledger,
                        name(),
                        LedgerWords.of(ledger),
                        keep.equals("theirs") ? Intake.Keep.THEIRS : Intake.Keep.OURS,
                        Progress.UNHEARD);
                return into;
            });
            if (there.isEmpty()) {
                PrintWriter err = spec.commandLine().getErr();
                OfficerLink.print(err, opened, club);
                err.flush();
            }
        }
        out().println(JsonMapper.shared().writerWithDefaultPrettyPrinter().writeValueAsString(told));
        return 0;
    }

    private Clubs.Club founded(StoreOption.Opened opened) {
        Clubs.Club club = new Clubs.Club(opened.newId().next(), option.clubName());
        opened.clubs().found(club);
        return club;
    }

    private PrintWriter out() {
        return spec.commandLine().getOut();
    }
}
