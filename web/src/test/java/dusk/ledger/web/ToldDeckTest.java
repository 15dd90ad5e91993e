package dusk.ledger.web;

import static org.assertj.core.api.Assertions.assertThat;

import dusk.ledger.format.LedgerFormat;
import dusk.ledger.instruments.BoardLine;
import dusk.ledger.instruments.Kind;
import dusk.ledger.instruments.SimulatedBoat;
import dusk.ledger.journal.Spot;
import dusk.ledger.units.Position;
import dusk.ledger.water.LaidFan;
import dusk.ledger.web.afloat.By;
import dusk.ledger.web.afloat.FanActs;
import dusk.ledger.web.instruments.Listening;
import dusk.ledger.web.records.Decks;
import dusk.ledger.web.records.Instrument;
import dusk.ledger.web.records.Instruments;
import dusk.ledger.web.store.Deletions;
import java.io.IOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.springframework.mock.web.MockHttpServletResponse;

/** The deck's page as instruments fill it, each over a connection of its own. */
class ToldDeckTest extends RequestedClub {
    private static final SimulatedBoat BOAT = new SimulatedBoat(new Position(44.5, -14));

    private final List<ServerSocket> servers = new ArrayList<>();

    @AfterEach
    void quiet() throws IOException {
        for (ServerSocket server : servers) {
            server.close();
        }
        club.get(Instruments.class)
                .of(club.officer.viewer())
                .forEach(one -> club.get(Instruments.class).remove(club.officer.viewer(), one.id()));
        club.get(Listening.class).follow();
    }

    /** Says lines once to each that connects, and stays on the line. */
    private void listenTo(Kind kind, String name, List<String> lines) throws IOException {
        ServerSocket server = new ServerSocket(0, 4, InetAddress.getLoopbackAddress());
        servers.add(server);
        Thread thread = new Thread(() -> {
            List<Socket> callers = new ArrayList<>();
            while (!server.isClosed()) {
                try {
                    Socket caller = server.accept();
                    callers.add(caller);
                    caller.getOutputStream()
                            .write((String.join("\r\n", lines) + "\r\n").getBytes(StandardCharsets.US_ASCII));
                } catch (IOException e) {
                    // closed
                }
            }
        });
        thread.setDaemon(true);
        thread.start();
        club.get(Instruments.class)
                .keep(new Instrument(
                        club.officer.clubId(),
                        kind.word(),
                        kind,
                        name,
                        "127.0.0.1:" + server.getLocalPort(),
                        club.guide.anglerId(),
                        null));
        club.get(Listening.class).follow();
    }

    private String page() throws Exception {
        return text(get(club.guide, "/deck/" + live));
    }

    /** The deck once it says that. */
    private String deckThatSays(String words) throws Exception {
        for (int i = 0; i < 300; i++) {
            String page = page();
            if (page.contains(words)) {
                return page;
            }
            TimeUnit.MILLISECONDS.sleep(30);
        }
        return page();
    }

    private static String text(MockHttpServletResponse answer) throws Exception {
        return answer.getContentAsString().replace("&amp;", "&").replaceAll("\\s+", " ");
    }

    private void listenToTheBoat() throws IOException {
        listenTo(Kind.BOAT, "Skiff", BOAT.sentences(TestClub.START));
    }

    private static String chip(String page, String column) {
        String from = page.substring(page.indexOf("data-column=\"" + column + "\""));
        return from.substring(0, from.indexOf("</details>"))
                .replaceAll("<[^>]*>", " ")
                .replaceAll("\\s+", " ");
    }

    @Test
    void aValueStandsWithItsSourceAndAgeAndAHandGoesBeforeIt() throws Exception {
        assertThat(page()).doesNotContain("instrument");
        listenToTheBoat();
        String page = deckThatSays("Skiff: ");
        assertThat(chip(page, "water_temp_c")).contains("Skiff, 0 s").doesNotContain("You looked yourself");
        assertThat(chip(page, "clarity_m")).contains("not yet");
        assertThat(page)
                .contains("1 instrument")
                .contains("Well, heard 0 s ago.")
                .doesNotContain("not well");

        post(club.guide, "/deck/" + live + "/reading", "column=water_temp_c&water_temp_c=12.5 C");
        club.clock.turn(Duration.ofSeconds(10));
        String hand = chip(page(), "water_temp_c");
        assertThat(hand)
                .contains("12.5 °C")
                .contains("0 min")
                .containsPattern("You looked yourself, so that stands\\. Skiff: 9\\.\\d");
        assertThat(chip(page(), "wind_mps")).contains("Skiff, 10 s");

        // a feed that fell silent is said, and what it said is not for now any more
        club.clock.turn(Duration.ofMinutes(2));
        String silent = page();
        assertThat(silent)
                .contains("not well: Skiff")
                .contains("Silent for 2 min.")
                .doesNotContain("under it");
        assertThat(chip(silent, "wind_mps")).contains("not yet");
    }

    @Test
    void theDepthUnderTheBoatItsPositionAndItsDriftAreUsed() throws Exception {
        listenToTheBoat();
        String page = deckThatSays("under it");
        String depth = ServerProcess.first("Skiff: ([0-9.]+ m) under it", page);
        assertThat(page)
                .contains("name=\"depth_m\" autocomplete=\"off\" inputmode=\"decimal\" value=\"" + depth + "\"")
                .contains("A new place gets the boat’s position, for you alone.")
                .containsPattern("/column\\?setup=[^\"]*drift_mps=0\\.\\d+%20m/s")
                .doesNotContain("drift_deg");
        double toward = BOAT.truth(TestClub.START).motion().toDeg();
        club.get(FanActs.class)
                .lay(
                        new By(club.guide, live, "fan", TestClub.START),
                        new LaidFan(Math.round(toward + 270) % 360, 110, 22, 3.5, 70));
        assertThat(ServerProcess.first("drift_deg=(\\d+)", page())).isIn("89", "90", "91");

        post(club.guide, "/deck/" + live + "/move", "structure=hump&depth_m=" + depth);
        Spot place = club.all(LedgerFormat.SPOTS).stream()
                .filter(spot -> "hump".equals(spot.structure()))
                .findFirst()
                .orElseThrow();
        String id = place.id();
        assertThat(place.position()).as("the officer does not see where it is").isNull();
        assertThat(club.get(Decks.class).deck(club.guide.viewer(), live).spotId())
                .isEqualTo(id);
        assertThat(text(get(club.guide, "/out/places.gpx"))).contains("44.50").contains("hump");
        assertThat(text(get(club.officer, "/out/places.gpx"))).doesNotContain("hump 14:00");
    }

    @Test
    void aLengthOffTheBoardIsOfferedWhereItIsNotClearWhoseItIs() throws Exception {
        listenTo(Kind.BOARD, "Board", List.of(BoardLine.line(4, 384)));
        String rod = ServerProcess.first("id=\"rod-([0-9a-f-]+)\"", page());
        for (int i = 0; i < 300 && !page().contains("Board, 0 s ago"); i++) {
            TimeUnit.MILLISECONDS.sleep(30);
        }
        post(club.guide, "/deck/" + live + "/rods/" + rod + "/landed", "species=walleye&act=one");
        String page = page();
        String sheet = page.substring(page.indexOf("/fish/one"));
        assertThat(sheet).contains("Board, 0 s ago").containsPattern("name=\"length_mm\"[^>]*value=\"38\\.4 cm\"");

        // once it was taken it is no other fish's
        post(club.guide, "/deck/" + live + "/rods/" + rod + "/fish/one", "length_mm=38.4 cm&length_how=measured");
        post(club.guide, "/deck/" + live + "/rods/" + rod + "/landed", "species=walleye&act=two");
        String next = page();
        assertThat(next.substring(next.indexOf("/fish/two"))).doesNotContain("Board, 0 s ago");
    }

    @Test
    void theOfficerSeesHowEachIsAndNotWhereABoatIs() throws Exception {
        listenToTheBoat();
        deckThatSays("under it");
        String page = text(get(club.officer, "/club/instruments"));
        assertThat(page.substring(page.indexOf("Instruments</h1>")))
                .contains("Skiff")
                .contains("in the boat of Harl Quist")
                .contains("Well, heard 0 s ago.")
                .contains("depth ")
                .doesNotContain("44.5")
                .doesNotContain("position");
        post(club.officer, "/club/instruments/boat/delete", "");
        assertThat(text(get(club.officer, "/club/instruments"))).contains("None is listened to yet.");
        club.get(Deletions.class)
                .undo(
                        club.officer.viewer(),
                        club.get(Deletions.class)
                                .recent(club.officer.viewer(), 1)
                                .get(0)
                                .id());
        assertThat(text(get(club.officer, "/club/instruments"))).contains("Skiff");
    }
}
