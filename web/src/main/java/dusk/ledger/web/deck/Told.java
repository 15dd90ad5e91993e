package dusk.ledger.web.deck;

import dusk.ledger.web.instruments.Aboard;
import dusk.ledger.web.instruments.Lengths;
import dusk.ledger.web.instruments.Live;
import dusk.ledger.web.records.HeardColumns;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * What instruments tell a deck.
 *
 * @param live by column, what stands for now
 * @param noted by column, when an instrument was heard of it last that is in the record
 * @param boat how it lies; null where no feed says so
 * @param states of all that are listened to
 * @param castsToDeg where a fan of casts that is laid here points to; null where none is
 * @param length off a board, that no fish got; null for none
 */
record Told(
        Map<String, Live> live,
        Map<String, HeardColumns.Note> noted,
        Aboard.@Nullable Boat boat,
        List<Aboard.Listened> states,
        @Nullable Double castsToDeg,
        Lengths.@Nullable Measured length) {}
