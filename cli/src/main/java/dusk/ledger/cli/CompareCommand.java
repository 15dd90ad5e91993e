package dusk.ledger.cli;

import dusk.ledger.evidence.Comparison;
import dusk.ledger.evidence.Contrast;
import dusk.ledger.evidence.Question;
import dusk.ledger.evidence.Sides;
import dusk.ledger.evidence.Sizes;
import dusk.ledger.interchange.PackageReader;
import dusk.ledger.stints.StintTable;
import dusk.ledger.units.Length;
import dusk.ledger.vocabulary.Factor;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.Callable;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

@Command(
        name = "compare",
        description =
                "Compares the levels of a factor: fish a rod-hour, crude and shrunk, and contrasts matched and adjusted")
final class CompareCommand implements Callable<Integer> {
    @Parameters(index = "0", paramLabel = "PACKAGE", description = "a package's folder or zip")
    @SuppressWarnings("NullAway.Init") // set by picocli
    private Path place;

    @Option(names = "--factor", required = true, description = "factor whose levels are compared, such as colour")
    @SuppressWarnings("NullAway.Init")
    private String factor;

    @Option(names = "--level", description = "level to contrast; every recorded one where not given")
    private @Nullable String level;

    @Option(names = "--versus", description = "level to contrast it with; all other recorded ones where not given")
    private @Nullable String versus;

    @Option(
            names = "--adjust",
            split = ",",
            paramLabel = "factor",
            description = "factors held equal by regression (default: water_temp,clarity,light,angler)")
    private @Nullable List<String> adjust;

    @Option(
            names = "--block",
            split = ",",
            paramLabel = "factor",
            description = "what a matched block has in common (default: trip,spot,angler)")
    private @Nullable List<String> block;

    @Option(names = "--where", paramLabel = "factor=level", description = "a level that must hold; may be given again")
    private List<String> where = List.of();

    @Option(names = "--species", description = "count this species only")
    private @Nullable String species;

    @Option(
            names = "--min-length-mm",
            description = "count fish of this length or longer; those without a length fail it")
    private @Nullable Double leastMm;

    @Spec
    @SuppressWarnings("NullAway.Init")
    private CommandSpec spec;

    @Override
    public Integer call() throws Exception {
        Question question = new Question(
                factor(factor), conditions(), species, leastMm == null ? null : Length.ofMillimetres(leastMm));
        StintTable table = StintTable.of(PackageReader.read(place).ledger()).rated();
        List<Printed.Contrasted> contrasts = contrasts(table, question).stream()
                .map(c -> new Printed.Contrasted(c, Sizes.shift(table, question, c.sides(), false)))
                .toList();
        Answer.print(spec, Printed.comparison(Comparison.of(table, question), contrasts));
        return 0;
    }

    private List<Contrast> contrasts(StintTable table, Question question) throws CommandFailure {
        Contrast.Method method = new Contrast.Method(
                block == null ? Contrast.USUAL_BLOCKS : factors(block),
                adjust == null ? Contrast.USUAL_ADJUSTMENT : factors(adjust));
        if (level == null) {
            if (versus != null) {
                throw new CommandFailure("--versus: \"" + versus + "\" wants a --level to be compared with");
            }
            return Contrast.eachAgainstRest(table, question, method);
        }
        noteAbsent(table, question.factor(), level);
        if (versus == null || versus.equals(Sides.REST)) {
            return List.of(Contrast.of(table, question, new Sides(level, null), method));
        }
        noteAbsent(table, question.factor(), versus);
        try {
            return List.of(Contrast.of(table, question, new Sides(level, versus), method));
        } catch (IllegalArgumentException e) {
            throw new CommandFailure("--versus: " + e.getMessage());
        }
    }

    /** A level that no stint has is answered with nulls; a word on the side tells a slip of the pen from a lack of fishing. */
    private void noteAbsent(StintTable table, Factor of, String word) {
        if (table.codes(of).codeOf(word) < 1) {
            spec.commandLine().getErr().println("note: no stint has the " + of.key() + " \"" + word + "\"");
        }
    }

    private static List<Factor> factors(List<String> keys) throws CommandFailure {
        List<Factor> factors = new ArrayList<>();
        for (String key : keys) {
            if (!key.isBlank()) {
                factors.add(factor(key.strip()));
            }
        }
        return factors;
    }

    private Map<Factor, Set<String>> conditions() throws CommandFailure {
        Map<Factor, Set<String>> conditions = new EnumMap<>(Factor.class);
        for (String condition : where) {
            int equals = condition.indexOf('=');
            if (equals < 1) {
                throw new CommandFailure("--where: \"" + condition + "\" is not factor=level");
            }
            conditions
                    .computeIfAbsent(factor(condition.substring(0, equals)), f -> new HashSet<>())
                    .add(condition.substring(equals + 1));
        }
        return conditions;
    }

    private static Factor factor(String key) throws CommandFailure {
        return Factor.byKey(key)
                .orElseThrow(() -> new CommandFailure("\"" + key + "\" is not a factor, expected one of: "
                        + Arrays.stream(Factor.values()).map(Factor::key).collect(Collectors.joining(", "))));
    }
}
