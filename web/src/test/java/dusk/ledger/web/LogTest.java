package dusk.ledger.web;

import static org.assertj.core.api.Assertions.assertThat;

import ch.qos.logback.classic.Level;
import ch.qos.logback.classic.Logger;
import ch.qos.logback.classic.spi.ILoggingEvent;
import ch.qos.logback.classic.spi.IThrowableProxy;
import ch.qos.logback.core.AppenderBase;
import dusk.ledger.instruments.Kind;
import dusk.ledger.web.instruments.Listening;
import dusk.ledger.web.records.Instrument;
import dusk.ledger.web.records.Instruments;
import java.util.List;
import java.util.Queue;
import java.util.concurrent.ConcurrentLinkedQueue;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.slf4j.LoggerFactory;
import org.springframework.mock.web.MockMultipartFile;
import org.springframework.test.web.servlet.request.MockMvcRequestBuilders;

/** What the log holds: that something went wrong and when, and nothing that anybody keeps to themselves. */
class LogTest extends RequestedClub {
    private final Queue<String> logged = new ConcurrentLinkedQueue<>();
    private final Logger root = (Logger) LoggerFactory.getLogger(org.slf4j.Logger.ROOT_LOGGER_NAME);
    private final Logger ours = (Logger) LoggerFactory.getLogger("dusk.ledger");
    private final AppenderBase<ILoggingEvent> listening = new AppenderBase<>() {
        @Override
        protected void append(ILoggingEvent event) {
            // as loud as the log of a server is
            if (event.getLevel()
                    .isGreaterOrEqual(event.getLoggerName().startsWith("dusk.ledger") ? Level.INFO : Level.WARN)) {
                logged.add(event.getFormattedMessage() + thrown(event.getThrowableProxy()));
            }
        }
    };

    private static String thrown(IThrowableProxy thrown) {
        return thrown == null ? "" : " " + thrown.getMessage() + thrown(thrown.getCause());
    }

    @BeforeEach
    void listen() {
        listening.start();
        root.addAppender(listening);
    }

    @AfterEach
    void quiet() {
        root.detachAppender(listening);
    }

    @Test
    void itIsHeard() {
        ours.warn("a word {}", "for the log");
        assertThat(logged).contains("a word for the log");
    }

    @Test
    void whatGoesWrongIsLoggedWithoutSecretsOrPlaces() throws Exception {
        post(null, "/sign-in", "username=harl&password=the secret word");
        String link = invitation();
        post(null, "/invited/" + link, "username=ann&name=Ann&password=secret");
        post(null, "/invited/" + link, "username=ann2&name=Ann&password=a third secret word");
        get(null, "/invited/a-token-that-is-secret");
        post(club.guide, "/deck/" + live + "/move", "label=Secret Hole&structure=hump");
        post(club.guide, "/deck/" + live + "/move", "label=Secret Hole&structure=hump&depth_m=deep");
        post(club.guide, "/trips/p/places", "structure=dock&latitude=95&label=Secret Hole");
        for (String name : List.of("Secret Hole.xlsx", "Secret Hole.zip", "Secret Hole.csv")) {
            answer(
                    club.officer,
                    MockMvcRequestBuilders.multipart("/club/bring")
                            .file(new MockMultipartFile(
                                    "file", name, "text/csv", "Secret Hole,\u0000\n1,2".getBytes())));
        }
        club.get(Instruments.class)
                .keep(new Instrument(
                        club.officer.clubId(),
                        "b",
                        Kind.BOAT,
                        "Secret Hole",
                        "127.0.0.1:9",
                        club.guide.anglerId(),
                        null));
        club.get(Listening.class).follow();
        post(club.officer, "/club/instruments/b/delete", "");
        assertThat(String.join("\n", logged))
                .doesNotContain(link)
                .doesNotContain("secret")
                .doesNotContain("Secret")
                .doesNotContain("Kiln Point")
                .doesNotContain("44.51");
    }
}
