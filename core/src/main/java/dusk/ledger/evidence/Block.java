package dusk.ledger.evidence;

/**
 * Fish and effort of both sides in one block: the same place, time and angler, or whatever was matched on.
 *
 * @param cluster blocks of one cluster, as a rule a trip, vary together
 * @param x fish on A
 * @param n1 effort on A
 * @param z fish on B
 * @param n0 effort on B
 */
record Block(int cluster, double x, double n1, double z, double n0) {
    /** Whether both sides were fished in it: only then it speaks. */
    boolean bothSides() {
        return n1 > 0 && n0 > 0;
    }

    double fish() {
        return x + z;
    }

    double effort() {
        return n1 + n0;
    }
}
