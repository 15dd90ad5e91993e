/** Measurements, not tests: how long reckoning and pages take, and what the same counting takes two database engines. */
package dusk.ledger.bench;
