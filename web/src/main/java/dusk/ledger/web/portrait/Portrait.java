package dusk.ledger.web.portrait;

import dusk.ledger.journal.SetUp;
import java.util.Set;

/**
 * A set-up drawn from its fields, all to one scale: a millimetre is a unit of the picture, which shows 190 by 76 of them; what is longer shrinks the
 * whole. A rig is told by where the line comes from, where the weight sits and where the point stands; drops and leaders are drawn short, with a
 * break.
 */
public final class Portrait {
    private static final Set<String> HUNG_IN_THE_MIDDLE =
            Set.of("wacky", "weighted wacky", "weedless wacky", "nail-weighted wacky", "sliding wacky");
    private static final String PRINT_INKS =
            ".portrait-line,.portrait-ring,.portrait-wire,.portrait-guard,.portrait-hook,.portrait-skirt,.portrait-worm,.portrait-worm-edge,"
                    + ".portrait-detail,.portrait-band{fill:none}.portrait-line,.portrait-wire,.portrait-ring,.portrait-guard,.portrait-hook,"
                    + ".portrait-body,.portrait-head,.portrait-blade,.portrait-cork,.portrait-detail,.portrait-worm-edge,.portrait-band{stroke:#222}";

    private Portrait() {}

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
        Figure figure = HUNG_IN_THE_MIDDLE.contains(setUp.rig()) ? new MiddleHung(setUp) : new NoseHung(setUp);
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
