package dusk.ledger.plan;

import static org.assertj.core.api.Assertions.assertThat;

import dusk.ledger.journal.SetUp;
import dusk.ledger.journal.SetUpBuilder;
import dusk.ledger.units.Length;
import dusk.ledger.units.Mass;
import dusk.ledger.units.UnitSystem;
import dusk.ledger.vocabulary.Factor;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PackListTest {
    private static SetUp setUp(String id, String plastic, @Nullable String material) {
        return SetUpBuilder.builder()
                .id(id)
                .rig("open jig head")
                .headMass(Mass.ofGrams(7))
                .headShape("ball")
                .headMaterial("tungsten")
                .plastic(plastic)
                .plasticMaterial(material)
                .plasticLength(Length.ofMillimetres(100))
                .colour("black")
                .build();
    }

    private static Advice.Rod rod(SetUp setUp, @Nullable Double rate) {
        return new Advice.Rod("search", new Call(setUp, "hop", true, List.of(), 0, rate, null));
    }

    private static PlanConditions conditions(@Nullable String cover, boolean onFoot, boolean toothed) {
        PlanConditions nothing = PlanConditions.unknown();
        return new PlanConditions(
                cover == null ? Map.of() : Map.of(Factor.COVER, cover),
                nothing.reading(),
                null,
                null,
                null,
                onFoot,
                toothed);
    }

    private static PackList pack(List<Advice.Rod> rods, PlanConditions conditions) {
        return PackList.of(new PackList.For(rods, List.of(), 5, PackList.USUAL_ON_FOOT), conditions, UnitSystem.METRIC);
    }

    /** Five hours at two fish an hour: ten fish over what a plastic lasts, and what the cover keeps. */
    @ParameterizedTest
    @CsvSource({
        "plastisol, none, 2, 4",
        "salted plastisol, none, 2, 5",
        "floating elastomer, none, 2, 2",
        "floating elastomer, thick, 4, 5",
        ", sparse, 3, 5"
    })
    void sparesGoByFishAndSnags(@Nullable String material, String cover, int heads, int plastics) {
        PackList pack = pack(List.of(rod(setUp("a", "craw", material), 2.0)), conditions(cover, false, false));
        assertThat(pack.tackle())
                .anySatisfy(line -> assertThat(line).isEqualTo(heads + " × 7 g tungsten ball head, open jig head"))
                .anySatisfy(line -> assertThat(line).startsWith(plastics + " × 10 cm craw, black"));
    }

    @Test
    void elastomerMustNotLieWithOtherPlastics() {
        SetUp tough = setUp("a", "craw", "floating elastomer");
        SetUp soft = setUp("b", "stick worm", "plastisol");
        assertThat(pack(List.of(rod(tough, 1.0), rod(soft, 1.0)), conditions(null, false, false))
                        .conflicts())
                .containsExactly(
                        "Floating elastomer melts against other plastics: a box of its own for the craw in black,"
                                + " away from the stick worm in black.");
        assertThat(pack(List.of(rod(tough, 1.0)), conditions(null, false, false))
                        .conflicts())
                .isEmpty();
        assertThat(pack(List.of(rod(soft, 1.0)), conditions(null, false, false)).conflicts())
                .isEmpty();
    }

    @Test
    void onFootThereIsOneRodAndWhatFitsThePack() {
        List<SetUp> more = List.of(setUp("b", "tube", null), setUp("c", "chunk", null));
        PackList pack = PackList.of(
                new PackList.For(List.of(rod(setUp("a", "craw", null), 1.0)), more, 4, 2),
                conditions(null, true, false),
                UnitSystem.METRIC);
        assertThat(pack.tools())
                .startsWith("One rod and the chest pack", "1 set-up of the call stays at home: the pack is full");
        assertThat(String.join("\n", pack.tackle()))
                .contains("craw")
                .contains("tube")
                .doesNotContain("chunk");
    }

    @Test
    void afloatThereAreNetAndJackets() {
        assertThat(pack(List.of(), conditions(null, false, false)).tools())
                .anySatisfy(line -> assertThat(line).contains("life-jackets worn"));
    }

    @Test
    void whereFishCutLineThereAreTraces() {
        assertThat(pack(List.of(), conditions(null, false, true)).tackle())
                .anySatisfy(line -> assertThat(line).startsWith("Traces of wire"));
    }

    @Test
    void withoutARateAFishAnHourIsReckonedWith() {
        assertThat(pack(List.of(rod(setUp("a", "craw", "plastisol"), null)), conditions("none", false, false))
                        .tackle())
                .anySatisfy(line -> assertThat(line).startsWith("3 × 10 cm craw"));
    }
}
