package dusk.ledger.web.plan;

import dusk.ledger.journal.Reading;
import dusk.ledger.journal.ReadingBuilder;
import dusk.ledger.journal.Water;
import dusk.ledger.places.Visit;
import dusk.ledger.plan.PlanConditions;
import dusk.ledger.season.Season;
import dusk.ledger.vocabulary.Factor;
import dusk.ledger.web.records.FishFacts;
import dusk.ledger.web.records.TripRows;
import dusk.ledger.web.store.Viewer;
import java.time.Instant;
import java.util.Arrays;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** A water as it was read last, carried to an hour. */
@Component
public class WaterNow {
    private final TripRows trips;
    private final FishFacts fish;

    WaterNow(TripRows trips, FishFacts fish) {
        this.fish = fish;
        this.trips = trips;
    }

    /**
     * What is held of a water.
     *
     * @param read when it was read last; null for never
     * @param conditions of the hour
     */
    public record Held(@Nullable Instant read, PlanConditions conditions) {
        public @Nullable String light() {
            return conditions.known().get(Factor.LIGHT);
        }

        Visit.State state() {
            Reading reading = conditions.reading();
            String season = conditions.known().get(Factor.SEASON);
            return new Visit.State(
                    Arrays.stream(Season.values())
                            .filter(one -> one.word().equals(season))
                            .findFirst()
                            .orElse(null),
                    reading.waterTemp(),
                    reading.clarity(),
                    reading.levelTrend(),
                    reading.weather());
        }
    }

    /** At an hour. */
    public Held at(Viewer viewer, Water water, Instant hour) {
        Optional<Reading> last = trips.lastOn(viewer, water.id());
        Reading reading = last.map(ReadingBuilder::builder)
                .orElseGet(() -> PlanConditions.reading(hour))
                .at(hour)
                .build();
        return new Held(
                last.map(Reading::at).orElse(null),
                PlanConditions.of(
                        reading,
                        PlanConditions.At.ANYWHERE,
                        new PlanConditions.Hour(hour, water.position(), null, null),
                        new PlanConditions.Who(null, water.kind(), false, fish.toothed(viewer, water.id()))));
    }
}
