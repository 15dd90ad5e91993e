package dusk.ledger.web.plan;

import dusk.ledger.evidence.Interval;
import dusk.ledger.plan.Advice;
import dusk.ledger.plan.Call;
import dusk.ledger.plan.Feature;
import dusk.ledger.plan.PlanWords;
import dusk.ledger.plan.Rule;
import dusk.ledger.units.Figures;
import dusk.ledger.units.UnitSystem;
import dusk.ledger.web.portrait.Portrait;
import dusk.ledger.web.words.SetUpWords;
import java.util.List;
import java.util.stream.IntStream;
import org.springframework.web.util.UriComponentsBuilder;

/**
 * Advice as its page lays it out; bands keep the format's names until they are shown.
 *
 * @param ready whether every rod of the spread can be tied on as it is
 */
record CallView(
        String sentence,
        List<Called> calls,
        List<Rigged> spread,
        boolean ready,
        List<Asked> schools,
        String measure,
        List<String> leftOut) {
    private static final int MOST_LEFT_OUT = 6;

    /**
     * A call.
     *
     * @param rate to expect, with its interval; or in words where there are no records
     * @param records hundredths of it that the records say
     * @param href of the set-up, or of the form that puts it together
     */
    record Called(
            String portrait,
            String words,
            String how,
            String rate,
            long records,
            boolean owned,
            String href,
            List<Reason> reasons) {}

    /** @param mark whether it speaks for it or against it */
    record Reason(String mark, String words) {}

    record Rigged(String role, String words, String how, String portrait) {}

    record Asked(String question, List<Rule> answers) {}

    static CallView of(Advice advice, UnitSystem units, String waterId) {
        return new CallView(
                sentence(advice, units),
                advice.calls().stream().map(call -> called(call, units)).toList(),
                advice.spread().stream()
                        .map(rod -> new Rigged(
                                rod.role(),
                                SetUpWords.of(rod.call().setUp(), units),
                                how(rod.call()),
                                portrait(rod.call(), units)))
                        .toList(),
                !start(advice, waterId, "").isEmpty(),
                advice.schools().stream()
                        .map(s -> new Asked(s.question(), s.answers()))
                        .toList(),
                measure(advice),
                advice.leftOut().stream()
                        .limit(MOST_LEFT_OUT)
                        .map(out -> SetUpWords.of(out.setUp(), units) + ": "
                                + out.caution().reason())
                        .toList());
    }

    private static String sentence(Advice advice, UnitSystem units) {
        if (advice.calls().isEmpty()) {
            return "Nothing to call: no set-up is sound for these conditions.";
        }
        Call first = advice.calls().get(0);
        String words = SetUpWords.of(first.setUp(), units) + how(first);
        return advice.base() == null
                ? "By the trade's rules alone, since no fish stands in the records yet: " + words + "."
                : "First: " + words + ". " + rate(first) + ", where such conditions gave "
                        + Figures.fixed(advice.base().mean(), 2) + " on whatever was fished.";
    }

    private static String how(Call call) {
        return call.presentation() == null ? "" : ", " + call.presentation();
    }

    private static String rate(Call call) {
        Interval interval = call.interval();
        if (call.rate() == null || interval == null) {
            return "In the order of the rules: no records to reckon a rate from";
        }
        return Figures.fixed(call.rate(), 2) + " fish a rod-hour to expect (" + Figures.fixed(interval.low(), 2)
                + " to " + Figures.fixed(interval.high(), 2) + ")";
    }

    private static String portrait(Call call, UnitSystem units) {
        return Portrait.svg(call.setUp(), SetUpWords.of(call.setUp(), units));
    }

    private static Called called(Call call, UnitSystem units) {
        return new Called(
                portrait(call, units),
                SetUpWords.of(call.setUp(), units),
                how(call),
                rate(call),
                Math.round(100 * call.recordsShare()),
                call.owned(),
                call.owned()
                        ? "/tackle/set-ups/" + call.setUp().id()
                        : UriComponentsBuilder.fromPath("/tackle/new")
                                .queryParam("rig", "{rig}")
                                .encode()
                                .buildAndExpand(call.setUp().rig())
                                .toUriString(),
                call.reasons().stream().map(CallView::reason).toList());
    }

    private static Reason reason(Feature feature) {
        return new Reason(feature.ratio() >= 1 ? "for" : "against", PlanWords.reason(feature));
    }

    /**
     * Where the spread goes onto a deck; empty where a rod of it has first to be put together.
     *
     * @param callId as which it was kept
     */
    static String start(Advice advice, String waterId, String callId) {
        List<Call> calls = advice.spread().stream().map(Advice.Rod::call).toList();
        if (calls.isEmpty() || !calls.stream().allMatch(Call::owned)) {
            return "";
        }
        UriComponentsBuilder to = UriComponentsBuilder.fromPath("/deck/new")
                .queryParam("rods", calls.size())
                .queryParam("water", waterId)
                .queryParam("call", callId);
        IntStream.range(0, calls.size()).forEach(i -> {
            to.queryParam("setup_id_" + (i + 1), calls.get(i).setUp().id());
            if (calls.get(i).presentation() != null) {
                to.queryParam("presentation_" + (i + 1), calls.get(i).presentation());
            }
        });
        return to.encode().toUriString();
    }

    private static String measure(Advice advice) {
        return advice.unknown().isEmpty()
                ? ""
                : "Worth knowing first: the " + advice.unknown().get(0).factor().title()
                        + ". More rules wait for it than for anything else.";
    }
}
