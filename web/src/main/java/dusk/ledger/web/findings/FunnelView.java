package dusk.ledger.web.findings;

import dusk.ledger.evidence.Estimate;
import dusk.ledger.evidence.Funnel;
import dusk.ledger.evidence.Question;
import dusk.ledger.evidence.Share;
import dusk.ledger.units.Figures;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** A funnel as the page lays it out. Shares are of the picture's width. */
record FunnelView(
        String sentence, List<Bar> stages, List<Row> rows, List<Part> lost, List<Part> takenOn, String factor) {
    private static final String REST = " times the rest's";

    /** One step of the whole club's funnel. */
    record Bar(String word, int count, String from, String width) {}

    /**
     * One level.
     *
     * @param lost where its fish come off, most first
     */
    record Row(
            String level,
            int follows,
            int bites,
            int hooked,
            int landed,
            Cell ofBites,
            Cell ofHooked,
            String lost,
            String address) {}

    /** A share with its interval drawn, and how it stands to the rest's. */
    record Cell(String share, String range, @Nullable Drawn drawn, String against) {}

    record Drawn(String low, String high, String at) {}

    /** A word with its share. */
    record Part(String word, String told, String width) {}

    static FunnelView of(Funnel funnel, Question question) {
        Funnel.Step all = funnel.all();
        double most = Math.max(1, Math.max(all.follows(), all.bites()));
        List<Bar> stages = List.of(
                new Bar("follows", all.follows(), "", width(all.follows() / most)),
                new Bar("bites", all.bites(), "", width(all.bites() / most)),
                new Bar("hooked", all.hooked(), of(all.ofBites(), "bites"), width(all.hooked() / most)),
                new Bar("landed", all.landed(), of(all.ofHooked(), "hooked"), width(all.landed() / most)));
        int lost = funnel.lost().values().stream().mapToInt(Integer::intValue).sum();
        List<Row> rows = funnel.levels().stream()
                .map(step -> new Row(
                        step.level(),
                        step.follows(),
                        step.bites(),
                        step.hooked(),
                        step.landed(),
                        cell(step.ofBites(), step.hookedAgainstRest()),
                        cell(step.ofHooked(), step.landedAgainstRest()),
                        lost(step),
                        StintsAddress.of(question)
                                .where(question.factor(), step.level())
                                .toString()))
                .toList();
        return new FunnelView(
                sentence(funnel),
                stages,
                rows,
                funnel.lost().entrySet().stream()
                        .map(e ->
                                new Part(e.getKey(), e.getValue() + " of " + lost, width((double) e.getValue() / lost)))
                        .toList(),
                funnel.takenOn().entrySet().stream()
                        .map(e -> new Part(
                                e.getKey(),
                                told(e.getValue()),
                                width(e.getValue().share())))
                        .toList(),
                question.factor().title());
    }

    private static String lost(Funnel.Step step) {
        List<String> parts = new ArrayList<>();
        step.lost().forEach((cause, count) -> parts.add(cause + " " + count));
        int told = step.lost().values().stream().mapToInt(Integer::intValue).sum();
        int untold = step.hooked() - step.landed() - told;
        if (untold > 0) {
            parts.add("cause not told " + untold);
        }
        return String.join(", ", parts);
    }

    private static Cell cell(@Nullable Share share, Estimate ratio) {
        if (share == null) {
            return new Cell("", "", null, "");
        }
        return new Cell(
                percent(share.share()),
                percent(share.interval().low()) + " to "
                        + percent(share.interval().high()),
                new Drawn(width(share.interval().low()), width(share.interval().high()), width(share.share())),
                against(ratio));
    }

    private static String against(Estimate ratio) {
        if (ratio instanceof Estimate.Figure f) {
            String range = f.interval() == null
                    ? ""
                    : " (" + Figures.fixed(f.interval().low(), 2) + " to "
                            + Figures.fixed(f.interval().high(), 2) + ")";
            return Figures.fixed(f.ratio(), 2) + REST + range;
        }
        return ((Estimate.None) ratio).reason();
    }

    private static String sentence(Funnel funnel) {
        Share hooked = funnel.all().ofBites();
        Share landed = funnel.all().ofHooked();
        if (hooked == null || landed == null) {
            return "Not enough logged to say: no bite came to a hooked fish here.";
        }
        StringBuilder said = new StringBuilder("Of a hundred bites ")
                .append(Math.round(100 * hooked.share()))
                .append(" are hooked, and of a hundred hooked ")
                .append(Math.round(100 * landed.share()))
                .append(" landed");
        funnel.lost().entrySet().stream()
                .max(Map.Entry.comparingByValue())
                .ifPresent(e -> said.append("; the commonest cause told of a loss is “")
                        .append(e.getKey())
                        .append("”"));
        said.append('.');
        for (Funnel.Stage stage : Funnel.Stage.values()) {
            funnel.standsOut(stage).ifPresent(step -> said.append(' ').append(told(step, stage)));
        }
        return said.toString();
    }

    private static String told(Funnel.Step step, Funnel.Stage stage) {
        boolean hooking = stage == Funnel.Stage.HOOKED_OF_BITES;
        String ratio = step.againstRest(stage) instanceof Estimate.Figure f ? Figures.fixed(f.ratio(), 2) : "";
        return "With " + step.level() + " " + ratio + " times as many of the "
                + (hooking ? "bites are hooked" : "hooked are landed") + " as with the rest.";
    }

    private static String of(@Nullable Share share, String what) {
        return share == null ? "" : percent(share.share()) + " of the " + what;
    }

    private static String told(Share share) {
        return percent(share.share()) + " (" + percent(share.interval().low()) + " to "
                + percent(share.interval().high()) + "), " + share.count() + " of " + share.of();
    }

    private static String percent(double share) {
        return Figures.trimmed(100 * share, 0) + " %";
    }

    private static String width(double share) {
        return Figures.fixed(100 * share, 2) + "%";
    }
}
