package dusk.ledger.web;

import static org.assertj.core.api.Assertions.assertThat;

import dusk.ledger.web.store.LedgerRows.LeftOut;
import dusk.ledger.web.store.RecentTables;
import dusk.ledger.web.store.Store;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.mock.web.MockHttpServletResponse;

/** Rows that cannot be, as an older application stored them: the club's pages go on, and the findings say what is left out. */
class LeftOutTest extends RequestedClub {
    private void stored(String sql) {
        String clubId = club.officer.clubId();
        beans.getBean(Store.class).write(clubId, tx -> tx.execute(sql.replace("{club}", clubId)));
    }

    private void impossible() {
        stored("update stints set minutes = 1e15 where club_id = '{club}' and stint_id = 's'");
        stored("insert into trips (club_id, trip_id, water_id, started_at) values"
                + " ('{club}', 'first', 'lake', '-999999999-01-01T00:00:00.000Z')");
        stored(
                "insert into stints (club_id, stint_id, trip_id, angler_id, setup_id, started_at, minutes, follows, bites, hooked)"
                        + " select club_id, 'of-first', 'first', angler_id, setup_id, started_at, 30, 0, 0, 0"
                        + " from stints where club_id = '{club}' and stint_id = 's'");
        stored(
                "insert into trips (club_id, trip_id, water_id, started_at) values ('{club}', 'odd', 'lake', 'last Tuesday')");
        stored("update setups set colour = char(0) || 'pearl' where club_id = '{club}' and setup_id = 'bare'");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "/findings/compare?factor=rig",
                "/findings/patterns",
                "/findings/size",
                "/findings/grid",
                "/findings/clock",
                "/findings/funnel",
                "/findings/favourites",
                "/plan",
                "/plan/rules",
                "/plan/run",
                "/plan/go-back",
                "/plan/trials",
                "/today",
                "/trips",
                "/trips/p",
                "/trips/p/debrief",
                "/tackle",
                "/deck/{live}",
                "/column",
                "/club",
            })
    void noPageFallsForOneRow(String path) throws Exception {
        int before = get(club.member, path).getStatus();
        impossible();
        MockHttpServletResponse answer = get(club.member, path);
        assertThat(answer.getStatus()).isEqualTo(before).isLessThan(500);
        if (path.startsWith("/findings")) {
            assertThat(answer.getContentAsString())
                    .contains("6 stored rows are")
                    .contains("stints s: minutes: 1.0E15 is out of range, expected 0.1 to 1440");
        }
    }

    @Test
    void whatIsLeftOutIsSaidWithWhatHangsOnIt() {
        assertThat(beans.getBean(RecentTables.class).leftOut(club.member.viewer()))
                .isEmpty();
        impossible();
        assertThat(beans.getBean(RecentTables.class).leftOut(club.member.viewer()))
                .containsExactlyInAnyOrder(
                        new LeftOut(
                                "setups",
                                "bare",
                                "colour: holds a control character, expected letters, digits and signs that can be seen"),
                        new LeftOut(
                                "trips", "first", "started_at: a time no one logged, expected one from 1900 to 2099"),
                        new LeftOut("trips", "odd", "started_at: a time no one logged, expected one from 1900 to 2099"),
                        new LeftOut("stints", "of-first", "trip_id: first is left out"),
                        new LeftOut("stints", "s", "minutes: 1.0E15 is out of range, expected 0.1 to 1440"),
                        new LeftOut("catches", "f", "stint_id: s is left out"));
    }
}
