package dusk.ledger.web.deck;

import dusk.ledger.interchange.Tables;
import dusk.ledger.journal.Angler;
import dusk.ledger.journal.SetUp;
import dusk.ledger.tackle.Alteration;
import dusk.ledger.tackle.WeightLadder;
import dusk.ledger.units.Length;
import dusk.ledger.units.Mass;
import dusk.ledger.units.UnitSystem;
import dusk.ledger.web.form.Typed;
import dusk.ledger.web.store.LedgerRows;
import dusk.ledger.web.store.NewId;
import dusk.ledger.web.store.NotYours;
import dusk.ledger.web.store.Viewer;
import dusk.ledger.web.words.SetUpWords;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jooq.impl.DSL;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/**
 * What a touch of the swap sheet asks for: a new set-up that knows which it came from. Changing to and fro between two takes up the same two again.
 */
@Component
class Swap {
    private final LedgerRows rows;
    private final NewId newId;

    Swap(LedgerRows rows, NewId newId) {
        this.rows = rows;
        this.newId = newId;
    }

    /** A change and its words. */
    record Asked(DeckActs.Change change, String what) {}

    /**
     * Understands a touch.
     *
     * @param typed one of {@code presentation}, {@code angler_id}, {@code setup_id}, {@code weight} (up or down), {@code colour}, or {@code plastic} with its length
     * @throws Refusal where it cannot be done
     */
    Asked of(Viewer viewer, RodOut rod, Map<String, String> typed, UnitSystem units) {
        String presentation = typed.getOrDefault("presentation", "");
        if (!presentation.isEmpty()) {
            return new Asked(new DeckActs.Change(null, null, null, presentation), presentation);
        }
        String angler = typed.getOrDefault("angler_id", "");
        if (!angler.isEmpty()) {
            Angler known = rows.one(viewer, Tables.ANGLERS, angler).orElseThrow(NotYours::new);
            return new Asked(new DeckActs.Change(angler, null, null, null), "handed to " + known.called());
        }
        SetUp now = rows.one(viewer, Tables.SETUPS, rod.setUpId()).orElseThrow(NotYours::new);
        String other = typed.getOrDefault("setup_id", "");
        if (!other.isEmpty()) {
            SetUp chosen = rows.one(viewer, Tables.SETUPS, other).orElseThrow(NotYours::new);
            return new Asked(new DeckActs.Change(null, chosen, null, null), SetUpWords.of(chosen, units));
        }
        Map<String, @Nullable Object> cells = cells(now, typed, units);
        SetUp made = Alteration.of(now, newId.next(), cells);
        if (Alteration.differences(now, made).isEmpty()) {
            throw new Refusal("That is what is tied on already.");
        }
        SetUp next = rows.all(viewer, Tables.SETUPS, DSL.field("rig").eq(made.rig()), List.of()).stream()
                .filter(known ->
                        now.id().equals(known.fromSetUpId()) || known.id().equals(now.fromSetUpId()))
                .filter(known -> Alteration.differences(known, made).isEmpty())
                .findFirst()
                .orElse(made);
        return new Asked(new DeckActs.Change(null, next, null, null), SetUpWords.changed(now, made, units));
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
            Length plastic = fields.length("plastic_length_mm");
            if (plastic == null) {
                throw Refusal.of(fields);
            }
            cells.put("plastic_length_mm", plastic.millimetres());
        }
        return cells;
    }
}
