package dusk.ledger.web;

import static org.assertj.core.api.Assertions.assertThat;

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

/** A visitor with cookies and without a browser. */
final class Visitor {
    private static final Pattern TOKEN = Pattern.compile("name=\"_csrf\"[^>]*value=\"([^\"]+)\"");

    private final String base;
    private final HttpClient http =
            HttpClient.newBuilder().cookieHandler(new CookieManager()).build();

    /** @param base address of the application, without a path */
    Visitor(String base) {
        this.base = base;
    }

    HttpClient http() {
        return http;
    }

    HttpResponse<String> get(String path) throws IOException, InterruptedException {
        return http.send(HttpRequest.newBuilder(URI.create(base + path)).build(), HttpResponse.BodyHandlers.ofString());
    }

    byte[] bytes(String path) throws IOException, InterruptedException {
        return http.send(
                        HttpRequest.newBuilder(URI.create(base + path)).build(),
                        HttpResponse.BodyHandlers.ofByteArray())
                .body();
    }

    /** The token that a page's forms carry; empty where it has none. */
    String token(String page) throws IOException, InterruptedException {
        Matcher token = TOKEN.matcher(get(page).body());
        return token.find() ? token.group(1) : "";
    }

    HttpResponse<String> post(String from, String path, Map<String, String> form)
            throws IOException, InterruptedException {
        return send(path, token(from), form);
    }

    /** Sends a form with a token that was had before; with the header of the deck's script. */
    HttpResponse<String> send(String path, String token, Map<String, String> form)
            throws IOException, InterruptedException {
        String body = (token.isEmpty() ? "" : "_csrf=" + URLEncoder.encode(token, StandardCharsets.UTF_8) + "&")
                + form.entrySet().stream()
                        .map(e -> e.getKey() + "=" + URLEncoder.encode(e.getValue(), StandardCharsets.UTF_8))
                        .collect(Collectors.joining("&"));
        return http.send(
                HttpRequest.newBuilder(URI.create(base + path))
                        .header("Content-Type", "application/x-www-form-urlencoded")
                        .header("X-Deck", path.startsWith("/deck/") ? "1" : "")
                        .POST(HttpRequest.BodyPublishers.ofString(body))
                        .build(),
                HttpResponse.BodyHandlers.ofString());
    }

    /** Comes in as a person of the demo club. */
    Visitor as(String personId) throws IOException, InterruptedException {
        assertThat(post("/sign-in", "/demo/sign-in", Map.of("person", personId)).statusCode())
                .isEqualTo(302);
        return this;
    }
}
