package dusk.ledger.web.records;

import static dusk.ledger.web.schema.Tables.TRIALS;

import dusk.ledger.teach.Trial;
import dusk.ledger.web.store.NotYours;
import dusk.ledger.web.store.Store;
import dusk.ledger.web.store.Viewer;
import dusk.ledger.web.store.Visibility;
import java.time.Instant;
import java.util.List;
import java.util.Objects;
import org.jooq.Record;
import org.springframework.stereotype.Component;

/** Trials of a club: what they are of, and whether they go on. What they found follows from the stints. */
@Component
public class Trials {
    private final Store store;

    Trials(Store store) {
        this.store = store;
    }

    /** All of them, those that go on first, then the newest. */
    public List<Trial> all(Viewer viewer) {
        return store.read()
                .selectFrom(TRIALS)
                .where(Visibility.of(viewer, TRIALS))
                .orderBy(TRIALS.ENDED_AT.isNotNull(), TRIALS.MADE_AT.desc(), TRIALS.TRIAL_ID)
                .fetch(Trials::trial);
    }

    /** Those that go on. */
    public List<Trial> open(Viewer viewer) {
        return all(viewer).stream().filter(trial -> trial.ended() == null).toList();
    }

    /** @throws NotYours where the club has none of this id */
    public Trial one(Viewer viewer, String trialId) {
        return all(viewer).stream()
                .filter(trial -> trial.id().equals(trialId))
                .findFirst()
                .orElseThrow(NotYours::new);
    }

    private static Trial trial(Record r) {
        return new Trial(
                r.get(TRIALS.TRIAL_ID),
                r.get(TRIALS.SETUP_A),
                r.get(TRIALS.SETUP_B),
                r.get(TRIALS.SPECIES),
                Math.toIntExact(r.get(TRIALS.MINUTES)),
                r.get(TRIALS.HOURS_EACH),
                r.get(TRIALS.SEED),
                r.get(TRIALS.MADE_AT),
                r.get(TRIALS.ENDED_AT));
    }

    /** A new one, made by the viewer. */
    public void add(Viewer viewer, Trial trial) {
        store.write(
                viewer.clubId(),
                tx -> tx.insertInto(TRIALS)
                        .set(TRIALS.CLUB_ID, viewer.clubId())
                        .set(TRIALS.TRIAL_ID, trial.id())
                        .set(TRIALS.MADE_BY, Objects.requireNonNull(viewer.personId()))
                        .set(TRIALS.MADE_AT, trial.made())
                        .set(TRIALS.SETUP_A, trial.setUpA())
                        .set(TRIALS.SETUP_B, trial.setUpB())
                        .set(TRIALS.SPECIES, trial.species())
                        .set(TRIALS.MINUTES, (long) trial.minutes())
                        .set(TRIALS.HOURS_EACH, trial.hoursEach())
                        .set(TRIALS.SEED, trial.seed())
                        .execute());
    }

    /**
     * Ends a trial, or takes its end back where it has ended.
     *
     * @throws NotYours where the viewer neither made it nor is an officer
     */
    public void end(Viewer viewer, String trialId, Instant now) {
        Instant ended = one(viewer, trialId).ended() == null ? now : null;
        int rows = store.write(
                viewer.clubId(),
                tx -> tx.update(TRIALS)
                        .set(TRIALS.ENDED_AT, ended)
                        .where(Visibility.of(viewer, TRIALS))
                        .and(Visibility.mayRewrite(viewer, TRIALS.MADE_BY))
                        .and(TRIALS.TRIAL_ID.eq(trialId))
                        .execute());
        if (rows == 0) {
            throw new NotYours();
        }
    }
}
