package dusk.ledger.interchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.Arrays;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What is wrong with a package is said exactly, all of it at once. */
class BrokenPackagesTest {
    @TempDir
    Path folder;

    @BeforeEach
    void whole() throws IOException {
        SmallPackage.write(folder);
    }

    private Refused refused() {
        return catchThrowableOfType(Refused.class, () -> PackageReader.read(folder));
    }

    /** File, its new content (| ends a line, empty deletes the file), the one fault. */
    @ParameterizedTest(name = "{2}")
    @CsvSource(
            delimiter = ';',
            value = {
                "datapackage.json; ; datapackage.json: missing, expected a tabular data package's description",
                "datapackage.json; {|no; 'datapackage.json:2: not JSON, expected a tabular data package''s description'",
                "waters.csv; ; waters.csv: missing, expected this file in every package",
                "waters.csv; '   '; waters.csv: empty, expected a header row",
                "anglers.csv; 'name|Nessa|'; anglers.csv:1: angler_id: column missing, expected in the header",
                "anglers.csv; 'angler_id,name,name|a1,b,c|'; anglers.csv:1: name: column stands twice, expected once",
                "anglers.csv; 'angler_id,name|a1|'; 'anglers.csv:2: 1 cells, expected 2 as in the header'",
                "anglers.csv; 'angler_id,name|a1,Nessa|a1,Bram|'; 'anglers.csv:3: angler_id: \"a1\" stands "
                        + "twice, expected an id of its own in each row'",
                "anglers.csv; 'angler_id,name|a1,\"Nes\"sa|'; 'anglers.csv:2: broken quoting, expected cells "
                        + "with commas or quotes in double quotes, quotes doubled'",
                "waters.csv; 'water_id,name,kind|w1,Tarn,puddle|'; 'waters.csv:2: kind: \"puddle\" is not a "
                        + "word of this column, expected one of: reservoir, lake, river, canal, estuary, pond'",
                "waters.csv; 'water_id,name,kind|w1,,lake|'; 'waters.csv:2: name: empty, expected a value'",
                "waters.csv; 'water_id,name,kind,time_zone|w1,Tarn,lake,Nowhere/Land|'; 'waters.csv:2: "
                        + "time_zone: \"Nowhere/Land\" is not a time zone, expected one like Europe/Dublin or UTC'",
                "spots.csv; 'spot_id,water_id,latitude,longitude|s1,w1,44.1,|'; 'spots.csv:2: longitude: "
                        + "empty, expected both latitude and longitude or neither'",
                "spots.csv; 'spot_id,water_id,latitude,longitude|s1,w1,94.1,1|'; 'spots.csv:2: latitude: A "
                        + "latitude must lie from -90 to 90, not 94.1.'",
                "spots.csv; 'spot_id,water_id|s1,w9|'; 'spots.csv:2: water_id: \"w9\" is not in waters.csv, expected an id that is'",
                "setups.csv; 'setup_id,rig,from_setup_id|u1,texas rig,u1|'; 'setups.csv:2: from_setup_id: "
                        + "\"u1\" is itself, expected another set-up'",
                "setups.csv; 'setup_id,rig,head_mass_g|u1,texas rig,heavy|'; 'setups.csv:2: head_mass_g: "
                        + "\"heavy\" is not a number, expected one like 12.5'",
                "setups.csv; 'setup_id,rig,head_mass_g|u1,texas rig,-3|'; 'setups.csv:2: head_mass_g: A mass "
                        + "must be above 0 g, not -3.0 g.'",
                "trips.csv; 'trip_id,water_id,started_at|t1,w1,2026-05-01 06:00|'; 'trips.csv:2: started_at: "
                        + "\"2026-05-01 06:00\" is not a time with offset, expected one like 2026-05-01T18:30:00+01:00'",
                "trips.csv; 'trip_id,water_id,started_at,ended_at|t1,w1,2026-05-01T06:00:00Z,2026-05-01T05:00:00Z|'; "
                        + "'trips.csv:2: ended_at: 2026-05-01T05:00:00Z is before the start, expected 2026-05-01T06:00:00Z or later'",
                "stints.csv; 'stint_id,trip_id,angler_id,setup_id,started_at,minutes,bites,hooked|"
                        + "x1,t1,a1,u1,2026-05-01T06:00:00Z,0,1,1|'; "
                        + "'stints.csv:2: minutes: 0 is out of range, expected 0.1 to 1440'",
                "stints.csv; 'stint_id,trip_id,angler_id,setup_id,started_at,minutes,bites,hooked|"
                        + "x1,t1,a1,u1,2027-05-01T06:00:00Z,30,1,1|'; "
                        + "'stints.csv:2: started_at: more than 14 days from its trip''s start, expected a time near "
                        + "2026-05-01T06:00:00Z'",
                "stints.csv; 'stint_id,trip_id,angler_id,setup_id,started_at,minutes,bites,hooked|"
                        + "x1,t1,a1,u1,2026-05-01T06:00:00Z,30,0,1|'; "
                        + "'stints.csv:2: bites: 0 is fewer than hooked, expected 1 or more'",
                "stints.csv; 'stint_id,trip_id,angler_id,setup_id,started_at,minutes,bites,hooked|"
                        + "x1,t1,a1,u1,2026-05-01T06:00:00Z,30,1,0|'; "
                        + "'stints.csv:2: hooked: 0 is fewer than the fish landed, expected 1 or more'",
                "catches.csv; 'catch_id,stint_id,species,count|c1,x1,largemouth,2.5|'; 'catches.csv:2: count: "
                        + "\"2.5\" is not a whole number, expected one like 3'",
                "catches.csv; 'catch_id,stint_id,species,kept|c1,x1,largemouth,yes|'; 'catches.csv:2: kept: "
                        + "\"yes\" is neither, expected true or false'",
                "catches.csv; 'catch_id,stint_id,species,length_how|c1,x1,largemouth,guessed|'; "
                        + "'catches.csv:2: length_how: \"guessed\" is not a word of this column, expected one of: "
                        + "measured, estimated'",
                "losses.csv; 'loss_id,stint_id,cause|l1,x1,knot|'; 'stints.csv:2: hooked: 1 is fewer than "
                        + "landed and lost together, expected 2 or more'",
                "touches.csv; 'touch_id,stint_id,at,kind|k1,x1,2026-05-01T06:05:00Z,follow|'; 'stints.csv:2: "
                        + "follows: 0 is fewer than its touches, expected 1 or more'",
                "signs.csv; 'sign_id,trip_id,at,kind|g1,t1,2026-05-01T06:05:00Z,whale|'; 'signs.csv:2: kind: "
                        + "\"whale\" is not a word of this column, expected one of: bait showing, fish breaking, birds, "
                        + "fish on sonar, prey seen, none'",
                "readings.csv; 'reading_id,trip_id,at,water_temp_c|r1,t1,2026-05-01T06:05:00Z,58|'; "
                        + "'readings.csv:2: water_temp_c: 58 is out of range, expected -2 to 45'",
                "rods.csv; 'rod_id,lure_min_g,lure_max_g|o1,20,10|'; 'rods.csv:2: lure_max_g: less than "
                        + "lure_min_g, expected the higher of the two'",
            })
    void oneFaultIsSaidWithItsPlace(String file, String content, String fault) throws IOException {
        if (content == null) {
            Files.delete(folder.resolve(file));
        } else {
            Files.writeString(folder.resolve(file), content.replace('|', '\n'));
        }
        assertThat(refused().faults().stream().map(Fault::toString).distinct()).contains(fault);
    }

    @Test
    void allFaultsAreSaidAtOnceAndALineIsTheLineOfTheFile() throws IOException {
        Files.writeString(
                folder.resolve("trips.csv"),
                "trip_id,water_id,started_at,note\n"
                        + "t1,w1,2026-05-01T06:00:00Z,\"two\nlines\"\n"
                        + "t2,w7,yesterday,\n"
                        + ",w1,2026-05-01T06:00:00Z,\n");
        Files.writeString(folder.resolve("waters.csv"), "water_id,name,kind\nw1,Tarn,lake\nw2,,sea\n");
        assertThat(refused().faults().stream().map(Fault::toString))
                .containsExactly(
                        "waters.csv:3: name: empty, expected a value",
                        "waters.csv:3: kind: \"sea\" is not a word of this column, expected one of: reservoir, "
                                + "lake, river, canal, estuary, pond",
                        "trips.csv:4: started_at: \"yesterday\" is not a time with offset, expected one like 2026-05-01T18:30:00+01:00",
                        "trips.csv:5: trip_id: empty, expected a value");
    }

    @Test
    void bytesThatAreNotUtf8AreFoundByLine() throws IOException {
        Files.write(
                folder.resolve("anglers.csv"), "angler_id,name\na1,N\u00e4ssa\n".getBytes(StandardCharsets.ISO_8859_1));
        assertThat(refused().faults().get(0)).hasToString("anglers.csv:2: not UTF-8, expected the file saved as UTF-8");
    }

    @Test
    void aFileThatIsNoArchiveIsRefusedByItsName() throws IOException {
        Path file = folder.resolve("notes.zip");
        Files.writeString(file, "not a zip");
        Refused refused = catchThrowableOfType(Refused.class, () -> PackageReader.read(file));
        assertThat(refused)
                .hasMessage("notes.zip: not a zip archive, expected a folder or a .zip with datapackage.json");
    }

    @Test
    void anArchiveMayHoldThePackageInAFolder() throws Exception {
        Path file = folder.resolve("club.zip");
        try (ZipOutputStream zip = new ZipOutputStream(Files.newOutputStream(file))) {
            try (var entries = Files.newDirectoryStream(folder, "*.{csv,json}")) {
                for (Path entry : entries) {
                    zip.putNextEntry(new ZipEntry("club/" + entry.getFileName()));
                    zip.write(Files.readAllBytes(entry));
                }
            }
        }
        assertThat(PackageReader.read(file).ledger().stints()).hasSize(1);
    }

    private byte[] zipped() throws IOException {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(bytes);
                var entries = Files.newDirectoryStream(folder, "*.{csv,json}")) {
            for (Path entry : entries) {
                zip.putNextEntry(new ZipEntry(String.valueOf(entry.getFileName())));
                zip.write(Files.readAllBytes(entry));
            }
        }
        return bytes.toByteArray();
    }

    private static Refused refused(byte[] zip, Room room) {
        return catchThrowableOfType(
                Refused.class, () -> PackageReader.read("club.zip", new ByteArrayInputStream(zip), room));
    }

    @Test
    void anArchiveCutShortIsSaidToBeSo() throws IOException {
        byte[] zip = zipped();
        assertThat(refused(Arrays.copyOf(zip, zip.length / 3), Room.ofHeap()))
                .hasMessage("club.zip: cut short, expected the whole .zip; send or copy it again");
    }

    @Test
    void noMoreIsTakenInThanThereIsRoomFor() throws IOException {
        byte[] zip = zipped();
        assertThat(refused(zip, new Room(200, 1000)))
                .hasMessage(
                        "club.zip: over 0 MiB unpacked, which is what there is memory for, expected a smaller package");
        assertThat(refused(zip, new Room(1 << 20, 9)).faults().get(0).toString())
                .contains(
                        "more rows than there is memory for, expected a smaller package or a server with more memory");
        assertThat(catchThrowableOfType(
                        Refused.class,
                        () -> PackageReader.read("club.zip", new ByteArrayInputStream(zip), new Room(1 << 20, 1000))))
                .isNull();
    }

    /** A file that is wrong in every row is counted and not kept. */
    @Test
    void faultsAreCountedAndTheFirstTwoHundredTold() throws IOException {
        StringBuilder anglers = new StringBuilder("angler_id,name\n");
        for (int i = 0; i < 5000; i++) {
            anglers.append("a b").append(i).append(",Nessa\n");
        }
        Files.writeString(folder.resolve("anglers.csv"), anglers);
        Refused refused = refused();
        // the stint's angler is not there either
        assertThat(refused.count()).isEqualTo(5001);
        assertThat(refused.faults()).hasSize(200);
        assertThat(refused.getMessage()).endsWith("\nand 4801 more");
    }

    @Test
    void aTripStillToComeIsNotStored() throws Exception {
        Instant before = Instant.parse("2026-04-30T06:00:00Z");
        Refused refused = catchThrowableOfType(Refused.class, () -> PackageReader.toStore(folder, before));
        assertThat(refused).hasMessage("trips.csv:2: started_at: still to come, expected a trip that has begun");
        assertThat(PackageReader.toStore(folder, before.plus(Duration.ofDays(1)))
                        .ledger()
                        .trips())
                .hasSize(1);
    }
}
