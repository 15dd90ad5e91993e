package dusk.ledger.cli;

/** Bad input to a command: each line is a fault, and the exit code is 2. */
final class CommandFailure extends Exception {
    private static final long serialVersionUID = 1;

    CommandFailure(String faults) {
        super(faults);
    }
}
