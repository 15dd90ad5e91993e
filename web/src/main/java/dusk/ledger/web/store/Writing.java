package dusk.ledger.web.store;

import dusk.ledger.format.Table;
import dusk.ledger.web.schema.InstantConverter;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.Record;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;

/** Writes rows of one act. A row written twice is remembered as it was before the first and after the last time. */
public final class Writing {
    private static final String CLUB = "club_id";

    /** A row before and after; null where it was not there. */
    private record Image(
            String table,
            String id,
            @Nullable Map<String, @Nullable Object> before,
            @Nullable Map<String, @Nullable Object> after) {}

    private final DSLContext tx;
    private final String clubId;
    private final Viewer viewer;
    private final List<Image> images = new ArrayList<>();
    private @Nullable String what;

    Writing(DSLContext tx, Viewer viewer) {
        this.tx = tx;
        this.viewer = viewer;
        clubId = viewer.clubId();
    }

    /** What was done, in words: those said while doing it, else others. */
    String what(String otherwise) {
        return what == null ? otherwise : what;
    }

    /** What was changed, for the store. */
    List<?> images() {
        return images;
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
        remember(
                table, id, null, image(tx.insertInto(table).set(all).returning().fetchOne()));
    }

    public <T> void update(Table<T> table, T row) {
        Map<Field<?>, @Nullable Object> values;
        if (viewer.officer()) {
            // who was on a trip sees all that was fished on it; an officer may touch the deck of one that they were not
            // on
            values = LedgerRows.over(tx, viewer, table, row);
        } else {
            values = LedgerRows.values(clubId, table, row);
            values.remove(id(LedgerRows.of(table)));
            values.remove(clubField(LedgerRows.of(table)));
        }
        update(LedgerRows.of(table), LedgerRows.idOf(viewer, table, row), values);
    }

    public void update(org.jooq.Table<?> table, String id, Map<Field<?>, ? extends @Nullable Object> values) {
        Map<String, @Nullable Object> before = before(table, id);
        Record after =
                tx.update(table).set(values).where(one(table, id)).returning().fetchOne();
        remember(table, id, before, image(after));
    }

    public void delete(Table<?> table, String id) {
        delete(LedgerRows.of(table), id);
    }

    public void delete(org.jooq.Table<?> table, String id) {
        Map<String, @Nullable Object> before = before(table, id);
        tx.deleteFrom(table).where(one(table, id)).execute();
        remember(table, id, before, null);
    }

    /**
     * @param before the row as it was; null for one that was not there, which an insert proves
     * @param after the row as the write itself gives it back; null for one that is gone
     */
    private void remember(
            org.jooq.Table<?> table,
            String id,
            @Nullable Map<String, @Nullable Object> before,
            @Nullable Map<String, @Nullable Object> after) {
        int earlier = remembered(table, id);
        if (earlier < 0) {
            images.add(new Image(table.getName(), id, before, after));
        } else {
            images.set(
                    earlier, new Image(table.getName(), id, images.get(earlier).before(), after));
        }
    }

    /** A row as it was before the act. */
    private @Nullable Map<String, @Nullable Object> before(org.jooq.Table<?> table, String id) {
        int earlier = remembered(table, id);
        return earlier < 0 ? image(table, id) : images.get(earlier).before();
    }

    private int remembered(org.jooq.Table<?> table, String id) {
        for (int i = 0; i < images.size(); i++) {
            Image image = images.get(i);
            if (image.table().equals(table.getName()) && image.id().equals(id)) {
                return i;
            }
        }
        return -1;
    }

    @Nullable
    Map<String, @Nullable Object> image(org.jooq.Table<?> table, String id) {
        return image(tx.selectFrom(table).where(one(table, id)).fetchOne());
    }

    private static @Nullable Map<String, @Nullable Object> image(@Nullable Record row) {
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

    void restore(JsonNode image) {
        org.jooq.Table<?> table = Acts.tableOf(image);
        String id = image.path("id").asString();
        if (image.path("before").isNull()) {
            tx.deleteFrom(table).where(one(table, id)).execute();
            return;
        }
        Map<Field<?>, @Nullable Object> values = values(table, image.path("before"));
        if (image.path("after").isNull()) {
            tx.insertInto(table).set(values).execute();
        } else {
            tx.update(table).set(values).where(one(table, id)).execute();
        }
    }

    /** Puts a row as an image has it over the one with its id. */
    void over(org.jooq.Table<?> table, String id, JsonNode image) {
        tx.update(table).set(values(table, image)).where(one(table, id)).execute();
    }

    static Map<Field<?>, @Nullable Object> values(org.jooq.Table<?> table, JsonNode image) {
        Map<Field<?>, @Nullable Object> values = new LinkedHashMap<>();
        image.properties().forEach(cell -> {
            Field<?> field = Objects.requireNonNull(table.field(cell.getKey()), cell.getKey());
            values.put(field, field.getDataType().convert(plain(cell.getValue())));
        });
        return values;
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
        return clubField(table).eq(clubId).and(id(table).coerce(String.class).eq(id));
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
                        id, () -> table.getName() + " needs its " + id(table).getName())
                .toString();
    }
}
