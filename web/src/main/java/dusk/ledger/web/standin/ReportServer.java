package dusk.ledger.web.standin;

import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.nio.charset.StandardCharsets;
import java.util.function.Supplier;

/** Answers with a report, on a free port of the loopback. */
final class ReportServer implements AutoCloseable {
    private static final int OK = 200;

    private final HttpServer server = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), 0);

    ReportServer(Supplier<String> report) throws IOException {
        server.createContext("/report.json", exchange -> {
            byte[] body = report.get().getBytes(StandardCharsets.UTF_8);
            exchange.getResponseHeaders().set("Content-Type", "application/json");
            exchange.sendResponseHeaders(OK, body.length);
            exchange.getResponseBody().write(body);
            exchange.close();
        });
        server.start();
    }

    String address() {
        return "http://" + server.getAddress().getAddress().getHostAddress() + ":"
                + server.getAddress().getPort() + "/report.json";
    }

    @Override
    public void close() {
        server.stop(0);
    }
}
