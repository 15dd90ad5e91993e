package dusk.ledger.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.WaitForSelectorState;
import dusk.ledger.format.LedgerFormat;
import dusk.ledger.journal.Touch;
import dusk.ledger.web.store.LedgerRows;
import dusk.ledger.web.store.Store;
import dusk.ledger.web.store.Viewer;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.IntSupplier;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.jooq.impl.DSL;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The server as a process of its own, touched from eight devices at once and killed without warning. */
class DurabilityIT {
    private static final int DEVICES = 8;
    private static final int TOUCHES_A_SECOND = 5;

    /** Every test has a deck of its own on the same store. */
    @TempDir
    static Path folder;

    private static ServerProcess server;

    @BeforeAll
    static void named() throws IOException {
        server = new ServerProcess(store(), folder.resolve("log"));
    }

    @BeforeEach
    void runs() throws Exception {
        server.runs();
    }

    @AfterAll
    static void kill() throws InterruptedException {
        server.kill();
    }

    private static Path store() {
        return folder.resolve("dusk.db");
    }

    private Visitor signedIn() throws Exception {
        return server.signedIn();
    }

    private static String first(String pattern, String text) {
        return ServerProcess.first(pattern, text);
    }

    /** A trip with a rod for each device: the page of the deck, then the rods' ids. */
    private List<String> startTrip(Visitor visitor) throws Exception {
        String form = visitor.get("/deck/new?rods=" + DEVICES).body();
        Map<String, String> fields = new java.util.HashMap<>(Map.of(
                "rods", "" + DEVICES, "lines", "in", "water_id", first("name=\"water_id\" value=\"([^\"]+)\"", form)));
        String angler = first("name=\"angler_id_1\"[\\s\\S]*?<option value=\"([0-9a-f-]{36})\"", form);
        String setUp = first("name=\"setup_id_1\"[\\s\\S]*?<option value=\"([0-9a-f-]{36})\"", form);
        for (int rod = 1; rod <= DEVICES; rod++) {
            fields.put("angler_id_" + rod, angler);
            fields.put("setup_id_" + rod, setUp);
        }
        HttpResponse<String> started = visitor.post("/deck/new", "/deck", fields);
        String page = first(
                "(/deck/[0-9a-f-]+)", started.headers().firstValue("Location").orElseThrow());
        List<String> all = new ArrayList<>(List.of(page));
        Matcher rods = Pattern.compile("id=\"rod-([0-9a-f-]+)\"")
                .matcher(visitor.get(page).body());
        while (rods.find()) {
            all.add(rods.group(1));
        }
        assertThat(all).hasSize(DEVICES + 1);
        return all;
    }

    /** What devices sent and what was confirmed, by act. */
    private static final class Sent {
        final Set<String> all = ConcurrentHashMap.newKeySet();
        final Set<String> confirmed = ConcurrentHashMap.newKeySet();
        final ConcurrentLinkedQueue<Long> nanos = new ConcurrentLinkedQueue<>();
    }

    /** Touches from every device, every fifth sent twice as a device does that had no answer; a device whose server is gone stops. */
    private Sent touch(List<String> deck, double seconds) throws Exception {
        return touch(deck, seconds, new Sent());
    }

    private Sent touch(List<String> deck, double seconds, Sent sent) throws Exception {
        List<Thread> devices = new ArrayList<>();
        for (int device = 0; device < DEVICES; device++) {
            String path = deck.get(0) + "/rods/" + deck.get(device + 1) + (device % 2 == 0 ? "/bite" : "/follow");
            Visitor visitor = signedIn();
            String token = visitor.token(deck.get(0));
            devices.add(new Thread(() -> {
                long start = System.nanoTime();
                for (int i = 0; i < seconds * TOUCHES_A_SECOND; i++) {
                    try {
                        long due = start + i * 1_000_000_000L / TOUCHES_A_SECOND;
                        TimeUnit.NANOSECONDS.sleep(due - System.nanoTime());
                        String act = UUID.randomUUID().toString();
                        sent.all.add(act);
                        for (int times = i % 5 == 0 ? 2 : 1; times > 0; times--) {
                            long at = System.nanoTime();
                            if (visitor.send(path, token, Map.of("act", act)).statusCode() == 200) {
                                sent.nanos.add(System.nanoTime() - at);
                                sent.confirmed.add(act);
                            }
                        }
                    } catch (IOException | InterruptedException e) {
                        return;
                    }
                }
            }));
        }
        devices.forEach(Thread::start);
        for (Thread device : devices) {
            device.join();
        }
        return sent;
    }

    /** The touches in the order they were stored, how many the stints count, and which acts. */
    private record Stored(List<String> kinds, int counted, List<String> acts, Instant newest) {
        int touches() {
            return kinds.size();
        }
    }

    private Stored stored(String page) {
        try (Store store = Store.open(store())) {
            LedgerRows rows = new LedgerRows(store);
            String club = store.read().fetchOne("select club_id from clubs").get(0, String.class);
            var stints = rows.all(
                    Viewer.club(club),
                    LedgerFormat.STINTS,
                    LedgerRows.holds(LedgerFormat.STINTS, "trip_id", page.replace("/deck/", "")),
                    List.of());
            var ids = stints.stream().map(s -> s.id()).collect(Collectors.toSet());
            var touches = rows.all(
                    Viewer.club(club),
                    LedgerFormat.TOUCHES,
                    DSL.field("stint_id").in(ids),
                    List.of(DSL.field("rowid").asc()));
            return new Stored(
                    touches.stream().map(Touch::kind).toList(),
                    stints.stream().mapToInt(s -> s.follows() + s.bites()).sum(),
                    store.read()
                            .fetch(
                                    "select act_id from acts where what like 'rod %' and trip_id = ?",
                                    page.replace("/deck/", ""))
                            .getValues(0, String.class),
                    touches.stream().map(t -> t.at()).max(Instant::compareTo).orElse(Instant.EPOCH));
        }
    }

    @Test
    void fortyTouchesASecondFromEightDevicesAreAllStoredOnce() throws Exception {
        List<String> deck = startTrip(signedIn());
        Sent sent = touch(deck, 10);
        Stored stored = stored(deck.get(0));
        assertThat(sent.confirmed).hasSize(DEVICES * TOUCHES_A_SECOND * 10);
        assertThat(stored.acts()).containsExactlyInAnyOrderElementsOf(sent.all);
        assertThat(stored.touches()).isEqualTo(sent.all.size());
        assertThat(stored.counted()).isEqualTo(sent.all.size());
        long[] sorted = sent.nanos.stream().mapToLong(Long::longValue).sorted().toArray();
        System.out.printf(
                "touches: %d answered, median %.1f ms, 95th percentile %.1f ms, slowest %.1f ms%n",
                sorted.length,
                sorted[sorted.length / 2] / 1e6,
                sorted[(int) (sorted.length * 0.95)] / 1e6,
                Arrays.stream(sorted).max().orElseThrow() / 1e6);
    }

    /** Kills the server once more was confirmed than so much: not by the clock, since a slow machine confirms less in a time. */
    private static Thread killsBehind(IntSupplier confirmed, int most) {
        Thread killer = new Thread(() -> {
            try {
                while (confirmed.getAsInt() <= most) {
                    TimeUnit.MILLISECONDS.sleep(5);
                }
                kill();
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
            }
        });
        killer.setDaemon(true);
        killer.start();
        return killer;
    }

    @Test
    void whatWasConfirmedOutlivesAKillAndWhatIsSentAgainIsStoredOnce() throws Exception {
        List<String> deck = startTrip(signedIn());
        Sent sent = new Sent();
        Thread killer = killsBehind(sent.confirmed::size, 20);
        touch(deck, 20, sent);
        // devices that are done without enough confirmed end the wait too; the next line then says so
        killer.join(Duration.ofSeconds(30).toMillis());
        assertThat(sent.confirmed).hasSizeGreaterThan(20).hasSizeLessThan(DEVICES * TOUCHES_A_SECOND * 20);
        Stored after = stored(deck.get(0));
        assertThat(after.acts()).containsAll(sent.confirmed);
        assertThat(after.touches()).isEqualTo(after.acts().size()).isEqualTo(after.counted());

        runs();
        Visitor visitor = signedIn();
        String token = visitor.token(deck.get(0));
        for (String act : sent.all) {
            assertThat(visitor.send(deck.get(0) + "/rods/" + deck.get(1) + "/bite", token, Map.of("act", act))
                            .statusCode())
                    .isEqualTo(200);
        }
        Stored again = stored(deck.get(0));
        assertThat(again.acts()).containsExactlyInAnyOrderElementsOf(sent.all);
        assertThat(again.touches()).isEqualTo(sent.all.size()).isEqualTo(again.counted());
    }

    private List<String> asked(String question) {
        try (Store store = Store.open(store())) {
            return store.read().fetch(question).getValues(0, String.class);
        }
    }

    /** What somebody shares and what a word stands for are as the last answer said, or as what was being sent would have them. */
    @Test
    void whatTheClubWasToldOutlivesAKillWholeOrNotAtAll() throws Exception {
        Visitor visitor = signedIn();
        String token = visitor.token("/account");
        String person = first(
                "name=\"person\"[^>]*value=\"([^\"]+)\"",
                server.visitor().get("/sign-in").body());
        List<String> levels = List.of("water", "all", "nothing", "kind");
        AtomicInteger confirmed = new AtomicInteger();
        Thread killer = killsBehind(confirmed::get, 15);
        int sent = 0;
        try {
            for (; sent < 2000; sent++) {
                visitor.send("/club/sharing", token, Map.of("everywhere", levels.get(sent % 4)));
                visitor.send("/club/words", token, Map.of("column", "colour", "word", "slate " + sent));
                confirmed.set(sent + 1);
            }
        } catch (IOException e) {
            // the server is gone
        }
        killer.join(Duration.ofSeconds(30).toMillis());
        assertThat(sent).isBetween(16, 1999);
        assertThat(asked("select level from sharing where spot_id is null and water_id is null and angler_id ="
                        + " (select angler_id from people where person_id = '" + person + "')"))
                .as("said once, as it was said last")
                .hasSize(1)
                .isSubsetOf(levels.get((sent + 3) % 4), levels.get(sent % 4));
        assertThat(asked("select word from words where word like 'slate %'"))
                .hasSizeBetween(sent, sent + 1)
                .containsAll(
                        IntStream.range(0, sent).mapToObj(i -> "slate " + i).toList());
    }

    /** No answer from the server is what a device without a signal sees. */
    @Test
    void withoutASignalTouchesWaitOnTheDeviceAndAreStoredAtTheirTimeOnce() throws Exception {
        try (Browser browser = new Browser()) {
            Page page = browser.visit(390, 844, true);
            page.navigate("http://127.0.0.1:" + server.port() + "/sign-in");
            page.locator("button[name=person]").first().click();
            page.waitForURL("**/today");
            page.navigate("http://127.0.0.1:" + server.port() + "/deck/new?rods=1");
            page.click("text=Lines in");
            page.waitForSelector("article");
            String deck = page.url().replaceAll(".*(/deck/[0-9a-f-]+).*", "$1");
            String kept =
                    "caches.open('dusk-deck').then(c => c.match('/deck')).then(r => !!r && !!navigator.serviceWorker.controller)";
            for (int i = 0; i < 100 && !Boolean.TRUE.equals(page.evaluate(kept)); i++) {
                page.waitForTimeout(100);
            }
            browser.loseSignal();
            kill();
            page.click("article button:has-text(\"Bite\")");
            page.waitForSelector("#waiting-mark:has-text(\"1 touch waits here and will be sent\")");
            assertThat(page.textContent("[data-count=bites]")).isEqualTo("1");
            page.click("article button:has-text(\"Follow\")");
            page.waitForSelector("#waiting-mark:has-text(\"No signal. 2 touches wait here and will be sent\")");
            assertThat(stored(deck).touches()).isZero();

            BrowserContext device = page.context();
            page.close();
            page = device.newPage();
            page.navigate("http://127.0.0.1:" + server.port() + "/deck");
            page.waitForSelector("b[data-count=follows]:text-is(\"1\")");
            assertThat(page.textContent("[data-count=bites]")).isEqualTo("1");
            List<String> made = new ArrayList<>(List.of("bite", "follow"));
            for (int i = 0; i < 10; i++) {
                made.add(i % 3 == 0 ? "follow" : "bite");
                page.click("article button:has-text(\"" + (i % 3 == 0 ? "Follow" : "Bite") + "\")");
                page.waitForTimeout(60);
            }
            page.click("article summary:has-text(\"Swap\")");
            String colour = String.valueOf(
                    page.locator("article button[name=colour]:visible").first().getAttribute("value"));
            page.locator("article button[name=colour]:visible").first().click();
            page.waitForSelector("[data-part=colour]:has-text(\"" + colour + "\")");
            assertThat(page.textContent("[data-count=bites]"))
                    .as("another stint runs")
                    .isEqualTo("0");
            for (int i = 0; i < 8; i++) {
                made.add(i % 2 == 0 ? "follow" : "bite");
                page.click("article button:has-text(\"" + (i % 2 == 0 ? "Follow" : "Bite") + "\")");
                page.waitForTimeout(60);
            }
            page.click("article summary:has-text(\"Landed\")");
            page.locator("article button[name=species]:visible").first().click();
            made.add("hooked");
            page.click("details.fish > summary");
            page.fill("details.fish [name=length_mm]", "52 cm");
            page.click("text=Save the fish");
            page.click("article button:has-text(\"Bite\")");
            page.click(".rod-last button:has-text(\"Undo: bite\")");
            page.waitForSelector("[data-count=bites]:text-is(\"5\")");
            page.waitForTimeout(3000);

            runs();
            // the device stays signed in though the server began anew, and the page that stood open is still good to
            // send
            page.waitForSelector(
                    "#waiting-mark",
                    new Page.WaitForSelectorOptions()
                            .setState(WaitForSelectorState.HIDDEN)
                            .setTimeout(60_000));
            page.navigate("http://127.0.0.1:" + server.port() + "/deck");
            page.waitForSelector("details.fish summary:has-text(\" 52 cm\")");
            OnDeck.settled(page);
            assertThat(List.of(
                            page.textContent("[data-count=follows]"),
                            page.textContent("[data-count=bites]"),
                            page.textContent("[data-count=landed]")))
                    .containsExactly("4", "5", "1");
            assertThat(page.textContent("[data-shows=words]")).contains(colour);
            assertThat(stored(deck).kinds()).as("each once, in order").isEqualTo(made);
            assertThat(stored(deck).counted()).isEqualTo(made.size());
            assertThat(stored(deck).newest())
                    .as("when it was touched, not when it was sent")
                    .isBefore(Instant.now().minusSeconds(3));
        }
    }
}
