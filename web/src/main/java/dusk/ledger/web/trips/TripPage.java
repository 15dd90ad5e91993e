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
        List<SignLine> signs,
        List<StintLine> stints,
        Totals totals) {

    record ReadingLine(String id, String at, List<String> facts) {}

    /** @param words such as {@code birds at Kiln Point: gulls, far out} */
    record SignLine(String id, String at, String words) {}

    /**
     * A stint: effort on the left page, what came of it on the right.
     *
     * @param effort such as {@code 35 min}
     * @param placeToChange id of the place, where the reader may change it; else empty
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
            List<FishLine> fish,
            List<LossLine> lost,
            String placeToChange) {}

    /** @param words such as {@code 2 lost: hook straightened} */
    record LossLine(String id, String words) {}

    record FishLine(String id, String words, List<String> cautions) {}

    /** @param rate fish a rod-hour; null before any effort */
    record Totals(
            String rodHours,
            int stints,
            int blanks,
            int fish,
            @Nullable String rate) {}
}
