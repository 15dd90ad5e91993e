/** Measurements, not tests: how long the reckoning takes, and what the same counting takes two database engines. */
package dusk.ledger.bench;
