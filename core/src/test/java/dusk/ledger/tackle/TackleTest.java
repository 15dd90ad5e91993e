package dusk.ledger.tackle;

import static org.assertj.core.api.Assertions.assertThat;

import dusk.ledger.format.Cells;
import dusk.ledger.format.FileColumn;
import dusk.ledger.format.LedgerFormat;
import dusk.ledger.journal.Rod;
import dusk.ledger.journal.RodBuilder;
import dusk.ledger.journal.SetUp;
import dusk.ledger.units.Length;
import dusk.ledger.units.Mass;
import dusk.ledger.units.UnitSystem;
import dusk.ledger.vocabulary.Words;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class TackleTest {
    private static SetUp setUp(Map<String, Object> cells) {
        Cells all = new Cells().with("setup_id", "s").with("rig", "open jig head");
        cells.forEach(all::with);
        return LedgerFormat.SETUPS.read(all);
    }

    /** A sound set-up with one thing about it changed, on a sound rod. */
    private static List<String> columns(Map<String, Object> change, TackleChecks.Use use) {
        Map<String, Object> sound = new HashMap<>(Map.of(
                "head_mass_g", 5.0,
                "head_material", "tungsten",
                "hook_size", "3/0",
                "hook_wire", "medium",
                "plastic", "stick worm",
                "plastic_length_mm", 100.0,
                "keeper", "barb",
                "line_material", "braid",
                "line_strength_n", 60.0,
                "leader_material", "fluorocarbon"));
        sound.putAll(change);
        return TackleChecks.of(setUp(sound), use, UnitSystem.METRIC).stream()
                .map(Caution::column)
                .distinct()
                .toList();
    }

    private static TackleChecks.Use on(double leastG, double mostG, String power) {
        Rod rod = RodBuilder.builder()
                .id("r")
                .length(Length.ofMetres(2))
                .power(power)
                .action("fast")
                .lureMin(Mass.ofGrams(leastG))
                .lureMax(Mass.ofGrams(mostG))
                .build();
        return new TackleChecks.Use(rod, "sweep", "sparse", true, false);
    }

    @Test
    void aSoundSetUpIsLeftAlone() {
        assertThat(columns(Map.of(), on(3, 21, "medium"))).isEmpty();
        assertThat(columns(Map.of(), TackleChecks.Use.UNKNOWN)).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({
        "head_mass_g, 45, head_mass_g",
        "head_material, lead, head_material",
        "hook_wire, heavy, ",
        "leader_material, none, ",
        "leader_mm, 2500, leader_mm",
        "hook_size, #12, hook_size",
        "hook_size, 8/0, hook_size",
        "keeper, coil fine, ",
        "plastic, a body of our own, ",
        "hook_size, a big one, "
    })
    void eachFaultIsSaidAtTheColumnThatMendsIt(String column, String value, String at) {
        Object cell = value.matches("[\\d.]+") ? (Object) Double.valueOf(value) : value;
        List<String> said = columns(Map.of(column, cell), on(3, 40, "medium"));
        assertThat(said).isEqualTo(at == null ? List.of() : List.of(at));
    }

    @Test
    void whatItIsFishedWithCounts() {
        assertThat(columns(Map.of(), on(16, 21, "medium"))).containsExactly("head_mass_g");
        assertThat(columns(Map.of("hook_wire", "light"), new TackleChecks.Use(null, "hard", null, false, false)))
                .containsExactly("hook_wire");
        assertThat(columns(Map.of("hook_wire", "heavy", "line_strength_n", 40.0), on(3, 21, "light")))
                .containsExactly("hook_wire");
        assertThat(columns(Map.of(), new TackleChecks.Use(null, null, "thick", false, false)))
                .containsExactly("weed_guard");
        assertThat(columns(Map.of("weed_guard", "fibre"), new TackleChecks.Use(null, null, "thick", false, false)))
                .isEmpty();
        assertThat(columns(Map.of("head_material", "lead"), TackleChecks.Use.UNKNOWN))
                .isEmpty();
        SetUp tough = setUp(Map.of("plastic_material", "floating elastomer"));
        SetUp soft = setUp(Map.of("plastic_material", "plastisol"));
        assertThat(TackleChecks.storage(List.of(tough, soft))).hasSize(1);
        assertThat(TackleChecks.storage(List.of(tough, tough))).isEmpty();
    }

    @ParameterizedTest
    @EnumSource
    void aStepUpAndDownTheLadderLeadsBack(WeightLadder ladder) {
        Mass mass = ladder.up(Mass.ofGrams(0.5)).orElseThrow();
        assertThat(ladder.down(mass)).isEmpty();
        for (var next = ladder.up(mass); next.isPresent(); next = ladder.up(mass)) {
            assertThat(next.get().grams()).isGreaterThan(mass.grams());
            assertThat(ladder.down(next.get())).contains(mass);
            mass = next.get();
        }
        assertThat(mass.grams()).isGreaterThan(55);
    }

    @Test
    void aChangeMakesANewOneThatKnowsWhatItCameFrom() {
        SetUp from = setUp(Map.of("colour", "violet", "head_mass_g", 3.5));
        Map<String, Object> change = new HashMap<>(Map.of("colour", "pearl"));
        change.put("head_mass_g", null);
        SetUp made = Alteration.of(from, "t", change);
        assertThat(made.fromSetUpId()).isEqualTo("s");
        assertThat(made.headMass()).isNull();
        assertThat(Alteration.differences(from, made)).containsExactly("head_mass_g", "colour");
    }

    @Test
    void hardlyDifferentOnesAreFoundAndDifferentOnesLeft() {
        SetUp one = setUp(Map.of("colour", "green pumpkin", "head_mass_g", 3.5, "weed_guard", "none"));
        SetUp spelt = setUp(Map.of("colour", "Green-Pumpkins", "head_mass_g", 3.54));
        SetUp other = setUp(Map.of("colour", "green pumpkin", "head_mass_g", 5.0));
        assertThat(NearDuplicates.among(List.of(one, spelt, other)))
                .singleElement()
                .satisfies(pair -> assertThat(pair.columns()).containsExactly("head_mass_g", "weed_guard", "colour"));
    }

    @Test
    void everyRigOfTheVocabularySaysWhatItIsMadeOfInTheFieldsWords() {
        assertThat(Rig.all()).extracting(Rig::name).containsExactlyElementsOf(Words.of("rig"));
        List<String> known =
                LedgerFormat.SETUPS.columns().stream().map(FileColumn::name).toList();
        for (Rig rig : Rig.all()) {
            assertThat(known).containsAll(rig.columns());
            assertThat(rig.columns())
                    .doesNotHaveDuplicates()
                    .containsAll(rig.usual().keySet());
            rig.usual().forEach((column, word) -> {
                List<String> words = Words.of(column);
                assertThat(words.isEmpty() || words.contains(word))
                        .as(rig.name() + " " + column + " " + word)
                        .isTrue();
            });
        }
    }
}
