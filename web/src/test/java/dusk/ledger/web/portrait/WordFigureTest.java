package dusk.ledger.web.portrait;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dusk.ledger.vocabulary.Meanings;
import java.io.StringReader;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import javax.xml.parsers.DocumentBuilderFactory;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import org.w3c.dom.Element;
import org.w3c.dom.NodeList;
import org.xml.sax.InputSource;

class WordFigureTest {
    private static final Pattern STEP = Pattern.compile("([MLHVQqlhvtaAZz])([^A-Za-z]*)");

    static Stream<Arguments> words() {
        return Stream.of("keeper", "line_method", "bite_on", "structure")
                .flatMap(column -> Meanings.of(column).keySet().stream()
                        .filter(word -> !word.equals("none"))
                        .map(word -> Arguments.of(column, word)));
    }

    /** Where a path's pen is put down and goes, in the picture's own measure. */
    private static double[] span(String path) {
        double[] span = {Double.MAX_VALUE, -Double.MAX_VALUE, Double.MAX_VALUE, -Double.MAX_VALUE};
        double x = 0;
        double y = 0;
        for (MatchResult step : STEP.matcher(path).results().toList()) {
            List<Double> to = Stream.of(step.group(2).strip().split("[ ,]+"))
                    .filter(n -> !n.isEmpty())
                    .map(Double::valueOf)
                    .toList();
            switch (step.group(1)) {
                case "H" -> x = to.get(0);
                case "V" -> y = to.get(0);
                case "h" -> x += to.get(0);
                case "v" -> y += to.get(0);
                case "M", "L", "Q" -> {
                    x = to.get(to.size() - 2);
                    y = to.get(to.size() - 1);
                }
                case "l", "q", "t", "a" -> {
                    x += to.get(to.size() - 2);
                    y += to.get(to.size() - 1);
                }
                default -> {}
            }
            span[0] = Math.min(span[0], x);
            span[1] = Math.max(span[1], x);
            span[2] = Math.min(span[2], y);
            span[3] = Math.max(span[3], y);
        }
        return span;
    }

    @ParameterizedTest
    @MethodSource("words")
    void everyWordIsDrawnWithinItsPicture(String column, String word) throws Exception {
        String svg = WordFigure.svg(column, word);
        assertThat(svg).as("%s has no picture", word).isNotEmpty();
        NodeList paths = DocumentBuilderFactory.newInstance()
                .newDocumentBuilder()
                .parse(new InputSource(new StringReader(svg)))
                .getElementsByTagName("path");
        assertThat(paths.getLength()).isPositive();
        for (int i = 0; i < paths.getLength(); i++) {
            double[] span = span(((Element) paths.item(i)).getAttribute("d"));
            assertThat(span[0]).isBetween(0.0, 160.0);
            assertThat(span[1]).isBetween(0.0, 160.0);
            assertThat(span[2]).isBetween(0.0, 72.0);
            assertThat(span[3]).isBetween(0.0, 72.0);
        }
    }

    @Test
    void noTwoWordsLookAlike() {
        Map<String, String> seen = new HashMap<>();
        words().forEach(word -> {
            String name = String.valueOf(word.get()[1]);
            String other = seen.put(WordFigure.svg(String.valueOf(word.get()[0]), name), name);
            assertThat(other).as("%s looks like it", name).isNull();
        });
        assertThat(seen).hasSizeGreaterThan(40);
    }

    @Test
    void whatIsBeyondTheVocabularyHasNone() {
        assertThat(WordFigure.svg("structure", "sunken bus")).isEmpty();
        assertThat(span("M1,2 l3,4 H9 q1,1 2,-3")).containsExactly(new double[] {1, 11, 2, 6}, within(1e-9));
    }
}
