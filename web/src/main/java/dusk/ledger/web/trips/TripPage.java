package dusk.ledger.web.trips;

import dusk.ledger.web.frame.HorizonStrip;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** A trip as its page lays it out: everything in words and in the reader's units. */
record TripPage(
        String id,
        String water,
        String date,
        String times,
        String note,
        boolean mayAdd,
        boolean mayChange,
        boolean mayDelete,
        boolean live,
        HorizonStrip strip,
        List<ReadingLine> readings,
        List<StintLine> stints,
        Totals totals) {

    record ReadingLine(String id, String at, List<String> facts) {}

    /**
     * A stint: effort on the left page, what came of it on the right.
     *
     * @param effort such as {@code 35 min}
     * @param came such as {@code 3 bites, 2 hooked, 1 lost}
     */
    record StintLine(
            String id,
            boolean mayChange,
            String from,
            String effort,
            String angler,
            String place,
            String setUp,
            String portrait,
            String how,
            String came,
            List<FishLine> fish) {}

    record FishLine(String id, String words, List<String> cautions) {}

    /** @param rate fish a rod-hour; null before any effort */
    record Totals(
            String rodHours,
            int stints,
            int blanks,
            int fish,
            @Nullable String rate) {}
}
