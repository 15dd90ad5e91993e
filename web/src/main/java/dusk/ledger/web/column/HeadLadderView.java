package dusk.ledger.web.column;

import dusk.ledger.journal.Rod;
import dusk.ledger.units.Figures;
import dusk.ledger.units.Mass;
import dusk.ledger.units.Speed;
import dusk.ledger.units.UnitSystem;
import dusk.ledger.water.Fall;
import dusk.ledger.water.Ladder;
import dusk.ledger.web.words.DistanceWords;
import java.util.List;
import java.util.OptionalDouble;

/** The ladder of heads in words and as a table. */
final class HeadLadderView {
    /** A head that is this near is the one that is tied on. */
    private static final double SAME = 0.03;

    private final HeadLadder heads;
    private final UnitSystem units;

    private HeadLadderView(HeadLadder heads, UnitSystem units) {
        this.heads = heads;
        this.units = units;
    }

    /** The ladder with its schools. */
    record Rungs(
            String lightest, String control, String wins, String held, String rating, boolean band, List<Rung> rungs) {}

    record Rung(
            String head,
            String fall,
            String contact,
            String runs,
            String band,
            boolean over,
            boolean light,
            boolean heavy,
            boolean tied) {}

    static Rungs of(HeadLadder heads, UnitSystem units) {
        return new HeadLadderView(heads, units).rungs();
    }

    private Rungs rungs() {
        return new Rungs(
                lightest(),
                control(),
                whichWins(),
                held(),
                "Every head is let fall " + Elevation.fallWords(heads.ask().method()) + " and reeled home at "
                        + speed(heads.ask().reelMps()) + ". " + rating(),
                heads.ask().band() != null,
                heads.ladder().rungs().stream().map(this::rung).toList());
    }

    private String rating() {
        Rod rod = heads.ask().rod();
        if (rod == null) {
            return "No rod is chosen, so none of the heads is marked as too heavy for it.";
        }
        return rod.lureMax() == null
                ? "The rod's rating is not noted, so none of the heads is marked as too heavy for it."
                : "The rod is rated to " + rod.lureMax().show(units.headMass())
                        + ", head and plastic together; what is beyond is struck through.";
    }

    private Rung rung(Ladder.Rung rung) {
        Mass tied = heads.asked().parts().head();
        String fall = rung.floats()
                ? "floats"
                : rung.fallSeconds() == null ? "never" : Fall.counted(rung.fallSeconds()) + " s";
        return new Rung(
                rung.head().show(units.headMass()),
                fall,
                Math.round(100 * rung.contactShare()) + " %",
                rung.floats() ? "" : DistanceWords.of(rung.runningDepthM(), units),
                Figures.fixed(rung.bandSeconds(), 1) + " s",
                rung.overRating(),
                heads.ladder().lightest().filter(rung::equals).isPresent(),
                heads.ladder().control().filter(rung::equals).isPresent(),
                tied != null && Math.abs(rung.head().grams() - tied.grams()) < SAME * tied.grams());
    }

    /** School W1. */
    private String lightest() {
        Ladder ladder = heads.ladder();
        if (ladder.lightest().isEmpty()) {
            boolean beyond = ladder.rungs().stream().anyMatch(r -> r.holds());
            return "Lightest that holds: no head"
                    + (beyond ? " within the rod's rating" : " of the ladder")
                    + " is on the bottom for " + Math.round(100 * Ladder.HOLDS) + " % of the way home at "
                    + speed(heads.ask().reelMps())
                    + ". Reel slower, or give it line and let it fall again.";
        }
        return "Lightest that holds: " + holding(ladder.lightest().get());
    }

    /** School W2. */
    private String control() {
        Ladder ladder = heads.ladder();
        if (ladder.control().isEmpty()) {
            return "Overweight for control: has no say in less than " + DistanceWords.of(Ladder.CONTROL_FROM_M, units)
                    + " of water.";
        }
        return "Overweight for control: " + holding(ladder.control().get());
    }

    private String holding(Ladder.Rung rung) {
        return rung.head().show(units.headMass()) + ", on the bottom for "
                + Math.round(100 * rung.contactShare()) + " % of the way home"
                + (rung.fallSeconds() == null ? "" : ", " + Fall.counted(rung.fallSeconds()) + " s in the fall") + ".";
    }

    /** When each wins. */
    private String whichWins() {
        Ladder ladder = heads.ladder();
        if (ladder.lightest().isEmpty()) {
            return ladder.control().isEmpty()
                    ? "Neither school has an answer here at this speed."
                    : "Here the first has no answer at this speed: control is all there is, at the cost of snags "
                            + "and of the fish that a heavy head throws.";
        }
        if (ladder.control().isEmpty()) {
            return "Here the light head wins: it is eaten on the fall, and it holds " + upTo(heads.lightestUpTo())
                    + ".";
        }
        Ladder.Rung light = ladder.lightest().get();
        Ladder.Rung heavy = ladder.control().get();
        if (heavy.head().compareTo(light.head()) <= 0) {
            return "Here even the lightest that holds is no lighter: both schools tie on the same, or the light one goes up.";
        }
        double gained = light.fallSeconds() == null || heavy.fallSeconds() == null
                ? 0
                : light.fallSeconds() - heavy.fallSeconds();
        return "The light head wins while fish eat on the fall: it is " + Figures.fixed(gained, 1)
                + " s longer before their eyes, and it holds " + upTo(heads.lightestUpTo())
                + ". The heavy one wins beyond that, in wind and drift: it holds " + upTo(heads.controlUpTo()) + ".";
    }

    private String upTo(OptionalDouble current) {
        if (current.isEmpty()) {
            return "no current at this speed";
        }
        if (current.getAsDouble() >= Ladder.STRONGEST_MPS - 0.05) {
            return "any current one fishes in";
        }
        return current.getAsDouble() < 0.05
                ? "in still water only"
                : "up to a current of about " + speed(current.getAsDouble());
    }

    private String speed(double mps) {
        return Speed.ofMetresPerSecond(mps).show(units.current());
    }

    /** For fish off the bottom. */
    private String held() {
        return heads.ladder()
                .held()
                .map(h -> "For these fish: " + h.head().show(units.headMass()) + " counted to "
                        + Fall.counted(h.countSeconds()) + ", then reeled: " + Figures.fixed(h.bandSeconds(), 1)
                        + " s among them, the most of the ladder.")
                .orElse("");
    }
}
