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
    private static final Force LIGHT_WIRE_LINE = kilograms(7);
    private static final Set<String> SOFT = Set.of("ultralight", "light", "medium-light");
    private static final Set<String> LONG_BODIES =
            Set.of("straight worm", "bulb-tail worm", "ribbon-tail worm", "cut-tail worm", "stick worm", "lizard");
    private static final double POINT_FROM = 0.35;
    private static final double POINT_TO = 0.45;

    /** A worm bites up to a quarter beyond the band before it costs fish. */
    private static final double POINT_SLACK = 0.10;

    private static final double LONGEST_DROP_MM = 1200;
    private static final double DROP_SHARE_OF_ROD = 0.6;

    private TackleChecks() {}

    /**
     * What a set-up is fished with; null is not known.
     *
     * @param hookSet of the stint
     * @param cover at the place
     * @param leadForbidden by the rules entered for the water
     */
    public record Use(
            @Nullable Rod rod,
            @Nullable String hookSet,
            @Nullable String cover,
            boolean leadForbidden) {
        /** Nothing known beside the set-up itself. */
        public static final Use UNKNOWN = new Use(null, null, null, false);
    }

    /** All that is to be said, the costliest first. */
    public static List<Caution> of(SetUp setUp, Use use, UnitSystem units) {
        List<Caution> cautions = new ArrayList<>();
        rating(cautions, setUp, use.rod(), units);
        wire(cautions, setUp, use, units);
        line(cautions, setUp, use.rod(), units);
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

    /** Head and plastic together; null where neither is known. */
    public static @Nullable Mass thrown(SetUp setUp) {
        Mass head = setUp.headMass();
        Length length = setUp.plasticLength();
        double grams = (head == null ? 0 : head.grams())
                + (length == null || setUp.plastic() == null
                        ? 0
                        : PlasticBody.of(setUp.plastic()).massGrams(length, setUp.plasticMaterial()));
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
        if (most != null && thrown.compareTo(most) > 0) {
            cautions.add(new Caution(
                    "head_mass_g",
                    "Head and plastic weigh about " + mass + "; the rod is rated to " + most.show(units.headMass())
                            + ". It can break on the cast.",
                    "Go lighter, or take a stronger rod."));
        } else if (least != null && thrown.compareTo(least) < 0) {
            cautions.add(new Caution(
                    "head_mass_g",
                    "Head and plastic weigh about " + mass + "; the rod is rated from " + least.show(units.headMass())
                            + ". It will not load.",
                    "Go heavier, or take a lighter rod."));
        }
    }

    private static void wire(List<Caution> cautions, SetUp setUp, Use use, UnitSystem units) {
        Force line = weakest(setUp);
        Rod rod = use.rod();
        boolean soft = rod != null && rod.power() != null && SOFT.contains(rod.power());
        if ("heavy".equals(setUp.hookWire())) {
            if (line != null && line.compareTo(HEAVY_WIRE_LINE) < 0) {
                cautions.add(new Caution(
                        "hook_wire",
                        "A heavy hook is never driven in on line of " + line.show(units.line()) + ".",
                        "A lighter wire, or line of " + HEAVY_WIRE_LINE.show(units.line()) + " and more."));
            } else if (soft) {
                cautions.add(new Caution(
                        "hook_wire",
                        "A heavy hook is never driven in with a soft rod.",
                        "A lighter wire, or a stiffer rod."));
            }
        } else if ("light".equals(setUp.hookWire())) {
            if (line != null && line.compareTo(LIGHT_WIRE_LINE) > 0) {
                cautions.add(new Caution(
                        "hook_wire",
                        "A light hook straightens on line of " + line.show(units.line()) + ".",
                        "A heavier wire, or line up to " + LIGHT_WIRE_LINE.show(units.line()) + "."));
            } else if ("hard".equals(use.hookSet())) {
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

    private static void line(List<Caution> cautions, SetUp setUp, @Nullable Rod rod, UnitSystem units) {
        boolean noLeader = "none".equals(setUp.leaderMaterial())
                || (setUp.leaderMaterial() == null && setUp.leaderStrength() == null);
        if ("braid".equals(setUp.lineMaterial()) && noLeader) {
            cautions.add(new Caution(
                    "leader_material",
                    "Braid has no give and is seen.",
                    "Tie in a leader of " + Length.ofMetres(2).show(units.depth()) + " or more."));
        }
        Length drop = setUp.leader();
        Length length = rod == null ? null : rod.length();
        double most =
                length == null ? LONGEST_DROP_MM : Math.min(LONGEST_DROP_MM, length.millimetres() * DROP_SHARE_OF_ROD);
        if (drop != null && drop.millimetres() > most) {
            cautions.add(new Caution(
                    "leader_mm",
                    "Hook and weight are " + drop.show(units.lure()) + " apart: that swings against every cast.",
                    "Shorten it to " + Length.ofMillimetres(most).show(units.lure()) + " or less."));
        }
    }

    private static void hook(List<Caution> cautions, SetUp setUp, UnitSystem units) {
        Length length = setUp.plasticLength();
        if (length == null
                || setUp.hookSize() == null
                || setUp.plastic() == null
                || setUp.rig().contains("wacky")) {
            return;
        }
        Hook hook = Hook.of(setUp.hookSize()).orElse(null);
        if (hook == null) {
            return;
        }
        double share = hook.reach().millimetres() / length.millimetres();
        boolean worm = LONG_BODIES.contains(setUp.plastic());
        if (worm && share < POINT_FROM - POINT_SLACK) {
            cautions.add(new Caution(
                    "hook_size",
                    "The point stands at " + Math.round(100 * share)
                            + " % of the worm: fish take the tail and miss it.",
                    "A larger hook: the point belongs at 35 to 45 %."));
        } else if (share > POINT_TO + POINT_SLACK && worm) {
            cautions.add(new Caution(
                    "hook_size",
                    "The point stands at " + Math.round(100 * share) + " % of the worm and stiffens it.",
                    "A smaller hook: the point belongs at 35 to 45 %."));
        }
        Length thick = PlasticBody.of(setUp.plastic()).thickness(length);
        if (thick.compareTo(hook.gap()) > 0) {
            boolean buried = "point buried".equals(setUp.weedGuard());
            cautions.add(new Caution(
                    "hook_size",
                    "The plastic is about " + thick.show(units.lure()) + " thick and the hook's gap "
                            + hook.gap().show(units.lure())
                            + (buried ? ": the buried point cannot come out." : ": the point is not clear of it."),
                    "A hook with a wider gap, or a slimmer plastic."));
        }
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
        Length length = setUp.plasticLength();
        String keeper = setUp.keeper();
        if (length == null || keeper == null || setUp.plastic() == null) {
            return;
        }
        double most = switch (keeper) {
            case "coil fine" -> 9;
            case "coil stout" -> 14;
            case "barb", "screw" -> 15;
            case "collar" -> 18;
            default -> Double.MAX_VALUE;
        };
        if (PlasticBody.of(setUp.plastic()).thickness(length).millimetres() > most) {
            cautions.add(new Caution(
                    "keeper",
                    "The plastic is thicker than a " + keeper + " keeper holds: it slides down.",
                    "The next size of keeper, or glue."));
        }
    }

    private static Force kilograms(double kilograms) {
        return Force.parse(kilograms + " kg", Force.Unit.KILOGRAM_TEST);
    }
}
