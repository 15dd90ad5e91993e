package dusk.ledger.web;

import static org.assertj.core.api.Assertions.assertThat;

import dusk.ledger.web.store.Store;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * What may happen to a server's disk and beside it: a disk that takes no more, a file that may only be read, another
 * server on the same store, a demo started anew beside a running one. Kills are in {@link DurabilityIT}, clocks that
 * jump in the deck's tests.
 */
class FaultsIT {
    /** Every test has a deck of its own on the same store, so one start does for those that leave it standing. */
    @TempDir
    static Path folder;

    private static ServerProcess one;

    @BeforeAll
    static void named() throws IOException {
        one = new ServerProcess(store(), folder.resolve("one.log"));
    }

    @AfterAll
    static void kill() throws InterruptedException {
        one.kill();
    }

    private static ServerProcess beside() throws IOException {
        return new ServerProcess(store(), folder.resolve("other.log"));
    }

    private static Path store() {
        return folder.resolve("dusk.db");
    }

    /** A deck with one rod; the page and the rod's id. */
    private record Deck(String page, String rod) {}

    private static Deck deck(Visitor visitor) throws Exception {
        String form = visitor.get("/deck/new?rods=1").body();
        Map<String, String> fields = new HashMap<>(Map.of("rods", "1", "lines", "in"));
        fields.put("water_id", ServerProcess.first("name=\"water_id\" value=\"([^\"]+)\"", form));
        for (String name : List.of("angler_id_1", "setup_id_1")) {
            fields.put(
                    name,
                    ServerProcess.first("name=\"" + name + "\"[\\s\\S]*?<option value=\"([0-9a-f-]{36})\"", form));
        }
        String page = ServerProcess.first(
                "(/deck/[0-9a-f-]+)",
                visitor.post("/deck/new", "/deck", fields)
                        .headers()
                        .firstValue("Location")
                        .orElse(""));
        return new Deck(
                page,
                ServerProcess.first("id=\"rod-([0-9a-f-]+)\"", visitor.get(page).body()));
    }

    private static HttpResponse<String> bite(Visitor visitor, String token, Deck deck, String act) throws Exception {
        return visitor.send(deck.page() + "/rods/" + deck.rod() + "/bite", token, Map.of("act", act));
    }

    /** Bites of a deck. */
    private static Set<String> acts(Deck deck) {
        try (Store store = Store.open(store())) {
            return new HashSet<>(store.read()
                    .fetch(
                            "select act_id from acts where what like 'rod %: bite' and trip_id = ?",
                            deck.page().replace("/deck/", ""))
                    .getValues(0, String.class));
        }
    }

    /** What the club is told, and the question whether that is stored. */
    private static final Map<String, String> TOLD = Map.of(
            "/club/sharing?everywhere=water", "select count(*) from sharing where level = 'water'",
            "/club/words?column=colour&word=quarry", "select count(*) from words where word = 'quarry'",
            "/club/people/invite?role=member&for_whom=Wren", "select count(*) from links where for_whom = 'Wren'",
            "/club/waters?name=Tarn&kind=lake", "select count(*) from waters where name = 'Tarn'");

    /** Tells the club all of it; what was taken. What was not must be said plainly. */
    private static Map<String, Boolean> tellTheClub(Visitor visitor) throws Exception {
        Map<String, Boolean> taken = new TreeMap<>();
        String token = visitor.token("/account");
        for (String told : TOLD.keySet()) {
            Map<String, String> form = Arrays.stream(
                            told.substring(told.indexOf('?') + 1).split("&"))
                    .map(pair -> pair.split("="))
                    .collect(Collectors.toMap(pair -> pair[0], pair -> pair[1]));
            HttpResponse<String> answer = visitor.send(told.substring(0, told.indexOf('?')), token, form);
            taken.put(told, answer.statusCode() != 503);
            if (answer.statusCode() == 503) {
                assertThat(answer.body()).as(told).contains("so nothing of it was stored.");
            } else {
                assertThat(answer.statusCode()).as(told).isIn(200, 302);
            }
        }
        assertThat(taken.values()).as("something was refused").contains(false);
        return taken;
    }

    private static Map<String, Boolean> toldTheClub() {
        Map<String, Boolean> there = new TreeMap<>();
        try (Store store = Store.open(store())) {
            TOLD.forEach((told, question) ->
                    there.put(told, store.read().fetchOne(question).get(0, int.class) > 0));
        }
        return there;
    }

    /** A limit on the size of its files stands for a disk that is full: the store's log can grow no more. */
    @Test
    void aDiskThatTakesNoMoreIsSaidAndWhatWasConfirmedIsThere() throws Exception {
        one.runs();
        Deck deck = deck(one.signedIn());
        one.kill();
        // what the log holds goes into the store's file, so that the log begins anew
        Store.open(store()).close();
        one.startUnder(List.of("bash", "-c", "ulimit -f 2048; exec \"$0\" \"$@\""));
        Visitor visitor = one.signedIn();
        String token = visitor.token(deck.page());
        Set<String> confirmed = new HashSet<>();
        HttpResponse<String> refused = null;
        for (int i = 0; i < 400 && refused == null; i++) {
            String act = UUID.randomUUID().toString();
            HttpResponse<String> answer = bite(visitor, token, deck, act);
            if (answer.statusCode() == 200) {
                confirmed.add(act);
            } else {
                refused = answer;
            }
        }
        assertThat(confirmed).as("touches before the disk was full").isNotEmpty();
        assertThat(refused).as("one that was not taken").isNotNull();
        assertThat(refused.statusCode()).isEqualTo(503);
        assertThat(refused.body())
                .containsAnyOf(
                        "The disk is full, so nothing of it was stored.",
                        "The disk does not take it, so nothing of it was stored.");
        assertThat(visitor.get(deck.page()).statusCode())
                .as("it still shows what there is")
                .isEqualTo(200);
        Map<String, Boolean> taken = tellTheClub(visitor);
        one.kill();
        assertThat(acts(deck)).isEqualTo(confirmed);
        assertThat(toldTheClub()).isEqualTo(taken);

        one.start();
        Visitor again = one.signedIn();
        String after = UUID.randomUUID().toString();
        assertThat(bite(again, again.token(deck.page()), deck, after).statusCode())
                .isEqualTo(200);
        assertThat(acts(deck)).contains(after).hasSize(confirmed.size() + 1);
        assertThat(again.send("/club/words", again.token("/account"), Map.of("column", "colour", "word", "quarry"))
                        .statusCode())
                .as("once there is room it is taken")
                .isEqualTo(302);
        assertThat(toldTheClub()).containsEntry("/club/words?column=colour&word=quarry", true);
    }

    /** Whoever runs the tests may be allowed to write everywhere but here. */
    @Test
    void aStoreThatCannotBeWrittenIsSaidAtTheStart() throws Exception {
        ServerProcess nowhere = new ServerProcess(Path.of("/proc/dusk.db"), folder.resolve("nowhere.log"));
        nowhere.start();
        assertThat(nowhere.ended()).isNotZero();
        assertThat(nowhere.printed())
                .contains("/proc/dusk.db cannot be made or read")
                .contains("name another file with --store")
                .doesNotContain("\tat ");
    }

    @Test
    void twoServersOnOneStoreLoseNothingOfEachOther() throws Exception {
        one.runs();
        ServerProcess other = beside();
        other.start();
        try {
            Deck deck = deck(one.signedIn());
            Set<String> confirmed = ConcurrentHashMap.newKeySet();
            List<Thread> hands = List.of(one, other).stream()
                    .map(server -> new Thread(() -> {
                        try {
                            Visitor visitor = server.signedIn();
                            String token = visitor.token(deck.page());
                            for (int i = 0; i < 60; i++) {
                                String act = UUID.randomUUID().toString();
                                if (bite(visitor, token, deck, act).statusCode() == 200) {
                                    confirmed.add(act);
                                }
                            }
                        } catch (Exception e) {
                            throw new IllegalStateException(e);
                        }
                    }))
                    .toList();
            hands.forEach(Thread::start);
            for (Thread hand : hands) {
                hand.join();
            }
            assertThat(confirmed).hasSize(120);
            assertThat(acts(deck)).containsAll(confirmed).hasSize(confirmed.size());
        } finally {
            other.kill();
        }
    }

    @Test
    void aDemoIsNotMadeAnewBesideARunningOne() throws Exception {
        one.runs();
        Visitor visitor = one.signedIn();
        Deck deck = deck(visitor);
        ServerProcess other = beside();
        other.start("--dusk.fresh=true");
        assertThat(other.ended()).isNotZero();
        assertThat(other.printed())
                .contains("is in use by a running server, so it is not made anew. Stop that one first.")
                .doesNotContain("\tat ");
        String act = UUID.randomUUID().toString();
        assertThat(bite(visitor, visitor.token(deck.page()), deck, act).statusCode())
                .isEqualTo(200);
        assertThat(acts(deck)).contains(act);
    }

    @Test
    void aStoreTakenAwayUnderAServerTakesNothingMore() throws Exception {
        one.runs();
        Visitor visitor = one.signedIn();
        Deck deck = deck(visitor);
        String token = visitor.token(deck.page());
        Files.move(store(), folder.resolve("elsewhere.db"));
        HttpResponse<String> refused = bite(visitor, token, deck, "late");
        assertThat(refused.statusCode()).isEqualTo(503);
        assertThat(refused.body()).contains("was taken away or replaced, so nothing is stored any more.");
        one.kill();
        Files.move(folder.resolve("elsewhere.db"), store());
    }
}
