package dusk.ledger.cli;

import dusk.ledger.evidence.Comparison;
import dusk.ledger.evidence.Contrast;
import dusk.ledger.evidence.Estimate;
import dusk.ledger.evidence.Interval;
import dusk.ledger.evidence.LevelFigures;
import dusk.ledger.evidence.ShrunkRate;
import dusk.ledger.evidence.SizeShift;
import dusk.ledger.interchange.PackageReading;
import dusk.ledger.patterns.Findings;
import dusk.ledger.patterns.Pattern;
import java.util.List;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Answers as JSON, in the shape of the ledger format. */
final class Printed {
    private Printed() {}

    /** @param size how much longer fish on the level run */
    record Contrasted(Contrast contrast, SizeShift size) {}

    static ObjectNode reading(PackageReading reading) {
        ObjectNode root = JsonMapper.shared().createObjectNode();
        ObjectNode files = root.putObject("files");
        reading.counts().forEach(files::put);
        ObjectNode words = root.putObject("words_outside_vocabulary");
        reading.wordsOutside().forEach((column, outside) -> {
            ArrayNode list = words.putArray(column);
            outside.forEach(list::add);
        });
        ArrayNode keptOut = root.putArray("kept_out");
        reading.keptOut().forEach(keptOut::add);
        root.put("faults", 0);
        return root;
    }

    static ObjectNode comparison(Comparison comparison, List<Contrasted> contrasts) {
        ObjectNode root = JsonMapper.shared().createObjectNode();
        root.put("factor", comparison.question().factor().key());
        root.put("species", comparison.question().species());
        ArrayNode levels = root.putArray("levels");
        comparison.levels().forEach(l -> level(levels.addObject(), l));
        ArrayNode list = root.putArray("contrasts");
        contrasts.forEach(c -> contrast(list.addObject(), c));
        ObjectNode prior = root.putObject("prior");
        prior.put(
                "shape",
                comparison.prior() == null ? null : (Double) comparison.prior().shape());
        prior.put(
                "rate",
                comparison.prior() == null ? null : (Double) comparison.prior().rate());
        prior.put("swing", comparison.swing());
        return root;
    }

    static ObjectNode findings(Findings findings, double readSeconds, double searchSeconds) {
        ObjectNode root = JsonMapper.shared().createObjectNode();
        root.put("candidates", findings.candidates());
        root.put("tested", findings.tested());
        ArrayNode patterns = root.putArray("patterns");
        findings.patterns().forEach(p -> pattern(patterns.addObject(), p));
        ObjectNode seconds = root.putObject("seconds");
        seconds.put("read", readSeconds);
        seconds.put("search", searchSeconds);
        return root;
    }

    private static void pattern(ObjectNode node, Pattern pattern) {
        ObjectNode tackle = node.putObject("tackle");
        pattern.tackle().forEach(t -> tackle.put(t.factor().key(), t.level()));
        ObjectNode conditions = node.putObject("conditions");
        pattern.conditions().forEach(t -> conditions.put(t.factor().key(), t.level()));
        node.put("stints", pattern.stints().size());
        node.put("trips", pattern.trips());
        node.put("anglers", pattern.anglers());
        node.put("rod_hours", pattern.rodHours());
        node.put("fish", pattern.fish());
        node.put("rate", pattern.rate());
        node.put("versus_rate", pattern.versusRate());
        node.put("rr", pattern.ratio());
        node.put("low", pattern.interval().low());
        node.put("high", pattern.interval().high());
        node.put("shrunk_rr", pattern.shrunkRatio());
        node.put("p", pattern.p());
        node.put("q", pattern.q());
        ObjectNode later = node.putObject("later");
        Interval interval = pattern.later().interval();
        later.put("rr", pattern.later().ratio());
        later.put("low", interval == null ? null : (Double) interval.low());
        later.put("high", interval == null ? null : (Double) interval.high());
        later.put("verdict", pattern.later().verdict().word());
        node.put("grade", pattern.grade().word());
    }

    private static void contrast(ObjectNode node, Contrasted contrasted) {
        Contrast contrast = contrasted.contrast();
        node.put("level", contrast.level());
        node.put("versus", contrast.versus());
        ObjectNode matched = node.putObject("matched");
        matched.put("blocks", contrast.matched().blocks());
        estimate(matched, contrast.matched().estimate());
        estimate(node.putObject("adjusted"), contrast.adjusted());
        SizeShift shift = contrasted.size();
        ObjectNode size = node.putObject("size");
        size.put("fish_a", shift.fishA());
        size.put("fish_b", shift.fishB());
        size.put("blocks", shift.blocks());
        size.put("shift_mm", shift.shiftMm());
        size.put("low", shift.lowMm());
        size.put("high", shift.highMm());
        size.put("p", shift.p());
    }

    private static void estimate(ObjectNode node, Estimate estimate) {
        Estimate.Figure figure = estimate instanceof Estimate.Figure f ? f : null;
        Interval interval = figure == null ? null : figure.interval();
        node.put("rr", figure == null ? null : (Double) figure.ratio());
        node.put("low", interval == null ? null : (Double) interval.low());
        node.put("high", interval == null ? null : (Double) interval.high());
        node.put("p", figure == null ? null : figure.p());
    }

    private static void level(ObjectNode node, LevelFigures figures) {
        node.put("level", figures.level());
        node.put("stints", figures.stints());
        node.put("trips", figures.trips());
        node.put("anglers", figures.anglers());
        node.put("rod_hours", figures.rodHours());
        node.put("fish", figures.fish());
        node.put("rate", figures.rate().perRodHour());
        node.put("rate_low", figures.rate().interval().low());
        node.put("rate_high", figures.rate().interval().high());
        node.put("swing", figures.swing());
        ShrunkRate shrunk = figures.shrunk();
        node.put("shrunk", shrunk == null ? null : (Double) shrunk.mean());
        node.put(
                "shrunk_low", shrunk == null ? null : (Double) shrunk.interval().low());
        node.put(
                "shrunk_high",
                shrunk == null ? null : (Double) shrunk.interval().high());
    }
}
