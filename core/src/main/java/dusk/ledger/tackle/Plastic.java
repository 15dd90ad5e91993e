package dusk.ledger.tackle;

import dusk.ledger.journal.SetUp;
import dusk.ledger.units.Length;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * A plastic as it is on the hook. One that was cut from L0 to L keeps its thickness: V = kv L0^2 L, A = ka L0 L. A hollow one
 * fills 0.6 of its volume, a thin-walled one 0.8, a ribbed one 0.9.
 *
 * @param length as it is now
 * @param whole before it was cut; the same where it was not
 * @param fill the part of its volume that is plastic
 */
public record Plastic(PlasticBody body, Length length, Length whole, double fill, double densityKgM3) {
    private static final Map<String, Double> FILLS = Map.of("hollow", 0.6, "thin-walled", 0.8, "ribbed", 0.9);

    /**
     * Of its words.
     *
     * @param built how its body is made; null for solid
     * @param trimmedFrom its length before it was cut
     * @return nothing where there is none, where its length is not known, or where its word has no body in the table
     */
    public static Optional<Plastic> of(
            @Nullable String word,
            @Nullable Length length,
            @Nullable String material,
            @Nullable String built,
            @Nullable Length trimmedFrom) {
        if (word == null || length == null) {
            return Optional.empty();
        }
        return PlasticBody.of(word)
                .map(body -> new Plastic(
                        body,
                        length,
                        trimmedFrom == null ? length : trimmedFrom,
                        built == null ? 1 : FILLS.getOrDefault(built, 1.0),
                        Material.plasticDensity(material)));
    }

    /** Of a set-up. */
    public static Optional<Plastic> of(SetUp setUp) {
        return of(
                setUp.plastic(),
                setUp.plasticLength(),
                setUp.plasticMaterial(),
                setUp.plasticBody(),
                setUp.trimmedFrom());
    }

    public double massGrams() {
        double whole = this.whole.metres();
        return fill * body.volumeShare() * whole * whole * length.metres() * densityKgM3 * 1000;
    }

    /** Seen by the flow when it falls level. */
    public double areaM2() {
        return body.areaShare() * whole.metres() * length.metres();
    }

    /** That of a rod of the same length and volume, filled or not. */
    public Length thickness() {
        return Length.ofMillimetres(whole.millimetres() * Math.sqrt(4 * body.volumeShare() / Math.PI));
    }
}
