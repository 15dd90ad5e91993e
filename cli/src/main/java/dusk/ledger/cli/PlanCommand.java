package dusk.ledger.cli;

import dusk.ledger.interchange.PackageReader;
import dusk.ledger.journal.Ledger;
import dusk.ledger.plan.Advice;
import dusk.ledger.plan.Adviser;
import dusk.ledger.plan.PlanConditions;
import dusk.ledger.plan.RuleBook;
import dusk.ledger.stints.StintTable;
import dusk.ledger.tackle.TackleChecks;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

@Command(name = "plan", description = "What to rig for some conditions: the trade's rules, moved by the records")
final class PlanCommand implements Callable<Integer> {
    private static final int MOST_RODS = 8;

    @Parameters(index = "0", paramLabel = "PACKAGE", description = "a package's folder or zip")
    @SuppressWarnings("NullAway.Init") // set by picocli
    private Path place;

    @Option(names = "--conditions", required = true, paramLabel = "C.json", description = "what is known of the trip")
    @SuppressWarnings("NullAway.Init")
    private Path conditions;

    @Option(names = "--rods", description = "rods to rig, 1 to 8 (default: ${DEFAULT-VALUE})")
    private int rods = Adviser.Wish.USUAL.rods();

    @Option(names = "--seed", description = "of the draws behind the spread (default: ${DEFAULT-VALUE})")
    private long seed = Adviser.Wish.USUAL.seed();

    @Option(
            names = "--follow",
            paramLabel = "question=school",
            description = "a school to follow where schools disagree; may be given again")
    private List<String> follow = List.of();

    @Spec
    @SuppressWarnings("NullAway.Init")
    private CommandSpec spec;

    @Override
    public Integer call() throws Exception {
        if (rods < 1 || rods > MOST_RODS) {
            throw new CommandFailure("--rods: expected 1 to " + MOST_RODS + ", not " + rods);
        }
        PlanConditions asked = ConditionsFile.read(conditions);
        Ledger ledger = PackageReader.read(place).ledger();
        TackleChecks.Use use = new TackleChecks.Use(
                null, null, asked.known().get(dusk.ledger.vocabulary.Factor.COVER), false, asked.toothedFish());
        Advice advice = Adviser.of(
                StintTable.of(ledger).rated(), ledger.setUps(), asked, new Adviser.Wish(rods, schools(), use, seed));
        Answer.print(spec, PrintedPlan.of(asked, advice));
        return 0;
    }

    private Map<String, String> schools() throws CommandFailure {
        Map<String, String> schools = new HashMap<>();
        for (String one : follow) {
            String[] sides = one.split("=", 2);
            boolean known = sides.length == 2
                    && RuleBook.schools().getOrDefault(sides[0], List.of()).stream()
                            .anyMatch(rule -> sides[1].equals(rule.school()));
            if (!known) {
                throw new CommandFailure("--follow: \"" + one + "\" is not a question and one of its schools");
            }
            schools.put(sides[0], sides[1]);
        }
        return schools;
    }
}
