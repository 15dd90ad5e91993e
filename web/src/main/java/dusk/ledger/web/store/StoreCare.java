package dusk.ledger.web.store;

import java.util.concurrent.TimeUnit;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/** What a store needs while it is open: its clubs' tables read before the first question, statistics kept fresh. */
@Component
class StoreCare {
    private final Store store;
    private final Clubs clubs;
    private final ClubTables tables;

    StoreCare(Store store, Clubs clubs, ClubTables tables) {
        this.store = store;
        this.clubs = clubs;
        this.tables = tables;
    }

    /** Reads each club's table beside the first requests, so that none of them waits for all of it. */
    @EventListener(ApplicationReadyEvent.class)
    void read() {
        Thread reading = new Thread(() -> clubs.all().forEach(club -> tables.of(Viewer.club(club.id()))), "tables");
        reading.setDaemon(true);
        reading.start();
    }

    @Scheduled(initialDelay = 1, fixedDelay = 60, timeUnit = TimeUnit.MINUTES)
    void tend() {
        store.tend();
    }
}
