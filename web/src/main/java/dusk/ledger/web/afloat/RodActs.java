package dusk.ledger.web.afloat;

import dusk.ledger.format.LedgerFormat;
import dusk.ledger.journal.Catch;
import dusk.ledger.journal.CatchBuilder;
import dusk.ledger.journal.Loss;
import dusk.ledger.journal.SetUp;
import dusk.ledger.journal.Stint;
import dusk.ledger.journal.Touch;
import dusk.ledger.water.Calibration;
import dusk.ledger.web.form.TimeOfDay;
import dusk.ledger.web.form.Typed;
import dusk.ledger.web.records.Decks;
import dusk.ledger.web.records.Drops;
import dusk.ledger.web.records.Offers;
import dusk.ledger.web.records.RodOut;
import dusk.ledger.web.records.SetUps;
import dusk.ledger.web.records.TripRows;
import dusk.ledger.web.records.Way;
import dusk.ledger.web.store.NewId;
import dusk.ledger.web.store.NotYours;
import dusk.ledger.web.words.CountForm;
import dusk.ledger.web.words.SetUpWords;
import dusk.ledger.web.words.StintWords;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.BiConsumer;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** What is done with one rod. */
@Component
public class RodActs {
    private static final String TRIAL = "trial";
    private static final String BITE = "bite";

    private final Afloat afloat;
    private final Running running;
    private final Decks decks;
    private final TripRows rows;
    private final SetUps setUps;
    private final Drops drops;
    private final Swap swap;
    private final Offers offers;
    private final Drawing drawing;
    private final NewId newId;

    RodActs(
            Afloat afloat,
            Running running,
            Decks decks,
            TripRows rows,
            SetUps setUps,
            Drops drops,
            Swap swap,
            Offers offers,
            Drawing drawing,
            NewId newId) {
        this.offers = offers;
        this.drawing = drawing;
        this.afloat = afloat;
        this.running = running;
        this.decks = decks;
        this.rows = rows;
        this.setUps = setUps;
        this.drops = drops;
        this.swap = swap;
        this.newId = newId;
    }

    /**
     * A fish that followed or bit and was not hooked.
     *
     * @param biteOn on what it came; null where it is not said
     * @param felt how it was noticed
     */
    public void touch(By by, String rodId, String kind, @Nullable String biteOn, @Nullable String felt) {
        boolean bite = kind.equals(BITE);
        onStint(by, rodId, kind, (on, stint) -> {
            on.w().insert(LedgerFormat.TOUCHES, new Touch(newId.next(), stint.id(), on.at(), kind, biteOn, felt));
            running.count(on, stint, bite ? 0 : 1, bite ? 1 : 0, 0);
        });
    }

    /** The same with no more said of it. */
    public void touch(By by, String rodId, String kind) {
        touch(by, rodId, kind, null, null);
    }

    /** Fish hooked and lost. */
    public void lost(By by, String rodId, String cause) {
        onStint(by, rodId, "lost, " + cause, (on, stint) -> {
            on.w().insert(LedgerFormat.LOSSES, new Loss(newId.next(), stint.id(), on.at(), cause, 1));
            on.w().insert(LedgerFormat.TOUCHES, new Touch(newId.next(), stint.id(), on.at(), "hooked"));
            running.count(on, stint, 0, 1, 1);
        });
    }

    /** Fish landed; their catch has the id of the act, so that a device without a signal knows it too. */
    public void landed(By by, String rodId, String species, int fish) {
        onStint(by, rodId, (fish > 1 ? fish + " " : "") + species, (on, stint) -> {
            on.w()
                    .insert(
                            LedgerFormat.CATCHES,
                            CatchBuilder.builder()
                                    .id(by.id())
                                    .stintId(stint.id())
                                    .at(on.at())
                                    .species(species)
                                    .count(fish)
                                    .build());
            on.w().insert(LedgerFormat.TOUCHES, new Touch(newId.next(), stint.id(), on.at(), "hooked"));
            running.count(on, stint, 0, fish, fish);
        });
    }

    /**
     * More of the last bite that was missed on a rod.
     *
     * @param biteOn on what it came; null leaves it
     * @param felt how it was noticed; null leaves it
     * @throws Refusal where no bite was noted since the rod was last changed
     */
    public void said(By by, String rodId, @Nullable String biteOn, @Nullable String felt) {
        onStint(by, rodId, "the bite: " + (biteOn == null ? "felt as " + felt : "on " + biteOn), (on, stint) -> {
            Touch bite = rows.touches(by.viewer(), List.of(stint)).stream()
                    .filter(touch -> touch.kind().equals(BITE))
                    .reduce((earlier, later) -> later)
                    .orElseThrow(() -> new Refusal("No bite was noted here since the rod was last changed."));
            on.w()
                    .update(
                            LedgerFormat.TOUCHES,
                            new Touch(
                                    bite.id(),
                                    stint.id(),
                                    bite.at(),
                                    BITE,
                                    biteOn == null ? bite.biteOn() : biteOn,
                                    felt == null ? bite.felt() : felt));
        });
    }

    private boolean onStint(By by, String rodId, String what, BiConsumer<Afloat.Doing, Stint> change) {
        return afloat.live(by, "", on -> {
            RodOut rod = on.rod(rodId);
            on.say(rod, what);
            change.accept(on, running.of(on, rod));
            decks.touch(on.w(), rod, on.at());
        });
    }

    /**
     * What was left out when a fish was landed on a rod.
     *
     * @param what was done, in words
     * @param completed the fish with the rest, of the fish as it is now
     */
    public void complete(By by, String rodId, String catchId, String what, UnaryOperator<Catch> completed) {
        afloat.once(by, "", on -> {
            RodOut rod = on.rod(rodId);
            Catch fish =
                    completed.apply(rows.fish(by.viewer(), by.tripId(), catchId).orElseThrow(NotYours::new));
            on.say(rod, fish.species() + " " + what);
            on.w().update(LedgerFormat.CATCHES, fish);
            decks.touch(on.w(), rod, on.at());
        });
    }

    /**
     * A drop that was counted on a rod.
     *
     * @throws Refusal where what was typed is no drop
     */
    public void counted(By by, String rodId, Typed typed) {
        afloat.once(by, "", on -> {
            RodOut rod = on.rod(rodId);
            SetUp setUp = setUps.one(by.viewer(), rod.setUpId());
            Calibration.Drop drop = CountForm.read(setUp, typed, on.deck().salt());
            if (drop == null) {
                throw Refusal.of(typed);
            }
            on.say(rod, "counted " + CountForm.words(drop, by.person().units()));
            drops.note(on.w(), by.viewer(), setUp.id(), on.at(), drop, on.deck().salt());
            decks.touch(on.w(), rod, on.at());
        });
    }

    /**
     * Changes something about one rod. A running one gets a new stint.
     *
     * @param typed as {@link Swap} understands it
     * @throws Refusal where it cannot be done
     */
    public void swap(By by, String rodId, Map<String, String> typed) {
        afloat.live(by, "", on -> {
            RodOut rod = on.rod(rodId);
            Swap.Asked asked = swap.of(by.viewer(), rod, typed, by.person().units());
            on.say(rod, asked.what());
            change(on, rod, asked.change());
        });
    }

    /** Makes a rod what it is to be. */
    void change(Afloat.Doing on, RodOut rod, Change change) {
        SetUp setUp = change.setUp();
        if (setUp != null
                && rows.one(on.by().viewer(), LedgerFormat.SETUPS, setUp.id()).isEmpty()) {
            on.w().insert(LedgerFormat.SETUPS, setUp);
        }
        Place place = change.place() == null ? new Place(rod.spotId(), rod.depth()) : change.place();
        boolean swapped = setUp != null && !setUp.id().equals(rod.setUpId());
        if (swapped) {
            offers.swapped(on.w(), on.by().viewer(), on.by().tripId(), rod);
        }
        RodOut next = new RodOut(
                rod.id(),
                rod.number(),
                change.anglerId() == null ? rod.anglerId() : change.anglerId(),
                rod.rodId(),
                setUp == null ? rod.setUpId() : setUp.id(),
                place.spotId(),
                place.depth(),
                change.way() == null ? way(rod, place, swapped) : change.way(),
                null,
                on.at());
        if (rod.down()) {
            decks.change(on.w(), next);
        } else {
            running.renew(on, rod, next);
        }
    }

    /** Where the fish are is said of a place; what is chosen by hand is no trial any more. */
    private static Way way(RodOut rod, Place place, boolean swapped) {
        Way way = Objects.equals(place.spotId(), rod.spotId())
                ? rod.way()
                : rod.way().elsewhere();
        return swapped && TRIAL.equals(way.purpose()) ? way.forPurpose(null) : way;
    }

    /**
     * Takes what the lot or a trial offers a rod, or declines it; both are noted.
     *
     * @throws Refusal where nothing is offered any more
     */
    public void offered(By by, String rodId, boolean take) {
        afloat.live(by, "", on -> {
            RodOut rod = on.rod(rodId);
            Offers.Settings settings = offers.of(by.viewer(), by.tripId());
            Drawing.Offer offer =
                    drawing.of(by.viewer(), on.deck(), rod, settings, rows.stintsLike(by.viewer(), by.tripId(), rod));
            if (offer == null) {
                throw new Refusal("Nothing is offered here any more: another hand was quicker.");
            }
            String words = SetUpWords.of(offer.setUp(), by.person().units());
            String from = offer.drawn() == null ? "the trial's turn" : "by lot";
            on.say(rod, (take ? from : from + ", not taken") + ": " + words);
            if (offer.drawn() != null) {
                offers.note(on.w(), by.tripId(), rod, on.at(), offer.drawn(), take);
            }
            if (take) {
                change(on, rod, new Change(null, offer.setUp(), null, rod.way().forPurpose(TRIAL)));
            } else {
                offers.swapped(on.w(), by.viewer(), by.tripId(), rod);
                decks.touch(on.w(), rod, on.at());
            }
        });
    }

    /**
     * Says how a rod is fished, at what depth, and where its fish are. A running one gets a new stint.
     *
     * @param told the stint to come with what is said, of the stint as it would come
     * @throws Refusal where that is as it was
     */
    public void fished(By by, String rodId, UnaryOperator<Stint> told) {
        afloat.live(by, "", on -> {
            RodOut rod = on.rod(rodId);
            Stint was = rod.stint(rod.id(), by.tripId(), on.at());
            Stint is = told.apply(was);
            if (is.equals(was)) {
                throw new Refusal("That is how it is fished already.");
            }
            String words = StintWords.how(is, by.person().units());
            on.say(rod, words.isEmpty() ? "nothing said of how it is fished" : words);
            change(on, rod, new Change(null, null, new Place(rod.spotId(), is.depth()), Way.of(is)));
        });
    }

    /** Puts a rod down: its stint ends. */
    public void down(By by, String rodId) {
        onStint(by, rodId, "put down", (on, stint) -> running.down(on, on.rod(rodId), stint));
    }

    /** Picks a rod up: the next stint begins. */
    public void up(By by, String rodId) {
        afloat.live(by, "", on -> {
            RodOut rod = on.rod(rodId);
            if (!rod.down()) {
                throw new Refusal("Rod " + rod.number() + " is being fished already.");
            }
            on.say(rod, "picked up");
            running.up(on, rod);
            decks.touch(on.w(), rod, on.at());
        });
    }

    /** A forgotten rod is being fished after all. */
    public void still(By by, String rodId) {
        onStint(by, rodId, "still fishing", (on, stint) -> running.count(on, stint, 0, 0, 0));
    }

    /**
     * A forgotten rod was down since then.
     *
     * @throws Refusal where that is before its last touch or after now
     */
    public void setBack(By by, String rodId, TimeOfDay clock) {
        onStint(by, rodId, "down since then", (on, stint) -> {
            Instant end = clock.upTo(on.at(), on.deck().zone());
            if (end.isBefore(running.lastSeen(on, stint))) {
                throw new Refusal("The end must lie between the last thing that was seen on it and now.");
            }
            running.down(on, on.rod(rodId), stint, end);
        });
    }
}
