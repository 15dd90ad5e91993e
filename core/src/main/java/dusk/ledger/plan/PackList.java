package dusk.ledger.plan;

import dusk.ledger.journal.SetUp;
import dusk.ledger.units.Length;
import dusk.ledger.units.UnitSystem;
import dusk.ledger.vocabulary.Factor;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * What goes into the boat or the chest pack: heads and plastics with spares by the fish to expect and the snags of the cover,
 * line, tools, what measures, what keeps people and fish from harm, and what must not lie in one box.
 *
 * @param tackle to tie on, with spares
 * @param tools that are always wanted, and to measure with
 * @param safety by the conditions
 * @param conflicts of storage
 */
public record PackList(List<String> tackle, List<String> tools, List<String> safety, List<String> conflicts) {
    private static final String ELASTOMER = "floating elastomer";

    /** Fish that a plastic lasts, by what it is made of: round figures of the trade. */
    private static final Map<String, Double> FISH_A_PLASTIC =
            Map.of("plastisol", 5.0, "salted plastisol", 3.0, ELASTOMER, 20.0);

    private static final double FISH_A_PLASTIC_ELSE = 4;

    /** Heads left on the bottom in a rod-hour, by cover: round figures of the trade. */
    private static final Map<String, Double> SNAGS_AN_HOUR = Map.of("none", 0.1, "sparse", 0.3, "thick", 0.6);

    private static final double SNAGS_ELSE = 0.25;

    /** Set-ups that one who walks carries, until they say another number. */
    public static final int USUAL_ON_FOOT = 6;

    /**
     * What is packed for.
     *
     * @param rods that are called
     * @param more set-ups beside them, for what may be
     * @param hours that are fished
     * @param fits set-ups that fit the chest pack, for one on foot
     */
    public record For(List<Advice.Rod> rods, List<SetUp> more, double hours, int fits) {
        public For {
            rods = List.copyOf(rods);
            more = List.copyOf(more);
        }
    }

    /** Packs. */
    public static PackList of(For wanted, PlanConditions conditions, UnitSystem units) {
        Map<String, SetUp> setUps = new LinkedHashMap<>();
        Map<String, Double> fish = new LinkedHashMap<>();
        Map<String, Double> hours = new LinkedHashMap<>();
        double share = wanted.rods().isEmpty()
                ? 0
                : wanted.hours() / (conditions.onFoot() ? wanted.rods().size() : 1);
        for (Advice.Rod rod : wanted.rods()) {
            SetUp setUp = rod.call().setUp();
            setUps.put(setUp.id(), setUp);
            hours.put(setUp.id(), share);
            fish.put(setUp.id(), rod.call().rate() == null ? share : rod.call().rate() * share);
        }
        wanted.more().forEach(setUp -> setUps.putIfAbsent(setUp.id(), setUp));
        List<SetUp> all = setUps.values().stream()
                .limit(conditions.onFoot() ? wanted.fits() : Integer.MAX_VALUE)
                .toList();
        String cover = conditions.known().get(Factor.COVER);
        double snags = cover == null ? SNAGS_ELSE : SNAGS_AN_HOUR.getOrDefault(cover, SNAGS_ELSE);
        return new PackList(
                tackle(all, fish, hours, snags, conditions, units),
                tools(conditions, setUps.size() - all.size()),
                PlanCautions.of(conditions, units),
                conflicts(all));
    }

    private static List<String> tackle(
            List<SetUp> all,
            Map<String, Double> fish,
            Map<String, Double> hours,
            double snags,
            PlanConditions conditions,
            UnitSystem units) {
        List<String> tackle = new ArrayList<>();
        Map<String, Integer> heads = new LinkedHashMap<>();
        Map<String, Integer> plastics = new LinkedHashMap<>();
        for (SetUp setUp : all) {
            double lost = snags * hours.getOrDefault(setUp.id(), 0.0);
            double caught = fish.getOrDefault(setUp.id(), 0.0);
            if (setUp.headMass() != null) {
                String head = setUp.headMass().show(units.headMass())
                        + (setUp.headMaterial() == null ? "" : " " + setUp.headMaterial()) + " "
                        + (setUp.headShape() == null ? "head" : setUp.headShape() + " head") + ", " + setUp.rigKind();
                heads.merge(head, 1 + (int) Math.ceil(lost), Integer::sum);
            }
            if (setUp.plastic() != null) {
                Length length = setUp.plasticLength();
                String plastic = (length == null ? "" : length.show(units.lure()) + " ")
                        + setUp.plastic()
                        + (setUp.colour() == null ? "" : ", " + setUp.colour())
                        + (ELASTOMER.equals(setUp.plasticMaterial()) ? ", " + ELASTOMER : "");
                double lasts = FISH_A_PLASTIC.getOrDefault(
                        Objects.requireNonNullElse(setUp.plasticMaterial(), ""), FISH_A_PLASTIC_ELSE);
                plastics.merge(plastic, 1 + (int) Math.ceil(caught / lasts + lost), Integer::sum);
            }
        }
        heads.forEach((head, count) -> tackle.add(count + " × " + head));
        plastics.forEach((plastic, count) -> tackle.add(count + " × " + plastic));
        String leaders = all.stream()
                .map(setUp -> leader(setUp, units))
                .filter(Objects::nonNull)
                .distinct()
                .collect(Collectors.joining("; "));
        tackle.add("Leader" + (leaders.isEmpty() ? ", where the line is braid" : ": " + leaders));
        if (conditions.toothedFish()) {
            tackle.add("Traces of wire or thick line: fish that cut line are about");
        }
        return tackle;
    }

    private static @Nullable String leader(SetUp setUp, UnitSystem units) {
        return setUp.leaderStrength() == null
                ? null
                : setUp.leaderStrength().show(units.line())
                        + (setUp.leaderMaterial() == null ? "" : " " + setUp.leaderMaterial());
    }

    private static List<String> tools(PlanConditions conditions, int left) {
        List<String> tools = new ArrayList<>(List.of(
                "Long pliers, cutters, a spare spool of line",
                "Thermometer and clarity disc",
                "Measuring board, wetted, and a scale"));
        if (conditions.onFoot()) {
            tools.add(0, "One rod and the chest pack");
            if (left > 0) {
                tools.add(
                        1,
                        left + (left == 1 ? " set-up of the call stays" : " set-ups of the call stay")
                                + " at home: the pack is full");
            }
        } else {
            tools.add("Landing net, life-jackets worn, anchor or drift line");
        }
        return tools;
    }

    /** Floating elastomer melts against other plastics. */
    private static List<String> conflicts(List<SetUp> all) {
        String floating = kinds(all, true);
        String other = kinds(all, false);
        return floating.isEmpty() || other.isEmpty()
                ? List.of()
                : List.of("Floating elastomer melts against other plastics: a box of its own for the " + floating
                        + ", away from the " + other + ".");
    }

    private static String kinds(List<SetUp> all, boolean elastomer) {
        return all.stream()
                .filter(setUp -> setUp.plastic() != null && elastomer == ELASTOMER.equals(setUp.plasticMaterial()))
                .map(setUp -> setUp.plastic() + (setUp.colour() == null ? "" : " in " + setUp.colour()))
                .distinct()
                .collect(Collectors.joining(" and the "));
    }
}
