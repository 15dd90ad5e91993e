package dusk.ledger.web.afloat;

import dusk.ledger.format.LedgerFormat;
import dusk.ledger.journal.Angler;
import dusk.ledger.journal.Invalid;
import dusk.ledger.journal.SetUp;
import dusk.ledger.tackle.Alteration;
import dusk.ledger.tackle.Hook;
import dusk.ledger.tackle.WeightLadder;
import dusk.ledger.units.Mass;
import dusk.ledger.units.UnitSystem;
import dusk.ledger.web.form.RecordForm;
import dusk.ledger.web.form.UnitText;
import dusk.ledger.web.records.Anglers;
import dusk.ledger.web.records.RodOut;
import dusk.ledger.web.records.SetUps;
import dusk.ledger.web.store.NewId;
import dusk.ledger.web.store.Viewer;
import dusk.ledger.web.words.SetUpWords;
import java.time.ZoneOffset;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;

/**
 * What a touch of the swap sheet asks for: a new set-up that knows which it came from. Changing to and fro between
 * two takes up the same two again.
 */
@Component
class Swap {
    private final Anglers anglers;
    private final SetUps setUps;
    private final NewId newId;

    Swap(Anglers anglers, SetUps setUps, NewId newId) {
        this.anglers = anglers;
        this.setUps = setUps;
        this.newId = newId;
    }

    /** A change and its words. */
    record Asked(Change change, String what) {}

    /**
     * Understands a touch.
     *
     * @param typed one of {@code presentation}, {@code angler_id}, {@code setup_id}, {@code weight} (up or down), or
     * columns of a set-up
     * @throws Refusal where it cannot be done
     * @throws Invalid with every problem of what was typed
     */
    Asked of(Viewer viewer, RodOut rod, Map<String, String> typed, UnitSystem units) {
        String presentation = typed.getOrDefault("presentation", "");
        if (!presentation.isEmpty()) {
            return new Asked(new Change(null, null, null, rod.way().with(presentation)), presentation);
        }
        String angler = typed.getOrDefault("angler_id", "");
        if (!angler.isEmpty()) {
            Angler known = anglers.one(viewer, angler);
            return new Asked(new Change(angler, null, null, null), "handed to " + known.called());
        }
        SetUp now = setUps.one(viewer, rod.setUpId());
        String other = typed.getOrDefault("setup_id", "");
        if (!other.isEmpty()) {
            SetUp chosen = setUps.one(viewer, other);
            return new Asked(Change.of(chosen), SetUpWords.of(chosen, units));
        }
        SetUp made = made(now, typed, units);
        if (Alteration.differences(now, made).isEmpty()) {
            throw new Refusal("That is what is tied on already.");
        }
        SetUp next = setUps.kin(viewer, now).stream()
                .filter(known -> Alteration.differences(known, made).isEmpty())
                .findFirst()
                .orElse(made);
        return new Asked(Change.of(next), SetUpWords.changed(now, made, units));
    }

    /** As in the form of a set-up; what was not typed stays as it is. */
    private SetUp made(SetUp now, Map<String, String> typed, UnitSystem units) {
        Map<String, Object> given = new HashMap<>(Map.of("setup_id", newId.next(), "from_setup_id", now.id()));
        String weight = typed.getOrDefault("weight", "");
        if (!weight.isEmpty()) {
            Mass head = now.headMass();
            if (head == null) {
                throw new Refusal("This set-up has no head weight to step from. Choose another set-up.");
            }
            WeightLadder ladder = WeightLadder.of(units.headMass());
            Mass step = (weight.equals("up") ? ladder.up(head) : ladder.down(head))
                    .orElseThrow(() -> new Refusal("There is no step beyond " + head.show(units.headMass()) + "."));
            given.put("head_mass_g", step.grams());
        }
        SetUp made = new RecordForm<>(LedgerFormat.SETUPS, new UnitText(units, ZoneOffset.UTC)).read(typed, given, now);
        List<Invalid.Problem> wrong = Hook.wrong(made);
        if (!wrong.isEmpty()) {
            throw new Invalid(wrong);
        }
        return made;
    }
}
