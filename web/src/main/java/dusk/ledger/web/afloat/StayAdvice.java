package dusk.ledger.web.afloat;

import dusk.ledger.plan.Holding;
import dusk.ledger.plan.StayOrGo;
import dusk.ledger.web.records.PastStints;
import dusk.ledger.web.store.Settled;
import dusk.ledger.web.store.Store;
import dusk.ledger.web.store.Viewer;
import java.time.Instant;
import java.time.LocalDate;
import java.time.Period;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Stay or go for a rod at a place, learnt from the trips that ended in the last two years on such water. */
@Component
public class StayAdvice {
    private static final Period LEARNT_FROM = Period.ofYears(2);

    /** Under this many rod-hours of such water there is no going rate to speak of. */
    private static final double LEAST_HOURS = 5;

    private final PastStints stints;
    private final Settled<Learnt> learnt;

    StayAdvice(PastStints stints, Store store) {
        this.stints = stints;
        learnt = new Settled<>(store);
    }

    private record Key(LocalDate day, String waterKind, String structure) {}

    /**
     * What was learnt.
     *
     * @param structure whose first stints it was learnt from; null for all of them, where those of the structure were too few
     * @param goingRate bites a rod-hour; 0 where there is too little to tell
     */
    public record Learnt(Holding holding, @Nullable String structure, double goingRate, double goingHours) {}

    /** @param structure of the place; null where it is not known */
    public Learnt learnt(Viewer viewer, String waterKind, @Nullable String structure, Instant now) {
        Key key = new Key(LocalDate.ofInstant(now, ZoneOffset.UTC), waterKind, structure == null ? "" : structure);
        return learnt.of(viewer, key, club -> learn(club, key, now));
    }

    /** The advice; null where nothing was learnt. */
    public @Nullable StayOrGo of(Learnt from, int bites, double rodHours, double leftHours) {
        return from.goingRate() > 0
                ? StayOrGo.of(
                        from.holding(),
                        new StayOrGo.Now(bites, rodHours, from.goingRate(), StayOrGo.USUAL_MOVE_HOURS, leftHours))
                : null;
    }

    private Learnt learn(Viewer viewer, Key key, Instant now) {
        Instant since = now.atZone(ZoneOffset.UTC).minus(LEARNT_FROM).toInstant();
        List<PastStints.Past> past = stints.on(viewer, key.waterKind(), since);
        double hours = past.stream().mapToDouble(PastStints.Past::hours).sum();
        int bites = past.stream().mapToInt(PastStints.Past::bites).sum();
        if (hours < LEAST_HOURS || bites == 0) {
            return new Learnt(new Holding(0.5, 1, 1, 0), null, 0, hours);
        }
        double rate = bites / hours;
        Holding there = Holding.learn(firsts(past, key.structure()), rate);
        boolean known = !key.structure().isEmpty() && there.stints() > 0;
        return new Learnt(
                known ? there : Holding.learn(firsts(past, ""), rate), known ? key.structure() : null, rate, hours);
    }

    /** The first stint at each place of each trip. */
    private static List<Holding.FirstStint> firsts(List<PastStints.Past> past, String structure) {
        Set<String> been = new HashSet<>();
        List<Holding.FirstStint> firsts = new ArrayList<>();
        for (PastStints.Past stint : past) {
            boolean asked = structure.isEmpty() || stint.structure().equals(structure);
            if (asked && !stint.spotId().isEmpty() && been.add(stint.tripId() + " " + stint.spotId())) {
                firsts.add(new Holding.FirstStint(stint.bites(), stint.hours()));
            }
        }
        return firsts;
    }
}
