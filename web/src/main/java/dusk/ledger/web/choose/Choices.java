package dusk.ledger.web.choose;

import dusk.ledger.journal.Angler;
import dusk.ledger.journal.SetUp;
import dusk.ledger.units.UnitSystem;
import dusk.ledger.web.form.FormField;
import dusk.ledger.web.records.Anglers;
import dusk.ledger.web.records.Person;
import dusk.ledger.web.records.SetUps;
import dusk.ledger.web.store.Kept;
import dusk.ledger.web.store.Store;
import dusk.ledger.web.words.SetUpWords;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.function.Supplier;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/**
 * Set-ups and anglers to choose from. A short list is offered whole; of a long one the likely ones, and those that hold
 * every word that was written beside the field.
 */
@Component
public class Choices {
    /** So many are offered at once; a list that is no longer stands whole. */
    public static final int OFFERED = 60;

    private static final Pattern NUMBER = Pattern.compile("[0-9]+([./][0-9]+)?");

    private final SetUps setUps;
    private final Anglers anglers;
    private final Kept<Map<String, String>> texts;

    Choices(SetUps setUps, Anglers anglers, Store store) {
        this.setUps = setUps;
        this.anglers = anglers;
        texts = new Kept<>(store, Kept.Kind.SETUP);
    }

    /** What a field is to be filled with. */
    private enum Of {
        SET_UP("set-up"),
        ANGLER("angler");

        private final String word;

        Of(String word) {
            this.word = word;
        }

        static Of field(String name) {
            return name.startsWith("angler") ? ANGLER : SET_UP;
        }
    }

    /** Ids of the set-ups that hold every word; all of them without words. */
    public Set<String> holding(Person person, String words) {
        return setUps.all(person.viewer()).stream()
                .filter(holding(words, setUpText(person)))
                .map(SetUp::id)
                .collect(Collectors.toSet());
    }

    /** What is offered to a person on one page: each list is read once for all its fields. */
    public Offers offers(Person person) {
        return new Offers(person);
    }

    /** What is offered to a person on one page. */
    public final class Offers {
        private final Person person;
        private @Nullable List<SetUp> ofSetUps;
        private @Nullable List<Angler> ofAnglers;

        private Offers(Person person) {
            this.person = person;
        }

        private List<SetUp> allSetUps() {
            List<SetUp> known = ofSetUps;
            if (known == null) {
                known = setUps.lastFishedFirst(person.viewer());
                ofSetUps = known;
            }
            return known;
        }

        private List<Angler> allAnglers() {
            List<Angler> known = ofAnglers;
            if (known == null) {
                known = anglers.likelyFirst(person.viewer(), OFFERED);
                ofAnglers = known;
            }
            return known;
        }

        /** Whether set-ups are so many that they are looked for. */
        public boolean manySetUps() {
            return allSetUps().size() > OFFERED;
        }

        public boolean manyAnglers() {
            return allAnglers().size() > OFFERED;
        }

        /**
         * Set-ups to offer at a field, those fished last first.
         *
         * @param chosen ids that must be among them
         */
        public List<SetUp> setUps(String field, Map<String, String> typed, Collection<String> chosen) {
            return offered(
                    allSetUps(),
                    SetUp::id,
                    typed.getOrDefault(FormField.FIND + field, ""),
                    () -> setUpText(person),
                    with(chosen, typed.getOrDefault(field, "")));
        }

        /** The same of anglers: the person and those they fish with first. */
        public List<Angler> anglers(String field, Map<String, String> typed) {
            return offered(
                    allAnglers(),
                    Angler::id,
                    typed.getOrDefault(FormField.FIND + field, ""),
                    () -> Choices::text,
                    Set.of(typed.getOrDefault(field, "")));
        }
    }

    private static Set<String> with(Collection<String> chosen, String one) {
        Set<String> all = new LinkedHashSet<>(chosen);
        all.add(one);
        return all;
    }

    private Function<SetUp, String> setUpText(Person person) {
        UnitSystem units = person.units();
        Map<String, String> known = texts.of(person.viewer(), units, () -> {
            Map<String, String> made = new HashMap<>();
            setUps.all(person.viewer()).forEach(s -> made.put(s.id(), spaced(SetUpWords.of(s, units))));
            return made;
        });
        return setUp -> known.getOrDefault(setUp.id(), "");
    }

    private static String text(Angler angler) {
        return spaced(angler.called());
    }

    private static <T> List<T> offered(
            List<T> all, Function<T, String> id, String words, Supplier<Function<T, String>> text, Set<String> chosen) {
        if (all.size() <= OFFERED && words.isBlank()) {
            return all;
        }
        Predicate<T> holding = words.isBlank() ? one -> true : holding(words, text.get());
        List<T> offered =
                new ArrayList<>(all.stream().filter(holding).limit(OFFERED).toList());
        all.stream()
                .filter(one -> chosen.contains(id.apply(one)) && !offered.contains(one))
                .forEach(offered::add);
        return offered;
    }

    /** Each written word begins one of the text; a number is one of it, so that 5 g does not find 3.5 g. */
    private static <T> Predicate<T> holding(String words, Function<T, String> text) {
        List<String> wanted = Stream.of(spaced(words).strip().split(" "))
                .map(word -> NUMBER.matcher(word).matches() ? " " + word + " " : " " + word)
                .toList();
        return one -> wanted.stream().allMatch(text.apply(one)::contains);
    }

    /** In small letters, a space before, behind and between words, and between a number and its unit. */
    private static String spaced(String words) {
        String plain = words.toLowerCase(Locale.ROOT).replaceAll("(?<=[0-9])(?=[a-z\"])", " ");
        return " " + plain.replaceAll("[\\s,-]+", " ").strip() + " ";
    }

    /** What holds every word, likely ones first: the first few as options, and how many there are. */
    record Matches(List<Match> first, long count) {}

    /** One of them. */
    record Match(String id, String words) {}

    Matches matching(Person person, String field, String words) {
        return switch (Of.field(field)) {
            case SET_UP ->
                matching(
                        setUps.lastFishedFirst(person.viewer()),
                        holding(words, setUpText(person)),
                        s -> new Match(s.id(), SetUpWords.of(s, person.units())));
            case ANGLER ->
                matching(
                        anglers.likelyFirst(person.viewer(), OFFERED),
                        holding(words, Choices::text),
                        a -> new Match(a.id(), a.called()));
        };
    }

    private static <T> Matches matching(List<T> all, Predicate<T> holding, Function<T, Match> match) {
        return new Matches(
                all.stream().filter(holding).limit(OFFERED).map(match).toList(),
                all.stream().filter(holding).count());
    }

    /**
     * What was typed, with what its words find.
     *
     * @param typed as before, and where words beside a field find one thing only, that in the field
     * @param errors by field: where they find nothing, or several and none of them is chosen
     */
    public record Found(Map<String, String> typed, Map<String, String> errors) {}

    /** Reads the words beside fields, for whoever has no script that did it while they wrote. */
    public Found found(Person person, Map<String, String> typed) {
        Map<String, String> filled = new HashMap<>(typed);
        Map<String, String> errors = new HashMap<>();
        typed.forEach((name, words) -> {
            if (name.startsWith(FormField.FIND) && !words.isBlank()) {
                String field = name.substring(FormField.FIND.length());
                find(person, field, words.strip(), filled, errors);
            }
        });
        return new Found(filled, errors);
    }

    private void find(
            Person person, String field, String words, Map<String, String> filled, Map<String, String> errors) {
        Matches matches = matching(person, field, words);
        String chosen = filled.getOrDefault(field, "");
        if (matches.first().stream().anyMatch(m -> m.id().equals(chosen))) {
            return;
        }
        String word = Of.field(field).word;
        if (matches.count() == 1) {
            filled.put(field, matches.first().get(0).id());
        } else if (matches.count() == 0) {
            errors.put(field, "No " + word + " has all of “" + words + "” in it. Write fewer or other words.");
        } else {
            errors.put(
                    field,
                    matches.count() + " " + word + "s have “" + words
                            + "” in them. Choose one here, or write more words.");
        }
    }

    /** Names of the fields that take words, by which a request for options says which it is for. */
    static Stream<String> fields(Map<String, String> asked) {
        return asked.keySet().stream()
                .filter(name -> name.startsWith(FormField.FIND))
                .map(name -> name.substring(FormField.FIND.length()));
    }
}
