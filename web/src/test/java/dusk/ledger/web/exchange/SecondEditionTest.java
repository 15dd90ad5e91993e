package dusk.ledger.web.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import dusk.ledger.fish.WaterRule;
import dusk.ledger.format.LedgerFormat;
import dusk.ledger.interchange.PackageReader;
import dusk.ledger.interchange.PackageWriter;
import dusk.ledger.journal.Drop;
import dusk.ledger.journal.Ledger;
import dusk.ledger.journal.Spot;
import dusk.ledger.journal.Trip;
import dusk.ledger.units.Length;
import dusk.ledger.units.Position;
import dusk.ledger.water.Calibration;
import dusk.ledger.web.TestClub;
import dusk.ledger.web.records.Drops;
import dusk.ledger.web.records.Membership;
import dusk.ledger.web.records.People;
import dusk.ledger.web.records.Places;
import dusk.ledger.web.records.Trips;
import dusk.ledger.web.records.WaterRules;
import dusk.ledger.web.store.Clubs;
import dusk.ledger.web.store.LedgerRows;
import dusk.ledger.web.store.Store;
import dusk.ledger.web.store.Viewer;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.Statement;
import java.time.MonthDay;
import org.flywaydb.core.Flyway;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What the first edition of the package lost on the way from one store to another, and what an older store becomes. */
class SecondEditionTest {
    @TempDir
    Path folder;

    private TestClub club;

    @BeforeEach
    void filled() {
        club = new TestClub(folder);
        club.get(Trips.class).add(club.guide.viewer(), new Trip("t", "lake", TestClub.START, null, "=calm"));
        club.get(Places.class).keep(club.member.viewer(), "Kiln Point", new Position(44.2, -14.1));
        club.get(Drops.class).add(club.guide.viewer(), "jig", TestClub.START, new Calibration.Drop(9.5, 4.2), true);
        WaterRules rules = club.get(WaterRules.class);
        rules.note(
                club.officer.viewer(),
                "lake",
                new WaterRule(
                        "pike",
                        Length.ofMillimetres(500),
                        Length.ofMillimetres(900),
                        null,
                        null,
                        MonthDay.of(3, 15),
                        MonthDay.of(6, 15),
                        2));
        rules.forbidLead(club.officer.viewer(), "lake", true);
    }

    @AfterEach
    void close() {
        club.close();
    }

    private Ledger carried() throws Exception {
        ByteArrayOutputStream zip = new ByteArrayOutputStream();
        PackageWriter.writeZip(club.get(Clubs.class).ledger(club.officer.clubId()), "club", zip);
        return PackageReader.read("club.zip", new ByteArrayInputStream(zip.toByteArray()))
                .ledger();
    }

    @Test
    void anotherStoreHasTheDropsTheRulesAndWhoseThingsAre() throws Exception {
        Ledger ledger = carried();
        try (Store other = Store.open(folder.resolve("other.db"))) {
            Clubs clubs = new Clubs(other, new LedgerRows(other));
            clubs.found(new Clubs.Club("c", "Other"), ledger);
            assertThat(clubs.ledger("c")).as("loaded and taken out again").isEqualTo(ledger);
        }
        assertThat(ledger.drops()).singleElement().satisfies(drop -> {
            assertThat(drop.anglerId()).isEqualTo(club.guide.anglerId());
            assertThat(drop.seconds()).isEqualTo(9.5);
            assertThat(drop.depth()).isEqualTo(Length.ofMetres(4.2));
            assertThat(drop.salt()).isTrue();
        });
        assertThat(ledger.rules()).hasSize(2);
        assertThat(ledger.trips()).extracting(Trip::loggedBy).containsExactly(club.guide.anglerId());
        assertThat(ledger.trips()).extracting(Trip::note).containsExactly("=calm");
    }

    /** A private place stays private on its way, and becomes its keeper's again where the officer says who they are. */
    @Test
    void aKeptPlaceStaysKept() throws Exception {
        Ledger ledger = carried();
        Spot kept = ledger.spots().stream()
                .filter(s -> s.id().equals("point"))
                .findFirst()
                .orElseThrow();
        assertThat(kept.keptBy()).isEqualTo(club.member.anglerId());
        assertThat(kept.label()).isNull();
        assertThat(kept.position()).isNull();
        String other = club.stranger.clubId();
        club.get(Clubs.class).load(other, ledger);
        String back = club.get(Membership.class)
                .join(
                        other,
                        new Membership.Newcomer("back", "Back Again", "a long enough word"),
                        Viewer.Role.MEMBER,
                        club.member.anglerId());
        Viewer keeper = club.get(People.class).byId(back).orElseThrow().viewer();
        club.get(Store.class)
                .write(
                        other,
                        tx -> tx.execute("update spots set label = 'Named again' where club_id = '" + other
                                + "' and spot_id = 'point'"));
        assertThat(club.get(Places.class)
                        .on(keeper, "lake", "point")
                        .orElseThrow()
                        .label())
                .isEqualTo("Named again");
        assertThat(club.get(Places.class)
                        .on(club.stranger.viewer(), "lake", "point")
                        .orElseThrow()
                        .label())
                .as("kept from the officer too")
                .isNull();
        assertThat(club.get(Trips.class).may(keeper, "t", Trips.Doing.DELETE)).isFalse();
    }

    /** A store of the application before: who logged, kept and counted goes from accounts to anglers, and nothing is lost. */
    @Test
    void anOlderStoreIsBroughtUpWithWhoseThingsAre() throws Exception {
        Path file = folder.resolve("older.db");
        String url = "jdbc:sqlite:" + file;
        Flyway.configure().dataSource(url, null, null).target("4").load().migrate();
        try (Connection connection = DriverManager.getConnection(url);
                Statement sql = connection.createStatement()) {
            for (String row : new String[] {
                "insert into clubs (club_id, name) values ('c', 'Old Club')",
                "insert into anglers (club_id, angler_id, name) values ('c', 'a', 'Ada')",
                "insert into people (person_id, club_id, sign_in, name, password_hash, role, angler_id)"
                        + " values ('p', 'c', 'ada', 'Ada', 'x', 'member', 'a'), ('o', 'c', 'odd', 'Odd', 'x', 'officer', null)",
                "insert into waters (club_id, water_id, name, kind, lead_forbidden) values ('c', 'w', 'Tarn', 'lake', 1)",
                "insert into spots (club_id, spot_id, water_id, label, shared, owner_id)"
                        + " values ('c', 's', 'w', 'Weir', 0, 'p'), ('c', 'all', 'w', 'Jetty', 1, null)",
                "insert into setups (club_id, setup_id, rig) values ('c', 'u', 'wacky')",
                "insert into trips (club_id, trip_id, water_id, started_at, logged_by)"
                        + " values ('c', 't', 'w', '2026-05-01T06:00:00.000Z', 'o')",
                "insert into drops (club_id, drop_id, setup_id, person_id, counted_at, seconds, depth_m, salt)"
                        + " values ('c', 'd', 'u', 'p', '2026-05-01T06:10:00.000Z', 9, 4, 1)",
                "insert into water_rules (club_id, rule_id, water_id, species, bag) values ('c', 'r', 'w', 'pike', 2)",
                "insert into acts (club_id, act_id, trip_id, number, acted_at, person_id, what, changes)"
                        + " values ('c', 'x', 't', 1, '2026-05-01T06:20:00.000Z', 'p', 'moved to Weir', '[]')",
            }) {
                sql.execute(row);
            }
        }
        try (Store store = Store.open(file)) {
            Ledger ledger = new Clubs(store, new LedgerRows(store)).ledger("c");
            assertThat(ledger.drops())
                    .containsExactly(new Drop(
                            "d",
                            "u",
                            "a",
                            java.time.Instant.parse("2026-05-01T06:10:00Z"),
                            9,
                            Length.ofMetres(4),
                            true,
                            null));
            assertThat(ledger.trips()).extracting(Trip::loggedBy).containsExactly("o");
            assertThat(ledger.anglers()).extracting(a -> a.name()).containsExactly("Ada", "Odd");
            assertThat(ledger.spots()).extracting(Spot::keptBy).containsExactly(null, "a");
            assertThat(ledger.rules()).hasSize(2);
            Viewer ada = new Viewer("c", "p", "a", Viewer.Role.MEMBER);
            assertThat(new LedgerRows(store)
                            .one(ada, LedgerFormat.SPOTS, "s")
                            .orElseThrow()
                            .label())
                    .isEqualTo("Weir");
            assertThat(store.read().fetchSingle("select what from acts").get(0)).isEqualTo("moved");
        }
    }
}
