package dusk.ledger.web.findings;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import dusk.ledger.patterns.Findings;
import dusk.ledger.patterns.PatternSearch;
import dusk.ledger.patterns.SearchStopped;
import dusk.ledger.stints.StintTable;
import dusk.ledger.web.store.ClubTables;
import dusk.ledger.web.store.Store;
import dusk.ledger.web.store.Viewer;
import jakarta.annotation.PreDestroy;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/**
 * Searches under way and done, one for each club, version of its records and question. They run beside the requests,
 * can be watched and stopped.
 */
@Component
class PatternRuns {
    private static final int KEPT = 12;
    private static final int THREADS = 2;

    private final Store store;
    private final ClubTables tables;
    private final ExecutorService worker = Executors.newSingleThreadExecutor();
    private final Cache<Key, Run> runs = Caffeine.newBuilder().maximumSize(KEPT).build();

    /** What a search is of. */
    record Key(
            String clubId,
            long version,
            WhichFish counted,
            String water,
            String season,
            @Nullable String anglerId) {}

    PatternRuns(Store store, ClubTables tables) {
        this.store = store;
        this.tables = tables;
    }

    /** What was found in which table: patterns name its rows. */
    record Searched(StintTable table, Findings findings) {}

    /** One search. */
    static final class Run {
        private final CompletableFuture<Searched> result = new CompletableFuture<>();
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

        /** What was found, once it is there; waits a moment, since most searches are quick. */
        Optional<Searched> found(long patienceMillis) {
            try {
                return Optional.of(result.get(patienceMillis, TimeUnit.MILLISECONDS));
            } catch (TimeoutException e) {
                return Optional.empty();
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
                return Optional.empty();
            } catch (ExecutionException e) {
                if (e.getCause() instanceof SearchStopped) {
                    return Optional.empty();
                }
                throw new CompletionException("the search failed", e.getCause());
            }
        }
    }

    /** The search of a question on the records as they are now, started where it is not there yet. */
    Run of(Viewer viewer, PatternsAsk ask) {
        return runs.get(key(viewer, ask), k -> start(viewer, ask));
    }

    /** Forgets a stopped search, so that it can be asked anew. */
    void forget(Viewer viewer, PatternsAsk ask) {
        runs.invalidate(key(viewer, ask));
    }

    private Key key(Viewer viewer, PatternsAsk ask) {
        return new Key(
                viewer.clubId(),
                store.version(viewer.clubId()),
                ask.counted(),
                ask.water(),
                ask.season(),
                ask.mine() ? ask.anglerId() : null);
    }

    private Run start(Viewer viewer, PatternsAsk asked) {
        Run run = new Run();
        worker.execute(() -> {
            try {
                StintTable table = asked.of(tables.of(viewer));
                Findings findings = PatternSearch.run(table, asked.search(), THREADS, (done, of) -> {
                    run.percent = of == 0 ? 100 : 100 * done / of;
                    return !run.stopped;
                });
                run.result.complete(new Searched(table, findings));
            } catch (RuntimeException e) {
                run.result.completeExceptionally(e);
            }
        });
        return run;
    }

    @PreDestroy
    void end() {
        runs.asMap().values().forEach(Run::stop);
        worker.shutdownNow();
    }
}
