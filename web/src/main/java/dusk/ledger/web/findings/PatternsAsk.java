package dusk.ledger.web.findings;

import dusk.ledger.patterns.PatternSearch;
import dusk.ledger.stints.StintTable;
import dusk.ledger.vocabulary.Factor;
import dusk.ledger.web.records.Person;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.IntPredicate;
import org.jspecify.annotations.Nullable;
import org.springframework.web.util.UriComponentsBuilder;

/**
 * Which records a search for patterns is of, as it was typed and as it was understood.
 *
 * @param species blank for all
 * @param water id, blank for all
 * @param season blank for all
 * @param mine only the person's own stints
 * @param errors by field: what is wrong and what would be right
 * @param counted which fish, as understood
 */
record PatternsAsk(
        String species,
        String least,
        String water,
        String season,
        boolean mine,
        PatternOrder sort,
        Map<String, String> errors,
        WhichFish counted,
        @Nullable String anglerId) {

    /** What comes with the address, {@code mine} where it is not blank. */
    record Typed(
            @Nullable String species,
            @Nullable String least,
            @Nullable String water,
            @Nullable String season,
            @Nullable String mine,
            @Nullable String sort) {
        /** As the page stands before anything is chosen. */
        static final Typed NOTHING = new Typed(null, null, null, null, null, null);
    }

    static PatternsAsk of(Typed typed, StintTable table, Person person) {
        Map<String, String> errors = new LinkedHashMap<>();
        String species = text(typed.species());
        String least = text(typed.least());
        WhichFish counted = WhichFish.of(species, least, table, person.units(), errors);
        boolean mine = !text(typed.mine()).isEmpty();
        if (mine && person.anglerId() == null) {
            errors.put("mine", "You are no angler in the records, so there are no stints of yours. Leave it unticked.");
        }
        return new PatternsAsk(
                species,
                least,
                level(Factor.WATER, "water", text(typed.water()), table, errors),
                level(Factor.SEASON, "season", text(typed.season()), table, errors),
                mine,
                PatternOrder.of(text(typed.sort())),
                errors,
                counted,
                person.anglerId());
    }

    private static String text(@Nullable String typed) {
        return typed == null ? "" : typed.strip();
    }

    private static String level(
            Factor factor, String field, String asked, StintTable table, Map<String, String> errors) {
        if (!asked.isEmpty() && table.codes(factor).codeOf(asked) < 1) {
            errors.put(field, "Nothing was fished there and then. Choose one of the list.");
        }
        return asked;
    }

    /** What the search is asked. */
    PatternSearch.Ask search() {
        PatternSearch.Ask usual = PatternSearch.Ask.USUAL;
        return new PatternSearch.Ask(counted.species(), counted.least(), usual.maxTerms(), usual.falseDiscovery());
    }

    private boolean narrowed() {
        return mine || !water.isEmpty() || !season.isEmpty();
    }

    /** The part of the club's table that is meant. */
    StintTable of(StintTable club) {
        if (!narrowed()) {
            return club;
        }
        IntPredicate ofWater = holds(club, Factor.WATER, water);
        IntPredicate ofSeason = holds(club, Factor.SEASON, season);
        IntPredicate ofMine = mine && anglerId != null ? holds(club, Factor.ANGLER, anglerId) : row -> true;
        return club.where(ofWater.and(ofSeason).and(ofMine));
    }

    private static IntPredicate holds(StintTable table, Factor factor, String level) {
        int code = table.codes(factor).codeOf(level);
        return row -> level.isEmpty() || table.codes(factor).at(row) == code;
    }

    /** Where the page of this question is. */
    String page() {
        return UriComponentsBuilder.fromPath("/findings/patterns")
                .queryParam("species", "{species}")
                .queryParam("least", "{least}")
                .queryParam("water", "{water}")
                .queryParam("season", "{season}")
                .queryParam("mine", mine ? "true" : "")
                .queryParam("sort", sort.key())
                .encode()
                .buildAndExpand(species, least, water, season)
                .toUriString();
    }

    /** Where the stints behind a figure of these records are listed. */
    StintsAddress stints() {
        StintsAddress address = StintsAddress.of(counted);
        if (!water.isEmpty()) {
            address.where(Factor.WATER, water);
        }
        if (!season.isEmpty()) {
            address.where(Factor.SEASON, season);
        }
        return mine ? address.mine() : address;
    }
}
