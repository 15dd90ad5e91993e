package dusk.ledger.web.debrief;

import dusk.ledger.journal.SetUp;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** What a client takes home: their fish, what took them and the day's light. Never a place. */
record ClientCard(
        String trip,
        String anglerId,
        String name,
        String water,
        String date,
        String summary,
        List<String> fish,
        String setUp,
        @Nullable SetUp best,
        String on,
        String sun,
        String waterNow) {}
