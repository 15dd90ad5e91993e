package dusk.ledger.format;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dusk.ledger.journal.Invalid;
import java.time.Instant;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** One list of columns serves the file, the store, the form and the reading of all of them. */
class ColumnsTest {
    /** A record of a test, with its builder. */
    record Knot(String id, @Nullable String name, @Nullable Double strengthN) {}

    static final class Tying {
        private String id = "";
        private @Nullable String name;
        private @Nullable Double strengthN;

        Knot build() {
            return new Knot(id, name, strengthN);
        }
    }

    private static Columns<Knot, Tying> knots() {
        return new Columns<Knot, Tying>(Tying::new, Tying::build)
                .id("knot_id", Knot::id, (tying, id) -> tying.id = id)
                .text("name", Knot::name, (tying, name) -> tying.name = name);
    }

    /** The line below is all that it takes for a column to be read, written and changed. */
    @Test
    void aNewColumnIsOneLine() {
        Table<Knot> longer = knots().number("strength_n", Knot::strengthN, (tying, n) -> tying.strengthN = n)
                .table("knots", false, ledger -> List.of());
        Table<Knot> shorter = knots().table("knots", false, ledger -> List.of());
        Cells cells = new Cells().with("knot_id", "k").with("name", "turle").with("strength_n", 80.0);
        Knot knot = longer.read(cells);
        assertThat(knot).isEqualTo(new Knot("k", "turle", 80.0));
        assertThat(longer.columns().get(2).value().apply(knot)).isEqualTo(80.0);
        assertThat(longer.changed(knot, Map.of("strength_n", 60.0))).isEqualTo(new Knot("k", "turle", 60.0));
        assertThat(shorter.columns()).hasSize(2);
        assertThat(longer.columns()).hasSize(3);
    }

    static List<Table<?>> tables() {
        return LedgerFormat.ALL;
    }

    @ParameterizedTest
    @MethodSource("tables")
    void everyTableNamesItsColumnsOnceAndItsIdFirst(Table<?> table) {
        List<String> names = table.columns().stream().map(FileColumn::name).toList();
        assertThat(names).doesNotHaveDuplicates();
        assertThat(names.get(0)).endsWith("_id");
        Set<String> known = new HashSet<>(names);
        assertThat(known).allSatisfy(name -> assertThat(name).matches("[a-z][a-z0-9_]*"));
    }

    @Test
    void aChangedRowHasTheNewCellsAndKeepsTheRest() {
        var trip = new dusk.ledger.journal.Trip("t", "lake", Instant.EPOCH, null, "calm");
        var ended = LedgerFormat.TRIPS.changed(trip, Map.of("ended_at", Instant.EPOCH.plusSeconds(60)));
        assertThat(ended.endedAt()).isEqualTo(Instant.EPOCH.plusSeconds(60));
        assertThat(ended.note()).isEqualTo("calm");
        assertThatThrownBy(() -> LedgerFormat.TRIPS.changed(trip, Map.of("ended_at", Instant.EPOCH.minusSeconds(1))))
                .isInstanceOf(Invalid.class);
    }
}
