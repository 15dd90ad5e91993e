package dusk.ledger.web.out;

import dusk.ledger.units.Figures;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Consumer;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.jsoup.nodes.Entities;
import org.jsoup.parser.Parser;

/** The drawings of a page, each as an SVG that stands on its own: in the colours of paper, with nothing to fetch. */
final class Pictures {
    private static final String SVG = "http://www.w3.org/2000/svg";
    private static final double WIDE = 960;
    private static final double MARGIN = 12;

    /** Where the words before and behind a row's drawing stand. */
    private static final double ROW_FROM = 240;

    private static final double ROW_TO = 720;
    private static final double USUAL_HEIGHT = 30;
    private static final Pattern REFERENCE = Pattern.compile("url\\(#([\\w-]+)\\)");
    private static final Pattern PIXELS = Pattern.compile("[0-9.]+(px)?");

    private final Stylesheet style;
    private final Document page;

    Pictures(Stylesheet style, Document page) {
        this.style = style;
        this.page = page;
        page.selectXpath("//html").forEach(html -> html.attr("data-theme", "glare"));
    }

    /**
     * A drawing.
     *
     * @param name what it shows, as a file may be called
     * @param wide how wide it says it is
     */
    record Picture(String name, String svg, double wide) {}

    List<Picture> all() {
        List<Picture> all = new ArrayList<>();
        for (Element one : page.select("main [role=img], main [data-picture]")) {
            String label = one.hasAttr("data-picture") ? one.attr("data-picture") : one.attr("aria-label");
            boolean within =
                    one.parents().stream().anyMatch(p -> p.attr("role").equals("img") || p.hasAttr("data-picture"));
            if (within || one.hasClass("mark") || one.parents().stream().anyMatch(p -> p.hasClass("example"))) {
                continue;
            }
            boolean drawn = one.normalName().equals("svg");
            if (drawn || !one.select("svg").isEmpty()) {
                Element svg = drawn ? alone(one) : rows(one);
                all.add(new Picture(
                        name(label, all.size() + 1),
                        text(svg, label),
                        new BigDecimal(svg.attr("width")).doubleValue()));
            }
        }
        return all;
    }

    private static String name(String label, int number) {
        String words =
                label.toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", "-").replaceAll("^-|-$", "");
        return number + "-" + (words.length() > 40 ? words.substring(0, 40) : words);
    }

    /** A drawing with its looks written into it. */
    private Element alone(Element svg) {
        double[] box = box(svg);
        double height = box.length > 0 ? 0 : height(svg);
        Element copy = inlined(svg);
        double wide = box.length > 0 ? Math.max(box[2], Math.min(WIDE, 3 * box[2])) : WIDE;
        double high = box.length > 0 ? wide * box[3] / box[2] : height;
        copy.attr("width", Figures.trimmed(wide, 1)).attr("height", Figures.trimmed(high, 1));
        if (box.length == 0) {
            copy.attr("viewBox", "0 0 " + Figures.trimmed(wide, 1) + " " + Figures.trimmed(high, 1));
        }
        return copy;
    }

    private static double[] box(Element svg) {
        String box = svg.attr("viewBox");
        if (box.isEmpty()) {
            return new double[0];
        }
        String[] parts = box.strip().split("[ ,]+");
        double[] numbers = new double[parts.length];
        for (int i = 0; i < parts.length; i++) {
            numbers[i] = new BigDecimal(parts[i]).doubleValue();
        }
        return numbers;
    }

    /** Of one that is as wide as its place: as high as it says, or as its style does. */
    private double height(Element svg) {
        String said = svg.attr("height").isEmpty() ? style.of(svg).getOrDefault("height", "") : svg.attr("height");
        return PIXELS.matcher(said).matches() ? new BigDecimal(said.replace("px", "")).doubleValue() : USUAL_HEIGHT;
    }

    /** What is laid out in rows of words and a drawing each. */
    private Element rows(Element drawn) {
        Element whole = new Element("svg");
        double y = MARGIN;
        for (Element svg : drawn.select("svg")) {
            double height = height(svg);
            Element row = within(drawn, svg);
            Element cell = within(row, svg);
            words(row, cell, true).ifPresent(word(whole, MARGIN, y + height / 2 + 5));
            Element part = inlined(svg);
            part.attr("x", Figures.trimmed(ROW_FROM, 0))
                    .attr("y", Figures.trimmed(y, 1))
                    .attr("width", Figures.trimmed(ROW_TO - ROW_FROM, 0))
                    .attr("height", Figures.trimmed(height, 1));
            whole.appendChild(part);
            words(row, cell, false).ifPresent(word(whole, ROW_TO + MARGIN, y + height / 2 + 5));
            y += height + 8;
        }
        return whole.attr("width", Figures.trimmed(WIDE, 0))
                .attr("height", Figures.trimmed(y + MARGIN, 0))
                .attr("viewBox", "0 0 " + Figures.trimmed(WIDE, 0) + " " + Figures.trimmed(y + MARGIN, 0));
    }

    /** The child of one element that another is, or stands in. */
    private static Element within(Element of, Element inner) {
        Element at = inner;
        while (at.parent() != null && at.parent() != of) {
            at = at.parent();
        }
        return at;
    }

    private static Optional<String> words(Element row, Element drawn, boolean before) {
        String words = row.children().stream()
                .filter(cell -> cell != drawn)
                .filter(cell -> cell.elementSiblingIndex() < drawn.elementSiblingIndex() == before)
                .map(Element::text)
                .collect(Collectors.joining(" "));
        return words.isBlank() ? Optional.empty() : Optional.of(words);
    }

    private Consumer<String> word(Element into, double x, double y) {
        return words -> into.appendElement("text")
                .attr("x", Figures.trimmed(x, 1))
                .attr("y", Figures.trimmed(y, 1))
                .attr("style", "font-size:14px;fill:" + style.colour("ink", page.body()))
                .text(words);
    }

    private Element inlined(Element svg) {
        Element copy = copied(svg);
        copy.select("script, foreignObject").remove();
        copy.select("a").unwrap();
        lent(copy);
        return copy;
    }

    private Element copied(Element drawn) {
        Element copy = drawn.clone();
        List<Element> from = drawn.select("*");
        List<Element> to = copy.select("*");
        for (int i = 0; i < from.size(); i++) {
            looks(to.get(i), style.of(from.get(i)));
        }
        return copy;
    }

    /** What a drawing fills with and another of the page holds, such as a hatching, comes along. */
    private void lent(Element copy) {
        Set<String> names = REFERENCE
                .matcher(copy.outerHtml())
                .results()
                .map(found -> found.group(1))
                .collect(Collectors.toCollection(TreeSet::new));
        for (String name : names) {
            Element held = page.getElementById(name);
            if (held != null && copy.selectFirst("[id=" + name + "]") == null) {
                copy.prependElement("defs").appendChild(copied(held));
            }
        }
    }

    private static void looks(Element element, Map<String, String> says) {
        element.removeAttr("class").removeAttr("style").removeAttr("aria-hidden");
        says.remove("height");
        boolean under = says.getOrDefault("paint-order", "").startsWith("stroke");
        says.remove("paint-order");
        if (!under) {
            write(element, says);
            return;
        }
        // not every reader paints the stroke first when asked: it gets a copy of its own underneath
        Element below = element.clone();
        Map<String, String> stroke = new LinkedHashMap<>(says);
        stroke.put("fill", "none");
        write(below, stroke);
        element.before(below);
        says.keySet().removeIf(name -> name.startsWith("stroke"));
        write(element, says);
    }

    private static void write(Element element, Map<String, String> says) {
        if (!says.isEmpty()) {
            element.attr(
                    "style",
                    says.entrySet().stream()
                            .map(one -> one.getKey() + ":" + one.getValue())
                            .collect(Collectors.joining(";")));
        }
    }

    private String text(Element svg, String label) {
        double[] box = box(svg);
        Element ground = new Element("rect")
                .attr("x", Figures.trimmed(box[0], 2))
                .attr("y", Figures.trimmed(box[1], 2))
                .attr("width", Figures.trimmed(box[2], 2))
                .attr("height", Figures.trimmed(box[3], 2))
                .attr("style", "fill:" + style.colour("paper", page.body()) + ";stroke:none");
        svg.prependChild(ground);
        svg.prependChild(new Element("title").text(label));
        svg.attr("xmlns", SVG)
                .attr("font-family", "Atkinson Hyperlegible Next, DejaVu Sans, sans-serif")
                .attr("fill", style.colour("ink", page.body()));
        Document alone = new Document("", "");
        alone.outputSettings()
                .syntax(Document.OutputSettings.Syntax.xml)
                .escapeMode(Entities.EscapeMode.xhtml)
                .prettyPrint(false);
        alone.parser(Parser.xmlParser());
        alone.appendChild(svg);
        return "<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n" + alone.outerHtml();
    }
}
