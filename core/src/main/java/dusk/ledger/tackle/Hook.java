package dusk.ledger.tackle;

import dusk.ledger.journal.Invalid;
import dusk.ledger.journal.SetUp;
import dusk.ledger.units.Length;
import dusk.ledger.units.Mass;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * A hook's measures by its size. Makers differ by a size or so; these are middling worm hooks.
 *
 * @param reach from the eye to the point
 * @param gap between point and shank
 */
public record Hook(Length reach, Length gap) {
    private static final Pattern SIZE = Pattern.compile("#?\\s*(\\d{1,2})(/0)?");
    private static final double REACH_1_0_MM = 31;
    private static final double REACH_STEP_MM = 4.2;
    private static final double SMALLEST_REACH_MM = 8;

    private static final double WIRE_LENGTH = 2.4;
    private static final double LIGHT_WIRE = 0.026;
    private static final double MEDIUM_WIRE = 0.032;
    private static final double HEAVY_WIRE = 0.038;
    private static final double STEEL_KG_M3 = 7850;

    /** The gap of a hook is about so much of its reach. */
    private static final double GAP_SHARE = 0.36;

    /** Of a size such as {@code #4}, {@code 4} or {@code 2/0}; empty where it cannot be read. */
    public static Optional<Hook> of(String size) {
        Matcher form = SIZE.matcher(size.strip());
        if (!form.matches()) {
            return Optional.empty();
        }
        int number = Integer.parseInt(form.group(1));
        double steps = form.group(2) != null ? number - 1 : -sizesBelow(number);
        double reach = Math.max(SMALLEST_REACH_MM, REACH_1_0_MM + steps * REACH_STEP_MM);
        return Optional.of(new Hook(Length.ofMillimetres(reach), Length.ofMillimetres(reach * GAP_SHARE)));
    }

    /** What no record of a set-up can tell: a hook size that is none. */
    public static List<Invalid.Problem> wrong(SetUp setUp) {
        String size = setUp.hookSize();
        return size == null || of(size).isPresent()
                ? List.of()
                : List.of(new Invalid.Problem(
                        "hook_size", "“" + size + "” is not a hook size. Write it like #1 or 2/0."));
    }

    /**
     * Of bent steel wire, about 2.4 times as long as its reach and as thick as its reach times 0.026, 0.032 or 0.038 for
     * light, medium or heavy wire.
     *
     * @param wire null where it is not known: medium
     */
    public Mass mass(@Nullable String wire) {
        double share = "light".equals(wire) ? LIGHT_WIRE : "heavy".equals(wire) ? HEAVY_WIRE : MEDIUM_WIRE;
        double thick = reach.metres() * share;
        return Mass.ofGrams(WIRE_LENGTH * reach.metres() * Math.PI / 4 * thick * thick * STEEL_KG_M3 * 1000);
    }

    /** Below 1/0 come 1, 2, 4, 6, ...: even numbers only from 2 on. */
    private static double sizesBelow(int number) {
        return number <= 1 ? 1 : 1 + number / 2.0;
    }
}
