package dusk.ledger.stints;

import dusk.ledger.journal.Ledger;
import dusk.ledger.journal.Reading;
import dusk.ledger.journal.Rod;
import dusk.ledger.journal.SetUp;
import dusk.ledger.journal.Spot;
import dusk.ledger.journal.Stint;
import dusk.ledger.journal.Trip;
import dusk.ledger.journal.Water;
import dusk.ledger.light.Sun;
import dusk.ledger.light.SunHour;
import dusk.ledger.units.Length;
import dusk.ledger.units.Position;
import dusk.ledger.units.Temperature;
import dusk.ledger.vocabulary.Bands;
import dusk.ledger.vocabulary.Factor;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** Reads the level of each factor off a stint and what it stands on: its set-up, place, trip and reading. */
final class LevelReader {
    /** Where a water has no position, sun times are reckoned here, in UTC: the format says so. */
    static final Position NOWHERE = new Position(0, 0);

    private static final double MILLIS_PER_MINUTE = 60_000;

    private static final Set<String> HOOK_APART = Set.of("drop shot", "carolina rig");

    private final Map<String, SetUp> setUps;
    private final Map<String, Spot> spots;
    private final Map<String, Rod> rods;
    private final Map<String, Trip> trips;
    private final Map<String, Water> waters;
    private final Map<String, List<Reading>> readings = new HashMap<>();
    private final Map<String, List<Landed>> landed = new HashMap<>();
    private final Map<String, List<Lost>> lost = new HashMap<>();
    private final Map<List<Object>, Sun.Day> days = new HashMap<>();
    private final WaterYears years;

    /**
     * @param ledger what the stints stand on, and their fish
     * @param years temperatures of all trips, also of those that are not in the ledger
     */
    LevelReader(Ledger ledger, WaterYears years) {
        this.years = years;
        setUps = byId(ledger.setUps(), SetUp::id);
        spots = byId(ledger.spots(), Spot::id);
        rods = byId(ledger.rods(), Rod::id);
        trips = byId(ledger.trips(), Trip::id);
        waters = byId(ledger.waters(), Water::id);
        for (Reading reading : ledger.readings()) {
            readings.computeIfAbsent(reading.tripId(), t -> new ArrayList<>()).add(reading);
        }
        readings.values().forEach(list -> list.sort(Comparator.comparing(Reading::at)));
        ledger.catches()
                .forEach(c -> landed.computeIfAbsent(c.stintId(), s -> new ArrayList<>())
                        .add(Landed.of(c)));
        ledger.losses()
                .forEach(l -> lost.computeIfAbsent(l.stintId(), s -> new ArrayList<>())
                        .add(new Lost(l.cause().intern(), l.count())));
    }

    private static <T> Map<String, T> byId(List<T> records, Function<T, String> id) {
        return records.stream().collect(Collectors.toMap(id, Function.identity()));
    }

    /** A stint as the table takes it. */
    StintRow row(Stint stint) {
        Reading reading = readingOf(stint);
        Temperature temperature = reading == null ? null : reading.waterTemp();
        Trip trip = trips.get(stint.tripId());
        Instant middle = stint.startedAt().plusSeconds(Math.round(stint.minutes() * 30));
        Position where = WaterYears.positionOf(trip == null ? null : waters.get(trip.waterId()));
        LocalDate date = SunHour.dateAt(middle, where);
        Sun.Day day = days.computeIfAbsent(List.of(where, date), k -> Sun.day(date, SunHour.zone(where), where));
        return new StintRow(
                stint,
                levels(stint),
                SunHour.of(middle, day),
                temperature == null ? Double.NaN : temperature.celsius(),
                landed.getOrDefault(stint.id(), List.of()),
                lost.getOrDefault(stint.id(), List.of()));
    }

    /** The trip's newest reading at or before the stint's start, else the trip's first; null where it has none. */
    @Nullable
    Reading readingOf(Stint stint) {
        List<Reading> ofTrip = readings.getOrDefault(stint.tripId(), List.of());
        Reading found = ofTrip.isEmpty() ? null : ofTrip.get(0);
        for (Reading reading : ofTrip) {
            if (!reading.at().isAfter(stint.startedAt())) {
                found = reading;
            }
        }
        return found;
    }

    /** Level by factor; a factor that is not recorded is absent. */
    Map<Factor, String> levels(Stint stint) {
        Map<Factor, String> levels = new EnumMap<>(Factor.class);
        Putter put = new Putter(levels);
        SetUp setUp = setUps.get(stint.setUpId());
        if (setUp != null) {
            tackle(setUp, put);
        }
        Spot spot = stint.spotId() == null ? null : spots.get(stint.spotId());
        if (spot != null) {
            put.word(Factor.STRUCTURE, spot.structure());
            put.word(Factor.BOTTOM, spot.bottom());
            put.word(Factor.COVER, spot.cover());
            put.word(Factor.SLOPE, spot.slope());
            put.word(Factor.SHELTER, spot.shelter());
        }
        Reading reading = readingOf(stint);
        if (reading != null) {
            conditions(reading, put);
        }
        Rod rod = stint.rodId() == null ? null : rods.get(stint.rodId());
        if (rod != null) {
            put.word(Factor.ROD_POWER, rod.power());
            put.banded(Factor.REEL, rod.retrieve(), Bands::reel);
        }
        put.banded(Factor.LURE_TO_PREY, lureToPrey(setUp, reading), Bands::lureToPrey);
        handling(stint, put);
        Trip trip = trips.get(stint.tripId());
        String waterId = trip == null ? null : trip.waterId();
        put.word(Factor.WATER, waterId);
        sky(stint, waterId, reading == null ? null : reading.waterTemp(), put);
        put.word(Factor.ANGLER, stint.anglerId());
        put.word(Factor.SPOT, stint.spotId());
        put.word(Factor.TRIP, stint.tripId());
        return levels;
    }

    /** Null where one of the two lengths is not known. */
    private static @Nullable Double lureToPrey(@Nullable SetUp setUp, @Nullable Reading reading) {
        Length lure = setUp == null ? null : setUp.plasticLength();
        Length prey = reading == null ? null : reading.forageLength();
        return lure == null || prey == null ? null : (Double) (lure.millimetres() / prey.millimetres());
    }

    private static void tackle(SetUp setUp, Putter put) {
        put.word(Factor.RIG, setUp.rigKind());
        put.word(Factor.HEAD_SHAPE, setUp.headShape());
        put.banded(Factor.HEAD_MASS, setUp.headMass(), Bands::headMass);
        put.word(Factor.HEAD_MATERIAL, setUp.headMaterial());
        put.word(Factor.HEAD_COLOUR, setUp.headColour());
        put.word(Factor.HOOK_WIRE, setUp.hookWire());
        put.word(Factor.WEED_GUARD, setUp.weedGuard());
        put.word(Factor.KEEPER, setUp.keeper());
        put.word(Factor.SKIRT, setUp.skirt());
        put.word(Factor.BLADE, setUp.blade());
        put.word(Factor.RATTLE, setUp.rattle());
        put.word(Factor.PLASTIC, setUp.plastic());
        put.banded(Factor.PLASTIC_LENGTH, setUp.plasticLength(), Bands::plasticLength);
        put.word(Factor.PLASTIC_MATERIAL, setUp.plasticMaterial());
        put.word(Factor.COLOUR, setUp.colour());
        put.word(Factor.COLOUR_ACCENT, setUp.colourAccent());
        if (HOOK_APART.contains(setUp.rigKind())) {
            put.banded(Factor.HOOK_HEIGHT, setUp.leader(), Bands::hookHeight);
        }
        Length diameter = setUp.leaderDiameter() != null ? setUp.leaderDiameter() : setUp.lineDiameter();
        put.banded(Factor.LINE_DIAMETER, diameter, Bands::lineDiameter);
        put.word(Factor.HOOK_PATTERN, setUp.hookPattern());
        put.word(Factor.PLASTIC_BODY, setUp.plasticBody());
        put.word(Factor.LINE_COLOUR, setUp.lineColour());
        put.word(Factor.PEGGED, setUp.pegged() == null ? null : String.valueOf(setUp.pegged()));
        put.banded(Factor.LEADER, setUp.leaderLength(), Bands::leader);
    }

    private static void conditions(Reading reading, Putter put) {
        put.banded(Factor.WATER_TEMP, reading.waterTemp(), Bands::waterTemp);
        put.banded(Factor.CLARITY, reading.clarity(), Bands::clarity);
        put.word(Factor.SKY, reading.sky());
        put.banded(Factor.WIND, reading.wind(), Bands::wind);
        put.banded(Factor.CURRENT, reading.current(), Bands::current);
        put.word(Factor.LEVEL_TREND, reading.levelTrend());
        put.word(Factor.TIDE, reading.tide());
        put.word(Factor.WEATHER, reading.weather());
        put.word(Factor.PRESSURE, reading.pressure());
        put.word(Factor.FORAGE, reading.forage());
        put.word(Factor.PREY_COLOUR, reading.preyColour());
    }

    private static void handling(Stint stint, Putter put) {
        put.banded(Factor.DEPTH, stint.depth(), Bands::depth);
        put.word(Factor.FISH_POSITION, stint.fishPosition());
        put.banded(Factor.FISH_DEPTH, stint.fishDepth(), Bands::depth);
        put.word(Factor.PRESENTATION, stint.presentation());
        put.word(Factor.SPEED, stint.speed());
        put.banded(Factor.PAUSE, stint.pauseSeconds(), Bands::pause);
        put.word(Factor.LINE_METHOD, stint.lineMethod());
        put.word(Factor.HOOK_SET, stint.hookSet());
        put.word(Factor.PURPOSE, stint.purpose());
    }

    private void sky(Stint stint, @Nullable String waterId, @Nullable Temperature temperature, Putter put) {
        Position where = WaterYears.positionOf(waterId == null ? null : waters.get(waterId));
        Instant middle = stint.startedAt().plus(Duration.ofMillis(Math.round(stint.minutes() / 2 * MILLIS_PER_MINUTE)));
        put.word(Factor.LIGHT, stint.placedInDay() ? Sun.lightAt(middle, where).word() : null);
        if (waterId != null) {
            put.word(Factor.SEASON, years.season(waterId, stint.startedAt(), temperature));
        }
    }

    /** Puts what is recorded and leaves out what is not. */
    private record Putter(Map<Factor, String> levels) {
        void word(Factor factor, @Nullable String word) {
            if (word != null) {
                levels.put(factor, word);
            }
        }

        <V> void banded(Factor factor, @Nullable V value, Function<V, String> band) {
            if (value != null) {
                levels.put(factor, band.apply(value));
            }
        }
    }
}
