package dusk.ledger.web;

import ch.qos.logback.classic.Level;
import ch.qos.logback.classic.Logger;
import ch.qos.logback.classic.spi.ILoggingEvent;
import ch.qos.logback.core.AppenderBase;
import java.util.ArrayList;
import java.util.List;
import org.slf4j.LoggerFactory;

/** What this thread asks of the store, with its values, as jOOQ writes it down; closed, it listens no more. */
final class Statements implements AutoCloseable {
    private static final String ASKED = "-> with bind values      : ";

    private final Logger logger = (Logger) LoggerFactory.getLogger("org.jooq.tools.LoggerListener");
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

    Statements() {
        logger.setLevel(Level.DEBUG);
        logger.setAdditive(false);
        logger.addAppender(listening);
        listening.start();
    }

    /** All so far, in turn. */
    List<String> asked() {
        return asked;
    }

    @Override
    public void close() {
        logger.setLevel(null);
        logger.setAdditive(true);
        logger.detachAppender(listening);
    }
}
