package dusk.ledger.tackle;

import dusk.ledger.format.FileColumn;
import dusk.ledger.format.LedgerFormat;
import dusk.ledger.journal.SetUp;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;

/** Set-ups that are told apart in the record and hardly in the water: one word spelt two ways, 3.5 g and 1/8 oz, a part left out. */
public final class NearDuplicates {
    private static final double SAME_RATIO = 0.04;

    private NearDuplicates() {}

    /** Two set-ups and the columns in which their records differ by next to nothing. */
    public record Pair(SetUp one, SetUp other, List<String> columns) {}

    /** All pairs, in the order of the list. Two alike that came about by changing others are no slip of the pen. */
    public static List<Pair> among(List<SetUp> setUps) {
        // only those whose words are alike can be pairs: that leaves few to be compared
        Map<List<String>, List<Integer>> alike = new LinkedHashMap<>();
        for (int i = 0; i < setUps.size(); i++) {
            alike.computeIfAbsent(words(setUps.get(i)), w -> new ArrayList<>()).add(i);
        }
        Map<Integer, List<Pair>> byFirst = new TreeMap<>();
        for (List<Integer> group : alike.values()) {
            for (int a = 0; a < group.size(); a++) {
                for (int b = a + 1; b < group.size(); b++) {
                    pair(setUps.get(group.get(a)), setUps.get(group.get(b)))
                            .ifPresent(byFirst.computeIfAbsent(group.get(a), i -> new ArrayList<>())::add);
                }
            }
        }
        return byFirst.values().stream().flatMap(List::stream).toList();
    }

    private static Optional<Pair> pair(SetUp one, SetUp other) {
        List<String> differ = near(one, other);
        boolean change =
                differ != null && differ.isEmpty() && (one.fromSetUpId() != null || other.fromSetUpId() != null);
        return differ == null || change ? Optional.empty() : Optional.of(new Pair(one, other, differ));
    }

    private static List<String> words(SetUp setUp) {
        return LedgerFormat.SETUPS.columns().stream()
                .skip(2)
                .map(column -> column.value().apply(setUp))
                .filter(value -> !(value instanceof Double))
                .map(NearDuplicates::letters)
                .toList();
    }

    /** The columns they differ in, where all differ by next to nothing; null where one differs by more. */
    private static @Nullable List<String> near(SetUp one, SetUp other) {
        List<String> differ = Alteration.differences(one, other);
        for (FileColumn<SetUp> column : LedgerFormat.SETUPS.columns()) {
            if (differ.contains(column.name())
                    && !near(column.value().apply(one), column.value().apply(other))) {
                return null;
            }
        }
        return differ;
    }

    private static boolean near(@Nullable Object a, @Nullable Object b) {
        if (a instanceof Double x && b instanceof Double y) {
            return Math.abs(x - y) <= SAME_RATIO * Math.max(Math.abs(x), Math.abs(y));
        }
        return letters(a).equals(letters(b));
    }

    /** A word without case, spaces, hyphens and a plural's s; nothing for none. */
    private static String letters(@Nullable Object word) {
        String plain =
                word == null ? "" : word.toString().toLowerCase(Locale.ROOT).replaceAll("[^\\p{L}\\p{N}]", "");
        plain = plain.endsWith("s") ? plain.substring(0, plain.length() - 1) : plain;
        return plain.equals("none") ? "" : plain;
    }
}
