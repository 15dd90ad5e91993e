package dusk.ledger.demo;

import dusk.ledger.vocabulary.Factor;
import java.util.List;
import java.util.Map;

/**
 * What was planted in the demo club's records: truths an honest search should find, and traps it must refuse.
 *
 * @param tackle the choice, by factor
 * @param conditions levels of which any holds, by factor; empty for always
 * @param ratio by how much it multiplies the catch rate; 1 for a trap
 * @param story in words, for the page that tells
 */
public record Planted(Map<Factor, String> tackle, Map<Factor, List<String>> conditions, double ratio, String story) {

    public static final List<Planted> TRUTHS = List.of(
            new Planted(
                    Map.of(Factor.COLOUR, "brown craw"),
                    Map.of(Factor.LEVEL_TREND, List.of("falling")),
                    2.1,
                    "Brown craw takes 2.1 times as many fish while the water is falling."),
            new Planted(
                    Map.of(Factor.HEAD_MASS, "3.5 g"),
                    Map.of(Factor.WATER_TEMP, List.of("under 7 C", "7-10 C")),
                    2.2,
                    "A 3.5 g head takes 2.2 times as many fish in water below 10 °C, and no more than others above."),
            new Planted(
                    Map.of(Factor.PLASTIC, "paddle-tail swimmer"),
                    Map.of(Factor.WATER_TEMP, List.of("20-25 C", "25 C and over")),
                    1.9,
                    "Paddle-tail swimmers take 1.9 times as many fish from 20 °C up."),
            new Planted(
                    Map.of(Factor.PRESENTATION, "dead-stick"),
                    Map.of(Factor.WEATHER, List.of("after a front")),
                    2.4,
                    "Dead-sticking takes 2.4 times as many fish after a front."),
            new Planted(
                    Map.of(Factor.RIG, "drop shot"),
                    Map.of(Factor.DEPTH, List.of("6-10 m")),
                    1.9,
                    "The drop shot takes 1.9 times as many fish at 6 to 10 m."),
            new Planted(
                    Map.of(Factor.COLOUR, "chartreuse"),
                    Map.of(Factor.CLARITY, List.of("2-4 m", "4 m and over")),
                    0.45,
                    "Chartreuse takes less than half as many fish where one sees down 2 m and more."));

    public static final List<Planted> TRAPS = List.of(
            new Planted(
                    Map.of(Factor.COLOUR, "motor oil"),
                    Map.of(),
                    1,
                    "Motor oil tops any plain tally: the club's best rod throws it, at dusk. It earns nothing by itself."),
            new Planted(
                    Map.of(Factor.COLOUR, "glow bright"),
                    Map.of(),
                    1,
                    "Glow bright owes its name to one huge day on one trip."),
            new Planted(
                    Map.of(Factor.PLASTIC, "curl-tail grub"),
                    Map.of(),
                    1,
                    "Curl-tail grubs are thrown mostly at the best place on the reservoir; the place does it."));

    boolean holds(Map<Factor, String> levels) {
        return tackle.entrySet().stream().allMatch(t -> t.getValue().equals(levels.get(t.getKey())))
                && conditions.entrySet().stream()
                        .allMatch(c -> c.getValue().contains(levels.getOrDefault(c.getKey(), "")));
    }

    /** By how much all truths together multiply the rate of a stint with these levels. */
    static double ratio(Map<Factor, String> levels) {
        double ratio = 1;
        for (Planted truth : TRUTHS) {
            if (truth.holds(levels)) {
                ratio *= truth.ratio();
            }
        }
        return ratio;
    }
}
