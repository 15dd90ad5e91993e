package dusk.ledger.web.afloat;

import dusk.ledger.journal.Angler;
import dusk.ledger.journal.Bounds;
import dusk.ledger.journal.SetUp;
import dusk.ledger.tackle.Alteration;
import dusk.ledger.tackle.WeightLadder;
import dusk.ledger.units.Mass;
import dusk.ledger.units.UnitSystem;
import dusk.ledger.web.form.Typed;
import dusk.ledger.web.records.Anglers;
import dusk.ledger.web.records.RodOut;
import dusk.ledger.web.records.SetUps;
import dusk.ledger.web.store.NewId;
import dusk.ledger.web.store.Viewer;
import dusk.ledger.web.words.SetUpWords;
import java.util.HashMap;
import java.util.Map;
import org.jspecify.annotations.Nullable;
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
     * @param typed one of {@code presentation}, {@code angler_id}, {@code setup_id}, {@code weight} (up or down),
     * {@code colour}, or {@code plastic} with its length
     * @throws Refusal where it cannot be done
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
        Map<String, @Nullable Object> cells = cells(now, typed, units);
        SetUp made = Alteration.of(now, newId.next(), cells);
        if (Alteration.differences(now, made).isEmpty()) {
            throw new Refusal("That is what is tied on already.");
        }
        SetUp next = setUps.kin(viewer, now).stream()
                .filter(known -> Alteration.differences(known, made).isEmpty())
                .findFirst()
                .orElse(made);
        return new Asked(Change.of(next), SetUpWords.changed(now, made, units));
    }

    private static Map<String, @Nullable Object> cells(SetUp now, Map<String, String> typed, UnitSystem units) {
        Map<String, @Nullable Object> cells = new HashMap<>();
        String weight = typed.getOrDefault("weight", "");
        if (!weight.isEmpty()) {
            Mass head = now.headMass();
            if (head == null) {
                throw new Refusal("This set-up has no head weight to step from. Choose another set-up.");
            }
            WeightLadder ladder = WeightLadder.of(units.headMass());
            Mass step = (weight.equals("up") ? ladder.up(head) : ladder.down(head))
                    .orElseThrow(() -> new Refusal("There is no step beyond " + head.show(units.headMass()) + "."));
            cells.put("head_mass_g", step.grams());
        }
        if (!typed.getOrDefault("colour", "").isEmpty()) {
            cells.put("colour", typed.get("colour"));
        }
        if (!typed.getOrDefault("plastic", "").isEmpty()) {
            cells.put("plastic", typed.get("plastic"));
        }
        String length = typed.getOrDefault("plastic_length_mm", "");
        boolean asShown = now.plasticLength() != null
                && now.plasticLength().show(units.lure()).equals(length);
        if (!length.isBlank() && !asShown) {
            Typed fields = new Typed(typed, units);
            Bounds.Range range = Bounds.of("plastic_length_mm", "setups").orElseThrow();
            Double plastic = fields.millimetres("plastic_length_mm", units.lure(), range.least(), range.most());
            if (plastic == null) {
                throw Refusal.of(fields);
            }
            cells.put("plastic_length_mm", plastic);
        }
        return cells;
    }
}
