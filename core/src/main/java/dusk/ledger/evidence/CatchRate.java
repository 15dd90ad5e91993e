package dusk.ledger.evidence;

import java.util.List;

/**
 * Rate of a level, with an interval that allows for fish coming in schools.
 *
 * <p>R = Y / E. Exact Poisson interval (Garwood 1936): qgamma(0.025, Y, 1)/E (0 where Y = 0) to qgamma(0.975, Y + 1,
 * 1)/E. With T >= 3 trips and Y > 0 also the trip-clustered one: V = T/(T-1) sum over trips (Y_t - R E_t)^2 / E^2; R
 * exp(-+ t(0.975, T-1) sqrt(V)/R). Given is the lower of the lows and the higher of the highs.
 *
 * @param fish Y
 * @param rodHours E
 * @param trips T
 * @param perRodHour R, fish a rod-hour
 */
public record CatchRate(double fish, double rodHours, int trips, double perRodHour, Interval interval) {
    private static final int TRIPS_FOR_CLUSTERING = 3;

    /**
     * @param trips fish and hours by trip, at least one
     */
    public static CatchRate of(List<Effort> trips) {
        if (trips.isEmpty()) {
            throw new IllegalArgumentException("a rate wants at least one trip");
        }
        Effort all = Effort.sum(trips);
        double rate = all.fish() / all.rodHours();
        Interval interval = exact(all);
        if (trips.size() >= TRIPS_FOR_CLUSTERING && all.fish() > 0) {
            Interval clustered = clustered(trips, all, rate);
            interval = new Interval(
                    Math.min(interval.low(), clustered.low()), Math.max(interval.high(), clustered.high()));
        }
        return new CatchRate(all.fish(), all.rodHours(), trips.size(), rate, interval);
    }

    private static Interval exact(Effort all) {
        double low = all.fish() > 0 ? Quantiles.gamma(Quantiles.LOWER, all.fish(), all.rodHours()) : 0;
        return new Interval(low, Quantiles.gamma(Quantiles.UPPER, all.fish() + 1, all.rodHours()));
    }

    private static Interval clustered(List<Effort> trips, Effort all, double rate) {
        double count = trips.size();
        double squares = 0;
        for (Effort trip : trips) {
            double residual = trip.fish() - rate * trip.rodHours();
            squares += residual * residual;
        }
        double variance = count / (count - 1) * squares / (all.rodHours() * all.rodHours());
        double spread = Quantiles.tUpper(count - 1) * Math.sqrt(variance) / rate;
        return new Interval(rate * Math.exp(-spread), rate * Math.exp(spread));
    }
}
