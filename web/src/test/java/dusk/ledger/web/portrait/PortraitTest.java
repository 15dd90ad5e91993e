package dusk.ledger.web.portrait;

import static org.assertj.core.api.Assertions.assertThat;

import dusk.ledger.journal.SetUp;
import dusk.ledger.journal.SetUpBuilder;
import dusk.ledger.tackle.Rig;
import dusk.ledger.units.Length;
import dusk.ledger.units.Mass;
import dusk.ledger.vocabulary.Words;
import java.io.StringReader;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import javax.xml.parsers.DocumentBuilderFactory;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.w3c.dom.Document;
import org.w3c.dom.NodeList;
import org.xml.sax.InputSource;

class PortraitTest {
    /** A set-up with what its rig has. */
    private static SetUpBuilder dressed(String rig) {
        Rig kind =
                Rig.all().stream().filter(r -> r.name().equals(rig)).findFirst().orElseThrow();
        SetUpBuilder dressed = SetUpBuilder.builder()
                .id("x")
                .rig(rig)
                .plastic("straight worm")
                .plasticLength(Length.ofMillimetres(110))
                .colour("violet");
        if (kind.columns().contains("head_mass_g")) {
            dressed.headMass(Mass.ofGrams(7)).headShape(kind.usual().get("head_shape"));
        }
        return dressed;
    }

    private static String drawn(SetUp setUp) {
        return Portrait.svg(setUp, "words").replaceAll("<title>.*?</title>", "");
    }

    static Stream<String> rigs() {
        return Rig.all().stream().map(Rig::name);
    }

    private static Document parsed(String svg) throws Exception {
        return DocumentBuilderFactory.newInstance().newDocumentBuilder().parse(new InputSource(new StringReader(svg)));
    }

    @ParameterizedTest
    @MethodSource("rigs")
    void everyRigIsDrawnAsSoundMarkupWithFiniteFigures(String rig) throws Exception {
        for (SetUp setUp : List.of(
                dressed(rig).build(), SetUpBuilder.builder().id("x").rig(rig).build())) {
            String svg = Portrait.svg(setUp, "a & b \"c\" <d>");
            Document document = parsed(svg);
            assertThat(document.getDocumentElement().getAttribute("aria-label")).isEqualTo("a & b \"c\" <d>");
            assertThat(svg).doesNotContain("NaN").doesNotContain("Infinity").doesNotContain("null");
            NodeList paths = document.getElementsByTagName("path");
            assertThat(paths.getLength()).isGreaterThan(1);
        }
    }

    @Test
    void everyRigDiffersFromEveryOther() {
        Map<String, String> seen = new HashMap<>();
        rigs().forEach(rig -> {
            String other = seen.put(drawn(dressed(rig).build()), rig);
            assertThat(other).as(rig + " looks like " + other).isNull();
        });
    }

    @Test
    void everyHeadShapeDiffersOnAJig() {
        Map<String, String> seen = new HashMap<>();
        for (String shape : Words.of("head_shape")) {
            if (!shape.equals("none")) {
                String other =
                        seen.put(drawn(dressed("open jig head").headShape(shape).build()), shape);
                assertThat(other).as(shape + " looks like " + other).isNull();
            }
        }
    }

    @Test
    void everyPlasticDiffers() {
        Map<String, String> seen = new HashMap<>();
        for (String plastic : Words.of("plastic")) {
            String other =
                    seen.put(drawn(dressed("open jig head").plastic(plastic).build()), plastic);
            assertThat(other).as(plastic + " looks like " + other).isNull();
        }
    }

    @Test
    void whatChangesOnASetUpChangesItsPicture() {
        String plain = drawn(dressed("open jig head").build());
        for (SetUp other : List.of(
                dressed("open jig head").colour("pearl").build(),
                dressed("open jig head").headMass(Mass.ofGrams(28)).build(),
                dressed("open jig head").plasticLength(Length.ofMillimetres(60)).build())) {
            assertThat(drawn(other)).as(other.toString()).isNotEqualTo(plain);
        }
    }

    @Test
    void thePictureForPrintHasItsInksWithin() throws Exception {
        String print = Portrait.print(dressed("drop shot").build(), "words");
        Document document = parsed(print);
        assertThat(
                        document.getDocumentElement().getNamespaceURI() == null
                                ? document.getDocumentElement().getAttribute("xmlns")
                                : document.getDocumentElement().getNamespaceURI())
                .isEqualTo("http://www.w3.org/2000/svg");
        assertThat(print).contains("<style>").contains(".portrait-line");
    }

    @Test
    void aSwatchIsOfItsColourAndAnUnknownColourHasOneToo() {
        assertThat(Words.of("colour").stream().map(Portrait::swatch).distinct().count())
                .as("colours are told apart")
                .isGreaterThan(Words.of("colour").size() / 2);
        assertThat(Portrait.swatch("a colour of my own")).contains("fill=\"").doesNotContain("null");
    }

    @Test
    void theWriterEscapesWordsAndIsTheSameInEveryLocale() {
        assertThat(new Svg().label("x", 1.25, 2, "<a> & \"b\"").toString())
                .isEqualTo("<text class=\"x\" x=\"1.3\" y=\"2.0\">&lt;a&gt; &amp; &quot;b&quot;</text>");
        assertThat(new Svg().add("100 %").toString()).isEqualTo("100 %");
        assertThat(Svg.data("M%.1f,%.1f", 0.04, 1.06)).isEqualTo("M0.0,1.1");
    }
}
