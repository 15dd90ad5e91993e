package dusk.ledger.places;

import dusk.ledger.evidence.Effort;
import dusk.ledger.evidence.GammaPrior;
import dusk.ledger.stints.Codes;
import dusk.ledger.stints.StintTable;
import dusk.ledger.vocabulary.Factor;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/**
 * Bites a rod-hour of each place in each light and on each tide. What a place, a light and a tide do is shrunk by itself first
 * (a gamma over its levels, by maximum likelihood) and multiplied; what was fished at the very place in the very light then
 * moves that, as far as it goes against {@value #LENT} rod-hours of it.
 *
 * <p>A place wears while it is fished: its bites halve in so many hours, fitted over all stints of a trip at one place (given
 * all bites of them they fall on each in proportion to its hours x 0.5^(hours since the first/half-life)) and drawn toward
 * {@value #USUAL_WEAR_HOURS} hours by a normal on its log of sd {@value #WEAR_SD}.
 */
public final class PlaceRates {
    private static final double SECONDS_PER_HOUR = 3600;
    private static final double LENT = 4;
    private static final double USUAL_WEAR_HOURS = 2;
    private static final double WEAR_SD = 0.7;
    private static final double STEP = 0.05;
    private static final double MOST_LOG = 2;

    private final double usual;
    private final Map<String, Double> place = new HashMap<>();
    private final Map<String, Double> light = new HashMap<>();
    private final Map<String, Double> tide = new HashMap<>();
    private final Map<List<String>, Effort> fished = new HashMap<>();
    private final double wearHours;

    private PlaceRates(StintTable table) {
        double bites = 0;
        double hours = 0;
        Codes places = table.codes(Factor.SPOT);
        Codes lights = table.codes(Factor.LIGHT);
        for (int row = 0; row < table.size(); row++) {
            bites += table.bites(row);
            hours += table.rodHours(row);
            fished.merge(
                    List.of(places.level(row), lights.level(row)),
                    new Effort(table.bites(row), table.rodHours(row)),
                    Effort::plus);
        }
        usual = hours > 0 ? bites / hours : 0;
        times(table, Factor.SPOT, place);
        times(table, Factor.LIGHT, light);
        times(table, Factor.TIDE, tide);
        wearHours = wear(table);
    }

    /** A stint of a stay. @param since hours from the first of the stay to its middle */
    private record Worn(double since, double hours, int bites) {}

    private static double wear(StintTable table) {
        Map<List<Integer>, List<Integer>> stays = new HashMap<>();
        for (int row = 0; row < table.size(); row++) {
            stays.computeIfAbsent(
                            List.of(
                                    table.codes(Factor.SPOT).at(row),
                                    table.codes(Factor.TRIP).at(row)),
                            k -> new ArrayList<>())
                    .add(row);
        }
        List<List<Worn>> blocks = new ArrayList<>();
        for (List<Integer> rows : stays.values()) {
            Instant first = rows.stream()
                    .map(table::startedAt)
                    .min(Comparator.naturalOrder())
                    .orElseThrow();
            if (rows.size() > 1 && table.codes(Factor.SPOT).at(rows.get(0)) > 0) {
                blocks.add(rows.stream()
                        .map(row -> new Worn(
                                Duration.between(first, table.startedAt(row)).toSeconds() / SECONDS_PER_HOUR
                                        + table.rodHours(row) / 2,
                                table.rodHours(row),
                                table.bites(row)))
                        .toList());
            }
        }
        double best = USUAL_WEAR_HOURS;
        double most = Double.NEGATIVE_INFINITY;
        for (double log = -MOST_LOG; log <= MOST_LOG; log += STEP) {
            double halfLife = USUAL_WEAR_HOURS * Math.exp(log);
            double value = -log * log / (2 * WEAR_SD * WEAR_SD)
                    + blocks.stream()
                            .mapToDouble(block -> given(block, halfLife))
                            .sum();
            if (value > most) {
                most = value;
                best = halfLife;
            }
        }
        return best;
    }

    /** Log-likelihood of how the bites of a stay fell on its stints, but for a constant. */
    private static double given(List<Worn> stay, double halfLife) {
        double all = stay.stream()
                .mapToDouble(s -> s.hours() * Math.pow(0.5, s.since() / halfLife))
                .sum();
        return stay.stream()
                .mapToDouble(s -> s.bites() * Math.log(s.hours() * Math.pow(0.5, s.since() / halfLife) / all))
                .sum();
    }

    /** Hours of fishing in which the bites of a place halve. */
    public double wearHours() {
        return wearHours;
    }

    /** Reckons them of the stints of one water. */
    public static PlaceRates of(StintTable table) {
        return new PlaceRates(table);
    }

    /** How many times the usual bites each level has. */
    private void times(StintTable table, Factor factor, Map<String, Double> into) {
        Codes codes = table.codes(factor);
        double[][] of = new double[codes.levels().size()][2];
        for (int row = 0; row < table.size(); row++) {
            of[codes.at(row)][0] += table.bites(row);
            of[codes.at(row)][1] += table.rodHours(row);
        }
        int[] there = IntStream.range(1, of.length).filter(l -> of[l][1] > 0).toArray();
        GammaPrior.fit(IntStream.of(there)
                        .mapToObj(l -> new Effort(of[l][0], of[l][1]))
                        .toList())
                .ifPresent(prior -> IntStream.of(there)
                        .forEach(l -> into.put(
                                codes.levels().get(l),
                                prior.given(new Effort(of[l][0], of[l][1])).mean() / usual)));
    }

    /** Of all stints. */
    public double usual() {
        return usual;
    }

    /**
     * Bites a rod-hour to expect.
     *
     * @param tideWord null where there is none, or it is not known
     */
    public double at(String spotId, String lightWord, @Nullable String tideWord) {
        double start = usual * place.getOrDefault(spotId, 1.0) * light.getOrDefault(lightWord, 1.0);
        Effort here = fished.get(List.of(spotId, lightWord));
        double moved = here == null ? start : (start * LENT + here.fish()) / (LENT + here.rodHours());
        return moved * (tideWord == null ? 1 : tide.getOrDefault(tideWord, 1.0));
    }
}
