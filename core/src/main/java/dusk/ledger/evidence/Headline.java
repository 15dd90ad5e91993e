package dusk.ledger.evidence;

import dusk.ledger.units.Figures;
import dusk.ledger.vocabulary.Factor;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * What a findings page says first, and what it adds: the largest sentence is a fair one, never the plain tally.
 *
 * @param sentence the first
 * @param points each a sentence
 */
public record Headline(String sentence, List<String> points) {
    private static final double WORTH_SETTLING = 1.2;
    private static final double WORTH_KNOWING = 1.5;

    /** Of the levels of a factor. @param why sentences why the plain tally may say otherwise, for its leader */
    public static Headline ofLevels(Comparison comparison, Verdict tally, LikeForLike fair, List<String> why) {
        Factor factor = comparison.question().factor();
        if (tally.kind() == Verdict.Kind.NOT_ENOUGH) {
            return new Headline(tally.sentence(), tally.doubts());
        }
        List<String> points = new ArrayList<>();
        Optional<LikeForLike.Told> lead = fair.lead();
        String sentence;
        if (lead.isPresent()) {
            LikeForLike.Told told = lead.get();
            sentence = "Compared like for like, " + factor.named(told.level())
                    + (told.better() ? " does better than the rest: " : " does worse than the rest: ")
                    + ratio(told) + ", from " + trips(told)
                    + (told.better() ? "." : "; no " + factor.title() + " is sure to do better.");
            fair.sure().stream().filter(t -> !t.equals(told)).forEach(t -> points.add(also(factor, t)));
        } else {
            sentence = "Compared like for like, no " + factor.title() + " is sure to do better.";
            points.add(nearest(factor, fair, pooled(comparison), comparison.swing()));
        }
        points.add(tally.sentence());
        boolean otherwise = tally.top() != null
                && !(lead.isPresent()
                        && lead.get().better()
                        && lead.get().level().equals(tally.top()));
        if (otherwise) {
            points.addAll(why);
        }
        points.addAll(tally.doubts());
        return new Headline(sentence, points);
    }

    /** Of the cells of a grid, each against what else was fished there. */
    public static Headline ofCells(LikeForLike fair) {
        List<String> points = new ArrayList<>();
        Optional<LikeForLike.Told> lead = fair.lead();
        String sentence = lead.map(told -> "On the same trips and in the same hands, "
                        + told.level()
                        + (told.better() ? " does better" : " does worse") + " than what else was fished there: "
                        + ratio(told)
                        + ", from " + trips(told) + ".")
                .orElse(
                        "On the same trips and in the same hands, no cell is sure to do better than what else was fished there.");
        lead.ifPresent(told -> fair.sure().stream()
                .filter(t -> !t.equals(told))
                .limit(3)
                .forEach(t -> points.add(capital(t.level()) + (t.better() ? " does better" : " does worse")
                        + ", as surely: " + ratio(t) + ".")));
        if (lead.isEmpty()) {
            points.add(
                    fair.nearest()
                            .map(t -> "Nearest to it comes " + t.level() + ": " + ratio(t) + ", from " + trips(t) + ".")
                            .orElse(
                                    "Nothing was fished beside something else on three trips by one angler with fish on both."));
        }
        return new Headline(sentence, points);
    }

    /** Of the parts of a day. */
    public static Headline ofHours(LikeForLike fair) {
        List<String> points = new ArrayList<>();
        Optional<LikeForLike.Told> lead = fair.lead();
        String sentence = lead.map(told -> "On the same trips and in the same hands, " + told.level()
                        + (told.better() ? " gives more" : " gives less") + " than the other hours: " + ratio(told)
                        + ", from " + trips(told) + ".")
                .orElse(
                        "On the same trips and in the same hands, no part of the day is sure to give more than the others.");
        lead.ifPresent(told -> fair.sure().stream()
                .filter(t -> !t.equals(told))
                .forEach(t -> points.add(capital(t.level()) + (t.better() ? " gives more" : " gives less")
                        + ", as surely: " + ratio(t) + ".")));
        if (lead.isEmpty()) {
            fair.nearest()
                    .ifPresent(t -> points.add(
                            "Nearest to it comes " + t.level() + ": " + ratio(t) + ", from " + trips(t) + "."));
        }
        return new Headline(sentence, points);
    }

    /** Of what is thrown most: whether it is shown to earn it. */
    public static Headline ofFavourites(Favourites favourites, LikeForLike fair, Factor factor) {
        if (favourites.levels().size() < 2) {
            return new Headline(
                    "Not enough fishing to say: there are no two recorded choices with a fish among them.", List.of());
        }
        Favourites.Favourite most = favourites.levels().get(0);
        String level = most.figures().level();
        Optional<LikeForLike.Told> told = fair.of(level);
        boolean better = told.map(LikeForLike.Told::better).orElse(false);
        boolean worse = told.map(LikeForLike.Told::worse).orElse(false);
        String sentence = "Thrown most is " + factor.named(level) + ", " + Figures.trimmed(100 * most.share(), 0)
                + " % of the rod-hours; compared like for like "
                + (better
                        ? "it does earn them"
                        : worse ? "it does not earn them" : "nothing sure says that it earns them")
                + told.filter(t -> t.figure().isPresent())
                        .map(t -> ": " + ratio(t) + " on the rest.")
                        .orElse(".");
        return new Headline(sentence, List.of());
    }

    private static String also(Factor factor, LikeForLike.Told told) {
        return capital(factor.named(told.level())) + (told.better() ? " does better" : " does worse") + ", as surely: "
                + ratio(told) + ", from " + trips(told) + ".";
    }

    private static String nearest(Factor factor, LikeForLike fair, double pooled, double swing) {
        Optional<LikeForLike.Told> nearest = fair.nearest();
        if (nearest.isEmpty()) {
            return "No two choices of " + factor.title()
                    + " were fished on one trip, in one place and by one angler with fish on three such trips; until"
                    + " then the tally below is all there is.";
        }
        LikeForLike.Told told = nearest.get();
        double ratio = told.figure().orElseThrow().ratio();
        String said =
                "Nearest to it comes " + factor.named(told.level()) + ": " + ratio(told) + ", from " + trips(told);
        double settle = Math.max(ratio, WORTH_SETTLING);
        return said
                + (ratio >= WORTH_SETTLING
                        ? ". If it is so, about "
                        : ". Too close to call; to show even a fifth more, about ")
                + Figures.trimmed(TrialSize.rodHoursEach(pooled, settle, swing, TrialSize.USUAL_POWER), 0)
                + " rod-hours with it and as many with something else, turn about, would settle it.";
    }

    /** What it would take to tell two choices apart of which one takes half as many again. */
    static String more(double pooled, double swing) {
        double each = TrialSize.rodHoursEach(pooled, WORTH_KNOWING, swing, TrialSize.USUAL_POWER);
        return "To tell apart two choices of which one takes half as many again would take about "
                + Figures.trimmed(each, each < 10 ? 1 : 0) + " rod-hours with each.";
    }

    private static double pooled(Comparison comparison) {
        List<LevelFigures> recorded = comparison.recorded();
        return recorded.stream().mapToInt(LevelFigures::fish).sum()
                / recorded.stream().mapToDouble(LevelFigures::rodHours).sum();
    }

    /** Such as {@code 1.42 times as many fish (1.10 to 1.83)}. */
    private static String ratio(LikeForLike.Told told) {
        return told.figure()
                .map(f -> Figures.fixed(f.ratio(), 2) + " times as many fish ("
                        + Figures.fixed(f.interval().low(), 2) + " to "
                        + Figures.fixed(f.interval().high(), 2) + ")")
                .orElse("no fish on one side");
    }

    private static String trips(LikeForLike.Told told) {
        return told.matched().clusters() + " trips where both were fished";
    }

    private static String capital(String word) {
        return word.substring(0, 1).toUpperCase(Locale.ROOT) + word.substring(1);
    }
}
