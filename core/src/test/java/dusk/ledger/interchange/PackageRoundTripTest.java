package dusk.ledger.interchange;

import static org.assertj.core.api.Assertions.assertThat;

import dusk.ledger.demo.DemoClub;
import dusk.ledger.journal.Ledger;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Objects;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class PackageRoundTripTest {
    @TempDir
    Path folder;

    @ParameterizedTest
    @ValueSource(strings = {"package", "package.zip"})
    void whatIsWrittenIsRead(String name) throws Exception {
        Ledger ledger = DemoClub.ledger(3);
        PackageWriter.write(ledger, "a test", folder.resolve(name));
        assertThat(PackageReader.read(folder.resolve(name)).ledger()).isEqualTo(ledger);
    }

    @ParameterizedTest
    @ValueSource(strings = {"pkg-a", "pkg-b", "pkg-c"})
    void aPackageOfAnotherMakerKeepsItsRecords(String name) throws Exception {
        Path there = Path.of(Objects.requireNonNull(getClass().getResource("/vectors/" + name))
                .toURI());
        PackageReading reading = PackageReader.read(there);
        PackageWriter.write(reading.ledger(), name, folder.resolve(name));
        assertThat(PackageReader.read(folder.resolve(name)).ledger()).isEqualTo(reading.ledger());
        assertThat(reading.wordsOutside()).isEmpty();
    }

    @Test
    void unknownFilesAndColumnsAreKeptOutAndSaid() throws Exception {
        small();
        Files.writeString(folder.resolve("diary.csv"), "a,b\n1,2\n");
        Files.writeString(folder.resolve("anglers.csv"), "angler_id,name,shoe_size\na1,Nessa,44\n");
        PackageReading reading = PackageReader.read(folder);
        assertThat(reading.keptOut()).containsExactlyInAnyOrder("diary.csv", "anglers.csv: shoe_size");
    }

    @Test
    void wordsOutsideTheVocabularyAreKeptAndListed() throws Exception {
        small();
        Files.writeString(folder.resolve("setups.csv"), "setup_id,rig,colour\nu1,texas rig,greenish\n");
        PackageReading reading = PackageReader.read(folder);
        assertThat(reading.ledger().setUps().get(0).colour()).isEqualTo("greenish");
        assertThat(reading.wordsOutside().get("colour")).containsExactly("greenish");
    }

    @Test
    void aByteOrderMarkAndOtherLineEndsAreNoFault() throws Exception {
        small();
        Files.writeString(folder.resolve("anglers.csv"), "\uFEFFangler_id,name\r\na1,Nessa\r\n\r\n");
        assertThat(PackageReader.read(folder).ledger().anglers()).hasSize(1);
    }

    private void small() throws IOException {
        SmallPackage.write(folder);
    }
}
