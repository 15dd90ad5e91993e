package dusk.ledger.web.store;

import static dusk.ledger.web.schema.Tables.ACTS;
import static org.jooq.impl.DSL.coalesce;
import static org.jooq.impl.DSL.max;
import static org.jooq.impl.DSL.val;

import dusk.ledger.web.schema.DefaultSchema;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Function;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * What is done in one touch, remembered with every row it changed: done once however often it is sent, and undone as
 * long as nothing came after it on the same rows.
 */
@Component
public final class Acts {
    private static final int LISTED = 40;

    private final Store store;
    private final JsonMapper json = JsonMapper.shared();

    Acts(Store store) {
        this.store = store;
    }

    /**
     * An act.
     *
     * @param id made by whoever acts
     * @param what in words that can stand on the button that undoes it
     */
    public record Act(String id, String tripId, Instant at, String what) {}

    /**
     * An act that was done.
     *
     * @param rows ids of the rows that it changed
     */
    public record Done(Act act, List<String> rows) {}

    /** Why an act cannot be undone. */
    public enum Undoing {
        DONE,
        GONE,
        OVERTAKEN
    }

    /**
     * Does it, in one transaction, unless an act of this id was done before. What it rests on is read within: the
     * store's reads see the transaction.
     *
     * @return false where it was done before
     */
    public boolean once(Viewer viewer, Act act, Consumer<Writing> change) {
        return store.writeAfloat(viewer.clubId(), tx -> once(tx, viewer, act, change));
    }

    /** The same for an act after which the trip is fished no more: what is learnt from ended trips is to be learnt anew. */
    public boolean last(Viewer viewer, Act act, Consumer<Writing> change) {
        return store.write(viewer.clubId(), tx -> once(tx, viewer, act, change));
    }

    /**
     * Writes on a trip being fished what nobody touched for, such as what an instrument said: it is no act, so that undoing
     * goes by what people did.
     */
    public <T> T unasked(Viewer viewer, Function<Writing, T> change) {
        return store.writeAfloat(viewer.clubId(), tx -> change.apply(new Writing(tx, viewer)));
    }

    private boolean once(DSLContext tx, Viewer viewer, Act act, Consumer<Writing> change) {
        if (tx.fetchExists(ACTS, ACTS.CLUB_ID.eq(viewer.clubId()).and(ACTS.ACT_ID.eq(act.id())))) {
            return false;
        }
        Writing writing = new Writing(tx, viewer);
        change.accept(writing);
        Long last = tx.select(coalesce(max(ACTS.NUMBER), val(0L)))
                .from(ACTS)
                .where(of(viewer, act.tripId()))
                .fetchOne(0, Long.class);
        tx.insertInto(ACTS)
                .set(ACTS.CLUB_ID, viewer.clubId())
                .set(ACTS.ACT_ID, act.id())
                .set(ACTS.TRIP_ID, act.tripId())
                .set(ACTS.NUMBER, (last == null ? 0 : last) + 1)
                .set(ACTS.ACTED_AT, act.at())
                .set(ACTS.PERSON_ID, Objects.requireNonNull(viewer.personId(), "only a person acts"))
                .set(ACTS.WHAT, writing.what(act.what()))
                .set(ACTS.CHANGES, json.writeValueAsString(writing.images()))
                .execute();
        return true;
    }

    /** Whether anything was done on a deck of the club yet. */
    public boolean any(Viewer viewer) {
        return store.read().fetchExists(ACTS, ACTS.CLUB_ID.eq(viewer.clubId()));
    }

    /** The trip's latest acts that stand, newest first. */
    public List<Done> latest(Viewer viewer, String tripId) {
        return store.read()
                .select(ACTS.ACT_ID, ACTS.TRIP_ID, ACTS.ACTED_AT, ACTS.WHAT, ACTS.CHANGES)
                .from(ACTS)
                .where(of(viewer, tripId))
                .and(ACTS.UNDONE.eq(false))
                .orderBy(ACTS.NUMBER.desc())
                .limit(LISTED)
                .fetch(r -> new Done(new Act(r.value1(), r.value2(), r.value3(), r.value4()), rowsOf(r.value5())));
    }

    private List<String> rowsOf(String changes) {
        List<String> rows = new ArrayList<>();
        json.readTree(changes).forEach(image -> rows.add(image.path("id").asString()));
        return rows;
    }

    /** Puts every row back as it was before the act. */
    public Undoing undo(Viewer viewer, String tripId, String actId) {
        return store.write(viewer.clubId(), tx -> {
            Condition one = of(viewer, tripId).and(ACTS.ACT_ID.eq(actId)).and(ACTS.UNDONE.eq(false));
            Optional<String> changes =
                    tx.select(ACTS.CHANGES).from(ACTS).where(one).fetchOptional(ACTS.CHANGES);
            if (changes.isEmpty()) {
                return Undoing.GONE;
            }
            Writing writing = new Writing(tx, viewer);
            List<JsonNode> images = new ArrayList<>();
            json.readTree(changes.get()).forEach(images::add);
            for (JsonNode image : images) {
                JsonNode now = json.readTree(json.writeValueAsString(
                        writing.image(tableOf(image), image.path("id").asString())));
                if (!asFarAs(image.path("after"), now).equals(image.path("after"))) {
                    return Undoing.OVERTAKEN;
                }
            }
            for (int i = images.size() - 1; i >= 0; i--) {
                writing.restore(images.get(i));
            }
            tx.update(ACTS).set(ACTS.UNDONE, true).where(one).execute();
            return Undoing.DONE;
        });
    }

    /** Of a row the cells that an image has: an act that an older application did knows nothing of later columns. */
    static JsonNode asFarAs(JsonNode image, JsonNode row) {
        if (!(row instanceof ObjectNode cells) || !image.isObject()) {
            return row;
        }
        return cells.retain(image.propertyNames());
    }

    private static Condition of(Viewer viewer, String tripId) {
        return ACTS.CLUB_ID.eq(viewer.clubId()).and(ACTS.TRIP_ID.eq(tripId));
    }

    static org.jooq.Table<?> tableOf(JsonNode image) {
        return Objects.requireNonNull(
                DefaultSchema.DEFAULT_SCHEMA.getTable(image.path("table").asString()));
    }
}
