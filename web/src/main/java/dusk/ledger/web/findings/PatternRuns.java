package dusk.ledger.web.findings;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import dusk.ledger.patterns.Findings;
import dusk.ledger.patterns.PatternSearch;
import dusk.ledger.patterns.SearchStopped;
import dusk.ledger.stints.StintTable;
import dusk.ledger.web.records.ClubNames;
import dusk.ledger.web.store.RecentTables;
import dusk.ledger.web.store.Viewer;
import jakarta.annotation.PreDestroy;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/**
 * Searches done and under way, one for each club and question. What was found last is shown at once, as of the records
 * then; a search runs beside the requests, one at a time, can be watched and stopped, and is made anew when enough has
 * been logged for it to pay.
 */
@Component
class PatternRuns {
    private static final Logger LOG = LoggerFactory.getLogger(PatternRuns.class);

    private static final int KEPT = 12;
    private static final int THREADS = 2;

    /** So many newer stints pay for a new search: a touch does not, nor does one trip in a large club. */
    private static final int LEAST_NEWER = 25;

    private static final double NEWER_SHARE = 0.02;

    /** What was found longer ago than that is looked for anew with whatever has changed. */
    private static final Duration OLD = Duration.ofHours(6);

    private final RecentTables tables;
    private final ClubNames names;
    private final Clock clock;
    private final ExecutorService worker = Executors.newSingleThreadExecutor();
    private final Cache<Key, Asked> kept =
            Caffeine.newBuilder().maximumSize(KEPT).build();

    /** What a search is of. */
    private record Key(
            String clubId,
            WhichFish counted,
            String water,
            String season,
            @Nullable String anglerId) {}

    PatternRuns(RecentTables tables, ClubNames names, Clock clock) {
        this.tables = tables;
        this.names = names;
        this.clock = clock;
    }

    /**
     * What was found.
     *
     * @param version of the records that were searched
     * @param stints that were searched
     */
    record Found(long version, Instant at, int stints, int candidates, int tested, List<PatternCard> cards) {}

    /**
     * A question's state.
     *
     * @param found last; null where no search of it has ended yet
     * @param before what the search before that found; null where there was none
     * @param newer stints logged since that was found
     * @param changed whether the records are others than those that were searched
     * @param run under way or stopped; null where there is none
     */
    record Seen(
            @Nullable Found found,
            @Nullable Found before,
            int newer,
            boolean changed,
            @Nullable Run run) {}

    /** One search. */
    static final class Run {
        private final CompletableFuture<Found> result = new CompletableFuture<>();
        private volatile int percent;
        private volatile boolean stopped;

        int percent() {
            return percent;
        }

        boolean stopped() {
            return stopped;
        }

        void stop() {
            stopped = true;
        }

        private boolean done() {
            return result.isDone();
        }

        /** What was found, once it is there; waits a moment, since most searches are quick. */
        Optional<Found> found(long patienceMillis) {
            try {
                return Optional.ofNullable(result.copy()
                        .completeOnTimeout(null, patienceMillis, TimeUnit.MILLISECONDS)
                        .join());
            } catch (CompletionException e) {
                if (e.getCause() instanceof SearchStopped) {
                    return Optional.empty();
                }
                throw e;
            }
        }
    }

    /** What is kept of a question. */
    private static final class Asked {
        private @Nullable Found found;
        private @Nullable Run run;

        /** What is newer, and since when, is counted from what was found, or from when a new search was stopped. */
        private int from;

        private Instant since = Instant.MIN;

        /** What was found when the question was searched before; null until it was searched twice. */
        private @Nullable Found before;

        /** Takes over what has ended. A search anew that failed leaves what was found. */
        void settle() {
            Run ended = run;
            if (ended == null || !ended.done()) {
                return;
            }
            if (!ended.result.isCompletedExceptionally()) {
                before = found;
                found = ended.result.join();
                begin(found.stints(), found.at());
                run = null;
            } else if (found != null && !ended.stopped()) {
                run = null;
            }
        }

        void begin(int stints, Instant at) {
            from = stints;
            since = at;
        }
    }

    /** What was found last; null where no search has ended yet. Begins none. */
    @Nullable
    Found found(Viewer viewer, PatternsAsk ask) {
        Asked asked = kept.get(key(viewer, ask), k -> new Asked());
        synchronized (asked) {
            asked.settle();
            return asked.found;
        }
    }

    /** What the search before the last one found; empty where there was none. */
    Optional<Found> before(Viewer viewer, PatternsAsk ask) {
        Asked asked = kept.get(key(viewer, ask), k -> new Asked());
        synchronized (asked) {
            return Optional.ofNullable(asked.before);
        }
    }

    /** What is known of a question now; starts a search where there is none yet, or where a new one pays. */
    Seen of(Viewer viewer, PatternsAsk ask) {
        return of(viewer, ask, false);
    }

    /** The same with a search made anew, whether it pays or not; one under way is enough. */
    Seen anew(Viewer viewer, PatternsAsk ask) {
        return of(viewer, ask, true);
    }

    private Seen of(Viewer viewer, PatternsAsk ask, boolean wanted) {
        RecentTables.AsOf now = tables.shared(viewer);
        int stints = ask.of(now.table()).size();
        Asked asked = kept.get(key(viewer, ask), k -> new Asked());
        synchronized (asked) {
            asked.settle();
            Found found = asked.found;
            boolean changed = found != null && found.version() != now.version();
            int newer = found == null ? 0 : Math.max(0, stints - found.stints());
            if (asked.run == null && (found == null || wanted || (changed && pays(asked, stints)))) {
                asked.run = start(viewer, ask);
            }
            return new Seen(found, asked.before, newer, changed, asked.run);
        }
    }

    private boolean pays(Asked asked, int stints) {
        return stints - asked.from >= Math.max(LEAST_NEWER, NEWER_SHARE * asked.from)
                || asked.since.plus(OLD).isBefore(clock.instant());
    }

    /** Stops the search of a question, where one is under way. */
    void stop(Viewer viewer, PatternsAsk ask) {
        Asked asked = kept.getIfPresent(key(viewer, ask));
        if (asked != null) {
            synchronized (asked) {
                if (asked.run != null) {
                    asked.run.stop();
                }
            }
        }
    }

    /** Forgets a search that was stopped or failed, so that it can be asked anew. */
    void forget(Viewer viewer, PatternsAsk ask, Run run) {
        Asked asked = kept.get(key(viewer, ask), k -> new Asked());
        synchronized (asked) {
            if (asked.run == run) {
                asked.run = null;
                asked.begin(ask.of(tables.shared(viewer).table()).size(), clock.instant());
            }
        }
    }

    private static Key key(Viewer viewer, PatternsAsk ask) {
        return new Key(viewer.clubId(), ask.counted(), ask.water(), ask.season(), ask.mine() ? ask.anglerId() : null);
    }

    private Run start(Viewer viewer, PatternsAsk ask) {
        Run run = new Run();
        worker.execute(() -> {
            try {
                run.result.complete(search(viewer, ask, run));
            } catch (RuntimeException e) {
                if (!(e instanceof SearchStopped)) {
                    LOG.error("a search for patterns failed", e);
                }
                run.result.completeExceptionally(e);
            }
        });
        return run;
    }

    private Found search(Viewer viewer, PatternsAsk ask, Run run) {
        RecentTables.AsOf now = tables.shared(viewer);
        StintTable table = ask.of(now.table());
        Findings findings = PatternSearch.run(table, ask.search(), THREADS, (done, of) -> {
            run.percent = of == 0 ? 100 : 100 * done / of;
            return !run.stopped;
        });
        int[] fish = table.fish(ask.counted().species(), ask.counted().least());
        PatternCard.Names named = new PatternCard.Names(names.anglers(viewer), trips -> names.trips(viewer, trips));
        List<PatternCard> cards = findings.patterns().stream()
                .map(p -> PatternCard.of(table, fish, p, ask, named))
                .toList();
        return new Found(now.version(), clock.instant(), table.size(), findings.candidates(), findings.tested(), cards);
    }

    @PreDestroy
    void end() {
        kept.asMap().values().forEach(asked -> {
            synchronized (asked) {
                if (asked.run != null) {
                    asked.run.stop();
                }
            }
        });
        worker.shutdownNow();
    }
}
