package dusk.ledger.web.deck;

import dusk.ledger.format.LedgerFormat;
import dusk.ledger.journal.SetUp;
import dusk.ledger.tackle.Rig;
import dusk.ledger.web.form.FormField;
import dusk.ledger.web.form.RecordForm;
import dusk.ledger.web.form.UnitText;
import dusk.ledger.web.records.RodOut;
import dusk.ledger.web.records.UsualWords;
import dusk.ledger.web.words.FieldWords;
import java.util.List;
import org.springframework.stereotype.Component;

/** What of a set-up is changed on the water beside a step of weight and a colour: as much of it as its rig has. */
@Component
class TackleSheet {
    private static final List<String> COLUMNS =
            List.of("plastic", "plastic_length_mm", "leader_mm", "hook_size", "hook_pattern", "head_material");

    private final UsualWords usual;

    TackleSheet(UsualWords usual) {
        this.usual = usual;
    }

    DeckView.Tackle of(Seen seen, RodOut rod, SetUp setUp, Just just) {
        RecordForm<SetUp> form = new RecordForm<>(
                LedgerFormat.SETUPS, new UnitText(seen.units(), seen.deck().zone()));
        for (String column : COLUMNS) {
            if (Rig.of(setUp.rig())
                    .map(rig -> rig.columns().contains(column) || rig.more().contains(column))
                    .orElse(true)) {
                ask(form, seen, column);
            }
        }
        boolean refused = just.wrong(rod.id(), "swap");
        return new DeckView.Tackle(refused, TypedFields.of(form, setUp, form.typed(setUp), just, refused));
    }

    /** Words stand to be picked, those fished most first; what is measured or sized is typed. */
    private void ask(RecordForm<SetUp> form, Seen seen, String column) {
        List<String> words = usual.ofSetUps(seen.person().viewer(), column);
        if (words.isEmpty()) {
            form.ask(column, FieldWords.label(column), FieldWords.hint(column));
        } else {
            form.choose(
                    column,
                    FieldWords.label(column),
                    List.of(new FormField.Group(
                            "",
                            words.stream()
                                    .map(word -> new FormField.Option(word, word))
                                    .toList())));
        }
    }
}
