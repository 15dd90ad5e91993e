package dusk.ledger.water;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dusk.ledger.format.Cells;
import dusk.ledger.format.LedgerFormat;
import dusk.ledger.journal.SetUp;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;

class CalibrationsTest {
    private static SetUp setUp(String id, Map<String, Object> changed) {
        Map<String, Object> cells = new TreeMap<>(Map.of(
                "setup_id",
                id,
                "rig",
                "open jig head",
                "head_mass_g",
                7.0,
                "head_material",
                "lead",
                "plastic",
                "curl-tail grub",
                "plastic_length_mm",
                75.0,
                "line_diameter_mm",
                0.2));
        cells.putAll(changed);
        Cells read = new Cells();
        cells.forEach(read::with);
        return LedgerFormat.SETUPS.read(read);
    }

    private static Tied.Known tied(SetUp setUp) {
        assertThat(Tied.of(setUp)).isInstanceOf(Tied.Known.class);
        return (Tied.Known) Tied.of(setUp);
    }

    /** Drops of a set-up whose drag area is so many times what is reckoned. */
    private static List<Calibrations.Counted> drops(SetUp setUp, double factor, double... depths) {
        List<Calibrations.Counted> drops = new ArrayList<>();
        Tied.Known tied = tied(setUp);
        for (double depth : depths) {
            double seconds = new Cast(depth, 0, 0, tied.line(), Cast.FRESH, 0, 0)
                    .freeFallSeconds(Lure.of(tied.parts(), Cast.FRESH).calibrated(factor), depth);
            drops.add(new Calibrations.Counted(setUp, new Calibration.Drop(seconds, depth), Cast.FRESH));
        }
        return drops;
    }

    @Test
    void setUpsThatTheWaterCannotTellApartCountTogetherAndOthersOfThePlasticStartFromThem() {
        SetUp pearl = setUp("1", Map.of("colour", "pearl"));
        SetUp black = setUp("2", Map.of("colour", "black"));
        SetUp heavier = setUp("3", Map.of("head_mass_g", 14.0));
        SetUp heaviest = setUp("4", Map.of("head_mass_g", 28.0));
        SetUp worm = setUp("5", Map.of("plastic", "straight worm"));
        List<Calibrations.Counted> counted = new ArrayList<>(drops(pearl, 1.44, 2, 3));
        counted.addAll(drops(black, 1.44, 4));
        Calibrations one = Calibrations.of(counted);
        assertThat(one.basis(tied(black)).calibration().drops()).isEqualTo(3);
        assertThat(one.basis(tied(black)).calibration().factor()).isCloseTo(1.44, within(1e-6));
        assertThat(one.basis(tied(heaviest)).others()).isEqualTo(1);
        assertThat(one.basis(tied(heaviest)).counted()).isFalse();
        assertThat(Math.log(one.basis(tied(heaviest)).calibration().factor()))
                .isCloseTo(Math.log(1.44) / 3, within(1e-6));
        counted.addAll(drops(heavier, 1.44, 2, 5));
        assertThat(Math.log(Calibrations.of(counted)
                        .basis(tied(heaviest))
                        .calibration()
                        .factor()))
                .isCloseTo(Math.log(1.44) / 2, within(1e-6));
        assertThat(Calibrations.of(counted).basis(tied(worm)).calibration()).isEqualTo(Calibration.NONE);
    }

    @Test
    void dropsThatAgreeNarrowWhatIsLikelyAndNeverToNothing() {
        SetUp setUp = setUp("1", Map.of());
        double before = Calibration.UNCALIBRATED_SPREAD;
        for (double[] depths : new double[][] {{3}, {3, 3}, {3, 3, 3, 3}, {2, 3, 4, 5, 3, 3, 3, 3}}) {
            Calibration found = Calibrations.of(drops(setUp, 1.2, depths))
                    .basis(tied(setUp))
                    .calibration();
            assertThat(found.spread()).isPositive().isLessThanOrEqualTo(before);
            double[] range = found.range(10);
            assertThat(range[0]).isLessThan(10);
            assertThat(range[1]).isGreaterThan(10);
            before = found.spread();
        }
        assertThat(before).isLessThan(0.1);
        assertThat(Calibration.NONE.range(10)).containsExactly(7.5, 12.5);
    }

    @Test
    void saysWhyASetUpCannotBeWeighed() {
        assertThat(Tied.of(setUp("1", Map.of("rig", "hard bait", "plastic", "crankbait"))))
                .isInstanceOfSatisfying(
                        Tied.Unknown.class, u -> assertThat(u.why()).contains("hard bait"));
        SetUp bare = LedgerFormat.SETUPS.changed(setUp("1", Map.of()), Map.of("plastic", "none"));
        assertThat(tied(bare).taken()).isEmpty();
        Cells none = new Cells().with("setup_id", "9").with("rig", "open jig head");
        assertThat(Tied.of(LedgerFormat.SETUPS.read(none)))
                .isInstanceOfSatisfying(
                        Tied.Unknown.class, u -> assertThat(u.why()).contains("weight of its head"));
        Cells line =
                new Cells().with("setup_id", "9").with("rig", "open jig head").with("head_mass_g", 7.0);
        assertThat(tied(LedgerFormat.SETUPS.read(line)).taken()).hasSize(2);
    }
}
