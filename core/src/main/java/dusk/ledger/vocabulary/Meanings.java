package dusk.ledger.vocabulary;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** What the words of the vocabulary mean, one plain sentence each, for whoever is new to them. */
public final class Meanings {
    private static final String ALL = """
            rig|open jig head|A weight moulded on the hook, the plastic threaded along the shank, the point in the open.
            rig|mushroom head|A flat-faced head that stands a short plastic up with its tail off the bottom.
            rig|shaky head|A light standing head with a worm whose point is buried: shaken in one place, it hardly moves.
            rig|swing head|A heavy round weight with a hook that swings free behind it, for crawling fast over hard bottom.
            rig|skirted jig|A head with a skirt of strands and a plastic behind: a mouthful that looks like a crayfish or a fish.
            rig|inside-head tube|A tube with the weight hidden in its hollow body, which makes it spiral as it falls.
            rig|texas rig|A bullet weight on the line before a hook whose point is buried: it goes through weeds and wood.
            rig|carolina rig|A weight, then a length of leader, then the plastic: the weight feels the bottom, the plastic follows free.
            rig|drop shot|The weight hangs at the end of the line, the hook above it: the plastic stays at its height off the bottom.
            rig|wacky|A worm hooked through its middle, so that both ends quiver as it sinks.
            rig|weighted wacky|A worm hooked through its middle on a small head, for deeper water or wind.
            rig|weedless wacky|A worm hooked through the middle with the point buried and a nail weight in the body, for cover.
            rig|nail-weighted wacky|A worm hooked in the middle with a nail in one end: it falls nose first and glides back.
            rig|sliding wacky|A worm that slides on a leader above a weight: the wacky fall, far down.
            rig|weightless weedless|A plastic on a buried hook and nothing else: it glides and sinks slowly.
            rig|belly-weighted weedless|A buried hook with a weight on its shank, so that a swimmer stays level over weeds.
            rig|wire-arm spinner|A head below a wire arm with turning blades above it: flash and thump on a steady pull.
            rig|underspin|A jig head with a small blade under its chin.
            rig|held minnow head|A head made to hang level on a tight line, held or swum just above suspended fish.
            rig|line-through head|The line runs through the head to a small hook that trails, for fish that bite short.
            rig|linked weight|A weight linked loosely to a weedless hook: it stands the plastic up and lets it tip.
            rig|cork rig|A float that is popped, the lure below it at the depth one sets.
            rig|hard bait|A lure of wood or hard plastic with hooks of its own, logged for comparison.
            head_shape|ball|Round: falls straight, rolls on the bottom.
            head_shape|mushroom|Flat-faced: the plastic butts against it and stands.
            head_shape|football|Wide across: rocks over stones and tips the plastic up when it is stopped.
            head_shape|stand-up|Flat-bottomed: stands on it with the hook up.
            head_shape|bullet|A cone on the line: slips through weeds.
            head_shape|keeled minnow|Fish-shaped and deep-bellied: swims upright without rolling.
            head_shape|darter|Pointed and narrow: darts to the side when it is twitched.
            head_shape|pointed|A slim nose with the eye in front: parts weeds on a steady pull.
            head_shape|tube|A long slim weight to sit inside a tube.
            head_shape|pear|A drop on a loop, for the end of the line.
            head_shape|cylinder|A slim stick at the end of the line: slips between stones.
            head_shape|nail|A thin weight pushed into the plastic.
            head_shape|belly keel|A weight round the shank, under the lure's belly.
            head_shape|line-through|A head that the line runs through.
            head_shape|none|No weight but the hook's.
            plastic|straight worm|A long plain worm that does nothing by itself.
            plastic|bulb-tail worm|A worm with a thick end, which floats up and wavers a little.
            plastic|ribbon-tail worm|A worm with a long flat curl, which swims at the slightest pull.
            plastic|cut-tail worm|A ribbed worm with an angled end, which flaps on the fall.
            plastic|stick worm|A thick heavy worm that quivers as it sinks.
            plastic|short stick|A stubby stick the length of a finger.
            plastic|straight-tail minnow|A slim fish with a fine tail, which only trembles.
            plastic|soft jerkbait|A longer slim fish that darts when it is jerked.
            plastic|paddle-tail swimmer|A fish with a flat foot for a tail, which beats on any pull.
            plastic|curl-tail grub|A short body with a sickle tail, which swims on any pull.
            plastic|creature|A body with arms and flaps that is like nothing and looks alive.
            plastic|craw|Two claws on a body: a crayfish.
            plastic|chunk|A short piece with flaps, hung behind a jig.
            plastic|lizard|A long body with four legs and a tail.
            plastic|tube|A hollow body with a skirt of strands cut from its end.
            plastic|crankbait|A hard lure with a lip that dives and wobbles.
            plastic|lipless crankbait|A flat hard lure that sinks and shivers on the pull.
            plastic|jerkbait|A slim hard lure that darts and hangs still.
            plastic|spinnerbait|A wire lure with turning blades, as made.
            plastic|bladed jig|A jig with a plate before it that knocks from side to side.
            plastic|topwater|A lure that stays on the surface.
            plastic|spoon|A bent piece of metal that flutters as it falls.
            plastic|none|No plastic.
            keeper|none|Nothing holds the plastic but the hook.
            keeper|barb|A thorn on the shank.
            keeper|collar|A ring of lead behind the head, which the plastic is pushed over.
            keeper|screw|A spiral that the plastic's nose is screwed onto.
            keeper|coil fine|A coil of thin wire, for slim plastics.
            keeper|coil stout|A coil of stout wire, for thick ones.
            weed_guard|none|The point is in the open.
            weed_guard|fibre|A brush of fibres before the point gives way to a fish.
            weed_guard|wire|A thin wire before the point does the same.
            weed_guard|point buried|The point lies in the plastic and comes out when the hook is set.
            presentation|slow drag|Drawn along the bottom without leaving it.
            presentation|drag and pause|Drawn a little, left, drawn again.
            presentation|hop|Lifted a hand's breadth off the bottom and let fall.
            presentation|big hop|Lifted a metre and let fall.
            presentation|shake in place|The tip trembles, the lure stays where it is.
            presentation|dead-stick|Not moved at all, for ten seconds and up to a minute.
            presentation|steady retrieve|Reeled without a break at one speed.
            presentation|slow roll|Reeled as slowly as it still works, near the bottom.
            presentation|rush and stop|Reeled fast, then stopped dead, over and over.
            presentation|stop on contact|Reeled until it touches something, then stopped.
            presentation|lift and drop|Raised and let down under the rod.
            presentation|reel and glide|A few turns, then let glide, off the bottom.
            presentation|tight-line swim|Swum on a line that is never slack.
            presentation|vertical hold|Held still at a depth under the boat.
            presentation|twitch and pause|Short jerks with rests between.
            line_method|slack fall|Let fall on a line with a little slack: straight down, and fastest.
            line_method|tight-line fall|Let fall on a line held tight: it swings toward one and falls slower.
            line_method|open-bail drop|Line runs off freely: straight down, with no tension at all.
            structure|main point|Land that runs out into the main body of the water.
            structure|secondary point|The same inside a creek or a bay.
            structure|channel bank|A bank that the old river bed runs along.
            structure|channel edge|Where the bottom falls into the old river bed.
            structure|ledge|A step in the bottom.
            structure|hump|A rise that does not reach the surface.
            structure|roadbed|A sunken road: hard, straight, a little raised.
            structure|pond dam|The sunken dam of an old pond.
            structure|flat|A wide stretch of one depth.
            structure|spawning flat|A shallow one where fish make their beds.
            structure|grass edge|Where weeds end.
            structure|grass hole|A gap in weeds.
            structure|weed line|The outer line of weeds along a depth.
            structure|dock|A landing on posts: shade, and something to lie against.
            structure|bridge|Piers and shade where the water narrows.
            structure|wall|A face of stone or concrete.
            structure|riprap|A bank of loose stone.
            structure|laydown|A tree that fell into the water.
            structure|standing timber|Trees that stand drowned.
            structure|brush pile|Branches sunk in a heap.
            structure|overhanging tree|Shade and insects from above.
            structure|moored boats|Hulls and chains: shade in open water.
            structure|eddy|Water that turns back behind something.
            structure|current seam|The line where fast water meets slow.
            structure|pass|A narrow way that the tide runs through.
            structure|creek mouth|Where a creek comes in.
            structure|open water|Nothing but depth.
            bite_on|fall|It came while the lure sank.
            bite_on|first move|It came when the lure was first moved after lying.
            bite_on|bottom|It came on the bottom.
            bite_on|pause|It came while the lure was still.
            bite_on|steady pull|It came while it was reeled.
            bite_on|lift|It came as the lure was raised.
            bite_on|at the boat|It came at the rod's feet.
            bite_on|not felt|It was simply there.
            """;

    private static final Map<String, Map<String, String>> BY_COLUMN = new LinkedHashMap<>();

    static {
        ALL.lines().forEach(line -> {
            String[] cells = line.split("\\|");
            BY_COLUMN.computeIfAbsent(cells[0], c -> new LinkedHashMap<>()).put(cells[1], cells[2]);
        });
    }

    private Meanings() {}

    /** The columns whose words are told. */
    public static List<String> columns() {
        return List.copyOf(BY_COLUMN.keySet());
    }

    /** A column's words with what each means, in the order of the vocabulary; empty for a column that is not told. */
    public static Map<String, String> of(String column) {
        return BY_COLUMN.getOrDefault(column, Map.of());
    }

    /** What a word of a column means; nothing for a word of the club's own. */
    public static Optional<String> of(String column, String word) {
        return Optional.ofNullable(of(column).get(word));
    }
}
