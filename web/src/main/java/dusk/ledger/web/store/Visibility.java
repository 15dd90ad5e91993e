package dusk.ledger.web.store;

import static dusk.ledger.web.schema.Tables.ANGLERS;
import static dusk.ledger.web.schema.Tables.CATCHES;
import static dusk.ledger.web.schema.Tables.CHANGES;
import static dusk.ledger.web.schema.Tables.DELETIONS;
import static dusk.ledger.web.schema.Tables.LOSSES;
import static dusk.ledger.web.schema.Tables.PEOPLE;
import static dusk.ledger.web.schema.Tables.READINGS;
import static dusk.ledger.web.schema.Tables.SHARING;
import static dusk.ledger.web.schema.Tables.SIGNS;
import static dusk.ledger.web.schema.Tables.SPOTS;
import static dusk.ledger.web.schema.Tables.STINTS;
import static dusk.ledger.web.schema.Tables.TOUCHES;
import static dusk.ledger.web.schema.Tables.TRIPS;
import static org.jooq.impl.DSL.coalesce;
import static org.jooq.impl.DSL.exists;
import static org.jooq.impl.DSL.field;
import static org.jooq.impl.DSL.inline;
import static org.jooq.impl.DSL.length;
import static org.jooq.impl.DSL.lower;
import static org.jooq.impl.DSL.noCondition;
import static org.jooq.impl.DSL.not;
import static org.jooq.impl.DSL.notExists;
import static org.jooq.impl.DSL.position;
import static org.jooq.impl.DSL.select;
import static org.jooq.impl.DSL.selectOne;
import static org.jooq.impl.DSL.trueCondition;
import static org.jooq.impl.DSL.when;

import dusk.ledger.web.schema.tables.Anglers;
import dusk.ledger.web.schema.tables.Spots;
import dusk.ledger.web.schema.tables.Stints;
import dusk.ledger.web.schema.tables.Trips;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.function.Supplier;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.Record1;
import org.jooq.Select;
import org.jooq.SelectConditionStep;
import org.jooq.Table;

/**
 * Who may see and change which row. Every read of the record goes through here, and places are blurred here and
 * nowhere else. How much others see of a place that somebody keeps, and of what was fished there, is its owner's
 * {@link Level}: where nothing is said, what analysis needs (structure, bottom, cover, depth) and neither name nor
 * position. What was fished at a place that nobody keeps, or at none, goes by whoever fished it. Those who were on a trip
 * see what was fished on it.
 */
public final class Visibility {
    private static final String CLUB = "club_id";
    private static final String DELETION = "deletion_id";

    /** Shorter names are found in too many words to keep a note back for them. */
    private static final int SHORTEST_NAME = 3;

    /** Tables beside the one that is asked about, by names of their own; making one makes all its columns. */
    private static final Spots KEPT = SPOTS.as("kept");

    private static final Trips STINT_ON = TRIPS.as("stint_on");
    private static final Anglers GUEST = ANGLERS.as("guest");
    private static final Stints BESIDE = STINTS.as("beside");
    private static final Trips BESIDE_ON = TRIPS.as("beside_on");

    private static final Set<Table<?>> OF_STINTS = Set.of(CATCHES, TOUCHES, LOSSES);
    private static final Set<Table<?>> OF_TRIPS = Set.of(READINGS, SIGNS);

    private Visibility() {}

    /** Rows of a table of the record that a viewer may see: their club's, not deleted, and shared with them. */
    public static Condition of(Viewer viewer, Table<?> table) {
        Field<String> club = table.field(CLUB, String.class);
        if (club == null) {
            throw new IllegalArgumentException(table.getName() + " has no club, so nobody may see its rows");
        }
        Field<?> deletion = table.field(DELETION);
        Condition there = club.eq(viewer.clubId()).and(deletion == null ? noCondition() : deletion.isNull());
        return there.and(shared(viewer, table));
    }

    /** That a row is of what its owner shares with the viewer, however little of it. */
    private static Condition shared(Viewer viewer, Table<?> table) {
        if (table.equals(SPOTS)) {
            return unless(viewer, Level.WATER, () -> kindOfPlace(viewer));
        }
        if (table.equals(STINTS)) {
            return unless(viewer, Level.NOTHING, () -> stint(viewer, Level.NOTHING));
        }
        if (table.equals(TRIPS)) {
            return unless(viewer, Level.NOTHING, () -> trip(viewer));
        }
        Field<String> stintId = table.field(STINTS.STINT_ID);
        if (stintId != null && OF_STINTS.contains(table)) {
            return unless(
                    viewer,
                    Level.NOTHING,
                    () -> exists(selectOne()
                            .from(STINTS)
                            .where(STINTS.CLUB_ID.eq(viewer.clubId()))
                            .and(STINTS.STINT_ID.eq(stintId))
                            .and(stint(viewer, Level.NOTHING))));
        }
        Field<String> tripId = table.field(TRIPS.TRIP_ID);
        if (tripId != null && OF_TRIPS.contains(table)) {
            return unless(
                    viewer,
                    Level.NOTHING,
                    () -> exists(selectOne()
                            .from(TRIPS)
                            .where(TRIPS.CLUB_ID.eq(viewer.clubId()))
                            .and(TRIPS.TRIP_ID.eq(tripId))
                            .and(trip(viewer))));
        }
        return noCondition();
    }

    /**
     * The condition, asked only in a club where anybody shares as little as a level: most share more, and do not pay for
     * it. Where it is known that nobody does, the condition is not even written; that nobody does is asked all the same, so
     * that what was said since hides rather than shows.
     */
    private static Condition unless(Viewer viewer, Level littleAs, Supplier<Condition> condition) {
        Condition nobody = notExists(selectOne()
                .from(SHARING)
                .where(SHARING.CLUB_ID.eq(viewer.clubId()))
                .and(SHARING.LEVEL.in(Arrays.stream(Level.values())
                        .filter(level -> level.compareTo(littleAs) >= 0)
                        .map(Level::word)
                        .toList())));
        boolean known = viewer.least() != null && viewer.least().compareTo(littleAs) < 0;
        return known ? nobody : nobody.or(condition.get());
    }

    /**
     * What an angler shares at a place, on a water or everywhere, whichever is said of most closely; where nothing is
     * said, the kind of places.
     */
    private static Field<String> level(Viewer viewer, Field<String> angler, Field<String> spot, Field<String> water) {
        return coalesce(
                said(viewer, angler, SHARING.SPOT_ID.eq(spot)),
                said(viewer, angler, SHARING.WATER_ID.eq(water)),
                said(viewer, angler, SHARING.SPOT_ID.isNull().and(SHARING.WATER_ID.isNull())),
                inline(Level.KIND.word()));
    }

    private static Field<String> said(Viewer viewer, Field<String> angler, Condition of) {
        return field(select(SHARING.LEVEL)
                .from(SHARING)
                .where(SHARING.CLUB_ID.eq(viewer.clubId()))
                .and(SHARING.ANGLER_ID.eq(angler))
                .and(of));
    }

    /** Of a place in a row of places: that the viewer may know what kind it is. */
    private static Condition kindOfPlace(Viewer viewer) {
        Condition seen = ownPlace(viewer)
                .or(level(viewer, SPOTS.KEPT_BY, SPOTS.SPOT_ID, SPOTS.WATER_ID)
                        .in(Level.ALL.word(), Level.KIND.word()));
        if (viewer.anglerId() == null) {
            return seen;
        }
        // whoever was there knows that there is a place
        return seen.or(exists(selectOne()
                .from(STINTS)
                .where(STINTS.CLUB_ID.eq(viewer.clubId()))
                .and(STINTS.SPOT_ID.eq(SPOTS.SPOT_ID))
                .and(STINTS.DELETION_ID.isNull())
                .and(onTheTrip(viewer))));
    }

    private static Condition ownPlace(Viewer viewer) {
        Condition open = SPOTS.KEPT_BY.isNull();
        return viewer.anglerId() == null ? open : open.or(SPOTS.KEPT_BY.eq(viewer.anglerId()));
    }

    /** Of a row of stints: that its owner shares more of it with the viewer than a level. */
    private static Condition stint(Viewer viewer, Level tooLittle) {
        Field<String> water = field(select(STINT_ON.WATER_ID)
                .from(STINT_ON)
                .where(STINT_ON.CLUB_ID.eq(STINTS.CLUB_ID))
                .and(STINT_ON.TRIP_ID.eq(STINTS.TRIP_ID)));
        Field<String> keepers = field(select(level(viewer, KEPT.KEPT_BY, KEPT.SPOT_ID, KEPT.WATER_ID))
                .from(KEPT)
                .where(KEPT.CLUB_ID.eq(STINTS.CLUB_ID))
                .and(KEPT.SPOT_ID.eq(STINTS.SPOT_ID))
                .and(KEPT.KEPT_BY.isNotNull()));
        Field<String> level = coalesce(keepers, level(viewer, hostOf(viewer, STINTS.ANGLER_ID), STINTS.SPOT_ID, water));
        Condition more = tooLittle == Level.NOTHING
                ? level.ne(Level.NOTHING.word())
                : level.in(Level.ALL.word(), Level.KIND.word());
        if (viewer.anglerId() == null) {
            return more;
        }
        Condition keeper = exists(selectOne()
                .from(KEPT)
                .where(KEPT.CLUB_ID.eq(STINTS.CLUB_ID))
                .and(KEPT.SPOT_ID.eq(STINTS.SPOT_ID))
                .and(KEPT.KEPT_BY.eq(viewer.anglerId())));
        return more.or(onTheTrip(viewer)).or(keeper);
    }

    /** Whose records an angler's are: of a guest, those of who brought them. */
    private static Field<String> hostOf(Viewer viewer, Field<String> angler) {
        return coalesce(
                field(select(PEOPLE.ANGLER_ID)
                        .from(GUEST)
                        .join(PEOPLE)
                        .on(PEOPLE.PERSON_ID.eq(GUEST.BROUGHT_BY))
                        .where(GUEST.CLUB_ID.eq(viewer.clubId()))
                        .and(GUEST.ANGLER_ID.eq(angler))),
                angler);
    }

    /** Of a row of stints: that the viewer was on its trip themselves. */
    private static Condition onTheTrip(Viewer viewer) {
        return exists(selectOne()
                        .from(BESIDE_ON)
                        .where(BESIDE_ON.CLUB_ID.eq(viewer.clubId()))
                        .and(BESIDE_ON.TRIP_ID.eq(STINTS.TRIP_ID))
                        .and(BESIDE_ON.LOGGED_BY.eq(String.valueOf(viewer.anglerId()))))
                .or(exists(selectOne()
                        .from(BESIDE)
                        .where(BESIDE.CLUB_ID.eq(viewer.clubId()))
                        .and(BESIDE.TRIP_ID.eq(STINTS.TRIP_ID))
                        .and(BESIDE.DELETION_ID.isNull())
                        .and(BESIDE.ANGLER_ID.in(own(viewer)))));
    }

    /** Of a row of trips: that it is shared, and not all of what was fished on it is kept back. */
    private static Condition trip(Viewer viewer) {
        Condition there = STINTS.CLUB_ID
                .eq(TRIPS.CLUB_ID)
                .and(STINTS.TRIP_ID.eq(TRIPS.TRIP_ID))
                .and(STINTS.DELETION_ID.isNull());
        Condition shared = level(viewer, TRIPS.LOGGED_BY, inline((String) null), TRIPS.WATER_ID)
                .ne(Level.NOTHING.word())
                .and(notExists(selectOne().from(STINTS).where(there))
                        .or(exists(selectOne().from(STINTS).where(there).and(stint(viewer, Level.NOTHING)))));
        return viewer.anglerId() == null
                ? shared
                : shared.or(TRIPS.LOGGED_BY.eq(viewer.anglerId()))
                        .or(exists(selectOne().from(STINTS).where(there).and(STINTS.ANGLER_ID.in(own(viewer)))));
    }

    /**
     * The field as a viewer may see it: of a place its name and position only where its owner shares all of it; of a stint
     * place and depth only where they share more than the water; no note that names a place which is not shared.
     */
    public static <V> Field<V> shown(Viewer viewer, Field<V> field) {
        Field<V> value = value(viewer, field);
        return value.equals(field) ? field : value.as(field);
    }

    /** The same where it is no column of what is read, but compared or joined by. */
    public static <V> Field<V> value(Viewer viewer, Field<V> field) {
        if (field.equals(SPOTS.LABEL) || field.equals(SPOTS.LATITUDE) || field.equals(SPOTS.LONGITUDE)) {
            Condition all =
                    level(viewer, SPOTS.KEPT_BY, SPOTS.SPOT_ID, SPOTS.WATER_ID).eq(Level.ALL.word());
            return when(ownPlace(viewer).or(all), field);
        }
        if (field.equals(STINTS.SPOT_ID)) {
            return when(
                    unless(viewer, Level.WATER, () -> stint(viewer, Level.WATER).and(placeOf(viewer, STINTS.SPOT_ID))),
                    field);
        }
        if (field.equals(STINTS.DEPTH_M) || field.equals(STINTS.FISH_DEPTH_M)) {
            return when(unless(viewer, Level.WATER, () -> stint(viewer, Level.WATER)), field);
        }
        if (field.equals(SIGNS.SPOT_ID)) {
            return when(unless(viewer, Level.WATER, () -> placeOf(viewer, SIGNS.SPOT_ID)), field);
        }
        if (field.equals(TRIPS.NOTE) || field.equals(SIGNS.NOTE)) {
            return when(not(namesAPlace(viewer, field.cast(String.class))), field);
        }
        return field;
    }

    /** The columns of a row that hold something which the viewer sees nothing of. */
    static List<Field<?>> keptBack(DSLContext tx, Viewer viewer, Table<?> table, Condition one) {
        List<Field<?>> guarded = table.fieldStream()
                .filter(field -> !value(viewer, field).equals(field))
                .<Field<?>>map(field -> field)
                .toList();
        if (guarded.isEmpty()) {
            return List.of();
        }
        List<Field<?>> asked = new ArrayList<>();
        for (Field<?> field : guarded) {
            asked.add(field(value(viewer, field).isNull().and(field.isNotNull())));
        }
        // not by what rows the viewer sees: of one that was hidden since they read it, all of this is kept back
        return tx.select(asked)
                .from(table)
                .where(Objects.requireNonNull(table.field(CLUB, String.class)).eq(viewer.clubId()))
                .and(one)
                .fetchOptional(row -> guarded.stream()
                        .filter(field -> Boolean.TRUE.equals(row.get(guarded.indexOf(field), Boolean.class)))
                        .<Field<?>>map(field -> field)
                        .toList())
                .orElse(List.of());
    }

    /** That a row's place is one whose kind the viewer may know. */
    private static Condition placeOf(Viewer viewer, Field<String> spotId) {
        return exists(selectOne()
                .from(SPOTS)
                .where(SPOTS.CLUB_ID.eq(viewer.clubId()))
                .and(SPOTS.SPOT_ID.eq(spotId))
                .and(kindOfPlace(viewer)));
    }

    /** That a text holds the name of a place which the viewer may not read, in letters of either case. */
    private static Condition namesAPlace(Viewer viewer, Field<String> text) {
        Condition all =
                level(viewer, SPOTS.KEPT_BY, SPOTS.SPOT_ID, SPOTS.WATER_ID).eq(Level.ALL.word());
        return text.isNotNull()
                .and(exists(selectOne()
                        .from(SPOTS)
                        .where(SPOTS.CLUB_ID.eq(viewer.clubId()))
                        .and(length(SPOTS.LABEL).ge(SHORTEST_NAME))
                        .and(position(lower(text), lower(SPOTS.LABEL)).gt(0))
                        .and(not(ownPlace(viewer).or(all)))));
    }

    /**
     * Trips a viewer was on, to whose record they may add and whose deck they touch: those they logged, and those that
     * they or a guest of theirs fished; an officer, all.
     */
    public static Condition wasOnTrip(Viewer viewer) {
        return logged(viewer).or(exists(stintsOfTrip().and(theirs(viewer))));
    }

    /** Trips a viewer fished on. */
    public static Condition fishedOn(Viewer viewer) {
        return exists(stintsOfTrip().and(STINTS.ANGLER_ID.eq(String.valueOf(viewer.anglerId()))));
    }

    /** Trips a viewer may change as a whole: those they logged, and those they led, being a guide on them; an officer, all. */
    public static Condition mayChangeTrip(Viewer viewer) {
        boolean guide = viewer.role() == Viewer.Role.GUIDE && viewer.anglerId() != null;
        return guide
                ? logged(viewer).or(exists(stintsOfTrip().and(STINTS.ANGLER_ID.eq(viewer.anglerId()))))
                : logged(viewer);
    }

    /** Trips a viewer may delete: those they logged; an officer, all. */
    public static Condition mayDeleteTrip(Viewer viewer) {
        return logged(viewer);
    }

    /** Stints a viewer may change, with their fish: their own and their guests', and all of a trip that they may change. */
    public static Condition mayChangeStint(Viewer viewer) {
        return theirs(viewer)
                .or(exists(selectOne()
                        .from(TRIPS)
                        .where(TRIPS.CLUB_ID.eq(STINTS.CLUB_ID))
                        .and(TRIPS.TRIP_ID.eq(STINTS.TRIP_ID))
                        .and(mayChangeTrip(viewer))));
    }

    /** Anglers in whose name a viewer may log on a trip that is not theirs to change. */
    public static Condition mayLogFor(Viewer viewer) {
        return ANGLERS.ANGLER_ID
                .eq(String.valueOf(viewer.anglerId()))
                .or(ANGLERS.BROUGHT_BY.eq(String.valueOf(viewer.personId())));
    }

    /** Rows of a table that a viewer may write over: those they made; an officer, all. */
    public static Condition mayRewrite(Viewer viewer, Field<String> madeBy) {
        return viewer.officer() ? trueCondition() : madeBy.eq(String.valueOf(viewer.personId()));
    }

    /**
     * Changes of the record that a viewer may read of: those of their own records, and those that they made; an officer
     * also those that somebody made of what is not theirs. What somebody changed of their own places or days stays theirs.
     */
    public static Condition ofChanges(Viewer viewer) {
        Condition own = CHANGES.ANGLER_ID.eq(String.valueOf(viewer.anglerId()));
        Condition made = CHANGES.PERSON_ID.eq(String.valueOf(viewer.personId()));
        Condition seen = own.or(made.and(CHANGES.WHAT.ne(SPOTS.getName())));
        if (viewer.officer()) {
            Condition byWhoeverItIs = exists(selectOne()
                    .from(PEOPLE)
                    .where(PEOPLE.PERSON_ID.eq(CHANGES.PERSON_ID))
                    .and(PEOPLE.ANGLER_ID.eq(CHANGES.ANGLER_ID)));
            seen = seen.or(CHANGES.ANGLER_ID.isNull()).or(not(byWhoeverItIs).and(CHANGES.WHAT.ne(SPOTS.getName())));
        }
        return CHANGES.CLUB_ID.eq(viewer.clubId()).and(seen);
    }

    /** Deletions that a viewer may read of: their own; an officer also those of others that took nothing which is kept from them. */
    static Condition ofDeletions(Viewer viewer) {
        Condition own = DELETIONS.PERSON_ID.eq(String.valueOf(viewer.personId()));
        if (!viewer.officer()) {
            return own;
        }
        Condition trips = exists(selectOne()
                .from(TRIPS)
                .where(TRIPS.CLUB_ID.eq(DELETIONS.CLUB_ID))
                .and(TRIPS.DELETION_ID.eq(DELETIONS.DELETION_ID))
                .and(not(trip(viewer))));
        Condition stints = exists(selectOne()
                .from(STINTS)
                .where(STINTS.CLUB_ID.eq(DELETIONS.CLUB_ID))
                .and(STINTS.DELETION_ID.eq(DELETIONS.DELETION_ID))
                .and(not(stint(viewer, Level.NOTHING))));
        return own.or(not(trips).and(not(stints)));
    }

    private static Condition logged(Viewer viewer) {
        return viewer.officer() ? trueCondition() : TRIPS.LOGGED_BY.eq(String.valueOf(viewer.anglerId()));
    }

    private static SelectConditionStep<?> stintsOfTrip() {
        return selectOne()
                .from(STINTS)
                .where(STINTS.CLUB_ID.eq(TRIPS.CLUB_ID))
                .and(STINTS.TRIP_ID.eq(TRIPS.TRIP_ID))
                .and(STINTS.DELETION_ID.isNull());
    }

    private static Condition theirs(Viewer viewer) {
        return STINTS.ANGLER_ID.in(own(viewer));
    }

    /** The viewer and their guests. */
    private static Select<Record1<String>> own(Viewer viewer) {
        return select(ANGLERS.ANGLER_ID)
                .from(ANGLERS)
                .where(of(viewer, ANGLERS))
                .and(mayLogFor(viewer));
    }
}
