package dusk.ledger.cli;

import dusk.ledger.evidence.Comparison;
import dusk.ledger.evidence.LevelFigures;
import dusk.ledger.interchange.PackageReading;
import org.jspecify.annotations.Nullable;
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

    static ObjectNode comparison(Comparison comparison) {
        ObjectNode root = JsonMapper.shared().createObjectNode();
        root.put("factor", comparison.question().factor().key());
        root.put("species", comparison.question().species());
        ArrayNode levels = root.putArray("levels");
        comparison.levels().forEach(l -> level(levels.addObject(), l));
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
        node.put(
                "shrunk",
                figures.shrunk() == null ? null : (Double) figures.shrunk().mean());
        node.put("shrunk_low", figures.shrunk() == null ? null : low(figures));
        node.put("shrunk_high", figures.shrunk() == null ? null : high(figures));
    }

    private static @Nullable Double low(LevelFigures figures) {
        return figures.shrunk() == null
                ? null
                : (Double) figures.shrunk().interval().low();
    }

    private static @Nullable Double high(LevelFigures figures) {
        return figures.shrunk() == null
                ? null
                : (Double) figures.shrunk().interval().high();
    }
}
