package dusk.ledger.demo;

import dusk.ledger.journal.Catch;
import dusk.ledger.journal.CatchBuilder;
import dusk.ledger.journal.Loss;
import dusk.ledger.journal.Reading;
import dusk.ledger.journal.SetUp;
import dusk.ledger.journal.Stint;
import dusk.ledger.journal.StintBuilder;
import dusk.ledger.journal.Touch;
import dusk.ledger.journal.Uuid7;
import dusk.ledger.journal.Water;
import dusk.ledger.light.Light;
import dusk.ledger.light.Sun;
import dusk.ledger.units.Length;
import dusk.ledger.units.Position;
import dusk.ledger.vocabulary.Bands;
import dusk.ledger.vocabulary.Factor;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;

/** Draws the stints of one angler on one trip, and the fish that come of them. */
final class StintFishing {
    /** Fish a rod-hour for an ordinary rod, place and day in daylight. */
    private static final double BASE_RATE = 0.98;

    private static final double HUGE_DAY = 14;

    private static final List<String> PRESENTATIONS =
            List.of("slow drag", "hop", "shake in place", "dead-stick", "steady retrieve", "lift and drop");

    /** One angler's part of a trip. */
    record Outing(
            String tripId,
            Water water,
            Instant start,
            List<Reading> readings,
            Day day,
            int angler,
            int stints,
            boolean evening,
            boolean hugeDay) {}

    final List<Stint> stints = new ArrayList<>();
    final List<Catch> catches = new ArrayList<>();
    final List<Touch> touches = new ArrayList<>();
    final List<Loss> losses = new ArrayList<>();

    private final Draw draw;
    private final OrrinValley valley;

    StintFishing(Draw draw, OrrinValley valley) {
        this.draw = draw;
        this.valley = valley;
    }

    /** Fishes an outing; the moment it ended. */
    Instant fish(Outing outing) {
        List<OrrinValley.Place> places = valley.places.stream()
                .filter(p -> p.spot().waterId().equals(outing.water().id()))
                .toList();
        OrrinValley.Place place = draw.one(places);
        Instant at = outing.start().plus(Duration.ofMinutes(draw.whole(5, 20)));
        for (int i = 0; i < outing.stints(); i++) {
            if (i > 0 && draw.chance(0.4)) {
                place = draw.one(places);
            }
            at = stint(outing, place, at).plus(Duration.ofMinutes(draw.whole(2, 12)));
        }
        return at;
    }

    private Instant stint(Outing outing, OrrinValley.Place place, Instant at) {
        double minutes = draw.whole(4, 13) * 5;
        Light light = Sun.lightAt(
                at.plus(Duration.ofSeconds(Math.round(minutes * 30))),
                Objects.requireNonNullElse(outing.water().position(), new Position(0, 0)));
        SetUp setUp = draw.weighted(valley.setUps, s -> leaning(outing, place, light, s));
        String presentation = draw.one(PRESENTATIONS);
        double depthM = DemoClub.tenth(place.depthM() * draw.between(0.7, 1.25));
        double rate = BASE_RATE
                * valley.skill.get(outing.angler())
                * place.quality()
                * outing.day().willing()
                * ofLight(light)
                * ofTemperature(outing.day().waterTempC())
                * Planted.ratio(levels(outing, at, setUp, presentation, depthM))
                * (outing.hugeDay() && "glow bright".equals(setUp.colour()) ? HUGE_DAY : 1);
        int landed = draw.poisson(rate * minutes / 60);
        int lost = draw.poisson(0.18 * landed + 0.03);
        int hooked = landed + lost;
        int bites = hooked + draw.poisson(0.5 * hooked + 0.25);
        String id = Uuid7.of(at, draw.random());
        stints.add(StintBuilder.builder()
                .id(id)
                .tripId(outing.tripId())
                .anglerId(valley.anglers.get(outing.angler()).id())
                .spotId(place.spot().id())
                .setUpId(setUp.id())
                .startedAt(at)
                .minutes(minutes)
                .casts((int) Math.rint(minutes * draw.between(0.5, 1.1)))
                .rodId(draw.chance(0.7) ? draw.one(valley.rods).id() : null)
                .depth(Length.ofMetres(depthM))
                .presentation(presentation)
                .speed(draw.one(List.of("slow", "slow", "medium", "fast")))
                .pauseSeconds(presentation.equals("dead-stick") ? 30.0 : null)
                .lineMethod(draw.chance(0.6) ? draw.one(List.of("slack fall", "tight-line fall")) : null)
                .hookSet(draw.one(List.of("reel", "sweep", "hard")))
                .purpose(draw.chance(0.5) ? "search" : "follow-up")
                .plasticsUsed(draw.chance(0.3) ? draw.whole(0, 3) : null)
                .follows(draw.poisson(0.2))
                .bites(bites)
                .hooked(hooked)
                .build());
        Moments moments = new Moments(at, minutes);
        for (int i = 0; i < lost; i++) {
            Instant when = moments.one();
            losses.add(new Loss(
                    Uuid7.of(when, draw.random()),
                    id,
                    when,
                    draw.one(List.of("jumped off", "at the boat", "line broke")),
                    1));
        }
        for (int i = 0; i < landed; i++) {
            Instant when = moments.one();
            catches.add(landedFish(outing, id, when));
            if (draw.chance(0.5)) {
                touches.add(new Touch(Uuid7.of(when, draw.random()), id, when, "hooked"));
            }
        }
        return at.plus(Duration.ofSeconds(Math.round(minutes * 60)));
    }

    private final class Moments {
        private final Instant start;
        private final double minutes;

        Moments(Instant start, double minutes) {
            this.start = start;
            this.minutes = minutes;
        }

        Instant one() {
            return start.plus(Duration.ofSeconds(Math.round(draw.between(0.5, minutes) * 60)));
        }
    }

    /** Habit: the best rod throws motor oil at dusk, grubs go to the creek mouth, and few change a winning rig. */
    private static double leaning(Outing outing, OrrinValley.Place place, Light light, SetUp setUp) {
        double weight = OrrinValley.use(setUp);
        if ("motor oil".equals(setUp.colour()) && outing.angler() == OrrinValley.BEST_ROD) {
            weight *= light == Light.DUSK ? 14 : 5;
        }
        if ("curl-tail grub".equals(setUp.plastic())) {
            weight *= "creek mouth".equals(place.spot().structure()) ? 9 : 0.6;
        }
        if ("drop shot".equals(setUp.rig()) && place.depthM() > 5) {
            weight *= 1.6;
        }
        if (outing.hugeDay() && "glow bright".equals(setUp.colour())) {
            weight *= 12;
        }
        return weight;
    }

    private static double ofLight(Light light) {
        return switch (light) {
            case DUSK -> 2.1;
            case DAWN -> 1.6;
            case LOW_SUN -> 1.2;
            case DAY -> 1;
            case NIGHT -> 0.8;
        };
    }

    private static double ofTemperature(double celsius) {
        return 0.45 + 0.75 * Math.exp(-Math.pow((celsius - 17) / 8, 2));
    }

    private static Map<Factor, String> levels(
            Outing outing, Instant at, SetUp setUp, String presentation, double depthM) {
        Map<Factor, String> levels = new EnumMap<>(Factor.class);
        levels.put(Factor.RIG, setUp.rig());
        put(levels, Factor.COLOUR, setUp.colour());
        put(levels, Factor.PLASTIC, setUp.plastic());
        put(levels, Factor.HEAD_MASS, setUp.headMass() == null ? null : Bands.headMass(setUp.headMass()));
        levels.put(Factor.PRESENTATION, presentation);
        levels.put(Factor.DEPTH, Bands.depth(Length.ofMetres(depthM)));
        levels.put(Factor.WEATHER, outing.day().weather());
        levels.put(Factor.LEVEL_TREND, outing.day().levelTrend());
        Reading reading = outing.readings().get(0);
        for (Reading one : outing.readings()) {
            reading = one.at().isAfter(at) ? reading : one;
        }
        put(levels, Factor.WATER_TEMP, reading.waterTemp() == null ? null : Bands.waterTemp(reading.waterTemp()));
        put(levels, Factor.CLARITY, reading.clarity() == null ? null : Bands.clarity(reading.clarity()));
        return levels;
    }

    private static void put(Map<Factor, String> levels, Factor factor, @Nullable String level) {
        if (level != null) {
            levels.put(factor, level);
        }
    }

    private Catch landedFish(Outing outing, String stintId, Instant when) {
        String species = switch (outing.water().kind()) {
            case "reservoir" ->
                draw.weighted(List.of("largemouth", "yellow perch"), s -> s.equals("largemouth") ? 0.68 : 0.32);
            case "river" -> draw.weighted(List.of("yellow perch", "pike"), s -> s.equals("pike") ? 0.2 : 0.8);
            default -> draw.weighted(List.of("sea bass", "flounder"), s -> s.equals("flounder") ? 0.35 : 0.65);
        };
        double meanMm = switch (species) {
            case "pike" -> 590;
            case "yellow perch" -> 235;
            case "flounder" -> 310;
            case "sea bass" -> 420;
            default -> 345;
        };
        boolean measured = draw.chance(0.6);
        double mm = Math.rint(meanMm * Math.exp(0.2 * draw.random().nextGaussian()));
        Length length = draw.chance(0.15) ? null : Length.ofMillimetres(measured ? mm : Math.rint(mm / 10) * 10);
        return CatchBuilder.builder()
                .id(Uuid7.of(when, draw.random()))
                .stintId(stintId)
                .at(when)
                .species(species)
                .count(1)
                .length(length)
                .lengthHow(length == null ? null : measured ? "measured" : "estimated")
                .biteOn(
                        draw.chance(0.5)
                                ? draw.one(List.of("fall", "fall", "first move", "pause", "bottom", "steady pull"))
                                : null)
                .kept(draw.chance(0.05))
                .build();
    }
}
