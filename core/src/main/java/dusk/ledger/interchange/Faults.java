package dusk.ledger.interchange;

import java.util.ArrayList;
import java.util.List;

/** What is wrong with a package: all of it counted, the first of it kept, so that a file wrong in every row fills no memory. */
final class Faults {
    private final int kept;
    private final List<Fault> first = new ArrayList<>();
    private long count;

    /** @param kept how many are kept to be shown */
    Faults(int kept) {
        this.kept = kept;
    }

    void add(Fault fault) {
        count++;
        if (first.size() < kept) {
            first.add(fault);
        }
    }

    /** Of a whole file. */
    void add(String file, String message) {
        add(new Fault(file, 0, "", message));
    }

    /** Of those that were counted elsewhere. */
    void countAll(long all) {
        count = all;
    }

    long count() {
        return count;
    }

    boolean none() {
        return count == 0;
    }

    List<Fault> first() {
        return first;
    }
}
