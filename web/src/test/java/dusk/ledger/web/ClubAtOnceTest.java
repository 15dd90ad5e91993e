package dusk.ledger.web;

import static org.assertj.core.api.Assertions.assertThat;

import dusk.ledger.format.LedgerFormat;
import dusk.ledger.journal.SetUpBuilder;
import dusk.ledger.units.Position;
import dusk.ledger.web.records.People;
import dusk.ledger.web.records.Person;
import dusk.ledger.web.records.Places;
import dusk.ledger.web.store.ClubWords;
import dusk.ledger.web.store.Level;
import dusk.ledger.web.store.Sharing;
import dusk.ledger.web.store.Trail;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.jsoup.Jsoup;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.RepeatedTest;

/** Several hands on what the club is made of, at the same moment: each finds what the one before it left. */
class ClubAtOnceTest extends RequestedClub {
    private static final int TIMES = 4;

    private final ExecutorService hands = Executors.newFixedThreadPool(6);

    @AfterEach
    void down() {
        hands.shutdownNow();
    }

    /** A form that somebody sends; nobody where they are signed out. */
    private Callable<Integer> sends(@Nullable Person person, String path, String form) {
        return () -> post(person, path, form).getStatus();
    }

    /** Sends them all at once; how each was answered, in their order. */
    private List<Integer> atOnce(List<Callable<Integer>> all) throws Exception {
        CountDownLatch start = new CountDownLatch(1);
        List<Future<Integer>> answers = new ArrayList<>();
        for (Callable<Integer> one : all) {
            answers.add(hands.submit(() -> {
                start.await();
                return one.call();
            }));
        }
        start.countDown();
        List<Integer> statuses = new ArrayList<>();
        for (Future<Integer> answer : answers) {
            statuses.add(answer.get());
        }
        return statuses;
    }

    private List<Person> people() {
        return beans.getBean(People.class).ofClub(club.officer.clubId());
    }

    private long officers() {
        return people().stream().filter(p -> p.viewer().officer()).count();
    }

    @RepeatedTest(TIMES)
    void aLinkLetsOneInHoweverManyOpenIt() throws Exception {
        String token = invitation();
        int before = people().size();
        List<Callable<Integer>> six = new ArrayList<>();
        for (int i = 0; i < 6; i++) {
            String name = "username=hand" + i + "x" + System.nanoTime();
            six.add(sends(null, "/invited/" + token, "name=Wren " + i + "&" + name + "&password=a long enough word"));
        }
        List<Integer> answers = atOnce(six);
        assertThat(answers).containsOnlyOnce(302);
        assertThat(Collections.frequency(answers, 404)).isEqualTo(5);
        assertThat(people()).hasSize(before + 1);
        assertThat(club.all(LedgerFormat.ANGLERS)).hasSize(before + 1);
    }

    @RepeatedTest(TIMES)
    void ofTwoOfficersWhoGoAtOnceOneStays() throws Exception {
        post(club.officer, "/club/people/" + club.guide.id() + "/role", "role=officer");
        assertThat(officers()).isEqualTo(2);
        List<Integer> answers = atOnce(List.of(
                sends(club.officer, "/club/people/" + club.officer.id() + "/role", "role=member"),
                sends(club.guide, "/account/leave", "leave=records&old=a long enough word")));
        assertThat(answers).containsOnlyOnce(302);
        assertThat(officers()).isEqualTo(1);
    }

    @RepeatedTest(TIMES)
    void twoOfficersDoNotMakeTwoWordsStandForEachOther() throws Exception {
        post(club.officer, "/club/people/" + club.guide.id() + "/role", "role=officer");
        club.store(
                LedgerFormat.SETUPS,
                List.of(
                        SetUpBuilder.builder()
                                .id("a")
                                .rig("wacky")
                                .colour("moss")
                                .build(),
                        SetUpBuilder.builder()
                                .id("b")
                                .rig("wacky")
                                .colour("mos")
                                .build()));
        List<Integer> answers = atOnce(List.of(
                sends(club.officer, "/club/words", "column=colour&word=moss&into=mos"),
                sends(club.guide, "/club/words", "column=colour&word=mos&into=moss")));
        assertThat(answers).containsOnlyOnce(302).containsOnlyOnce(422);
        assertThat(club.get(ClubWords.class).all(club.officer.viewer()))
                .filteredOn(word -> word.standsFor() != null)
                .hasSize(1);
    }

    @RepeatedTest(TIMES)
    void ofWhatIsSaidOfOnePlaceAtOnceOneHolds() throws Exception {
        club.get(Places.class).keep(club.member.viewer(), "Kiln Point", new Position(44.2, -14.1));
        List<Callable<Integer>> sayings = new ArrayList<>();
        for (Level level : Level.values()) {
            sayings.add(() -> {
                club.get(Sharing.class).say(club.member.viewer(), null, "point", level);
                return 0;
            });
        }
        atOnce(sayings);
        List<Sharing.Said> said = club.get(Sharing.class).of(club.member.viewer());
        assertThat(said).hasSize(1);
        // and whatever held in the end is what others get
        boolean named = said.get(0).level() == Level.ALL;
        assertThat(get(club.other, "/club/waters/lake").getContentAsString().contains("Kiln Point"))
                .isEqualTo(named);
    }

    @RepeatedTest(TIMES)
    void aChangeIsPutBackOnceAndWhoeverComesSecondFindsItDone() throws Exception {
        post(club.officer, "/trips/p/stints/s", "minutes=50");
        String undo = Jsoup.parse(get(club.officer, "/club/trail").getContentAsString())
                .select("main form[action$=/undo]")
                .attr("action");
        List<Integer> answers = atOnce(
                List.of(sends(club.officer, undo, ""), sends(club.member, undo, ""), sends(club.officer, undo, "")));
        assertThat(answers).containsOnly(302);
        assertThat(club.all(LedgerFormat.STINTS).stream()
                        .filter(s -> s.id().equals("s"))
                        .map(s -> s.minutes()))
                .containsExactly(40.0);
        assertThat(club.get(Trail.class).recent(club.officer.viewer(), 9))
                .as("that it was put back is no change of its own")
                .hasSize(1);
    }

    @RepeatedTest(TIMES)
    void aRoleThatIsGivenWhileTheyLeaveGivesNobodyAnything() throws Exception {
        atOnce(List.of(
                sends(club.officer, "/club/people/" + club.member.id() + "/role", "role=officer"),
                sends(club.member, "/account/leave", "leave=records&old=a long enough word")));
        assertThat(people()).extracting(Person::id).doesNotContain(club.member.id());
        assertThat(officers()).as("who left counts as nobody").isEqualTo(1);
        assertThat(post(club.officer, "/club/people/" + club.officer.id() + "/role", "role=member")
                        .getStatus())
                .as("so the last one stays")
                .isEqualTo(422);
    }
}
