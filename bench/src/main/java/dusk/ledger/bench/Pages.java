package dusk.ledger.bench;

import dusk.ledger.interchange.PackageWriter;
import dusk.ledger.journal.Ledger;
import dusk.ledger.journal.Stint;
import java.io.IOException;
import java.net.ServerSocket;
import java.net.URI;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.SplittableRandom;
import java.util.UUID;
import java.util.concurrent.TimeUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * How long every page takes: one client on a warm server, then sixteen readers while a touch a second is written. The
 * server is a process of its own with a heap of 1 GiB, on a store that {@code load} made; clients share its cores.
 */
public final class Pages {
    private static final int ROUNDS = 20;
    private static final double MOST_SECONDS_A_PAGE = 20;
    private static final int TOUCHES = 60;
    private static final int READERS = 16;
    private static final int BUSY_SECONDS = 60;

    private final Path jar;
    private final Path folder;
    private final Ledger club;
    private final URI server;
    private final Map<String, String> pages = new LinkedHashMap<>();
    private final Map<String, List<Long>> busy = new LinkedHashMap<>();

    private Pages(Path jar, Path folder, int stints) throws IOException {
        this.jar = jar;
        this.folder = folder;
        club = Clubs.ofMany(stints);
        try (ServerSocket free = new ServerSocket(0)) {
            server = URI.create("http://127.0.0.1:" + free.getLocalPort());
        }
    }

    /** @param args the application's jar, then numbers of stints; 3000 and 190000 where none are given */
    public static void main(String[] args) throws Exception {
        int[] sizes = args.length > 1
                ? Arrays.stream(args).skip(1).mapToInt(Integer::parseInt).toArray()
                : new int[] {3000, 190_000};
        for (int size : sizes) {
            Path folder = Files.createTempDirectory("dusk-pages");
            try {
                new Pages(Path.of(args[0]).toAbsolutePath(), folder, size).measure();
            } finally {
                try (var files = Files.walk(folder)) {
                    for (Path file :
                            files.sorted(java.util.Comparator.reverseOrder()).toList()) {
                        Files.delete(file);
                    }
                }
            }
        }
    }

    private void measure() throws Exception {
        System.out.printf(
                Locale.ROOT,
                "%,d stints, %,d trips, %d anglers, %,d set-ups%n",
                club.stints().size(),
                club.trips().size(),
                club.anglers().size(),
                club.setUps().size());
        PackageWriter.write(club, "club", folder.resolve("club"));
        long start = System.nanoTime();
        String printed = load();
        System.out.printf(Locale.ROOT, "bringing the package in: %.1f s%n", seconds(start));
        System.out.printf(
                Locale.ROOT, "the store: %.1f MB%n", Files.size(folder.resolve("club.db")) / (double) (1 << 20));
        Process process = serve();
        try {
            Client client = new Client(server);
            String invited = first("(/invited/\\S+)\\s*$", printed);
            client.post(
                    invited,
                    invited,
                    Map.of(
                            "name",
                            "Officer",
                            "username",
                            "officer",
                            "password",
                            UUID.randomUUID().toString()));
            String rod = trip(client);
            addresses(rod.substring(0, rod.indexOf("/rods/")));
            oneClient(client);
            touches(client, rod);
            manyClients(client, another(client), rod);
            System.out.printf("server at its largest: %s%n", largest(process));
        } finally {
            process.destroy();
            process.waitFor();
        }
    }

    private String load() throws IOException, InterruptedException {
        Process load = java(
                        List.of("-Ddusk.store=" + folder.resolve("club.db"), "-cp", jar.toString()),
                        List.of(
                                "dusk.ledger.web.exchange.ExchangeCommands",
                                "load",
                                folder.resolve("club").toString()))
                .start();
        String printed = new String(load.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        if (load.waitFor() != 0) {
            throw new IOException("the package was not brought in: " + printed);
        }
        return printed;
    }

    private Process serve() throws IOException, InterruptedException {
        ProcessBuilder command = java(
                List.of("-XX:+UseSerialGC", "-Xlog:gc*:file=" + folder.resolve("gc.log"), "-jar", jar.toString()),
                List.of("--dusk.store=" + folder.resolve("club.db"), "--dusk.port=" + server.getPort()));
        Process process = command.redirectOutput(folder.resolve("log").toFile()).start();
        for (int i = 0; i < 600 && process.isAlive(); i++) {
            try {
                new Client(server).get("/sign-in");
                return process;
            } catch (IOException notYet) {
                TimeUnit.MILLISECONDS.sleep(100);
            }
        }
        throw new IOException("the server did not start: " + Files.readString(folder.resolve("log")));
    }

    private ProcessBuilder java(List<String> options, List<String> arguments) {
        List<String> command = new ArrayList<>(
                List.of(Path.of(System.getProperty("java.home"), "bin", "java").toString(), "-Xmx1g"));
        command.addAll(options);
        command.addAll(arguments);
        return new ProcessBuilder(command).directory(jar.getParent().toFile()).redirectErrorStream(true);
    }

    /** Starts a trip with two rods; the address of the first. */
    private String trip(Client client) throws IOException, InterruptedException {
        Map<String, String> form = new LinkedHashMap<>();
        form.put("rods", "2");
        form.put("lines", "in");
        form.put("water_id", club.waters().get(0).id());
        for (int rod = 1; rod <= 2; rod++) {
            form.put("angler_id_" + rod, club.anglers().get(rod).id());
            form.put("setup_id_" + rod, club.setUps().get(rod).id());
        }
        HttpResponse<byte[]> begun = client.post("/deck/new?rods=2", "/deck", form);
        String deck = first(
                "(/deck/[0-9a-f-]+)", begun.headers().firstValue("Location").orElse(text(begun)));
        return deck + "/rods/" + first("id=\"rod-([0-9a-f-]+)\"", text(client.get(deck)));
    }

    /** A second person of the club, who may do what the first may. */
    private Client another(Client officer) throws IOException, InterruptedException {
        String password = UUID.randomUUID().toString();
        officer.post(
                "/club",
                "/club/people",
                Map.of("name", "Reader", "username", "reader", "password", password, "role", "officer"));
        Client reader = new Client(server);
        reader.post("/sign-in", "/sign-in", Map.of("username", "reader", "password", password));
        if (reader.get("/account").statusCode() != 200) {
            throw new IOException("the second person could not sign in");
        }
        return reader;
    }

    private static String text(HttpResponse<byte[]> answer) {
        return new String(answer.body(), StandardCharsets.UTF_8);
    }

    private static String first(String pattern, String text) throws IOException {
        Matcher found = Pattern.compile(pattern, Pattern.MULTILINE).matcher(text);
        if (!found.find()) {
            throw new IOException("no " + pattern + " in: " + text);
        }
        return found.group(1);
    }

    private void addresses(String deck) {
        Stint stint = club.stints().get(club.stints().size() / 2);
        String trip = "/trips/" + stint.tripId();
        String setUp = "/tackle/set-ups/" + stint.setUpId();
        String reading = club.readings().stream()
                .filter(r -> r.tripId().equals(stint.tripId()))
                .findFirst()
                .orElseThrow()
                .id();
        pages.put("trips", "/trips");
        pages.put("trips, the last page", "/trips?page=" + (club.trips().size() / 40 - 1));
        pages.put("a trip", trip);
        pages.put("a trip, edited", trip + "/edit");
        pages.put("a new trip", "/trips/new");
        pages.put("past trip", "/trips/past");
        pages.put("a new reading", trip + "/readings/new");
        pages.put("a reading", trip + "/readings/" + reading + "/edit");
        pages.put("a new stint", trip + "/stints/new");
        pages.put("a stint", trip + "/stints/" + stint.id() + "/edit");
        pages.put("a new fish", trip + "/fish/new?stint=" + stint.id());
        pages.put("a new place", trip + "/places/new");
        pages.put("debrief", trip + "/debrief");
        pages.put("client's card", trip + "/client?angler=" + stint.anglerId());
        pages.put("client's card as PDF", trip + "/client.pdf?angler=" + stint.anglerId());
        pages.put("deletions", "/deletions");
        pages.put("a new deck", "/deck/new");
        pages.put("deck", deck);
        pages.put("deck's fan", deck + "/fan");
        pages.put("another rod", deck + "/rods/new");
        pages.put("tackle", "/tackle");
        pages.put("a new set-up", "/tackle/new");
        pages.put("sheet of portraits", "/tackle/sheet");
        pages.put("words", "/tackle/words");
        pages.put("set-up", setUp);
        pages.put("set-up, changed", setUp + "/change");
        pages.put("set-up's drops", setUp + "/drops");
        pages.put("rods", "/tackle/rods");
        pages.put("a new rod", "/tackle/rods/new");
        pages.put("column", "/column?pick=" + stint.setUpId());
        pages.put("column's heads", "/column/heads?pick=" + stint.setUpId());
        pages.put("pocket card", "/column/card?pick=" + stint.setUpId());
        pages.put("fan", "/column/fan");
        pages.put("compare", "/findings/compare");
        pages.put("patterns", "/findings/patterns");
        pages.put("size", "/findings/size?least=40+cm");
        pages.put("grid", "/findings/grid");
        pages.put("light clock", "/findings/clock");
        pages.put("funnel", "/findings/funnel");
        pages.put("favourites", "/findings/favourites");
        pages.put("stints behind a figure", "/findings/stints?colour=pearl");
        pages.put("account", "/account");
        pages.put("club", "/club");
        pages.put("rules of a water", "/club/waters/" + club.waters().get(0).id() + "/rules");
        pages.put("a new water", "/club/waters/new");
    }

    private void oneClient(Client client) throws IOException, InterruptedException {
        System.out.printf("%n| one client, warm | median ms | 95th ms | KB |%n|---|---|---|---|%n");
        for (Map.Entry<String, String> page : pages.entrySet()) {
            long first = timed(client, page.getValue()).nanos();
            timed(client, page.getValue());
            List<Long> nanos = new ArrayList<>();
            Answer answer = timed(client, page.getValue());
            long began = System.nanoTime();
            while (nanos.size() < ROUNDS && (nanos.size() < 3 || seconds(began) < MOST_SECONDS_A_PAGE)) {
                answer = timed(client, page.getValue());
                nanos.add(answer.nanos());
            }
            System.out.printf(
                    Locale.ROOT,
                    "| %s%s | %.0f | %.0f | %d |%s%n",
                    page.getKey(),
                    answer.status() == 200 ? "" : " (answers " + answer.status() + ")",
                    share(nanos, 0.5),
                    share(nanos, 0.95),
                    answer.bytes() / 1024,
                    first > 1e9 ? String.format(Locale.ROOT, " first %.1f s", first / 1e9) : "");
        }
    }

    private record Answer(int status, long nanos, int bytes) {}

    private static Answer timed(Client client, String path) throws IOException, InterruptedException {
        long at = System.nanoTime();
        HttpResponse<byte[]> answer = client.get(path);
        return new Answer(answer.statusCode(), System.nanoTime() - at, answer.body().length);
    }

    private static void touch(Client client, String rod, List<Long> nanos) throws IOException, InterruptedException {
        long at = System.nanoTime();
        int status = client.post(rod + "/bite", Map.of("act", UUID.randomUUID().toString()))
                .statusCode();
        if (status != 200) {
            throw new IOException("a touch was answered with " + status);
        }
        nanos.add(System.nanoTime() - at);
    }

    private void touches(Client client, String rod) throws IOException, InterruptedException {
        List<Long> nanos = new ArrayList<>();
        for (int i = 0; i < TOUCHES; i++) {
            touch(client, rod, nanos);
        }
        System.out.printf(
                Locale.ROOT,
                "%ntouches, one client: median %.0f ms, 95th %.0f ms%n",
                share(nanos, 0.5),
                share(nanos, 0.95));
    }

    /** Readers, who are one person as far as the server can tell, go from page to page without a pause; another writes. */
    private void manyClients(Client writer, Client reader, String rod) throws InterruptedException {
        List<Map.Entry<String, String>> all = List.copyOf(pages.entrySet());
        long end = System.nanoTime() + TimeUnit.SECONDS.toNanos(BUSY_SECONDS);
        List<Thread> threads = new ArrayList<>();
        List<Throwable> faults = new ArrayList<>();
        for (int r = 0; r < READERS; r++) {
            SplittableRandom random = new SplittableRandom(r);
            threads.add(new Thread(() -> {
                try {
                    while (System.nanoTime() < end) {
                        Map.Entry<String, String> page = all.get(random.nextInt(all.size()));
                        add(page.getKey(), timed(reader, page.getValue()).nanos());
                    }
                } catch (IOException | InterruptedException e) {
                    synchronized (faults) {
                        faults.add(e);
                    }
                }
            }));
        }
        threads.add(new Thread(() -> {
            try {
                for (long at = System.nanoTime(); at < end; at += TimeUnit.SECONDS.toNanos(1)) {
                    TimeUnit.NANOSECONDS.sleep(at - System.nanoTime());
                    List<Long> one = new ArrayList<>();
                    touch(writer, rod, one);
                    add("a touch", one.get(0));
                }
            } catch (IOException | InterruptedException e) {
                synchronized (faults) {
                    faults.add(e);
                }
            }
        }));
        threads.forEach(Thread::start);
        for (Thread thread : threads) {
            thread.join();
        }
        faults.forEach(f -> System.out.println("a client gave up: " + f));
        List<Long> whole = busy.values().stream().flatMap(List::stream).toList();
        System.out.printf(
                Locale.ROOT,
                "%d readers and a touch a second for %d s: %d answers, median %.0f ms, 95th %.0f ms, slowest %.0f ms, %d over 1 s%n",
                READERS,
                BUSY_SECONDS,
                whole.size(),
                share(whole, 0.5),
                share(whole, 0.95),
                share(whole, 1),
                whole.stream().filter(n -> n > 1e9).count());
        busy.entrySet().stream()
                .sorted((a, b) -> Double.compare(share(b.getValue(), 1), share(a.getValue(), 1)))
                .limit(12)
                .forEach(e -> System.out.printf(
                        Locale.ROOT,
                        "  %-24s %4d answers, median %.0f, 95th %.0f, slowest %.0f ms%n",
                        e.getKey(),
                        e.getValue().size(),
                        share(e.getValue(), 0.5),
                        share(e.getValue(), 0.95),
                        share(e.getValue(), 1)));
    }

    private void add(String page, long nanos) {
        synchronized (busy) {
            busy.computeIfAbsent(page, p -> new ArrayList<>()).add(nanos);
        }
    }

    /** The share's place in the order of times, in ms. */
    private static double share(List<Long> nanos, double share) {
        long[] sorted = nanos.stream().mapToLong(Long::longValue).sorted().toArray();
        return sorted.length == 0
                ? 0
                : sorted[(int) Math.min(sorted.length - 1, Math.floor(sorted.length * share))] / 1e6;
    }

    private static double seconds(long start) {
        return (System.nanoTime() - start) / 1e9;
    }

    /** As the kernel counts it, and the heap before the last collections. */
    private String largest(Process process) throws IOException {
        String resident = "unknown";
        Path status = Path.of("/proc", Long.toString(process.pid()), "status");
        if (Files.exists(status)) {
            resident = first("VmHWM:\\s*(\\d+)", Files.readString(status));
        }
        long pauses = 0;
        double longest = 0;
        Matcher pause = Pattern.compile("Pause \\w+ .* ([0-9.]+)ms$", Pattern.MULTILINE)
                .matcher(Files.readString(folder.resolve("gc.log")));
        while (pause.find()) {
            pauses++;
            longest = Math.max(longest, Double.parseDouble(pause.group(1)));
        }
        return String.format(
                Locale.ROOT, "%s KB resident, %d collections, the longest %.0f ms", resident, pauses, longest);
    }
}
