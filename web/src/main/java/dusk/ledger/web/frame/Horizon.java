package dusk.ledger.web.frame;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import dusk.ledger.journal.Water;
import dusk.ledger.light.Sun;
import dusk.ledger.units.Position;
import dusk.ledger.web.records.Waters;
import dusk.ledger.web.store.Viewer;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** The sun at a water, for the strip and the theme that goes by it. */
@Component
public class Horizon {

    /** From this altitude on the screen is read in glare. */
    private static final double GLARE_FROM_DEG = 6;

    private static final int COURSES = 2000;

    /** Lists show the same days again and again. */
    private final Cache<Course, List<Sun.Moment>> courses =
            Caffeine.newBuilder().maximumSize(COURSES).build();

    private record Course(LocalDate date, ZoneId zone, Position where) {}

    private final Waters waters;
    private final Clock clock;

    Horizon(Waters waters, Clock clock) {
        this.waters = waters;
        this.clock = clock;
    }

    /** The water of the trip that began last; else the first water there is. */
    Optional<Water> home(Viewer viewer) {
        return waters.home(viewer);
    }

    /** Today's strip at a water. */
    HorizonStrip today(Water water) {
        Instant now = clock.instant();
        return HorizonStrip.draw(
                water.name(),
                LocalDate.ofInstant(now, water.zone()),
                water.zone(),
                water.sunAt(),
                now,
                HorizonStrip.Marks.NONE);
    }

    /** The strip of a day at a water, with what was fished on it. */
    public HorizonStrip of(Water water, LocalDate date, HorizonStrip.Marks marks) {
        return HorizonStrip.draw(water.name(), date, water.zone(), water.sunAt(), clock.instant(), marks);
    }

    /** A day's light at a water with what was fished on it, for a line of a list. */
    public String small(Water water, LocalDate date, HorizonStrip.Marks marks) {
        return HorizonStrip.small(
                courses.get(
                        new Course(date, water.zone(), water.sunAt()),
                        of -> Sun.course(of.date(), of.zone(), of.where())),
                marks);
    }

    /** The theme that the sun asks for: {@code glare} or {@code dusk}. */
    String theme(Water water) {
        return Sun.momentAt(clock.instant(), water.sunAt()).altitudeDeg() >= GLARE_FROM_DEG ? "glare" : "dusk";
    }
}
