package dusk.ledger.web.trips;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dusk.ledger.format.LedgerFormat;
import dusk.ledger.journal.Stint;
import dusk.ledger.units.Length;
import dusk.ledger.web.TestClub;
import dusk.ledger.web.records.Trips;
import dusk.ledger.web.store.NewId;
import java.nio.file.Path;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A trip typed in afterwards, a row a stint. The lake's clock is an hour behind. */
class PastTripTest {
    private TestClub club;

    @BeforeEach
    void open(@TempDir Path folder) {
        club = new TestClub(folder);
    }

    @AfterEach
    void close() {
        club.close();
    }

    private PastTrip read(int rows, String... cells) {
        Map<String, String> typed = new HashMap<>();
        typed.put("date", "2026-10-02");
        typed.put("from", "22:30");
        typed.put("setup_1", "jig");
        for (int i = 0; i < cells.length; i += 2) {
            typed.put(cells[i], cells[i + 1]);
        }
        PastTrip past = new PastTrip(club.guide, club.lake, club.get(NewId.class), club.clock.instant(), typed);
        past.read(
                rows,
                new PastTrip.Choices(
                        club.all(LedgerFormat.ANGLERS),
                        club.all(LedgerFormat.SETUPS),
                        club.all(LedgerFormat.SPOTS),
                        PastTrip.species(List.of("walleye"))));
        return past;
    }

    private static List<Instant> starts(PastTrip past) {
        return past.whole().stints().stream().map(Stint::startedAt).toList();
    }

    @Test
    void stintsOfOneAnglerFollowOneAnotherOverMidnight() {
        PastTrip past = read(3, "minutes_1", "45", "minutes_2", "60", "minutes_3", "00:50 20");
        assertThat(past.errors()).isEmpty();
        assertThat(starts(past))
                .containsExactly(
                        Instant.parse("2026-10-02T23:30:00Z"),
                        Instant.parse("2026-10-03T00:15:00Z"),
                        Instant.parse("2026-10-03T01:50:00Z"));
        assertThat(past.whole().trip().endedAt()).isEqualTo(Instant.parse("2026-10-03T02:10:00Z"));
    }

    @Test
    void anEmptyCellIsAsInTheRowAbove() {
        PastTrip past = read(
                3,
                "minutes_1",
                "30",
                "spot_1",
                "dock",
                "minutes_2",
                "30",
                "setup_2",
                "drop",
                "minutes_3",
                "10",
                "angler_3",
                String.valueOf(club.member.anglerId()));
        assertThat(past.whole().stints()).extracting(Stint::setUpId).containsExactly("jig", "drop", "drop");
        assertThat(past.whole().stints()).extracting(Stint::spotId).containsExactly("dock", "dock", "dock");
        assertThat(past.whole().stints())
                .extracting(Stint::anglerId)
                .containsExactly(club.guide.anglerId(), club.guide.anglerId(), club.member.anglerId());
        assertThat(starts(past).get(2))
                .as("another angler fished from the start")
                .isEqualTo(Instant.parse("2026-10-02T23:30:00Z"));
    }

    @Test
    void aRowWithoutMinutesIsPassedOverAndStillSaysWhatTheNextOneIsLike() {
        PastTrip past = read(3, "minutes_1", "30", "setup_2", "bare", "minutes_3", "20");
        assertThat(past.whole().stints()).extracting(Stint::setUpId).containsExactly("jig", "bare");
    }

    @Test
    void whatCameIsReadFromShorthand() {
        PastTrip past = read(1, "minutes_1", "30", "came_1", "2 bites, 1 follow, walleye 43, 2 walleye");
        assertThat(past.errors()).isEmpty();
        Stint stint = past.whole().stints().get(0);
        assertThat(List.of(stint.follows(), stint.bites(), stint.hooked())).containsExactly(1, 5, 3);
        assertThat(past.whole().catches()).hasSize(2).anySatisfy(fish -> {
            assertThat(fish.length()).isEqualTo(Length.ofMillimetres(430));
            assertThat(fish.lengthHow())
                    .as("a guess must not pass for a measure")
                    .isEqualTo("estimated");
        });
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "date | 2.10. | date | “2.10.” is not a date. Write it like 2026-05-01.",
                "date | '' | date | Say which day it was. Write it like 2026-05-01.",
                "date | 2031-05-01 | date | That is still to come. Was it the day before?",
                "minutes_1 | 1441 | minutes_1 | “1441” is not a number of minutes from 0.1 to 1440. Write it like 45, or 18:20 45 to say when.",
                "from | '' | from | Say when it began. Write it like 17:30, or 17.",
                "from | late | from | “late” is not a time of day. Write it like 17:30, or 17.",
                "minutes_1 | '' | minutes_1 | A trip has at least one stint: write its minutes, blank or not.",
                "minutes_1 | half | minutes_1 | “half” is not a number of minutes from 0.1 to 1440. Write it like 45, or 18:20 45 to say when.",
                "minutes_1 | 0 | minutes_1 | “0” is not a number of minutes from 0.1 to 1440. Write it like 45, or 18:20 45 to say when.",
                "came_2 | 2 bites | minutes_2 | How many minutes were fished for it?",
                "setup_1 | '' | setup_1 | Choose what was tied on.",
                "setup_1 | nothing | setup_1 | Choose one of the list.",
                "angler_1 | nobody | angler_1 | Choose one of the list.",
                "spot_1 | nowhere | spot_1 | Choose one of the list.",
                "minutes_2 | 22:40 20 | minutes_2 | It would begin before the stint above ended.",
                "water_temp_c | cold | water_temp_c | “cold” is not a temperature. Write it like 12.5 C or 54 F.",
            })
    void whatIsWrongIsSaidAtItsFieldAndTheWholeRefused(String field, String value, String at, String sentence) {
        PastTrip past = field.equals("minutes_1") ? read(2, field, value) : read(2, "minutes_1", "45", field, value);
        assertThat(past.errors()).containsEntry(at, sentence);
        if (!field.equals("water_temp_c")) {
            assertThatThrownBy(past::whole).isInstanceOf(IllegalStateException.class);
        }
    }

    @Test
    void everyFaultIsSaidAtOnce() {
        assertThat(read(2, "date", "x", "from", "y", "minutes_1", "30", "setup_1", "nothing", "came_2", "2 bites")
                        .errors())
                .containsOnlyKeys("date", "from", "setup_1", "minutes_2");
    }

    @Test
    void aWholeTripIsStoredWithAllThatHangsOnItOrNothing() {
        Trips trips = club.get(Trips.class);
        PastTrip past = read(1, "minutes_1", "30", "came_1", "walleye", "water_temp_c", "12", "note", "calm");
        trips.add(club.guide.viewer(), past.whole());
        assertThat(club.all(LedgerFormat.READINGS)).hasSize(1);
        assertThat(club.all(LedgerFormat.CATCHES)).hasSize(1);
        assertThat(trips.may(club.guide.viewer(), past.whole().trip().id(), Trips.Doing.DELETE))
                .isTrue();
        Trips.Whole twice = past.whole();
        assertThatThrownBy(() -> trips.add(club.guide.viewer(), twice))
                .as("its ids are taken")
                .isNotNull();
        assertThat(club.all(LedgerFormat.STINTS)).hasSize(1);
    }

    @Test
    void likelySpeciesComeFirstAndEachOnce() {
        List<String> species = PastTrip.species(List.of("walleye", "pike"));
        assertThat(species)
                .startsWith("walleye", "pike")
                .doesNotHaveDuplicates()
                .hasSizeGreaterThan(5);
    }
}
