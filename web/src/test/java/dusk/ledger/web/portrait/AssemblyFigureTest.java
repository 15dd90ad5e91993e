package dusk.ledger.web.portrait;

import static org.assertj.core.api.Assertions.assertThat;

import dusk.ledger.tackle.Assembly;
import dusk.ledger.vocabulary.Words;
import java.io.StringReader;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.xml.parsers.DocumentBuilderFactory;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.xml.sax.InputSource;

class AssemblyFigureTest {
    private static final Pattern POINT = Pattern.compile("M(-?[0-9.]+),(-?[0-9.]+)");

    static List<String> rigs() {
        return Words.of("rig");
    }

    /** Each step shows something that the one before did not, within the picture. */
    @ParameterizedTest
    @MethodSource("rigs")
    void everyStepIsAPictureOfItsOwn(String rig) throws Exception {
        Set<String> pictures = new HashSet<>();
        for (Assembly.Step step : Assembly.of(rig)) {
            String svg = AssemblyFigure.svg(step.parts());
            DocumentBuilderFactory.newInstance().newDocumentBuilder().parse(new InputSource(new StringReader(svg)));
            assertThat(svg).doesNotContain("NaN").doesNotContain("Infinity");
            assertThat(pictures.add(svg)).as(step.sentence()).isTrue();
            Matcher points = POINT.matcher(svg.replaceAll("<path class=\"portrait-body\"[^>]*>", ""));
            while (points.find()) {
                assertThat(Double.parseDouble(points.group(1)))
                        .as(step.sentence())
                        .isBetween(-1.0, 160.0);
                assertThat(Double.parseDouble(points.group(2)))
                        .as(step.sentence())
                        .isBetween(0.0, 84.0);
            }
        }
    }
}
