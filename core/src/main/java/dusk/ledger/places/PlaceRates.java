package dusk.ledger.places;

import dusk.ledger.evidence.Effort;
import dusk.ledger.evidence.GammaPrior;
import dusk.ledger.stints.Codes;
import dusk.ledger.stints.StintTable;
import dusk.ledger.vocabulary.Factor;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/**
 * Bites a rod-hour of each place in each light and on each tide. What a place, a light and a tide do is shrunk by itself first
 * (a gamma over its levels, by maximum likelihood) and multiplied; what was fished at the very place in the very light then
 * moves that, as far as it goes against {@value #LENT} rod-hours of it.
 */
public final class PlaceRates {
    private static final double LENT = 4;

    private final double usual;
    private final Map<String, Double> place = new HashMap<>();
    private final Map<String, Double> light = new HashMap<>();
    private final Map<String, Double> tide = new HashMap<>();
    private final Map<List<String>, Effort> fished = new HashMap<>();

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
