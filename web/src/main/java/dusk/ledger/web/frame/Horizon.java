package dusk.ledger.web.frame;

import dusk.ledger.interchange.Tables;
import dusk.ledger.journal.Trip;
import dusk.ledger.journal.Water;
import dusk.ledger.light.Sun;
import dusk.ledger.units.Position;
import dusk.ledger.web.store.LedgerRows;
import dusk.ledger.web.store.Viewer;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import org.jooq.impl.DSL;
import org.springframework.stereotype.Component;

/** The sun at a water, for the strip and the theme that goes by it. */
@Component
public class Horizon {
    private static final Position NOWHERE = new Position(0, 0);

    /** From this altitude on the screen is read in glare. */
    private static final double GLARE_FROM_DEG = 6;

    private final LedgerRows rows;
    private final Clock clock;

    Horizon(LedgerRows rows, Clock clock) {
        this.rows = rows;
        this.clock = clock;
    }

    /** The water of the trip logged last; else the first water there is. */
    Optional<Water> home(Viewer viewer) {
        Optional<Trip> last =
                rows
                        .all(
                                viewer,
                                Tables.TRIPS,
                                DSL.noCondition(),
                                List.of(DSL.field("started_at").desc()),
                                1)
                        .stream()
                        .findFirst();
        return last.flatMap(t -> rows.one(viewer, Tables.WATERS, t.waterId()))
                .or(() ->
                        rows
                                .all(
                                        viewer,
                                        Tables.WATERS,
                                        DSL.noCondition(),
                                        List.of(DSL.field("name").asc()),
                                        1)
                                .stream()
                                .findFirst());
    }

    /** Today's strip at a water. */
    HorizonStrip today(Water water) {
        Instant now = clock.instant();
        return HorizonStrip.draw(
                water.name(),
                LocalDate.ofInstant(now, zone(water)),
                zone(water),
                position(water),
                now,
                HorizonStrip.Marks.NONE);
    }

    /** The strip of a day at a water, with what was fished on it. */
    public HorizonStrip of(Water water, LocalDate date, HorizonStrip.Marks marks) {
        return HorizonStrip.draw(water.name(), date, zone(water), position(water), clock.instant(), marks);
    }

    /** The theme that the sun asks for: {@code glare} or {@code dusk}. */
    String theme(Water water) {
        return Sun.momentAt(clock.instant(), position(water)).altitudeDeg() >= GLARE_FROM_DEG ? "glare" : "dusk";
    }

    /** The water's time zone, else UTC. */
    public static ZoneId zone(Water water) {
        ZoneId zone = water.timeZone();
        return zone == null ? ZoneOffset.UTC : zone;
    }

    /** Where the sun is reckoned for: the water's place, else 0 N 0 E. */
    public static Position position(Water water) {
        Position position = water.position();
        return position == null ? NOWHERE : position;
    }
}
