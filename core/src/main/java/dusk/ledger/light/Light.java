package dusk.ledger.light;

import java.util.Locale;

/** How light it is, by the sun's altitude at the water. */
public enum Light {
    NIGHT,
    DAWN,
    LOW_SUN,
    DAY,
    DUSK;

    /** The level's name, such as {@code low sun}. */
    public String word() {
        return name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }
}
