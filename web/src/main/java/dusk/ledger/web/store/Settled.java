package dusk.ledger.web.store;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.function.Function;

/**
 * What was learnt from a club's records, kept until the settled ones change. What is done on a trip while it is
 * fished counts once it ends: no touch makes the next one wait for all to be learnt anew.
 *
 * @param <V> what is learnt
 */
public final class Settled<V> {
    private static final int KEPT = 200;

    private final Store store;
    private final Cache<Key, V> kept = Caffeine.newBuilder().maximumSize(KEPT).build();

    private record Key(String clubId, long settled, Object of) {}

    public Settled(Store store) {
        this.store = store;
    }

    /**
     * What was learnt of a thing, learnt now where it is not there yet.
     *
     * @param learn given the club as such: what is kept for all may hold what all share, and no more
     */
    public V of(Viewer viewer, Object thing, Function<Viewer, V> learn) {
        String club = viewer.clubId();
        return kept.get(new Key(club, store.settled(club), thing), k -> learn.apply(Viewer.club(club)));
    }
}
