package dusk.ledger.web;

import static org.assertj.core.api.Assertions.assertThat;

import dusk.ledger.format.LedgerFormat;
import dusk.ledger.journal.Catch;
import dusk.ledger.journal.CatchBuilder;
import dusk.ledger.journal.Stint;
import dusk.ledger.journal.StintBuilder;
import dusk.ledger.journal.Trip;
import dusk.ledger.web.records.Person;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What a page asks of the store must not grow with the club: as many statements for many trips as for few. */
class StatementsTest extends RequestedClub {
    /** Trips of others, with stints and fish, that fill the list's page and more. */
    private void grow(int trips) {
        List<Trip> more = new ArrayList<>();
        List<Stint> stints = new ArrayList<>();
        List<Catch> fish = new ArrayList<>();
        for (int t = 0; t < trips; t++) {
            more.add(new Trip("more" + t, "lake", TestClub.START.minus(Duration.ofDays(t + 1)), null, null));
            for (int s = 0; s < 4; s++) {
                stints.add(StintBuilder.builder()
                        .id("more" + t + "-" + s)
                        .tripId("more" + t)
                        .anglerId(club.other.anglerId())
                        .setUpId("drop")
                        .spotId("dock")
                        .startedAt(TestClub.START.minus(Duration.ofDays(t + 1)))
                        .minutes(30)
                        .bites(1)
                        .hooked(1)
                        .build());
                fish.add(CatchBuilder.builder()
                        .id("fish" + t + "-" + s)
                        .stintId("more" + t + "-" + s)
                        .species("pike")
                        .count(1)
                        .build());
            }
        }
        club.store(LedgerFormat.TRIPS, more);
        club.store(LedgerFormat.STINTS, stints);
        club.store(LedgerFormat.CATCHES, fish);
    }

    private List<String> asked(Person person, String method, String path) throws Exception {
        // whatever is read once after a write and kept is there by the second time
        if (method.equals("GET")) {
            get(person, path);
        }
        try (Statements statements = new Statements()) {
            if (method.equals("GET")) {
                assertThat(get(person, path).getStatus()).isEqualTo(200);
            } else {
                var touch = typed(request("POST", path), "species=walleye&act=a" + System.nanoTime())
                        .header("X-Deck", "1");
                assertThat(answer(person, touch).getStatus()).isEqualTo(200);
            }
            return List.copyOf(statements.asked());
        }
    }

    @ParameterizedTest
    @CsvSource({
        "GET, /trips, 12",
        "GET, /trips?page=1, 12",
        "GET, /trips/p, 30",
        "GET, /deck/{live}, 40",
        "GET, /deck/new, 20",
        "GET, /trips/past, 20",
        "GET, /tackle, 12",
        "GET, /tackle/set-ups/jig, 12",
        "GET, /column, 12",
        "GET, /findings/compare, 10",
        "GET, /findings/stints?where=rig%3Dwacky, 12",
        "POST, /deck/{live}/rods/{rod}/landed, 40",
    })
    void theyAreAsManyInALargeClubAsInASmallOne(String method, String path, int most) throws Exception {
        grow(45);
        List<String> few = asked(club.guide, method, path);
        newClub();
        grow(300);
        List<String> many = asked(club.guide, method, path);
        assertThat(many.size())
                .as("%s", String.join("\n", many))
                .isEqualTo(few.size())
                .isLessThanOrEqualTo(most);
    }
}
