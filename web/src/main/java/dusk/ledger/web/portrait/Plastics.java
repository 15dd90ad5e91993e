package dusk.ledger.web.portrait;

import java.util.Map;

/**
 * Outlines of plastics lying along the x axis, nose at 0, tail at 100, y down; scaled to their length when drawn.
 * Each family has a tail or limbs of its own, since that is what it is told by.
 */
final class Plastics {
    private static final String STICK = "M0,0 C6,-4 30,-5 60,-4 C80,-3.5 96,-2 100,0 C96,2 80,3.5 60,4 C30,5 6,4 0,0Z";
    private static final String WORM =
            "M0,0 C4,-3 20,-3 50,-2.6 C75,-2.3 94,-1.6 100,0 C94,1.6 75,2.3 50,2.6 C20,3 4,3 0,0Z";

    private static final Map<String, String> OUTLINES = Map.ofEntries(
            Map.entry("straight worm", WORM),
            Map.entry(
                    "bulb-tail worm",
                    "M0,0 C4,-3 20,-3 50,-2.4 L86,-1.6 C90,-6 100,-5 100,0 C100,5 90,6 86,1.6 L50,2.4 C20,3 4,3 0,0Z"),
            Map.entry(
                    "ribbon-tail worm",
                    "M0,0 C4,-3 20,-3 48,-2.2 C58,-9 66,-7 74,1 C80,8 90,6 100,-4 C95,10 80,14 70,7 C62,1 58,1 48,2.4 C20,3 4,3 0,0Z"),
            Map.entry("cut-tail worm", "M0,0 C4,-3 20,-3 60,-2.4 L70,-2 L74,-6 L100,1 L96,4 L72,1.6 C50,2.8 20,3 0,0Z"),
            Map.entry("stick worm", STICK),
            Map.entry("short stick", "M0,0 C3,-8 20,-9 55,-8 C85,-8 99,-5 100,0 C99,5 85,8 55,8 C20,9 3,8 0,0Z"),
            Map.entry(
                    "straight-tail minnow",
                    "M0,0 C10,-8 28,-8 44,-5 C60,-2.5 80,-1.4 100,-1 L100,1 C80,1.4 60,3 44,6 C28,9 10,7 0,0Z"),
            Map.entry(
                    "soft jerkbait",
                    "M0,0 C12,-6 30,-7 55,-5 C72,-3.6 82,-2 88,0 L100,-7 L97,0 L100,7 L88,1 C80,4 70,6 55,7 C30,9 12,5 0,0Z"),
            Map.entry(
                    "paddle-tail swimmer",
                    "M0,0 C10,-9 30,-9 50,-6 C68,-3.4 80,-2 88,-1.6 L90,-9 C97,-9 100,-4 99,3 C98,9 93,10 91,8 "
                            + "L87,2 C75,4 65,6 50,7.4 C30,9.6 10,8 0,0Z"),
            Map.entry(
                    "curl-tail grub",
                    "M0,0 C4,-8 22,-9 44,-7 C58,-12 80,-16 96,-6 C104,2 92,14 76,10 C86,9 92,1 84,-4 C74,-9 60,-3 46,6 C24,9 4,8 0,0Z"),
            Map.entry(
                    "creature",
                    "M0,0 C4,-5 18,-6 30,-5 L34,-16 L40,-15 L40,-5 L62,-4 L78,-16 L86,-12 L72,-2 L100,-6 "
                            + "L100,-2 L74,1 L100,6 L98,9 L72,4 L86,13 L78,17 L62,5 L40,6 L40,15 L34,16 L30,6 C18,7 4,6 "
                            + "0,0Z"),
            Map.entry(
                    "craw",
                    "M0,0 C6,-5 26,-7 46,-5 L58,-5 C64,-16 84,-20 100,-12 C92,-10 90,-6 82,-5 C76,-4 70,-3 "
                            + "66,-1 L66,2 C72,3 78,5 84,6 C92,7 94,11 100,13 C84,20 64,16 58,6 L46,6 C26,8 6,6 0,0Z"),
            Map.entry(
                    "chunk",
                    "M0,0 C2,-12 24,-14 44,-12 C60,-20 84,-18 100,-14 C90,-8 74,-4 56,0 C74,5 90,9 100,14 "
                            + "C84,18 60,20 44,12 C24,14 2,12 0,0Z"),
            Map.entry(
                    "lizard",
                    "M0,0 C4,-5 12,-5 16,-2.6 L24,-11 L28,-10 L24,-2.4 L46,-2 L54,-11 L58,-10 L52,-1.8 "
                            + "C70,-1.6 86,-6 100,-4 C90,0 74,3 52,2 L58,10 L54,11 L46,2.4 L24,2.8 L28,10 L24,11 L16,3 "
                            + "C12,5 4,5 0,0Z"),
            Map.entry(
                    "tube",
                    "M0,0 C0,-9 12,-10 30,-9 L62,-9 L100,-13 L70,-6 L100,-6 L70,-2 L100,0 L70,2 L100,6 L70,6 "
                            + "L100,13 L62,9 L30,9 C12,10 0,9 0,0Z"),
            Map.entry(
                    "crankbait",
                    "M0,2 L14,9 L12,-2 C24,-14 52,-16 76,-8 C88,-4 96,-1 100,0 C94,6 74,12 50,12 C30,12 14,9 0,2Z"),
            Map.entry(
                    "lipless crankbait",
                    "M0,3 C10,-12 34,-18 60,-12 C78,-8 92,-3 100,0 C92,6 74,12 52,13 C30,14 10,12 0,3Z"),
            Map.entry("jerkbait", "M0,2 L10,6 L10,-1 C24,-7 58,-7 84,-3 L100,0 C88,4 60,7 30,6.4 C16,6 8,5 0,2Z"),
            Map.entry(
                    "spinnerbait",
                    "M0,0 C6,-5 20,-6 30,-3 L100,-14 L64,-4 L100,-4 L64,0 L100,5 L64,3 L96,14 L30,4 C20,6 6,5 0,0Z"),
            Map.entry(
                    "bladed jig",
                    "M0,-8 L12,-9 L16,8 L4,9Z M16,0 C22,-6 32,-6 40,-3 L100,-12 L66,-3 L100,-2 L66,1 L100,8 "
                            + "L66,4 L94,14 L40,4 C32,6 22,6 16,0Z"),
            Map.entry("topwater", "M0,-6 L4,7 C28,12 60,12 84,6 L100,0 C84,-7 56,-11 28,-10 C14,-9 6,-8 0,-6Z"),
            Map.entry("spoon", "M0,0 C10,-12 40,-16 66,-11 C84,-7 96,-3 100,0 C96,4 84,8 66,11 C40,15 10,11 0,0Z"));

    private static final String EYE = "M9,-1.6 a1.3,1.3 0 1 0 0.1,0";
    private static final String RIBS = ribs(10, 92, 7, 3.4);

    /** Lines on the body that tell a plastic from its neighbours: ribs, a collar, an eye, a lip, a blade. */
    private static final Map<String, String> DETAILS = Map.ofEntries(
            Map.entry("straight worm", "M28,-3 v6 M32,-3 v6 M36,-3 v6"),
            Map.entry("bulb-tail worm", "M28,-3 v6 M36,-3 v6"),
            Map.entry("ribbon-tail worm", "M26,-2.6 v5.2 M30,-2.6 v5.2"),
            Map.entry("cut-tail worm", ribs(8, 62, 6, 2.4)),
            Map.entry("stick worm", RIBS),
            Map.entry("short stick", ribs(8, 95, 8, 7)),
            Map.entry("straight-tail minnow", EYE + " M18,-5 q3,5 0,10"),
            Map.entry("soft jerkbait", EYE + " M30,-6.6 L74,-2.6"),
            Map.entry("paddle-tail swimmer", EYE + ribs(44, 84, 6, 3)),
            Map.entry("curl-tail grub", ribs(8, 40, 5, 6)),
            Map.entry("lizard", EYE),
            Map.entry("craw", "M10,-5 q4,5 0,10 M20,-6 q4,6 0,12 M30,-6 q4,6 0,12"),
            Map.entry("creature", "M10,-4 v8 M18,-5 v10 M48,-4 v9 M56,-4 v9"),
            Map.entry("chunk", "M24,-9 L24,9 M32,-9 L32,9"),
            Map.entry("tube", "M6,-7 q3,7 0,14"),
            Map.entry("crankbait", "M24,-5 a1.8,1.8 0 1 0 0.1,0 M36,-9 q5,9 0,19 M1,3 L-13,15 L-7,18 L9,8"),
            Map.entry("lipless crankbait", "M18,-3 a1.8,1.8 0 1 0 0.1,0 M34,-13 v-4 a2,2 0 1 0 0.1,0 M30,-9 q5,9 0,18"),
            Map.entry("jerkbait", "M14,-1 a1.5,1.5 0 1 0 0.1,0 M20,1.5 L92,0 M2,3 L-8,9 L-4,11 L8,6"),
            Map.entry("spinnerbait", "M4,0 L-4,-26 L44,-30 M44,-30 q10,-9 20,0 q-10,9 -20,0Z"),
            Map.entry("bladed jig", "M6,-6 L12,6"),
            Map.entry("topwater", "M2,-5 q8,5 2,11 M16,-4 a1.6,1.6 0 1 0 0.1,0"),
            Map.entry("spoon", "M6,0 a1.4,1.4 0 1 0 0.1,0 M93,0 a1.4,1.4 0 1 0 0.1,0 M20,-6 Q56,-16 86,-4"));

    private static String ribs(int from, int to, int step, double half) {
        StringBuilder ribs = new StringBuilder();
        for (int x = from; x <= to; x += step) {
            ribs.append(" M").append(x).append(',').append(-half).append(" v").append(2 * half);
        }
        return ribs.toString();
    }

    private Plastics() {}

    /** Path data of the lines on a plastic's body, in the units of its outline; empty for none. */
    static String detail(String plastic) {
        return DETAILS.getOrDefault(plastic, "");
    }

    /** Path data of a plastic's outline, 100 long; a plain stick for a word outside the vocabulary. */
    static String outline(String plastic) {
        return OUTLINES.getOrDefault(plastic, STICK);
    }
}
