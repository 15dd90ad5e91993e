package dusk.ledger.web.out;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import javax.imageio.ImageIO;
import javax.xml.parsers.DocumentBuilderFactory;
import org.jsoup.Jsoup;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.w3c.dom.Document;

/** Drawings that stand on their own: looks written in, nothing left to fetch, and the same points drawn. */
class ShownPicturesTest {
    private static final String CSS = """
            /* a comment { with braces } */
            @layer theme{:root{--ink:#102030;--paper:#fff;--water:#00f}}
            @layer base{body{color:var(--ink)} [data-theme=dusk]{--ink:#eee}}
            .a{fill:red}
            .b .a{fill:var(--water)}
            #c.a{fill:lime}
            .mixed{fill:color-mix(in srgb, var(--water) 50%, var(--paper))}
            .through{stroke:color-mix(in srgb, var(--water) 20%, transparent)}
            .gone:hover{fill:orange}
            .word{paint-order:stroke;stroke:var(--paper);stroke-width:3px;fill:var(--ink)}
            .otherwise{fill:var(--nothing, #123456)}
            @supports (color:color-mix(in lab, red, red)){.late{fill:color-mix(in srgb, #000 25%, #fff)}}
            @media (min-width:40rem){.wide{fill:green}}
            @media (max-width:30rem){.wide{fill:purple}}
            @media print{.a{fill:black}}
            @keyframes turn{from{opacity:0}to{opacity:1}}
            .bar{height:40px}
            """;

    private static List<Pictures.Picture> pictures(String main) {
        return new Pictures(
                        new Stylesheet(CSS),
                        Jsoup.parse("<html data-theme=dusk><body><header><svg role=img></svg></header><main>" + main
                                + "</main></body></html>"))
                .all();
    }

    private static String svg(String inner) {
        List<Pictures.Picture> all =
                pictures("<svg role=\"img\" viewBox=\"0 0 100 50\" aria-label=\"What it shows\">" + inner + "</svg>");
        assertThat(all).hasSize(1);
        return all.get(0).svg();
    }

    private static Document parsed(String svg) throws Exception {
        DocumentBuilderFactory factory = DocumentBuilderFactory.newInstance();
        factory.setNamespaceAware(true);
        return factory.newDocumentBuilder().parse(new ByteArrayInputStream(svg.getBytes(StandardCharsets.UTF_8)));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "<rect class=\"a\"/> | fill:red",
                "<g class=\"b\"><rect class=\"a\"/></g> | fill:#00f",
                "<g class=\"b\"><rect class=\"a\" id=\"c\"/></g> | fill:lime",
                "<rect class=\"mixed\"/> | fill:#8080ff",
                "<rect class=\"through\"/> | stroke:#00f;stroke-opacity:0.2",
                "<rect class=\"otherwise\"/> | fill:#123456",
                "<rect class=\"late\"/> | fill:#bfbfbf",
                "<rect class=\"wide\"/> | fill:green",
            })
    void looksAreWrittenInAsAWideScreenHasThem(String inner, String style) throws Exception {
        String svg = svg(inner);
        assertThat(svg)
                .contains("style=\"" + style + "\"")
                .doesNotContain("class=")
                .doesNotContain("var(");
        parsed(svg);
    }

    @Test
    void whatOnlyHappensUnderAFingerIsNoLook() {
        assertThat(svg("<rect class=\"gone\"/>")).doesNotContain("orange");
    }

    @Test
    void aStrokeUnderItsLettersBecomesACopyUnderneath() throws Exception {
        Document drawn = parsed(svg("<text class=\"word\" x=\"5\" y=\"9\">4 m &amp; more</text>"));
        assertThat(drawn.getElementsByTagName("text").getLength()).isEqualTo(2);
        assertThat(drawn.getElementsByTagName("text")
                        .item(0)
                        .getAttributes()
                        .getNamedItem("style")
                        .getNodeValue())
                .isEqualTo("stroke:#fff;stroke-width:3px;fill:none");
        assertThat(drawn.getElementsByTagName("text")
                        .item(1)
                        .getAttributes()
                        .getNamedItem("style")
                        .getNodeValue())
                .isEqualTo("fill:#102030");
        assertThat(drawn.getElementsByTagName("text").item(1).getTextContent()).isEqualTo("4 m & more");
    }

    @Test
    void whatAnotherDrawingHoldsComesAlongAndScriptsDoNot() {
        String page =
                "<svg role=\"img\" aria-label=\"one\" viewBox=\"0 0 9 9\"><defs><pattern id=\"lines\"><path class=\"a\"/></pattern></defs></svg>"
                        + "<svg role=\"img\" aria-label=\"two\" viewBox=\"0 0 9 9\"><script>alert(1)</script><a href=\"/x\"><rect fill=\"url(#lines)\"/></a></svg>";
        String two = pictures(page).get(1).svg();
        assertThat(two)
                .contains("<pattern id=\"lines\">")
                .contains("fill:red")
                .doesNotContain("script")
                .doesNotContain("href");
    }

    @Test
    void rowsOfWordsAndBarsBecomeOneDrawing() throws Exception {
        String rows =
                "<div data-picture=\"Rates\"><div><b>pearl</b><svg class=\"bar\"><rect class=\"a\" x=\"0\" width=\"50%\" height=\"9\"/></svg>"
                        + "<i>1.5</i></div><div><b>violet</b><span><svg class=\"bar\"></svg></span><i>0.9</i></div></div>";
        List<Pictures.Picture> all = pictures(rows);
        assertThat(all).hasSize(1);
        assertThat(all.get(0).name()).isEqualTo("1-rates");
        Document drawn = parsed(all.get(0).svg());
        assertThat(drawn.getElementsByTagName("svg").getLength()).isEqualTo(3);
        assertThat(drawn.getElementsByTagName("text").item(0).getTextContent()).isEqualTo("pearl");
        assertThat(drawn.getElementsByTagName("text").item(1).getTextContent()).isEqualTo("1.5");
        assertThat(drawn.getElementsByTagName("text").item(3).getTextContent()).isEqualTo("0.9");
    }

    @Test
    void marksAndExamplesAndTheFrameAreNoPicturesOfThePage() {
        assertThat(
                        pictures(
                                "<svg class=\"mark\" role=\"img\"></svg><div class=\"example\"><svg role=\"img\"></svg></div><p>words</p>"))
                .isEmpty();
    }

    @Test
    void thePointsAreInTheDrawingsColours() throws IOException {
        String svg = svg("<rect class=\"a\" x=\"50\" y=\"0\" width=\"50\" height=\"50\"/>");
        BufferedImage image = ImageIO.read(new ByteArrayInputStream(Raster.png(svg, 300)));
        assertThat(image.getWidth()).isEqualTo(600);
        assertThat(image.getHeight()).isEqualTo(300);
        assertThat(image.getRGB(450, 150)).isEqualTo(0xFFFF0000);
        assertThat(image.getRGB(150, 150)).as("paper").isEqualTo(0xFFFFFFFF);
    }
}
