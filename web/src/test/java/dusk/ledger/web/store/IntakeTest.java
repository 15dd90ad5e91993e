package dusk.ledger.web.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dusk.ledger.demo.DemoClub;
import dusk.ledger.format.LedgerFormat;
import dusk.ledger.journal.Catch;
import dusk.ledger.journal.CatchBuilder;
import dusk.ledger.journal.Consistency;
import dusk.ledger.journal.Ledger;
import dusk.ledger.journal.SetUp;
import dusk.ledger.journal.SetUpBuilder;
import dusk.ledger.journal.Spot;
import dusk.ledger.journal.SpotBuilder;
import dusk.ledger.journal.Stint;
import dusk.ledger.journal.StintBuilder;
import dusk.ledger.journal.Trip;
import dusk.ledger.web.TestClub;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What comes in beside what is there: added, passed over, told apart, and taken back as a whole. */
class IntakeTest {
    private static final Ledger DEMO = DemoClub.ledger(DemoClub.SEED);

    @TempDir
    Path folder;

    private TestClub club;
    private Intake intake;
    private Imports imports;

    @BeforeEach
    void open() {
        club = new TestClub(folder);
        intake = club.get(Intake.class);
        imports = club.get(Imports.class);
    }

    @AfterEach
    void close() throws Exception {
        club.close();
    }

    private Ledger all() {
        return club.get(Clubs.class).ledger(club.officer.clubId());
    }

    private Optional<String> bring(Ledger ledger, Intake.Keep keep) {
        return intake.bring(club.officer.viewer(), ledger, "mine.zip", "some", keep, Progress.UNHEARD);
    }

    private Intake.Compared compare(Ledger ledger) {
        return intake.compare(club.officer.clubId(), ledger);
    }

    /** One fish of a trip of its own, on the club's water with its set-up. */
    private Ledger small(int bites, Catch... catches) {
        Stint stint = StintBuilder.builder()
                .id("s1")
                .tripId("t1")
                .anglerId(String.valueOf(club.member.anglerId()))
                .setUpId("jig")
                .startedAt(TestClub.START)
                .minutes(30)
                .bites(bites)
                .hooked(catches.length)
                .build();
        return new Ledger(
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                List.of(new Trip("t1", "lake", TestClub.START, TestClub.START.plus(Duration.ofHours(1)), null)),
                List.of(),
                List.of(stint),
                List.of(catches),
                List.of(),
                List.of(),
                List.of());
    }

    private static Catch fish(String id) {
        return CatchBuilder.builder()
                .id(id)
                .stintId("s1")
                .species("pike")
                .count(1)
                .build();
    }

    @Test
    void whatIsNewIsAddedAndASecondTimeChangesNothing() {
        assertThat(compare(DEMO).fresh()).isEqualTo(compare(DEMO).all());
        assertThat(bring(DEMO, Intake.Keep.OURS)).isPresent();
        Ledger once = all();
        Intake.Compared again = compare(DEMO);
        assertThat(again.same()).isEqualTo(again.all());
        assertThat(bring(DEMO, Intake.Keep.THEIRS)).isEmpty();
        assertThat(all()).isEqualTo(once);
        assertThat(imports.recent(club.officer.viewer(), 9)).hasSize(1);
    }

    @Test
    void anImportIsTakenBackAndBroughtBackAsAWhole() {
        Ledger before = all();
        String id = bring(DEMO, Intake.Keep.OURS).orElseThrow();
        Ledger with = all();
        Imports.TakenBack back = imports.takeBack(club.officer.viewer(), id).orElseThrow();
        assertThat(back.stayed()).isZero();
        assertThat(all()).isEqualTo(before);
        assertThat(imports.takeBack(club.officer.viewer(), id)).isEmpty();
        club.get(Deletions.class).undo(club.officer.viewer(), back.deletionId());
        assertThat(all()).isEqualTo(with);
        assertThat(imports.recent(club.officer.viewer(), 9)).noneMatch(Imports.Import::takenBack);
        assertThat(imports.takeBack(club.officer.viewer(), id)).isPresent();
        assertThat(all()).isEqualTo(before);
    }

    @Test
    void whatWasTakenBackComesInAgain() {
        String id = bring(DEMO, Intake.Keep.OURS).orElseThrow();
        Ledger with = all();
        imports.takeBack(club.officer.viewer(), id);
        assertThat(compare(DEMO).back()).isEqualTo(compare(DEMO).all());
        String second = bring(DEMO, Intake.Keep.OURS).orElseThrow();
        assertThat(all()).isEqualTo(with);
        imports.takeBack(club.officer.viewer(), second);
        assertThat(all().trips()).isEmpty();
    }

    @Test
    void whatOthersHaveBuiltOnStaysAndWhatItStandsOn() {
        SetUp wacky = SetUpBuilder.builder().id("theirs").rig("wacky").build();
        SetUp unused = SetUpBuilder.builder().id("unused").rig("wacky").build();
        Ledger setUps = new Ledger(
                List.of(),
                List.of(),
                List.of(),
                List.of(wacky, unused),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                List.of());
        String id = bring(setUps, Intake.Keep.OURS).orElseThrow();
        club.store(LedgerFormat.TRIPS, List.of(new Trip("own", "lake", TestClub.START, null, null)));
        club.store(
                LedgerFormat.STINTS,
                List.of(StintBuilder.builder()
                        .id("own")
                        .tripId("own")
                        .anglerId(String.valueOf(club.member.anglerId()))
                        .setUpId("theirs")
                        .startedAt(TestClub.START)
                        .minutes(20)
                        .build()));
        Imports.TakenBack back = imports.takeBack(club.officer.viewer(), id).orElseThrow();
        assertThat(back.stayed()).isEqualTo(1);
        assertThat(all().setUps()).extracting(SetUp::id).contains("theirs").doesNotContain("unused");
    }

    @Test
    void ofTwoRowsWithOneIdTheChosenOneIsKeptAndTakingItBackBringsOursBack() {
        bring(small(0), Intake.Keep.OURS);
        Ledger ours = all();
        Ledger theirs = small(4);
        assertThat(compare(theirs).conflicts())
                .containsExactly(
                        new Intake.Conflict("stints", "s1", List.of(new Intake.Difference("bites", "0", "4"))));
        assertThat(bring(theirs, Intake.Keep.OURS)).isEmpty();
        assertThat(all()).isEqualTo(ours);
        String id = bring(theirs, Intake.Keep.THEIRS).orElseThrow();
        Ledger taken = all();
        assertThat(taken.stints()).extracting(Stint::bites).containsExactly(4);
        String deletion =
                imports.takeBack(club.officer.viewer(), id).orElseThrow().deletionId();
        assertThat(all()).isEqualTo(ours);
        club.get(Deletions.class).undo(club.officer.viewer(), deletion);
        assertThat(all()).isEqualTo(taken);
    }

    @Test
    void aStintOfOursThatGainsFishCountsThem() {
        bring(small(1, fish("a")), Intake.Keep.OURS);
        String id = bring(small(3, fish("a"), fish("b"), fish("c")), Intake.Keep.OURS)
                .orElseThrow();
        assertThat(all().stints()).extracting(Stint::hooked).containsExactly(3);
        assertThat(Consistency.breaches(all())).isEmpty();
        imports.takeBack(club.officer.viewer(), id);
        assertThat(all())
                .satisfies(l -> assertThat(l.stints()).extracting(Stint::hooked).containsExactly(1));
        assertThat(all().catches()).hasSize(1);
    }

    @Test
    void aKeptPlaceComesBackFromAnExportAsItStoodAndKeepsItsName() {
        Spot secret = SpotBuilder.builder()
                .id("secret")
                .waterId("lake")
                .label("Otter Hole")
                .structure("hump")
                .keptBy(club.member.anglerId())
                .build();
        club.store(LedgerFormat.SPOTS, List.of(secret));
        Ledger exported = all();
        assertThat(exported.spots())
                .filteredOn(s -> s.id().equals("secret"))
                .extracting(Spot::label)
                .containsOnlyNulls();
        assertThat(compare(exported).same()).isEqualTo(compare(exported).all());
        Ledger changed = new Ledger(
                List.of(),
                List.of(),
                List.of(SpotBuilder.builder(secret)
                        .label(null)
                        .structure("ledge")
                        .build()),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                List.of());
        bring(changed, Intake.Keep.THEIRS);
        assertThat(club.get(LedgerRows.class).one(club.member.viewer(), LedgerFormat.SPOTS, "secret"))
                .hasValueSatisfying(s -> {
                    assertThat(s.label()).isEqualTo("Otter Hole");
                    assertThat(s.structure()).isEqualTo("ledge");
                });
    }

    @Test
    void oneThatIsStoppedStoresNothingAndItsProgressRises() {
        Ledger before = all();
        List<Long> heard = new ArrayList<>();
        assertThatThrownBy(() ->
                        intake.bring(club.officer.viewer(), DEMO, "mine.zip", "some", Intake.Keep.OURS, (done, of) -> {
                            heard.add(done);
                            return done < of / 2;
                        }))
                .isInstanceOf(Progress.Stopped.class);
        assertThat(heard).isSorted().hasSizeGreaterThan(3);
        assertThat(all()).isEqualTo(before);
        assertThat(imports.recent(club.officer.viewer(), 9)).isEmpty();
    }

    @Test
    void onlyAnOfficerTakesBack() {
        String id = bring(DEMO, Intake.Keep.OURS).orElseThrow();
        assertThatThrownBy(() -> imports.takeBack(club.guide.viewer(), id)).isInstanceOf(NotYours.class);
        assertThat(imports.takeBack(club.stranger.viewer(), id))
                .as("of another club")
                .isEmpty();
    }
}
