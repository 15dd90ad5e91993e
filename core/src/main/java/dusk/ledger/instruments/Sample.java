package dusk.ledger.instruments;

import java.time.Instant;

/**
 * One value of an instrument.
 *
 * @param value in the unit of the quantity's name
 * @param at when it was measured, as far as the instrument says so, else when it was heard
 */
public record Sample(Quantity quantity, double value, Instant at) {}
