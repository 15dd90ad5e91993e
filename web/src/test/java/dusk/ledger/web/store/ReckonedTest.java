package dusk.ledger.web.store;

import static org.assertj.core.api.Assertions.assertThat;

import dusk.ledger.journal.Ledger;
import dusk.ledger.stints.StintTable;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

class ReckonedTest {
    private final Reckoned reckoned = new Reckoned();
    private final StintTable first = StintTable.of(Ledger.empty());
    private final StintTable second = StintTable.of(Ledger.empty());
    private final StintTable third = StintTable.of(Ledger.empty());
    private final List<String> reckonings = new ArrayList<>();

    private String ask(StintTable table, String question) {
        return reckoned.of(table, String.class, question, t -> {
            String name = t == first ? "first" : t == second ? "second" : "third";
            reckonings.add(question + " of the " + name);
            return name;
        });
    }

    @Test
    void theSameQuestionOfTheSameTableIsReckonedOnce() {
        assertThat(ask(first, "colour")).isEqualTo("first");
        assertThat(ask(first, "colour")).isEqualTo("first");
        assertThat(ask(first, "rig")).isEqualTo("first");
        assertThat(reckonings).containsExactly("colour of the first", "rig of the first");
    }

    @Test
    void whatWasWantedOfATableIsReadyOfTheNext() {
        ask(first, "colour");
        ask(first, "rig");
        reckoned.prepare(first, second);
        reckonings.clear();
        assertThat(ask(second, "colour")).isEqualTo("second");
        assertThat(reckonings).isEmpty();
        // nobody wanted the rigs of the second
        reckoned.prepare(second, third);
        assertThat(reckonings).containsExactly("colour of the third");
    }

    @Test
    void aTableThatStaysIsNotReckonedAnew() {
        ask(first, "colour");
        reckoned.prepare(first, first);
        assertThat(reckonings).hasSize(1);
    }
}
