package dusk.ledger.demo;

import dusk.ledger.journal.Catch;
import dusk.ledger.journal.CatchBuilder;
import dusk.ledger.journal.Ledger;
import dusk.ledger.journal.Reading;
import dusk.ledger.journal.ReadingBuilder;
import dusk.ledger.journal.SetUp;
import dusk.ledger.journal.SetUpBuilder;
import dusk.ledger.journal.Spot;
import dusk.ledger.journal.SpotBuilder;
import dusk.ledger.journal.Stint;
import dusk.ledger.journal.StintBuilder;
import dusk.ledger.journal.Touch;
import dusk.ledger.units.Length;
import dusk.ledger.vocabulary.Words;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;

/**
 * What a club writes down since the ledger's second edition: hooks, the fall of the land, how a reading was had, where
 * the fish were and where they were hooked. None of it moves the fish, and it is drawn by itself, so that the records
 * beneath stay as they were.
 */
final class SecondEdition {
    private static final double DEEP_M = 2.5;

    private static final Map<String, String> HOOKS = Map.of(
            "texas rig", "offset",
            "drop shot", "single swim",
            "wacky", "wide gap",
            "swing head", "wide gap");

    private static final Map<String, String> SLOPES = Map.of(
            "main point", "steep",
            "secondary point", "gentle",
            "pond dam", "steep",
            "wall", "steep",
            "creek mouth", "gentle",
            "hump", "gentle",
            "flat", "flat",
            "grass edge", "flat");

    private static final Map<String, List<String>> COLOURS_OF_PREY = Map.of(
            "baitfish", List.of("silver shad", "white"),
            "small perch", List.of("watermelon", "chartreuse"),
            "crayfish", List.of("brown craw", "orange craw"));

    private final Draw draw;

    private SecondEdition(long seed) {
        draw = new Draw(new SplittableRandom(seed));
    }

    /** The same records with more said in them. */
    static Ledger of(Ledger first, long seed) {
        SecondEdition more = new SecondEdition(seed);
        return new Ledger(
                first.anglers(),
                first.waters(),
                first.spots().stream().map(SecondEdition::place).toList(),
                first.setUps().stream().map(SecondEdition::setUp).toList(),
                first.rods(),
                first.trips(),
                first.readings().stream().map(more::reading).toList(),
                first.stints().stream().map(more::stint).toList(),
                first.catches().stream().map(more::fish).toList(),
                first.touches().stream().map(more::touch).toList(),
                first.signs(),
                first.losses());
    }

    private static Spot place(Spot spot) {
        boolean edge = "grass edge".equals(spot.structure());
        return SpotBuilder.builder(spot)
                .slope(SLOPES.get(String.valueOf(spot.structure())))
                .shade("dock".equals(spot.structure()) || "overhanging tree".equals(spot.structure()) ? true : null)
                .shelter("flat".equals(spot.structure()) ? "lee" : null)
                .top(edge ? Length.ofMetres(1) : null)
                .foot(edge ? Length.ofMetres(2.5) : null)
                .build();
    }

    private static SetUp setUp(SetUp setUp) {
        boolean nose = "drop shot".equals(setUp.rig());
        return SetUpBuilder.builder(setUp)
                .hookPattern(HOOKS.getOrDefault(setUp.rig(), "jig"))
                .plasticBody("solid")
                .lineColour(nose ? "bright" : "dull")
                .leaderLength(Length.ofMetres(nose ? 1.2 : 0.9))
                .pegged("texas rig".equals(setUp.rig()) ? false : null)
                .build();
    }

    private Reading reading(Reading reading) {
        List<String> colours = COLOURS_OF_PREY.get(String.valueOf(reading.forage()));
        return ReadingBuilder.builder(reading)
                .how(draw.chance(0.85) ? "measured" : "judged")
                .preyColour(colours != null && draw.chance(0.5) ? draw.one(colours) : null)
                .build();
    }

    private Stint stint(Stint stint) {
        Length depth = stint.depth();
        if (depth == null || depth.metres() < DEEP_M || !draw.chance(0.3)) {
            return stint;
        }
        boolean suspended = draw.chance(0.3);
        return StintBuilder.builder(stint)
                .fishPosition(suspended ? "suspended" : draw.chance(0.5) ? "just off bottom" : "on bottom")
                .fishDepth(suspended ? Length.ofMetres(DemoClub.tenth(depth.metres() * draw.between(0.4, 0.8))) : depth)
                .build();
    }

    private Catch fish(Catch fish) {
        return CatchBuilder.builder(fish)
                .hookedIn(draw.chance(0.4) ? draw.one(List.of("lip", "roof", "roof", "corner", "corner")) : null)
                .build();
    }

    private Touch touch(Touch touch) {
        return draw.chance(0.4)
                ? new Touch(
                        touch.id(),
                        touch.stintId(),
                        touch.at(),
                        touch.kind(),
                        null,
                        draw.one(Words.closed("felt", "touches")))
                : touch;
    }
}
