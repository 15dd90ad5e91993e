package dusk.ledger.cli;

import dusk.ledger.interchange.PackageReader;
import dusk.ledger.journal.Ledger;
import dusk.ledger.stints.StintTable;
import dusk.ledger.teach.Question;
import dusk.ledger.teach.Teaching;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.Callable;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

@Command(name = "teach", description = "Which questions the next fishing would answer to most profit")
final class TeachCommand implements Callable<Integer> {
    @Parameters(index = "0", paramLabel = "PACKAGE", description = "a package's folder or zip")
    @SuppressWarnings("NullAway.Init") // set by picocli
    private Path place;

    @Option(
            names = "--conditions",
            paramLabel = "C.json",
            description = "what is known of the trip; without it, whatever conditions the last two years often met")
    private @Nullable Path conditions;

    @Option(names = "--top", description = "how many at the most, 1 or more (default: ${DEFAULT-VALUE})")
    private int top = 10;

    @Spec
    @SuppressWarnings("NullAway.Init")
    private CommandSpec spec;

    @Override
    public Integer call() throws Exception {
        if (top < 1) {
            throw new CommandFailure("--top: expected 1 or more, not " + top);
        }
        Path asked = conditions;
        var under = asked == null ? null : ConditionsFile.read(asked);
        Ledger ledger = PackageReader.read(place).ledger();
        StintTable table = StintTable.of(ledger).rated();
        List<Question> questions = under == null
                ? Teaching.of(table, ledger.setUps(), null)
                : Teaching.under(table, ledger.setUps(), under);
        ObjectNode root = JsonMapper.shared().createObjectNode();
        ArrayNode all = root.putArray("questions");
        questions.stream().limit(top).forEach(question -> print(all.addObject(), question));
        Answer.print(spec, root);
        return 0;
    }

    private static void print(ObjectNode node, Question question) {
        node.put("factor", question.factor().key());
        node.put("a", question.level());
        node.put("b", question.other());
        ObjectNode where = node.putObject("conditions");
        question.conditions().forEach((factor, level) -> where.put(factor.key(), level));
        node.put("log_ratio", question.belief().mean());
        node.put("sd", question.belief().sd());
        node.put("rod_hours_each", question.rodHoursEach());
        node.put("worth_fish_a_year", question.worthFishAYear());
        node.put("price_fish", question.priceFish());
        node.put("text", question.text());
    }
}
