package dusk.ledger.web.debrief;

import dusk.ledger.journal.SetUp;
import dusk.ledger.journal.Spot;
import dusk.ledger.journal.Stint;
import dusk.ledger.units.UnitSystem;
import dusk.ledger.web.words.PlaceWords;
import dusk.ledger.web.words.SetUpWords;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;

/** What changed between one stint of a rod and its next. */
final class Breaks {
    private Breaks() {}

    /** In words; empty where the rod was only put down and picked up. */
    static String words(DayRecord day, Stint before, Stint after, UnitSystem units) {
        List<String> changes = new ArrayList<>();
        Spot to = day.spot(after);
        if (!Objects.equals(before.spotId(), after.spotId())) {
            changes.add(to == null ? "moved" : "to " + PlaceWords.of(to));
        }
        SetUp from = day.setUps().get(before.setUpId());
        SetUp next = day.setUps().get(after.setUpId());
        if (from != null && next != null && !before.setUpId().equals(after.setUpId())) {
            changes.add(
                    next.id().equals(from.fromSetUpId()) || from.id().equals(next.fromSetUpId())
                            ? SetUpWords.changed(from, next, units)
                            : SetUpWords.of(next, units));
        }
        if (!Objects.equals(before.presentation(), after.presentation()) && after.presentation() != null) {
            changes.add(after.presentation());
        }
        return String.join("; ", changes);
    }
}
