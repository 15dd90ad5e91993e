package dusk.ledger.plan;

import dusk.ledger.journal.Angler;
import dusk.ledger.journal.Invalid;
import dusk.ledger.journal.Ledger;
import dusk.ledger.journal.Reading;
import dusk.ledger.journal.ReadingBuilder;
import dusk.ledger.journal.SetUp;
import dusk.ledger.journal.SetUpBuilder;
import dusk.ledger.journal.SpotBuilder;
import dusk.ledger.journal.StintBuilder;
import dusk.ledger.journal.Trip;
import dusk.ledger.journal.Water;
import dusk.ledger.stints.StintTable;
import dusk.ledger.units.Length;
import dusk.ledger.units.Position;
import dusk.ledger.vocabulary.Factor;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * What a trip is planned for: conditions as far as they are known, and what goes with them.
 *
 * @param known level by factor of conditions; what is not known is absent
 * @param reading as it will be taken, for what it asks to be careful of
 * @param species that is fished for; null for any
 * @param waterKind such as river; null where it is not known
 * @param depth that is fished; null where it is not known
 * @param onFoot whether all must be carried
 * @param toothedFish whether fish that cut line are about
 */
public record PlanConditions(
        Map<Factor, String> known,
        Reading reading,
        @Nullable String species,
        @Nullable String waterKind,
        @Nullable Length depth,
        boolean onFoot,
        boolean toothedFish) {
    public PlanConditions {
        known = Map.copyOf(known);
    }

    /** What stands at a planned place; null fields are not known. */
    public record At(
            @Nullable String structure,
            @Nullable String bottom,
            @Nullable String cover,
            @Nullable Length depth,
            @Nullable String fishPosition,
            @Nullable Length fishDepth) {
        public static final At ANYWHERE = new At(null, null, null, null, null, null);
    }

    /**
     * When and where the light falls; either word is taken as it is, where one is given.
     *
     * @param at null where no hour is chosen: then neither light nor season follows from it
     */
    public record Hour(
            @Nullable Instant at,
            @Nullable Position position,
            @Nullable String light,
            @Nullable String season) {
        public static final Hour UNKNOWN = new Hour(null, null, null, null);
    }

    /** Whom it is for. */
    public record Who(@Nullable String species, @Nullable String waterKind, boolean onFoot, boolean toothedFish) {
        public static final Who ANYBODY = new Who(null, null, false, false);
    }

    /** Nothing known. */
    public static PlanConditions unknown() {
        return of(reading(Instant.EPOCH).build(), At.ANYWHERE, Hour.UNKNOWN, Who.ANYBODY);
    }

    /** Some levels known, and nothing else. */
    public static PlanConditions knowing(Map<Factor, String> known) {
        PlanConditions nothing = unknown();
        return new PlanConditions(known, nothing.reading(), null, null, null, false, false);
    }

    /** A reading to fill in, as of a moment. */
    public static ReadingBuilder reading(Instant at) {
        return ReadingBuilder.builder().id("planned").tripId("planned").at(at);
    }

    /**
     * Reads the levels as those of a stint that was fished so would be read: a planned stint is one more.
     *
     * @throws Invalid where a value cannot be
     */
    public static PlanConditions of(Reading reading, At at, Hour hour, Who who) {
        Instant when = hour.at() == null ? reading.at() : hour.at();
        StintTable one = planned(
                List.of(SetUpBuilder.builder().id("planned").rig("planned").build()),
                ReadingBuilder.builder(reading).at(when).build(),
                at,
                hour,
                who);
        Map<Factor, String> known = new EnumMap<>(Factor.class);
        for (Factor factor : Factor.values()) {
            String level = one.codes(factor).level(0);
            boolean byTheHour = factor == Factor.LIGHT || factor == Factor.SEASON;
            boolean told = !byTheHour
                    || (hour.at() != null
                            && (factor == Factor.LIGHT ? hour.position() != null : reading.waterTemp() != null));
            if (factor.kind() == Factor.Kind.CONDITION && !level.equals(Factor.NOT_RECORDED) && told) {
                known.put(factor, level);
            }
        }
        if (hour.light() != null) {
            known.put(Factor.LIGHT, hour.light());
        }
        if (hour.season() != null) {
            known.put(Factor.SEASON, hour.season());
        }
        return new PlanConditions(
                known, reading, who.species(), who.waterKind(), at.depth(), who.onFoot(), who.toothedFish());
    }

    /** Set-ups as if each had been fished once under these conditions, a stint of its id each: what levels they have. */
    public StintTable fishedWith(List<SetUp> setUps) {
        return planned(setUps, reading, At.ANYWHERE, Hour.UNKNOWN, Who.ANYBODY);
    }

    private static StintTable planned(List<SetUp> setUps, Reading reading, At at, Hour hour, Who who) {
        String kind = who.waterKind() == null ? "lake" : who.waterKind();
        // whatever trip it was taken on, it is taken along to the one that is planned
        Reading along = ReadingBuilder.builder(reading).tripId("planned").build();
        return StintTable.of(new Ledger(
                List.of(new Angler("planned", null)),
                List.of(new Water("planned", "planned", kind, hour.position(), ZoneOffset.UTC)),
                List.of(SpotBuilder.builder()
                        .id("planned")
                        .waterId("planned")
                        .structure(at.structure())
                        .bottom(at.bottom())
                        .cover(at.cover())
                        .build()),
                setUps,
                List.of(),
                List.of(new Trip("planned", "planned", reading.at(), null, null)),
                List.of(along),
                setUps.stream()
                        .map(setUp -> StintBuilder.builder()
                                .id(setUp.id())
                                .tripId("planned")
                                .anglerId("planned")
                                .setUpId(setUp.id())
                                .spotId("planned")
                                .startedAt(reading.at())
                                .minutes(1)
                                .depth(at.depth())
                                .fishPosition(at.fishPosition())
                                .fishDepth(at.fishDepth())
                                .build())
                        .toList(),
                List.of(),
                List.of(),
                List.of(),
                List.of()));
    }
}
