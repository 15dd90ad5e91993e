package dusk.ledger.web.bring;

import dusk.ledger.interchange.Fault;
import dusk.ledger.interchange.Refused;
import dusk.ledger.web.store.Progress;
import dusk.ledger.web.store.StoreFault;
import jakarta.annotation.PreDestroy;
import java.io.IOException;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/** What is read and stored beside the requests, one at a time: each can be watched, and stopped until it is stored. */
@Component
class Jobs {
    private static final Logger LOG = LoggerFactory.getLogger(Jobs.class);

    private final ExecutorService worker = Executors.newSingleThreadExecutor();
    private final Map<String, Job> byClub = new ConcurrentHashMap<>();

    /**
     * How one ended.
     *
     * @param next the page to go on to
     * @param said what came of it; empty where nothing is to be said
     * @param faults why it was refused
     * @param count how many faults there are, more than are told
     */
    record Ended(String next, String said, List<String> faults, long count) {
        static Ended well(String next, String said) {
            return new Ended(next, said, List.of(), 0);
        }

        static Ended refused(Refused e) {
            return new Ended("", "", e.faults().stream().map(Fault::toString).toList(), e.count());
        }

        static Ended refused(String why) {
            return new Ended("", "", List.of(why), 1);
        }
    }

    /** What is done. */
    interface Work {
        /** @param progress heard on the way, which may end it */
        Ended done(Progress progress) throws IOException, Refused;
    }

    /** One of them. */
    static final class Job {
        private final CompletableFuture<Ended> ended = new CompletableFuture<>();
        private final String reading;
        private volatile boolean stopped;
        private volatile long rows;
        private volatile long done;

        Job(String reading) {
            this.reading = reading;
        }

        /** How far it is, in words. */
        String words() {
            return rows == 0 ? reading : "Storing row " + done + " of " + rows + ".";
        }

        int percent() {
            return rows == 0 ? 0 : (int) (100 * done / rows);
        }

        void stop() {
            stopped = true;
        }

        private boolean at(long rowsDone, long of) {
            rows = of;
            done = rowsDone;
            return !stopped;
        }

        /** How it ended, where it does within a moment. */
        Optional<Ended> ended(long patienceMillis) {
            return Optional.ofNullable(ended.copy()
                    .completeOnTimeout(null, patienceMillis, TimeUnit.MILLISECONDS)
                    .join());
        }
    }

    /** The one of a club that is under way, or ended last and was not told of yet. */
    Optional<Job> of(String clubId) {
        return Optional.ofNullable(byClub.get(clubId));
    }

    void told(String clubId, Job which) {
        byClub.remove(clubId, which);
    }

    /**
     * Starts one, where none of the club is under way.
     *
     * @param reading what it does before it stores, in words
     */
    Optional<Job> start(String clubId, String reading, Work work) {
        Job started = new Job(reading);
        boolean first =
                byClub.compute(clubId, (club, before) -> before != null && !before.ended.isDone() ? before : started)
                        == started;
        if (!first) {
            return Optional.empty();
        }
        worker.execute(() -> started.ended.complete(ended(work, started)));
        return Optional.of(started);
    }

    private static Ended ended(Work work, Job started) {
        try {
            return work.done(started::at);
        } catch (Refused e) {
            return Ended.refused(e);
        } catch (Progress.Stopped e) {
            return Ended.well("/club/bring", "Stopped: nothing of it was stored.");
        } catch (StoreFault e) {
            return Ended.refused(String.valueOf(e.getMessage()));
        } catch (IOException | RuntimeException e) {
            LOG.error("what was brought in could not be read or stored", e);
            return Ended.refused(
                    "It could not be read or stored, and nothing of it was. The server's log says why; send it again, or to whoever runs the server.");
        }
    }

    @PreDestroy
    void end() {
        byClub.values().forEach(Job::stop);
        worker.shutdown();
    }
}
