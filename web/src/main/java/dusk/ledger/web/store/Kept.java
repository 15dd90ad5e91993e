package dusk.ledger.web.store;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.List;
import java.util.Locale;
import java.util.function.Supplier;

/**
 * What was read or made of a club's rows of some kinds, kept until one of them is written, whatever else is. The same
 * for everyone in the club.
 *
 * @param <V> what is kept
 */
public final class Kept<V> {
    /** Kinds of rows whose writing is noted one by one. */
    public enum Kind {
        SETUP,
        ROD
    }

    private static final int KEPT = 64;

    private final Store store;
    private final List<String> kinds;
    private final Cache<Key, V> kept = Caffeine.newBuilder().maximumSize(KEPT).build();

    private record Key(String clubId, long seq, Object thing) {}

    public Kept(Store store, Kind... kinds) {
        this.store = store;
        this.kinds = List.of(kinds).stream()
                .map(kind -> kind.name().toLowerCase(Locale.ROOT))
                .toList();
    }

    /** A thing, made now where it is not there yet. Within a write it is made for it alone: that may still come to nothing. */
    public V of(Viewer viewer, Object thing, Supplier<V> make) {
        if (store.writing()) {
            return make.get();
        }
        return store.snapshot(() -> kept.get(
                new Key(viewer.clubId(), Written.lastOf(store.read(), viewer.clubId(), kinds), thing),
                k -> make.get()));
    }
}
