package dusk.ledger.season;

import java.util.Locale;

/** Stage of the year, as bass anglers name it. */
public enum Season {
    WINTER,
    PRE_SPAWN,
    SPAWN,
    POST_SPAWN,
    SUMMER,
    AUTUMN;

    /** The level's name, such as {@code pre-spawn}. */
    public String word() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }
}
