package dusk.ledger.web;

import static org.assertj.core.api.Assertions.assertThat;

import ch.qos.logback.classic.Level;
import ch.qos.logback.classic.Logger;
import ch.qos.logback.classic.spi.ILoggingEvent;
import ch.qos.logback.core.AppenderBase;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.slf4j.LoggerFactory;

/** What a touch asks of the store, with its values, as jOOQ writes it down. */
class TouchReadsOnceTest extends RequestedClub {
    private static final String ASKED = "-> with bind values      : ";

    private final Logger statements = (Logger) LoggerFactory.getLogger("org.jooq.tools.LoggerListener");
    private final List<String> asked = new ArrayList<>();
    private final AppenderBase<ILoggingEvent> listening = new AppenderBase<>() {
        private final Thread mine = Thread.currentThread();

        @Override
        protected void append(ILoggingEvent event) {
            String words = event.getFormattedMessage();
            // who it is, the test asks too
            if (Thread.currentThread() == mine && words.startsWith(ASKED) && !words.contains(" from people ")) {
                asked.add(words);
            }
        }
    };

    @BeforeEach
    void listen() {
        statements.setLevel(Level.DEBUG);
        statements.setAdditive(false);
        statements.addAppender(listening);
        listening.start();
    }

    @AfterEach
    void stop() {
        statements.setLevel(null);
        statements.setAdditive(true);
        statements.detachAppender(listening);
    }

    @ParameterizedTest
    @CsvSource({"landed, species=walleye", "bite, ''", "lost, cause=snag", "counted, seconds=9&depth_m=4", "down, ''"})
    void nothingIsReadTwiceForTheActNorForTheAnswer(String touch, String form) throws Exception {
        var request = typed(request("POST", "/deck/{live}/rods/{rod}/" + touch), form + "&act=" + touch)
                .header("X-Deck", "1");
        assertThat(answer(club.guide, request).getStatus()).isEqualTo(200);
        int written = written();
        assertThat(asked.subList(0, written)).as("the act").doesNotHaveDuplicates();
        assertThat(asked.subList(written, asked.size())).as("the answer").doesNotHaveDuplicates();
    }

    /** Where the act is done: the club's version rises. */
    private int written() {
        for (int i = 0; i < asked.size(); i++) {
            if (asked.get(i).contains("update clubs set version")) {
                return i;
            }
        }
        throw new AssertionError("nothing was written: " + asked);
    }
}
