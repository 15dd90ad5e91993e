package dusk.ledger.web.afloat;

import dusk.ledger.journal.SetUp;
import dusk.ledger.journal.Stint;
import dusk.ledger.teach.Lot;
import dusk.ledger.teach.Trial;
import dusk.ledger.web.records.Deck;
import dusk.ledger.web.records.Offers;
import dusk.ledger.web.records.RodOut;
import dusk.ledger.web.records.SetUps;
import dusk.ledger.web.records.Trials;
import dusk.ledger.web.store.Viewer;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.SplittableRandom;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** What a rod is offered next by the lot or by a trial, the same however often one looks. */
@Component
public class Drawing {
    private final SetUps setUps;
    private final Trials trials;

    Drawing(SetUps setUps, Trials trials) {
        this.setUps = setUps;
        this.trials = trials;
    }

    /**
     * A set-up to tie on.
     *
     * @param drawn what the lot drew; null where it is a trial's turn
     */
    public record Offer(SetUp setUp, int minutes, Lot.@Nullable Drawn drawn) {}

    /**
     * What is offered; null where nothing is.
     *
     * @param stints of the trip, those of the rod's angler at the least
     */
    public @Nullable Offer of(Viewer viewer, Deck deck, RodOut rod, Offers.Settings settings, List<Stint> stints) {
        if (settings.trialId() != null) {
            Trial trial = trials.one(viewer, settings.trialId());
            return trial.ended() == null ? turn(viewer, trial, rod, stints) : null;
        }
        SplittableRandom luck =
                Lot.luck(deck.trip().id(), rod.id(), settings.swaps().getOrDefault(rod.id(), 0));
        if (!Lot.due(luck, settings.lot())) {
            return null;
        }
        Set<String> ids = new LinkedHashSet<>(settings.pack());
        deck.rods().forEach(other -> ids.add(other.setUpId()));
        List<SetUp> boat = setUps.of(viewer, ids);
        SetUp tiedOn = boat.stream()
                .filter(one -> one.id().equals(rod.setUpId()))
                .findFirst()
                .orElse(null);
        if (tiedOn == null) {
            return null;
        }
        return Lot.draw(settings.questions(), boat, tiedOn, luck)
                .map(drawn -> new Offer(drawn.setUp(), Lot.MINUTES, drawn))
                .orElse(null);
    }

    private @Nullable Offer turn(Viewer viewer, Trial trial, RodOut rod, List<Stint> stints) {
        String place = Objects.requireNonNullElse(rod.spotId(), "");
        // the running stint's minutes stand at its last touch
        double minutes = stints.stream()
                .filter(stint -> stint.anglerId().equals(rod.anglerId())
                        && "trial".equals(stint.purpose())
                        && Objects.equals(stint.spotId(), rod.spotId())
                        && (stint.setUpId().equals(trial.setUpA())
                                || stint.setUpId().equals(trial.setUpB())))
                .mapToDouble(Stint::minutes)
                .sum();
        String wanted = trial.turn((int) (minutes / trial.minutes()), rod.number(), place);
        boolean on = rod.setUpId().equals(wanted) && "trial".equals(rod.way().purpose());
        return on ? null : new Offer(setUps.one(viewer, wanted), trial.minutes(), null);
    }
}
