package dusk.ledger.patterns;

import dusk.ledger.columns.Codes;
import dusk.ledger.columns.StintTable;
import dusk.ledger.evidence.Levels;
import dusk.ledger.units.Figures;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.function.IntUnaryOperator;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** A pattern as a sentence a person can say aloud, and how it could be wrong. */
public final class PatternWords {
    private static final int FEW_TRIPS = 10;
    private static final double HALF = 0.5;

    private PatternWords() {}

    /** Such as {@code Dead-stick takes 2.5 times as many fish as the other choices of presentation where weather is after a front.} */
    public static String sentence(Pattern pattern) {
        String choice = pattern.tackle().stream().map(PatternWords::named).collect(Collectors.joining(" with "));
        String of = pattern.tackle().stream().map(t -> t.factor().title()).collect(Collectors.joining(" and "));
        StringBuilder said = new StringBuilder(capital(choice));
        said.append(" takes ")
                .append(Figures.fixed(pattern.ratio(), 2))
                .append(" times as many fish as the other choices of ");
        said.append(of);
        if (!pattern.conditions().isEmpty()) {
            said.append(" where ")
                    .append(pattern.conditions().stream()
                            .map(t -> t.factor().title() + " is " + t.level())
                            .collect(Collectors.joining(" and ")));
        }
        return said.append('.').toString();
    }

    /** How sure, and from how much fishing. */
    public static String support(Pattern pattern) {
        return "Likely between " + Figures.fixed(pattern.interval().low(), 2) + " and "
                + Figures.fixed(pattern.interval().high(), 2) + " times, from "
                + Figures.trimmed(pattern.rodHours(), 0) + " rod-hours on " + pattern.trips() + " trips by "
                + pattern.anglers() + (pattern.anglers() == 1 ? " angler" : " anglers") + ": "
                + Figures.fixed(pattern.rate(), 2) + " fish a rod-hour against "
                + Figures.fixed(pattern.versusRate(), 2)
                + ".";
    }

    /** The likeliest ways it could be wrong, each a sentence. */
    public static List<String> doubts(Pattern pattern) {
        List<String> doubts = new ArrayList<>();
        boolean held = pattern.later().verdict() == HoldUp.Verdict.HELD;
        if (pattern.grade() == Grade.BUILDING && held && pattern.q() <= Reporting.BANKED_Q) {
            doubts.add(
                    "Not banked yet: so many combinations were asked that chance alone makes one this sure now and then.");
        }
        if (pattern.anglers() == 1) {
            doubts.add("One angler did all of it: it may be the angler.");
        }
        if (pattern.trips() < FEW_TRIPS) {
            doubts.add("It comes from only " + pattern.trips() + " trips.");
        }
        switch (pattern.later().verdict()) {
            case HELD -> doubts.add("The newer trips alone bear it out.");
            case FADED ->
                doubts.add("The newer trips alone do not show it any more: it may have been luck, or has passed.");
            case TOO_LITTLE -> doubts.add("The newer trips alone are too few to say whether it still holds.");
        }
        if (pattern.against()) {
            doubts.add(
                    "It is judged against all other choices together; one very good one among them can make it look worse.");
        }
        if (pattern.stints().size() < HALF * Support.LEAST_STINTS * FEW_TRIPS) {
            doubts.add("It rests on " + pattern.stints().size() + " stints.");
        }
        return doubts;
    }

    /**
     * What a pattern against the angler loses to: of the other choices with enough fishing in the same conditions the one that takes most for sure, by the low end of its
     * rate, so that one great day does not make it.
     *
     * @param table that was searched
     * @param fish by row
     */
    public static @Nullable String losesTo(Pattern pattern, StintTable table, int[] fish) {
        BitSet others = new BitSet();
        pattern.others().forEach(others::set);
        List<Codes> factors =
                pattern.tackle().stream().map(t -> table.codes(t.factor())).toList();
        IntUnaryOperator choice = row -> {
            int code = 0;
            for (Codes one : factors) {
                code = code * one.levels().size() + one.at(row);
            }
            return code;
        };
        return Levels.of(table, others, fish, choice, code -> named(code, pattern, factors)).figures().values().stream()
                .filter(l -> l.rodHours() >= Support.LEAST_ROD_HOURS && l.trips() >= Support.LEAST_TRIPS)
                .filter(l -> l.shrunk() != null)
                .max(Comparator.comparingDouble(
                        l -> l.shrunk() == null ? 0 : l.shrunk().mean()))
                .map(l -> "It loses most to " + l.level() + ": " + l.fish() + " fish in "
                        + Figures.fixed(l.rodHours(), 1) + " rod-hours there.")
                .orElse(null);
    }

    private static String named(int combined, Pattern pattern, List<Codes> factors) {
        List<String> words = new ArrayList<>();
        int left = combined;
        for (int f = factors.size() - 1; f >= 0; f--) {
            int width = factors.get(f).levels().size();
            words.add(
                    0,
                    named(new Term(
                            pattern.tackle().get(f).factor(),
                            factors.get(f).levels().get(left % width))));
            left /= width;
        }
        return String.join(" and ", words);
    }

    /** A word speaks for itself; a band wants the name of what was measured. */
    private static String named(Term term) {
        return term.factor().order().contains(term.level()) ? term.factor().title() + " " + term.level() : term.level();
    }

    private static String capital(String word) {
        return word.substring(0, 1).toUpperCase(Locale.ROOT) + word.substring(1);
    }
}
