package dusk.ledger.interchange;

import static org.assertj.core.api.Assertions.assertThat;

import dusk.ledger.demo.DemoClub;
import dusk.ledger.journal.Drop;
import dusk.ledger.journal.Ledger;
import dusk.ledger.journal.Rule;
import dusk.ledger.journal.SetUp;
import dusk.ledger.journal.Stint;
import dusk.ledger.journal.Trip;
import dusk.ledger.units.Length;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/**
 * Packages spoilt by lot, each with its own seed: every one is refused with its faults, or read whole, and some of
 * those written and read again as the same. More of them with {@code -Ddusk.mutations=1000000}.
 */
class MutatedPackagesTest {
    private static final int MUTATIONS = Integer.getInteger("dusk.mutations", 10_000);

    /** One in so many that are read is written and read again. */
    private static final int WRITTEN = 4;

    private static final List<String> CELLS = List.of(
            "",
            " ",
            "0",
            "-1",
            "1e308",
            "1e-320",
            "NaN",
            "Infinity",
            "999999999999",
            "2.5",
            "0x10",
            "true",
            "TRUE",
            "=1+1",
            "'=1",
            "''@x",
            "-",
            "+",
            "\u0000",
            "a\u0000b",
            "\u001b[2J",
            "\ud800",
            "é",
            "\u2028",
            "\"",
            "\"\"\"",
            ",",
            "-999999999-01-01T00:00:00Z",
            "+999999999-12-31T23:59:59Z",
            "2026-02-30T00:00:00Z",
            "2026-05-01T06:00:00+18:00",
            "Moon/Base",
            "x".repeat(20_000),
            "../../etc",
            "<script>",
            "null",
            "\uFEFF");

    private static final Map<String, byte[]> WHOLE = new LinkedHashMap<>();

    @BeforeAll
    static void write() throws IOException {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        PackageWriter.writeZip(few(DemoClub.ledger(3)), "a test", bytes);
        try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(bytes.toByteArray()))) {
            for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
                byte[] file = zip.readAllBytes();
                assertThat(new String(file, StandardCharsets.UTF_8).lines())
                        .as("lines of " + entry.getName())
                        .hasSizeGreaterThan(1);
                WHOLE.put(entry.getName(), file);
            }
        }
    }

    /** A trip that has of everything, with what hangs on it: small enough to be spoilt ten thousand times. */
    private static Ledger few(Ledger all) {
        Set<String> tripIds = Set.of(all.signs().get(0).tripId());
        List<Trip> trips =
                all.trips().stream().filter(t -> tripIds.contains(t.id())).toList();
        List<Stint> stints =
                all.stints().stream().filter(s -> tripIds.contains(s.tripId())).toList();
        Set<String> stintIds = stints.stream().map(Stint::id).collect(Collectors.toSet());
        Set<String> spots = stints.stream().map(Stint::spotId).collect(Collectors.toSet());
        Set<String> setUps = stints.stream().map(Stint::setUpId).collect(Collectors.toSet());
        // what a set-up came from is there too
        for (int i = all.setUps().size() - 1; i >= 0; i--) {
            SetUp setUp = all.setUps().get(i);
            if (setUps.contains(setUp.id()) && setUp.fromSetUpId() != null) {
                setUps.add(setUp.fromSetUpId());
            }
        }
        return new Ledger(
                all.anglers(),
                all.waters(),
                all.spots().stream().filter(s -> spots.contains(s.id())).toList(),
                all.setUps().stream().filter(s -> setUps.contains(s.id())).toList(),
                all.rods(),
                trips,
                all.readings().stream()
                        .filter(r -> tripIds.contains(r.tripId()))
                        .toList(),
                stints,
                all.catches().stream()
                        .filter(c -> stintIds.contains(c.stintId()))
                        .toList(),
                all.touches().stream()
                        .filter(t -> stintIds.contains(t.stintId()))
                        .toList(),
                all.signs().stream().filter(g -> tripIds.contains(g.tripId())).toList(),
                all.losses().stream()
                        .filter(l -> stintIds.contains(l.stintId()))
                        .toList(),
                List.of(new Drop(
                        "counted",
                        stints.get(0).setUpId(),
                        null,
                        stints.get(0).startedAt(),
                        7.5,
                        Length.ofMetres(4),
                        false,
                        "counted aloud")),
                List.of(new Rule(
                        "rule",
                        trips.get(0).waterId(),
                        "perch",
                        Length.ofMillimetres(200),
                        Length.ofMillimetres(300),
                        Length.ofMillimetres(350),
                        "03-15",
                        "06-15",
                        5,
                        null,
                        Length.ofMillimetres(900),
                        "two rods",
                        "no live bait",
                        null)));
    }

    private static byte[] zipped(Map<String, byte[]> files) throws IOException {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(bytes)) {
            zip.setLevel(0);
            for (Map.Entry<String, byte[]> file : files.entrySet()) {
                zip.putNextEntry(new ZipEntry(file.getKey()));
                zip.write(file.getValue());
            }
        }
        return bytes.toByteArray();
    }

    private static byte[] spoilt(Random lot) throws IOException {
        Map<String, byte[]> files = new LinkedHashMap<>(WHOLE);
        int times = 1 + lot.nextInt(3);
        for (int i = 0; i < times; i++) {
            List<String> names = new ArrayList<>(files.keySet());
            if (names.isEmpty()) {
                break;
            }
            String name = names.get(lot.nextInt(names.size()));
            byte[] changed = spoilt(files.get(name), lot);
            if (changed.length == 0 && lot.nextBoolean()) {
                files.remove(name);
            } else {
                files.put(lot.nextInt(40) == 0 ? "../" + name : name, changed);
            }
        }
        byte[] zip = zipped(files);
        return switch (lot.nextInt(12)) {
            case 0 -> Arrays.copyOf(zip, lot.nextInt(zip.length));
            case 1 -> flipped(zip, lot);
            default -> zip;
        };
    }

    private static byte[] flipped(byte[] bytes, Random lot) {
        byte[] flipped = bytes.clone();
        for (int i = 0; i <= lot.nextInt(4) && flipped.length > 0; i++) {
            flipped[lot.nextInt(flipped.length)] ^= (byte) (1 << lot.nextInt(8));
        }
        return flipped;
    }

    private static byte[] spoilt(byte[] bytes, Random lot) {
        List<String> lines = new ArrayList<>(
                new String(bytes, StandardCharsets.UTF_8).lines().toList());
        int at = lines.isEmpty() ? 0 : lot.nextInt(lines.size());
        switch (lines.isEmpty() ? 0 : lot.nextInt(8)) {
            case 0 -> {
                return flipped(bytes, lot);
            }
            case 1 -> {
                return new byte[0];
            }
            case 2 -> lines.remove(at);
            case 3 -> lines.add(lot.nextInt(lines.size() + 1), lines.get(at));
            case 4 -> Collections.swap(lines, at, lot.nextInt(lines.size()));
            case 5 -> lines.set(at, lines.get(at) + (lot.nextBoolean() ? ",more" : "\""));
            default -> {
                String[] cells = lines.get(at).split(",", -1);
                cells[lot.nextInt(cells.length)] = CELLS.get(lot.nextInt(CELLS.size()));
                lines.set(at, String.join(",", cells));
            }
        }
        return String.join("\r\n", lines).getBytes(StandardCharsets.UTF_8);
    }

    @Test
    void everyOneIsRefusedWithItsFaultsOrReadWhole() throws Exception {
        assertThat(read(zipped(WHOLE))).as("before it is spoilt").isNotNull();
        long refused = IntStream.range(0, MUTATIONS)
                .parallel()
                .filter(MutatedPackagesTest::refused)
                .count();
        assertThat(refused).as("refused ones").isBetween(MUTATIONS / 2L, MUTATIONS - 1L);
    }

    private static boolean refused(int seed) {
        try {
            Ledger ledger = read(spoilt(new Random(seed)));
            if (ledger != null && seed % WRITTEN == 0) {
                ByteArrayOutputStream again = new ByteArrayOutputStream();
                PackageWriter.writeZip(ledger, "again", again);
                assertThat(read(again.toByteArray())).isEqualTo(ledger);
            }
            return ledger == null;
        } catch (Exception | StackOverflowError | OutOfMemoryError | AssertionError e) {
            throw new AssertionError("the package of seed " + seed, e);
        }
    }

    /** Null where it is refused. */
    private static Ledger read(byte[] zip) throws IOException {
        try {
            return PackageReader.read("spoilt.zip", new ByteArrayInputStream(zip))
                    .ledger();
        } catch (Refused e) {
            boolean said = e.count() > 0
                    && e.faults().stream().noneMatch(f -> f.message().isBlank());
            assertThat(said).as("faults with their words").isTrue();
            return null;
        }
    }
}
