package dusk.ledger.patterns;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;

/** Threads that do pieces of work whose answers come back in the order of the pieces, whoever did them. */
final class Workers implements AutoCloseable {
    private final ExecutorService pool;

    Workers(int threads) {
        pool = Executors.newFixedThreadPool(threads);
    }

    /** @throws SearchStopped where a piece says so, or this thread is interrupted */
    <T> List<T> all(List<? extends Callable<T>> pieces) {
        List<Future<T>> futures = new ArrayList<>();
        for (Callable<T> piece : pieces) {
            futures.add(pool.submit(piece));
        }
        try {
            List<T> answers = new ArrayList<>();
            for (Future<T> future : futures) {
                answers.add(future.get());
            }
            return answers;
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new SearchStopped();
        } catch (ExecutionException e) {
            if (e.getCause() instanceof SearchStopped stopped) {
                throw stopped;
            }
            throw new IllegalStateException("a piece of the search failed", e.getCause());
        }
    }

    @Override
    public void close() {
        pool.shutdownNow();
    }
}
