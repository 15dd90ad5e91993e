package dusk.ledger.web;

import static org.assertj.core.api.Assertions.assertThat;

import dusk.ledger.format.LedgerFormat;
import dusk.ledger.journal.Angler;
import dusk.ledger.journal.Rod;
import dusk.ledger.journal.SetUp;
import dusk.ledger.journal.SetUpBuilder;
import dusk.ledger.journal.Stint;
import dusk.ledger.journal.StintBuilder;
import dusk.ledger.journal.Trip;
import dusk.ledger.web.records.Person;
import dusk.ledger.web.records.Rods;
import dusk.ledger.web.records.SetUps;
import dusk.ledger.web.records.Trips;
import java.time.Duration;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.test.context.TestPropertySource;

/** Whose a record is: who may change it, who may delete it, who may bring it back. */
@TestPropertySource(properties = "dusk.tested.apart=clock")
class WhoseRecordTest extends RequestedClub {
    private Person who(String name) {
        return Map.of("officer", club.officer, "guide", club.guide, "member", club.member, "other", club.other)
                .get(name);
    }

    /** A trip that the other member logged, on which the guide, the member and a guest of the member fished. */
    private void sharedTrip() {
        club.get(Trips.class).add(club.other.viewer(), new Trip("q", "lake", TestClub.START, null, null));
        club.store(LedgerFormat.ANGLERS, java.util.List.of(new Angler("guest", "Wren")));
        beans.getBean(dusk.ledger.web.store.Store.class)
                .write(
                        club.officer.clubId(),
                        tx -> tx.execute("update anglers set brought_by = '" + club.member.id()
                                + "' where angler_id = 'guest'" + " and club_id = '" + club.officer.clubId() + "'"));
        stint("of-guide", String.valueOf(club.guide.anglerId()));
        stint("of-member", String.valueOf(club.member.anglerId()));
        stint("of-other", String.valueOf(club.other.anglerId()));
        stint("of-guest", "guest");
    }

    private void stint(String id, String angler) {
        club.store(
                LedgerFormat.STINTS,
                java.util.List.of(StintBuilder.builder()
                        .id(id)
                        .tripId("q")
                        .anglerId(angler)
                        .setUpId("jig")
                        .startedAt(TestClub.START)
                        .minutes(30)
                        .build()));
    }

    private double minutes(String id) {
        return club.all(LedgerFormat.STINTS).stream()
                .filter(s -> s.id().equals(id))
                .mapToDouble(Stint::minutes)
                .sum();
    }

    @ParameterizedTest
    @CsvSource({
        "member, of-member, true",
        "member, of-guest, true",
        "member, of-guide, false",
        "member, of-other, false",
        "guide, of-guide, true",
        "guide, of-member, true",
        "guide, of-guest, true",
        "other, of-member, true",
        "other, of-guest, true",
        "officer, of-guide, true",
    })
    void aStintIsItsAnglersTheirHostsAndWhoeversTheTripIs(String name, String stint, boolean may) throws Exception {
        sharedTrip();
        String page = get(who(name), "/trips/q").getContentAsString();
        assertThat(page.contains("/trips/q/stints/" + stint + "/edit")).isEqualTo(may);
        assertThat(get(who(name), "/trips/q/stints/" + stint + "/edit").getStatus())
                .isEqualTo(may ? 200 : 404);
        post(who(name), "/trips/q/stints/" + stint, "minutes=50");
        assertThat(minutes(stint)).isEqualTo(may ? 50 : 30);
        int status = post(who(name), "/trips/q/fish", "stint=" + stint + "&species=pike&count=1")
                .getStatus();
        assertThat(status).isEqualTo(may ? 302 : 404);
        post(who(name), "/trips/q/stints/" + stint + "/delete", "");
        assertThat(minutes(stint)).isEqualTo(may ? 0 : 30);
    }

    @ParameterizedTest
    @CsvSource({
        "member, false, false",
        "guide, true, false",
        "other, true, true",
        "officer, true, true",
    })
    void aTripIsItsLoggersAndTheGuidesWhoLedIt(String name, boolean change, boolean delete) throws Exception {
        sharedTrip();
        assertThat(get(who(name), "/trips/q/edit").getStatus()).isEqualTo(change ? 200 : 404);
        assertThat(post(who(name), "/trips/q/delete", "").getStatus()).isEqualTo(delete ? 302 : 404);
        assertThat(club.get(Trips.class).there(club.officer.viewer(), "q")).isEqualTo(!delete);
    }

    @Test
    void oneLogsInOnesOwnNameOnAnothersTrip() throws Exception {
        sharedTrip();
        String form = "setup_id=jig&started_at=2026-10-03T15:00&minutes=20&angler_id=";
        String refused = post(club.member, "/trips/q/stints", form + club.guide.anglerId())
                .getContentAsString();
        assertThat(refused)
                .contains("You log for yourself and for guests you brought."
                        + " Ask whoever logged the trip, or an officer, for others.");
        assertThat(post(club.member, "/trips/q/stints", form + "guest").getStatus())
                .isEqualTo(302);
        assertThat(post(club.other, "/trips/q/stints", form + club.guide.anglerId())
                        .getStatus())
                .as("whoever logged the trip logs for all on it")
                .isEqualTo(302);
    }

    private String deleted() throws Exception {
        sharedTrip();
        post(club.other, "/trips/q/delete", "");
        String page = get(club.other, "/deletions").getContentAsString();
        assertThat(page).contains("the trip to Kell Water on").contains("by you");
        return page.replaceAll("(?s).*/deletions/([^/]+)/undo.*", "$1");
    }

    @ParameterizedTest
    @CsvSource({"other, 302", "officer, 302", "member, 404", "guide, 404"})
    void aDeletionIsUndoneByItsMakerOrAnOfficer(String name, int status) throws Exception {
        String deletion = deleted();
        boolean listed = get(who(name), "/deletions").getContentAsString().contains(deletion);
        assertThat(listed).isEqualTo(status == 302);
        assertThat(post(who(name), "/deletions/" + deletion + "/undo", "").getStatus())
                .isEqualTo(status);
        assertThat(club.get(Trips.class).there(club.officer.viewer(), "q")).isEqualTo(status == 302);
    }

    @Test
    void itStaysUndoableForNinetyDays() throws Exception {
        String deletion = deleted();
        club.clock.turn(Duration.ofDays(90).minusMinutes(1));
        assertThat(get(club.officer, "/deletions").getContentAsString()).contains(deletion);
        club.clock.turn(Duration.ofMinutes(1));
        assertThat(get(club.officer, "/deletions").getContentAsString()).doesNotContain(deletion);
        assertThat(post(club.officer, "/deletions/" + deletion + "/undo", "").getStatus())
                .isEqualTo(404);
    }

    @Test
    void aRodIsItsMakersToChange() throws Exception {
        club.get(Rods.class).add(club.member.viewer(), new Rod("stout", "stout", null, null, null, null, null, null));
        assertThat(post(club.other, "/tackle/rods/stout", "name=mine now").getStatus())
                .isEqualTo(404);
        assertThat(get(club.other, "/tackle/rods").getContentAsString()).doesNotContain("/tackle/rods/stout/edit");
        assertThat(get(club.member, "/tackle/rods").getContentAsString()).contains("/tackle/rods/stout/edit");
        assertThat(post(club.member, "/tackle/rods/stout", "name=stouter").getStatus())
                .isEqualTo(302);
        assertThat(post(club.officer, "/tackle/rods/stout", "name=stoutest").getStatus())
                .isEqualTo(302);
        assertThat(club.get(Rods.class).one(club.other.viewer(), "stout").name())
                .isEqualTo("stoutest");
    }

    @Test
    void anothersSetUpIsNotWrittenOverEvenWhereItWasNeverFished() throws Exception {
        SetUp fresh =
                SetUpBuilder.builder().id("fresh").rig("wacky").colour("pearl").build();
        club.get(SetUps.class).add(club.member.viewer(), fresh);
        post(club.other, "/tackle/set-ups/fresh", "colour=violet");
        assertThat(club.get(SetUps.class).one(club.member.viewer(), "fresh").colour())
                .isEqualTo("pearl");
        assertThat(club.all(LedgerFormat.SETUPS))
                .filteredOn(s -> "fresh".equals(s.fromSetUpId()))
                .extracting(SetUp::colour)
                .containsExactly("violet");
        post(club.member, "/tackle/set-ups/fresh", "colour=smoke");
        assertThat(club.get(SetUps.class).one(club.member.viewer(), "fresh").colour())
                .isEqualTo("smoke");
    }
}
