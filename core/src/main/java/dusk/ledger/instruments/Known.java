package dusk.ledger.instruments;

import java.time.Instant;

/**
 * What a feed has to say of a column of the readings.
 *
 * @param cell as the format has it: a number in the column's unit, or a word
 * @param at when it was measured
 */
public record Known(String column, Object cell, Instant at) {}
