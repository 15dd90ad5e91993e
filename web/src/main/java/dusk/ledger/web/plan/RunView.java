package dusk.ledger.web.plan;

import dusk.ledger.journal.Spot;
import dusk.ledger.journal.Water;
import dusk.ledger.light.Light;
import dusk.ledger.light.Sun;
import dusk.ledger.places.DayRun;
import dusk.ledger.places.RunAsk;
import dusk.ledger.units.Figures;
import dusk.ledger.web.portrait.Svg;
import dusk.ledger.web.words.PlaceWords;
import dusk.ledger.web.words.TimeText;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Objects;

/**
 * A run as its page lays it out.
 *
 * @param order ids of the places as they are fished, then those that are left out, by commas
 * @param byHand whether the order was chosen by hand
 */
record RunView(String sentence, String svg, List<Stay> stays, List<String> leftOut, String order, boolean byHand) {
    private static final int ROW = 34;
    private static final int HEAD = 44;

    /**
     * A stay at a place.
     *
     * @param earlier the order with it moved up by one; empty for the first
     * @param later the order with it moved down by one; empty for the last
     */
    record Stay(String id, String place, String hours, String bites, String light, String earlier, String later) {}

    static RunView of(
            DayRun run, RunAsk ask, Map<String, Spot> spots, Water water, List<String> order, boolean reckoned) {
        List<String> fished =
                run.legs().stream().map(leg -> ask.spotIds().get(leg.place())).toList();
        List<String> whole = new ArrayList<>(order.isEmpty() ? fished : order);
        ask.spotIds().stream().filter(id -> !whole.contains(id)).forEach(whole::add);
        List<Stay> stays = new ArrayList<>();
        for (DayRun.Leg leg : run.legs()) {
            String id = ask.spotIds().get(leg.place());
            int at = whole.indexOf(id);
            stays.add(new Stay(
                    id,
                    place(spots, id),
                    TimeText.hour(ask.at(leg.from()), water.zone()) + " to "
                            + TimeText.hour(ask.at(leg.to()), water.zone()),
                    Figures.fixed(leg.bites(), 1) + " bites to expect a rod",
                    light(ask, leg),
                    at > 0 ? swapped(whole, at, at - 1) : "",
                    at < whole.size() - 1 ? swapped(whole, at, at + 1) : ""));
        }
        return new RunView(
                sentence(run, ask, spots, water),
                draw(run, ask, spots, water),
                stays,
                whole.stream()
                        .filter(id -> !fished.contains(id))
                        .map(id -> place(spots, id))
                        .toList(),
                String.join(",", whole),
                !reckoned);
    }

    static String place(Map<String, Spot> spots, String id) {
        return PlaceWords.of(Objects.requireNonNull(spots.get(id)));
    }

    private static String swapped(List<String> order, int one, int two) {
        List<String> other = new ArrayList<>(order);
        Collections.swap(other, one, two);
        return String.join(",", other);
    }

    private static String sentence(DayRun run, RunAsk ask, Map<String, Spot> spots, Water water) {
        if (run.legs().isEmpty()) {
            return "There is nothing to expect at these places yet: no bite stands in the records of " + water.name()
                    + ".";
        }
        DayRun.Leg first = run.legs().get(0);
        String places = run.legs().size() == 1
                ? "the whole time"
                : "first of " + run.legs().size() + " places";
        return place(spots, ask.spotIds().get(first.place())) + ", " + places + ": "
                + Figures.fixed(run.bites(), 1) + " bites to expect on each rod until "
                + TimeText.hour(ask.end(), water.zone()) + ".";
    }

    /** The lights of a stay, in turn, with its tide where there is one. */
    private static String light(RunAsk ask, DayRun.Leg leg) {
        List<String> words = new ArrayList<>();
        for (int slot = leg.from(); slot < leg.to(); slot++) {
            Instant middle = ask.at(slot).plus(RunAsk.SLOT.dividedBy(2));
            String tide = ask.tide(middle);
            String word = Sun.lightAt(middle, ask.where()).word() + (tide == null ? "" : " on the " + tide);
            if (words.isEmpty() || !words.get(words.size() - 1).equals(word)) {
                words.add(word);
            }
        }
        return String.join(", then ", words);
    }

    /** Light above, a row for each stay below; in shares of the width. */
    private static String draw(DayRun run, RunAsk ask, Map<String, Spot> spots, Water water) {
        int height = HEAD + ROW * run.legs().size();
        Svg svg = new Svg();
        svg.add(
                "<svg class=\"run\" role=\"img\" height=\"%d\" aria-label=\"%s\">",
                height, Svg.escape("The run on a timeline of light; the list below says the same"));
        Instant from = ask.start();
        while (from.isBefore(ask.end())) {
            Light light = Sun.lightAt(from, ask.where());
            Instant to = from;
            while (to.isBefore(ask.end()) && Sun.lightAt(to, ask.where()) == light) {
                to = to.plus(Duration.ofMinutes(5));
            }
            to = to.isAfter(ask.end()) ? ask.end() : to;
            svg.add(
                    "<rect class=\"light-%s\" x=\"%.2f%%\" y=\"0\" width=\"%.2f%%\" height=\"18\"/>",
                    light.word().replace(' ', '-'), share(ask, from), share(ask, to) - share(ask, from) + 0.05);
            from = to;
        }
        hours(svg, ask, water, height);
        for (int i = 0; i < run.legs().size(); i++) {
            DayRun.Leg leg = run.legs().get(i);
            double left = share(ask, ask.at(leg.from()));
            double right = share(ask, ask.at(leg.to()));
            int top = HEAD + i * ROW;
            svg.add(
                    "<rect class=\"run-stay\" x=\"%.2f%%\" y=\"%d\" width=\"%.2f%%\" height=\"%d\"/>",
                    left, top, right - left, ROW - 8);
            boolean late = left > 50;
            svg.add(
                    "<text class=\"bar-label\" x=\"%.2f%%\" y=\"%d\" dx=\"%d\" text-anchor=\"%s\">%s</text>",
                    late ? left : right,
                    top + 18,
                    late ? -6 : 6,
                    late ? "end" : "start",
                    right - left > 60
                            ? ""
                            : Svg.escape(name(spots, ask.spotIds().get(leg.place()))));
        }
        return svg.add("</svg>").toString();
    }

    private static String name(Map<String, Spot> spots, String id) {
        return Objects.requireNonNullElse(Objects.requireNonNull(spots.get(id)).label(), "");
    }

    private static void hours(Svg svg, RunAsk ask, Water water, int height) {
        long whole = Duration.between(ask.start(), ask.end()).toHours();
        long step = whole > 12 ? 3 : whole > 6 ? 2 : 1;
        Instant hour =
                ask.start().atZone(water.zone()).withMinute(0).plusHours(1).toInstant();
        for (; hour.isBefore(ask.end()); hour = hour.plus(Duration.ofHours(step))) {
            svg.add(
                    "<line class=\"bar-ground\" x1=\"%.2f%%\" x2=\"%.2f%%\" y1=\"18\" y2=\"%d\"/>",
                    share(ask, hour), share(ask, hour), height);
            svg.add(
                    "<text class=\"bar-label\" x=\"%.2f%%\" y=\"36\" text-anchor=\"middle\">%s</text>",
                    share(ask, hour), TimeText.hour(hour, water.zone()));
        }
    }

    private static double share(RunAsk ask, Instant at) {
        return 100.0
                * Duration.between(ask.start(), at).toSeconds()
                / Duration.between(ask.start(), ask.end()).toSeconds();
    }
}
