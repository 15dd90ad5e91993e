package dusk.ledger.web.trips;

import dusk.ledger.journal.Angler;
import dusk.ledger.journal.Catch;
import dusk.ledger.journal.Loss;
import dusk.ledger.journal.Reading;
import dusk.ledger.journal.SetUp;
import dusk.ledger.journal.Sign;
import dusk.ledger.journal.Spot;
import dusk.ledger.journal.Stint;
import dusk.ledger.journal.Trip;
import dusk.ledger.journal.Water;
import dusk.ledger.units.Figures;
import dusk.ledger.units.UnitSystem;
import dusk.ledger.web.frame.Horizon;
import dusk.ledger.web.frame.HorizonStrip;
import dusk.ledger.web.portrait.Portrait;
import dusk.ledger.web.records.Anglers;
import dusk.ledger.web.records.FishCurves;
import dusk.ledger.web.records.Person;
import dusk.ledger.web.records.Places;
import dusk.ledger.web.records.SetUps;
import dusk.ledger.web.records.TripRows;
import dusk.ledger.web.records.Trips;
import dusk.ledger.web.records.Waters;
import dusk.ledger.web.store.Viewer;
import dusk.ledger.web.words.FishWords;
import dusk.ledger.web.words.PlaceWords;
import dusk.ledger.web.words.ReadingWords;
import dusk.ledger.web.words.SetUpWords;
import dusk.ledger.web.words.StintWords;
import dusk.ledger.web.words.TimeText;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Lays a trip out for its reader. */
@Component
class TripPages {
    private final Trips trips;
    private final TripRows rows;
    private final Waters waters;
    private final Anglers anglers;
    private final Places places;
    private final SetUps setUps;
    private final Horizon horizon;
    private final FishCurves curves;

    TripPages(
            Trips trips,
            TripRows rows,
            Waters waters,
            Anglers anglers,
            Places places,
            SetUps setUps,
            Horizon horizon,
            FishCurves curves) {
        this.trips = trips;
        this.rows = rows;
        this.waters = waters;
        this.anglers = anglers;
        this.places = places;
        this.setUps = setUps;
        this.horizon = horizon;
        this.curves = curves;
    }

    TripPage page(Person person, Trip trip) {
        Viewer viewer = person.viewer();
        Water water = waters.one(viewer, trip.waterId());
        ZoneId zone = water.zone();
        List<Stint> stints = rows.stints(viewer, trip.id());
        List<Catch> catches = rows.catches(viewer, stints);
        Map<String, List<Loss>> lost =
                rows.losses(viewer, stints).stream().collect(Collectors.groupingBy(Loss::stintId));
        Words words = new Words(
                viewer,
                trips.changeableStints(viewer, trip.id()),
                person.units(),
                zone,
                byId(anglers.all(viewer), Angler::id),
                byId(places.of(viewer, water.id()), Spot::id),
                byId(setUps.of(viewer, stints), SetUp::id),
                fish -> curves.condition(viewer, fish),
                fish -> curves.cautions(viewer, person.units(), trip, water, fish, catches));
        Map<String, List<Catch>> fish = catches.stream().collect(Collectors.groupingBy(Catch::stintId));
        List<TripPage.StintLine> lines = stints.stream()
                .map(s -> words.stint(s, fish.getOrDefault(s.id(), List.of()), lost.getOrDefault(s.id(), List.of())))
                .toList();
        return new TripPage(
                trip.id(),
                water.name(),
                TimeText.date(trip.startedAt(), zone),
                times(trip, zone),
                trip.note() == null ? "" : trip.note(),
                trips.may(viewer, trip.id(), Trips.Doing.ADD),
                trips.may(viewer, trip.id(), Trips.Doing.CHANGE),
                trips.may(viewer, trip.id(), Trips.Doing.DELETE),
                trips.live(viewer, trip),
                horizon.of(water, LocalDate.ofInstant(trip.startedAt(), zone), marks(stints, catches)),
                rows.readings(viewer, trip.id()).stream().map(words::reading).toList(),
                rows.signs(viewer, trip.id()).stream().map(words::sign).toList(),
                lines,
                totals(stints, fish));
    }

    private static String times(Trip trip, ZoneId zone) {
        String from = TimeText.hour(trip.startedAt(), zone);
        return trip.endedAt() == null ? "from " + from : from + " to " + TimeText.hour(trip.endedAt(), zone);
    }

    private static <T> Map<String, T> byId(List<T> list, Function<T, String> id) {
        return list.stream().collect(Collectors.toMap(id, Function.identity()));
    }

    private static Instant end(Stint stint) {
        return stint.startedAt().plus(Duration.ofSeconds(Math.round(stint.minutes() * 60)));
    }

    /** What lies on the strip of a trip. */
    static HorizonStrip.Marks marks(List<Stint> stints, List<Catch> catches) {
        Map<String, Stint> byId = byId(stints, Stint::id);
        List<Instant> fish = new ArrayList<>();
        for (Catch one : catches) {
            Stint stint = byId.get(one.stintId());
            Instant at = one.at() != null ? one.at() : stint == null ? null : stint.startedAt();
            if (at != null) {
                fish.add(at);
            }
        }
        return new HorizonStrip.Marks(
                stints.stream()
                        .map(s -> new HorizonStrip.Span(s.startedAt(), end(s)))
                        .toList(),
                fish);
    }

    private static TripPage.Totals totals(List<Stint> stints, Map<String, List<Catch>> fish) {
        double hours = stints.stream().mapToDouble(Stint::rodHours).sum();
        int landed = fish.values().stream()
                .flatMap(List::stream)
                .mapToInt(Catch::count)
                .sum();
        int blanks =
                (int) stints.stream().filter(s -> !fish.containsKey(s.id())).count();
        return new TripPage.Totals(
                Figures.trimmed(hours, 1),
                stints.size(),
                blanks,
                landed,
                hours > 0 ? Figures.fixed(landed / hours, 2) : null);
    }

    /** The trip's records in words. */
    private record Words(
            Viewer viewer,
            Set<String> changeable,
            UnitSystem units,
            ZoneId zone,
            Map<String, Angler> anglers,
            Map<String, Spot> spots,
            Map<String, SetUp> setUps,
            Function<Catch, String> condition,
            Function<Catch, List<String>> cautions) {

        TripPage.StintLine stint(Stint stint, List<Catch> fish, List<Loss> lost) {
            Angler angler = anglers.get(stint.anglerId());
            Spot spot = stint.spotId() == null ? null : spots.get(stint.spotId());
            SetUp setUp = setUps.get(stint.setUpId());
            String words = setUp == null ? "" : SetUpWords.of(setUp, units);
            return new TripPage.StintLine(
                    stint.id(),
                    changeable.contains(stint.id()),
                    TimeText.hour(stint.startedAt(), zone),
                    Figures.trimmed(stint.minutes(), 1) + " min",
                    angler == null ? stint.anglerId() : angler.called(),
                    spot == null ? "" : PlaceWords.of(spot),
                    words,
                    setUp == null ? "" : Portrait.svg(setUp, words),
                    StintWords.how(stint, units),
                    StintWords.came(stint, lost.stream().mapToInt(Loss::count).sum()),
                    fish.stream()
                            .map(f -> new TripPage.FishLine(f.id(), fish(f), cautions.apply(f)))
                            .toList(),
                    lost.stream()
                            .map(l -> new TripPage.LossLine(l.id(), l.count() + " lost: " + l.cause()))
                            .toList(),
                    spot != null && Places.mayChange(viewer, spot) ? spot.id() : "");
        }

        private String fish(Catch fish) {
            String on = fish.biteOn() == null ? "" : ", on " + fish.biteOn();
            String in = fish.hookedIn() == null ? "" : ", hooked in the " + fish.hookedIn();
            String kept = Boolean.TRUE.equals(fish.kept()) ? ", kept" : "";
            return FishWords.of(fish, units) + condition.apply(fish) + on + in + kept;
        }

        TripPage.SignLine sign(Sign sign) {
            Spot spot = sign.spotId() == null ? null : spots.get(sign.spotId());
            return new TripPage.SignLine(
                    sign.id(),
                    TimeText.hour(sign.at(), zone),
                    sign.kind()
                            + (spot == null ? "" : " at " + PlaceWords.of(spot))
                            + (sign.note() == null ? "" : ": " + sign.note()));
        }

        TripPage.ReadingLine reading(Reading reading) {
            return new TripPage.ReadingLine(
                    reading.id(), TimeText.hour(reading.at(), zone), ReadingWords.of(reading, units));
        }
    }
}
