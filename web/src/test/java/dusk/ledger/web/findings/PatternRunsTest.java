package dusk.ledger.web.findings;

import static org.assertj.core.api.Assertions.assertThat;

import dusk.ledger.demo.DemoClub;
import dusk.ledger.format.LedgerFormat;
import dusk.ledger.journal.StintBuilder;
import dusk.ledger.journal.Trip;
import dusk.ledger.web.TestClub;
import dusk.ledger.web.records.ClubNames;
import dusk.ledger.web.store.Clubs;
import dusk.ledger.web.store.RecentTables;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** When a search is made, and what is shown meanwhile. */
class PatternRunsTest {
    private static final long PATIENCE_MILLIS = 60_000;

    @TempDir
    Path folder;

    private TestClub club;
    private PatternRuns runs;
    private int stints;

    @BeforeEach
    void open() {
        club = new TestClub(folder);
        club.get(Clubs.class).load(club.officer.clubId(), DemoClub.ledger(DemoClub.SEED));
        club.store(LedgerFormat.TRIPS, List.of(new Trip("t", "lake", TestClub.START, null, null)));
        runs = new PatternRuns(club.get(RecentTables.class), club.get(ClubNames.class), club.clock);
    }

    @AfterEach
    void close() throws Exception {
        runs.end();
        club.close();
    }

    private PatternsAsk ask() {
        return PatternsAsk.of(
                PatternsAsk.Typed.NOTHING, club.get(RecentTables.class).of(club.officer.viewer()), club.officer);
    }

    private PatternRuns.Seen seen() {
        return runs.of(club.officer.viewer(), ask());
    }

    private PatternRuns.Found searched() {
        PatternRuns.Run run = seen().run();
        assertThat(run).isNotNull();
        return run.found(PATIENCE_MILLIS).orElseThrow();
    }

    private void log(int count) {
        List<dusk.ledger.journal.Stint> more = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            more.add(StintBuilder.builder()
                    .id("s" + stints++)
                    .tripId("t")
                    .anglerId(club.officer.anglerId())
                    .setUpId("jig")
                    .startedAt(TestClub.START)
                    .minutes(20)
                    .build());
        }
        club.store(LedgerFormat.STINTS, more);
    }

    @Test
    void whatWasFoundStandsUntilTheRecordsChangeAndThenSaysHowMuchIsNewer() {
        PatternRuns.Found first = searched();
        assertThat(first.cards()).isNotEmpty();
        assertThat(seen()).isEqualTo(new PatternRuns.Seen(first, null, 0, false, null));
        log(1);
        assertThat(seen()).as("one stint does not pay").isEqualTo(new PatternRuns.Seen(first, null, 1, true, null));
    }

    @Test
    void enoughNewStintsPayForASearchWhileTheOldFindingsStand() {
        PatternRuns.Found first = searched();
        log(first.stints() / 50 + 1);
        PatternRuns.Seen meanwhile = seen();
        assertThat(meanwhile.found()).isEqualTo(first);
        assertThat(meanwhile.run()).isNotNull();
        assertThat(seen().run()).as("never twice at once").isSameAs(meanwhile.run());
        PatternRuns.Found second = meanwhile.run().found(PATIENCE_MILLIS).orElseThrow();
        assertThat(second.stints()).isEqualTo(first.stints() + first.stints() / 50 + 1);
        assertThat(seen()).isEqualTo(new PatternRuns.Seen(second, first, 0, false, null));
    }

    @Test
    void oldFindingsAreLookedForAnewWithWhateverChanged() {
        PatternRuns.Found first = searched();
        club.clock.turn(Duration.ofHours(7));
        assertThat(seen().run()).as("nothing changed").isNull();
        log(1);
        assertThat(seen().run()).isNotNull();
        assertThat(seen().found()).isEqualTo(first);
    }

    @Test
    void whoeverWantsToNeedNotWaitUntilItPays() {
        searched();
        log(1);
        PatternRuns.Run wanted = runs.anew(club.officer.viewer(), ask()).run();
        assertThat(wanted).isNotNull();
        assertThat(runs.anew(club.officer.viewer(), ask()).run()).isSameAs(wanted);
    }

    @Test
    void aSearchAnewThatWasStoppedDoesNotBeginAgainByItself() {
        PatternRuns.Found first = searched();
        log(first.stints() / 50 + 1);
        PatternRuns.Run run = seen().run();
        assertThat(run).isNotNull();
        runs.stop(club.officer.viewer(), ask());
        assertThat(run.found(PATIENCE_MILLIS)).isEmpty();
        assertThat(run.stopped()).isTrue();
        runs.forget(club.officer.viewer(), ask(), run);
        log(1);
        assertThat(seen().run()).isNull();
        assertThat(seen().found()).isEqualTo(first);
    }

    @Test
    void anotherQuestionIsAnotherSearch() {
        searched();
        PatternsAsk other = PatternsAsk.of(
                new PatternsAsk.Typed("largemouth", null, null, null, null, null),
                club.get(RecentTables.class).of(club.officer.viewer()),
                club.officer);
        PatternRuns.Seen seen = runs.of(club.officer.viewer(), other);
        assertThat(seen.found()).isNull();
        assertThat(seen.run()).isNotNull();
    }
}
