package dusk.ledger.vocabulary;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** A column that analysis may compare, with the order of its levels where they have one. */
public enum Factor {
    RIG(Kind.TACKLE),
    HEAD_SHAPE(Kind.TACKLE),
    HEAD_MASS(Kind.TACKLE, Bands.HEAD_MASS),
    HEAD_MATERIAL(Kind.TACKLE),
    HEAD_COLOUR(Kind.TACKLE),
    HOOK_WIRE(Kind.TACKLE),
    WEED_GUARD(Kind.TACKLE),
    KEEPER(Kind.TACKLE),
    SKIRT(Kind.TACKLE),
    BLADE(Kind.TACKLE),
    RATTLE(Kind.TACKLE),
    PLASTIC(Kind.TACKLE),
    PLASTIC_LENGTH(Kind.TACKLE, Bands.PLASTIC_LENGTH.labels()),
    PLASTIC_MATERIAL(Kind.TACKLE),
    COLOUR(Kind.TACKLE),
    COLOUR_ACCENT(Kind.TACKLE),
    HOOK_HEIGHT(Kind.TACKLE, Bands.HOOK_HEIGHT.labels()),
    LINE_DIAMETER(Kind.TACKLE, Bands.LINE_DIAMETER.labels()),
    HOOK_PATTERN(Kind.TACKLE),
    PLASTIC_BODY(Kind.TACKLE, Words.closed("plastic_body", "setups")),
    LINE_COLOUR(Kind.TACKLE),
    PEGGED(Kind.TACKLE, List.of("true", "false")),
    LEADER(Kind.TACKLE, Bands.LEADER.labels()),
    ROD_POWER(Kind.TACKLE, Words.of("power")),
    REEL(Kind.TACKLE, Bands.REEL.labels()),
    LURE_TO_PREY(Kind.TACKLE, Bands.LURE_TO_PREY.labels()),
    PRESENTATION(Kind.TACKLE),
    SPEED(Kind.TACKLE, Words.of("speed")),
    PAUSE(Kind.TACKLE, Bands.PAUSE.labels()),
    LINE_METHOD(Kind.TACKLE),
    HOOK_SET(Kind.TACKLE),
    STRUCTURE(Kind.CONDITION),
    BOTTOM(Kind.CONDITION),
    COVER(Kind.CONDITION, Words.of("cover")),
    SLOPE(Kind.CONDITION, Words.of("slope")),
    SHELTER(Kind.CONDITION, Words.of("shelter")),
    DEPTH(Kind.CONDITION, Bands.DEPTH.labels()),
    FISH_DEPTH(Kind.CONDITION, Bands.DEPTH.labels()),
    FISH_POSITION(Kind.CONDITION),
    WATER_TEMP(Kind.CONDITION, Bands.WATER_TEMP.labels()),
    CLARITY(Kind.CONDITION, Bands.CLARITY.labels()),
    SEASON(Kind.CONDITION, List.of("winter", "pre-spawn", "spawn", "post-spawn", "summer", "autumn")),
    LIGHT(Kind.CONDITION, List.of("night", "dawn", "low sun", "day", "dusk")),
    SKY(Kind.CONDITION),
    WIND(Kind.CONDITION, Bands.WIND.labels()),
    CURRENT(Kind.CONDITION, Bands.CURRENT.labels()),
    LEVEL_TREND(Kind.CONDITION, Words.of("level_trend")),
    TIDE(Kind.CONDITION),
    WEATHER(Kind.CONDITION),
    PRESSURE(Kind.CONDITION, Words.of("pressure")),
    FORAGE(Kind.CONDITION),
    PREY_COLOUR(Kind.CONDITION),
    PURPOSE(Kind.OTHER),
    ANGLER(Kind.ID),
    WATER(Kind.ID),
    SPOT(Kind.ID),
    TRIP(Kind.ID);

    /** The level of a stint whose record says nothing: shown, never compared. */
    public static final String NOT_RECORDED = "not recorded";

    /** What a factor is to an analysis. */
    public enum Kind {
        /** Chosen by the angler. */
        TACKLE,
        /** Given by the day and the place. */
        CONDITION,
        /** Who, where, when: for blocking and adjusting, never a pattern. */
        ID,
        /** Why a stint was fished: compared on request only. */
        OTHER
    }

    private final Kind kind;

    @SuppressWarnings("ImmutableEnumChecker") // List.of, never changed
    private final List<String> order;

    Factor(Kind kind) {
        this(kind, List.of());
    }

    Factor(Kind kind, List<String> order) {
        this.kind = kind;
        this.order = order;
    }

    public Kind kind() {
        return kind;
    }

    /** The levels in their natural order; empty where levels have none. */
    public List<String> order() {
        return order;
    }

    /** The name in packages and on the command line, such as {@code head_mass}. */
    public String key() {
        return name().toLowerCase(Locale.ROOT);
    }

    /** The name on a page, such as {@code head weight}. */
    public String title() {
        return switch (this) {
            case HEAD_MASS -> "head weight";
            case WATER_TEMP -> "water temperature";
            case LEVEL_TREND -> "level of the water";
            case PRESSURE -> "fishing pressure";
            case HOOK_HEIGHT -> "height of the hook";
            case PLASTIC_LENGTH -> "length of the plastic";
            case PURPOSE -> "reason to fish";
            case LURE_TO_PREY -> "length against the prey";
            default -> key().replace('_', ' ');
        };
    }

    /** A level as it is said in a sentence, as what was chosen: {@code a 3.5 g head}, {@code pearl}. */
    public String named(String level) {
        return LevelWords.choice(this, level);
    }

    /** A level as it is said in a sentence, as where something was so: {@code in winter}, {@code after a front}. */
    public String where(String level) {
        return LevelWords.where(this, level);
    }

    /** Finds a factor by its key. */
    public static Optional<Factor> byKey(String key) {
        return Arrays.stream(values()).filter(f -> f.key().equals(key)).findFirst();
    }
}
