package dusk.ledger.web.store;

import static dusk.ledger.web.schema.Tables.ANGLERS;
import static dusk.ledger.web.schema.Tables.CATCHES;
import static dusk.ledger.web.schema.Tables.CHANGES;
import static dusk.ledger.web.schema.Tables.LOSSES;
import static dusk.ledger.web.schema.Tables.PEOPLE;
import static dusk.ledger.web.schema.Tables.READINGS;
import static dusk.ledger.web.schema.Tables.RODS;
import static dusk.ledger.web.schema.Tables.SETUPS;
import static dusk.ledger.web.schema.Tables.SIGNS;
import static dusk.ledger.web.schema.Tables.SPOTS;
import static dusk.ledger.web.schema.Tables.STINTS;
import static dusk.ledger.web.schema.Tables.TRIPS;
import static org.jooq.impl.DSL.inline;

import dusk.ledger.format.FileColumn;
import dusk.ledger.format.LedgerFormat;
import dusk.ledger.format.Table;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.Record;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** What was changed in the record by a form: by whom, whose it was, and what stood there, so that it can be put back. */
@Component
public final class Trail {
    private final Store store;
    private final NewId newId;
    private final Clock clock;
    private final JsonMapper json = JsonMapper.shared();

    Trail(Store store, NewId newId, Clock clock) {
        this.store = store;
        this.newId = newId;
        this.clock = clock;
    }

    /** A cell before and after; null where nothing stood. */
    public record Cell(
            FileColumn<?> column,
            @Nullable Object before,
            @Nullable Object after) {}

    /**
     * A change.
     *
     * @param personId who made it
     * @param anglerId whose record it is; null for the club's
     * @param table file of the ledger format
     * @param undoneBy who put it back; null where nobody did
     */
    public record Change(
            String id,
            Instant at,
            String personId,
            @Nullable String anglerId,
            Table<?> table,
            List<Cell> cells,
            @Nullable String undoneBy) {}

    /** Writes a row over the one with its id, and notes it where anything of it is another. */
    public <T> void update(DSLContext tx, Viewer viewer, Table<T> table, T row) {
        update(tx, viewer, table, LedgerRows.idOf(viewer, table, row), LedgerRows.over(tx, viewer, table, row));
    }

    /** The same for some cells of a row, which may be the store's own. */
    public void update(
            DSLContext tx, Viewer viewer, Table<?> table, String rowId, Map<Field<?>, @Nullable Object> values) {
        Writing writing = new Writing(tx, viewer);
        writing.update(LedgerRows.of(table), rowId, values);
        String images = json.writeValueAsString(writing.images());
        JsonNode image = json.readTree(images).path(0);
        if (image.path("before").equals(image.path("after"))) {
            return;
        }
        String id = image.path("id").asString();
        tx.insertInto(CHANGES)
                .set(CHANGES.CLUB_ID, viewer.clubId())
                .set(CHANGES.CHANGE_ID, newId.next())
                .set(CHANGES.CHANGED_AT, clock.instant())
                .set(CHANGES.PERSON_ID, Objects.requireNonNull(viewer.personId(), "only a person changes"))
                .set(CHANGES.ANGLER_ID, whose(tx, viewer, table, id))
                .set(CHANGES.WHAT, table.name())
                .set(CHANGES.IMAGES, images)
                .execute();
    }

    /** The angler whose record a row is. */
    private static @Nullable String whose(DSLContext tx, Viewer viewer, Table<?> table, String id) {
        String club = viewer.clubId();
        var stint = tx.select(STINTS.ANGLER_ID).from(STINTS);
        var trip = tx.select(TRIPS.LOGGED_BY).from(TRIPS);
        var maker = tx.select(PEOPLE.ANGLER_ID).from(PEOPLE);
        var found = switch (table.name()) {
            case "stints" -> stint.where(STINTS.CLUB_ID.eq(club)).and(STINTS.STINT_ID.eq(id));
            case "catches" ->
                stint.join(CATCHES)
                        .on(CATCHES.CLUB_ID.eq(STINTS.CLUB_ID), CATCHES.STINT_ID.eq(STINTS.STINT_ID))
                        .where(STINTS.CLUB_ID.eq(club))
                        .and(CATCHES.CATCH_ID.eq(id));
            case "losses" ->
                stint.join(LOSSES)
                        .on(LOSSES.CLUB_ID.eq(STINTS.CLUB_ID), LOSSES.STINT_ID.eq(STINTS.STINT_ID))
                        .where(STINTS.CLUB_ID.eq(club))
                        .and(LOSSES.LOSS_ID.eq(id));
            case "trips" -> trip.where(TRIPS.CLUB_ID.eq(club)).and(TRIPS.TRIP_ID.eq(id));
            case "readings" ->
                trip.join(READINGS)
                        .on(READINGS.CLUB_ID.eq(TRIPS.CLUB_ID), READINGS.TRIP_ID.eq(TRIPS.TRIP_ID))
                        .where(TRIPS.CLUB_ID.eq(club))
                        .and(READINGS.READING_ID.eq(id));
            case "signs" ->
                trip.join(SIGNS)
                        .on(SIGNS.CLUB_ID.eq(TRIPS.CLUB_ID), SIGNS.TRIP_ID.eq(TRIPS.TRIP_ID))
                        .where(TRIPS.CLUB_ID.eq(club))
                        .and(SIGNS.SIGN_ID.eq(id));
            case "spots" ->
                tx.select(SPOTS.KEPT_BY)
                        .from(SPOTS)
                        .where(SPOTS.CLUB_ID.eq(club))
                        .and(SPOTS.SPOT_ID.eq(id));
            case "setups" ->
                maker.join(SETUPS)
                        .on(SETUPS.MADE_BY.eq(PEOPLE.PERSON_ID))
                        .where(SETUPS.CLUB_ID.eq(club))
                        .and(SETUPS.SETUP_ID.eq(id));
            case "rods" ->
                maker.join(RODS)
                        .on(RODS.MADE_BY.eq(PEOPLE.PERSON_ID))
                        .where(RODS.CLUB_ID.eq(club))
                        .and(RODS.ROD_ID.eq(id));
            case "waters" -> tx.select(inline((String) null));
            default ->
                tx.select(ANGLERS.ANGLER_ID)
                        .from(ANGLERS)
                        .where(ANGLERS.CLUB_ID.eq(club))
                        .and(ANGLERS.ANGLER_ID.eq(id));
        };
        return found.fetchOptional(0, String.class).orElse(null);
    }

    /** Changes that the viewer may read of, the newest first: of their own records, and by themselves; an officer those of others too. */
    public List<Change> recent(Viewer viewer, int most) {
        return store
                .read()
                .selectFrom(CHANGES)
                .where(Visibility.ofChanges(viewer))
                .orderBy(CHANGES.CHANGED_AT.desc(), CHANGES.CHANGE_ID.desc())
                .limit(most)
                .fetch()
                .stream()
                .flatMap(r -> {
                    Table<?> table = table(r.getWhat());
                    JsonNode image = json.readTree(r.getImages()).path(0);
                    boolean known = r.getPersonId().equals(viewer.personId())
                            || r.getAnglerId() != null && r.getAnglerId().equals(viewer.anglerId());
                    Optional<List<Cell>> cells = known ? Optional.of(cells(table, image)) : seen(viewer, table, image);
                    return cells
                            .map(told -> new Change(
                                    r.getChangeId(),
                                    r.getChangedAt(),
                                    r.getPersonId(),
                                    r.getAnglerId(),
                                    table,
                                    told,
                                    r.getUndoneBy()))
                            .stream();
                })
                .toList();
    }

    private static Table<?> table(String name) {
        return LedgerFormat.ALL.stream()
                .filter(table -> table.name().equals(name))
                .findFirst()
                .orElseThrow(() -> new IllegalStateException("changes tell of " + name + ", which is no file"));
    }

    /**
     * The same for whoever neither made the change nor has the record: nothing of a row that they do not see, no cell that is
     * kept from them, and no note, since what stood in it may have named a place.
     */
    private Optional<List<Cell>> seen(Viewer viewer, Table<?> table, JsonNode image) {
        org.jooq.Table<?> stored = LedgerRows.of(table);
        Condition one = LedgerRows.id(table, image.path("id").asString());
        if (!store.read().fetchExists(stored, Visibility.of(viewer, stored).and(one))) {
            return Optional.empty();
        }
        Set<String> kept = Visibility.keptBack(store.read(), viewer, stored, one).stream()
                .map(Field::getName)
                .collect(Collectors.toSet());
        return Optional.of(cells(table, image).stream()
                .filter(cell -> !cell.column().name().equals("note")
                        && !kept.contains(cell.column().name()))
                .toList());
    }

    /** The cells that are another. */
    private static List<Cell> cells(Table<?> table, JsonNode image) {
        List<Cell> cells = new ArrayList<>();
        Map<Field<?>, @Nullable Object> before = Writing.values(LedgerRows.of(table), image.path("before"));
        Map<Field<?>, @Nullable Object> after = Writing.values(LedgerRows.of(table), image.path("after"));
        for (FileColumn<?> column : table.columns()) {
            Field<?> field = LedgerRows.of(table).field(column.name());
            if (!Objects.equals(before.get(field), after.get(field))) {
                cells.add(new Cell(column, before.get(field), after.get(field)));
            }
        }
        return cells;
    }

    /**
     * Puts a row back as it was before a change, as long as it stands as the change left it.
     *
     * @throws NotYours where the viewer may not read of it, or it is neither their record nor are they an officer
     */
    public Acts.Undoing undo(Viewer viewer, String changeId) {
        return store.write(viewer.clubId(), tx -> {
            Condition one = CHANGES.CHANGE_ID.eq(changeId).and(Visibility.ofChanges(viewer));
            Optional<? extends Record> found = tx.selectFrom(CHANGES).where(one).fetchOptional();
            if (found.isEmpty()) {
                throw new NotYours();
            }
            Record change = found.get();
            String angler = change.get(CHANGES.ANGLER_ID);
            if (!viewer.officer() && !Objects.equals(angler, viewer.anglerId())) {
                throw new NotYours();
            }
            if (change.get(CHANGES.UNDONE_BY) != null) {
                return Acts.Undoing.GONE;
            }
            JsonNode image = json.readTree(change.get(CHANGES.IMAGES)).path(0);
            Writing writing = new Writing(tx, viewer);
            JsonNode now = json.readTree(json.writeValueAsString(
                    writing.image(Acts.tableOf(image), image.path("id").asString())));
            if (!Acts.asFarAs(image.path("after"), now).equals(image.path("after"))) {
                return Acts.Undoing.OVERTAKEN;
            }
            writing.restore(image);
            tx.update(CHANGES)
                    .set(CHANGES.UNDONE_BY, viewer.personId())
                    .where(one)
                    .execute();
            return Acts.Undoing.DONE;
        });
    }
}
