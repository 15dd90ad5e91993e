package dusk.ledger.web.records;

import static dusk.ledger.web.schema.Tables.WATERS;
import static dusk.ledger.web.schema.Tables.WATER_RULES;

import dusk.ledger.fish.WaterRule;
import dusk.ledger.units.Length;
import dusk.ledger.units.UnitSystem;
import dusk.ledger.web.store.NewId;
import dusk.ledger.web.store.Store;
import dusk.ledger.web.store.Viewer;
import dusk.ledger.web.store.Visibility;
import java.time.MonthDay;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** What a club wrote down of its waters' rules. Whoever shows them says that the published local rules prevail. */
@Component
public final class WaterRules {
    /** Stands beside every rule that is shown. */
    public static final String PREVAIL = "As the club noted it; the published local rules prevail.";

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("MM-dd", Locale.ROOT);

    private final Store store;
    private final NewId newId;

    WaterRules(Store store, NewId newId) {
        this.store = store;
        this.newId = newId;
    }

    /** A rule as stored. */
    public record Noted(String id, String waterId, WaterRule rule) {}

    /** All of a club, by water. */
    public Map<String, List<Noted>> byWater(Viewer viewer) {
        return store
                .read()
                .selectFrom(WATER_RULES)
                .where(Visibility.of(viewer, WATER_RULES))
                .orderBy(WATER_RULES.SPECIES)
                .fetch(r -> new Noted(
                        r.getRuleId(),
                        r.getWaterId(),
                        new WaterRule(
                                r.getSpecies(),
                                length(r.getLeastMm()),
                                length(r.getSlotFromMm()),
                                length(r.getSlotToMm()),
                                day(r.getClosedFrom()),
                                day(r.getClosedTo()),
                                r.getBag() == null ? null : Math.toIntExact(r.getBag()))))
                .stream()
                .collect(Collectors.groupingBy(Noted::waterId));
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
                        WATERS,
                        Visibility.of(viewer, WATERS)
                                .and(WATERS.WATER_ID.eq(waterId))
                                .and(WATERS.LEAD_FORBIDDEN.eq(true)));
    }

    /** Notes a rule, over the one of the same species on the same water. */
    public void note(Viewer viewer, String waterId, WaterRule rule) {
        store.write(viewer.clubId(), tx -> {
            tx.deleteFrom(WATER_RULES)
                    .where(WATER_RULES.CLUB_ID.eq(viewer.clubId()))
                    .and(WATER_RULES.WATER_ID.eq(waterId))
                    .and(WATER_RULES.SPECIES.eq(rule.species()))
                    .execute();
            return tx.insertInto(WATER_RULES)
                    .set(WATER_RULES.CLUB_ID, viewer.clubId())
                    .set(WATER_RULES.RULE_ID, newId.next())
                    .set(WATER_RULES.WATER_ID, waterId)
                    .set(WATER_RULES.SPECIES, rule.species())
                    .set(WATER_RULES.LEAST_MM, millimetres(rule.least()))
                    .set(WATER_RULES.SLOT_FROM_MM, millimetres(rule.slotFrom()))
                    .set(WATER_RULES.SLOT_TO_MM, millimetres(rule.slotTo()))
                    .set(WATER_RULES.CLOSED_FROM, rule.closedFrom() == null ? null : DAY.format(rule.closedFrom()))
                    .set(WATER_RULES.CLOSED_TO, rule.closedTo() == null ? null : DAY.format(rule.closedTo()))
                    .set(WATER_RULES.BAG, rule.bag() == null ? null : rule.bag().longValue())
                    .execute();
        });
    }

    public void strike(Viewer viewer, String ruleId) {
        store.write(
                viewer.clubId(),
                tx -> tx.deleteFrom(WATER_RULES)
                        .where(WATER_RULES.CLUB_ID.eq(viewer.clubId()))
                        .and(WATER_RULES.RULE_ID.eq(ruleId))
                        .execute());
    }

    public void forbidLead(Viewer viewer, String waterId, boolean forbidden) {
        store.write(
                viewer.clubId(),
                tx -> tx.update(WATERS)
                        .set(WATERS.LEAD_FORBIDDEN, forbidden)
                        .where(WATERS.CLUB_ID.eq(viewer.clubId()))
                        .and(WATERS.WATER_ID.eq(waterId))
                        .execute());
    }

    private static @Nullable Double millimetres(@Nullable Length length) {
        return length == null ? null : length.millimetres();
    }

    /** A caution in words. */
    public static String words(WaterRule.About about, WaterRule rule, UnitSystem units) {
        return switch (about) {
            case CLOSED -> "The season for " + rule.species() + " is noted as closed today.";
            case SHORT ->
                "Shorter than the " + shown(rule.least(), units) + " noted for " + rule.species() + ": it goes back.";
            case SLOT ->
                "Between " + shown(rule.slotFrom(), units) + " and " + shown(rule.slotTo(), units)
                        + ", the lengths noted as going back.";
            case BAG -> "More kept than the " + rule.bag() + " a day noted for " + rule.species() + ".";
        };
    }

    private static String shown(@Nullable Length length, UnitSystem units) {
        return length == null ? "" : length.show(units.lure());
    }

    private static @Nullable Length length(@Nullable Double millimetres) {
        return millimetres == null ? null : Length.ofMillimetres(millimetres);
    }

    private static @Nullable MonthDay day(@Nullable String text) {
        return text == null ? null : MonthDay.parse("--" + text);
    }
}
