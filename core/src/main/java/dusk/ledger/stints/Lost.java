package dusk.ledger.stints;

/** Fish that were lost for a reason. */
record Lost(String cause, int count) {}
