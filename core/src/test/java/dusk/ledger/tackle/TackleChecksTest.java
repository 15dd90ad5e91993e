package dusk.ledger.tackle;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dusk.ledger.format.Cells;
import dusk.ledger.format.LedgerFormat;
import dusk.ledger.journal.Rod;
import dusk.ledger.journal.RodBuilder;
import dusk.ledger.journal.SetUp;
import dusk.ledger.units.Length;
import dusk.ledger.units.Mass;
import dusk.ledger.units.UnitSystem;
import dusk.ledger.vocabulary.Words;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Which set-ups are left alone and which are spoken to, check by check. */
class TackleChecksTest {
    private static final double NEWTONS_A_KILOGRAM = 9.80665;

    /** Written as {@code column=value; column=value}; kg for strengths. */
    private static SetUp setUp(String written) {
        Cells cells = new Cells().with("setup_id", "s");
        Map<String, String> parts = new LinkedHashMap<>();
        for (String part : written.split("; ")) {
            parts.put(part.substring(0, part.indexOf('=')).strip(), part.substring(part.indexOf('=') + 1));
        }
        parts.forEach((column, value) -> {
            if (column.endsWith("_kg")) {
                cells.with(column.replace("_kg", "_strength_n"), Double.parseDouble(value) * NEWTONS_A_KILOGRAM);
            } else if (column.equals("pegged")) {
                cells.with(column, Boolean.valueOf(value));
            } else if (column.endsWith("_mm") || column.endsWith("_g")) {
                cells.with(column, Double.parseDouble(value));
            } else {
                cells.with(column, value);
            }
        });
        return LedgerFormat.SETUPS.read(cells);
    }

    private static Rod rod(String power, double leastG, double mostG) {
        return RodBuilder.builder()
                .id("r")
                .length(Length.ofMetres(2.1))
                .power(power)
                .lureMin(Mass.ofGrams(leastG))
                .lureMax(Mass.ofGrams(mostG))
                .build();
    }

    private static List<String> said(String written, TackleChecks.Use use) {
        return TackleChecks.of(setUp(written), use, UnitSystem.METRIC).stream()
                .map(Caution::column)
                .toList();
    }

    private static final String EVERYDAY = """
            rig=drop shot; head_mass_g=7; head_shape=cylinder; plastic=straight-tail minnow; plastic_length_mm=75; hook_size=#1; hook_wire=light; leader_mm=300
            rig=texas rig; head_mass_g=3.5; head_shape=bullet; plastic=straight worm; plastic_length_mm=150; hook_size=3/0; hook_pattern=wide gap; hook_wire=medium; weed_guard=point buried
            rig=mushroom head; head_mass_g=3.5; head_shape=mushroom; plastic=short stick; plastic_length_mm=70; hook_size=1/0; hook_wire=heavy; keeper=barb; line_material=fluorocarbon; line_kg=3.6
            rig=line-through head; head_mass_g=5; head_shape=line-through; plastic=paddle-tail swimmer; plastic_length_mm=65; hook_size=#10; hook_wire=treble; keeper=none
            rig=drop shot; head_mass_g=5; plastic=straight-tail minnow; plastic_length_mm=70; hook_size=#2; hook_wire=light; leader_mm=250; line_material=braid; line_kg=7; leader_material=none
            rig=open jig head; head_mass_g=3.5; head_shape=ball; plastic=curl-tail grub; plastic_length_mm=75; hook_size=1/0; hook_wire=medium; keeper=barb; weed_guard=none
            rig=open jig head; head_mass_g=10; head_shape=keeled minnow; plastic=paddle-tail swimmer; plastic_length_mm=100; hook_size=4/0; hook_wire=medium; keeper=collar
            rig=open jig head; head_mass_g=5; head_shape=darter; plastic=straight-tail minnow; plastic_length_mm=90; hook_size=2/0; hook_wire=light; line_material=fluorocarbon; line_kg=3.5
            rig=shaky head; head_mass_g=3.5; head_shape=stand-up; plastic=straight worm; plastic_length_mm=150; hook_size=4/0; hook_wire=medium; keeper=screw; weed_guard=point buried
            rig=shaky head; head_mass_g=2; plastic=bulb-tail worm; plastic_length_mm=165; hook_size=3/0; hook_wire=medium; keeper=coil fine; weed_guard=point buried
            rig=swing head; head_mass_g=14; head_shape=football; plastic=creature; plastic_length_mm=100; hook_size=4/0; hook_wire=heavy; weed_guard=point buried; line_material=fluorocarbon; line_kg=8
            rig=skirted jig; head_mass_g=10; plastic=craw; plastic_length_mm=75; hook_size=4/0; hook_wire=heavy; keeper=barb; weed_guard=fibre; skirt=short; line_material=fluorocarbon; line_kg=7.5
            rig=skirted jig; head_mass_g=7; plastic=chunk; plastic_length_mm=60; hook_size=3/0; hook_wire=medium; weed_guard=fibre; skirt=long
            rig=inside-head tube; head_mass_g=5; head_shape=tube; plastic=tube; plastic_length_mm=90; plastic_body=hollow; hook_size=3/0; hook_wire=medium
            rig=texas rig; head_mass_g=10; head_shape=bullet; pegged=true; plastic=creature; plastic_length_mm=100; hook_size=4/0; hook_wire=heavy; weed_guard=point buried; line_material=braid; line_kg=20
            rig=texas rig; head_mass_g=5; plastic=ribbon-tail worm; plastic_length_mm=250; hook_size=5/0; hook_wire=heavy; weed_guard=point buried; line_material=fluorocarbon; line_kg=7
            rig=carolina rig; head_mass_g=21; head_shape=bullet; leader_mm=900; plastic=lizard; plastic_length_mm=150; hook_size=3/0; hook_wire=medium; weed_guard=point buried
            rig=carolina rig; head_mass_g=14; leader_mm=1500; plastic=creature; plastic_length_mm=90; hook_size=3/0; weed_guard=point buried
            rig=drop shot; head_mass_g=14; leader_mm=600; plastic=straight worm; plastic_length_mm=130; hook_size=1/0; hook_pattern=offset; hook_wire=medium; weed_guard=point buried
            rig=wacky; plastic=stick worm; plastic_length_mm=125; hook_size=1/0; hook_wire=light; line_material=fluorocarbon; line_kg=4
            rig=weighted wacky; head_mass_g=2.5; plastic=stick worm; plastic_length_mm=125; hook_size=#1; hook_wire=light
            rig=weedless wacky; head_mass_g=1.8; head_shape=nail; plastic=stick worm; plastic_length_mm=125; hook_size=2/0; weed_guard=point buried
            rig=nail-weighted wacky; head_mass_g=1.8; head_shape=nail; plastic=straight worm; plastic_length_mm=150; hook_size=#1; hook_wire=medium
            rig=sliding wacky; head_mass_g=10; head_shape=pear; leader_mm=450; plastic=stick worm; plastic_length_mm=120; hook_size=1/0; hook_wire=light
            rig=weightless weedless; plastic=soft jerkbait; plastic_length_mm=125; hook_size=4/0; hook_pattern=wide gap; hook_wire=medium; weed_guard=point buried; keeper=screw
            rig=belly-weighted weedless; head_mass_g=5; head_shape=belly keel; head_material=lead; plastic=paddle-tail swimmer; plastic_length_mm=110; hook_size=5/0; hook_wire=medium; keeper=coil stout; weed_guard=point buried
            rig=wire-arm spinner; head_mass_g=10; plastic=none; hook_size=4/0; hook_wire=medium; blade=medium; skirt=long
            rig=underspin; head_mass_g=7; head_shape=keeled minnow; plastic=paddle-tail swimmer; plastic_length_mm=85; hook_size=3/0; hook_wire=medium; blade=small; keeper=barb
            rig=held minnow head; head_mass_g=3.5; head_material=tungsten; plastic=straight-tail minnow; plastic_length_mm=85; hook_size=1/0; hook_wire=light; line_material=braid; line_kg=5; leader_material=fluorocarbon; leader_kg=3
            rig=linked weight; head_mass_g=10; head_shape=pear; plastic=creature; plastic_length_mm=100; hook_size=5/0; hook_wire=heavy; weed_guard=point buried
            rig=cork rig; head_mass_g=3.5; head_shape=ball; leader_mm=1200; plastic=paddle-tail swimmer; plastic_length_mm=85; hook_size=3/0; hook_wire=medium; rattle=in head; blade=small
            rig=hard bait; plastic=crankbait; plastic_length_mm=60; hook_size=#6; hook_wire=treble
            """;

    @Test
    void setUpsOfEverydayUseAreLeftAloneOverAllRigs() {
        List<String> written = EVERYDAY.lines().toList();
        assertThat(written).hasSizeGreaterThanOrEqualTo(30);
        for (String one : written) {
            assertThat(TackleChecks.of(setUp(one), TackleChecks.Use.UNKNOWN, UnitSystem.METRIC))
                    .as(one)
                    .isEmpty();
        }
        Set<String> rigs = written.stream().map(w -> setUp(w).rig()).collect(Collectors.toCollection(TreeSet::new));
        assertThat(rigs).isEqualTo(new TreeSet<>(Words.of("rig")));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                // hook against plastic: sound
                "rig=open jig head; plastic=curl-tail grub; plastic_length_mm=75; hook_size=1/0 |",
                "rig=open jig head; plastic=stick worm; plastic_length_mm=100; hook_size=3/0 |",
                "rig=texas rig; plastic=straight worm; plastic_length_mm=175; hook_size=3/0; weed_guard=point buried |",
                "rig=drop shot; plastic=straight worm; plastic_length_mm=150; hook_size=#4 |",
                "rig=wacky; plastic=stick worm; plastic_length_mm=150; hook_size=#2 |",
                "rig=line-through head; plastic=paddle-tail swimmer; plastic_length_mm=120; hook_size=#12; hook_wire=treble |",
                "rig=open jig head; plastic=paddle-tail swimmer; plastic_length_mm=100; hook_pattern=treble; hook_size=#6 |",
                "rig=texas rig; plastic=chunk; plastic_length_mm=90; hook_size=3/0; hook_pattern=wide gap; weed_guard=point buried |",
                "rig=inside-head tube; plastic=tube; plastic_length_mm=110; plastic_body=hollow; hook_size=4/0; weed_guard=point buried |",
                "rig=open jig head; plastic=a body of our own; plastic_length_mm=90; hook_size=#8 |",
                "rig=open jig head; plastic=curl-tail grub; plastic_length_mm=75; hook_size=a big one |",
                // and not
                "rig=open jig head; plastic=paddle-tail swimmer; plastic_length_mm=150; hook_size=#2 | tail and miss it",
                "rig=open jig head; plastic=curl-tail grub; plastic_length_mm=120; hook_size=#4 | tail and miss it",
                "rig=shaky head; plastic=ribbon-tail worm; plastic_length_mm=250; hook_size=#1; weed_guard=point buried | tail and miss it",
                "rig=texas rig; plastic=straight worm; plastic_length_mm=75; hook_size=8/0; weed_guard=point buried | stiffens it",
                "rig=open jig head; plastic=stick worm; plastic_length_mm=80; hook_size=7/0 | stiffens it",
                "rig=texas rig; plastic=creature; plastic_length_mm=125; hook_size=2/0; weed_guard=point buried | cannot come out",
                "rig=weightless weedless; plastic=short stick; plastic_length_mm=110; hook_size=1/0; weed_guard=point buried | cannot come out",
                "rig=belly-weighted weedless; plastic=paddle-tail swimmer; plastic_length_mm=150; hook_size=3/0; weed_guard=point buried | cannot come out",
                "rig=open jig head; plastic=short stick; plastic_length_mm=100; hook_size=#4 | is not clear of it",
                "rig=mushroom head; plastic=chunk; plastic_length_mm=70; hook_size=#8 | is not clear of it",
                "rig=texas rig; plastic=chunk; plastic_length_mm=130; hook_size=3/0; hook_pattern=wide gap; weed_guard=point buried | cannot come out"
            })
    void aHookIsJudgedByHowItHoldsThePlastic(String written, @Nullable String reason) {
        List<Caution> cautions = TackleChecks.of(setUp(written), TackleChecks.Use.UNKNOWN, UnitSystem.METRIC);
        if (reason == null) {
            assertThat(cautions).isEmpty();
        } else {
            assertThat(cautions).extracting(Caution::column).containsOnly("hook_size");
            assertThat(cautions).extracting(Caution::reason).anyMatch(r -> r.contains(reason));
        }
    }

    @ParameterizedTest
    @CsvSource({
        // wire, line in kg, rod, strike; spoken to or not
        "heavy, 3.6, , , no",
        "heavy, 3.6, medium, , no",
        "heavy, 10, light, , no",
        "heavy, 6.6, ultralight, , no",
        "heavy, 3.6, light, , yes",
        "heavy, 6, medium-light, reel, yes",
        "light, 7, , , no",
        "light, 4, heavy, sweep, no",
        "light, 4, medium, hard, no",
        "light, 4, light, hard, no",
        "light, 4, medium-heavy, hard, yes",
        "light, 6, , hard, yes",
        "light, 10, , , yes",
        "light, 20, heavy, hard, yes",
        "medium, 3, light, reel, no",
        "medium, 20, heavy, hard, no",
        "treble, 3, light, reel, no"
    })
    void wireIsJudgedWithLineAndRodTogether(String wire, double kilograms, String power, String strike, String said) {
        Rod rod = power == null ? null : rod(power, 1, 40);
        List<String> columns = said(
                "rig=open jig head; line_material=mono; hook_wire=" + wire + "; line_kg=" + kilograms,
                new TackleChecks.Use(rod, strike, null, false, false));
        assertThat(columns).isEqualTo(said.equals("yes") ? List.of("hook_wire") : List.of());
    }

    @ParameterizedTest
    @CsvSource({
        "braid, none, , no, no",
        "braid, , , no, no",
        "mono, none, , no, no",
        "braid, wire, , yes, no",
        "mono, wire, 0.3, yes, no",
        "braid, fluorocarbon, 0.8, yes, no",
        "braid, mono, 0.7, yes, no",
        "braid, none, , yes, yes",
        "braid, fluorocarbon, 0.3, yes, yes",
        "mono, , , yes, yes",
        "fluorocarbon, none, 0.9, yes, yes",
        "braid, fluorocarbon, , yes, yes"
    })
    void noLeaderIsASchoolAndTeethAskForATrace(String line, String leader, Double thick, String toothed, String said) {
        String written = "rig=open jig head; line_material=" + line
                + (leader == null ? "" : "; leader_material=" + leader)
                + (thick == null ? "" : "; leader_diameter_mm=" + thick);
        assertThat(said(written, new TackleChecks.Use(null, null, null, false, toothed.equals("yes"))))
                .isEqualTo(said.equals("yes") ? List.of("leader_material") : List.of());
        assertThat(TackleChecks.Use.cutsLine("pike")).isTrue();
        assertThat(TackleChecks.Use.cutsLine("walleye")).isFalse();
    }

    @ParameterizedTest
    @CsvSource({
        "drop shot, 300, no", "drop shot, 1200, no", "drop shot, 1250, yes", "drop shot, 1800, yes",
        "carolina rig, 900, no", "carolina rig, 1800, no", "carolina rig, 1950, yes", "sliding wacky, 450, no",
        "sliding wacky, 2500, yes", "cork rig, 2500, no", "texas rig, 0, no"
    })
    void howFarHookAndWeightMayBeApartGoesByTheRig(String rig, double mm, String said) {
        assertThat(said(
                        "rig=" + rig + "; leader_mm=" + mm,
                        new TackleChecks.Use(rod("medium", 1, 40), null, null, false, false)))
                .isEqualTo(said.equals("yes") ? List.of("leader_mm") : List.of());
    }

    @ParameterizedTest
    @CsvSource({
        "10, 3, 14, no", "14, 3, 14, no", "15, 3, 14, no", "15.5, 3, 14, yes", "28, 3, 14, yes",
        "3, 3, 14, no", "2.5, 3, 14, no", "2.3, 3, 14, yes", "1, 5, 20, yes", "5, 5, 5, no"
    })
    void aRodsRatingIsNoKnifesEdge(double grams, double least, double most, String said) {
        assertThat(said(
                        "rig=open jig head; plastic=none; head_mass_g=" + grams,
                        new TackleChecks.Use(rod("medium", least, most), null, null, false, false)))
                .isEqualTo(said.equals("yes") ? List.of("head_mass_g") : List.of());
    }

    /** A rig of one's own that says what it is like is judged as that; one that is like nothing of the list as itself. */
    @ParameterizedTest
    @CsvSource({
        "slip rig (like: drop shot), drop shot, no",
        "slip rig (like: texas rig), texas rig, yes",
        "slip rig (like: no such rig), slip rig (like: no such rig), yes",
        "slip rig, slip rig, yes",
        "drop shot, drop shot, no"
    })
    void aRigIsJudgedAsWhatItIsLike(String rig, String kind, String said) {
        String written = "rig=" + rig + "; plastic=straight-tail minnow; plastic_length_mm=75; hook_size=#6";
        assertThat(setUp(written).rigKind()).isEqualTo(kind);
        assertThat(setUp(written).rig()).isEqualTo(rig);
        assertThat(said(written, TackleChecks.Use.UNKNOWN))
                .isEqualTo(said.equals("yes") ? List.of("hook_size") : List.of());
        assertThat(Rig.of(rig).map(Rig::name)).isEqualTo(Rig.of(kind).map(Rig::name));
    }

    @Test
    void aPlasticWithoutABodyIsNotWeighedAsAnother() {
        SetUp own = setUp("rig=open jig head; head_mass_g=5; plastic=a body of our own; plastic_length_mm=300");
        assertThat(TackleChecks.thrown(own)).isNull();
        SetUp whole = setUp("rig=wacky; plastic=stick worm; plastic_length_mm=120");
        SetUp cut = setUp("rig=wacky; plastic=stick worm; plastic_length_mm=60; trimmed_from_mm=120");
        SetUp small = setUp("rig=wacky; plastic=stick worm; plastic_length_mm=60");
        assertThat(TackleChecks.thrown(cut).grams())
                .isEqualTo(TackleChecks.thrown(whole).grams() / 2)
                .isGreaterThan(3 * TackleChecks.thrown(small).grams());
        assertThat(Plastic.of(cut).orElseThrow().thickness())
                .isEqualTo(Plastic.of(whole).orElseThrow().thickness());
    }

    @ParameterizedTest
    @CsvSource({"solid, 1", "hollow, 0.6", "thin-walled, 0.8", "ribbed, 0.9"})
    void aBodyThatIsNotSolidWeighsLess(String built, double share) {
        double solid = TackleChecks.thrown(setUp("rig=wacky; plastic=tube; plastic_length_mm=90"))
                .grams();
        assertThat(TackleChecks.thrown(setUp("rig=wacky; plastic=tube; plastic_length_mm=90; plastic_body=" + built))
                        .grams())
                .isCloseTo(solid * share, within(1e-9));
    }
}
