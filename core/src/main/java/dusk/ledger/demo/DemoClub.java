package dusk.ledger.demo;

import dusk.ledger.journal.Catch;
import dusk.ledger.journal.Ledger;
import dusk.ledger.journal.Loss;
import dusk.ledger.journal.Reading;
import dusk.ledger.journal.ReadingBuilder;
import dusk.ledger.journal.Sign;
import dusk.ledger.journal.Stint;
import dusk.ledger.journal.Touch;
import dusk.ledger.journal.Trip;
import dusk.ledger.journal.Uuid7;
import dusk.ledger.journal.Water;
import dusk.ledger.units.Bearing;
import dusk.ledger.units.Length;
import dusk.ledger.units.Speed;
import dusk.ledger.units.Temperature;
import dusk.ledger.vocabulary.Words;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.SplittableRandom;
import org.jspecify.annotations.Nullable;

/**
 * The demo club's two and a half seasons, drawn from a seed. Fish come at a rate that the angler, the place, the
 * light, the water and the day make, times what is planted; anglers choose by habit and not by lot, which is where
 * the traps lie.
 */
public final class DemoClub {
    public static final String NAME = "Orrin Valley Rod Club";

    /** The seed of the demonstration everyone sees: one in which all that was planted shows and each trap looks like one. */
    public static final long SEED = 20260978;

    private static final LocalDate FIRST = LocalDate.parse("2024-04-01");
    private static final LocalDate LAST = LocalDate.parse("2026-09-30");
    private static final int TRIPS = 230;

    private final Draw draw;
    private final OrrinValley valley;
    private final StintFishing fishing;
    private final List<Trip> trips = new ArrayList<>();
    private final List<Reading> readings = new ArrayList<>();
    private final List<Sign> signs = new ArrayList<>();
    private boolean hugeDayDone;

    private DemoClub(long seed) {
        draw = new Draw(new SplittableRandom(seed));
        valley = new OrrinValley(draw);
        fishing = new StintFishing(draw, valley);
    }

    /** The whole club as a ledger; the same for the same seed. */
    public static Ledger ledger(long seed) {
        return SecondEdition.of(new DemoClub(seed).all(), seed);
    }

    private Ledger all() {
        long span = Duration.between(FIRST.atStartOfDay(), LAST.atStartOfDay()).toDays();
        List<LocalDate> dates = new ArrayList<>();
        while (dates.size() < TRIPS) {
            LocalDate date = FIRST.plusDays(draw.whole(0, (int) span));
            int month = date.getMonthValue();
            if ((month >= 3 && month <= 10) || draw.chance(0.6)) {
                dates.add(date);
            }
        }
        dates.sort(Comparator.naturalOrder());
        dates.forEach(this::trip);
        List<Stint> stints = fishing.stints;
        List<Catch> catches = fishing.catches;
        List<Touch> touches = fishing.touches;
        List<Loss> losses = fishing.losses;
        return new Ledger(
                valley.anglers,
                valley.waters,
                valley.places.stream().map(OrrinValley.Place::spot).toList(),
                valley.setUps,
                valley.rods,
                trips,
                readings,
                stints,
                catches,
                touches,
                signs,
                losses);
    }

    private void trip(LocalDate date) {
        Water water = draw.weighted(valley.waters, w -> w.kind().equals("reservoir") ? 0.55 : 0.25);
        boolean evening = draw.chance(0.4);
        double startHour = evening ? draw.between(15, 17.5) : draw.between(5, 8);
        Instant start = date.atStartOfDay(OrrinValley.ZONE)
                .toInstant()
                .plus(Duration.ofMinutes(Math.round(startHour * 12) * 5));
        Day day = new Day(draw, water, date);
        String id = Uuid7.of(start, draw.random());
        List<Integer> party = party();
        int stintsEach = draw.whole(4, 7) + (draw.chance(0.35) ? 1 : 0);
        Instant end = start;
        List<Reading> ofTrip = readings(id, start, day, draw.chance(0.5) ? 2 : 1);
        boolean huge = !hugeDayDone && trips.size() > TRIPS / 3 && water.kind().equals("reservoir");
        hugeDayDone |= huge;
        for (int angler : party) {
            Instant done = fishing.fish(
                    new StintFishing.Outing(id, water, start, ofTrip, day, angler, stintsEach, evening, huge));
            end = done.isAfter(end) ? done : end;
        }
        trips.add(new Trip(id, water.id(), start, end.plus(Duration.ofMinutes(10)), note()));
        readings.addAll(ofTrip);
        if (draw.chance(0.3)) {
            signs.add(new Sign(
                    Uuid7.of(start, draw.random()),
                    id,
                    null,
                    start.plus(Duration.ofMinutes(draw.whole(10, 90))),
                    draw.one(List.of("bait showing", "fish breaking", "birds", "fish on sonar", "prey seen")),
                    null));
        }
    }

    /** The two guides go out most, and the first of them, the best rod, mostly in the evening. */
    private List<Integer> party() {
        List<Integer> all = new ArrayList<>();
        for (int i = 0; i < valley.anglers.size(); i++) {
            all.add(i);
        }
        int size = draw.weighted(List.of(1, 2, 3), n -> n == 2 ? 0.55 : n == 1 ? 0.25 : 0.2);
        List<Integer> party = new ArrayList<>();
        while (party.size() < size) {
            Integer one = draw.weighted(all, i -> i < 2 ? 3 : i < 6 ? 1.3 : 0.8);
            if (!party.contains(one)) {
                party.add(one);
            }
        }
        return party;
    }

    private List<Reading> readings(String tripId, Instant start, Day day, int count) {
        List<Reading> made = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            Instant at = start.plus(Duration.ofMinutes(i * 120L + draw.whole(0, 15)));
            made.add(ReadingBuilder.builder()
                    .id(Uuid7.of(at, draw.random()))
                    .tripId(tripId)
                    .at(at)
                    .waterTemp(draw.chance(0.04) ? null : Temperature.ofCelsius(tenth(day.waterTempC() + i * 0.4)))
                    .clarity(draw.chance(0.08) ? null : Length.ofMetres(tenth(day.clarityM())))
                    .sky(day.sky())
                    .wind(Speed.ofMetresPerSecond(tenth(day.windMps())))
                    .windFrom(Bearing.ofDegrees(draw.whole(0, 35) * 10.0))
                    .current(Speed.ofMetresPerSecond(tenth(day.currentMps())))
                    .levelTrend(day.levelTrend())
                    .tide(day.tide())
                    .weather(day.weather())
                    .pressure(draw.one(Words.of("pressure")))
                    .airPressureHpa(Math.rint(draw.between(990, 1030)))
                    .airTemp(Temperature.ofCelsius(tenth(day.waterTempC() + draw.between(-6, 8))))
                    .forage(draw.one(List.of("baitfish", "small perch", "crayfish", "not seen")))
                    .source("hand")
                    .build());
        }
        return made;
    }

    private @Nullable String note() {
        return draw.chance(0.15)
                ? draw.one(List.of(
                        "Wind got up at noon; moved to the lee.",
                        "Short takes until the light went.",
                        "Bait thick along the wall, nothing under it.",
                        "Forgot the board, lengths are guesses.",
                        "Quiet. Nothing for two hours, then three in ten minutes."))
                : null;
    }

    static double tenth(double value) {
        return Math.max(0.1, Math.rint(value * 10) / 10);
    }
}
