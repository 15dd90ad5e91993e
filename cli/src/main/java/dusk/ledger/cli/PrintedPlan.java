package dusk.ledger.cli;

import dusk.ledger.plan.Advice;
import dusk.ledger.plan.Call;
import dusk.ledger.plan.Feature;
import dusk.ledger.plan.PlanCautions;
import dusk.ledger.plan.PlanConditions;
import dusk.ledger.plan.PlanWords;
import dusk.ledger.plan.Rule;
import dusk.ledger.units.UnitSystem;
import dusk.ledger.vocabulary.Factor;
import java.util.Locale;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** A plan as JSON, in the shape of the ledger format. */
final class PrintedPlan {
    private PrintedPlan() {}

    static ObjectNode of(PlanConditions asked, Advice advice) {
        ObjectNode root = JsonMapper.shared().createObjectNode();
        root.put("stage", asked.known().get(Factor.SEASON));
        ArrayNode unknown = root.putArray("unknown");
        advice.unknown()
                .forEach(
                        u -> unknown.addObject().put("factor", u.factor().key()).put("matters", u.matters()));
        ArrayNode calls = root.putArray("calls");
        advice.calls().forEach(call -> call(calls.addObject(), call));
        ArrayNode schools = root.putArray("schools");
        advice.schools().forEach(disputed -> {
            ObjectNode one = schools.addObject().put("question", disputed.question());
            ArrayNode answers = one.putArray("answers");
            disputed.answers()
                    .forEach(rule -> answers.addObject()
                            .put("school", rule.school())
                            .put("answer", rule.title())
                            .put("when", rule.why()));
        });
        ArrayNode spread = root.putArray("spread");
        advice.spread().forEach(rod -> {
            ObjectNode one = spread.addObject().put("role", rod.role());
            setUp(one.putObject("setup"), rod.call());
        });
        ArrayNode cautions = root.putArray("cautions");
        PlanCautions.of(asked, UnitSystem.METRIC).forEach(cautions::add);
        return root;
    }

    private static void call(ObjectNode node, Call call) {
        setUp(node.putObject("setup"), call);
        node.put("rate", call.rate());
        node.put(
                "low", call.interval() == null ? null : (Double) call.interval().low());
        node.put(
                "high",
                call.interval() == null ? null : (Double) call.interval().high());
        node.put("records_share", call.recordsShare());
        ArrayNode reasons = node.putArray("reasons");
        for (Feature reason : call.reasons()) {
            ObjectNode one = reasons.addObject();
            one.put("feature", reason.factor().key() + "=" + reason.level());
            one.put("ratio", reason.ratio());
            one.put("from", reason.from().name().toLowerCase(Locale.ROOT));
            one.put("text", PlanWords.reason(reason));
            ArrayNode rules = one.putArray("rules");
            reason.rules().stream().map(Rule::id).forEach(rules::add);
        }
        // a set-up with a caution of its own is not called
        node.putArray("cautions");
    }

    private static void setUp(ObjectNode node, Call call) {
        call.features().forEach(f -> node.put(f.factor().key(), f.level()));
    }
}
