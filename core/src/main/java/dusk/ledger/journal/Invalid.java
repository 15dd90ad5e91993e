package dusk.ledger.journal;

import java.util.List;

/** A record that cannot be: every problem, each with the column it stands in. */
public final class Invalid extends IllegalArgumentException {
    /**
     * One problem.
     *
     * @param column column of the ledger package, which is also the name of the form field
     * @param message what is wrong and what would be right, a sentence that can stand at the field
     */
    public record Problem(String column, String message) {}

    private final transient List<Problem> problems;

    public Invalid(List<Problem> problems) {
        super(String.join(
                " ", problems.stream().map(p -> p.column() + ": " + p.message()).toList()));
        this.problems = List.copyOf(problems);
    }

    public List<Problem> problems() {
        return problems;
    }
}
