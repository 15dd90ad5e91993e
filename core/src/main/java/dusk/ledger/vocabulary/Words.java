package dusk.ledger.vocabulary;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * The starting vocabulary: the words the field uses, by column of the ledger package. A club may add words; records keep the word they
 * were written with.
 */
public final class Words {
    /** Columns whose values must be one of these, in every package. */
    private static final Map<String, List<String>> CLOSED = new LinkedHashMap<>();

    /** Columns whose words are kept as written; those outside are only listed. */
    private static final Map<String, List<String>> OPEN = new LinkedHashMap<>();

    static {
        fixed("kind@waters", "reservoir, lake, river, canal, estuary, pond");
        fixed("tide", "flood, high slack, ebb, low slack");
        fixed("weather", "settled, warming, front coming, after a front");
        fixed("pressure", "none, some, heavy");
        fixed("source", "hand, instrument, service");
        fixed("speed", "slow, medium, fast");
        fixed("hook_set", "reel, sweep, hard");
        fixed("purpose", "search, follow-up, trial");
        fixed("not_recorded", "minutes, time, minutes and time");
        fixed("length_how", "measured, estimated");
        fixed("how@readings", "measured, judged");
        fixed("slope", "flat, gentle, steep");
        fixed("shelter", "lee, windward, open");
        fixed("plastic_body", "solid, hollow, thin-walled, ribbed");
        fixed("felt", "tick, weight, slack line, line jump, rod tip, seen, not felt");
        fixed("mass_how", "measured, estimated, from_length");
        fixed("kind@touches", "follow, bite, hooked");
        fixed("kind@signs", "bait showing, fish breaking, birds, fish on sonar, prey seen, none");

        open(
                "rig",
                "open jig head, mushroom head, shaky head, swing head, skirted jig, inside-head tube, texas "
                        + "rig, carolina rig, drop shot, wacky,"
                        + " weighted wacky, weedless wacky, nail-weighted wacky, sliding wacky, weightless "
                        + "weedless, belly-weighted weedless,"
                        + " wire-arm spinner, underspin, held minnow head, line-through head, linked weight, cork rig, hard bait");
        open(
                "head_shape",
                "ball, mushroom, football, stand-up, bullet, keeled minnow, darter, pointed, tube, pear, "
                        + "cylinder, nail, belly keel, line-through, none");
        open("head_material", "lead, tungsten, tin-bismuth, brass, steel");
        open("head_colour", "plain, black, chartreuse, green pumpkin, white, red");
        open("hook_wire", "light, medium, heavy, treble");
        open("hook_pattern", "straight, wide gap, offset, jig, treble, circle, single swim");
        open("weed_guard", "none, fibre, wire, point buried");
        open("keeper", "none, barb, collar, screw, coil fine, coil stout");
        open("skirt", "none, short, long");
        open("blade", "none, small, medium, large");
        open("rattle", "none, in head, in plastic");
        open("power", "ultralight, light, medium-light, medium, medium-heavy, heavy");
        open("action", "slow, moderate, fast");
        open(
                "plastic",
                "straight worm, bulb-tail worm, ribbon-tail worm, cut-tail worm, stick worm, short stick, "
                        + "straight-tail minnow, soft jerkbait,"
                        + " paddle-tail swimmer, curl-tail grub, creature, craw, chunk, lizard, tube, crankbait, "
                        + "lipless crankbait, jerkbait,"
                        + " spinnerbait, bladed jig, topwater, spoon, none");
        open("plastic_material", "plastisol, salted plastisol, floating elastomer");
        open(
                "colour",
                "green pumpkin, watermelon, brown craw, orange craw, black, black-blue, dark plum, violet, "
                        + "smoke, clear with glitter, pearl, white,"
                        + " silver shad, motor oil, chartreuse, glow bright, red");
        open("prey_colour", String.join(", ", OPEN.get("colour")));
        open("line_colour", "clear, dull, bright");
        open("hooked_in", "lip, roof, corner, outside, deep");
        open("colour_accent", "none, chartreuse tail, orange belly, red flake, blue flake, dark back");
        open(
                "structure",
                "main point, secondary point, channel bank, channel edge, ledge, hump, roadbed, pond dam, flat, spawning flat, grass edge,"
                        + " grass hole, weed line, dock, bridge, wall, riprap, laydown, standing timber, brush "
                        + "pile, overhanging tree, moored boats,"
                        + " eddy, current seam, pass, creek mouth, open water");
        open("bottom", "silt, sand, clay, gravel, rock, shell, mixed, leaf litter, weed");
        open("cover", "none, sparse, thick");
        open(
                "fish_position",
                "on bottom, just off bottom, suspended, under a surface school, at the surface, on beds, cruising shallow, not seen");
        open(
                "presentation",
                "slow drag, drag and pause, hop, big hop, shake in place, dead-stick, steady retrieve, slow "
                        + "roll, rush and stop, stop on contact, lift and drop,"
                        + " reel and glide, tight-line swim, vertical hold, twitch and pause");
        open("line_method", "slack fall, tight-line fall, open-bail drop");
        open("bite_on", "fall, first move, bottom, pause, steady pull, lift, at the boat, not felt");
        open("cause", "jumped off, at the boat, hook straightened, line broke, knot, snag");
        open("sky", "clear, broken cloud, overcast, rain, fog");
        open("level_trend", "rising, steady, falling");
        open("forage", "baitfish, small perch, sunfish, crayfish, shrimp, crab, insects, not seen");
        open("line_material", "mono, fluorocarbon, braid");
        open("leader_material", "none, mono, fluorocarbon, wire");
        open("species", "largemouth, smallmouth, spotted bass, yellow perch, walleye, pike, sea bass, flounder");
    }

    private static final Pattern LIKE = Pattern.compile(".*\\(like: ([^()]+)\\)\\s*");

    private Words() {}

    /**
     * What kind of rig a word names: one outside the list may say which of the list it is nearest to, such as {@code slip
     * rig (like: texas rig)}, and is drawn, checked, weighed and compared as that. Every other word names itself.
     */
    public static String rigKind(String rig) {
        Matcher like = LIKE.matcher(rig);
        return like.matches() && of("rig").contains(like.group(1)) ? like.group(1) : rig;
    }

    private static void fixed(String column, String words) {
        CLOSED.put(column, List.of(words.split(", ")));
    }

    private static void open(String column, String words) {
        OPEN.put(column, List.of(words.split(", ")));
    }

    /** The words a column starts with, in the order of the handbook; empty for a column without a vocabulary. */
    public static List<String> of(String column) {
        List<String> words = OPEN.get(column);
        return words == null ? CLOSED.getOrDefault(column, List.of()) : words;
    }

    /**
     * The only words a column of a file takes.
     *
     * @param column column name
     * @param file name of the file without ending, which tells apart columns of the same name
     * @return empty where the column is free
     */
    public static List<String> closed(String column, String file) {
        List<String> words = CLOSED.get(column + "@" + file);
        return words == null ? CLOSED.getOrDefault(column, List.of()) : words;
    }

    /** Whether the vocabulary speaks of this column and lacks this word. */
    public static boolean outside(String column, String word) {
        List<String> words = OPEN.get(column);
        return words != null && !words.contains(word);
    }
}
