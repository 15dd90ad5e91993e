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
 * Which places to go back to. Each visit's rate has luck allowed for (a gamma over all visits, by maximum likelihood); what is
 * left of it today is usual x exp(log(rate/usual) x 0.5^(days/half-life + changes)). A place stands where the visit stands of
 * which most is left, of those in light and stage of the year like now's where there are any.
 *
 * @param places the best first
 * @param usual fish a rod-hour of a visit
 */
public record GoBack(List<Place> places, double usual, HalfLives halfLives) {
    /** Separate trips on which a place that keeps paying paid. */
    private static final int KEEPS_PAYING = 3;

    private static final double SECONDS_PER_DAY = Duration.ofDays(1).toSeconds();

    /**
     * A place.
     *
     * @param rate fish a rod-hour to expect there now
     * @param then of the visit that it goes by, luck allowed for
     * @param days since that visit
     * @param changes since then
     * @param last when it was fished last
     * @param paid trips on which it gave more than is usual
     * @param trips on which it was fished
     */
    public record Place(
            String spotId,
            double rate,
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

        public boolean keepsPaying() {
            return paid >= KEEPS_PAYING;
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
        Map<Visit, Double> rates = new HashMap<>();
        visits.forEach(v ->
                rates.put(v, prior.given(new Effort(v.fish(), v.rodHours())).mean()));
        HalfLives halfLives = HalfLives.of(visits, rates, usual);
        Map<String, List<Visit>> byPlace = new LinkedHashMap<>();
        visits.forEach(
                v -> byPlace.computeIfAbsent(v.spotId(), s -> new ArrayList<>()).add(v));
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
                double rate = usual * Math.exp(Math.log(then / usual) * left);
                if (best == null || rate > best.rate()) {
                    best = new Place(
                            spot, rate, visit, then, days, changes, last(of), paid(of, rates, usual), of.size());
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
