package dusk.ledger.interchange;

import java.util.List;
import java.util.stream.Collectors;

/** A package that cannot be taken, with every fault found in it. Nothing of it may be stored. */
public final class Refused extends Exception {
    private static final long serialVersionUID = 1;

    private final transient List<Fault> faults;

    Refused(List<Fault> faults) {
        super(faults.stream().map(Fault::toString).collect(Collectors.joining("\n")));
        this.faults = List.copyOf(faults);
    }

    public List<Fault> faults() {
        return faults;
    }
}
