package dusk.ledger.bench;

import java.io.IOException;
import java.net.CookieManager;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** Somebody who is signed in, with cookies and without a browser. */
final class Client {
    private static final Pattern TOKEN = Pattern.compile("name=\"_csrf\"[^>]*value=\"([^\"]+)\"");

    private final URI server;
    private final HttpClient http;
    private String token = "";

    /** Another visitor of a server, nobody yet. */
    Client(URI server) {
        this(server, HttpClient.newBuilder().cookieHandler(new CookieManager()).build());
    }

    private Client(URI server, HttpClient http) {
        this.server = server;
        this.http = http;
    }

    HttpResponse<byte[]> get(String path) throws IOException, InterruptedException {
        return http.send(HttpRequest.newBuilder(server.resolve(path)).build(), HttpResponse.BodyHandlers.ofByteArray());
    }

    /** Posts a form with the token of the page that holds it. */
    HttpResponse<byte[]> post(String from, String path, Map<String, String> form)
            throws IOException, InterruptedException {
        Matcher found = TOKEN.matcher(new String(get(from).body(), StandardCharsets.UTF_8));
        if (found.find()) {
            token = found.group(1);
        }
        return post(path, form);
    }

    /** The same with the token had last, as the deck's script posts a touch. */
    HttpResponse<byte[]> post(String path, Map<String, String> form) throws IOException, InterruptedException {
        String body = "_csrf=" + URLEncoder.encode(token, StandardCharsets.UTF_8)
                + form.entrySet().stream()
                        .map(e -> "&" + e.getKey() + "=" + URLEncoder.encode(e.getValue(), StandardCharsets.UTF_8))
                        .collect(Collectors.joining());
        HttpRequest.Builder request = HttpRequest.newBuilder(server.resolve(path))
                .header("Content-Type", "application/x-www-form-urlencoded")
                .POST(HttpRequest.BodyPublishers.ofString(body));
        if (form.containsKey("act")) {
            request.header("X-Deck", "1");
        }
        return http.send(request.build(), HttpResponse.BodyHandlers.ofByteArray());
    }
}
