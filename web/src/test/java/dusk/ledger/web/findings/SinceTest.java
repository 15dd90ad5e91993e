package dusk.ledger.web.findings;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What is new of findings and what has moved, and the order they stand in. */
class SinceTest {
    private static PatternCard card(String key, double ratio, double rodHours, String grade) {
        return new PatternCard(
                key,
                ratio,
                rodHours,
                "",
                "",
                "",
                List.of(),
                List.of(),
                grade,
                ratio < 1,
                PatternCard.Ratio.of(ratio, ratio, ratio),
                null,
                "",
                "",
                "",
                List.of(),
                List.of(),
                List.of(),
                "",
                null,
                List.of());
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            nullValues = "-",
            value = {
                "2.0 | banked   | 2.0 | banked   | -",
                "2.0 | banked   | 2.1 | banked   | -",
                "2.0 | banked   | 2.2 | banked   | was 2.0 times at the last search",
                "2.0 | banked   | 1.8 | banked   | was 2.0 times at the last search",
                "2.0 | building | 2.0 | banked   | banked now, was building",
                "2.0 | banked   | 3.0 | building | building now, was banked",
            })
    void aCardSaysWhatHasMoved(double was, String gradeWas, double is, String gradeIs, String said) {
        Map<String, String> since = Since.of(List.of(card("a", is, 9, gradeIs)), List.of(card("a", was, 9, gradeWas)));
        assertThat(since.get("a")).isEqualTo(said);
    }

    @Test
    void whatWasNotThereIsNewAndWhatIsGoneIsNotSpokenOf() {
        assertThat(Since.of(List.of(card("b", 2, 9, "banked")), List.of(card("a", 2, 9, "banked"))))
                .containsExactly(Map.entry("b", "new since the last search"));
    }

    @ParameterizedTest
    @CsvSource({"surest, abc", "largest, bca", "most-fished, cab", "newest, cab", "anyhow, abc"})
    void cardsStandInTheOrderAskedFor(String asked, String order) {
        Stream<PatternCard> cards =
                Stream.of(card("a", 1.5, 20, "banked"), card("b", 0.2, 10, "banked"), card("c", 2, 30, "banked"));
        assertThat(PatternOrder.of(asked).sorted(cards, Map.of("c", "new since the last search")).stream()
                        .map(PatternCard::key))
                .containsExactly(order.split(""));
    }

    @Test
    void everyOrderIsFoundAgainByItsAddress() {
        for (PatternOrder order : PatternOrder.values()) {
            assertThat(PatternOrder.of(order.key())).isEqualTo(order);
        }
    }
}
