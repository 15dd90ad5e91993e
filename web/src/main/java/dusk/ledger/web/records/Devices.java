package dusk.ledger.web.records;

import static dusk.ledger.web.schema.Tables.DEVICES;

import dusk.ledger.web.store.NewId;
import dusk.ledger.web.store.Store;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Devices on which people stay signed in. The store keeps the digest of what a device holds, and no more. */
@Component
public class Devices {
    /** So long without being seen, and a device is signed out. */
    public static final Duration REMEMBERED = Duration.ofDays(60);

    /** When a device was last seen is written no more often than this. */
    private static final Duration SEEN_EVERY = Duration.ofHours(1);

    private final Store store;
    private final Secrets secrets;
    private final NewId newId;
    private final Clock clock;

    Devices(Store store, Secrets secrets, NewId newId, Clock clock) {
        this.store = store;
        this.secrets = secrets;
        this.newId = newId;
        this.clock = clock;
    }

    /** A device that somebody is signed in on. */
    public record Device(String id, String personId, String name, Instant beganAt, Instant seenAt) {}

    /** What a device holds: its id and what proves that it is that one. */
    public record Held(String id, String secret) {}

    /** A device begins to be remembered. */
    public Held begin(String personId, String name) {
        Held held = new Held(newId.next(), secrets.next());
        Instant now = clock.instant();
        store.writeApart(tx -> {
            tx.deleteFrom(DEVICES)
                    .where(DEVICES.SEEN_AT.le(now.minus(REMEMBERED)))
                    .execute();
            return tx.insertInto(DEVICES)
                    .set(DEVICES.DEVICE_ID, held.id())
                    .set(DEVICES.PERSON_ID, personId)
                    .set(DEVICES.DIGEST, Secrets.digest(held.secret()))
                    .set(DEVICES.NAME, name)
                    .set(DEVICES.BEGAN_AT, now)
                    .set(DEVICES.SEEN_AT, now)
                    .execute();
        });
        return held;
    }

    /** Whose device it is, which counts as seen; nothing where it was signed out, or was away too long. */
    public Optional<String> recognise(Held held) {
        return store.read()
                .selectFrom(DEVICES)
                .where(DEVICES.DEVICE_ID.eq(held.id()))
                .and(DEVICES.DIGEST.eq(Secrets.digest(held.secret())))
                .and(DEVICES.SEEN_AT.gt(clock.instant().minus(REMEMBERED)))
                .fetchOptional(r -> {
                    seen(r.getDeviceId(), r.getSeenAt());
                    return r.getPersonId();
                });
    }

    /** Whether a device is still signed in; where it is, it counts as seen. */
    public boolean known(String deviceId) {
        Instant seenAt = store.read()
                .select(DEVICES.SEEN_AT)
                .from(DEVICES)
                .where(DEVICES.DEVICE_ID.eq(deviceId))
                .fetchOne(DEVICES.SEEN_AT);
        if (seenAt == null) {
            return false;
        }
        seen(deviceId, seenAt);
        return true;
    }

    private void seen(String deviceId, Instant before) {
        Instant now = clock.instant();
        if (now.isAfter(before.plus(SEEN_EVERY))) {
            store.writeApart(tx -> tx.update(DEVICES)
                    .set(DEVICES.SEEN_AT, now)
                    .where(DEVICES.DEVICE_ID.eq(deviceId))
                    .execute());
        }
    }

    /** A person's devices, the one seen last first. */
    public List<Device> of(String personId) {
        return store.read()
                .selectFrom(DEVICES)
                .where(DEVICES.PERSON_ID.eq(personId))
                .orderBy(DEVICES.SEEN_AT.desc(), DEVICES.DEVICE_ID.desc())
                .fetch(r -> new Device(r.getDeviceId(), r.getPersonId(), r.getName(), r.getBeganAt(), r.getSeenAt()));
    }

    /** Signs one of a person's devices out. */
    public void end(String personId, String deviceId) {
        store.writeApart(tx -> tx.deleteFrom(DEVICES)
                .where(DEVICES.PERSON_ID.eq(personId))
                .and(DEVICES.DEVICE_ID.eq(deviceId))
                .execute());
    }

    /** Signs all of a person's devices out, but for one. */
    public void endAll(String personId, @Nullable String but) {
        store.writeApart(tx -> tx.deleteFrom(DEVICES)
                .where(DEVICES.PERSON_ID.eq(personId))
                .and(DEVICES.DEVICE_ID.ne(String.valueOf(but)))
                .execute());
    }
}
