package dusk.ledger.web.deck;

import dusk.ledger.journal.Spot;
import dusk.ledger.journal.Stint;
import dusk.ledger.plan.StayOrGo;
import dusk.ledger.units.Figures;
import dusk.ledger.web.afloat.StayAdvice;
import dusk.ledger.web.records.Deck;
import dusk.ledger.web.records.RodOut;
import dusk.ledger.web.words.StintWords;
import dusk.ledger.web.words.TimeText;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Stay or go, in words, for one rod. */
@Component
class StayWords {
    /** Where nobody said when the day ends. */
    private static final Duration USUALLY_LEFT = Duration.ofHours(2);

    private static final double MINUTES_PER_HOUR = 60;
    private static final double LIKELY = 0.7;
    private static final double MAYBE = 0.35;

    private final StayAdvice advice;

    StayWords(StayAdvice advice) {
        this.advice = advice;
    }

    /** Null where nothing was learnt yet. */
    DeckView.@Nullable Stay of(Seen seen, RodOut rod) {
        Deck deck = seen.deck();
        Spot spot = seen.spot(rod);
        double left = leftHours(deck, seen.now());
        List<Stint> here = seen.stints().stream()
                .filter(s -> s.setUpId().equals(rod.setUpId()) && Objects.equals(s.spotId(), rod.spotId()))
                .toList();
        int bites = here.stream().mapToInt(Stint::bites).sum();
        double hours = seen.hours(here);
        StayAdvice.Learnt learnt = advice.learnt(
                seen.person().viewer(), deck.water().kind(), spot == null ? null : spot.structure(), seen.now());
        StayOrGo weighed = advice.of(learnt, bites, hours, left);
        if (weighed == null) {
            return null;
        }
        String until = deck.until() == null
                ? "two hours taken to be left, since nobody said when the day ends"
                : Figures.fixed(left, 1) + " h left";
        return new DeckView.Stay(
                worth(weighed, seen) + ". " + chance(weighed.chanceOfFish(), bites) + "; "
                        + Figures.fixed(weighed.expectedRate(), 1) + " an hour to expect against the usual "
                        + Figures.fixed(learnt.goingRate(), 1) + ".",
                weighed.go(),
                List.of(
                        (bites == 0 ? "No bite" : StintWords.count(bites, "bite", "bites")) + " in "
                                + Figures.fixed(hours, 2) + " rod-hours on this set-up here; " + until + ".",
                        learntFrom(learnt),
                        "Going rate: all bites over " + Math.round(learnt.goingHours()) + " rod-hours on a "
                                + deck.water().kind() + " in two years. A move is counted as "
                                + Math.round(MINUTES_PER_HOUR * StayOrGo.USUAL_MOVE_HOURS) + " minutes.",
                        "Advice from averages: what you see on the water outweighs it."));
    }

    /** How sure it is that there are fish, as one would say it. */
    private static String chance(double chance, int bites) {
        if (bites > 0) {
            return "Fish are here: you have had " + (bites == 1 ? "a bite" : "bites");
        }
        return (chance >= LIKELY
                        ? "Fish are likely here"
                        : chance >= MAYBE ? "There may be fish here" : "Fish are hardly here")
                + ", " + Math.round(100 * chance) + " in 100";
    }

    private static String worth(StayOrGo weighed, Seen seen) {
        Double after = weighed.goAfterHours();
        if (after == null) {
            return "Worth staying";
        }
        return weighed.go() ? "Worth moving" : "Without a bite move at " + hour(after, seen);
    }

    private static String hour(double afterHours, Seen seen) {
        return TimeText.hour(
                seen.now().plusSeconds(Math.round(afterHours * Seen.SECONDS_PER_HOUR)),
                seen.deck().zone());
    }

    private static double leftHours(Deck deck, Instant now) {
        Instant until = deck.until();
        Instant end = until == null || until.isBefore(now) ? now.plus(USUALLY_LEFT) : until;
        return Duration.between(now, end).toSeconds() / Seen.SECONDS_PER_HOUR;
    }

    private static String learntFrom(StayAdvice.Learnt learnt) {
        int stints = learnt.holding().stints();
        if (stints == 0) {
            return "Too few first stints to learn from: half the places are taken to hold fish.";
        }
        return "Learnt from " + stints + " first stints "
                + (learnt.structure() == null
                        ? "at places of every kind"
                        : "at places of the kind " + learnt.structure())
                + ": " + Math.round(100 * learnt.holding().chance()) + " % held biting fish.";
    }
}
