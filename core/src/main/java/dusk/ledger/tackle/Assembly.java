package dusk.ledger.tackle;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/** How each rig is put together, from the bare line on: three to five steps, each a sentence and what is there by then. */
public final class Assembly {
    /**
     * A step.
     *
     * @param parts what is on the line by then, from the rod's end on, as {@link Part} words
     */
    public record Step(String sentence, List<Part> parts) {}

    /** What a step shows. The first ones lie along the line, the others say how the plastic stands to the hook. */
    public enum Part {
        BALL,
        MUSHROOM,
        STANDING,
        FOOTBALL,
        MINNOW,
        BULLET,
        LINE_THROUGH,
        FLOAT,
        BEAD,
        SWIVEL,
        LEADER,
        ARM,
        BLADE,
        SKIRT,
        TUBE_WEIGHT,
        HOOK,
        WIDE_HOOK,
        TREBLE,
        /** Of a wacky rig, drawn with the bend down. */
        SHORT_HOOK,
        KEEL,
        /** A lure with hooks of its own. */
        BAIT,
        /** What is left of the line below a knot. */
        TAG_END,
        /** The plastic lies beside the hook, to see where it will come out. */
        BESIDE,
        /** The point has gone in at the nose and is on its way. */
        STARTED,
        /** The plastic sits straight along the shank, the point out. */
        THREADED,
        /** Through the nose and out again, the hook turned round. */
        TURNED,
        /** The point lies in the plastic. */
        BURIED,
        /** Hung by its middle. */
        MIDDLE,
        /** Hung by its nose. */
        NOSE,
        /** A band round its middle. */
        BAND,
        /** A nail pushed into one end. */
        NAIL_END,
        /** A nail pushed into the middle. */
        NAIL_MIDDLE,
        /** A weight at the end of what is left of the line, below the hook. */
        WEIGHT_BELOW
    }

    private static final String ALL = """
            open jig head|ball hook|Tie the head on so that it hangs level.
            open jig head|ball hook beside|Lay the plastic beside the hook, nose at the head, and see where the bend comes: there the point will come out.
            open jig head|ball hook started|Put the point into the middle of the nose and thread the plastic along the hook.
            open jig head|ball hook threaded|Bring the point out where you marked it and push the nose up over the keeper. It must sit straight, or it spins.
            mushroom head|mushroom hook|Tie the head on.
            mushroom head|mushroom hook started|Start the point in the middle of the nose, which is cut flat if it is round.
            mushroom head|mushroom hook threaded|Push the nose flat against the head, so that the plastic stands straight up from it.
            shaky head|standing wide_hook|Tie the head on.
            shaky head|standing wide_hook turned|Screw or push the nose onto the keeper, straight in its middle.
            shaky head|standing wide_hook buried|Bend the worm a little, push the point through and let it lie flat in the skin. Let go, it must hang straight.
            swing head|football|Tie the line to the weight.
            swing head|football wide_hook|Hang the hook in the weight's clip: it must swing freely.
            swing head|football wide_hook turned|Put the point through the nose, out again after a finger's breadth, and turn the hook round.
            swing head|football wide_hook buried|Bury the point, so that the plastic hangs straight.
            skirted jig|ball skirt hook|Tie the jig on and comb the skirt straight. Cut it level with the bend if it hides the plastic.
            skirted jig|ball skirt hook beside|Lay the trailer beside it and shorten it at the nose until the body ends at the bend.
            skirted jig|ball skirt hook threaded|Thread it on, flat side level, up to the collar.
            inside-head tube|tube_weight hook|Choose a weight that fits the hollow of the tube, its eye at a right angle.
            inside-head tube|tube_weight hook started|Wet it and push it in from the tail to the very front.
            inside-head tube|tube_weight hook threaded|Press the eye through the skin at the nose. The point looks out between the strands.
            inside-head tube|tube_weight hook threaded leader|Tie the line to the eye.
            texas rig|bullet|Slide the weight onto the line, point toward the rod.
            texas rig|bullet bead wide_hook|A bead if you want it to click, then tie the hook on.
            texas rig|bullet bead wide_hook turned|Put the point into the nose and out again after a finger's breadth. Slide the plastic up to the eye and turn the hook round.
            texas rig|bullet bead wide_hook buried|Push the point through the body and back just under the skin. The plastic must hang straight.
            carolina rig|bullet bead|Slide the weight onto the line, then a bead, which spares the knot.
            carolina rig|bullet bead swivel|Tie on a swivel.
            carolina rig|bullet bead swivel leader|Tie a leader of half a metre to a metre to the other ring.
            carolina rig|bullet bead swivel leader wide_hook buried|Tie the hook to it and bury the point in the plastic.
            drop shot|hook tag_end|Tie the hook on with a long end left over, and put that end back through the eye from the point's side, so that the hook stands out.
            drop shot|hook tag_end weight_below|Fasten the weight to the end: a hand's breadth below the hook near the bottom, an arm's length for fish above it.
            drop shot|hook tag_end weight_below nose|Hook the plastic through the nose, from below, just deep enough to hold.
            wacky|short_hook|Tie a short hook on.
            wacky|short_hook band|Slip a band round the worm a little ahead of its middle: it spares the worm.
            wacky|short_hook middle band|Put the hook under the band, or through the worm. Both ends hang down alike.
            weighted wacky|ball short_hook|Tie the small head on.
            weighted wacky|ball short_hook band|Slip a band round the worm's middle.
            weighted wacky|ball short_hook middle band|Hook it there, the head above it.
            weedless wacky|short_hook|Tie the hook on.
            weedless wacky|short_hook nail_middle|Push the nail into the body at its middle, until nothing stands out.
            weedless wacky|short_hook middle nail_middle|Put the hook through beside it and lay the point into the skin.
            nail-weighted wacky|short_hook|Tie a short hook on.
            nail-weighted wacky|short_hook nail_end|Push the nail into the thick end of the worm, until it is flush.
            nail-weighted wacky|short_hook middle nail_end|Hook the worm in its middle. It falls on its weighted nose and glides back.
            sliding wacky|swivel leader|Tie a leader to a swivel that slides on the line.
            sliding wacky|swivel leader weight_below|Fasten the weight to the end of the line.
            sliding wacky|swivel leader short_hook weight_below|Tie a short hook to the leader.
            sliding wacky|swivel leader short_hook middle weight_below|Hook the worm by its middle: it sinks down along the line after the weight.
            weightless weedless|wide_hook|Tie the hook on. There is no weight.
            weightless weedless|wide_hook turned|Put the point into the nose and out again after a finger's breadth, slide the plastic up to the eye and turn the hook round.
            weightless weedless|wide_hook buried|Push the point through, back just under the skin. It must hang straight, or it spins and twists the line.
            belly-weighted weedless|keel wide_hook|Tie the hook on, its weight on the shank.
            belly-weighted weedless|keel wide_hook turned|Put the nose on the keeper and turn the hook round.
            belly-weighted weedless|keel wide_hook buried|Lead the bend through the slit in the belly and lay the point along the back.
            wire-arm spinner|ball hook|The head hangs at one end of a wire.
            wire-arm spinner|ball arm hook|Tie the line into the wire's bend: the blades turn above the hook.
            wire-arm spinner|ball arm hook threaded|Thread a plastic on straight. It must run upright: bend the wire if it leans.
            underspin|ball blade hook|Tie the head on, the small blade below it.
            underspin|ball blade hook started|Thread the plastic on in the middle of the nose.
            underspin|ball blade hook threaded|Push it up to the head, straight, the tail clear of the blade.
            held minnow head|minnow hook|Tie the head on with a loop, so that it can hang level.
            held minnow head|minnow hook started|Thread a slim minnow on through the middle of its nose.
            held minnow head|minnow hook threaded|Hang it beside the boat: it must lie level. Move the knot on the eye until it does.
            line-through head|line_through|Lead the line through the head from its nose.
            line-through head|line_through leader|Let it come out behind, through the plastic.
            line-through head|line_through leader treble|Tie the small hook to the end.
            line-through head|line_through leader treble nose|Draw the line tight: the hook comes to lie at the plastic's belly or tail.
            linked weight|swivel|Tie on a ring or a small snap.
            linked weight|swivel wide_hook|Hang the weedless hook in it.
            linked weight|swivel wide_hook weight_below|Hang the weight beside it, so that both move freely.
            linked weight|swivel wide_hook buried weight_below|Turn the hook into the plastic and bury the point.
            cork rig|float|Slide the float on, or tie it between line and leader.
            cork rig|float bead leader|Then a bead and a leader as long as the fish are deep, a metre at the most.
            cork rig|float bead leader ball hook|Tie a light head to its end.
            cork rig|float bead leader ball hook threaded|Thread the plastic on straight.
            hard bait|bait|See that its hooks are sharp and hang free.
            hard bait|swivel bait|Hang it in a snap or a loop: a knot drawn tight on its ring kills its swing.
            hard bait|leader swivel bait|With toothed fish about, a trace before it. If it runs to a side, bend its ring a hair's breadth the other way.
            """;

    private static final Map<String, List<Step>> BY_RIG = new LinkedHashMap<>();

    static {
        ALL.lines().forEach(line -> {
            String[] cells = line.split("\\|");
            List<Part> parts = new ArrayList<>();
            for (String word : cells[1].split(" ")) {
                parts.add(Part.valueOf(word.toUpperCase(Locale.ROOT)));
            }
            BY_RIG.computeIfAbsent(cells[0], rig -> new ArrayList<>()).add(new Step(cells[2], List.copyOf(parts)));
        });
    }

    private Assembly() {}

    /** A rig's steps, in order; empty for a rig of the club's own. */
    public static List<Step> of(String rig) {
        return List.copyOf(BY_RIG.getOrDefault(rig, List.of()));
    }
}
