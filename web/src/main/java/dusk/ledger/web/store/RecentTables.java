package dusk.ledger.web.store;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import dusk.ledger.stints.StintTable;
import jakarta.annotation.PreDestroy;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.RejectedExecutionException;
import java.util.concurrent.atomic.AtomicBoolean;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/**
 * The clubs' tables as pages read them. Who has changed something sees it at once. Others see the records as they were
 * a few seconds ago while a trip is logged touch by touch: the next table is made ready beside the requests, with what
 * was reckoned of the one that is shown, and nobody waits for it.
 */
@Component
public class RecentTables {
    private static final Logger LOG = LoggerFactory.getLogger(RecentTables.class);
    private static final int CLUBS_KEPT = 8;
    private static final int PEOPLE_KEPT = 1000;

    /** A table that has been out of date for so many times its age is shown to nobody any more. */
    private static final int LONGEST = 6;

    private final Store store;
    private final ClubTables tables;
    private final Sharing sharing;
    private final Clock clock;
    private final Duration age;
    private final ObjectProvider<Renewal> renewals;
    private final ExecutorService worker = Executors.newSingleThreadExecutor();
    private final Cache<Sharing.Scope, Shown> shown =
            Caffeine.newBuilder().maximumSize(CLUBS_KEPT).build();

    /** The version of their club's records that holds each person's last change. */
    private final Cache<String, Long> changed =
            Caffeine.newBuilder().maximumSize(PEOPLE_KEPT).build();

    /** Has something to make ready of a table before it is shown in place of another. */
    public interface Renewal {
        /** @param before the one that is shown until now */
        void prepare(StintTable before, StintTable next);
    }

    /** What everyone sees. */
    private static final class Shown {
        private final ClubTables.Held held;
        private final AtomicBoolean renewed = new AtomicBoolean();

        /** When the records were last known to be no other than these. */
        private volatile Instant current;

        Shown(ClubTables.Held held, Instant current) {
            this.held = held;
            this.current = current;
        }
    }

    /** @param ageSeconds how long a table may be out of date before the next is made ready; 0 for not at all */
    RecentTables(
            Store store,
            ClubTables tables,
            Sharing sharing,
            Clock clock,
            @Value("${dusk.recent.seconds:0}") long ageSeconds,
            ObjectProvider<Renewal> renewals) {
        this.store = store;
        this.tables = tables;
        this.sharing = sharing;
        this.clock = clock;
        age = Duration.ofSeconds(ageSeconds);
        this.renewals = renewals;
    }

    /** A table with the version of the records that it is of. */
    public record AsOf(long version, StintTable table) {}

    /** The table for a person, of all that a rate can be reckoned of: no older than their own last change. */
    public StintTable of(Viewer viewer) {
        return whole(viewer).rated();
    }

    /** The same with the stints of which nobody knows how long they were: for fish, their sizes and the funnel. */
    public StintTable whole(Viewer viewer) {
        return held(sharing.scope(viewer), viewer.personId()).table();
    }

    /** The table of what all share, for what is kept for all: no older than the person's own last change. */
    public AsOf shared(Viewer viewer) {
        ClubTables.Held held = held(new Sharing.Scope(viewer.clubId(), null), viewer.personId());
        return new AsOf(held.version(), held.table().rated());
    }

    /** What that table would be if words stood for others than they do; reckoned anew. */
    public StintTable sharedIf(Viewer viewer, Map<String, Map<String, String>> meant) {
        return tables.asIf(viewer.clubId(), meant).rated();
    }

    /** What is not in that table because it cannot be. */
    public List<LedgerRows.LeftOut> leftOut(Viewer viewer) {
        return held(sharing.scope(viewer), viewer.personId()).leftOut();
    }

    /** The table for what it is no matter to have missed a moment, even one's own: the order of a list. */
    public StintTable forOrder(Viewer viewer) {
        return held(sharing.scope(viewer), null).table();
    }

    /** Notes that a person has changed something, or may have: from now on they see no older records than those. */
    public void changed(Viewer viewer) {
        if (viewer.personId() != null) {
            changed.put(viewer.personId(), store.version(viewer.clubId()));
        }
    }

    private ClubTables.Held held(Sharing.Scope scope, @Nullable String personId) {
        if (store.writing()) {
            return tables.now(scope);
        }
        Instant now = clock.instant();
        Shown there = shown.getIfPresent(scope);
        if (there != null && there.held.version() == store.version(scope.clubId())) {
            there.current = now;
            return there.held;
        }
        boolean worthShowing =
                there != null && there.current.plus(age.multipliedBy(LONGEST)).isAfter(now);
        if (there != null && worthShowing && there.held.version() >= ownVersion(personId)) {
            if (!there.current.plus(age).isAfter(now)) {
                renew(scope, there);
            }
            return there.held;
        }
        ClubTables.Held held = tables.now(scope);
        if (!worthShowing) {
            shown.put(scope, new Shown(held, now));
        }
        return held;
    }

    private long ownVersion(@Nullable String personId) {
        Long own = personId == null ? null : changed.getIfPresent(personId);
        return own == null ? 0 : own;
    }

    private void renew(Sharing.Scope scope, Shown there) {
        if (!there.renewed.compareAndSet(false, true)) {
            return;
        }
        try {
            worker.execute(() -> {
                try {
                    Instant taken = clock.instant();
                    ClubTables.Held next = tables.now(scope);
                    prepare(there.held.table(), next.table());
                    shown.put(scope, new Shown(next, taken));
                } catch (RuntimeException e) {
                    // who asks once it is too old to be shown reads the records themselves
                    LOG.error("a club's findings could not be renewed", e);
                }
            });
        } catch (RejectedExecutionException closing) {
            LOG.debug("not renewed, since the application is closing", closing);
        }
    }

    private void prepare(StintTable before, StintTable next) {
        renewals.orderedStream().forEach(one -> {
            one.prepare(before, next);
            if (before != before.rated()) {
                one.prepare(before.rated(), next.rated());
            }
        });
    }

    @PreDestroy
    void end() {
        worker.shutdownNow();
    }
}
