package dusk.ledger.web.column;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import dusk.ledger.journal.Rod;
import dusk.ledger.journal.SetUp;
import dusk.ledger.water.Tied;
import dusk.ledger.web.choose.Choices;
import dusk.ledger.web.form.FormField;
import dusk.ledger.web.form.Typed;
import dusk.ledger.web.records.Person;
import dusk.ledger.web.records.Rods;
import dusk.ledger.web.records.SetUps;
import dusk.ledger.web.store.Kept;
import dusk.ledger.web.store.Store;
import dusk.ledger.web.store.Viewer;
import dusk.ledger.web.words.SetUpWords;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** What the bench offers to choose from: the club's set-ups, those most fished first, and its rods. */
@Component
public class ColumnChoices {
    private final SetUps setUps;
    private final Rods rods;
    private final Kept<Map<String, Rod>> keptRods;

    /** By the list itself, which is another where anything in it or its order is. */
    private final Cache<List<SetUp>, Map<String, SetUp>> byId =
            Caffeine.newBuilder().weakKeys().build();

    ColumnChoices(SetUps setUps, Rods rods, Store store) {
        this.setUps = setUps;
        this.rods = rods;
        keptRods = new Kept<>(store, Kept.Kind.ROD);
    }

    /**
     * What a club has, by id.
     *
     * @param setUps those most fished first
     */
    public record Offered(Map<String, SetUp> setUps, Map<String, Rod> rods) {
        @Nullable
        ColumnAsk read(Typed typed) {
            return ColumnAsk.read(typed, setUps::get, rods::get, usual());
        }

        /** The set-up most fished whose fall can be told. */
        @Nullable
        SetUp usual() {
            return setUps.values().stream()
                    .filter(s -> Tied.of(s) instanceof Tied.Known)
                    .findFirst()
                    .orElse(null);
        }
    }

    /** As the club's records are now. Set-ups and rods are the same for everyone in the club. */
    public Offered offered(Viewer viewer) {
        return new Offered(setUps(viewer), keptRods.of(viewer, "all", () -> rods(viewer)));
    }

    private Map<String, SetUp> setUps(Viewer viewer) {
        List<SetUp> ordered = setUps.mostFishedFirst(viewer);
        return Objects.requireNonNull(byId.get(ordered, list -> {
            Map<String, SetUp> made = new LinkedHashMap<>();
            list.forEach(s -> made.put(s.id(), s));
            return made;
        }));
    }

    /**
     * Those to offer at a field, by rig; of those that read alike only the first, or the one that is chosen.
     *
     * @param chosen ids that must be among them
     */
    public static List<FormField.Group> groups(
            Person person,
            Offered offered,
            Choices.Offers offers,
            String field,
            Map<String, String> typed,
            Set<String> chosen) {
        Set<String> wanted =
                offers.setUps(field, typed, chosen).stream().map(SetUp::id).collect(Collectors.toSet());
        Map<String, List<FormField.Option>> byRig = new TreeMap<>();
        Set<String> said = new LinkedHashSet<>();
        for (SetUp setUp : offered.setUps().values()) {
            String words = wanted.contains(setUp.id()) ? SetUpWords.of(setUp, person.units()) : "";
            if (!words.isEmpty() && (said.add(words) || chosen.contains(setUp.id()))) {
                byRig.computeIfAbsent(setUp.rig(), r -> new ArrayList<>()).add(new FormField.Option(setUp.id(), words));
            }
        }
        return byRig.entrySet().stream()
                .map(e -> new FormField.Group(e.getKey(), e.getValue()))
                .toList();
    }

    private Map<String, Rod> rods(Viewer viewer) {
        Map<String, Rod> byId = new LinkedHashMap<>();
        rods.all(viewer).forEach(r -> byId.put(r.id(), r));
        return byId;
    }
}
