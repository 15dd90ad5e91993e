package dusk.ledger.demo;

import dusk.ledger.journal.Angler;
import dusk.ledger.journal.Rod;
import dusk.ledger.journal.RodBuilder;
import dusk.ledger.journal.SetUp;
import dusk.ledger.journal.SetUpBuilder;
import dusk.ledger.journal.Spot;
import dusk.ledger.journal.SpotBuilder;
import dusk.ledger.journal.Uuid7;
import dusk.ledger.journal.Water;
import dusk.ledger.units.Force;
import dusk.ledger.units.Length;
import dusk.ledger.units.Mass;
import dusk.ledger.units.Position;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * The invented Orrin Valley Rod Club's people, waters, places and tackle. The valley lies in the open ocean, so that
 * nobody looks for it.
 */
final class OrrinValley {
    static final ZoneId ZONE = ZoneId.of("Etc/GMT+1");
    private static final Instant FOUNDED = Instant.parse("2024-03-01T08:00:00Z");

    private static final List<String> NAMES = List.of(
            "Harl Quist",
            "Runa Halloway",
            "Edda Pomroy",
            "Tobin Marl",
            "Maren Toll",
            "Odrin Fosk",
            "Tamsel Wray",
            "Brisa Kell",
            "Jory Venn",
            "Lisk Arden",
            "Nell Corvane",
            "Pell Stowan",
            "Sorrel Vint",
            "Yrsa Linden");

    /** The two guides and the best rod: who they are matters to the traps. */
    static final int BEST_ROD = 0;

    record Place(Spot spot, double quality, double depthM) {}

    final List<Angler> anglers = new ArrayList<>();
    final List<Double> skill = new ArrayList<>();
    final List<Water> waters = new ArrayList<>();
    final List<Place> places = new ArrayList<>();
    final List<SetUp> setUps = new ArrayList<>();
    final List<Rod> rods = new ArrayList<>();

    private final Draw draw;

    OrrinValley(Draw draw) {
        this.draw = draw;
        people();
        water("Orrin Reservoir", "reservoir", 44.46, -14.02);
        water("The Sallow", "river", 44.31, -13.88);
        water("Merrow Sound", "estuary", 44.12, -14.35);
        reservoirPlaces();
        riverPlaces();
        soundPlaces();
        tackle();
        rod("7 ft light rod", 2130, "medium-light", "moderate", 2, 12);
        rod("6 ft 6 dock rod", 1980, "medium", "fast", 5, 18);
        rod("7 ft 6 bottom rod", 2290, "medium-heavy", "fast", 10, 35);
        rod("5 ft 6 bank rod", 1680, "ultralight", "slow", 1, 7);
    }

    String id() {
        return Uuid7.of(FOUNDED, draw.random());
    }

    private void people() {
        for (int i = 0; i < NAMES.size(); i++) {
            anglers.add(new Angler(id(), NAMES.get(i)));
            skill.add(i == BEST_ROD ? 1.9 : draw.swing(0.22));
        }
    }

    private void water(String name, String kind, double latitude, double longitude) {
        waters.add(new Water(id(), name, kind, new Position(latitude, longitude), ZONE));
    }

    private void place(
            int water, String label, String structure, String bottom, String cover, double quality, double depthM) {
        Position of = waters.get(water).position();
        Position position = of == null || label.startsWith("(")
                ? null
                : new Position(
                        Math.round((of.latitude() + draw.between(-0.02, 0.02)) * 1e5) / 1e5,
                        Math.round((of.longitude() + draw.between(-0.02, 0.02)) * 1e5) / 1e5);
        String bare = label.startsWith("(") ? label.substring(1, label.length() - 1) : label;
        places.add(new Place(
                SpotBuilder.builder()
                        .id(id())
                        .waterId(waters.get(water).id())
                        .label(bare)
                        .structure(structure)
                        .bottom(bottom)
                        .cover(cover)
                        .position(position)
                        .build(),
                quality,
                depthM));
    }

    /** A label in brackets is a place that is not shared. */
    private void reservoirPlaces() {
        place(0, "Kiln Point", "main point", "rock", "none", 1.0, 4);
        place(0, "Second Finger", "secondary point", "gravel", "sparse", 1.1, 3);
        place(0, "Old Road", "roadbed", "rock", "none", 0.9, 7.5);
        place(0, "Drowned Dam", "pond dam", "clay", "sparse", 1.0, 6.5);
        place(0, "Boathouse Docks", "dock", "sand", "sparse", 1.0, 2.4);
        place(0, "North Wall", "wall", "rock", "none", 0.8, 8);
        place(0, "Alder Mouth", "creek mouth", "silt", "thick", 2.6, 2);
        place(0, "(Thorn Hump)", "hump", "shell", "none", 1.3, 7);
        place(0, "West Grass", "grass edge", "silt", "thick", 0.9, 1.8);
    }

    private void riverPlaces() {
        place(1, "Weir Seam", "current seam", "gravel", "none", 1.1, 1.8);
        place(1, "Canal Arm Moorings", "moored boats", "silt", "sparse", 1.0, 1.6);
        place(1, "Canal Bridge", "bridge", "mixed", "none", 0.9, 2);
        place(1, "Willow Bend", "overhanging tree", "clay", "thick", 1.0, 1.4);
        place(1, "(Mill Tail Eddy)", "eddy", "gravel", "sparse", 1.5, 2.6);
    }

    private void soundPlaces() {
        place(2, "Merrow Pass", "pass", "sand", "none", 1.2, 7);
        place(2, "Gull Point Eddy", "eddy", "shell", "none", 1.1, 4.5);
        place(2, "Lee Flats", "flat", "sand", "sparse", 0.8, 1.2);
        place(2, "Eel Grass Hole", "grass hole", "silt", "thick", 1.0, 2.2);
    }

    private void rod(String name, double lengthMm, String power, String action, double leastG, double mostG) {
        rods.add(RodBuilder.builder()
                .id(id())
                .name(name)
                .length(Length.ofMillimetres(lengthMm))
                .power(power)
                .action(action)
                .lureMin(Mass.ofGrams(leastG))
                .lureMax(Mass.ofGrams(mostG))
                .retrieve(Length.ofMillimetres(700))
                .build());
    }

    /** A kind of set-up: rig, head shape, head masses, plastic, its length. */
    private record Kind(String rig, String shape, List<Double> massesG, String plastic, double lengthMm) {}

    private static final List<Kind> KINDS = List.of(
            new Kind("open jig head", "ball", List.of(3.5, 7.0), "curl-tail grub", 75),
            new Kind("open jig head", "keeled minnow", List.of(5.0, 10.0), "paddle-tail swimmer", 90),
            new Kind("open jig head", "keeled minnow", List.of(3.5, 7.0), "straight-tail minnow", 75),
            new Kind("mushroom head", "mushroom", List.of(2.5, 3.5, 5.0), "stick worm", 75),
            new Kind("shaky head", "stand-up", List.of(3.5, 5.0), "straight worm", 150),
            new Kind("texas rig", "bullet", List.of(3.5, 7.0, 10.0), "creature", 100),
            new Kind("texas rig", "bullet", List.of(5.0, 7.0), "craw", 90),
            new Kind("drop shot", "cylinder", List.of(5.0, 7.0, 10.0), "straight-tail minnow", 75),
            new Kind("drop shot", "cylinder", List.of(3.5, 7.0), "straight worm", 110),
            new Kind("wacky", "none", List.of(), "stick worm", 125),
            new Kind("swing head", "football", List.of(14.0, 18.0), "creature", 100),
            new Kind("skirted jig", "football", List.of(10.0, 14.0), "chunk", 75));

    private static final List<String> COLOURS = List.of(
            "green pumpkin",
            "watermelon",
            "dark plum",
            "black-blue",
            "motor oil",
            "pearl",
            "chartreuse",
            "violet",
            "glow bright",
            "brown craw");

    private static final Map<String, Double> DENSITY_OF_USE =
            Map.of("green pumpkin", 2.0, "motor oil", 1.2, "glow bright", 0.35);

    private void tackle() {
        for (Kind kind : KINDS) {
            for (String colour : COLOURS) {
                if (kind.massesG().isEmpty()) {
                    setUps.add(setUp(kind, colour, null));
                } else {
                    kind.massesG().forEach(m -> setUps.add(setUp(kind, colour, m)));
                }
            }
        }
    }

    /** How readily a set-up is picked, before an angler's own leanings. */
    static double use(SetUp setUp) {
        return DENSITY_OF_USE.getOrDefault(String.valueOf(setUp.colour()), 1.0);
    }

    private SetUp setUp(Kind kind, String colour, @Nullable Double massG) {
        boolean apart = kind.rig().equals("drop shot");
        boolean heavy = massG != null && massG >= 10;
        return SetUpBuilder.builder()
                .id(id())
                .rig(kind.rig())
                .headShape(kind.shape())
                .headMass(massG == null ? null : Mass.ofGrams(massG))
                .headMaterial(massG == null ? null : heavy ? "tungsten" : "lead")
                .headColour(massG == null ? null : heavy ? "black" : "plain")
                .hookSize(kind.lengthMm() > 100 ? "2/0" : "1")
                .hookWire(heavy ? "heavy" : "light")
                .weedGuard(
                        kind.rig().equals("texas rig")
                                ? "point buried"
                                : kind.rig().equals("skirted jig") ? "fibre" : "none")
                .keeper(kind.rig().equals("open jig head") ? "barb" : "none")
                .skirt(kind.rig().equals("skirted jig") ? "short" : "none")
                .blade("none")
                .rattle("none")
                .plastic(kind.plastic())
                .plasticLength(Length.ofMillimetres(kind.lengthMm()))
                .plasticMaterial(kind.plastic().equals("stick worm") ? "salted plastisol" : "plastisol")
                .colour(colour)
                .colourAccent(colour.equals("black-blue") ? "blue flake" : "none")
                .leader(apart ? Length.ofMillimetres(300) : null)
                .lineMaterial("braid")
                .lineStrength(Force.ofNewtons(heavy ? 98.1 : 45))
                .lineDiameter(Length.ofMillimetres(heavy ? 0.22 : 0.13))
                .leaderMaterial("fluorocarbon")
                .leaderStrength(Force.ofNewtons(heavy ? 71.2 : 31.1))
                .leaderDiameter(Length.ofMillimetres(heavy ? 0.31 : 0.22))
                .build();
    }
}
