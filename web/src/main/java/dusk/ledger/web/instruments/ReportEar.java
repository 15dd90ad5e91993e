package dusk.ledger.web.instruments;

import dusk.ledger.web.records.Instrument;
import java.io.IOException;
import java.io.InputStream;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Duration;
import java.util.concurrent.TimeUnit;

/** Asks a web service for its report again and again: a river gauge, a weather station. */
final class ReportEar extends Ear {
    private static final int LARGEST = 64 << 10;
    private static final int OK = 200;

    private final Address address;
    private final Duration every;
    private final Duration patience;
    private final HttpClient client = HttpClient.newBuilder()
            .connectTimeout(Duration.ofSeconds(5))
            .followRedirects(HttpClient.Redirect.NEVER)
            .build();

    /**
     * @param every how long it rests between two reports
     * @param patience within which an answer must be there whole
     */
    ReportEar(
            Instrument instrument,
            Address address,
            Duration soonest,
            Duration every,
            Duration patience,
            Hearer hearer,
            Clock clock) {
        super(instrument, soonest, hearer, clock);
        this.address = address;
        this.every = every;
        this.patience = patience;
    }

    @Override
    void listen() throws IOException, InterruptedException {
        HttpRequest request = HttpRequest.newBuilder(URI.create(address.text()))
                .timeout(patience)
                .header("Accept", "application/json")
                .build();
        HttpResponse<InputStream> answer = client.send(request, HttpResponse.BodyHandlers.ofInputStream());
        try (InputStream body = answer.body()) {
            if (answer.statusCode() != OK) {
                throw new Unfit("it answers " + answer.statusCode() + " instead of a report");
            }
            heard(new String(whole(body, patience), StandardCharsets.UTF_8));
        }
        TimeUnit.MILLISECONDS.sleep(every.toMillis());
    }

    /** All of an answer within its time, also of one that comes drop by drop. */
    private static byte[] whole(InputStream body, Duration patience) throws IOException {
        Cutting cutting = new Cutting(body, patience);
        try {
            byte[] bytes = body.readNBytes(LARGEST + 1);
            if (bytes.length > LARGEST) {
                throw new Unfit("its answer is larger than any report");
            }
            return bytes;
        } catch (IOException e) {
            throw cutting.cut() ? new Unfit("its answer takes too long") : e;
        } finally {
            cutting.end();
        }
    }

    @Override
    void hangUp() {
        // the interrupt ends what it waits for
    }

    /** Closes an answer that does not end in time. */
    private static final class Cutting {
        private final Thread timer;
        private volatile boolean cut;

        Cutting(InputStream body, Duration patience) {
            timer = new Thread(
                    () -> {
                        try {
                            TimeUnit.MILLISECONDS.sleep(patience.toMillis());
                            cut = true;
                            body.close();
                        } catch (InterruptedException | IOException e) {
                            // it ended in time, or is gone already
                        }
                    },
                    "ear-timer");
            timer.setDaemon(true);
            timer.start();
        }

        boolean cut() {
            return cut;
        }

        void end() {
            timer.interrupt();
        }
    }
}
