package dusk.ledger.web.records;

import static dusk.ledger.web.schema.Tables.RULES;

import dusk.ledger.fish.WaterRule;
import dusk.ledger.format.LedgerFormat;
import dusk.ledger.journal.Rule;
import dusk.ledger.journal.RuleBuilder;
import dusk.ledger.units.Length;
import dusk.ledger.units.UnitSystem;
import dusk.ledger.web.store.Deletions;
import dusk.ledger.web.store.LedgerRows;
import dusk.ledger.web.store.NewId;
import dusk.ledger.web.store.Store;
import dusk.ledger.web.store.Viewer;
import dusk.ledger.web.store.Visibility;
import java.time.MonthDay;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Collectors;
import org.jooq.Condition;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** What a club wrote down of its waters' rules. Whoever shows them says that the published local rules prevail. */
@Component
public final class WaterRules {
    /** Stands beside every rule that is shown. */
    public static final String PREVAIL = "As the club noted it; the published local rules prevail.";

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("MM-dd", Locale.ROOT);

    private final Store store;
    private final LedgerRows rows;
    private final Deletions deletions;
    private final NewId newId;

    WaterRules(Store store, LedgerRows rows, Deletions deletions, NewId newId) {
        this.store = store;
        this.rows = rows;
        this.deletions = deletions;
        this.newId = newId;
    }

    /** A rule as stored. */
    public record Noted(String id, String waterId, WaterRule rule) {}

    /** All of a club that are of a species, by water. */
    public Map<String, List<Noted>> byWater(Viewer viewer) {
        return rows
                .all(
                        viewer,
                        LedgerFormat.RULES,
                        RULES.SPECIES.isNotNull(),
                        List.of(RULES.SPECIES.asc(), RULES.RULE_ID.asc()))
                .stream()
                .map(WaterRules::noted)
                .collect(Collectors.groupingBy(Noted::waterId));
    }

    private static Noted noted(Rule rule) {
        return new Noted(
                rule.id(),
                rule.waterId(),
                new WaterRule(
                        Objects.requireNonNull(rule.species()),
                        rule.least(),
                        rule.most(),
                        rule.slotFrom(),
                        rule.slotTo(),
                        day(rule.closedFrom()),
                        day(rule.closedTo()),
                        rule.bag()));
    }

    /** The rule of a species on a water, where one is noted. */
    public Optional<WaterRule> of(Viewer viewer, String waterId, String species) {
        return byWater(viewer).getOrDefault(waterId, List.of()).stream()
                .map(Noted::rule)
                .filter(rule -> rule.species().equals(species))
                .findFirst();
    }

    /** Whether the club noted that lead is forbidden on a water. */
    public boolean leadForbidden(Viewer viewer, String waterId) {
        return store.read()
                .fetchExists(
                        RULES,
                        Visibility.of(viewer, RULES)
                                .and(RULES.WATER_ID.eq(waterId))
                                .and(RULES.LEAD_FORBIDDEN.eq(true)));
    }

    /** Notes a rule, over the one of the same species on the same water. */
    public void note(Viewer viewer, String waterId, WaterRule rule) {
        Rule noted = RuleBuilder.builder()
                .id(newId.next())
                .waterId(waterId)
                .species(rule.species())
                .least(rule.least())
                .most(rule.most())
                .slotFrom(rule.slotFrom())
                .slotTo(rule.slotTo())
                .closedFrom(rule.closedFrom() == null ? null : DAY.format(rule.closedFrom()))
                .closedTo(rule.closedTo() == null ? null : DAY.format(rule.closedTo()))
                .bag(rule.bag())
                .build();
        put(viewer, noted, RULES.SPECIES.eq(rule.species()));
    }

    public void forbidLead(Viewer viewer, String waterId, boolean forbidden) {
        Rule noted = RuleBuilder.builder()
                .id(newId.next())
                .waterId(waterId)
                .leadForbidden(forbidden)
                .build();
        put(viewer, noted, RULES.SPECIES.isNull().and(RULES.LEAD_FORBIDDEN.isNotNull()));
    }

    /** What is noted of a water beside figures. */
    public record InWords(String gear, String bait, String prey) {
        static final InWords NOTHING = new InWords("", "", "");

        /** In lines that can be read by themselves. */
        public List<String> lines() {
            List<String> lines = new ArrayList<>();
            if (!gear.isEmpty()) {
                lines.add("Gear: " + gear);
            }
            if (!bait.isEmpty()) {
                lines.add("Bait: " + bait);
            }
            if (!prey.isEmpty()) {
                lines.add("Prey: " + prey);
            }
            return lines;
        }
    }

    private static final Condition IN_WORDS = RULES.SPECIES
            .isNull()
            .and(RULES.GEAR.isNotNull().or(RULES.BAIT.isNotNull()).or(RULES.PREY.isNotNull()));

    /** What is noted of a water beside figures, its parts empty where nothing is. */
    public InWords inWords(Viewer viewer, String waterId) {
        return rows
                .all(
                        viewer,
                        LedgerFormat.RULES,
                        IN_WORDS.and(RULES.WATER_ID.eq(waterId)),
                        List.of(RULES.RULE_ID.desc()))
                .stream()
                .findFirst()
                .map(rule -> new InWords(
                        Objects.requireNonNullElse(rule.gear(), ""),
                        Objects.requireNonNullElse(rule.bait(), ""),
                        Objects.requireNonNullElse(rule.prey(), "")))
                .orElse(InWords.NOTHING);
    }

    /** Notes it, in place of what was noted before. */
    public void noteInWords(Viewer viewer, String waterId, InWords words) {
        Rule noted = RuleBuilder.builder()
                .id(newId.next())
                .waterId(waterId)
                .gear(words.gear().isEmpty() ? null : words.gear())
                .bait(words.bait().isEmpty() ? null : words.bait())
                .prey(words.prey().isEmpty() ? null : words.prey())
                .build();
        put(viewer, noted, IN_WORDS);
    }

    /** In place of others of its water. */
    private void put(Viewer viewer, Rule rule, Condition instead) {
        store.write(viewer.clubId(), tx -> {
            tx.deleteFrom(RULES)
                    .where(RULES.CLUB_ID.eq(viewer.clubId()))
                    .and(RULES.WATER_ID.eq(rule.waterId()))
                    .and(RULES.DELETION_ID.isNull())
                    .and(instead)
                    .execute();
            rows.insert(tx, viewer.clubId(), LedgerFormat.RULES, rule);
            return rule;
        });
    }

    /** Strikes a rule out; the id of the deletion that can be undone. */
    public String strike(Viewer viewer, String ruleId, String what) {
        return deletions.rule(viewer, ruleId, what);
    }

    /** A caution in words. */
    public static String words(WaterRule.About about, WaterRule rule, UnitSystem units) {
        return switch (about) {
            case CLOSED -> "The season for " + rule.species() + " is noted as closed today.";
            case SHORT ->
                "Shorter than the " + shown(rule.least(), units) + " noted for " + rule.species() + ": it goes back.";
            case LONG ->
                "Longer than the " + shown(rule.most(), units) + " noted for " + rule.species() + ": it goes back.";
            case SLOT ->
                "Between " + shown(rule.slotFrom(), units) + " and " + shown(rule.slotTo(), units)
                        + ", the lengths noted as going back.";
            case BAG -> "More kept than the " + rule.bag() + " a day noted for " + rule.species() + ".";
        };
    }

    private static String shown(@Nullable Length length, UnitSystem units) {
        return length == null ? "" : length.show(units.lure());
    }

    private static @Nullable MonthDay day(@Nullable String text) {
        return text == null ? null : MonthDay.parse("--" + text);
    }
}
