package dusk.ledger.web.store;

import static dusk.ledger.web.schema.Tables.ANGLERS;
import static dusk.ledger.web.schema.Tables.CHANGES;
import static dusk.ledger.web.schema.Tables.PEOPLE;
import static dusk.ledger.web.schema.Tables.SPOTS;
import static dusk.ledger.web.schema.Tables.STINTS;
import static dusk.ledger.web.schema.Tables.TRIPS;
import static org.jooq.impl.DSL.exists;
import static org.jooq.impl.DSL.noCondition;
import static org.jooq.impl.DSL.not;
import static org.jooq.impl.DSL.select;
import static org.jooq.impl.DSL.selectOne;
import static org.jooq.impl.DSL.trueCondition;
import static org.jooq.impl.DSL.when;

import org.jooq.Condition;
import org.jooq.Field;
import org.jooq.SelectConditionStep;
import org.jooq.Table;

/**
 * Who may see and change which row. Every read of the record goes through here, and places are blurred here and
 * nowhere else: of a place that its owner keeps, others see what analysis needs (structure, bottom, cover) and
 * neither its name nor where it is.
 */
public final class Visibility {
    private static final String CLUB = "club_id";
    private static final String DELETION = "deletion_id";

    private Visibility() {}

    /** Rows of a table of the record that a viewer may see: their club's, and not deleted. */
    public static Condition of(Viewer viewer, Table<?> table) {
        Field<String> club = table.field(CLUB, String.class);
        if (club == null) {
            throw new IllegalArgumentException(table.getName() + " has no club, so nobody may see its rows");
        }
        Field<?> deletion = table.field(DELETION);
        return club.eq(viewer.clubId()).and(deletion == null ? noCondition() : deletion.isNull());
    }

    /** The field as a viewer may see it. */
    public static <V> Field<V> shown(Viewer viewer, Field<V> field) {
        boolean secret = field.equals(SPOTS.LABEL) || field.equals(SPOTS.LATITUDE) || field.equals(SPOTS.LONGITUDE);
        if (!secret) {
            return field;
        }
        Condition open = SPOTS.KEPT_BY.isNull();
        if (viewer.anglerId() != null) {
            open = open.or(SPOTS.KEPT_BY.eq(viewer.anglerId()));
        }
        return when(open, field).as(field);
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
        return STINTS.ANGLER_ID.in(select(ANGLERS.ANGLER_ID)
                .from(ANGLERS)
                .where(of(viewer, ANGLERS))
                .and(mayLogFor(viewer)));
    }
}
