package dusk.ledger.places;

import dusk.ledger.evidence.Effort;
import dusk.ledger.evidence.GammaPrior;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * Which places to go back to. What a place gives over all its visits has luck allowed for (a gamma over places, fish and hours divided
 * by how much more visits differ than chance), and so has each visit, about its place (with the shape of a gamma over all
 * visits). A find fades back to that: what is left of it today is place x exp(log(find/place) x 0.5^(days/half-life +
 * changes)). A place stands where the visit stands of which that gives most, of those in light and stage of the year like
 * now's where there are any.
 *
 * @param places the best first
 * @param usual fish a rod-hour of a visit
 */
public record GoBack(List<Place> places, double usual, HalfLives halfLives) {
    /** Separate trips on which a place that keeps paying paid at the least, and that no fewer than it did not. */
    private static final int KEEPS_PAYING = 3;

    private static final double SECONDS_PER_DAY = Duration.ofDays(1).toSeconds();

    /**
     * A place.
     *
     * @param rate fish a rod-hour to expect there now
     * @param own that the place gives over all visits, luck allowed for
     * @param visit that it goes by
     * @param then rate of that visit, luck allowed for
     * @param days since that visit
     * @param changes since then
     * @param last when it was fished last
     * @param paid trips on which it gave more than is usual
     * @param trips on which it was fished
     */
    public record Place(
            String spotId,
            double rate,
            double own,
            Visit visit,
            double then,
            double days,
            Set<Change> changes,
            Instant last,
            int paid,
            int trips) {
        public Place {
            changes = Set.copyOf(changes);
        }

        /** How much of the find is left, 0 to 1. */
        public double left() {
            return then == own ? 0 : Math.log(rate / own) / Math.log(then / own);
        }

        public boolean keepsPaying() {
            return paid >= KEEPS_PAYING && 2 * paid >= trips;
        }
    }

    static double days(Instant from, Instant to) {
        return Math.max(0, Duration.between(from, to).toSeconds() / SECONDS_PER_DAY);
    }

    /**
     * Weighs all places.
     *
     * @param visits those before now
     * @param water as it is now
     * @param light of the hour that is planned; null for any
     */
    public static GoBack of(List<Visit> visits, Instant now, Visit.State water, @Nullable String light) {
        GammaPrior prior = GammaPrior.fit(visits.stream()
                        .map(v -> new Effort(v.fish(), v.rodHours()))
                        .toList())
                .orElse(null);
        if (prior == null) {
            return new GoBack(List.of(), 0, HalfLives.usual());
        }
        double usual = prior.shape() / prior.rate();

        Map<String, List<Visit>> byPlace = new LinkedHashMap<>();
        visits.forEach(
                v -> byPlace.computeIfAbsent(v.spotId(), s -> new ArrayList<>()).add(v));
        Map<String, Double> own = own(byPlace);
        Map<Visit, Double> rates = new HashMap<>();
        visits.forEach(v -> {
            double place = own.getOrDefault(v.spotId(), usual);
            rates.put(v, (prior.shape() + v.fish()) / (prior.shape() / place + v.rodHours()));
        });
        HalfLives halfLives = HalfLives.of(visits, rates, own);
        List<Place> places = new ArrayList<>();
        byPlace.forEach((spot, of) -> {
            List<Visit> like = of.stream()
                    .filter(v -> alike(v.light(), light) && alike(v.water().season(), water.season()))
                    .toList();
            Place best = null;
            for (Visit visit : like.isEmpty() ? of : like) {
                Set<Change> changes = Change.between(visit.water(), water);
                double then = rates.getOrDefault(visit, usual);
                double days = days(visit.at(), now);
                double left = Math.pow(0.5, days / halfLives.days(water.season()) + changes.size());
                double place = own.getOrDefault(spot, usual);
                double rate = place * Math.exp(Math.log(then / place) * left);
                if (best == null || rate > best.rate()) {
                    best = new Place(
                            spot, rate, place, visit, then, days, changes, last(of), paid(of, rates, usual), of.size());
                }
            }
            places.add(Objects.requireNonNull(best));
        });
        places.sort(Comparator.comparingDouble(Place::rate)
                .reversed()
                .thenComparing(Comparator.comparingInt(Place::paid).reversed())
                .thenComparing(Place::spotId));
        return new GoBack(List.copyOf(places), usual, halfLives);
    }

    private static Map<String, Double> own(Map<String, List<Visit>> byPlace) {
        Map<String, Effort> all = new LinkedHashMap<>();
        double chiSquare = 0;
        int freedom = 0;
        for (Map.Entry<String, List<Visit>> place : byPlace.entrySet()) {
            Effort sum = Effort.sum(place.getValue().stream()
                    .map(v -> new Effort(v.fish(), v.rodHours()))
                    .toList());
            all.put(place.getKey(), sum);
            for (Visit visit : sum.fish() > 0 ? place.getValue() : List.<Visit>of()) {
                double expected = sum.fish() / sum.rodHours() * visit.rodHours();
                chiSquare += (visit.fish() - expected) * (visit.fish() - expected) / expected;
            }
            freedom += sum.fish() > 0 ? place.getValue().size() - 1 : 0;
        }
        double swing = freedom > 0 ? Math.max(1, chiSquare / freedom) : 1;
        Map<String, Double> own = new HashMap<>();
        GammaPrior prior = GammaPrior.fit(
                        all.values().stream().map(e -> divided(e, swing)).toList())
                .orElseThrow();
        all.forEach(
                (spot, sum) -> own.put(spot, prior.given(divided(sum, swing)).mean()));
        return own;
    }

    private static Effort divided(Effort effort, double swing) {
        return new Effort(effort.fish() / swing, effort.rodHours() / swing);
    }

    /** What is not known is like anything. */
    private static boolean alike(@Nullable Object then, @Nullable Object now) {
        return then == null || now == null || then.equals(now);
    }

    private static Instant last(List<Visit> of) {
        return of.stream().map(Visit::at).max(Comparator.naturalOrder()).orElseThrow();
    }

    private static int paid(List<Visit> of, Map<Visit, Double> rates, double usual) {
        return (int) of.stream()
                .filter(v -> v.fish() > 0 && rates.getOrDefault(v, 0.0) > usual)
                .map(Visit::tripId)
                .distinct()
                .count();
    }
}
