package dusk.ledger.instruments;

import java.time.Instant;

/** What a kind of instrument says, understood one line or one report at a time. */
@FunctionalInterface
public interface Language {
    /**
     * Never throws, whatever the text.
     *
     * @param text a line without its end, or a whole report
     * @param at when it came
     */
    Heard hear(String text, Instant at);
}
