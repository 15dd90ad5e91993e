package dusk.ledger.web.records;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dusk.ledger.fish.WaterRule;
import dusk.ledger.format.LedgerFormat;
import dusk.ledger.journal.CatchBuilder;
import dusk.ledger.journal.Drop;
import dusk.ledger.journal.SetUp;
import dusk.ledger.journal.Spot;
import dusk.ledger.journal.SpotBuilder;
import dusk.ledger.journal.Stint;
import dusk.ledger.journal.StintBuilder;
import dusk.ledger.journal.Trip;
import dusk.ledger.units.Length;
import dusk.ledger.units.UnitSystem;
import dusk.ledger.water.Calibration;
import dusk.ledger.web.TestClub;
import dusk.ledger.web.store.NotYours;
import dusk.ledger.web.store.Viewer;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.time.MonthDay;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What is read and written of the record, on a real file. */
class RecordsTest {
    private TestClub club;
    private Viewer viewer;

    @BeforeEach
    void open(@TempDir Path folder) {
        club = new TestClub(folder);
        viewer = club.guide.viewer();
    }

    @AfterEach
    void close() {
        club.close();
    }

    private static Instant at(int minutes) {
        return TestClub.START.plus(Duration.ofMinutes(minutes));
    }

    private void trip(String id, int minutes, String water) {
        club.get(Trips.class).add(viewer, new Trip(id, water, at(minutes), at(minutes + 60), null));
    }

    private void stint(String id, String trip, Person person, String setUp, double minutes) {
        club.store(
                LedgerFormat.STINTS,
                List.of(StintBuilder.builder()
                        .id(id)
                        .tripId(trip)
                        .anglerId(person.anglerId())
                        .setUpId(setUp)
                        .startedAt(at(0))
                        .minutes(minutes)
                        .bites(2)
                        .build()));
    }

    private void fish(String id, String stint, String species, int count) {
        club.store(
                LedgerFormat.CATCHES,
                List.of(CatchBuilder.builder()
                        .id(id)
                        .stintId(stint)
                        .species(species)
                        .count(count)
                        .build()));
    }

    @Test
    void theListOfTripsIsTheNewestFirstWithItsSums() {
        trip("a", 0, "lake");
        trip("b", 600, "sound");
        stint("s1", "a", club.guide, "jig", 30);
        stint("s2", "a", club.member, "drop", 60);
        fish("f1", "s1", "pike", 2);
        fish("f2", "s2", "walleye", 1);
        Trips trips = club.get(Trips.class);
        List<Trips.Line> lines = trips.lines(viewer, Trips.Asked.ALL, 0);
        assertThat(lines).extracting(l -> l.trip().id()).containsExactly("b", "a");
        Trips.Line line = lines.get(1);
        assertThat(line.rodHours()).isEqualTo(1.5);
        assertThat(List.of(line.stints().size(), line.fish())).containsExactly(2, 3);
        assertThat(line.anglers()).containsExactly("Harl Quist", "Tobin Marl");
        assertThat(trips.lines(viewer, new Trips.Asked("lake", "", "", ""), 0)).hasSize(1);
        assertThat(trips.lines(viewer, Trips.Asked.ALL, 1)).isEmpty();
        assertThat(ids(trips, new Trips.Asked("", club.member.anglerId(), "", "")))
                .containsExactly("a");
        assertThat(ids(trips, new Trips.Asked("", club.officer.anglerId(), "", "")))
                .isEmpty();
        assertThat(ids(trips, new Trips.Asked("", "", "walleye", ""))).containsExactly("a");
        assertThat(ids(trips, new Trips.Asked("", "", "flounder", ""))).isEmpty();
        assertThat(ids(trips, new Trips.Asked("sound", "", "walleye", ""))).isEmpty();
        assertThat(ids(trips, new Trips.Asked("", "", "", "no season"))).isEmpty();
        assertThat(trips.lines(club.stranger.viewer(), Trips.Asked.ALL, 0)).isEmpty();
        assertThat(trips.speciesOf(viewer, "lake")).containsExactly("pike", "walleye");
        assertThat(trips.speciesOf(viewer, "sound")).isEmpty();
    }

    private List<String> ids(Trips trips, Trips.Asked asked) {
        return trips.lines(viewer, asked, 0).stream().map(l -> l.trip().id()).toList();
    }

    @Test
    void aPageOfTripsHasOneMoreWhereThereAreMore() {
        for (int i = 0; i <= Trips.PAGE + 1; i++) {
            trip("t" + i, i, "lake");
        }
        Trips trips = club.get(Trips.class);
        assertThat(trips.lines(viewer, Trips.Asked.ALL, 0)).hasSize(Trips.PAGE + 1);
        assertThat(trips.lines(viewer, Trips.Asked.ALL, 1)).hasSize(2);
    }

    @Test
    void homeIsTheWaterThatWasFishedLast() {
        Waters waters = club.get(Waters.class);
        assertThat(waters.home(viewer)).contains(club.lake);
        trip("a", 0, "sound");
        assertThat(waters.home(viewer)).contains(club.sound);
        assertThat(waters.home(club.stranger.viewer())).isEmpty();
        assertThatThrownBy(() -> waters.one(club.stranger.viewer(), "lake")).isInstanceOf(NotYours.class);
    }

    @Test
    void aFishRaisesItsStintsCountsAndNeverLowersThem() {
        trip("a", 0, "lake");
        stint("s1", "a", club.guide, "jig", 30);
        TripRows rows = club.get(TripRows.class);
        rows.storeHooked(
                viewer,
                LedgerFormat.CATCHES,
                CatchBuilder.builder()
                        .id("f")
                        .stintId("s1")
                        .species("pike")
                        .count(5)
                        .build(),
                "s1",
                true);
        Stint after = rows.stint(viewer, "a", "s1").orElseThrow();
        assertThat(List.of(after.bites(), after.hooked())).containsExactly(5, 5);
        rows.storeHooked(
                viewer,
                LedgerFormat.CATCHES,
                CatchBuilder.builder()
                        .id("f")
                        .stintId("s1")
                        .species("pike")
                        .count(1)
                        .build(),
                "s1",
                false);
        after = rows.stint(viewer, "a", "s1").orElseThrow();
        assertThat(List.of(after.bites(), after.hooked())).containsExactly(5, 5);
        assertThat(rows.fish(viewer, "a", "f")).isPresent();
        assertThat(rows.fish(viewer, "other", "f")).isEmpty();
        assertThat(rows.stint(club.stranger.viewer(), "a", "s1")).isEmpty();
    }

    @Test
    void aSetUpThatWasFishedIsChangedByAnotherThatKnowsIt() {
        SetUps setUps = club.get(SetUps.class);
        SetUp violet = LedgerFormat.SETUPS.changed(club.jig, Map.of("colour", "violet"));
        assertThat(setUps.change(viewer, club.jig, violet)).isEqualTo("jig");
        trip("a", 0, "lake");
        stint("s1", "a", club.guide, "jig", 90);
        fish("f1", "s1", "pike", 2);
        String made = setUps.change(viewer, violet, club.jig);
        assertThat(made).isNotEqualTo("jig");
        assertThat(setUps.one(viewer, made).fromSetUpId()).isEqualTo("jig");
        assertThat(setUps.kin(viewer, setUps.one(viewer, "jig")))
                .extracting(SetUp::id)
                .containsExactly(made);
        assertThat(setUps.fished(viewer)).containsOnlyKeys("jig");
        assertThat(setUps.fished(viewer).get("jig")).isEqualTo(new SetUps.Fished(1, 1.5, 2));
        assertThat(setUps.lastFishedFirst(viewer).get(0).id()).isEqualTo("jig");
    }

    @Test
    void aNewPlaceIsItsMakersOwn() {
        Places places = club.get(Places.class);
        places.add(
                viewer,
                SpotBuilder.builder()
                        .id("weir")
                        .waterId("lake")
                        .label("Old Weir")
                        .structure("dam")
                        .build());
        assertThat(places.of(viewer, "lake")).extracting(Spot::label).contains("Old Weir");
        assertThat(places.of(club.officer.viewer(), "lake"))
                .extracting(Spot::label)
                .doesNotContain("Old Weir");
        assertThat(places.on(viewer, "sound", "weir")).isEmpty();
        assertThat(places.on(viewer, "lake", "weir")).isPresent();
    }

    @Test
    void aDropIsStruckOutByWhoCountedItAndAnOfficer() {
        Drops drops = club.get(Drops.class);
        drops.add(viewer, "jig", at(0), new Calibration.Drop(9, 4), false);
        drops.add(viewer, "drop", at(1), new Calibration.Drop(8, 4), true);
        List<Drop> all = drops.all(club.officer.viewer());
        assertThat(all).extracting(Drop::setUpId).as("the newest first").containsExactly("drop", "jig");
        Drop jig = all.get(1);
        assertThat(Drops.mayStrike(viewer, jig)).isTrue();
        assertThat(Drops.mayStrike(club.officer.viewer(), jig)).isTrue();
        assertThat(Drops.mayStrike(club.member.viewer(), jig)).isFalse();
        drops.strike(viewer, jig, "the drop");
        assertThat(drops.all(viewer)).hasSize(1);
        assertThat(drops.all(club.stranger.viewer())).isEmpty();
    }

    @Test
    void aRuleOfAWaterStandsOverTheOneBefore() {
        WaterRules rules = club.get(WaterRules.class);
        WaterRule first = new WaterRule("pike", Length.ofMillimetres(500), null, null, null, null, null, 2);
        WaterRule second = new WaterRule(
                "pike",
                null,
                null,
                Length.ofMillimetres(600),
                Length.ofMillimetres(800),
                MonthDay.of(3, 1),
                MonthDay.of(5, 15),
                null);
        rules.note(club.officer.viewer(), "lake", first);
        assertThat(rules.of(viewer, "lake", "pike")).contains(first);
        rules.note(club.officer.viewer(), "lake", second);
        assertThat(rules.byWater(viewer).get("lake"))
                .extracting(WaterRules.Noted::rule)
                .containsExactly(second);
        assertThat(rules.of(viewer, "sound", "pike")).isEmpty();
        assertThat(rules.of(club.stranger.viewer(), "lake", "pike")).isEmpty();
        rules.strike(
                club.officer.viewer(), rules.byWater(viewer).get("lake").get(0).id(), "the rule");
        assertThat(rules.byWater(viewer)).isEmpty();
        rules.forbidLead(club.officer.viewer(), "lake", true);
        assertThat(rules.leadForbidden(viewer, "lake")).isTrue();
        assertThat(rules.leadForbidden(viewer, "sound")).isFalse();
        assertThat(WaterRules.words(WaterRule.About.SHORT, first, UnitSystem.METRIC))
                .isEqualTo("Shorter than the 50 cm noted for pike: it goes back.");
        assertThat(WaterRules.words(WaterRule.About.SLOT, second, UnitSystem.METRIC))
                .isEqualTo("Between 60 cm and 80 cm, the lengths noted as going back.");
        assertThat(WaterRules.words(WaterRule.About.BAG, first, UnitSystem.METRIC))
                .isEqualTo("More kept than the 2 a day noted for pike.");
        assertThat(WaterRules.words(WaterRule.About.CLOSED, second, UnitSystem.METRIC))
                .isEqualTo("The season for pike is noted as closed today.");
    }

    @Test
    void aLinkLetsOnePersonInOnce() {
        Invitations invitations = club.get(Invitations.class);
        Membership membership = club.get(Membership.class);
        String clubId = club.officer.clubId();
        String token = invitations.invite(Invitations.Invited.newcomer(clubId, Viewer.Role.OFFICER), null, at(60));
        assertThat(invitations.of(token, at(59))).contains(Invitations.Invited.newcomer(clubId, Viewer.Role.OFFICER));
        assertThat(invitations.of(token, at(60))).as("ended").isEmpty();
        assertThat(invitations.of(token + "x", at(0))).isEmpty();
        Membership.Newcomer ann = new Membership.Newcomer("ann", "Ann Vole", "a long enough word");
        Optional<String> id = membership.accept(token, ann, at(1));
        assertThat(club.get(People.class).byId(id.orElseThrow())).get().satisfies(person -> {
            assertThat(person.viewer().officer()).isTrue();
            assertThat(person.clubId()).isEqualTo(clubId);
        });
        assertThat(membership.accept(token, new Membership.Newcomer("bo", "Bo", "a long enough word"), at(2)))
                .as("used up")
                .isEmpty();
        assertThat(club.get(People.class).bySignIn("bo")).isEmpty();
    }

    /** What is learnt from the record is learnt anew once the record changed, and not before. */
    @Test
    void likelyFishFollowTheRecord() {
        FishFacts facts = club.get(FishFacts.class);
        trip("a", 0, "lake");
        stint("s1", "a", club.guide, "jig", 30);
        fish("f1", "s1", "walleye", 1);
        assertThat(facts.likely(viewer, "lake").get(0)).isEqualTo("walleye");
        club.get(TripRows.class)
                .storeHooked(
                        viewer,
                        LedgerFormat.CATCHES,
                        CatchBuilder.builder()
                                .id("f2")
                                .stintId("s1")
                                .species("pike")
                                .count(4)
                                .build(),
                        "s1",
                        true);
        assertThat(facts.likely(viewer, "lake")).startsWith("pike", "walleye");
        assertThat(facts.likely(club.stranger.viewer(), "lake").get(0)).isNotEqualTo("pike");
        assertThat(facts.lengths(viewer, "lake", "pike")).isEqualTo(FishFacts.Lengths.UNKNOWN);
    }
}
