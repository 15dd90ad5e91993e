package dusk.ledger.web.records;

import dusk.ledger.web.store.Store;
import dusk.ledger.web.store.Viewer;
import java.util.function.Supplier;
import org.springframework.stereotype.Component;

/** Reads and writes as one: what a change rests on cannot change between the two. */
@Component
public class Alone {
    private final Store store;

    Alone(Store store) {
        this.store = store;
    }

    /** Does it in one transaction; nothing of it is stored where it throws. */
    public <T> T in(Viewer viewer, Supplier<T> doing) {
        return store.write(viewer.clubId(), tx -> doing.get());
    }
}
