package dusk.ledger.web.records;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dusk.ledger.format.LedgerFormat;
import dusk.ledger.journal.Angler;
import dusk.ledger.journal.Invalid;
import dusk.ledger.web.TestClub;
import dusk.ledger.web.store.Clubs;
import dusk.ledger.web.store.Viewer;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** How a club begins and how people come into it: whole or not at all, each with their own records. */
class MembershipTest {
    private TestClub club;

    @BeforeEach
    void open(@TempDir Path folder) {
        club = new TestClub(folder);
    }

    @AfterEach
    void close() {
        club.close();
    }

    /** A fault between the writes of setting up leaves nothing behind: no club that nobody can sign in to. */
    @Test
    void aClubAndItsOfficerAreMadeTogetherOrNotAtAll() {
        int clubs = club.get(Clubs.class).all().size();
        Membership membership = club.get(Membership.class);
        Membership.Newcomer taken = new Membership.Newcomer(club.guide.signIn(), "Twice", "a long enough word");
        assertThatThrownBy(() -> membership.found("Half a Club", taken)).isNotNull();
        assertThat(club.get(Clubs.class).all()).hasSize(clubs);
        int anglers = club.all(LedgerFormat.ANGLERS).size();
        assertThatThrownBy(() -> membership.join(club.officer.clubId(), taken, Viewer.Role.MEMBER, null))
                .isNotNull();
        assertThat(club.all(LedgerFormat.ANGLERS)).extracting(Angler::name).doesNotContain("Twice");
        assertThat(club.all(LedgerFormat.ANGLERS)).hasSize(anglers);
    }

    @Test
    void aNewcomerTakesAnAnglersRecordsOnlyWhereTheOfficerSaysSo() {
        club.store(LedgerFormat.ANGLERS, List.of(new Angler("old", "Wren Ashdown")));
        Membership membership = club.get(Membership.class);
        String clubId = club.officer.clubId();
        Membership.Newcomer same = new Membership.Newcomer("wren", "Wren Ashdown", "a long enough word");
        assertThat(anglerOf(membership.join(clubId, same, Viewer.Role.GUIDE, null)))
                .as("a name alone")
                .isNotEqualTo("old");
        Membership.Newcomer other = new Membership.Newcomer("wren2", "W. Ashdown", "a long enough word");
        assertThat(anglerOf(membership.join(clubId, other, Viewer.Role.MEMBER, "old")))
                .isEqualTo("old");
        Membership.Newcomer third = new Membership.Newcomer("wren3", "Not Wren", "a long enough word");
        assertThatThrownBy(() -> membership.join(clubId, third, Viewer.Role.MEMBER, "old"))
                .isInstanceOf(Invalid.class)
                .hasMessage("angler_id: These are somebody’s already. Choose another, or someone new.");
        assertThat(club.get(People.class).bySignIn("wren3")).isEmpty();
    }

    private String anglerOf(String personId) {
        return String.valueOf(
                club.get(People.class).byId(personId).orElseThrow().anglerId());
    }

    /** Two officers bring the same name in at once: one of them is told that it is taken. */
    @Test
    void aSignInNameIsOnePersonsHoweverManyAskForItAtOnce() throws Exception {
        ExecutorService both = Executors.newFixedThreadPool(4);
        List<Future<Boolean>> came = new ArrayList<>();
        for (int i = 0; i < 4; i++) {
            came.add(both.submit(() -> {
                try {
                    club.get(Membership.class)
                            .join(
                                    club.officer.clubId(),
                                    new Membership.Newcomer("twin", "Twin", "a long enough word"),
                                    Viewer.Role.MEMBER,
                                    null);
                    return true;
                } catch (Invalid e) {
                    return false;
                }
            }));
        }
        int in = 0;
        for (Future<Boolean> one : came) {
            in += one.get() ? 1 : 0;
        }
        both.shutdown();
        assertThat(in).isEqualTo(1);
        assertThat(club.all(LedgerFormat.ANGLERS)).extracting(Angler::name).containsOnlyOnce("Twin");
    }
}
