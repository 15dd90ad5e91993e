package dusk.ledger.cli;

import dusk.ledger.evidence.Comparison;
import dusk.ledger.evidence.Contrast;
import dusk.ledger.evidence.Estimate;
import dusk.ledger.evidence.Interval;
import dusk.ledger.evidence.LevelFigures;
import dusk.ledger.evidence.ShrunkRate;
import dusk.ledger.interchange.PackageReading;
import java.util.List;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Answers as JSON, in the shape of the ledger format. */
final class Printed {
    private Printed() {}

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

    static ObjectNode comparison(Comparison comparison, List<Contrast> contrasts) {
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

    private static void contrast(ObjectNode node, Contrast contrast) {
        node.put("level", contrast.level());
        node.put("versus", contrast.versus());
        ObjectNode matched = node.putObject("matched");
        matched.put("blocks", contrast.matched().blocks());
        estimate(matched, contrast.matched().estimate());
        estimate(node.putObject("adjusted"), contrast.adjusted());
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
        ShrunkRate shrunk = figures.shrunk();
        node.put("shrunk", shrunk == null ? null : (Double) shrunk.mean());
        node.put(
                "shrunk_low", shrunk == null ? null : (Double) shrunk.interval().low());
        node.put(
                "shrunk_high",
                shrunk == null ? null : (Double) shrunk.interval().high());
    }
}
