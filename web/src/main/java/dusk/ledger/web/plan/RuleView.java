package dusk.ledger.web.plan;

import dusk.ledger.evidence.Estimate;
import dusk.ledger.evidence.Interval;
import dusk.ledger.patterns.Grade;
import dusk.ledger.plan.PlanWords;
import dusk.ledger.plan.Rule;
import dusk.ledger.plan.RuleTrial;
import dusk.ledger.units.Figures;
import dusk.ledger.web.portrait.InkMark;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import org.springframework.web.util.UriComponentsBuilder;

/** A rule as its page lays it out. */
record RuleView(String id, String title, String question, String school, String when, String why, List<Tried> tried) {

    /**
     * Something that a rule holds, put to the test.
     *
     * @param verdict {@code for}, {@code against} or {@code not enough}
     * @param mark the same as a mark of evidence
     * @param compare where the records are looked at closer
     */
    record Tried(String claim, String verdict, String mark, String records, String settle, String compare) {}

    static RuleView of(List<RuleTrial> trials) {
        Rule rule = trials.get(0).rule();
        return new RuleView(
                rule.id(),
                rule.title(),
                Objects.requireNonNullElse(rule.question(), ""),
                Objects.requireNonNullElse(rule.school(), ""),
                PlanWords.when(rule),
                rule.why(),
                trials.stream().map(RuleView::tried).toList());
    }

    private static Tried tried(RuleTrial trial) {
        Rule.Favour favour = trial.favour();
        String times = Figures.fixed(favour.ratio(), 2) + " times";
        return new Tried(
                PlanWords.levels(favour.factor(), favour.levels()) + ": " + times + " the fish, it says",
                word(trial.verdict()),
                mark(trial),
                records(trial),
                settle(trial),
                compare(trial));
    }

    private static String word(RuleTrial.Verdict verdict) {
        return verdict.name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }

    private static String mark(RuleTrial trial) {
        RuleTrial.Verdict verdict = trial.verdict();
        return InkMark.svg(
                verdict == RuleTrial.Verdict.NOT_ENOUGH ? Grade.THIN : Grade.BANKED,
                verdict == RuleTrial.Verdict.AGAINST);
    }

    private static String records(RuleTrial trial) {
        if (trial.rodHours() <= 0) {
            return "Nobody fished it here while that held.";
        }
        if (trial.otherHours() <= 0) {
            return "Nothing else was fished here while that held.";
        }
        String hours = Figures.fixed(trial.rodHours(), 1) + " rod-hours on it, " + Figures.fixed(trial.otherHours(), 1)
                + " on other choices";
        if (!(trial.matched().estimate() instanceof Estimate.Figure figure)) {
            return hours + "; " + ((Estimate.None) trial.matched().estimate()).reason() + ".";
        }
        Interval interval = figure.interval();
        return hours + ": " + Figures.fixed(figure.ratio(), 2) + " times"
                + (interval == null
                        ? "; " + figure.caveat()
                        : " (" + Figures.fixed(interval.low(), 2) + " to " + Figures.fixed(interval.high(), 2)
                                + "), like for like")
                + ".";
    }

    private static String settle(RuleTrial trial) {
        return trial.settleHours() == null
                ? ""
                : "About " + Figures.fixed(Math.ceil(trial.settleHours()), 0)
                        + " rod-hours on each side, in the same hands and places, would tell.";
    }

    private static String compare(RuleTrial trial) {
        UriComponentsBuilder to = UriComponentsBuilder.fromPath("/findings/compare")
                .queryParam("factor", trial.favour().factor().key());
        trial.rule()
                .when()
                .forEach((factor, levels) ->
                        levels.forEach(level -> to.queryParam("where", factor.key() + "=" + level)));
        return to.encode().toUriString();
    }

    /** What the page leads with. */
    static String sentence(List<List<RuleTrial>> trials) {
        List<RuleTrial> all = trials.stream().flatMap(List::stream).toList();
        long with = count(all, RuleTrial.Verdict.FOR);
        long against = count(all, RuleTrial.Verdict.AGAINST);
        return "Of " + all.size() + " things the trade says, this club's records hold with " + with + " and against "
                + against + "; of the other " + (all.size() - with - against) + " they cannot tell yet.";
    }

    private static long count(List<RuleTrial> all, RuleTrial.Verdict verdict) {
        return all.stream().filter(trial -> trial.verdict() == verdict).count();
    }
}
