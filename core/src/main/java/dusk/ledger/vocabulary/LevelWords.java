package dusk.ledger.vocabulary;

import java.util.EnumMap;
import java.util.HashMap;
import java.util.Map;

/**
 * Levels as an angler says them: a choice of tackle by its noun (“a 3.5 g head”), a condition by its place in a sentence
 * (“in winter”, “after a front”). A word that speaks for itself stays as it is; a band's name is never changed, so that
 * {@link BandWords} finds it.
 */
final class LevelWords {
    /** Stands for the level. */
    private static final String IT = "{}";

    private static final Map<Factor, String> CHOICES = new EnumMap<>(Factor.class);
    private static final Map<Factor, String> CONDITIONS = new EnumMap<>(Factor.class);

    /** Levels that are said otherwise than the rest of their factor. */
    private static final Map<Factor, Map<String, String>> APART = new EnumMap<>(Factor.class);

    static {
        CHOICES.put(Factor.HEAD_MASS, "a {} head");
        CHOICES.put(Factor.HEAD_SHAPE, "a {} head");
        CHOICES.put(Factor.HEAD_COLOUR, "a {} head");
        CHOICES.put(Factor.HOOK_WIRE, "a hook of {} wire");
        CHOICES.put(Factor.HOOK_PATTERN, "a {} hook");
        CHOICES.put(Factor.WEED_GUARD, "{} for a weed guard");
        CHOICES.put(Factor.KEEPER, "{} for a keeper");
        CHOICES.put(Factor.SKIRT, "a {} skirt");
        CHOICES.put(Factor.BLADE, "a {} blade");
        CHOICES.put(Factor.RATTLE, "a rattle {}");
        CHOICES.put(Factor.PLASTIC_LENGTH, "a plastic of {}");
        CHOICES.put(Factor.PLASTIC_BODY, "a {} plastic");
        CHOICES.put(Factor.HOOK_HEIGHT, "a hook {} above the weight");
        CHOICES.put(Factor.LINE_DIAMETER, "line of {}");
        CHOICES.put(Factor.LINE_COLOUR, "{} line");
        CHOICES.put(Factor.LEADER, "a leader of {}");
        CHOICES.put(Factor.ROD_POWER, "a {} rod");
        CHOICES.put(Factor.REEL, "a reel that is {}");
        CHOICES.put(Factor.LURE_TO_PREY, "a lure {} times as long as its prey");
        CHOICES.put(Factor.SPEED, "a {} speed");
        CHOICES.put(Factor.PAUSE, "a pause of {}");
        CHOICES.put(Factor.HOOK_SET, "a {} hook set");
        CHOICES.put(Factor.PURPOSE, "fishing to {}");

        CONDITIONS.put(Factor.STRUCTURE, "at a {}");
        CONDITIONS.put(Factor.BOTTOM, "over {}");
        CONDITIONS.put(Factor.COVER, "in {} cover");
        CONDITIONS.put(Factor.SLOPE, "on a {} slope");
        CONDITIONS.put(Factor.SHELTER, "in {} water");
        CONDITIONS.put(Factor.DEPTH, "in {} of water");
        CONDITIONS.put(Factor.FISH_DEPTH, "over fish at {}");
        CONDITIONS.put(Factor.FISH_POSITION, "over fish {}");
        CONDITIONS.put(Factor.WATER_TEMP, "in water of {}");
        CONDITIONS.put(Factor.CLARITY, "in water seen {} down");
        CONDITIONS.put(Factor.SEASON, "in {}");
        CONDITIONS.put(Factor.LIGHT, "at {}");
        CONDITIONS.put(Factor.SKY, "under a {} sky");
        CONDITIONS.put(Factor.WIND, "in a wind ({})");
        CONDITIONS.put(Factor.CURRENT, "in a current ({})");
        CONDITIONS.put(Factor.LEVEL_TREND, "in {} water");
        CONDITIONS.put(Factor.TIDE, "on the {}");
        CONDITIONS.put(Factor.WEATHER, "in {} weather");
        CONDITIONS.put(Factor.PRESSURE, "where {} others fish");
        CONDITIONS.put(Factor.FORAGE, "where they eat {}");
        CONDITIONS.put(Factor.PREY_COLOUR, "where the prey is {}");

        apart(Factor.LEADER, "none", "no leader");
        apart(Factor.PAUSE, "none", "no pause");
        apart(Factor.SKIRT, "none", "no skirt");
        apart(Factor.BLADE, "none", "no blade");
        apart(Factor.RATTLE, "none", "no rattle");
        apart(Factor.WEED_GUARD, "none", "no weed guard");
        apart(Factor.KEEPER, "none", "no keeper");
        apart(Factor.HEAD_SHAPE, "none", "no head");
        apart(Factor.PEGGED, "true", "the weight pegged");
        apart(Factor.PEGGED, "false", "the weight free to slide");
        apart(Factor.COLOUR_ACCENT, "none", "no accent");
        apart(Factor.COVER, "none", "clear of cover");
        apart(Factor.SHELTER, "lee", "in the lee");
        apart(Factor.SHELTER, "windward", "on the windward side");
        apart(Factor.STRUCTURE, "open water", "in open water");
        apart(Factor.STRUCTURE, "riprap", "at riprap");
        apart(Factor.STRUCTURE, "standing timber", "in standing timber");
        apart(Factor.STRUCTURE, "moored boats", "at moored boats");
        apart(Factor.BOTTOM, "mixed", "over a mixed bottom");
        apart(Factor.FISH_POSITION, "not seen", "where no fish are seen");
        apart(Factor.FORAGE, "not seen", "where no prey is seen");
        apart(Factor.SEASON, "pre-spawn", "before the spawn");
        apart(Factor.SEASON, "spawn", "in the spawn");
        apart(Factor.SEASON, "post-spawn", "after the spawn");
        apart(Factor.LIGHT, "low sun", "in low sun");
        apart(Factor.LIGHT, "day", "by day");
        apart(Factor.SKY, "broken cloud", "under broken cloud");
        apart(Factor.SKY, "rain", "in rain");
        apart(Factor.SKY, "fog", "in fog");
        apart(Factor.TIDE, "high slack", "at high slack");
        apart(Factor.TIDE, "low slack", "at low slack");
        apart(Factor.WEATHER, "front coming", "with a front coming");
        apart(Factor.WEATHER, "after a front", "after a front");
        apart(Factor.PRESSURE, "none", "where nobody else fishes");
        apart(Factor.PRESSURE, "heavy", "where many others fish");
    }

    private LevelWords() {}

    private static void apart(Factor factor, String level, String said) {
        APART.computeIfAbsent(factor, f -> new HashMap<>()).put(level, said);
    }

    /** As what was chosen, such as {@code a 3.5 g head}; a condition as in its place. */
    static String choice(Factor factor, String level) {
        String usual = factor.kind() == Factor.Kind.CONDITION ? CONDITIONS.get(factor) : CHOICES.get(factor);
        return said(factor, level, usual == null ? IT : usual);
    }

    /** As where it was, such as {@code in winter}; a choice as what it was done with. */
    static String where(Factor factor, String level) {
        String condition = CONDITIONS.get(factor);
        return condition == null ? "with " + choice(factor, level) : said(factor, level, condition);
    }

    private static String said(Factor factor, String level, String usual) {
        String apart = APART.getOrDefault(factor, Map.of()).get(level);
        return apart == null ? article(usual.replace(IT, level)) : apart;
    }

    private static String article(String said) {
        return said.replace(" of under ", " under ").replaceAll("\\ba (?=[aeiou])", "an ");
    }
}
