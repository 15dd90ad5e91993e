package dusk.ledger.patterns;

import dusk.ledger.evidence.Contrast;
import dusk.ledger.evidence.Estimate;
import dusk.ledger.evidence.Question;
import dusk.ledger.evidence.Sides;
import dusk.ledger.stints.StintTable;
import dusk.ledger.units.Figures;
import dusk.ledger.vocabulary.Factor;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** A pattern as a sentence a person can say aloud, and how it could be wrong. */
public final class PatternWords {
    private static final int FEW_TRIPS = 10;
    private static final double HALF = 0.5;

    private PatternWords() {}

    /** Such as {@code Dead-stick takes 2.5 times as many fish after a front as another presentation.} */
    public static String sentence(Pattern pattern) {
        String choice =
                pattern.tackle().stream().map(t -> t.factor().named(t.level())).collect(Collectors.joining(" with "));
        String of = pattern.tackle().stream().map(t -> t.factor().title()).collect(Collectors.joining(" and "));
        String where = pattern.conditions().stream()
                .map(PatternWords::where)
                .map(" "::concat)
                .collect(Collectors.joining());
        return capital(choice) + " takes " + times(pattern.ratio()) + " times as many fish" + where + " as another "
                + of + ".";
    }

    /** As one would say it: no more figures than it is sure of. */
    private static String times(double ratio) {
        return Figures.fixed(ratio, ratio < 1 ? 2 : 1);
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
            doubts.add("Not banked yet: for that chance may make one this sure in one club of a thousand at most, "
                    + "however much else was found.");
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

    /** Which other condition may be what does it, each in a sentence, and the fishing that would tell. */
    public static List<String> thisOrThat(Pattern pattern) {
        return pattern.rivals().stream()
                .map(rival -> "This or that, not yet told apart: it may be so " + where(rival.condition())
                        + " rather than " + where(rival.of()) + " (" + Figures.fixed(rival.ratio(), 2)
                        + " times there, "
                        + Figures.fixed(rival.interval().low(), 2) + " to "
                        + Figures.fixed(rival.interval().high(), 2) + "). " + apart(rival))
                .toList();
    }

    private static String apart(Rival rival) {
        String each = Figures.trimmed(Math.ceil(rival.tellingRodHours()), 0);
        String so = rival.onlyOwnRodHours() + rival.onlyThisRodHours() > 0
                ? "So far, with this choice, both held for " + Figures.fixed(rival.bothRodHours(), 1)
                        + " rod-hours, only that of " + rival.of().factor().title() + " for "
                        + Figures.fixed(rival.onlyOwnRodHours(), 1) + ", only that of "
                        + rival.condition().factor().title() + " for " + Figures.fixed(rival.onlyThisRodHours(), 1)
                        + "."
                : "So far, with this choice, the one was never there without the other.";
        return so + " About " + each + " rod-hours with it and " + each
                + " with something else, turn about, where only one of the two holds, would tell.";
    }

    private static String where(Term condition) {
        return condition.factor().where(condition.level());
    }

    /**
     * What a pattern against the angler loses to: the other choice that does better than it for sure, matched within
     * trip, place and angler under the same conditions, so that neither a great day nor a good rod makes it. Null
     * where the pattern has several tackle terms, which have no single choice beside them.
     *
     * @param table that was searched
     */
    public static @Nullable String losesTo(Pattern pattern, StintTable table, PatternSearch.Ask ask) {
        if (pattern.tackle().size() != 1) {
            return null;
        }
        Term own = pattern.tackle().get(0);
        Map<Factor, Set<String>> where = new EnumMap<>(Factor.class);
        pattern.conditions().forEach(c -> where.put(c.factor(), Set.of(c.level())));
        Question question = new Question(own.factor(), where, ask.species(), ask.least());
        double best = 1;
        String said = "No one other choice beats it for sure: it is behind the others together.";
        for (String level : table.codes(own.factor()).levels()) {
            if (level.equals(own.level()) || level.equals(Factor.NOT_RECORDED)) {
                continue;
            }
            Estimate against = Contrast.matched(table, question, new Sides(level, own.level()), Contrast.USUAL_BLOCKS)
                    .estimate();
            if (against instanceof Estimate.Figure f
                    && f.interval() != null
                    && f.interval().low() > best) {
                best = f.interval().low();
                said = "It loses most to " + own.factor().named(level) + ", which takes "
                        + Figures.fixed(f.ratio(), 2) + " times as many (" + Figures.fixed(best, 2) + " to "
                        + Figures.fixed(f.interval().high(), 2) + ") on the same trip, place and angler.";
            }
        }
        return said;
    }

    private static String capital(String word) {
        return word.substring(0, 1).toUpperCase(Locale.ROOT) + word.substring(1);
    }
}
