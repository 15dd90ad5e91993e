package dusk.ledger.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dusk.ledger.vocabulary.Factor;
import dusk.ledger.vocabulary.Words;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

class RuleBookTest {
    static List<Rule> rules() {
        return RuleBook.rules();
    }

    private static Map<Factor, String> holding(Rule rule) {
        Map<Factor, String> known = new EnumMap<>(Factor.class);
        rule.when()
                .forEach((factor, levels) -> known.put(factor, levels.iterator().next()));
        return known;
    }

    @ParameterizedTest
    @MethodSource("rules")
    void everyRuleFiresWhereItShouldAndIsSilentWhereItShouldBe(Rule rule) {
        assertThat(rule.given(holding(rule))).isEqualTo(Rule.Firing.FIRES);
        rule.when().forEach((factor, levels) -> {
            for (String level : levels) {
                Map<Factor, String> known = holding(rule);
                known.put(factor, level);
                assertThat(rule.given(known)).as("%s %s", factor, level).isEqualTo(Rule.Firing.FIRES);
            }
            Map<Factor, String> other = holding(rule);
            other.put(factor, "something else");
            assertThat(rule.given(other)).as("%s differs", factor).isEqualTo(Rule.Firing.SILENT);
            Map<Factor, String> untold = holding(rule);
            untold.remove(factor);
            assertThat(rule.given(untold)).as("%s is not known", factor).isEqualTo(Rule.Firing.UNTOLD);
            if (rule.when().size() > 1) {
                Map<Factor, String> neither = new EnumMap<>(other);
                rule.when().keySet().stream().filter(f -> f != factor).forEach(neither::remove);
                assertThat(rule.given(neither))
                        .as("%s differs, the rest is not known", factor)
                        .isEqualTo(Rule.Firing.SILENT);
            }
        });
    }

    /** A level misspelt would never be met. */
    @ParameterizedTest
    @MethodSource("rules")
    void everyLevelIsAWordOfItsFactor(Rule rule) {
        rule.when().forEach(RuleBookTest::known);
        rule.favours().forEach(favour -> known(favour.factor(), favour.levels()));
    }

    private static void known(Factor factor, Iterable<String> levels) {
        List<String> words = new ArrayList<>(factor.order());
        words.addAll(Words.of(factor.key()));
        for (String table : List.of("setups", "readings", "spots", "stints")) {
            words.addAll(Words.closed(factor.key(), table));
        }
        assertThat(words).as(factor.key()).containsAll(levels);
    }

    @Test
    void idsAreTheirOwnAndEveryQuestionHasSeveralAnswers() {
        assertThat(rules()).extracting(Rule::id).doesNotHaveDuplicates().hasSizeGreaterThan(50);
        assertThat(RuleBook.schools())
                .hasSizeGreaterThan(5)
                .allSatisfy((question, answers) -> assertThat(answers)
                        .extracting(Rule::school)
                        .doesNotHaveDuplicates()
                        .hasSizeGreaterThan(1));
    }

    @Test
    void noRuleFavoursAndWarnsOfTheSame() {
        assertThat(rules())
                .allSatisfy(rule -> assertThat(rule.favours().stream()
                                .flatMap(favour -> favour.levels().stream().map(level -> favour.factor() + level)))
                        .doesNotHaveDuplicates());
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "id: A;title: t;favour: colour = red x 1.2 | an id, a title, a favour and a why",
                "id: A;title: t;why: w | an id, a title, a favour and a why",
                "id: A;title: t;why: w;school: s;favour: colour = red x 1.2 | a school with a question or neither",
                "id: A;title: t;title: u;why: w;favour: colour = red x 1.2 | “title” stands twice",
                "id: A;title: t;why: w;favour: season = winter x 1.2 | “season” is no factor of tackle",
                "id: A;title: t;why: w;when: colour = red;favour: colour = red x 1.2 | “colour” is no factor of conditions",
                "id: A;title: t;why: w;favour: colour = red x 1 | a ratio above 0 that is not 1",
                "id: A;nonsense | expected a name, a colon",
            })
    void aBookThatIsWrongSaysWhere(String book, String what) {
        assertThatThrownBy(() -> RuleBook.read(book.replace(';', '\n')))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining(what);
    }
}
