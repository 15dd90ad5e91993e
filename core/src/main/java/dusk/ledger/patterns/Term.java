package dusk.ledger.patterns;

import dusk.ledger.vocabulary.Factor;

/** One factor at one level. */
public record Term(Factor factor, String level) implements Comparable<Term> {
    /** Whether the angler chose it. */
    public boolean tackle() {
        return factor.kind() == Factor.Kind.TACKLE;
    }

    @Override
    public int compareTo(Term other) {
        int byFactor = factor.compareTo(other.factor);
        return byFactor != 0 ? byFactor : level.compareTo(other.level);
    }

    @Override
    public String toString() {
        return factor.title() + " " + level;
    }
}
