package dusk.ledger.web;

import static org.assertj.core.api.Assertions.assertThat;

import dusk.ledger.format.LedgerFormat;
import dusk.ledger.journal.Spot;
import dusk.ledger.web.store.Clubs;
import dusk.ledger.web.store.LedgerRows;
import dusk.ledger.web.store.Viewer;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.net.Socket;
import java.net.URI;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.zip.ZipInputStream;
import org.junit.jupiter.api.Test;

/** People see only what they may, over HTTP as a stranger would ask. */
class AccessIT extends RunningApplication {
    private Visitor visitor() {
        return new Visitor(address(""));
    }

    private Visitor as(String signIn) throws IOException, InterruptedException {
        return visitor().as(demoPerson(signIn).id());
    }

    private Viewer demo() {
        return demoPerson("edda").viewer();
    }

    private String liveTrip() {
        return first("select trip_id from decks order by rowid");
    }

    private String first(String query) {
        return store.read().fetch(query + " limit 1").get(0).get(0, String.class);
    }

    private String anyTrip() {
        return rows.all(demo(), LedgerFormat.TRIPS, org.jooq.impl.DSL.noCondition(), List.of(), 1)
                .get(0)
                .id();
    }

    @Test
    void aWriteWithoutTheTokenOfItsPageIsRefused() throws Exception {
        Visitor visitor = as("tobin");
        HttpRequest request = HttpRequest.newBuilder(URI.create(address("/account/units")))
                .header("Content-Type", "application/x-www-form-urlencoded")
                .POST(HttpRequest.BodyPublishers.ofString("units=us"))
                .build();
        assertThat(visitor.http()
                        .send(request, HttpResponse.BodyHandlers.ofString())
                        .statusCode())
                .isEqualTo(403);
        assertThat(demoPerson("tobin").unitWord()).isEqualTo("metric");
    }

    @Test
    void aPersonOfAnotherClubGetsNothingOfThisOne() throws Exception {
        String club = newId.next();
        clubs.found(new Clubs.Club(club, "Elsewhere Anglers"));
        String name = "stranger" + club;
        people.add(club, name, "Stranger", "a long enough word", Viewer.Role.OFFICER, null);
        Visitor stranger = visitor();
        stranger.post("/sign-in", "/sign-in", Map.of("username", name, "password", "a long enough word"));
        String trip = anyTrip();
        assertThat(stranger.get("/trips").body()).contains("No trip here yet").doesNotContain("Orrin Reservoir");
        for (String path : List.of(
                "/trips/" + trip,
                "/trips/" + trip + "/edit",
                "/trips/" + trip + "/stints/new",
                "/trips/" + trip + "/debrief",
                "/deck/" + liveTrip(),
                "/deck/" + liveTrip() + "/fan",
                "/tackle/set-ups/" + first("select setup_id from drops") + "/drops",
                "/tackle/set-ups/" + first("select setup_id from setups"),
                "/club/waters/" + first("select water_id from waters") + "/rules",
                "/trips/" + trip + "/readings/new")) {
            assertThat(stranger.get(path).statusCode()).as(path).isEqualTo(404);
        }
        assertThat(stranger.post("/trips", "/trips/" + trip + "/delete", Map.of())
                        .statusCode())
                .isEqualTo(404);
        String setUp = first("select setup_id from drops");
        assertThat(stranger.get("/column?setup=" + setUp).body())
                .contains("Choose a set-up of the list")
                .doesNotContain(setUp + "\" selected");
        assertThat(stranger.get("/column/card?pick=" + setUp).body()).doesNotContain("counted drop");
        assertThat(stranger.get("/findings/compare").body()).contains("Not enough fishing to say");
        assertThat(stranger.get("/club").body()).contains("Elsewhere Anglers").doesNotContain("Harl Quist");
        assertThat(csv(stranger.bytes("/club/export"), "trips.csv").lines()).hasSize(1);
        assertThat(rows.one(demo(), LedgerFormat.TRIPS, trip)).isPresent();
    }

    @Test
    void anothersHiddenPlaceShowsNowhere() throws Exception {
        Visitor owner = as("harl");
        Visitor other = as("runa");
        Visitor officer = as("edda");
        Spot hidden = rows.all(
                        demoPerson("harl").viewer(),
                        LedgerFormat.SPOTS,
                        LedgerRows.holds(LedgerFormat.SPOTS, "label", "Thorn Hump"),
                        List.of())
                .get(0);
        List<String> trips = rows
                .all(
                        demo(),
                        LedgerFormat.STINTS,
                        LedgerRows.holds(LedgerFormat.STINTS, "spot_id", hidden.id()),
                        List.of())
                .stream()
                .map(s -> s.tripId())
                .distinct()
                .limit(20)
                .toList();
        assertThat(trips).isNotEmpty();
        List<String> seenByOthers = new ArrayList<>();
        for (String trip : trips) {
            assertThat(owner.get("/trips/" + trip).body()).contains("Thorn Hump");
            seenByOthers.add(other.get("/trips/" + trip).body());
            seenByOthers.add(officer.get("/trips/" + trip + "/stints/new").body());
            seenByOthers.add(officer.get("/trips/" + trip).body());
            seenByOthers.add(other.get("/trips/" + trip + "/debrief").body());
        }
        seenByOthers.add(other.get("/trips/past").body());
        seenByOthers.add(other.get("/deck/new").body());
        seenByOthers.add(other.get("/findings/compare?factor=structure").body());
        seenByOthers.add(foundPatterns(other));
        seenByOthers.add(
                other.get("/findings/grid?factor=structure&across=bottom").body());
        seenByOthers.add(other.get("/findings/clock").body());
        seenByOthers.add(other.get("/findings/funnel?factor=structure").body());
        seenByOthers.add(other.get("/findings/stints?where=structure%3Dhump").body());
        byte[] export = officer.bytes("/club/export");
        for (String file : List.of("spots.csv", "stints.csv", "trips.csv", "signs.csv")) {
            seenByOthers.add(csv(export, file));
        }
        assertThat(seenByOthers)
                .allSatisfy(body -> assertThat(body)
                        .isNotEmpty()
                        .doesNotContain("Thorn Hump")
                        .doesNotContain("44.4581")
                        .doesNotContain("-14.0127"));
        assertThat(seenByOthers).anyMatch(body -> body.contains("a place kept private (hump, shell)"));
    }

    /** The patterns page once the search is over: while it runs the page holds nothing that could tell a place. */
    private static String foundPatterns(Visitor visitor) throws IOException, InterruptedException {
        for (int i = 0; i < 60; i++) {
            String body = visitor.get("/findings/patterns").body();
            if (body.contains("The stints behind it")) {
                return body;
            }
        }
        throw new AssertionError("the search did not end");
    }

    private static String csv(byte[] zip, String file) throws IOException {
        try (ZipInputStream in = new ZipInputStream(new ByteArrayInputStream(zip))) {
            for (var entry = in.getNextEntry(); entry != null; entry = in.getNextEntry()) {
                if (entry.getName().equals(file)) {
                    return new String(in.readAllBytes(), StandardCharsets.UTF_8);
                }
            }
        }
        throw new AssertionError("no " + file + " in the package");
    }

    @Test
    void pagesAllowNothingFromElsewhere() throws Exception {
        HttpResponse<String> answer = visitor().get("/sign-in");
        assertThat(answer.headers().firstValue("Content-Security-Policy"))
                .get()
                .asString()
                .contains("default-src 'none'")
                .contains("script-src 'self'")
                .doesNotContain("unsafe");
        assertThat(answer.body())
                .doesNotContain("style=")
                .doesNotContain("onclick")
                .doesNotContain("https://");
    }

    /** Whoever makes somebody's browser say another name for this server gets no redirect to it, and no session in an address. */
    @Test
    void noRedirectGoesByTheNameThatTheRequestGaveTheServer() throws Exception {
        for (String path : List.of("/", "/trips", "/trips/1?from=2", "/error", "/deck", "/club/export")) {
            String answer = raw("GET " + path + " HTTP/1.1\r\nHost: elsewhere.invalid\r\nConnection: close\r\n\r\n");
            assertThat(answer).startsWith("HTTP/1.1 302").contains("Location: /sign-in\r\n");
            assertThat(answer).doesNotContain("elsewhere").doesNotContain(";jsessionid");
        }
    }

    private String raw(String request) throws IOException {
        try (Socket socket = new Socket("127.0.0.1", port)) {
            socket.getOutputStream().write(request.getBytes(StandardCharsets.US_ASCII));
            return new String(socket.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        }
    }

    /** The page asked for before signing in is gone to by its path alone. */
    @Test
    void signingInGoesOnToThePathThatWasAskedFor() throws Exception {
        String name = "onward";
        people.add(demoPerson("edda").clubId(), name, "Onward", "a long enough word", Viewer.Role.MEMBER, null);
        Visitor visitor = visitor();
        visitor.get("/tackle?page=1");
        HttpResponse<String> answer =
                visitor.post("/sign-in", "/sign-in", Map.of("username", name, "password", "a long enough word"));
        assertThat(answer.headers().firstValue("Location").orElse("")).startsWith("/tackle?page=1");
    }
}
