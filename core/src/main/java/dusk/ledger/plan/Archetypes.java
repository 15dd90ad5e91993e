package dusk.ledger.plan;

import dusk.ledger.format.Cells;
import dusk.ledger.format.FileColumn;
import dusk.ledger.format.LedgerFormat;
import dusk.ledger.journal.SetUp;
import dusk.ledger.journal.SetUpBuilder;
import dusk.ledger.tackle.Rig;
import dusk.ledger.tackle.WeightLadder;
import dusk.ledger.units.Force;
import dusk.ledger.units.Length;
import dusk.ledger.units.Mass;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;

/**
 * Set-ups as the trade usually puts them together, in the colours and weights that rules speak of: what an adviser can
 * name where nobody has fished anything yet.
 */
final class Archetypes {
    private static final String PLAIN = "green pumpkin";

    private Archetypes() {}

    /**
     * All rigs with a plastic, each in some colours and weights.
     *
     * @param colours to offer beside a plain one
     * @param masses head weights to offer beside the usual one, as the ladder writes them
     */
    static List<SetUp> of(Set<String> colours, Set<String> masses) {
        Set<String> all = new LinkedHashSet<>(List.of(PLAIN));
        all.addAll(colours);
        List<SetUp> made = new ArrayList<>();
        for (Rig rig : Rig.all()) {
            SetUp usual = usual(rig);
            if (usual.plastic() != null && !rig.name().equals("hard bait")) {
                for (Mass mass : masses(usual, masses)) {
                    all.forEach(colour -> made.add(SetUpBuilder.builder(usual)
                            .id(id(rig, colour) + (mass == null ? "" : ":" + mass.grams()))
                            .colour(colour)
                            .headMass(mass)
                            .build()));
                }
            }
        }
        return made;
    }

    private static String id(Rig rig, String colour) {
        return ("usual:" + rig.name() + ":" + colour).replace(' ', '-');
    }

    private static List<Mass> masses(SetUp usual, Set<String> offered) {
        Mass own = usual.headMass();
        if (own == null) {
            List<Mass> none = new ArrayList<>();
            none.add(null);
            return none;
        }
        WeightLadder ladder = WeightLadder.of(Mass.Unit.GRAM);
        double most = ladder.up(own).flatMap(ladder::up).orElse(own).grams();
        double least = ladder.down(own).flatMap(ladder::down).orElse(own).grams();
        return Stream.concat(
                        Stream.of(own),
                        offered.stream()
                                .map(step -> Mass.parse(step, Mass.Unit.GRAM))
                                .filter(m -> m.grams() >= least && m.grams() <= most && m.grams() != own.grams()))
                .toList();
    }

    /** A rig with its usual parts. */
    static SetUp usual(Rig rig) {
        Cells cells = new Cells()
                .with("setup_id", id(rig, PLAIN))
                .with("rig", rig.name())
                .with("colour", PLAIN);
        for (FileColumn<SetUp> column : LedgerFormat.SETUPS.columns()) {
            String typed = rig.usual().get(column.name());
            if (typed != null) {
                cells.with(column.name(), value(column, typed));
            }
        }
        return LedgerFormat.SETUPS.read(cells);
    }

    private static Object value(FileColumn<SetUp> column, String typed) {
        String name = column.name();
        if (name.endsWith("_g")) {
            return Mass.parse(typed, Mass.Unit.GRAM).grams();
        } else if (name.endsWith("_mm")) {
            return Length.parse(typed, Length.Unit.MILLIMETRE).millimetres();
        } else if (name.endsWith("_n")) {
            return Force.parse(typed, Force.Unit.KILOGRAM_TEST).newtons();
        }
        return column.kind() == FileColumn.Kind.YES_NO ? (Object) Boolean.valueOf(typed) : typed;
    }
}
