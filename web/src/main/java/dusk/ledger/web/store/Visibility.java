package dusk.ledger.web.store;

import static dusk.ledger.web.schema.Tables.SPOTS;
import static dusk.ledger.web.schema.Tables.STINTS;
import static dusk.ledger.web.schema.Tables.TRIPS;
import static org.jooq.impl.DSL.exists;
import static org.jooq.impl.DSL.inline;
import static org.jooq.impl.DSL.noCondition;
import static org.jooq.impl.DSL.selectOne;
import static org.jooq.impl.DSL.trueCondition;
import static org.jooq.impl.DSL.when;

import org.jooq.Condition;
import org.jooq.Field;
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
        Condition open = SPOTS.SHARED.eq(inline(true));
        if (viewer.personId() != null) {
            open = open.or(SPOTS.OWNER_ID.eq(viewer.personId()));
        }
        return when(open, field).as(field);
    }

    /** Trips a viewer may change: those they logged or fished; an officer, all. */
    public static Condition mayChangeTrip(Viewer viewer) {
        if (viewer.officer()) {
            return trueCondition();
        }
        Condition mine = TRIPS.LOGGED_BY.eq(String.valueOf(viewer.personId()));
        if (viewer.anglerId() == null) {
            return mine;
        }
        return mine.or(exists(selectOne()
                .from(STINTS)
                .where(STINTS.CLUB_ID.eq(TRIPS.CLUB_ID))
                .and(STINTS.TRIP_ID.eq(TRIPS.TRIP_ID))
                .and(STINTS.ANGLER_ID.eq(viewer.anglerId()))
                .and(STINTS.DELETION_ID.isNull())));
    }
}
