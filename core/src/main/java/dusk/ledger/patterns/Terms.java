package dusk.ledger.patterns;

import dusk.ledger.vocabulary.Factor;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/** The search's terms, numbered: every recorded level of every tackle and condition factor that occurs with two levels or more. */
final class Terms {
    /** A factor with its codes by place, and the number of its first term; the term of code c is first + c - 1. */
    @SuppressWarnings("ArrayRecordComponent") // shared with the layout, never changed
    record Coded(Factor factor, int[] codes, int levels, int first) {
        boolean tackle() {
            return factor.kind() == Factor.Kind.TACKLE;
        }
    }

    final List<Term> all = new ArrayList<>();
    final List<Coded> tackle = new ArrayList<>();
    final List<Coded> conditions = new ArrayList<>();
    private final List<Coded> byTerm = new ArrayList<>();

    Terms(Layout layout) {
        for (Factor factor : Factor.values()) {
            boolean tackled = factor.kind() == Factor.Kind.TACKLE;
            if (!tackled && factor.kind() != Factor.Kind.CONDITION) {
                continue;
            }
            List<String> levels = layout.levels(factor);
            int[] codes = layout.codes(factor);
            long occurring = Arrays.stream(codes).filter(c -> c > 0).distinct().count();
            if (occurring < 2) {
                continue;
            }
            Coded coded = new Coded(factor, codes, levels.size(), all.size());
            (tackled ? tackle : conditions).add(coded);
            for (String level : levels.subList(1, levels.size())) {
                all.add(new Term(factor, level));
                byTerm.add(coded);
            }
        }
    }

    /** The coded factor of a term. */
    Coded of(int term) {
        return byTerm.get(term);
    }
}
