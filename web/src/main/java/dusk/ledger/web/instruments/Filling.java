package dusk.ledger.web.instruments;

import dusk.ledger.format.FileColumn;
import dusk.ledger.format.LedgerFormat;
import dusk.ledger.journal.Invalid;
import dusk.ledger.journal.Reading;
import dusk.ledger.web.afloat.ConditionWords;
import dusk.ledger.web.afloat.Conditions;
import dusk.ledger.web.records.Decks;
import dusk.ledger.web.records.HeardColumns;
import dusk.ledger.web.records.TripRows;
import dusk.ledger.web.store.StoreFault;
import dusk.ledger.web.store.Viewer;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.HashMap;
import java.util.Map;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataAccessException;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/**
 * Readings that fill themselves: what instruments say of a trip that is being fished is stored once it is new or moved
 * enough to matter, as long as no look by hand is good for the same.
 */
@Component
public class Filling {
    private static final Logger LOG = LoggerFactory.getLogger(Filling.class);

    /** A deck that nobody touched for so long was forgotten; nothing is stored on it of itself. */
    private static final Duration FORGOTTEN = Duration.ofHours(3);

    /** A trip gets no more readings of itself than one in that time. */
    private static final Duration APART = Duration.ofMinutes(5);

    /** What did not move is noted as heard so often. */
    private static final Duration NOTED = Duration.ofMinutes(10);

    /** By how much a value must have moved to be another reading, in the unit of its column. */
    private static final Map<String, Double> MATTERS = Map.of(
            "water_temp_c", 0.3,
            "clarity_m", 0.2,
            "wind_mps", 1.0,
            "wind_from_deg", 25.0,
            "current_mps", 0.05,
            "air_temp_c", 1.0,
            "air_pressure_hpa", 1.0);

    private final Aboard aboard;
    private final Decks decks;
    private final HeardColumns heard;
    private final TripRows rows;
    private final Conditions conditions;
    private final Clock clock;

    Filling(Aboard aboard, Decks decks, HeardColumns heard, TripRows rows, Conditions conditions, Clock clock) {
        this.aboard = aboard;
        this.decks = decks;
        this.heard = heard;
        this.rows = rows;
        this.conditions = conditions;
        this.clock = clock;
    }

    /** Looks at every trip that is being fished. */
    @Scheduled(
            fixedDelayString = "${dusk.instruments.fill:PT20S}",
            initialDelayString = "${dusk.instruments.fill:PT5S}")
    void fill() {
        if (aboard.nobodyIsHeard()) {
            return;
        }
        for (Decks.UnderWay trip : decks.underWay()) {
            Duration quiet = Duration.between(trip.touchedAt(), clock.instant());
            if (quiet.compareTo(FORGOTTEN) <= 0) {
                tried(trip);
            }
        }
    }

    /** What goes wrong on one trip holds up no other. */
    private void tried(Decks.UnderWay trip) {
        try {
            fill(trip, aboard.now(trip.clubId(), trip.waterId(), trip.aboard()));
        } catch (StoreFault | DataAccessException | Invalid e) {
            // it is tried again; what was heard is not lost by it
            LOG.warn(
                    "readings of instruments could not be stored: {}",
                    e.getClass().getName());
        }
    }

    private void fill(Decks.UnderWay trip, Map<String, Live> said) {
        if (said.isEmpty()) {
            return;
        }
        Viewer club = Viewer.club(trip.clubId());
        Instant now = clock.instant();
        Reading last = rows.lastReading(club, trip.tripId(), now);
        Map<String, HeardColumns.Note> noted = heard.of(club, trip.tripId());
        Map<String, Object> moved = new TreeMap<>();
        Map<String, HeardColumns.Note> notes = new HashMap<>();
        boolean first = false;
        String source = "instrument";
        for (Live live : said.values()) {
            if (ConditionWords.good(trip.seen().get(live.column()), live.column(), now)) {
                continue;
            }
            HeardColumns.Note before = noted.get(live.column());
            boolean other = last == null || matters(live.column(), cell(last, live.column()), live.cell());
            if (other) {
                moved.put(live.column(), live.cell());
                first |= before == null;
                source = live.source();
            }
            if (other || before == null || Duration.between(before.at(), now).compareTo(NOTED) > 0) {
                notes.put(live.column(), new HeardColumns.Note(live.at(), live.by()));
            }
        }
        boolean soon = last != null
                && !"hand".equals(last.source())
                && Duration.between(last.at(), now).compareTo(APART) < 0;
        if (!moved.isEmpty() && (first || !soon)) {
            conditions.hear(club, trip.tripId(), now, moved, source);
            heard.note(club, trip.tripId(), notes);
        } else {
            notes.keySet().removeAll(moved.keySet());
            if (!notes.isEmpty()) {
                heard.note(club, trip.tripId(), notes);
            }
        }
    }

    private static boolean matters(String column, @Nullable Object was, Object is) {
        if (was == null || !(was instanceof Double from) || !(is instanceof Double to)) {
            return !is.equals(was);
        }
        double step = Math.abs(to - from);
        return (column.equals("wind_from_deg") ? Math.min(step, 360 - step) : step)
                >= MATTERS.getOrDefault(column, 0.0);
    }

    private static @Nullable Object cell(Reading reading, String column) {
        for (FileColumn<Reading> one : LedgerFormat.READINGS.columns()) {
            if (one.name().equals(column)) {
                return one.value().apply(reading);
            }
        }
        return null;
    }
}
