package dusk.ledger.web.out;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jsoup.nodes.Element;
import org.jsoup.select.Evaluator;
import org.jsoup.select.QueryParser;
import org.jsoup.select.Selector;

/**
 * The application's own stylesheet, as far as drawings need it: what a wide screen has of it, variables and mixed colours
 * resolved. It reads what our build makes, not any stylesheet.
 */
final class Stylesheet {
    /** What a drawing on its own has to be told. */
    private static final Set<String> DRAWN = Set.of(
            "fill",
            "fill-opacity",
            "stroke",
            "stroke-opacity",
            "stroke-width",
            "stroke-dasharray",
            "stroke-linecap",
            "stroke-linejoin",
            "opacity",
            "font-size",
            "font-weight",
            "font-family",
            "font-style",
            "text-anchor",
            "paint-order",
            "color",
            "display",
            "visibility",
            "height");

    private static final Pattern WIDE = Pattern.compile("\\(min-width:([0-9.]+)rem\\)");
    private static final double WIDE_REM = 75;
    private static final Pattern VARIABLE = Pattern.compile("var\\((--[\\w-]+)(?:,([^()]*))?\\)");
    private static final Pattern MIX =
            Pattern.compile("color-mix\\(in srgb,\\s*(\\S+?)\\s+([0-9.]+)%,\\s*([^\\s()]+)\\)");
    private static final Pattern HEX = Pattern.compile("#([0-9a-f]{3}|[0-9a-f]{6})", Pattern.CASE_INSENSITIVE);

    /** A selector with what it says, how strong it is, and where it stands. */
    private record Rule(Evaluator selector, int strength, int order, Map<String, String> says) {}

    private final List<Rule> rules = new ArrayList<>();

    Stylesheet(String css) {
        read(css.replaceAll("/\\*.*?\\*/", ""));
        rules.sort(Comparator.comparingInt(Rule::strength).thenComparingInt(Rule::order));
    }

    private void read(String css) {
        int at = 0;
        while (at < css.length()) {
            int open = css.indexOf('{', at);
            if (open < 0) {
                return;
            }
            int close = closing(css, open);
            String head = css.substring(Math.max(at, css.lastIndexOf(';', open) + 1), open)
                    .strip();
            String body = css.substring(open + 1, close);
            if (!head.startsWith("@")) {
                rule(head, body);
            } else if (entered(head)) {
                read(body);
            }
            at = close + 1;
        }
    }

    private static boolean entered(String head) {
        Matcher wide = WIDE.matcher(head);
        return head.startsWith("@layer")
                || head.startsWith("@supports (color:color-mix")
                || (head.startsWith("@media")
                        && !head.contains("max-")
                        && wide.find()
                        && number(wide.group(1)) < WIDE_REM);
    }

    private static double number(String digits) {
        return new BigDecimal(digits).doubleValue();
    }

    private static int closing(String css, int open) {
        int depth = 0;
        for (int i = open; i < css.length(); i++) {
            depth += css.charAt(i) == '{' ? 1 : css.charAt(i) == '}' ? -1 : 0;
            if (depth == 0) {
                return i;
            }
        }
        return css.length() - 1;
    }

    private void rule(String selectors, String body) {
        Map<String, String> says = new LinkedHashMap<>();
        for (String one : body.split(";")) {
            int colon = one.indexOf(':');
            String name = colon < 0 ? "" : one.substring(0, colon).strip();
            if (name.startsWith("--") || DRAWN.contains(name)) {
                says.put(
                        name, one.substring(colon + 1).replace("!important", "").strip());
            }
        }
        if (says.isEmpty()) {
            return;
        }
        for (String selector : selectors.split(",(?![^(]*\\))")) {
            try {
                rules.add(new Rule(QueryParser.parse(selector.strip()), strength(selector), rules.size(), says));
            } catch (Selector.SelectorParseException | IllegalArgumentException e) {
                // of a state or a part that no drawing on its own has, such as what is under a finger
            }
        }
    }

    /** Ids, then classes and attributes, then names. */
    private static int strength(String selector) {
        int ids = 0;
        int classes = 0;
        int names = 0;
        for (int i = 0; i < selector.length(); i++) {
            char c = selector.charAt(i);
            ids += c == '#' ? 1 : 0;
            classes += c == '.' || c == '[' || c == ':' ? 1 : 0;
            boolean starts = i == 0 || " >+~".indexOf(selector.charAt(i - 1)) >= 0;
            names += starts && Character.isLetter(c) ? 1 : 0;
        }
        return ids * 10_000 + classes * 100 + names;
    }

    /** What it says of an element, variables and mixed colours resolved, without what it would inherit. */
    Map<String, String> of(Element element) {
        Map<String, String> all = said(element);
        Map<String, String> drawn = new LinkedHashMap<>();
        all.forEach((name, value) -> {
            if (!name.startsWith("--")) {
                put(name, resolved(value, element, 0), drawn);
            }
        });
        return drawn;
    }

    /** A colour of ours by its name, as it is on an element. */
    String colour(String name, Element element) {
        return resolved("var(--" + name + ")", element, 0);
    }

    private Map<String, String> said(Element element) {
        Map<String, String> all = new LinkedHashMap<>();
        Element root = element.root();
        for (Rule rule : rules) {
            if (rule.selector().matches(root, element)) {
                all.putAll(rule.says());
            }
        }
        return all;
    }

    private String resolved(String value, Element element, int depth) {
        String text = value;
        Matcher variable = VARIABLE.matcher(text);
        while (depth < 8 && variable.find()) {
            String found = variable(variable.group(1), element);
            String otherwise =
                    variable.group(2) == null ? "none" : variable.group(2).strip();
            text = text.substring(0, variable.start())
                    + (found.isEmpty() ? otherwise : resolved(found, element, depth + 1))
                    + text.substring(variable.end());
            variable = VARIABLE.matcher(text);
        }
        return text;
    }

    /** A variable of the nearest element that has it. */
    private String variable(String name, Element element) {
        for (Element at = element; at != null; at = at.parent()) {
            String value = said(at).get(name);
            if (value != null) {
                return value;
            }
        }
        return "";
    }

    /** A colour mixed with nothing is one that lets through; drawings say that apart. */
    private static void put(String name, String value, Map<String, String> into) {
        Matcher mix = MIX.matcher(value);
        if (!mix.matches()) {
            into.put(name, value.equals("transparent") || value.equals("#0000") ? "none" : value);
            return;
        }
        double share = number(mix.group(2)) / 100;
        if (mix.group(3).equals("transparent") || mix.group(3).equals("#0000")) {
            into.put(name, mix.group(1));
            into.put(name + "-opacity", String.valueOf(share));
        } else {
            into.put(name, mixed(mix.group(1), share, mix.group(3)));
        }
    }

    private static String mixed(String one, double share, String other) {
        int[] a = parts(one);
        int[] b = parts(other);
        StringBuilder mixed = new StringBuilder("#");
        for (int i = 0; i < a.length; i++) {
            mixed.append(String.format("%02x", Math.round(a[i] * share + b[i] * (1 - share))));
        }
        return mixed.toString();
    }

    private static int[] parts(String colour) {
        Matcher hex = HEX.matcher(colour);
        String digits = hex.matches() ? hex.group(1) : colour.equals("white") ? "ffffff" : "000000";
        String six = digits.length() == 3 ? digits.replaceAll("(.)", "$1$1") : digits;
        int[] parts = new int[3];
        for (int i = 0; i < parts.length; i++) {
            parts[i] = 16 * Character.digit(six.charAt(2 * i), 16) + Character.digit(six.charAt(2 * i + 1), 16);
        }
        return parts;
    }
}
