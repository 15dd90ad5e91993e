package dusk.ledger.web.store;

import static dusk.ledger.web.schema.Tables.ACTS;
import static org.jooq.impl.DSL.coalesce;
import static org.jooq.impl.DSL.max;
import static org.jooq.impl.DSL.val;

import dusk.ledger.format.Table;
import dusk.ledger.web.schema.DefaultSchema;
import dusk.ledger.web.schema.InstantConverter;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Consumer;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.Record;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * What is done in one touch, remembered with every row it changed: done once however often it is sent, and undone as
 * long as nothing came after it on the same rows.
 */
@Component
public final class Acts {
    private static final String CLUB = "club_id";
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

    private boolean once(DSLContext tx, Viewer viewer, Act act, Consumer<Writing> change) {
        if (tx.fetchExists(ACTS, ACTS.CLUB_ID.eq(viewer.clubId()).and(ACTS.ACT_ID.eq(act.id())))) {
            return false;
        }
        Writing writing = new Writing(tx, viewer.clubId());
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
                .set(ACTS.WHAT, writing.what == null ? act.what() : writing.what)
                .set(ACTS.CHANGES, json.writeValueAsString(writing.images))
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
            Writing writing = new Writing(tx, viewer.clubId());
            List<JsonNode> images = new ArrayList<>();
            json.readTree(changes.get()).forEach(images::add);
            for (JsonNode image : images) {
                JsonNode now = json.valueToTree(
                        writing.image(tableOf(image), image.path("id").asString()));
                if (!json.readTree(json.writeValueAsString(now)).equals(image.path("after"))) {
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

    private static Condition of(Viewer viewer, String tripId) {
        return ACTS.CLUB_ID.eq(viewer.clubId()).and(ACTS.TRIP_ID.eq(tripId));
    }

    private static org.jooq.Table<?> tableOf(JsonNode image) {
        return Objects.requireNonNull(
                DefaultSchema.DEFAULT_SCHEMA.getTable(image.path("table").asString()));
    }

    /** A row before and after; null where it was not there. */
    private record Image(
            String table,
            String id,
            @Nullable Map<String, @Nullable Object> before,
            @Nullable Map<String, @Nullable Object> after) {}

    /** Writes rows of one act. A row written twice is remembered as it was before the first and after the last time. */
    public static final class Writing {
        private final DSLContext tx;
        private final String clubId;
        private final List<Image> images = new ArrayList<>();
        private @Nullable String what;

        private Writing(DSLContext tx, String clubId) {
            this.tx = tx;
            this.clubId = clubId;
        }

        /** Says what was done, where it is known only while doing it. */
        public void say(String words) {
            what = words;
        }

        public <T> void insert(Table<T> table, T row) {
            Map<Field<?>, @Nullable Object> values = LedgerRows.values(clubId, table, row);
            insert(LedgerRows.of(table), values);
        }

        /** A new row of one of the store's own tables; the club is added. */
        public void insert(org.jooq.Table<?> table, Map<Field<?>, ? extends @Nullable Object> values) {
            String id = named(values.get(id(table)), table);
            Map<Field<?>, @Nullable Object> all = new LinkedHashMap<>(values);
            all.put(clubField(table), clubId);
            remember(table, id, () -> tx.insertInto(table).set(all).execute());
        }

        public <T> void update(Table<T> table, T row) {
            Map<Field<?>, @Nullable Object> values = LedgerRows.values(clubId, table, row);
            org.jooq.Table<?> stored = LedgerRows.of(table);
            String id = named(values.remove(id(stored)), stored);
            values.remove(clubField(stored));
            update(stored, id, values);
        }

        public void update(org.jooq.Table<?> table, String id, Map<Field<?>, ? extends @Nullable Object> values) {
            remember(
                    table,
                    id,
                    () -> tx.update(table).set(values).where(one(table, id)).execute());
        }

        public void delete(Table<?> table, String id) {
            delete(LedgerRows.of(table), id);
        }

        public void delete(org.jooq.Table<?> table, String id) {
            remember(table, id, () -> tx.deleteFrom(table).where(one(table, id)).execute());
        }

        private void remember(org.jooq.Table<?> table, String id, Runnable write) {
            Map<String, @Nullable Object> before = image(table, id);
            write.run();
            Map<String, @Nullable Object> after = image(table, id);
            for (int i = 0; i < images.size(); i++) {
                Image earlier = images.get(i);
                if (earlier.table().equals(table.getName()) && earlier.id().equals(id)) {
                    images.set(i, new Image(table.getName(), id, earlier.before(), after));
                    return;
                }
            }
            images.add(new Image(table.getName(), id, before, after));
        }

        private @Nullable Map<String, @Nullable Object> image(org.jooq.Table<?> table, String id) {
            Record row = tx.selectFrom(table).where(one(table, id)).fetchOne();
            if (row == null) {
                return null;
            }
            Map<String, @Nullable Object> image = new LinkedHashMap<>();
            for (Field<?> field : row.fields()) {
                Object value = row.get(field);
                image.put(field.getName(), value instanceof Instant at ? stored(at) : value);
            }
            return image;
        }

        private static String stored(Instant at) {
            return String.valueOf(new InstantConverter().to(at));
        }

        private void restore(JsonNode image) {
            org.jooq.Table<?> table = tableOf(image);
            String id = image.path("id").asString();
            if (image.path("before").isNull()) {
                tx.deleteFrom(table).where(one(table, id)).execute();
                return;
            }
            Map<Field<?>, @Nullable Object> values = new LinkedHashMap<>();
            image.path("before").properties().forEach(cell -> {
                Field<?> field = Objects.requireNonNull(table.field(cell.getKey()), cell.getKey());
                values.put(field, field.getDataType().convert(plain(cell.getValue())));
            });
            if (image.path("after").isNull()) {
                tx.insertInto(table).set(values).execute();
            } else {
                tx.update(table).set(values).where(one(table, id)).execute();
            }
        }

        private static @Nullable Object plain(JsonNode value) {
            if (value.isNull()) {
                return null;
            }
            if (value.isBoolean()) {
                return value.asBoolean();
            }
            return value.isNumber() ? (Object) value.numberValue() : value.asString();
        }

        private Condition one(org.jooq.Table<?> table, String id) {
            return clubField(table)
                    .eq(clubId)
                    .and(id(table).coerce(String.class).eq(id));
        }

        private static Field<String> clubField(org.jooq.Table<?> table) {
            return Objects.requireNonNull(table.field(CLUB, String.class));
        }

        /** A row's id in its club: the last column of the key. Not by its type: a coerced field is another one to a map. */
        private static Field<?> id(org.jooq.Table<?> table) {
            var key = Objects.requireNonNull(table.getPrimaryKey()).getFields();
            return Objects.requireNonNull(table.field(key.get(key.size() - 1).getName()));
        }

        private static String named(@Nullable Object id, org.jooq.Table<?> table) {
            return Objects.requireNonNull(
                            id,
                            () -> table.getName() + " needs its " + id(table).getName())
                    .toString();
        }
    }
}
