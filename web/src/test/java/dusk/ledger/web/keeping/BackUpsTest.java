package dusk.ledger.web.keeping;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dusk.ledger.web.TestClub;
import dusk.ledger.web.store.Store;
import dusk.ledger.web.store.StoreFault;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.time.Duration;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** One back-up a night, the newest kept; and what is said of how things are. */
class BackUpsTest {
    @TempDir
    Path folder;

    private TestClub club;
    private BackUps backUps;

    @BeforeEach
    void open() {
        club = new TestClub(folder);
        backUps = of(3);
    }

    @AfterEach
    void close() {
        club.close();
    }

    private BackUps of(int nights) {
        return new BackUps(folder.resolve("club.db"), "", nights, club.clock);
    }

    private Health health(BackUps of) {
        return new Health(club.get(Store.class), folder.resolve("club.db"), of, club.clock);
    }

    @Test
    void theNewestNightsAreKeptAndWhatWasMadeByHandStays() throws Exception {
        backUps.make("hand");
        Path foreign =
                Files.writeString(folder.resolve("backups").resolve("dusk-night-mine.db"), "not ours to take away");
        for (int night = 0; night < 5; night++) {
            club.clock.turn(Duration.ofDays(1));
            backUps.nightly();
        }
        assertThat(backUps.all()).filteredOn(BackUps.Kept::night).hasSize(3);
        assertThat(backUps.all()).filteredOn(k -> !k.night()).hasSize(1);
        assertThat(backUps.all()).isSortedAccordingTo((a, b) -> b.at().compareTo(a.at()));
        assertThat(backUps.age()).contains(Duration.ZERO);
        assertThat(foreign).exists();
    }

    @Test
    void noneIsMadeWhereNoNightIsKept() {
        BackUps none = of(0);
        none.nightly();
        assertThat(none.all()).isEmpty();
    }

    @Test
    void oneThatCannotBeMadeIsToldUntilOneIs() throws Exception {
        Path there = Files.writeString(folder.resolve("backups"), "a file where the folder should be");
        assertThatThrownBy(() -> backUps.make("hand")).isInstanceOf(StoreFault.class);
        backUps.nightly();
        assertThat(health(backUps).now().worries())
                .singleElement()
                .asString()
                .startsWith("The last back-up was not made: ");
        Files.delete(there);
        backUps.make("hand");
        assertThat(health(backUps).now().worries()).isEmpty();
    }

    @Test
    void nightsWithoutABackUpAreTold() {
        Health health = health(backUps);
        assertThat(health.now().worries()).as("just started").isEmpty();
        club.clock.turn(Duration.ofDays(3));
        assertThat(health.now().worries()).containsExactly("There is no back-up of the last two nights.");
        backUps.nightly();
        assertThat(health.now().worries()).isEmpty();
        assertThat(health.now().well()).isTrue();
        assertThat(health.now().storeBytes()).isPositive();
    }

    @Test
    void aStoreThatWasTakenAwayIsNotWell() throws Exception {
        Health health = health(backUps);
        Files.move(folder.resolve("club.db"), folder.resolve("elsewhere.db"));
        assertThat(health.now().well()).isFalse();
        assertThat(health.now().worries().get(0)).contains("was taken away or replaced");
        // a reader that looked meanwhile has made an empty file of the name
        Files.move(folder.resolve("elsewhere.db"), folder.resolve("club.db"), StandardCopyOption.REPLACE_EXISTING);
        assertThat(health.now().well()).isTrue();
    }
}
