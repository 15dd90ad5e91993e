package dusk.ledger.web.afloat;

import dusk.ledger.water.LaidFan;
import dusk.ledger.web.records.Fans;
import org.springframework.stereotype.Component;

/** Lays a fan of casts out at the place where a deck lies, and marks its casts. Another place has a fan of its own. */
@Component
public class FanActs {
    private final Afloat afloat;
    private final Fans fans;

    FanActs(Afloat afloat, Fans fans) {
        this.afloat = afloat;
        this.fans = fans;
    }

    /** Lays one out, in place of what was laid here before. */
    public void lay(By by, LaidFan laid) {
        afloat.live(
                by,
                "fan of " + laid.fan().casts() + " casts",
                on -> fans.lay(on.w(), by.tripId(), on.deck().spotId(), laid));
    }

    /** The first cast that was not made is made. */
    public void next(By by) {
        afloat.live(by, "a cast", on -> {
            Fans.Laid here = here(on);
            Integer next = here.next();
            if (next == null) {
                throw new Refusal("All " + here.fan().casts() + " casts of the fan are made. Lay another, or move.");
            }
            on.w().say("cast " + (next + 1));
            fans.make(on.w(), here, next);
        });
    }

    /** Marks a cast as made, or takes the mark back. */
    public void turn(By by, int number) {
        afloat.live(by, "a cast", on -> {
            Fans.Laid here = here(on);
            if (number < 0 || number >= here.fan().casts()) {
                throw new Refusal("There is no cast " + (number + 1) + " in this fan.");
            }
            if (here.made().contains(number)) {
                on.w().say("cast " + (number + 1) + " not made");
                fans.unmake(on.w(), here, number);
            } else {
                on.w().say("cast " + (number + 1));
                fans.make(on.w(), here, number);
            }
        });
    }

    private Fans.Laid here(Afloat.Doing on) {
        Fans.Laid here = fans.from(on.by().viewer(), on.by().tripId(), on.deck().spotId());
        if (here == null) {
            throw new Refusal("No fan is laid here yet.");
        }
        return here;
    }
}
