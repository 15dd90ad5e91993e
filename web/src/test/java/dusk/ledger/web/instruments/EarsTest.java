package dusk.ledger.web.instruments;

import static org.assertj.core.api.Assertions.assertThat;

import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpServer;
import dusk.ledger.instruments.BoardLine;
import dusk.ledger.instruments.Kind;
import dusk.ledger.instruments.Quantity;
import dusk.ledger.instruments.Sample;
import dusk.ledger.instruments.SimulatedBoat;
import dusk.ledger.units.Position;
import dusk.ledger.web.records.Instrument;
import java.io.IOException;
import java.io.OutputStream;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import java.util.concurrent.ArrayBlockingQueue;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.BooleanSupplier;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/** What comes over a real connection: garbage of every kind, and the good word after it is heard all the same. */
class EarsTest {
    private static final SimulatedBoat BOAT = new SimulatedBoat(new Position(44.458, -14.013));

    private final List<AutoCloseable> open = new ArrayList<>();
    private final List<Sample> believed = Collections.synchronizedList(new ArrayList<>());

    @AfterEach
    void close() throws Exception {
        for (AutoCloseable one : open) {
            one.close();
        }
    }

    private static void until(BooleanSupplier there) throws InterruptedException {
        for (int i = 0; i < 600 && !there.getAsBoolean(); i++) {
            TimeUnit.MILLISECONDS.sleep(25);
        }
        assertThat(there.getAsBoolean()).isTrue();
    }

    private Ear listen(Kind kind, String address) {
        Instrument instrument = new Instrument("club", "one", kind, "One", address, "a", null);
        Address parsed = Address.parse(kind, address);
        Ear ear = kind.lines()
                ? new LineEar(
                        instrument,
                        parsed,
                        Duration.ofMillis(10),
                        (from, samples) -> believed.addAll(samples),
                        Clock.systemUTC())
                : new ReportEar(
                        instrument,
                        parsed,
                        Duration.ofMillis(10),
                        Duration.ofMillis(20),
                        Duration.ofMillis(700),
                        (from, samples) -> believed.addAll(samples),
                        Clock.systemUTC());
        open.add(ear::close);
        ear.open();
        return ear;
    }

    /** Says to each that connects the next thing that it is given, and then nothing more of itself. */
    private final class Speaker implements AutoCloseable {
        private final ServerSocket server = new ServerSocket(0, 4, InetAddress.getLoopbackAddress());
        private final BlockingQueue<byte[]> says = new ArrayBlockingQueue<>(20);
        private final AtomicInteger callers = new AtomicInteger();

        Speaker() throws IOException {
            open.add(this);
            Thread thread = new Thread(this::speak);
            thread.setDaemon(true);
            thread.start();
        }

        String address() {
            return "127.0.0.1:" + server.getLocalPort();
        }

        private void speak() {
            while (!server.isClosed()) {
                try (Socket caller = server.accept();
                        OutputStream out = caller.getOutputStream()) {
                    callers.incrementAndGet();
                    for (byte[] said = says.take(); said.length > 0; said = says.take()) {
                        out.write(said);
                        out.flush();
                    }
                } catch (IOException e) {
                    // hung up
                } catch (InterruptedException e) {
                    return;
                }
            }
        }

        void says(String text) throws InterruptedException {
            says.put(text.getBytes(StandardCharsets.ISO_8859_1));
        }

        void says(byte[] bytes) throws InterruptedException {
            says.put(bytes);
        }

        void hangsUp() throws InterruptedException {
            says.put(new byte[0]);
        }

        @Override
        public void close() throws IOException {
            server.close();
        }
    }

    private static String good(Kind kind) {
        return kind == Kind.BOARD
                ? BoardLine.line(9, 384) + "\n"
                : String.join("\r\n", BOAT.sentences(Instant.now())) + "\r\n";
    }

    private static byte[] noise(int bytes) {
        byte[] noise = new byte[bytes];
        new Random(5).nextBytes(noise);
        return noise;
    }

    private static byte[] full(int bytes, char of) {
        byte[] full = new byte[bytes];
        Arrays.fill(full, (byte) of);
        return full;
    }

    static Stream<Arguments> overTheWire() {
        List<byte[]> garbage = List.of(
                noise(200_000),
                full(3_000_000, 'x'),
                full(5000, '\0'),
                full(5000, '\n'),
                "$GPRMC,172000,A,44".getBytes(StandardCharsets.US_ASCII),
                "\n\r\n\r\n*\n$*\n$*00\n,,,,\n".getBytes(StandardCharsets.US_ASCII),
                "HTTP/1.1 400 Bad Request\r\n\r\n<html>".getBytes(StandardCharsets.US_ASCII),
                "\u00e4\u00f6\u00fc \u2192\n".getBytes(StandardCharsets.UTF_8),
                "$YXMTW,88.0,C*00\nlength 1 99999 mm*00\n".getBytes(StandardCharsets.US_ASCII),
                full(300, '$'),
                "login: ".getBytes(StandardCharsets.US_ASCII));
        return Stream.of(Kind.BOAT, Kind.BOARD)
                .flatMap(kind -> garbage.stream().map(bytes -> Arguments.of(kind, bytes)));
    }

    @ParameterizedTest
    @MethodSource("overTheWire")
    void afterGarbageOnALineTheGoodWordIsHeard(Kind kind, byte[] garbage) throws Exception {
        Speaker speaker = new Speaker();
        Ear ear = listen(kind, speaker.address());
        speaker.says(garbage);
        speaker.says("\n" + good(kind));
        Quantity wanted = kind == Kind.BOARD ? Quantity.LENGTH_MM : Quantity.WATER_TEMP_C;
        until(() -> ear.feed().last(wanted) != null);
        assertThat(believed.stream().filter(s -> s.quantity() == Quantity.LENGTH_MM))
                .hasSize(kind == Kind.BOARD ? 1 : 0);
    }

    @Test
    void aLineThatBreaksIsMadeAnew() throws Exception {
        Speaker speaker = new Speaker();
        Ear ear = listen(Kind.BOAT, speaker.address());
        speaker.says(good(Kind.BOAT).substring(0, 40));
        speaker.hangsUp();
        until(() -> ear.feed().state(Instant.now()).words().startsWith("Not reached: the other end hung up"));
        speaker.says(good(Kind.BOAT));
        until(() -> ear.feed().last(Quantity.DEPTH_M) != null);
        assertThat(speaker.callers.get()).isEqualTo(2);
        assertThat(ear.feed().state(Instant.now()).well()).isTrue();
    }

    @Test
    void aLineThatDripsIsHeardAtItsEndAndClosingItEndsTheWait() throws Exception {
        Speaker speaker = new Speaker();
        Ear ear = listen(Kind.BOARD, speaker.address());
        for (char letter : good(Kind.BOARD).toCharArray()) {
            assertThat(believed).isEmpty();
            speaker.says(String.valueOf(letter));
        }
        until(() -> believed.size() == 1);
        ear.close();
        until(() -> Thread.getAllStackTraces().keySet().stream()
                .noneMatch(thread -> thread.getName().equals("ear-board") && thread.isAlive()));
    }

    @Test
    void nobodyThereIsSaid() throws Exception {
        int port;
        try (ServerSocket free = new ServerSocket(0)) {
            port = free.getLocalPort();
        }
        Ear boat = listen(Kind.BOAT, "127.0.0.1:" + port);
        Ear gauge = listen(Kind.GAUGE, "http://127.0.0.1:" + port + "/");
        String words = "Not reached: nobody answers at that address. It is tried again.";
        until(() -> boat.feed().state(Instant.now()).words().equals(words));
        until(() -> gauge.feed().state(Instant.now()).words().equals(words));
    }

    /** An answer of a service, by number. */
    private static void answer(HttpExchange exchange, int status, byte[] body) throws IOException {
        exchange.sendResponseHeaders(status, body.length == 0 ? -1 : body.length);
        exchange.getResponseBody().write(body);
        exchange.close();
    }

    private static byte[] report() {
        return ("{\"at\":\"" + Instant.now() + "\",\"level_m\":1.24,\"wind_mps\":4.5}")
                .getBytes(StandardCharsets.UTF_8);
    }

    static Stream<Arguments> services() {
        return Stream.of(
                Arguments.of("an error", "Not reached: it answers 500 instead of a report. It is tried again."),
                Arguments.of("nothing", "Not reached: it answers 204 instead of a report. It is tried again."),
                Arguments.of("elsewhere", "Not reached: it answers 302 instead of a report. It is tried again."),
                Arguments.of("too much", "Not reached: its answer is larger than any report. It is tried again."),
                Arguments.of("drops", "Not reached: its answer takes too long. It is tried again."),
                Arguments.of("silence", "Not reached: no answer in time. It is tried again."),
                Arguments.of("half", "Not reached: the connection broke. It is tried again."),
                Arguments.of("a page", "could not be read: no JSON."),
                Arguments.of("noise", "could not be read: no JSON."),
                Arguments.of("a wrong figure", "Not believed: level of 9000, which none is."));
    }

    private static void garbage(String what, HttpExchange exchange) throws IOException, InterruptedException {
        switch (what) {
            case "an error" -> answer(exchange, 500, "down".getBytes(StandardCharsets.UTF_8));
            case "nothing" -> answer(exchange, 204, new byte[0]);
            case "elsewhere" -> {
                exchange.getResponseHeaders().set("Location", "/report");
                answer(exchange, 302, new byte[0]);
            }
            case "too much" -> answer(exchange, 200, full(4_000_000, ' '));
            case "drops" -> {
                exchange.sendResponseHeaders(200, 0);
                for (int i = 0; i < 100; i++) {
                    exchange.getResponseBody().write(' ');
                    exchange.getResponseBody().flush();
                    TimeUnit.MILLISECONDS.sleep(50);
                }
                exchange.close();
            }
            case "silence" -> {
                TimeUnit.SECONDS.sleep(2);
                exchange.close();
            }
            case "half" -> {
                exchange.sendResponseHeaders(200, 1000);
                exchange.getResponseBody().write(report());
                exchange.getResponseBody().flush();
                exchange.close();
            }
            case "a page" -> answer(exchange, 200, "<html>later</html>".getBytes(StandardCharsets.UTF_8));
            case "noise" -> answer(exchange, 200, noise(3000));
            default ->
                answer(
                        exchange,
                        200,
                        ("{\"at\":\"" + Instant.now() + "\",\"level_m\":9000,\"wind_mps\":4}")
                                .getBytes(StandardCharsets.UTF_8));
        }
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("services")
    void afterGarbageOfAServiceTheGoodReportIsHeard(String what, String words) throws Exception {
        AtomicInteger asked = new AtomicInteger();
        HttpServer server = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), 0);
        server.setExecutor(java.util.concurrent.Executors.newCachedThreadPool());
        int bad = what.equals("drops") || what.equals("silence") ? 1 : 3;
        server.createContext("/report", exchange -> {
            try {
                // which of them are good: the first of what is refused must be seen before one is
                if (asked.incrementAndGet() > bad && goodNow) {
                    answer(exchange, 200, report());
                } else {
                    garbage(what, exchange);
                }
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
            }
        });
        server.start();
        open.add(() -> server.stop(0));
        Ear ear = listen(Kind.GAUGE, "http://127.0.0.1:" + server.getAddress().getPort() + "/report");
        until(() -> ear.feed().state(Instant.now()).words().endsWith(words));
        assertThat(believed).isEmpty();
        goodNow = true;
        until(() -> ear.feed().last(Quantity.LEVEL_M) != null);
        assertThat(ear.feed().last(Quantity.LEVEL_M).value()).isEqualTo(1.24);
    }

    private volatile boolean goodNow;

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "BOAT | 192.168.1.20:10110 | ",
                "BOAT | boat.local:2000 | ",
                "BOAT | boat.local | Write host and port, such as 192.168.1.20:10110.",
                "BOAT | boat.local:0 | Write host and port, such as 192.168.1.20:10110.",
                "BOAT | boat.local:70000 | Write host and port, such as 192.168.1.20:10110.",
                "BOARD | http://boat.local:80 | Write host and port, such as 192.168.1.20:10110.",
                "BOARD | -oX:80 | Write host and port, such as 192.168.1.20:10110.",
                "GAUGE | https://gauge.example/now?station=3 | ",
                "GAUGE | gauge.example/now | Write the web address of its report, such as http://192.168.1.30/report.json.",
                "GAUGE | file:///etc/passwd | Write the web address of its report, such as http://192.168.1.30/report.json.",
                "STATION | http://a:b@station.example/ | Write the web address of its report, such as http://192.168.1.30/report.json.",
                "STATION | http:///now | Write the web address of its report, such as http://192.168.1.30/report.json.",
                "STATION | http://station example/ | Write the web address of its report, such as http://192.168.1.30/report.json.",
            })
    void anAddressIsOneOrIsRefusedInWords(Kind kind, String typed, String words) {
        String said = "";
        try {
            assertThat(Address.parse(kind, " " + typed + " ").text()).isEqualTo(typed);
        } catch (IllegalArgumentException e) {
            said = e.getMessage();
        }
        assertThat(said).isEqualTo(words == null ? "" : words);
    }
}
