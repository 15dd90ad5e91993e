package dusk.ledger.tackle;

import dusk.ledger.journal.Rod;
import dusk.ledger.journal.SetUp;
import dusk.ledger.units.Force;
import dusk.ledger.units.Length;
import dusk.ledger.units.Mass;
import dusk.ledger.units.UnitSystem;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** What does not go together in a set-up, on a rod, at a place. Rules of thumb: each tells its reason and its fix. */
public final class TackleChecks {
    private static final Force HEAVY_WIRE_LINE = kilograms(6.5);
    private static final Force LIGHT_WIRE_LINE = kilograms(9);
    private static final Force HARD_STRIKE_LINE = kilograms(5);
    private static final Set<String> STIFF = Set.of("medium-heavy", "heavy");

    /** A maker's rating is no knife's edge. */
    private static final double OVER = 1.1;

    private static final double UNDER = 0.8;
    private static final Set<String> SOFT = Set.of("ultralight", "light", "medium-light");
    private static final Set<String> LONG_BODIES =
            Set.of("straight worm", "bulb-tail worm", "ribbon-tail worm", "cut-tail worm", "stick worm", "lizard");
    /** A hook whose point stands nearer to the nose than this share of the body leaves most of it unguarded. */
    private static final double SHORTEST = 0.20;

    /** Long worms are taken at the head, and a short hook is a practice of its own. */
    private static final double SHORTEST_IN_WORM = 0.12;

    private static final double LONGEST = 0.60;
    private static final double WIDE_GAP = 1.2;
    private static final double THICK_TRACE_MM = 0.7;

    private static final double LONGEST_DROP_MM = 1200;
    private static final double DROP_SHARE_OF_ROD = 0.6;

    /** A weight ahead of the lure swings with it: longer leaders are cast than above a weight that hangs below. */
    private static final double LONGEST_TRAIL_MM = 2000;

    private static final double TRAIL_SHARE_OF_ROD = 0.9;

    private TackleChecks() {}

    /**
     * What a set-up is fished with; null is not known.
     *
     * @param hookSet of the stint
     * @param cover at the place
     * @param leadForbidden by the rules entered for the water
     * @param toothed whether fish that cut line are landed on the water
     */
    public record Use(
            @Nullable Rod rod,
            @Nullable String hookSet,
            @Nullable String cover,
            boolean leadForbidden,
            boolean toothed) {
        /** Nothing known beside the set-up itself. */
        public static final Use UNKNOWN = new Use(null, null, null, false, false);

        /** Whether a species cuts line. */
        public static boolean cutsLine(String species) {
            return species.contains("pike") || species.contains("barracuda") || species.contains("mackerel");
        }
    }

    /** All that is to be said, the costliest first. */
    public static List<Caution> of(SetUp setUp, Use use, UnitSystem units) {
        List<Caution> cautions = new ArrayList<>();
        rating(cautions, setUp, use.rod(), units);
        wire(cautions, setUp, use, units);
        line(cautions, setUp, use, units);
        hook(cautions, setUp, units);
        weeds(cautions, setUp, use, units);
        keeper(cautions, setUp);
        if (use.leadForbidden() && "lead".equals(setUp.headMaterial())) {
            cautions.add(new Caution(
                    "head_material",
                    "The rules entered for this water forbid lead.",
                    "Use tungsten or tin-bismuth; the published local rules prevail."));
        }
        return cautions;
    }

    /** Plastics that melt one another when stored together. */
    public static List<Caution> storage(List<SetUp> together) {
        boolean elastomer = together.stream().anyMatch(s -> "floating elastomer".equals(s.plasticMaterial()));
        boolean other = together.stream()
                .anyMatch(
                        s -> s.plasticMaterial() != null && !s.plasticMaterial().equals("floating elastomer"));
        return elastomer && other
                ? List.of(new Caution(
                        "plastic_material",
                        "Floating elastomer melts against other plastics.",
                        "Store it apart, in the bag it came in."))
                : List.of();
    }

    /** Head and plastic together; null where neither is known, or the plastic has no body in the table. */
    public static @Nullable Mass thrown(SetUp setUp) {
        Mass head = setUp.headMass();
        String word = setUp.plastic();
        boolean bare = word == null || setUp.plasticLength() == null;
        Plastic plastic = Plastic.of(setUp).orElse(null);
        if (!bare && plastic == null) {
            return null;
        }
        double grams = (head == null ? 0 : head.grams()) + (plastic == null ? 0 : plastic.massGrams());
        return grams > 0 ? Mass.ofGrams(grams) : null;
    }

    private static void rating(List<Caution> cautions, SetUp setUp, @Nullable Rod rod, UnitSystem units) {
        Mass thrown = thrown(setUp);
        if (rod == null || thrown == null) {
            return;
        }
        String mass = thrown.show(units.headMass());
        Mass most = rod.lureMax();
        Mass least = rod.lureMin();
        if (most != null && thrown.grams() > OVER * most.grams()) {
            cautions.add(new Caution(
                    "head_mass_g",
                    "Head and plastic weigh about " + mass + "; the rod is rated to " + most.show(units.headMass())
                            + ". It can break on the cast.",
                    "Go lighter, or take a stronger rod."));
        } else if (least != null && thrown.grams() < UNDER * least.grams()) {
            cautions.add(new Caution(
                    "head_mass_g",
                    "Head and plastic weigh about " + mass + "; the rod is rated from " + least.show(units.headMass())
                            + ". It will not load.",
                    "Go heavier, or take a lighter rod."));
        }
    }

    /** A stout hook wants a stiff rod or strong line, one of the two; a thin one gives way where both are strong. */
    private static void wire(List<Caution> cautions, SetUp setUp, Use use, UnitSystem units) {
        Force line = weakest(setUp);
        Rod rod = use.rod();
        String power = rod == null ? null : rod.power();
        boolean soft = power != null && SOFT.contains(power);
        if ("heavy".equals(setUp.hookWire()) && soft && line != null && line.compareTo(HEAVY_WIRE_LINE) < 0) {
            cautions.add(new Caution(
                    "hook_wire",
                    "A heavy hook is never driven in with a soft rod on line of " + line.show(units.line()) + ".",
                    "A lighter wire, a stiffer rod, or line of " + HEAVY_WIRE_LINE.show(units.line()) + " and more."));
        } else if ("light".equals(setUp.hookWire()) && line != null) {
            boolean stiff = power != null && STIFF.contains(power);
            if (line.compareTo(LIGHT_WIRE_LINE) > 0) {
                cautions.add(new Caution(
                        "hook_wire",
                        "A light hook straightens on line of " + line.show(units.line()) + ".",
                        "A heavier wire, or line up to " + LIGHT_WIRE_LINE.show(units.line()) + "."));
            } else if ("hard".equals(use.hookSet()) && !soft && (stiff || line.compareTo(HARD_STRIKE_LINE) > 0)) {
                cautions.add(new Caution(
                        "hook_wire",
                        "A light hook straightens on a hard strike.",
                        "Reel or sweep into the fish, or use a heavier wire."));
            }
        }
    }

    private static @Nullable Force weakest(SetUp setUp) {
        Force line = setUp.lineStrength();
        Force leader = setUp.leaderStrength();
        if (line == null || leader == null) {
            return line == null ? leader : line;
        }
        return line.compareTo(leader) < 0 ? line : leader;
    }

    private static void line(List<Caution> cautions, SetUp setUp, Use use, UnitSystem units) {
        String trace = setUp.leaderMaterial();
        Length thick = setUp.leaderDiameter();
        boolean proof = "wire".equals(trace)
                || (trace != null && !trace.equals("none") && thick != null && thick.millimetres() >= THICK_TRACE_MM);
        if (use.toothed() && !proof && setUp.lineMaterial() != null) {
            cautions.add(new Caution(
                    "leader_material",
                    "Toothed fish are about here, and they cut thin line.",
                    "A trace of wire, or of fluorocarbon from "
                            + Length.ofMillimetres(THICK_TRACE_MM).show(Length.Unit.MILLIMETRE) + " on."));
        }
        Length drop = setUp.leader();
        Length length = use.rod() == null ? null : use.rod().length();
        double most = setUp.rigKind().equals("drop shot") ? LONGEST_DROP_MM : LONGEST_TRAIL_MM;
        double ofRod = setUp.rigKind().equals("drop shot") ? DROP_SHARE_OF_ROD : TRAIL_SHARE_OF_ROD;
        if (length != null) {
            most = Math.min(most, length.millimetres() * ofRod);
        }
        boolean fixed = !setUp.rigKind().equals("cork rig");
        if (fixed && drop != null && drop.millimetres() > most) {
            cautions.add(new Caution(
                    "leader_mm",
                    "Hook and weight are " + drop.show(units.lure()) + " apart: that swings against every cast.",
                    "Shorten it to " + Length.ofMillimetres(most).show(units.lure()) + " or less."));
        }
    }

    /** How the hook holds the plastic, which decides what its size has to do with it. */
    private enum Held {
        /** By the nose or the middle, or on a hook that trails: the body moves free of it. */
        FREE,
        /** Along the shank, the point out. */
        THREADED,
        /** The point back in the body. */
        BURIED;

        static Held of(SetUp setUp) {
            String rig = setUp.rigKind();
            boolean treble = "treble".equals(setUp.hookWire()) || "treble".equals(setUp.hookPattern());
            boolean buried = "point buried".equals(setUp.weedGuard());
            boolean nose = rig.equals("drop shot") || rig.equals("line-through head");
            if (treble || rig.equals("hard bait") || rig.contains("wacky") || (nose && !buried)) {
                return FREE;
            }
            return buried ? BURIED : THREADED;
        }
    }

    private static void hook(List<Caution> cautions, SetUp setUp, UnitSystem units) {
        Plastic plastic = Plastic.of(setUp).orElse(null);
        Hook hook = setUp.hookSize() == null ? null : Hook.of(setUp.hookSize()).orElse(null);
        Held held = Held.of(setUp);
        if (plastic == null || hook == null || held == Held.FREE) {
            return;
        }
        double share = hook.reach().millimetres() / plastic.length().millimetres();
        boolean worm = LONG_BODIES.contains(setUp.plastic());
        if (share < (worm ? SHORTEST_IN_WORM : SHORTEST)) {
            cautions.add(new Caution(
                    "hook_size",
                    "The point stands at " + Math.round(100 * share)
                            + " % of the plastic: fish take the tail and miss it.",
                    "A larger hook, or a shorter plastic."));
        } else if (share > LONGEST && worm) {
            cautions.add(new Caution(
                    "hook_size",
                    "The point stands at " + Math.round(100 * share) + " % of the worm and stiffens it.",
                    "A smaller hook."));
        }
        // a threaded body lies half to each side of the shank; a buried point has to come through all of it
        double through = plastic.thickness().millimetres() * (held == Held.BURIED ? softness(setUp) : 0.5);
        if (through > gapMm(hook, setUp.hookPattern())) {
            cautions.add(new Caution(
                    "hook_size",
                    "The plastic is about " + plastic.thickness().show(units.lure()) + " thick and the hook's gap "
                            + Length.ofMillimetres(gapMm(hook, setUp.hookPattern()))
                                    .show(units.lure())
                            + (held == Held.BURIED
                                    ? ": the buried point cannot come out."
                                    : ": the point is not clear of it."),
                    "A hook with a wider gap, or a slimmer plastic."));
        }
    }

    /** What of its thickness a body gives way by when a fish closes on it. */
    private static double softness(SetUp setUp) {
        return "hollow".equals(setUp.plasticBody()) || "thin-walled".equals(setUp.plasticBody()) ? 0.7 : 1;
    }

    private static double gapMm(Hook hook, @Nullable String pattern) {
        return hook.gap().millimetres() * ("wide gap".equals(pattern) ? WIDE_GAP : 1);
    }

    private static void weeds(List<Caution> cautions, SetUp setUp, Use use, UnitSystem units) {
        boolean open = setUp.weedGuard() == null || setUp.weedGuard().equals("none");
        if (open && "thick".equals(use.cover()) && setUp.hookWire() != null) {
            cautions.add(new Caution(
                    "weed_guard", "An open hook in thick cover hangs up.", "A guard, or the point buried."));
        }
        Mass mass = setUp.headMass();
        Hook hook = setUp.hookSize() == null ? null : Hook.of(setUp.hookSize()).orElse(null);
        if ("belly keel".equals(setUp.headShape()) && mass != null && hook != null) {
            Length keel = keelLength(mass, setUp.headMaterial());
            if (keel.millimetres() > hook.reach().millimetres() * 0.6) {
                cautions.add(new Caution(
                        "head_mass_g",
                        "A belly weight of " + mass.show(units.headMass()) + " is about " + keel.show(units.lure())
                                + " long: on this hook it reaches the nose and the lure no longer hangs level.",
                        "A lighter weight or a larger hook, with the weight far back."));
            }
        }
    }

    /** A keel moulded round the shank is about four times as long as it is thick. */
    private static Length keelLength(Mass mass, @Nullable String material) {
        double volumeMm3 = mass.grams() * 1e6 / Material.headDensity(material);
        return Length.ofMillimetres(4 * Math.cbrt(volumeMm3 / Math.PI));
    }

    private static void keeper(List<Caution> cautions, SetUp setUp) {
        Plastic plastic = Plastic.of(setUp).orElse(null);
        String keeper = setUp.keeper();
        if (plastic == null || keeper == null) {
            return;
        }
        double most = switch (keeper) {
            case "coil fine" -> 9;
            case "coil stout" -> 14;
            case "barb", "screw" -> 15;
            case "collar" -> 18;
            default -> Double.MAX_VALUE;
        };
        if (plastic.thickness().millimetres() > most) {
            cautions.add(new Caution(
                    "keeper",
                    "The plastic is thicker than a " + keeper + " keeper holds: it slides down.",
                    "The next size of keeper, or glue; glue bonds skin, so keep it from fingers and eyes."));
        }
    }

    private static Force kilograms(double kilograms) {
        return Force.parse(kilograms + " kg", Force.Unit.KILOGRAM_TEST);
    }
}
