package dusk.ledger.web.findings;

import dusk.ledger.patterns.Grade;
import dusk.ledger.patterns.HoldUp;
import dusk.ledger.patterns.Pattern;
import dusk.ledger.patterns.PatternBlock;
import dusk.ledger.patterns.PatternShares;
import dusk.ledger.patterns.PatternWords;
import dusk.ledger.patterns.Term;
import dusk.ledger.stints.StintTable;
import dusk.ledger.units.Figures;
import dusk.ledger.vocabulary.Factor;
import dusk.ledger.web.portrait.InkMark;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * A pattern as its card lays it out.
 *
 * @param key its choice and conditions, by which it is known again in a later search
 * @param stintsAddress where the stints behind it are listed
 */
record PatternCard(
        String key,
        double ratio,
        double rodHours,
        String mark,
        String sentence,
        String support,
        List<String> thisOrThat,
        List<String> doubts,
        String grade,
        boolean against,
        Ratio whole,
        @Nullable Ratio newer,
        String newerVerdict,
        String sure,
        String stintsAddress,
        List<Part> anglers,
        List<Part> trips,
        List<Carried> blocks,
        String blocksTold,
        @Nullable String losesTo,
        List<String> needless) {

    /** A ratio on a scale from a quarter to four times, even in steps of doubling. Shares are of the picture's width. */
    record Ratio(String words, String low, String high, String at) {
        private static final double WIDEST = Math.log(6);

        static Ratio of(double ratio, double low, double high) {
            String words =
                    Figures.fixed(ratio, 2) + " (" + Figures.fixed(low, 2) + " to " + Figures.fixed(high, 2) + ")";
            return new Ratio(words, share(low), share(high), share(ratio));
        }

        private static String share(double ratio) {
            double log = Math.max(-WIDEST, Math.min(WIDEST, Math.log(ratio)));
            return Figures.fixed(50 + 50 * log / WIDEST, 2) + "%";
        }
    }

    /** What one angler or one trip brought to it, with the choice and without. */
    record Part(String name, String with, String without, String address) {}

    /**
     * Names by id.
     *
     * @param trips of some
     */
    record Names(Map<String, String> anglers, Function<Collection<String>, Map<String, String>> trips) {}

    /**
     * A comparison that carries it.
     *
     * @param fish of the choice against how many had it done as well as the others
     */
    record Carried(String who, String address, String fish, String says) {}

    private static final int BLOCKS_SHOWN = 10;

    /** Anglers shown on a card: those who brought most. */
    private static final int ANGLERS_SHOWN = 15;

    /** Trips shown on a card: those that brought most. */
    private static final int TRIPS_SHOWN = 8;

    boolean banked() {
        return grade.equals(Grade.BANKED.word());
    }

    boolean faded() {
        return newerVerdict.equals(HoldUp.Verdict.FADED.word());
    }

    static PatternCard of(StintTable table, int[] fish, Pattern pattern, PatternsAsk ask, Names names) {
        PatternShares shares = new PatternShares(table, fish, pattern);
        List<PatternShares.Share> trips =
                shares.by(Factor.TRIP).stream().limit(TRIPS_SHOWN).toList();
        List<PatternBlock> blocks =
                pattern.blocks().stream().limit(BLOCKS_SHOWN).toList();
        Map<String, String> named = names.trips()
                .apply(Stream.concat(
                                trips.stream().map(PatternShares.Share::id),
                                blocks.stream()
                                        .map(b -> table.codes(Factor.TRIP).level(b.row())))
                        .collect(Collectors.toSet()));
        Ratio newer = pattern.later().ratio() == null || pattern.later().interval() == null
                ? null
                : Ratio.of(
                        pattern.later().ratio(),
                        pattern.later().interval().low(),
                        pattern.later().interval().high());
        return new PatternCard(
                Stream.concat(pattern.tackle().stream(), pattern.conditions().stream())
                        .map(term -> term.factor().key() + "=" + term.level())
                        .collect(Collectors.joining("&")),
                pattern.ratio(),
                pattern.rodHours(),
                InkMark.svg(pattern.grade(), pattern.against()),
                PatternWords.sentence(pattern),
                PatternWords.support(pattern),
                PatternWords.thisOrThat(pattern),
                PatternWords.doubts(pattern),
                pattern.grade().word(),
                pattern.against(),
                Ratio.of(
                        pattern.ratio(),
                        pattern.interval().low(),
                        pattern.interval().high()),
                newer,
                pattern.later().verdict().word(),
                sure(pattern.q()),
                address(pattern, ask).toString(),
                parts(
                        shares.by(Factor.ANGLER).stream().limit(ANGLERS_SHOWN).toList(),
                        pattern,
                        ask,
                        Factor.ANGLER,
                        names.anglers()),
                parts(trips, pattern, ask, Factor.TRIP, named),
                blocks.stream()
                        .map(b -> carried(table, b, names.anglers(), named))
                        .toList(),
                blocksTold(pattern),
                pattern.against() ? PatternWords.losesTo(pattern, table, ask.search()) : null,
                pattern.dropped().stream()
                        .map(terms -> terms.stream().map(Term::toString).collect(Collectors.joining(", ")))
                        .toList());
    }

    private static String sure(double q) {
        return q < 0.001
                ? "Of findings this sure fewer than 1 in 1000 would be chance."
                : "Of findings this sure about " + Figures.trimmed(100 * q, 1) + " in 100 would be chance.";
    }

    private static StintsAddress address(Pattern pattern, PatternsAsk ask) {
        StintsAddress address = ask.stints();
        Stream.concat(pattern.tackle().stream(), pattern.conditions().stream())
                .forEach(t -> address.where(t.factor(), t.level()));
        return address;
    }

    private static Carried carried(
            StintTable table, PatternBlock block, Map<String, String> anglers, Map<String, String> trips) {
        String anglerId = table.codes(Factor.ANGLER).level(block.row());
        String tripId = table.codes(Factor.TRIP).level(block.row());
        String angler = anglers.getOrDefault(anglerId, anglerId);
        String trip = trips.getOrDefault(tripId, tripId);
        return new Carried(
                block.acrossTrips() ? angler + ", days of that month about " + trip : angler + ", " + trip,
                "/trips/" + tripId,
                Figures.trimmed(block.fish(), 0) + " against " + Figures.fixed(block.even(), 1),
                (block.says() >= 0 ? "+" : "−") + Figures.fixed(Math.abs(block.says()), 1));
    }

    private static String blocksTold(Pattern pattern) {
        long across =
                pattern.blocks().stream().filter(PatternBlock::acrossTrips).count();
        long better = pattern.blocks().stream().filter(b -> b.says() > 0).count();
        return pattern.blocks().size() + " comparisons with fish in them, " + across + " of those between days; in "
                + better + " the choice took more than its share.";
    }

    private static List<Part> parts(
            List<PatternShares.Share> shares, Pattern pattern, PatternsAsk ask, Factor by, Map<String, String> names) {
        return shares.stream()
                .map(share -> new Part(
                        names.getOrDefault(share.id(), share.id()),
                        told(share.fishWith(), share.hoursWith()),
                        told(share.fishWithout(), share.hoursWithout()),
                        address(pattern, ask).where(by, share.id()).toString()))
                .toList();
    }

    private static String told(double fish, double hours) {
        return Figures.trimmed(fish, 0) + " in " + Figures.fixed(hours, 1) + " h";
    }
}
