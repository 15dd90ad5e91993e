package dusk.ledger.web.portrait;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Objects;

/**
 * Small pictures of words that no set-up shows: what holds a plastic, how line is given on the fall, when it bit, and
 * the kinds of place, from the side under the water's line or from above.
 */
public final class WordFigure {
    private static final int WIDE = 160;
    private static final int HIGH = 72;

    /** How each kind of stroke is drawn. */
    private static final Map<String, String> LOOKS = Map.ofEntries(
            Map.entry("land", "fill=\"#a38f6d\" stroke=\"#4c4030\" stroke-width=\"0.8\""),
            Map.entry("weed", "fill=\"none\" stroke=\"#4f7636\" stroke-width=\"1.6\""),
            Map.entry("wood", "fill=\"none\" stroke=\"#5d4129\" stroke-width=\"3\""),
            Map.entry("twig", "fill=\"none\" stroke=\"#5d4129\" stroke-width=\"1.2\""),
            Map.entry("stone", "fill=\"#8b8d90\" stroke=\"#37393c\" stroke-width=\"0.8\""),
            Map.entry("flow", "fill=\"none\" stroke=\"#2f6d93\" stroke-width=\"1.6\""),
            Map.entry("edge", "fill=\"none\" stroke=\"#37393c\" stroke-width=\"0.9\" stroke-dasharray=\"3 2\""),
            Map.entry("line", "fill=\"none\" stroke=\"#37393c\" stroke-width=\"0.8\""),
            Map.entry("wire", "fill=\"none\" stroke=\"#34373c\" stroke-width=\"2\""),
            Map.entry("stout", "fill=\"none\" stroke=\"#34373c\" stroke-width=\"3.2\""),
            Map.entry("fish", "fill=\"#b8372c\" stroke=\"#17161a\" stroke-width=\"0.8\""));

    private static final String BED = "land M0,62 H160 V72 H0 Z";
    private static final String HOOK =
            "stone M52,36 a12,12 0 1 0 -24,0 a12,12 0 1 0 24,0 Z|line M0,22 L36,25|wire M52,36 H122 q15,0 15,11 q0,11 -16,9 l5,-6";

    /** Of a column and a word: {@code side} or {@code above} or {@code bare}, then strokes, each a kind and its path. */
    private static final String ALL = """
            keeper|barb|bare|%HOOK|wire M66,36 l7,-8
            keeper|collar|bare|%HOOK|stone M52,31 h14 v10 h-14 Z
            keeper|screw|bare|%HOOK|wire M52,36 l4,-8 l5,16 l5,-16 l5,16 l5,-16 l4,8
            keeper|coil fine|bare|%HOOK|line M54,36 q3,-9 6,0 t6,0 q3,-9 6,0 t6,0 q3,-9 6,0 t6,0
            keeper|coil stout|bare|%HOOK|stout M54,36 q4,-14 8,0 t8,0 q4,-14 8,0 t8,0
            line_method|slack fall|side|%BED|line M158,4 q-40,30 -88,12 q-30,-10 -32,8 V44|stone M34,44 h8 v7 h-8 Z|edge M38,52 V60
            line_method|tight-line fall|side|%BED|line M158,4 L62,44|stone M56,42 h8 v7 h-8 Z|edge M30,10 Q34,36 58,44 Q70,52 88,60
            line_method|open-bail drop|side|%BED|line M158,4 q-20,26 -46,8 q-18,-12 -30,8 q-16,16 -32,-4 V44|stone M46,44 h8 v7 h-8 Z|edge M50,52 V60
            bite_on|fall|side|%BED|edge M50,9 V58|fish M44,34 l12,-5 v10 Z
            bite_on|first move|side|%BED|stone M34,55 h8 v7 h-8 Z|edge M42,58 q10,-8 20,0|fish M62,58 l12,-5 v10 Z
            bite_on|bottom|side|%BED|edge M30,60 H80|fish M80,57 l12,-5 v10 Z|edge M96,60 H130
            bite_on|pause|side|%BED|edge M20,60 q10,-20 20,0 q10,-20 20,0|stone M58,54 h8 v7 h-8 Z|fish M70,57 l12,-5 v10 Z
            bite_on|steady pull|side|%BED|edge M14,46 L76,34|fish M78,33 l12,-6 v11 Z|edge M94,31 L150,20
            bite_on|lift|side|%BED|edge M60,60 Q70,46 76,28|fish M72,28 l12,-6 v11 Z
            bite_on|at the boat|side|%BED|wood M110,6 H158|edge M30,52 L104,22|fish M104,20 l12,-6 v11 Z
            bite_on|not felt|side|%BED|line M158,4 Q90,10 64,40|fish M54,42 l12,-6 v11 Z
            structure|main point|above|land M0,0 H160 V12 Q120,12 102,30 Q86,58 76,58 Q66,58 56,30 Q40,12 0,12 Z|edge M24,22 Q44,38 54,62 Q76,76 98,62 Q108,38 136,22
            structure|secondary point|above|land M0,0 H160 V10 Q120,10 104,16 Q92,34 84,34 Q76,34 68,16 Q50,10 0,10 Z|land M0,72 V58 Q80,50 160,60 V72 Z|edge M50,18 Q68,40 84,42 Q100,40 118,18
            structure|channel bank|side|land M0,10 L34,16 Q46,58 70,62 H160 V72 H0 Z|edge M80,56 H150
            structure|channel edge|side|land M0,34 H78 Q94,36 104,60 H160 V72 H0 Z
            structure|ledge|side|land M0,28 H70 L76,46 H160 V72 H0 Z
            structure|hump|side|land M0,60 H36 Q80,10 124,60 H160 V72 H0 Z
            structure|roadbed|side|land M0,60 H46 L54,50 H106 L114,60 H160 V72 H0 Z|stone M54,48 h52 v4 h-52 Z
            structure|pond dam|side|land M0,56 H48 L72,26 H86 L110,62 H160 V72 H0 Z|line M76,26 v-5 h6 v5
            structure|flat|side|land M0,42 Q80,44 160,42 V72 H0 Z
            structure|spawning flat|side|land M0,28 H28 q9,7 18,0 h22 q9,7 18,0 h22 q9,7 18,0 H160 V72 H0 Z
            structure|grass edge|side|land M0,48 Q80,48 160,58 V72 H0 Z|weed M8,48 q-4,-14 2,-30 M20,48 q4,-14 -2,-32 M32,48 q-4,-14 2,-30 M44,48 q4,-14 -2,-32 M56,49 q-4,-14 2,-30 M68,49 q4,-14 -2,-30 M78,50 q-4,-12 2,-26
            structure|grass hole|side|land M0,50 H160 V72 H0 Z|weed M8,50 q-4,-14 2,-30 M20,50 q4,-14 -2,-32 M32,50 q-4,-14 2,-30 M44,50 q4,-14 -2,-30 M108,50 q4,-14 -2,-30 M120,50 q-4,-14 2,-32 M132,50 q4,-14 -2,-30 M146,50 q-4,-14 2,-32
            structure|weed line|above|land M0,0 H160 V8 Q80,14 0,8 Z|weed M6,16 v14 M18,18 v14 M30,18 v16 M42,20 v14 M54,20 v16 M66,20 v15 M78,20 v17 M90,20 v15 M102,20 v16 M114,19 v15 M126,18 v16 M138,18 v14 M150,16 v15|edge M0,40 Q80,48 160,40
            structure|dock|side|land M0,14 L26,20 Q90,50 160,58 V72 H0 Z|wood M10,4 H112|twig M44,4 V30 M76,4 V42 M108,4 V50
            structure|bridge|side|land M0,8 L20,28 Q80,66 140,28 L160,8 V72 H0 Z|stone M0,0 h160 v5 h-160 Z|stone M50,5 h9 v44 h-9 Z|stone M101,5 h9 v44 h-9 Z
            structure|wall|side|land M28,58 H160 V72 H28 Z|stone M0,1 h30 v71 h-30 Z|line M0,18 h30 M0,36 h30 M0,54 h30 M15,1 v17 M8,18 v18 M22,36 v18
            structure|riprap|side|land M0,8 L100,62 H160 V72 H0 Z|stone M10,12 l9,-5 l7,7 l-7,6 Z M28,22 l10,-4 l6,8 l-8,5 Z M47,32 l9,-5 l8,8 l-8,5 Z M66,43 l10,-5 l7,8 l-9,5 Z M86,54 l9,-5 l8,7 l-8,5 Z
            structure|laydown|side|land M0,8 L46,26 Q100,58 160,62 V72 H0 Z|wood M22,10 L116,42|twig M60,23 l14,-10 M78,29 l16,-6 M92,34 l6,14 M104,38 l16,-4
            structure|standing timber|side|%BED|wood M28,12 V62 M66,18 V62 M100,11 V62 M134,22 V62|twig M28,26 l12,-8 M66,32 l-12,-8 M100,30 l12,-9 M134,36 l-10,-7
            structure|brush pile|side|%BED|twig M56,62 L84,38 M64,62 L104,44 M104,62 L70,36 M94,62 L60,46 M80,62 V34 M72,62 L96,40
            structure|overhanging tree|side|land M0,12 L30,14 Q56,46 160,60 V72 H0 Z|wood M12,12 Q20,3 60,3 H84|weed M44,4 q8,8 2,16 M56,4 q8,8 2,14 M68,4 q8,8 2,16 M80,4 q8,6 2,12
            structure|moored boats|side|%BED|stone M20,5 h46 l-6,9 h-34 Z M96,5 h46 l-6,9 h-34 Z|edge M24,12 Q10,40 8,62 M138,12 Q150,40 152,62
            structure|eddy|above|land M0,0 H56 L70,20 L54,28 H0 Z|flow M0,54 H148 l-6,-4 M148,54 l-6,4|flow M118,40 q18,-14 2,-24 q-22,-8 -30,8 q-2,12 14,12 l-4,-5
            structure|current seam|above|flow M0,14 H148 l-6,-4 M148,14 l-6,4|flow M0,28 H148 l-6,-4 M148,28 l-6,4|edge M0,42 H160|flow M10,56 H54 l-5,-4 M54,56 l-5,4
            structure|pass|above|land M0,0 H160 V8 Q110,10 96,22 H64 Q50,10 0,8 Z|land M0,72 V64 Q50,62 64,50 H96 Q110,62 160,64 V72 Z|flow M20,36 H138 l-6,-4 M138,36 l-6,4
            structure|creek mouth|above|land M0,0 H58 Q66,20 50,28 L0,32 Z|land M102,0 H160 V32 L110,28 Q94,20 102,0 Z|flow M80,2 V54 l-4,-6 M80,54 l4,-6|edge M44,36 Q80,66 116,36
            structure|open water|side|land M0,68 Q80,70 160,68 V72 H0 Z
            """;

    private static final Map<String, String> DRAWN = drawn();

    private WordFigure() {}

    /** The picture of a word as inline SVG, said beside it; empty where it has none. */
    public static String svg(String column, String word) {
        return DRAWN.getOrDefault(column + "|" + word, "");
    }

    private static String look(String kind) {
        return Objects.requireNonNull(LOOKS.get(kind), kind);
    }

    private static Map<String, String> drawn() {
        Map<String, String> drawn = new LinkedHashMap<>();
        ALL.replace("%BED", BED).replace("%HOOK", HOOK).lines().forEach(row -> {
            String[] cells = row.split("\\|");
            Svg svg = new Svg();
            svg.add("<svg class=\"portrait\" viewBox=\"0 0 %d %d\" aria-hidden=\"true\">", WIDE, HIGH);
            if (cells[2].equals("side")) {
                svg.add("<path d=\"M0,9 H%d\" %s/>", WIDE, look("flow"));
            }
            for (int i = 3; i < cells.length; i++) {
                int space = cells[i].indexOf(' ');
                svg.add(
                        "<path %s stroke-linecap=\"round\" stroke-linejoin=\"round\" d=\"%s\"/>",
                        look(cells[i].substring(0, space)), cells[i].substring(space + 1));
            }
            if (cells[2].equals("above")) {
                svg.label("water-word", 4, HIGH - 4, "from above");
            }
            drawn.put(cells[0] + "|" + cells[1], svg.add("</svg>").toString());
        });
        return drawn;
    }
}
