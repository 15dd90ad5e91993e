package dusk.ledger.web.tackle;

import dusk.ledger.journal.SetUp;
import dusk.ledger.journal.SetUpBuilder;
import dusk.ledger.units.Length;
import dusk.ledger.units.Mass;
import dusk.ledger.units.UnitSystem;
import dusk.ledger.water.Cast;
import dusk.ledger.water.Lure;
import dusk.ledger.water.Motion;
import dusk.ledger.water.Path;
import dusk.ledger.water.Phase;
import dusk.ledger.water.Retrieve;
import dusk.ledger.water.Tied;
import dusk.ledger.web.portrait.Svg;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;

/**
 * What a way of fishing does with a lure, as half a minute of it: time from left to right, height over the bottom
 * upward. Reckoned as the column is, for one usual lure.
 */
final class MotionStrip {
    private static final double SECONDS = 30;
    private static final double DEPTH_M = 3;
    private static final double CAST_M = 18;
    private static final double BEFORE_SECONDS = 3;

    /** Fished off the bottom: it is let fall for so long only. */
    private static final Set<String> OFF_THE_BOTTOM =
            Set.of("vertical hold", "tight-line swim", "reel and glide", "steady retrieve", "twitch and pause");

    private static final double STILL_MPS = 0.02;
    private static final double FALL_SECONDS = 2.5;
    private static final double REEL_MPS = 0.5;
    private static final Map<String, Double> SLOWER = Map.of(
            "slow drag",
            0.15,
            "drag and pause",
            0.15,
            "slow roll",
            0.25,
            "shake in place",
            0.1,
            "steady retrieve",
            0.3,
            "tight-line swim",
            0.3,
            "stop on contact",
            0.25);

    private static final double LEFT = 4;
    private static final double WIDE = 182;
    private static final double FLOOR = 52;
    private static final double HIGH = 44;

    private static final Mass HEAD = Mass.ofGrams(7);
    private static final Length SWIMMER = Length.ofMillimetres(90);

    private static final SetUp USUAL = SetUpBuilder.builder()
            .id("usual")
            .rig("open jig head")
            .headShape("ball")
            .headMass(HEAD)
            .headMaterial("lead")
            .plastic("paddle-tail swimmer")
            .plasticLength(SWIMMER)
            .lineMaterial("braid")
            .lineDiameter(Length.ofMillimetres(0.15))
            .build();

    private static final Map<String, String> DRAWN = new ConcurrentHashMap<>();

    private MotionStrip() {}

    /** What the strips show, in the reader's units. */
    static String note(UnitSystem units) {
        return "Each strip is half a minute, from left to right, of a "
                + HEAD.show(units.headMass()) + " head with a "
                + SWIMMER.show(units.lure()) + " swimmer in "
                + Length.ofMetres(DEPTH_M).show(units.depth())
                + " of water, as it is reckoned under Column: the line is the lure's way, heavy where it moves and thin"
                + " where it is still, above the bottom.";
    }

    /** Inline SVG of a word of the vocabulary (presentation); what it shows is said beside it. */
    static String svg(String presentation) {
        return DRAWN.computeIfAbsent(presentation, MotionStrip::drawn);
    }

    /** The path of the usual lure. */
    static Path path(String presentation) {
        Tied.Known tied = (Tied.Known) Tied.of(USUAL);
        boolean upright = presentation.equals("vertical hold");
        Cast cast = new Cast(DEPTH_M, upright ? 0.5 : CAST_M, Cast.USUAL_ROD_TIP_M, tied.line(), Cast.FRESH, 0, 0);
        double most = OFF_THE_BOTTOM.contains(presentation) ? FALL_SECONDS : Path.LONGEST_SECONDS;
        return Motion.of(
                Lure.of(tied.parts(), Cast.FRESH),
                cast,
                new Phase.FallSlack(most),
                Retrieve.of(presentation, SLOWER.getOrDefault(presentation, REEL_MPS)));
    }

    private static String drawn(String presentation) {
        Path path = path(presentation);
        double fallen = path.points().stream()
                .filter(p -> p.contact() || p.phase() > 0)
                .mapToDouble(Path.Point::seconds)
                .findFirst()
                .orElse(0);
        double from = Math.max(0, Math.min(fallen - BEFORE_SECONDS, path.last().seconds() - SECONDS));
        Svg draw = new Svg();
        draw.add("<svg class=\"portrait\" viewBox=\"0 0 190 60\" aria-hidden=\"true\">");
        draw.add("<path class=\"portrait-wire\" d=\"M%.1f,%.1f h%.1f\"/>", LEFT, FLOOR + 2, WIDE);
        StringBuilder way = new StringBuilder();
        boolean moving = false;
        Path.Point before = null;
        for (Path.Point point : path.points()) {
            double at = point.seconds() - from;
            if (before != null && at > 0 && at <= SECONDS) {
                boolean moves = moves(before, point);
                if (way.isEmpty() || moves != moving) {
                    stroke(draw, moving, way);
                    way.setLength(0);
                    way.append('M').append(place(before, from));
                    moving = moves;
                }
                way.append(" L").append(place(point, from));
            }
            before = at < 0 ? null : point;
        }
        stroke(draw, moving, way);
        return draw.add("</svg>").toString();
    }

    private static void stroke(Svg draw, boolean moving, CharSequence way) {
        if (!way.isEmpty()) {
            draw.add("<path class=\"portrait-%s\" d=\"%s\"/>", moving ? "hook heavy" : "line", way);
        }
    }

    private static String place(Path.Point point, double from) {
        return Svg.data(
                "%.1f,%.1f",
                LEFT + WIDE * (point.seconds() - from) / SECONDS, FLOOR - HIGH * (DEPTH_M - point.z()) / DEPTH_M);
    }

    private static boolean moves(Path.Point a, Path.Point b) {
        double way = Math.hypot(Math.hypot(b.x() - a.x(), b.y() - a.y()), b.z() - a.z());
        return way > STILL_MPS * (b.seconds() - a.seconds());
    }
}
