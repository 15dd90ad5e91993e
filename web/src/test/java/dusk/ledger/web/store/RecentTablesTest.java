package dusk.ledger.web.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.awaitility.Awaitility.await;

import dusk.ledger.format.LedgerFormat;
import dusk.ledger.journal.StintBuilder;
import dusk.ledger.journal.TripBuilder;
import dusk.ledger.stints.StintTable;
import dusk.ledger.web.TestClub;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.CountDownLatch;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.beans.factory.support.DefaultListableBeanFactory;

/** Whose page shows which records while others write. */
class RecentTablesTest {
    private static final Duration AGE = Duration.ofSeconds(10);

    @TempDir
    Path folder;

    private TestClub club;
    private RecentTables recent;
    private final DefaultListableBeanFactory beans = new DefaultListableBeanFactory();
    private int stints;

    @BeforeEach
    void open() {
        club = new TestClub(folder);
        recent = recent(AGE);
        club.store(
                LedgerFormat.TRIPS,
                List.of(TripBuilder.builder()
                        .id("p")
                        .waterId(club.lake.id())
                        .startedAt(Instant.parse("2026-05-01T06:00:00Z"))
                        .build()));
        log();
    }

    @AfterEach
    void close() throws Exception {
        recent.end();
        club.close();
    }

    private RecentTables recent(Duration age) {
        return new RecentTables(
                club.get(Store.class),
                club.get(ClubTables.class),
                club.get(Sharing.class),
                club.clock,
                age.toSeconds(),
                beans.getBeanProvider(RecentTables.Renewal.class));
    }

    private void log() {
        stints++;
        club.store(
                LedgerFormat.STINTS,
                List.of(StintBuilder.builder()
                        .id("s" + stints)
                        .tripId("p")
                        .anglerId(String.valueOf(club.guide.anglerId()))
                        .spotId(club.point.id())
                        .setUpId(club.jig.id())
                        .startedAt(Instant.parse("2026-05-01T06:00:00Z").plusSeconds(60L * stints))
                        .minutes(1.0)
                        .build()));
    }

    private int seenBy(Viewer viewer) {
        return recent.of(viewer).size();
    }

    @Test
    void whoHasChangedSomethingSeesItAtOnceAndOthersAMomentLater() {
        assertThat(seenBy(club.member.viewer())).isEqualTo(1);
        log();
        recent.changed(club.guide.viewer());
        assertThat(seenBy(club.guide.viewer())).isEqualTo(2);
        assertThat(recent.shared(club.guide.viewer()).version()).isEqualTo(versionNow());
        assertThat(seenBy(club.member.viewer())).isEqualTo(1);
        assertThat(recent.forOrder(club.guide.viewer()).size()).isEqualTo(1);
        club.clock.turn(AGE);
        await().untilAsserted(() -> assertThat(seenBy(club.member.viewer())).isEqualTo(2));
        assertThat(recent.forOrder(club.guide.viewer()).size()).isEqualTo(2);
    }

    private long versionNow() {
        return club.get(Store.class).version(club.guide.clubId());
    }

    @Test
    void theNextTableIsMadeReadyBeforeItIsShownAndNobodyWaitsForIt() throws InterruptedException {
        CountDownLatch ready = new CountDownLatch(1);
        List<List<StintTable>> prepared = new CopyOnWriteArrayList<>();
        beans.registerSingleton("slow", (RecentTables.Renewal) (before, next) -> {
            prepared.add(List.of(before, next));
            try {
                ready.await();
            } catch (InterruptedException e) {
                throw new IllegalStateException(e);
            }
        });
        StintTable first = recent.of(club.member.viewer());
        log();
        club.clock.turn(AGE);
        for (int reader = 0; reader < 5; reader++) {
            assertThat(recent.of(club.member.viewer())).isSameAs(first);
        }
        await().until(() -> !prepared.isEmpty());
        assertThat(recent.of(club.member.viewer())).isSameAs(first);
        ready.countDown();
        await().untilAsserted(() -> assertThat(seenBy(club.member.viewer())).isEqualTo(2));
        // by one of the five, for all of them
        assertThat(prepared).singleElement().isEqualTo(List.of(first, recent.of(club.member.viewer())));
    }

    @Test
    void aTableThatNobodyLookedAtForLongIsNotShownAsItWas() {
        assertThat(seenBy(club.member.viewer())).isEqualTo(1);
        log();
        club.clock.turn(Duration.ofMinutes(1));
        assertThat(seenBy(club.member.viewer())).isEqualTo(2);
    }

    @Test
    void aTableOfRecordsThatNobodyChangesIsNeverOld() {
        StintTable first = recent.of(club.member.viewer());
        club.clock.turn(Duration.ofDays(3));
        assertThat(recent.of(club.member.viewer())).isSameAs(first);
        log();
        assertThat(recent.of(club.member.viewer())).isSameAs(first);
    }

    @Test
    void aRenewalThatFailsLeavesPagesAsTheyWereUntilTheyAreTooOld() {
        beans.registerSingleton("failing", (RecentTables.Renewal) (before, next) -> {
            throw new IllegalStateException("for the test");
        });
        assertThat(seenBy(club.member.viewer())).isEqualTo(1);
        log();
        club.clock.turn(AGE);
        assertThat(seenBy(club.member.viewer())).isEqualTo(1);
        club.clock.turn(AGE.multipliedBy(5));
        assertThat(seenBy(club.member.viewer())).isEqualTo(2);
    }

    @Test
    void withoutAnAgeEveryoneSeesTheRecordsAsTheyAre() {
        RecentTables now = recent(Duration.ZERO);
        assertThat(now.of(club.member.viewer()).size()).isEqualTo(1);
        log();
        assertThat(now.of(club.member.viewer()).size()).isEqualTo(2);
        assertThat(now.leftOut(club.member.viewer())).isEmpty();
        now.end();
    }

    @Test
    void anotherClubHasItsOwn() {
        assertThat(seenBy(club.member.viewer())).isEqualTo(1);
        assertThat(seenBy(club.stranger.viewer())).isZero();
    }

    @Test
    void whatIsReadWithinAWriteThatComesToNothingIsShownToNobody() {
        String clubId = club.guide.clubId();
        assertThatThrownBy(() -> club.get(Store.class).write(clubId, tx -> {
                    log();
                    seenBy(club.member.viewer());
                    throw new IllegalStateException("for the test");
                }))
                .hasMessage("for the test");
        assertThat(seenBy(club.member.viewer())).isEqualTo(1);
    }
}
