package dusk.ledger.tackle;

import dusk.ledger.format.FileColumn;
import dusk.ledger.format.LedgerFormat;
import dusk.ledger.journal.SetUp;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** A set-up is never altered once it was fished: a change makes a new one that knows which it came from. */
public final class Alteration {
    private static final Set<String> NAMES = Set.of("setup_id", "from_setup_id");

    private Alteration() {}

    /**
     * The set-up with some of it changed.
     *
     * @param cells by column of the ledger format, in its units; null takes the part away
     */
    public static SetUp of(SetUp from, String id, Map<String, ? extends @Nullable Object> cells) {
        Map<String, @Nullable Object> all = new HashMap<>(cells);
        all.put("setup_id", id);
        all.put("from_setup_id", from.id());
        return LedgerFormat.SETUPS.changed(from, all);
    }

    /** The columns in which two set-ups differ, beside their names. A part that is not there and one not recorded are told apart. */
    public static List<String> differences(SetUp one, SetUp other) {
        List<String> differ = new ArrayList<>();
        for (FileColumn<SetUp> column : LedgerFormat.SETUPS.columns()) {
            if (!NAMES.contains(column.name())
                    && !Objects.equals(column.value().apply(one), column.value().apply(other))) {
                differ.add(column.name());
            }
        }
        return differ;
    }
}
