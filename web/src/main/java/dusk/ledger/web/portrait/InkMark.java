package dusk.ledger.web.portrait;

import dusk.ledger.patterns.Grade;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * Marks of evidence, told by shape before colour: open ring thin, half-filled building, filled banked, split one
 * angler; struck through works against you.
 */
public final class InkMark {
    private InkMark() {}

    /** A mark and what it means. */
    public record Entry(String svg, String words) {}

    /** As inline SVG. */
    public static String svg(Grade grade, boolean against) {
        Svg svg = new Svg()
                .add(
                        "<svg class=\"mark\" viewBox=\"0 0 32 32\" role=\"img\" aria-label=\"%s%s\">",
                        grade.word(), against ? ", works against you" : "");
        svg.add("<circle class=\"mark-ring\" cx=\"16\" cy=\"16\" r=\"11\"/>");
        svg.add(
                switch (grade) {
                    case THIN -> "";
                    case BUILDING -> "<path class=\"mark-fill\" d=\"M5,16 a11,11 0 0 0 22,0Z\"/>";
                    case BANKED -> "<circle class=\"mark-fill\" cx=\"16\" cy=\"16\" r=\"11\"/>";
                    case ONE_ANGLER -> "<path class=\"mark-split\" d=\"M16,5 V27\"/>";
                });
        svg.add(against ? "<path class=\"mark-strike\" d=\"M3,29 L29,3\"/>" : "");
        return svg.add("</svg>").toString();
    }

    /** All marks, for the legend. */
    public static List<Entry> legend() {
        List<Entry> entries = new ArrayList<>(Arrays.stream(Grade.values())
                .map(g -> new Entry(svg(g, false), g.word()))
                .toList());
        entries.add(new Entry(svg(Grade.BANKED, true), "works against you"));
        return entries;
    }
}
