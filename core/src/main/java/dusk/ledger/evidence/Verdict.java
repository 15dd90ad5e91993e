package dusk.ledger.evidence;

import dusk.ledger.units.Figures;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * The plain tally of a comparison as a sentence a person can say aloud, and the likeliest ways it could be wrong. What a
 * page says first is {@link Headline}.
 *
 * @param top the level that stands first; null where none does
 * @param sentence what, how much, how sure, from how much fishing
 * @param doubts each a sentence; what to bear in mind or to do next
 */
public record Verdict(Kind kind, @Nullable String top, String sentence, List<String> doubts) {
    /** What the records can say. */
    public enum Kind {
        /** One level stands clear of the rest. */
        LEADS,
        /** One stands first, and others may be as good. */
        FIRST_AMONG_NEAR_EQUALS,
        /** The levels differ no more than chance. */
        NO_DIFFERENCE,
        /** Not enough fishing to say. */
        NOT_ENOUGH
    }

    private static final double ENOUGH_ROD_HOURS = 4;
    private static final int ENOUGH_TRIPS = 3;
    private static final int FEW_TRIPS = 6;

    /** Tells what a comparison of rates says. */
    public static Verdict of(Comparison comparison) {
        List<LevelFigures> recorded = comparison.recorded();
        List<LevelFigures> enough = recorded.stream()
                .filter(l -> l.rodHours() >= ENOUGH_ROD_HOURS && l.trips() >= ENOUGH_TRIPS)
                .toList();
        double hours = recorded.stream().mapToDouble(LevelFigures::rodHours).sum();
        int fish = recorded.stream().mapToInt(LevelFigures::fish).sum();
        String factor = comparison.question().factor().title();
        GammaPrior prior = comparison.prior();
        if (recorded.isEmpty()) {
            return new Verdict(
                    Kind.NOT_ENOUGH,
                    null,
                    "Not enough fishing to say: no stint with a recorded " + factor
                            + " was fished in these conditions.",
                    List.of("Ask for fewer conditions, or log the " + factor + " of the stints you have."));
        }
        if (fish == 0 || prior == null) {
            return new Verdict(
                    Kind.NOT_ENOUGH,
                    null,
                    "No fish in " + hours(hours) + ": nothing to tell the choices apart by.",
                    List.of("A rate can only be guessed once there are fish; the blanks count towards it already."));
        }
        double pooled = fish / hours;
        if (enough.size() < 2) {
            return notEnough(comparison, recorded, enough, pooled);
        }
        LevelFigures top =
                enough.stream().max(Comparator.comparingDouble(Verdict::shrunk)).orElseThrow();
        if (prior.onlyChance()) {
            return new Verdict(
                    Kind.NO_DIFFERENCE,
                    null,
                    "By the plain tally no " + factor
                            + " stands out: they differ no more than chance would have them, about " + rate(pooled)
                            + " fish a rod-hour whatever was used, from " + hours(hours) + ".",
                    List.of(Headline.more(pooled, comparison.swing())));
        }
        return leader(comparison, enough, top, hours);
    }

    private static Verdict leader(Comparison comparison, List<LevelFigures> enough, LevelFigures top, double hours) {
        Optional<LevelFigures> second =
                enough.stream().filter(l -> !l.equals(top)).max(Comparator.comparingDouble(Verdict::shrunk));
        double others =
                (comparison.recorded().stream().mapToInt(LevelFigures::fish).sum() - top.fish())
                        / (hours - top.rodHours());
        ShrunkRate shrunk = top.shrunk();
        boolean clear = shrunk != null
                && shrunk.interval().low() > others
                // one great trip makes this one wide, whatever the other levels lend
                && top.rate().interval().low() > others;
        StringBuilder said = new StringBuilder("By the plain tally ")
                .append(comparison.question().factor().named(top.level()));
        said.append(clear ? " stands clear of the others: " : " stands first, and others may be as good: ");
        said.append(rate(shrunk(top))).append(" fish a rod-hour");
        if (shrunk != null) {
            said.append(", likely between ").append(rate(shrunk.interval().low()));
            said.append(" and ").append(rate(shrunk.interval().high()));
        }
        said.append(", from ").append(hours(top.rodHours())).append(" on ").append(trips(top.trips()));
        said.append("; the others together make ").append(rate(others)).append('.');
        List<String> doubts = new ArrayList<>(doubts(top));
        second.ifPresent(s -> doubts.add("Next is " + s.level() + " with " + rate(shrunk(s)) + "."));
        return new Verdict(clear ? Kind.LEADS : Kind.FIRST_AMONG_NEAR_EQUALS, top.level(), said.toString(), doubts);
    }

    private static Verdict notEnough(
            Comparison comparison, List<LevelFigures> recorded, List<LevelFigures> enough, double pooled) {
        String have = enough.isEmpty()
                ? "no choice has been fished " + Figures.trimmed(ENOUGH_ROD_HOURS, 0) + " rod-hours on " + ENOUGH_TRIPS
                        + " trips yet"
                : "only " + enough.get(0).level() + " has been fished " + Figures.trimmed(ENOUGH_ROD_HOURS, 0)
                        + " rod-hours on " + ENOUGH_TRIPS + " trips";
        List<String> doubts = new ArrayList<>();
        recorded.stream()
                .filter(l -> !enough.contains(l))
                .max(Comparator.comparingDouble(LevelFigures::rodHours))
                .ifPresent(l -> doubts.add("Nearest to it is " + l.level() + " with " + hours(l.rodHours()) + " on "
                        + trips(l.trips()) + ": stints with it would teach most."));
        doubts.add(Headline.more(pooled, comparison.swing()));
        return new Verdict(Kind.NOT_ENOUGH, null, "Not enough fishing to say: " + have + ".", doubts);
    }

    private static List<String> doubts(LevelFigures top) {
        List<String> doubts = new ArrayList<>();
        if (top.anglers() == 1) {
            doubts.add("One angler threw all of it: it may be the angler.");
        }
        if (top.trips() < FEW_TRIPS) {
            doubts.add("It comes from only " + trips(top.trips()) + ".");
        }
        if (top.fish() > 1 && 2 * top.fishOnBestTrip() >= top.fish()) {
            doubts.add(top.fishOnBestTrip() + " of its " + top.fish() + " fish came on one trip.");
        }
        doubts.add(
                "A tally does not know who threw it, where and at what hour: a good place or rod can lift a choice.");
        return doubts;
    }

    private static double shrunk(LevelFigures level) {
        return level.shrunk() == null ? 0 : level.shrunk().mean();
    }

    private static String rate(double rate) {
        return Figures.fixed(rate, 2);
    }

    private static String hours(double hours) {
        return Figures.trimmed(hours, hours < 10 ? 1 : 0) + " rod-hours";
    }

    private static String trips(int trips) {
        return trips == 1 ? "1 trip" : trips + " trips";
    }
}
