package dusk.ledger.evidence;

import static org.assertj.core.api.Assertions.assertThat;

import dusk.ledger.demo.DemoClub;
import dusk.ledger.journal.Catch;
import dusk.ledger.journal.CatchBuilder;
import dusk.ledger.journal.Ledger;
import dusk.ledger.journal.Stint;
import dusk.ledger.stints.Codes;
import dusk.ledger.stints.StintTable;
import dusk.ledger.units.Length;
import dusk.ledger.vocabulary.Factor;
import java.util.Arrays;
import java.util.BitSet;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class SizesTest {
    private static final Ledger LEDGER = DemoClub.ledger(DemoClub.SEED);
    private static final StintTable DEMO = StintTable.of(LEDGER);

    private static Question colours(String species) {
        return new Question(Factor.COLOUR, Map.of(), species, null);
    }

    /** The demo's ledger with every measured fish on a colour so much longer. */
    private static StintTable longerOn(String colour, double mm) {
        Map<String, String> colours = LEDGER.setUps().stream()
                .filter(s -> s.colour() != null)
                .collect(Collectors.toMap(s -> s.id(), s -> s.colour()));
        Map<String, Stint> stints = LEDGER.stints().stream().collect(Collectors.toMap(Stint::id, Function.identity()));
        List<Catch> longer = LEDGER.catches().stream()
                .map(c -> c.length() != null
                                && colour.equals(
                                        colours.get(stints.get(c.stintId()).setUpId()))
                        ? CatchBuilder.builder(c)
                                .length(Length.ofMillimetres(c.length().millimetres() + mm))
                                .build()
                        : c)
                .toList();
        return StintTable.of(new Ledger(
                LEDGER.anglers(),
                LEDGER.waters(),
                LEDGER.spots(),
                LEDGER.setUps(),
                LEDGER.rods(),
                LEDGER.trips(),
                LEDGER.readings(),
                LEDGER.stints(),
                longer,
                LEDGER.touches(),
                LEDGER.signs(),
                LEDGER.losses()));
    }

    private static SizeShift of(StintTable table, String colour) {
        return Sizes.shift(table, colours("largemouth"), new Sides(colour, null), false);
    }

    @Test
    void fishOnOneColourMadeLongerShiftItByJustThatAndLeadThePage() {
        SizeShift before = of(DEMO, "green pumpkin");
        StintTable longer = longerOn("green pumpkin", 120);
        SizeShift after = of(longer, "green pumpkin");
        assertThat(after.blocks()).isEqualTo(before.blocks()).isGreaterThan(20);
        Vectors.close("shift", after.shiftMm(), before.shiftMm() + 120, 1e-9);
        Sizes.Told lead = Sizes.of(longer, colours("largemouth"), false).lead().orElseThrow();
        assertThat(lead.level()).isEqualTo("green pumpkin");
        assertThat(lead.longer()).isTrue();
        assertThat(Sizes.of(DEMO, colours("largemouth"), false).lead()).isEmpty();
    }

    /** A small kind that one choice takes more of makes it no worse where nothing is asked. */
    @Test
    void speciesAreNeverSetAgainstOneAnother() {
        int blocks = DEMO.species().stream()
                .mapToInt(s -> Sizes.shift(DEMO, colours(s), new Sides("pearl", null), false)
                        .blocks())
                .sum();
        Question all = new Question(Factor.COLOUR, Map.of(), null, null);
        assertThat(Sizes.shift(DEMO, all, new Sides("pearl", null), false).blocks())
                .isEqualTo(blocks);
    }

    @Test
    void estimatedLengthsAreASecondReading() {
        int measured = counted("measured");
        assertThat(Arrays.stream(DEMO.lengthsMm("largemouth", false))
                        .mapToInt(l -> l.length)
                        .sum())
                .isEqualTo(measured);
        assertThat(Arrays.stream(DEMO.lengthsMm("largemouth", true))
                        .mapToInt(l -> l.length)
                        .sum())
                .isEqualTo(measured + counted("estimated"));
    }

    private static int counted(String how) {
        return LEDGER.catches().stream()
                .filter(c -> c.species().equals("largemouth") && c.length() != null && how.equals(c.lengthHow()))
                .mapToInt(Catch::count)
                .sum();
    }

    @Test
    void aSideThatWasNotFishedHasNoFigure() {
        SizeShift none = of(DEMO, "a colour nobody has");
        assertThat(none.blocks()).isZero();
        assertThat(none.shiftMm()).isNull();
        assertThat(none.p()).isNull();
    }

    @Test
    void aBestFiveIsTheFiveLongestOfEachAndFewerComeLast() {
        double[][] lengths = DEMO.lengthsMm("largemouth", false);
        BitSet all = new BitSet();
        all.set(0, DEMO.size());
        Codes anglers = DEMO.codes(Factor.ANGLER);
        List<BestFive> fives = BestFive.by(anglers, all, lengths);
        for (BestFive five : fives) {
            double[] sorted = IntStream.range(0, DEMO.size())
                    .filter(row -> anglers.level(row).equals(five.of()))
                    .mapToObj(row -> lengths[row])
                    .flatMapToDouble(Arrays::stream)
                    .sorted()
                    .toArray();
            assertThat(five.lengthsMm()).hasSize(Math.min(5, sorted.length));
            for (int i = 0; i < five.lengthsMm().size(); i++) {
                assertThat(five.lengthsMm().get(i)).isEqualTo(sorted[sorted.length - 1 - i]);
            }
        }
        assertThat(fives.stream()
                        .filter(f -> f.lengthsMm().size() == 5)
                        .map(BestFive::togetherMm)
                        .toList())
                .isSortedAccordingTo(Comparator.reverseOrder());
    }
}
