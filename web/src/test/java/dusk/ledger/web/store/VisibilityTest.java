package dusk.ledger.web.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dusk.ledger.format.LedgerFormat;
import dusk.ledger.format.Table;
import dusk.ledger.journal.Catch;
import dusk.ledger.journal.CatchBuilder;
import dusk.ledger.journal.Drop;
import dusk.ledger.journal.Ledger;
import dusk.ledger.journal.Loss;
import dusk.ledger.journal.Reading;
import dusk.ledger.journal.ReadingBuilder;
import dusk.ledger.journal.RuleBuilder;
import dusk.ledger.journal.Sign;
import dusk.ledger.journal.Spot;
import dusk.ledger.journal.SpotBuilder;
import dusk.ledger.journal.StintBuilder;
import dusk.ledger.journal.Touch;
import dusk.ledger.journal.Trip;
import dusk.ledger.units.Length;
import dusk.ledger.units.Position;
import dusk.ledger.web.TestClub;
import dusk.ledger.web.records.Person;
import dusk.ledger.web.records.Places;
import dusk.ledger.web.records.Trips;
import dusk.ledger.web.schema.DefaultSchema;
import dusk.ledger.web.schema.Tables;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import org.jooq.impl.DSL;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/** Who sees and may change which row, for every table and every viewer. Nothing here writes after it is set up. */
class VisibilityTest {
    private static TestClub club;
    private static final Position SECRET = new Position(44.4581, -14.0127);

    @BeforeAll
    static void open(@TempDir Path folder) {
        club = new TestClub(folder);
        Places places = club.get(Places.class);
        places.add(
                club.guide.viewer(),
                SpotBuilder.builder()
                        .id("hidden")
                        .waterId("lake")
                        .label("Thorn Hump")
                        .structure("hump")
                        .bottom("shell")
                        .cover("sparse")
                        .position(SECRET)
                        .build());
        club.get(Trips.class).add(club.member.viewer(), new Trip("t", "lake", TestClub.START, null, null));
        club.store(
                LedgerFormat.STINTS,
                List.of(StintBuilder.builder()
                        .id("x")
                        .tripId("t")
                        .anglerId(club.guide.anglerId())
                        .setUpId("jig")
                        .spotId("hidden")
                        .startedAt(TestClub.START)
                        .minutes(30)
                        .bites(3)
                        .hooked(2)
                        .build()));
        club.store(LedgerFormat.READINGS, List.of(reading()));
        club.store(LedgerFormat.CATCHES, List.of(fish()));
        club.store(LedgerFormat.TOUCHES, List.of(new Touch("to", "x", TestClub.START, "bite")));
        club.store(LedgerFormat.SIGNS, List.of(new Sign("si", "t", "hidden", TestClub.START, "birds", null)));
        club.store(LedgerFormat.LOSSES, List.of(new Loss("lo", "x", null, "snag", 1)));
        club.store(
                LedgerFormat.DROPS,
                List.of(new Drop("dr", "jig", null, TestClub.START, 9, Length.ofMetres(4), false, null)));
        club.store(
                LedgerFormat.RULES,
                List.of(RuleBuilder.builder()
                        .id("ru")
                        .waterId("lake")
                        .species("pike")
                        .bag(2)
                        .build()));
    }

    private static Reading reading() {
        return ReadingBuilder.builder().id("re").tripId("t").at(TestClub.START).build();
    }

    private static Catch fish() {
        return CatchBuilder.builder()
                .id("f")
                .stintId("x")
                .species("pike")
                .count(1)
                .build();
    }

    @AfterAll
    static void close() {
        club.close();
    }

    private static LedgerRows rows() {
        return club.get(LedgerRows.class);
    }

    static List<Table<?>> tables() {
        return LedgerFormat.ALL;
    }

    @ParameterizedTest
    @MethodSource("tables")
    void everyoneOfAClubSeesItsRowsAndNobodyElse(Table<?> table) {
        List<?> seen = rows().all(club.officer.viewer(), table);
        assertThat(seen).as("this test has a row of each table").isNotEmpty();
        for (Person person : List.of(club.guide, club.member, club.other)) {
            assertThat(rows().all(person.viewer(), table)).hasSameSizeAs(seen);
        }
        assertThat(rows().all(Viewer.club(club.officer.clubId()), table)).hasSameSizeAs(seen);
        List<?> strangers = rows().all(club.stranger.viewer(), table);
        assertThat(strangers).hasSize(table == LedgerFormat.ANGLERS ? 1 : 0);
        assertThat(strangers).noneMatch(seen::contains);
    }

    private static Spot hidden(Viewer viewer) {
        return rows().one(viewer, LedgerFormat.SPOTS, "hidden").orElseThrow();
    }

    @Test
    void aKeptPlaceIsWholeForItsOwnerAndBlurredForAllOthers() {
        Spot own = hidden(club.guide.viewer());
        assertThat(own.label()).isEqualTo("Thorn Hump");
        assertThat(own.position()).isEqualTo(SECRET);
        for (Viewer viewer : List.of(
                club.officer.viewer(), club.member.viewer(), club.other.viewer(), Viewer.club(club.officer.clubId()))) {
            Spot seen = hidden(viewer);
            assertThat(seen.label()).isNull();
            assertThat(seen.position()).isNull();
            assertThat(List.of(
                            String.valueOf(seen.structure()),
                            String.valueOf(seen.bottom()),
                            String.valueOf(seen.cover())))
                    .as("what analysis needs stays")
                    .containsExactly("hump", "shell", "sparse");
        }
        Spot open = rows().one(club.other.viewer(), LedgerFormat.SPOTS, "point").orElseThrow();
        assertThat(open.label()).isEqualTo("Kiln Point");
        assertThat(open.position()).isNotNull();
    }

    @Test
    void noReadOfTheWholeLedgerNamesAKeptPlace() {
        Ledger shared = rows().ledger(Viewer.club(club.officer.clubId()));
        assertThat(shared.toString())
                .doesNotContain("Thorn Hump")
                .doesNotContain("44.4581")
                .contains("Kiln Point");
        assertThat(rows().ledger(club.guide.viewer()).toString()).contains("Thorn Hump");
    }

    static Stream<org.jooq.Table<?>> ofAClub() {
        return DefaultSchema.DEFAULT_SCHEMA.getTables().stream()
                .filter(t -> t.field("club_id") != null)
                // read by Deletions alone, by its own id
                .filter(t -> t != Tables.DELETIONS);
    }

    @ParameterizedTest
    @MethodSource("ofAClub")
    void everyTableOfTheStoreIsReadByItsClub(org.jooq.Table<?> table) {
        String condition =
                DSL.using(org.jooq.SQLDialect.SQLITE).renderInlined(Visibility.of(club.member.viewer(), table));
        assertThat(condition).contains("club_id").contains(club.member.clubId());
        assertThat(condition.contains("deletion_id is null")).isEqualTo(table.field("deletion_id") != null);
    }

    @Test
    void aTableWithoutAClubIsSeenByNobody() {
        assertThatThrownBy(() -> Visibility.of(club.officer.viewer(), DSL.table("people")))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("nobody may see");
    }

    /** Who was on it, who led it, who logged it, an officer; nobody else, and nobody of another club. */
    @ParameterizedTest
    @CsvSource({
        "ADD, true, true, true, false, false, false",
        "CHANGE, true, true, true, false, false, false",
        "DELETE, true, false, true, false, false, false",
    })
    void whatMayBeDoneWithATripDependsOnWhoOneWasOnIt(
            Trips.Doing doing,
            boolean logged,
            boolean led,
            boolean officer,
            boolean other,
            boolean stranger,
            boolean none) {
        Trips trips = club.get(Trips.class);
        assertThat(List.of(
                        trips.may(club.member.viewer(), "t", doing),
                        trips.may(club.guide.viewer(), "t", doing),
                        trips.may(club.officer.viewer(), "t", doing),
                        trips.may(club.other.viewer(), "t", doing),
                        trips.may(club.stranger.viewer(), "t", doing),
                        trips.may(Viewer.club(club.officer.clubId()), "t", doing)))
                .containsExactly(logged, led, officer, other, stranger, none);
    }

    @Test
    void whatIsNotOnesToChangeIsNotThere() {
        Trips trips = club.get(Trips.class);
        assertThatThrownBy(() -> trips.one(club.other.viewer(), "t", Trips.Doing.ADD))
                .isInstanceOf(NotYours.class);
        assertThatThrownBy(() -> trips.one(club.stranger.viewer(), "t")).isInstanceOf(NotYours.class);
        assertThatThrownBy(() -> trips.one(club.officer.viewer(), "nowhere")).isInstanceOf(NotYours.class);
    }
}
