package dusk.ledger.web.instruments;

import dusk.ledger.instruments.Feed;
import dusk.ledger.instruments.Sample;
import dusk.ledger.web.records.Instrument;
import java.io.IOException;
import java.net.ConnectException;
import java.net.SocketTimeoutException;
import java.net.UnknownHostException;
import java.net.http.HttpTimeoutException;
import java.time.Clock;
import java.time.Duration;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Listens to one instrument on a thread of its own, as long as it is to. Whatever an instrument sends or does not send,
 * nobody waits for it: what was heard is in its {@link Feed}.
 */
abstract class Ear implements Runnable {
    /** What was heard and may be believed, handed on. */
    interface Hearer {
        void heard(Instrument instrument, List<Sample> samples);
    }

    private static final Logger LOG = LoggerFactory.getLogger(Ear.class);

    private static final Duration LATEST = Duration.ofSeconds(60);

    private final Instrument instrument;
    private final Feed feed;
    private final Hearer hearer;
    private final Duration soonest;
    private final Clock clock;
    private final Thread thread;
    private Duration wait;
    private volatile boolean closed;

    /** @param soonest a connection that failed is tried again, ever less often, down to once a minute */
    Ear(Instrument instrument, Duration soonest, Hearer hearer, Clock clock) {
        this.soonest = soonest;
        wait = soonest;
        this.instrument = instrument;
        this.hearer = hearer;
        this.clock = clock;
        feed = new Feed(instrument.kind());
        thread = new Thread(this, "ear-" + instrument.kind().word());
        thread.setDaemon(true);
    }

    Instrument instrument() {
        return instrument;
    }

    Feed feed() {
        return feed;
    }

    void open() {
        thread.start();
    }

    /** Stops listening, also in the middle of a word. */
    void close() {
        closed = true;
        thread.interrupt();
        hangUp();
    }

    boolean closed() {
        return closed;
    }

    /** Listens until the connection ends; for a service, asks once and rests. */
    abstract void listen() throws IOException, InterruptedException;

    /** Lets go of a connection that another thread waits on. */
    abstract void hangUp();

    void heard(String text) {
        wait = soonest;
        List<Sample> samples = feed.hear(text, clock.instant());
        if (!samples.isEmpty()) {
            try {
                hearer.heard(instrument, samples);
            } catch (RuntimeException e) {
                // what is made of it must not end the listening; the kind alone is told, not what was heard
                LOG.warn(
                        "what {} said could not be used: {}",
                        instrument.kind().words(),
                        e.getClass().getName());
            }
        }
    }

    @Override
    public void run() {
        while (!closed) {
            try {
                listen();
            } catch (InterruptedException e) {
                return;
            } catch (IOException | RuntimeException e) {
                // whatever it is, the next connection may be better; a thread that ended would look like silence
                feed.unreached(why(e));
            }
            if (!closed && !rested(wait)) {
                return;
            }
            wait = wait.multipliedBy(2).compareTo(LATEST) > 0 ? LATEST : wait.multipliedBy(2);
        }
    }

    private static boolean rested(Duration wait) {
        try {
            TimeUnit.MILLISECONDS.sleep(wait.toMillis());
            return true;
        } catch (InterruptedException e) {
            return false;
        }
    }

    /** A failure without what was sent: only of what kind it was. */
    private static String why(Exception e) {
        if (e instanceof UnknownHostException) {
            return "nobody knows that host";
        }
        if (e instanceof SocketTimeoutException || e instanceof HttpTimeoutException) {
            return "no answer in time";
        }
        if (e instanceof ConnectException) {
            return "nobody answers at that address";
        }
        return e instanceof Unfit ? String.valueOf(e.getMessage()) : "the connection broke";
    }

    /** An answer that is none. */
    static final class Unfit extends IOException {
        private static final long serialVersionUID = 1L;

        Unfit(String message) {
            super(message);
        }
    }
}
