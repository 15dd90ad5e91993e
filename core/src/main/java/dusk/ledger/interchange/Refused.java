package dusk.ledger.interchange;

import java.util.List;
import java.util.stream.Collectors;

/** A package that cannot be taken, with all its faults counted and the first of them. Nothing of it may be stored. */
public final class Refused extends Exception {
    private static final long serialVersionUID = 1;

    private final transient List<Fault> faults;
    private final long count;

    Refused(Faults faults) {
        super(words(faults));
        this.faults = List.copyOf(faults.first());
        count = faults.count();
    }

    /** For one fault of a whole file. */
    public static Refused of(Fault fault) {
        return of(List.of(fault), 1);
    }

    /**
     * For some faults.
     *
     * @param count how many there are in all
     */
    public static Refused of(List<Fault> first, long count) {
        Faults faults = new Faults(first.size());
        first.forEach(faults::add);
        faults.countAll(count);
        return new Refused(faults);
    }

    private static String words(Faults faults) {
        String first = faults.first().stream().map(Fault::toString).collect(Collectors.joining("\n"));
        long more = faults.count() - faults.first().size();
        return more == 0 ? first : first + "\nand " + more + " more";
    }

    /** The first of them, in the order they were found. */
    public List<Fault> faults() {
        return faults;
    }

    /** How many there are. */
    public long count() {
        return count;
    }
}
