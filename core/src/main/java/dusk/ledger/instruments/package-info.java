/**
 * Instruments: what a boat, a gauge, a weather station or a measuring board says, line by line and report by report, and
 * how far it may be believed. No network here: bytes come in as text, with the moment they came.
 */
@NullMarked
package dusk.ledger.instruments;

import org.jspecify.annotations.NullMarked;
