package dusk.ledger.interchange;

import static org.assertj.core.api.Assertions.assertThat;

import dusk.ledger.journal.Ledger;
import dusk.ledger.stints.StintTable;
import dusk.ledger.vocabulary.Factor;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A package of the first edition reads as before; what the second knows more goes there and back and is compared. */
class EditionsTest {
    private static final Map<String, String> FIRST = Map.of(
            "anglers", "angler_id,name\na1,Nessa\n",
            "waters", "water_id,name,kind\nw1,Kell Water,lake\n",
            "spots", "spot_id,water_id,label,structure\np1,w1,Kiln Point,main point\n",
            "setups", "setup_id,rig,plastic,plastic_length_mm\nu1,texas rig,creature,100\n",
            "rods", "rod_id,name,power,retrieve_mm\no1,stout,heavy,720\n",
            "trips", "trip_id,water_id,started_at\nt1,w1,2026-05-01T06:00:00Z\n",
            "readings", "reading_id,trip_id,at,forage_length_mm\nr1,t1,2026-05-01T06:00:00Z,60\n",
            "stints",
                    "stint_id,trip_id,angler_id,spot_id,setup_id,rod_id,started_at,minutes,bites,hooked\n"
                            + "s1,t1,a1,p1,u1,o1,2026-05-01T06:00:00Z,30,2,1\n",
            "catches", "catch_id,stint_id,species\nc1,s1,pike\n",
            "touches", "touch_id,stint_id,at,kind\nh1,s1,2026-05-01T06:10:00Z,bite\n");

    /** By {@code file.column}: a cell that the second edition added. */
    private static final Map<String, String> ADDED = new LinkedHashMap<>();

    static {
        ADDED.put("setups.leader_length_mm", "900");
        ADDED.put("setups.line_colour", "bright");
        ADDED.put("setups.hook_pattern", "wide gap");
        ADDED.put("setups.plastic_body", "hollow");
        ADDED.put("setups.trimmed_from_mm", "120");
        ADDED.put("setups.pegged", "true");
        ADDED.put("spots.slope", "steep");
        ADDED.put("spots.top_m", "2");
        ADDED.put("spots.foot_m", "5.5");
        ADDED.put("spots.shelter", "lee");
        ADDED.put("spots.shade", "true");
        ADDED.put("readings.how", "judged");
        ADDED.put("readings.prey_colour", "silver shad");
        ADDED.put("stints.fish_depth_m", "4");
        ADDED.put("catches.hooked_in", "roof");
        ADDED.put("touches.bite_on", "first move");
        ADDED.put("touches.felt", "line jump");
    }

    @TempDir
    Path folder;

    private void write(Map<String, String> added) throws IOException {
        Files.writeString(
                folder.resolve("datapackage.json"),
                "{\"profile\": \"tabular-data-package\", \"name\": \"a-test\", \"resources\": []}");
        for (Map.Entry<String, String> file : FIRST.entrySet()) {
            String[] lines = file.getValue().split("\n");
            for (Map.Entry<String, String> cell : added.entrySet()) {
                if (cell.getKey().startsWith(file.getKey() + ".")) {
                    lines[0] += "," + cell.getKey().substring(file.getKey().length() + 1);
                    lines[1] += "," + cell.getValue();
                }
            }
            Files.writeString(folder.resolve(file.getKey() + ".csv"), String.join("\n", lines) + "\n");
        }
    }

    private static Map<Factor, String> levels(Ledger ledger) {
        StintTable table = StintTable.of(ledger);
        Map<Factor, String> levels = new LinkedHashMap<>();
        for (Factor factor : Factor.values()) {
            String level = table.codes(factor).level(0);
            if (!level.equals(Factor.NOT_RECORDED)) {
                levels.put(factor, level);
            }
        }
        return levels;
    }

    @Test
    void theFirstEditionReadsAsBeforeAndGoesThereAndBack() throws Exception {
        write(Map.of());
        Ledger first = PackageReader.read(folder).ledger();
        assertThat(levels(first))
                .containsEntry(Factor.ROD_POWER, "heavy")
                .containsEntry(Factor.REEL, "middling 0.6-0.75")
                .containsEntry(Factor.LURE_TO_PREY, "1.25-2")
                .doesNotContainKeys(
                        Factor.HOOK_PATTERN, Factor.LEADER, Factor.SLOPE, Factor.FISH_DEPTH, Factor.PREY_COLOUR);
        PackageWriter.write(first, "first", folder.resolve("again"));
        assertThat(PackageReader.read(folder.resolve("again")).ledger()).isEqualTo(first);
    }

    @Test
    void theSecondGoesThereAndBackWithAllItKnowsAndIsCompared() throws Exception {
        write(ADDED);
        PackageReading reading = PackageReader.read(folder);
        assertThat(reading.keptOut()).isEmpty();
        assertThat(reading.wordsOutside()).isEmpty();
        assertThat(levels(reading.ledger()))
                .containsEntry(Factor.LEADER, "0.6-2 m")
                .containsEntry(Factor.LINE_COLOUR, "bright")
                .containsEntry(Factor.HOOK_PATTERN, "wide gap")
                .containsEntry(Factor.PLASTIC_BODY, "hollow")
                .containsEntry(Factor.PEGGED, "true")
                .containsEntry(Factor.SLOPE, "steep")
                .containsEntry(Factor.SHELTER, "lee")
                .containsEntry(Factor.FISH_DEPTH, "3-6 m")
                .containsEntry(Factor.PREY_COLOUR, "silver shad");
        PackageWriter.write(reading.ledger(), "second", folder.resolve("again"));
        Path again = folder.resolve("again");
        assertThat(PackageReader.read(again).ledger()).isEqualTo(reading.ledger());
        for (Map.Entry<String, String> cell : ADDED.entrySet()) {
            String[] at = cell.getKey().split("\\.");
            List<String> lines = Files.readAllLines(again.resolve(at[0] + ".csv"));
            int column = Arrays.asList(lines.get(0).split(",")).indexOf(at[1]);
            assertThat(lines.get(1).split(",")[column]).as(cell.getKey()).isEqualTo(cell.getValue());
        }
    }

    @Test
    void aRigOfOnesOwnKeepsItsWordAndIsComparedAsWhatItIsLike() throws Exception {
        write(Map.of());
        Files.writeString(folder.resolve("setups.csv"), "setup_id,rig\nu1,slip rig (like: swing head)\n");
        PackageReading reading = PackageReader.read(folder);
        assertThat(reading.ledger().setUps().get(0).rig()).isEqualTo("slip rig (like: swing head)");
        assertThat(reading.wordsOutside().get("rig")).containsExactly("slip rig (like: swing head)");
        assertThat(levels(reading.ledger())).containsEntry(Factor.RIG, "swing head");
    }

    @ParameterizedTest
    @CsvSource({
        "setups.trimmed_from_mm, 80",
        "setups.plastic_body, fluffy",
        "setups.leader_length_mm, -1",
        "setups.pegged, maybe",
        "spots.slope, up",
        "spots.foot_m, 1",
        "spots.shelter, under a roof",
        "readings.how, guessed",
        "stints.fish_depth_m, 900",
        "touches.felt, a tap"
    })
    void whatCannotBeIsRefusedAtItsCell(String column, String cell) throws Exception {
        Map<String, String> spoilt = new LinkedHashMap<>(ADDED);
        spoilt.put(column, cell);
        write(spoilt);
        String[] at = column.split("\\.");
        try {
            PackageReader.read(folder);
            throw new AssertionError(column + " was taken");
        } catch (Refused e) {
            assertThat(e.faults()).singleElement().satisfies(f -> {
                assertThat(f.file()).endsWith(at[0] + ".csv");
                assertThat(f.line()).isEqualTo(2);
                assertThat(f.column()).isEqualTo(at[1]);
            });
        }
    }

    @ParameterizedTest
    @CsvSource({"0, none", "500, under 0.6 m", "600, 0.6-2 m", "1999, 0.6-2 m", "2000, 2 m and over"})
    void aLeaderOfNoLengthIsNone(double mm, String band) throws Exception {
        Map<String, String> added = new LinkedHashMap<>(ADDED);
        added.put("setups.leader_length_mm", String.valueOf(mm));
        write(added);
        assertThat(levels(PackageReader.read(folder).ledger())).containsEntry(Factor.LEADER, band);
    }
}
