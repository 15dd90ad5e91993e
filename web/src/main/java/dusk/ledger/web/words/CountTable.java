package dusk.ledger.web.words;

import dusk.ledger.units.Length;
import dusk.ledger.units.UnitSystem;
import dusk.ledger.water.Fall;
import java.util.List;

/** Depths that are counted to, in the steps of a person's unit. */
public final class CountTable {
    private static final List<Double> METRES = List.of(1.0, 2.0, 3.0, 4.0, 5.0, 6.0, 8.0, 10.0);
    private static final List<Double> FEET = List.of(3.0, 5.0, 8.0, 10.0, 15.0, 20.0, 25.0, 30.0);

    private static final double MILLIMETRES_PER_FOOT = 304.8;

    private CountTable() {}

    /** A count to a depth. */
    public record Count(String depth, String count) {}

    public static List<Length> depths(UnitSystem units) {
        return units.depth() == Length.Unit.FOOT
                ? FEET.stream()
                        .map(f -> Length.ofMillimetres(f * MILLIMETRES_PER_FOOT))
                        .toList()
                : METRES.stream().map(Length::ofMetres).toList();
    }

    /** To every one of them; none where it floats. */
    public static List<Count> of(Fall.Known fall, UnitSystem units, double water) {
        return fall.floats(water)
                ? List.of()
                : depths(units).stream()
                        .map(d -> new Count(d.show(units.depth()), fall.count(d.metres(), water)))
                        .toList();
    }
}
