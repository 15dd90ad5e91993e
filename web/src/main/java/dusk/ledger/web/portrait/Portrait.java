package dusk.ledger.web.portrait;

import dusk.ledger.journal.SetUp;
import java.util.Arrays;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * A set-up drawn from its fields, all to one scale: a millimetre is a unit of the picture, which shows 190 by 76 of
 * them; what is longer shrinks the whole. A rig is told by where the line comes from, where the weight sits and where
 * the point stands; drops and leaders are drawn short, with a break.
 */
public final class Portrait {
    private static final Set<String> HUNG_IN_THE_MIDDLE =
            Set.of("wacky", "weighted wacky", "weedless wacky", "nail-weighted wacky", "sliding wacky");
    private static final String PRINT_INKS =
            inks("fill:none", "line", "ring", "wire", "guard", "hook", "skirt", "worm", "worm-edge", "detail", "band")
                    + inks(
                            "stroke:#222",
                            "line",
                            "wire",
                            "ring",
                            "guard",
                            "hook",
                            "body",
                            "head",
                            "blade",
                            "cork",
                            "detail",
                            "worm-edge",
                            "band");

    private Portrait() {}

    private static String inks(String look, String... parts) {
        return Arrays.stream(parts).map(part -> ".portrait-" + part).collect(Collectors.joining(",")) + "{" + look
                + "}";
    }

    /**
     * The picture for print, where no style sheet is: the same with its inks within.
     *
     * @param words the set-up in words
     */
    public static String print(SetUp setUp, String words) {
        return svg(setUp, words)
                .replaceFirst("<svg ", "<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"380\" height=\"152\" ")
                .replaceFirst(">", "><style>" + PRINT_INKS + "</style>");
    }

    /**
     * The picture as inline SVG.
     *
     * @param words the set-up in words, its accessible name
     */
    public static String svg(SetUp setUp, String words) {
        Figure figure = HUNG_IN_THE_MIDDLE.contains(setUp.rigKind()) ? new MiddleHung(setUp) : new NoseHung(setUp);
        figure.draw.add(
                "<svg class=\"portrait\" viewBox=\"0 0 190 76\" role=\"img\" aria-label=\"%s\">", Svg.escape(words));
        figure.draw();
        return figure.draw.add("</svg>").toString();
    }

    /** A patch of a colour, for a button that chooses it; the word stands beside it. */
    public static String swatch(String colour) {
        return "<svg class=\"swatch\" viewBox=\"0 0 10 10\" aria-hidden=\"true\"><rect width=\"10\" height=\"10\" fill=\""
                + Ink.colour(colour) + "\"/></svg>";
    }
}
