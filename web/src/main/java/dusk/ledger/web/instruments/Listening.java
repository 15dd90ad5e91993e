package dusk.ledger.web.instruments;

import dusk.ledger.web.records.Instrument;
import dusk.ledger.web.records.Instruments;
import dusk.ledger.web.store.StoreFault;
import java.time.Clock;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.SmartLifecycle;
import org.springframework.dao.DataAccessException;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/** Who is listened to: every club's instruments, as long as the server runs. */
@Component
public class Listening implements SmartLifecycle {
    private static final Logger LOG = LoggerFactory.getLogger(Listening.class);

    private static final Duration SOONEST = Duration.ofSeconds(1);

    /** A report that is not there whole by then is given up. */
    private static final Duration PATIENCE = Duration.ofSeconds(10);

    private final Instruments instruments;
    private final Lengths lengths;
    private final Clock clock;
    private final Duration every;
    private final List<String> hosts;
    private final Map<String, Ear> ears = new HashMap<>();
    private boolean running;

    /**
     * @param seconds between two reports of a service
     * @param hosts that may be listened to, with commas between; any, where none is named
     */
    Listening(
            Instruments instruments,
            Lengths lengths,
            Clock clock,
            @Value("${dusk.instruments.seconds:60}") long seconds,
            @Value("${dusk.instruments.hosts:}") String hosts) {
        this.instruments = instruments;
        this.lengths = lengths;
        this.clock = clock;
        this.every = Duration.ofSeconds(seconds);
        this.hosts = Arrays.stream(hosts.split(","))
                .map(String::strip)
                .filter(host -> !host.isEmpty())
                .toList();
    }

    /** Whether whoever runs the server lets it be listened to. */
    boolean allowed(Address address) {
        return hosts.isEmpty() || hosts.contains(address.host());
    }

    @Override
    public synchronized void start() {
        running = true;
        follow();
    }

    /** Listens to what there is now, and to nothing else; also what another process on the store changed. */
    @Scheduled(fixedDelayString = "PT60S", initialDelayString = "PT60S")
    public synchronized void follow() {
        if (!running) {
            return;
        }
        Map<String, Instrument> wanted = new HashMap<>();
        try {
            instruments.everyClubs().forEach(one -> wanted.put(key(one), one));
        } catch (StoreFault | DataAccessException e) {
            LOG.warn("the instruments could not be read: {}", e.getClass().getName());
            return;
        }
        ears.values().removeIf(ear -> {
            boolean gone = !ear.instrument().equals(wanted.get(key(ear.instrument())));
            if (gone) {
                ear.close();
            }
            return gone;
        });
        wanted.forEach((key, one) -> {
            if (!ears.containsKey(key)) {
                Ear ear = ear(one);
                if (ear != null) {
                    ears.put(key, ear);
                    ear.open();
                }
            }
        });
    }

    private static String key(Instrument one) {
        return one.clubId() + "/" + one.id();
    }

    /** Null for an address that is none any more, such as of a host that was let go. */
    private @Nullable Ear ear(Instrument one) {
        Address address;
        try {
            address = Address.parse(one.kind(), one.address());
        } catch (IllegalArgumentException e) {
            return null;
        }
        if (!allowed(address)) {
            return null;
        }
        return one.kind().lines()
                ? new LineEar(one, address, SOONEST, lengths::heard, clock)
                : new ReportEar(one, address, SOONEST, every, PATIENCE, lengths::heard, clock);
    }

    /** What is heard now. */
    synchronized List<Ear> ears() {
        return new ArrayList<>(ears.values());
    }

    /** What is heard of one; null where it is not listened to. */
    synchronized @Nullable Ear ear(String clubId, String id) {
        return ears.get(clubId + "/" + id);
    }

    @Override
    public synchronized void stop() {
        running = false;
        ears.values().forEach(Ear::close);
        ears.clear();
    }

    @Override
    public synchronized boolean isRunning() {
        return running;
    }
}
