package dusk.ledger.patterns;

/** What is summed of one choice during a sweep's run; one object, so that it lies together in memory. */
final class Choice extends Effect.Sums {
    final int number;

    /** Its combined level. */
    int level;

    int stints;

    // of the block at hand, or of the season's sole blocks
    boolean met;
    double x;
    double n1;

    /** Whether it has something in the trip at hand. */
    boolean open;

    // of the season at hand, what to take from the season's sums for the rest
    double restFish;
    double restExpected;
    int restBlocks;

    /** Last block that was taken out of its rest, by number from 1. */
    int takenOut;

    Choice(int number) {
        this.number = number;
    }

    void begin(int combinedLevel, int itsStints) {
        clear();
        level = combinedLevel;
        stints = itsStints;
    }

    /** Meets it for the first time in a block or season. */
    void meet() {
        met = true;
        x = 0;
        n1 = 0;
        restFish = 0;
        restExpected = 0;
        restBlocks = 0;
        takenOut = 0;
    }

    void add(double fish, double expected) {
        x += fish;
        n1 += expected;
    }

    void takeOut(double fish, double expected) {
        restFish -= fish;
        restExpected -= expected;
        restBlocks--;
    }
}
