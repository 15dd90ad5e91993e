package dusk.ledger.instruments;

import java.util.List;

/** What a line or a report came to. */
public sealed interface Heard {
    /** Values; none for a line that is in order and says nothing of ours. */
    record Values(List<Sample> samples) implements Heard {
        public Values {
            samples = List.copyOf(samples);
        }
    }

    /** Not to be read. @param why in words that can follow a colon */
    record Garbled(String why) implements Heard {}

    /** Nothing of ours, and nothing wrong. */
    Heard NOTHING = new Values(List.of());
}
