package dusk.ledger.sheets;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dusk.ledger.interchange.Refused;
import dusk.ledger.interchange.Room;
import dusk.ledger.journal.Consistency;
import dusk.ledger.journal.Ledger;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.List;
import java.util.Random;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Files that are damaged, crafted or no spreadsheets at all: refused or read, never anything else. */
class SpoiltSheetsTest {
    private static final int MUTATIONS = Integer.getInteger("dusk.mutations", 10_000) / 2;
    private static final Instant NOW = Instant.parse("2026-01-01T12:00:00Z");
    private static final Room ROOM = new Room(4 << 20, 5000);

    private static byte[] bytes(String name) throws IOException {
        try (InputStream in = SpoiltSheetsTest.class.getResourceAsStream("/sheets/" + name)) {
            return in.readAllBytes();
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"merrow-fish.xlsx", "sallow-stints.csv"})
    void tenThousandMutationsAreRefusedOrRead(String name) throws Exception {
        byte[] sound = bytes(name);
        int read = 0;
        for (int seed = 0; seed < MUTATIONS; seed++) {
            Random random = new Random(seed);
            byte[] spoilt = spoilt(sound, random);
            try {
                SheetFile file = SheetReader.read(name, spoilt, ROOM);
                MappingGuess guess = new MappingGuess(Ledger.empty(), List.of());
                Brought brought = Bringing.of(file, guess.all(file), Ledger.empty(), NOW);
                assertThat(Consistency.breaches(brought.ledger()))
                        .as("seed " + seed)
                        .isEmpty();
                read++;
            } catch (Refused e) {
                assertThat(e.faults()).as("seed " + seed).isNotEmpty().allSatisfy(f -> {
                    assertThat(f.file()).isEqualTo(name);
                    assertThat(f.message()).contains("expected");
                });
            } catch (RuntimeException | Error e) {
                throw new AssertionError("seed " + seed + " of " + name, e);
            }
        }
        assertThat(read).isBetween(1, MUTATIONS - 1 + (name.endsWith("csv") ? 1 : 0));
    }

    /** Bytes changed, cut out, doubled, or the end cut off. */
    private static byte[] spoilt(byte[] sound, Random random) {
        byte[] spoilt = sound.clone();
        for (int i = 0; i <= random.nextInt(6); i++) {
            int at = random.nextInt(spoilt.length);
            switch (random.nextInt(4)) {
                case 0 -> spoilt[at] = (byte) random.nextInt(256);
                case 1 -> spoilt[at] ^= (byte) (1 << random.nextInt(8));
                case 2 -> spoilt = without(spoilt, at, 1 + random.nextInt(20));
                default -> spoilt = doubled(spoilt, at, 1 + random.nextInt(20));
            }
        }
        return random.nextInt(8) == 0 ? without(spoilt, random.nextInt(spoilt.length), spoilt.length) : spoilt;
    }

    private static byte[] without(byte[] bytes, int at, int length) {
        ByteArrayOutputStream left = new ByteArrayOutputStream();
        left.write(bytes, 0, at);
        int behind = Math.min(bytes.length, at + length);
        left.write(bytes, behind, bytes.length - behind);
        return left.size() == 0 ? new byte[] {'x'} : left.toByteArray();
    }

    private static byte[] doubled(byte[] bytes, int at, int length) {
        ByteArrayOutputStream more = new ByteArrayOutputStream();
        int end = Math.min(bytes.length, at + length);
        more.write(bytes, 0, end);
        more.write(bytes, at, bytes.length - at);
        return more.toByteArray();
    }

    private static byte[] zip(String entry, byte[] content) throws IOException {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(bytes)) {
            zip.putNextEntry(new ZipEntry("[Content_Types].xml"));
            zip.write("<Types/>".getBytes(StandardCharsets.UTF_8));
            zip.putNextEntry(new ZipEntry(entry));
            zip.write(content);
        }
        return bytes.toByteArray();
    }

    private static void refused(byte[] bytes, String message) {
        assertThatThrownBy(() -> SheetReader.read("book.xlsx", bytes, ROOM))
                .isInstanceOf(Refused.class)
                .hasMessageContaining(message);
    }

    @Test
    void aWorkbookThatUnpacksToMoreThanThereIsRoomForIsRefused() throws Exception {
        byte[] bomb = zip("xl/worksheets/sheet1.xml", new byte[8 << 20]);
        assertThat(bomb.length).isLessThan(20_000);
        refused(bomb, "book.xlsx: over 4 MiB unpacked, which is what there is memory for, expected a smaller file");
    }

    @Test
    void pathsThatLeadOutAndDocumentTypesAreRefused() throws Exception {
        refused(zip("../../etc/passwd", new byte[1]), "holds a path that leads out of it");
        byte[] entities =
                "<?xml version=\"1.0\"?><!DOCTYPE x [<!ENTITY a \"b\">]><x>&a;</x>".getBytes(StandardCharsets.UTF_8);
        refused(zip("xl/workbook.xml", entities), "declares a document type");
    }

    @Test
    void whatIsNoSpreadsheetIsToldSo() {
        refused(
                new byte[] {(byte) 0xd0, (byte) 0xcf, 0x11, (byte) 0xe0},
                "an old workbook (.xls), expected a .xlsx or a CSV file");
        refused("\n\n  \n".getBytes(StandardCharsets.UTF_8), "empty, expected a sheet with a header row");
        refused(new byte[] {'a', 0, 'b'}, "not text, expected a CSV file or a .xlsx workbook");
        refused("PK".getBytes(StandardCharsets.UTF_8), "cut short or damaged, expected the whole .xlsx");
        refused("x".repeat(5 << 20).getBytes(StandardCharsets.UTF_8), "over 4 MiB");
        refused(("a" + ",a".repeat(500) + "\n").getBytes(StandardCharsets.UTF_8), "more than 400 columns");
        refused("a,b\n".repeat(6000).getBytes(StandardCharsets.UTF_8), "more rows than there is memory for");
    }

    @ParameterizedTest
    @ValueSource(strings = {"UTF-8", "UTF-16LE", "UTF-16BE", "windows-1252"})
    void lettersAreReadInWhateverTheyAreWritten(String charset) throws Exception {
        String text = "Date;Water;Pike\n2024-05-01;Möwensee;2\n";
        String mark = charset.startsWith("UTF-16") ? "\uFEFF" : "";
        SheetFile file = SheetReader.read("a.csv", (mark + text).getBytes(charset));
        assertThat(file.delimiter()).isEqualTo(";");
        assertThat(file.sheets().get(0).lines().get(1).cells()).containsExactly("2024-05-01", "Möwensee", "2");
    }
}
