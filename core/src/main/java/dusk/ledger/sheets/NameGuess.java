package dusk.ledger.sheets;

import dusk.ledger.vocabulary.Words;
import java.text.Normalizer;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** What a column's name says that it is, in the words that people head their columns with. */
final class NameGuess {
    private static final Pattern ACCENTS = Pattern.compile("\\p{M}+");
    private static final Pattern SIGNS = Pattern.compile("[^a-z0-9#&]+");

    /** A longer text is no name, and none begins with a digit. */
    private static final int LONGEST = 60;

    private static final Map<Pattern, String> NAMES = new LinkedHashMap<>();
    /** What was asked lately: most cells of a sheet are asked about again and again. */
    private static final Map<String, Optional<String>> TOLD = Collections.synchronizedMap(new LinkedHashMap<>() {
        private static final long serialVersionUID = 1;

        @Override
        protected boolean removeEldestEntry(Map.Entry<String, Optional<String>> eldest) {
            return size() > 2000;
        }
    });

    private static final Map<String, String> UNITS = new LinkedHashMap<>();
    /** Names that are of a fish, a head or a plastic by what stands beside them. */
    private static final List<String> GENERAL = List.of(
            "length",
            "len",
            "weight",
            "wt",
            "size",
            "colour",
            "color",
            "type",
            "number",
            "no",
            "temp",
            "temperature",
            "name",
            "material");

    private static final Pattern BRACKETED = Pattern.compile("[(\\[/]\\s*([^()\\[\\]]{1,12}?)\\s*[)\\]]?\\s*$");
    private static final Pattern LAST = Pattern.compile("(?:^|[\\s_.])(?:in )?([^\\s_]{1,6})$");

    static {
        name(
                "moon.*|lunar.*|photo.*|image.*|picture.*|id|nr|no|row|entry( no)?|record( no)?|year|month|week|weekday|dow",
                Target.SKIP);
        name(
                ".*(water|surface|sst|wasser|eau)\\s*(t|temp|temperature|temperatur)|(w|h2o)\\s*temp.*|wassertemp.*|temp.*(water|wasser|eau)",
                "readings.water_temp_c");
        name(".*(air|luft)\\s*temp.*|lufttemp.*|temp.*\\bair", "readings.air_temp_c");
        name(".*\\b(temp|temps|temperature|temperatur)\\b.*", "readings.water_temp_c");
        name(".*(air pressure|baro|luftdruck|hpa|mbar).*", "readings.air_pressure_hpa");
        name(".*(clarity|visibility|\\bvis\\b|secchi|sichttiefe|turbidity|trubung).*", "readings.clarity_m");
        name(".*wind.*(dir|from|richtung).*", "readings.wind_from_deg");
        name(".*\\bwind\\b.*|windspeed|windstarke", "readings.wind_mps");
        name(".*\\btide\\b.*", "readings.tide");
        name("(water )?level( trend)?|pegel", "readings.level_trend");
        name(".*\\b(sky|cloud|clouds|cloud cover|weather|wetter|meteo)\\b.*|(conditions )?conditions", "readings.sky");
        name(".*\\b(forage|prey)\\b.*(colour|color).*", "readings.prey_colour");
        name(".*\\b(forage|prey|baitfish)\\b.*", "readings.forage");
        name("(water )?(current|flow)( speed)?", "readings.current_mps");
        name(
                ".*(jig|head|jighead|sinker|bullet|tungsten)\\s*(weight|wt|size|oz|g|mass).*|(lure|bait|kopf|jigkopf)\\s*(weight|wt|gewicht).*|head(s)? oz",
                "setups.head_mass_g");
        name(".*head\\s*(shape|type|style|form)", "setups.head_shape");
        name(".*head\\s*(material|metal)", "setups.head_material");
        name(".*head\\s*(colour|color)", "setups.head_colour");
        name("(jig ?head|jigkopf|jig|head|sinker)", "setups.head_mass_g");
        name(".*hook\\s*size|hook|haken(grosse)?", "setups.hook_size");
        name(".*(lure|bait|plastic|worm|koder)\\s*(length|len|size|lange|lg)", "setups.plastic_length_mm");
        name(".*\\b(colour|color|farbe|couleur|col)\\b.*", "setups.colour");
        name(".*\\brig\\b.*|montage", "setups.rig");
        name(".*(soft plastic|\\bplastic\\b|\\bworm\\b|gummi).*", "setups.plastic");
        name(".*\\b(lure|lures|bait|baits|fly|koder|leurre|tackle|lure used|setup|set up)\\b.*", Target.LURE);
        name(".*\\b(technique|method|presentation|retrieve|action|fuhrung)\\b.*", "stints.presentation");
        name("no of (rods|anglers|lines)|(number of )?(rods|anglers|lines)|#\\s*(rods|anglers)", Target.RODS);
        name("(rod|rute|rod used|rod name)", "rods.name");
        name(".*\\bline\\b.*(lb|kg|test|strength).*", "setups.line_strength_n");
        name("line|line (type|material)|schnur", "setups.line_material");
        name(
                ".*\\b(species|fischart|espece|art|kind of fish|type of fish|fish type|fish species)\\b.*",
                Target.SPECIES);
        name(".*\\b(lost|missed|dropped|losses|verloren)\\b.*", Target.LOST);
        name(".*\\b(bites|strikes|hits|takes|bisse|touches)\\b.*", "stints.bites");
        name(".*\\b(hooked|hook ups|hookups)\\b.*", "stints.hooked");
        name(".*\\b(follows|followers|nachlaufer)\\b.*", "stints.follows");
        name(".*\\b(casts|wurfe)\\b.*", "stints.casts");
        name(".*\\b(kept|keep|released|release|c r|entnommen)\\b.*", "catches.kept");
        name(
                ".*\\b(length|len|lange|longueur|lgth|laenge|taille)\\b.*|(fish )?size|fish (cm|in|mm)",
                "catches.length_mm");
        name(".*\\b(weight|wt|gewicht|poids|wgt)\\b.*|fish (lb|lbs|kg|g|oz)", "catches.mass_g");
        name(
                ".*\\b(hours|hrs|duration|time fished|effort|stunden|std|duree|hours fished|rod hours)\\b.*|hr|h",
                Target.HOURS);
        name(".*\\b(date|datum|day|when|tag|jour)\\b.*", Target.DATE);
        name(".*\\b(start|started|from|begin|beginn|launch|time in|start time|von)\\b.*", Target.FROM);
        name(".*\\b(end|ended|until|till|finish|time out|end time|stop|bis|to)\\b.*", Target.UNTIL);
        name(".*\\b(time|uhrzeit|heure|zeit|uhr|clock)\\b.*", Target.TIME);
        name(".*\\b(angler|name|who|member|fisherman|caught by|person|pecheur|fanger|by)\\b.*", Target.ANGLER);
        name(".*\\b(spot|place|location|swim|area|where|platz|stelle|lieu|peg|mark|loc)\\b.*", "spots.label");
        name(".*\\bstructure\\b.*", "spots.structure");
        name(".*\\bbottom\\b.*|grund", "spots.bottom");
        name(
                ".*\\b(lake|water|venue|river|reservoir|gewasser|lac|waterbody|water body|fishery|see|fluss|riviere)\\b.*",
                Target.WATER);
        name(".*\\b(depth|tiefe|profondeur)\\b.*", "stints.depth_m");
        name(
                ".*\\b(note|notes|comment|comments|remark|remarks|bemerkung|bemerkungen|remarques|memo)\\b.*",
                Target.NOTE);
        name(
                "fish|fische|poisson(s)?|.*\\b(number|qty|quantity|count|caught|total|catch|anzahl|nombre|how many|landed|stuck|fish no)\\b.*|no of fish|#|# fish|n",
                Target.COUNT);

        unit("cm", "cm", "cms", "centimetres", "centimeters", "zentimeter");
        unit("mm", "mm", "millimetres", "millimeters");
        unit("in", "in", "in.", "inch", "inches", "ins", "\"", "”", "″");
        unit("ft", "ft", "ft.", "feet", "foot", "'");
        unit("m", "m", "metres", "meters", "metre", "meter");
        unit("g", "g", "gr", "gram", "grams", "gramm", "grammes");
        unit("oz", "oz", "oz.", "ounce", "ounces");
        unit("kg", "kg", "kgs", "kilo", "kilos");
        unit("lb", "lb", "lbs", "lb.", "pounds", "#", "lb-oz", "lb/oz", "lbs/oz", "lb oz", "lbs oz", "lb & oz");
        unit("C", "c", "°c", "celsius", "deg c", "degc", "º c", "ºc");
        unit("F", "f", "°f", "fahrenheit", "deg f", "degf", "ºf");
        unit("m/s", "m/s", "mps", "ms-1");
        unit("km/h", "km/h", "kmh", "kph", "kmph");
        unit("mph", "mph");
        unit("kn", "kn", "kt", "kts", "knots");
        unit("min", "min", "mins", "minutes", "minuten");
        unit("h", "h", "hr", "hrs", "hours", "std", "stunden", "decimal hours");
    }

    private NameGuess() {}

    private static void name(String words, String key) {
        NAMES.put(Pattern.compile(anchored(words)), key);
    }

    /** Alternatives for finding instead of matching: what may stand before or behind is left open and not searched through. */
    private static String anchored(String words) {
        List<String> alternatives = new ArrayList<>();
        int depth = 0;
        int from = 0;
        for (int i = 0; i <= words.length(); i++) {
            char c = i < words.length() ? words.charAt(i) : '|';
            depth += c == '(' ? 1 : c == ')' ? -1 : 0;
            if (c == '|' && depth == 0) {
                String one = words.substring(from, i);
                String begun = one.startsWith(".*") ? one.substring(2) : "^" + one;
                alternatives.add(begun.endsWith(".*") ? begun.substring(0, begun.length() - 2) : begun + "$");
                from = i + 1;
            }
        }
        return String.join("|", alternatives);
    }

    private static void unit(String unit, String... spellings) {
        for (String spelling : spellings) {
            UNITS.put(spelling, unit);
        }
    }

    /** The target that a name says; nothing where it says none. */
    static Optional<String> of(String name) {
        if (name.length() > LONGEST || !name.isEmpty() && Character.isDigit(name.charAt(0))) {
            return Optional.empty();
        }
        String words = plain(withoutUnit(name));
        if (words.isEmpty() && !name.contains("#")) {
            return Optional.empty();
        }
        return TOLD.computeIfAbsent(words.isEmpty() ? "#" : words, NameGuess::told);
    }

    private static Optional<String> told(String asked) {
        return NAMES.entrySet().stream()
                .filter(e -> e.getKey().matcher(asked).find())
                .map(Map.Entry::getValue)
                .findFirst();
    }

    /** The target that a name says under a group: the group counts where the name alone may be of several things. */
    static Optional<String> of(String own, String name) {
        return GENERAL.contains(plain(withoutUnit(own))) ? of(name).or(() -> of(own)) : of(own).or(() -> of(name));
    }

    /** The unit that a name says. */
    static Optional<String> unit(String name) {
        String lower = name.strip().toLowerCase(Locale.ROOT);
        for (Pattern pattern : List.of(BRACKETED, LAST)) {
            Matcher matcher = pattern.matcher(lower);
            if (matcher.find() && UNITS.containsKey(matcher.group(1))) {
                return Optional.of(UNITS.get(matcher.group(1)));
            }
        }
        return Optional.empty();
    }

    private static String withoutUnit(String name) {
        Matcher bracketed = BRACKETED.matcher(name.strip().toLowerCase(Locale.ROOT));
        return bracketed.find() && UNITS.containsKey(bracketed.group(1))
                ? name.strip().substring(0, bracketed.start())
                : name;
    }

    /** In small letters without accents or signs. */
    static String plain(String text) {
        String small = text.toLowerCase(Locale.ROOT);
        String bare = small.chars().allMatch(c -> c < 128)
                ? small
                : ACCENTS.matcher(Normalizer.normalize(small.replace("ß", "ss"), Normalizer.Form.NFD))
                        .replaceAll("");
        return SIGNS.matcher(bare).replaceAll(" ").strip();
    }

    /** A species that the column counts, where its name is one. */
    static Optional<String> species(String name, List<String> known) {
        String words = plain(name)
                .replaceAll("^(no|number|count|total|fish|#)( of)? ", "")
                .replaceAll(" (caught|count|total|no|landed)$", "");
        if (words.length() < 2 || of(name).filter(k -> !k.equals(Target.COUNT)).isPresent()) {
            return Optional.empty();
        }
        List<String> all = new ArrayList<>(known);
        all.addAll(Words.of("species"));
        return all.stream()
                .filter(s -> plain(s).equals(words) || (plain(s) + "s").equals(words))
                .findFirst()
                .or(() -> new WordGuess(all)
                        .of(words)
                        .filter(WordGuess.Guess::sure)
                        .map(WordGuess.Guess::word))
                .or(() -> List.of(
                                        "bass",
                                        "trout",
                                        "zander",
                                        "carp",
                                        "catfish",
                                        "crappie",
                                        "bluegill",
                                        "roach",
                                        "bream",
                                        "chub",
                                        "eel",
                                        "mullet",
                                        "lmb",
                                        "smb")
                                .contains(words.replaceAll("s$", ""))
                        ? Optional.of(words)
                        : Optional.empty());
    }
}
