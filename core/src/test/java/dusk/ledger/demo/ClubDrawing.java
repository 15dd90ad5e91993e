package dusk.ledger.demo;

import dusk.ledger.journal.Angler;
import dusk.ledger.journal.Catch;
import dusk.ledger.journal.CatchBuilder;
import dusk.ledger.journal.Ledger;
import dusk.ledger.journal.Reading;
import dusk.ledger.journal.ReadingBuilder;
import dusk.ledger.journal.SetUp;
import dusk.ledger.journal.SetUpBuilder;
import dusk.ledger.journal.Spot;
import dusk.ledger.journal.SpotBuilder;
import dusk.ledger.journal.Stint;
import dusk.ledger.journal.StintBuilder;
import dusk.ledger.journal.Trip;
import dusk.ledger.journal.Water;
import dusk.ledger.light.Light;
import dusk.ledger.light.Sun;
import dusk.ledger.patterns.Term;
import dusk.ledger.units.Length;
import dusk.ledger.units.Mass;
import dusk.ledger.units.Position;
import dusk.ledger.units.Speed;
import dusk.ledger.units.Temperature;
import dusk.ledger.vocabulary.Bands;
import dusk.ledger.vocabulary.Factor;
import dusk.ledger.vocabulary.Words;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import org.jspecify.annotations.Nullable;

/** Draws a simulated club: habits, places, days and luck, with truths and traps in them. */
final class ClubDrawing {
    private static final LocalDate FIRST = LocalDate.parse("2024-03-20");
    private static final int DAYS = 900;
    private static final int STINTS_A_TRIP = 11;
    private static final double BASE_RATE = 1.1;
    private static final double TRIP_SIGMA = 0.5;
    private static final Position WHERE = new Position(44.5, -14);

    private static final List<String> RIGS =
            List.of("open jig head", "mushroom head", "shaky head", "texas rig", "drop shot", "wacky", "swing head");
    private static final List<String> PLASTICS = List.of(
            "straight worm",
            "stick worm",
            "paddle-tail swimmer",
            "curl-tail grub",
            "creature",
            "craw",
            "tube",
            "straight-tail minnow");
    private static final List<String> COLOURS = List.of(
            "green pumpkin",
            "watermelon",
            "black-blue",
            "dark plum",
            "violet",
            "pearl",
            "chartreuse",
            "motor oil",
            "smoke",
            "brown craw");
    private static final List<Double> MASSES = List.of(2.5, 3.5, 5.0, 7.0, 10.0, 14.0);
    private static final List<Double> LENGTHS = List.of(60.0, 90.0, 120.0, 160.0);
    private static final List<String> PRESENTATIONS =
            List.of("slow drag", "hop", "shake in place", "dead-stick", "steady retrieve");

    private record Place(Spot spot, double quality, double depthM) {}

    private final SimulatedClub.Plan plan;
    private final Draw draw;
    private final List<Angler> anglers = new ArrayList<>();
    private final List<Double> skill = new ArrayList<>();
    private final List<Map<String, Double>> leaning = new ArrayList<>();
    private final List<Water> waters = new ArrayList<>();
    private final List<Place> places = new ArrayList<>();
    private final List<SetUp> setUps = new ArrayList<>();
    private final List<SimulatedClub.Truth> truths = new ArrayList<>();
    private final List<Term> traps = new ArrayList<>();
    private final List<Trip> trips = new ArrayList<>();
    private final List<Reading> readings = new ArrayList<>();
    private final List<Stint> stints = new ArrayList<>();
    private final List<Catch> catches = new ArrayList<>();
    private final Map<String, Double> multiplier = new HashMap<>();
    private final Map<String, Double> bareRate = new HashMap<>();

    /** By trip and angler, what habit had tied on last. */
    private final Map<String, SetUp> tiedOn = new HashMap<>();

    private double fishedSkill;
    private double fishedMinutes;
    private final SimulatedClub.@Nullable Chooser chooser;
    private final int best;
    private final int bestPlace;
    private final String trapColour;
    private final String trapPlastic;
    private final String hugeColour;
    private final int hugeTrip;

    ClubDrawing(SimulatedClub.Plan plan, long seed, SimulatedClub.@Nullable Chooser chooser) {
        this.plan = plan;
        this.chooser = chooser;
        draw = new Draw(new SplittableRandom(seed));
        int people = Math.max(12, plan.stints() / 2500);
        for (int i = 0; i < people; i++) {
            anglers.add(new Angler("a" + i, "Angler " + i));
            skill.add(draw.swing(0.3));
            leaning.add(new HashMap<>());
        }
        best = skill.indexOf(skill.stream().max(Double::compare).orElseThrow());
        for (int w = 0; w < 3; w++) {
            waters.add(new Water("w" + w, "Water " + w, w == 0 ? "reservoir" : "lake", WHERE, ZoneOffset.UTC));
        }
        for (int s = 0; s < Math.max(18, plan.stints() / 400); s++) {
            places.add(place(s));
        }
        int top = 0;
        for (int s = 1; s < places.size(); s++) {
            top = places.get(s).quality() > places.get(top).quality() ? s : top;
        }
        bestPlace = top;
        for (int u = 0; u < 120; u++) {
            setUps.add(setUp(u));
        }
        trapColour = draw.one(COLOURS);
        trapPlastic = draw.one(PLASTICS);
        hugeColour = draw.one(COLOURS);
        hugeTrip = draw.whole(20, 60);
        if (plan.withTraps()) {
            traps.add(new Term(Factor.COLOUR, trapColour));
            traps.add(new Term(Factor.PLASTIC, trapPlastic));
            traps.add(new Term(Factor.COLOUR, hugeColour));
        }
        plant();
    }

    SimulatedClub club() {
        int count = Math.max(20, plan.stints() / STINTS_A_TRIP);
        for (int t = 0; t < count; t++) {
            trip(t, FIRST.plusDays((long) t * DAYS / count));
        }
        Ledger ledger = ledger();
        bareRate.replaceAll((id, rate) -> rate * fishedSkill / fishedMinutes);
        return new SimulatedClub(ledger, truths, traps, multiplier, bareRate);
    }

    private Ledger ledger() {
        return new Ledger(
                anglers,
                waters,
                places.stream().map(Place::spot).toList(),
                setUps,
                List.of(),
                trips,
                readings,
                stints,
                catches,
                List.of(),
                List.of(),
                List.of());
    }

    private Place place(int number) {
        Spot spot = SpotBuilder.builder()
                .id("s" + number)
                .waterId("w" + number % 3)
                .structure(draw.one(List.of("main point", "dock", "hump", "grass edge", "wall", "creek mouth")))
                .bottom(draw.one(List.of("silt", "sand", "gravel", "rock")))
                .cover(draw.one(List.of("none", "sparse", "thick")))
                .build();
        return new Place(spot, draw.swing(0.45), draw.between(1, 9));
    }

    private SetUp setUp(int number) {
        double mass = draw.one(MASSES);
        return SetUpBuilder.builder()
                .id("u" + number)
                .rig(draw.one(RIGS))
                .headMass(Mass.ofGrams(mass))
                .headMaterial(draw.one(List.of("lead", "tungsten")))
                .hookWire(draw.one(List.of("light", "heavy")))
                .plastic(draw.one(PLASTICS))
                .plasticLength(Length.ofMillimetres(draw.one(LENGTHS)))
                .colour(draw.one(COLOURS))
                .lineDiameter(Length.ofMillimetres(draw.one(List.of(0.18, 0.24, 0.30))))
                .build();
    }

    /** Truths of one tackle term, of tackle under a condition, and of two tackle terms, each of its own tackle level. */
    private void plant() {
        List<Term> taken = new ArrayList<>(traps);
        while (truths.size() < plan.truths()) {
            Term tackle = tackle();
            if (taken.contains(tackle)) {
                continue;
            }
            List<Term> terms = new ArrayList<>(List.of(tackle));
            int kind = truths.size() % 5;
            if (kind == 1 || kind == 2 || kind == 4) {
                terms.add(condition());
            } else if (kind == 3) {
                Term other = tackle();
                if (other.factor() == tackle.factor() || taken.contains(other)) {
                    continue;
                }
                terms.add(other);
            }
            taken.addAll(terms);
            double ratio = kind == 4 ? draw.between(0.4, 0.55) : draw.between(1.6, 2.6);
            truths.add(new SimulatedClub.Truth(List.copyOf(terms), ratio));
        }
    }

    private Term tackle() {
        return switch (draw.whole(0, 4)) {
            case 0 -> new Term(Factor.RIG, draw.one(RIGS));
            case 1 -> new Term(Factor.PLASTIC, draw.one(PLASTICS));
            case 2 -> new Term(Factor.COLOUR, draw.one(COLOURS));
            case 3 -> new Term(Factor.HEAD_MASS, Bands.headMass(Mass.ofGrams(draw.one(MASSES))));
            default -> new Term(Factor.PRESENTATION, draw.one(PRESENTATIONS));
        };
    }

    private Term condition() {
        return switch (draw.whole(0, 4)) {
            case 0 -> new Term(Factor.WATER_TEMP, draw.one(List.of("7-10 C", "10-15 C", "15-20 C", "20-25 C")));
            case 1 -> new Term(Factor.CLARITY, draw.one(List.of("0.3-0.9 m", "0.9-2 m", "2-4 m")));
            case 2 -> new Term(Factor.WEATHER, draw.one(Words.of("weather")));
            case 3 -> new Term(Factor.BOTTOM, draw.one(List.of("silt", "sand", "gravel", "rock")));
            default -> new Term(Factor.SKY, draw.one(List.of("clear", "broken cloud", "overcast")));
        };
    }

    private void trip(int number, LocalDate date) {
        Water water = waters.get(number % 3);
        Instant start =
                date.atStartOfDay(ZoneOffset.UTC).toInstant().plus(Duration.ofMinutes(draw.whole(5 * 60, 18 * 60)));
        String id = "t" + number;
        double season = Math.cos(2 * Math.PI * (date.getDayOfYear() - 212) / 365.0);
        double celsius = DemoClub.tenth(Math.max(3, 14.5 + 9.5 * season + draw.between(-2, 2)));
        double swing = draw.swing(TRIP_SIGMA);
        Reading reading = ReadingBuilder.builder()
                .id("r" + number)
                .tripId(id)
                .at(start)
                .waterTemp(draw.chance(0.05) ? null : Temperature.ofCelsius(celsius))
                .clarity(draw.chance(0.08) ? null : Length.ofMetres(DemoClub.tenth(draw.between(0.2, 4.5))))
                .sky(draw.one(List.of("clear", "broken cloud", "overcast")))
                .wind(Speed.ofMetresPerSecond(DemoClub.tenth(draw.between(0, 10))))
                .levelTrend(draw.one(Words.of("level_trend")))
                .weather(draw.one(Words.of("weather")))
                .pressure(draw.one(Words.of("pressure")))
                .build();
        readings.add(reading);
        trips.add(new Trip(id, water.id(), start, null, null));
        List<Place> here = places.stream()
                .filter(p -> p.spot().waterId().equals(water.id()))
                .toList();
        int party = draw.whole(1, 3);
        List<Integer> went = new ArrayList<>();
        while (went.size() < party) {
            int one = draw.chance(0.25) ? best : draw.whole(0, anglers.size() - 1);
            if (!went.contains(one)) {
                went.add(one);
            }
        }
        for (int angler : went) {
            Instant at = start;
            Place place = draw.one(here);
            for (int s = 0; s < Math.max(1, STINTS_A_TRIP * 2 / (party + 2) + draw.whole(-1, 1)); s++) {
                place = draw.chance(0.35) ? draw.one(here) : place;
                at = stint(number, id, angler, place, reading, celsius, swing, at);
            }
        }
    }

    private Instant stint(
            int trip,
            String tripId,
            int angler,
            Place place,
            Reading reading,
            double celsius,
            double swing,
            Instant at) {
        double minutes = draw.whole(4, 12) * 5;
        Light light = Sun.lightAt(at.plus(Duration.ofSeconds(Math.round(minutes * 30))), WHERE);
        boolean hugeDay = plan.withTraps() && trip == hugeTrip;
        boolean byLot = plan.byLot() > 0 && draw.chance(plan.byLot());
        SetUp before = tiedOn.get(tripId + angler);
        SetUp setUp;
        if (byLot && chooser == null) {
            setUp = draw.one(setUps);
        } else if (before != null && plan.keeping() > 0 && draw.chance(plan.keeping())) {
            setUp = before;
        } else {
            setUp = draw.weighted(setUps, u -> leaning(angler, place, light, hugeDay, u));
        }
        tiedOn.put(tripId + angler, setUp);
        if (byLot && chooser != null) {
            setUp = chooser.choose(setUps, setUp, trip, this::ledger);
        }
        String presentation = draw.one(PRESENTATIONS);
        double depthM = DemoClub.tenth(place.depthM() * draw.between(0.8, 1.2));
        double made = multiplier(
                Drawn.levels(setUp, presentation, String.valueOf(place.spot().bottom()), reading));
        double day = BASE_RATE
                * place.quality()
                * (light == Light.DUSK ? 1.9 : light == Light.DAWN ? 1.5 : 1)
                * (0.5 + 0.7 * Math.exp(-Math.pow((celsius - 17) / 8, 2)));
        double rate = day
                * skill.get(angler)
                * swing
                * made
                * (hugeDay && hugeColour.equals(setUp.colour()) ? 15 : 1)
                * (plan.schools() > 0 ? draw.swing(sigma(plan.schools())) : 1);
        String id = "x" + stints.size();
        int landed = draw.poisson(Math.min(40, rate * minutes / 60));
        stints.add(StintBuilder.builder()
                .id(id)
                .tripId(tripId)
                .anglerId(anglers.get(angler).id())
                .spotId(place.spot().id())
                .setUpId(setUp.id())
                .startedAt(at)
                .minutes(minutes)
                .depth(Length.ofMetres(depthM))
                .presentation(presentation)
                .speed(draw.one(List.of("slow", "medium", "fast")))
                .hookSet(draw.one(List.of("reel", "sweep", "hard")))
                .purpose(byLot ? "trial" : null)
                .bites(landed)
                .hooked(landed)
                .build());
        multiplier.put(id, made);
        bareRate.put(id, day);
        fishedSkill += skill.get(angler) * minutes;
        fishedMinutes += minutes;
        if (landed > 0) {
            catches.add(CatchBuilder.builder()
                    .id("c" + stints.size())
                    .stintId(id)
                    .species("largemouth")
                    .count(landed)
                    .build());
        }
        return at.plus(Duration.ofSeconds(Math.round(minutes * 60) + 300));
    }

    /** Of a log-normal with that coefficient of variation. */
    private static double sigma(double variation) {
        return Math.sqrt(Math.log1p(variation * variation));
    }

    /** Everyone has favourites; traps are laid in the habits of the best angler and of the best place. */
    private double leaning(int angler, Place place, Light light, boolean hugeDay, SetUp setUp) {
        double weight = leaning.get(angler).computeIfAbsent(setUp.id(), u -> draw.swing(plan.habits()));
        if (!plan.withTraps()) {
            return weight;
        }
        if (trapColour.equals(setUp.colour()) && angler == best) {
            weight *= light == Light.DUSK ? 10 : 3;
        }
        if (trapPlastic.equals(setUp.plastic()) && place.equals(places.get(bestPlace))) {
            weight *= 6;
        }
        if (hugeDay && hugeColour.equals(setUp.colour())) {
            weight *= 10;
        }
        return weight;
    }

    private double multiplier(Map<Factor, String> levels) {
        double ratio = 1;
        for (SimulatedClub.Truth truth : truths) {
            if (truth.terms().stream().allMatch(t -> t.level().equals(levels.get(t.factor())))) {
                ratio *= truth.ratio();
            }
        }
        return ratio;
    }
}
