package dusk.ledger.web.plan;

import dusk.ledger.journal.Water;
import dusk.ledger.web.records.Waters;
import dusk.ledger.web.store.Viewer;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;

/** The water that a page of the plan is about: the one asked for, else the one fished last. */
@Component
class PlannedWater {
    private final Waters waters;

    PlannedWater(Waters waters) {
        this.waters = waters;
    }

    /** Null in a club without a water. */
    @Nullable
    Water of(Viewer viewer, String asked, Model model) {
        List<Water> all = waters.all(viewer);
        if (all.isEmpty()) {
            return null;
        }
        Water water = all.stream()
                .filter(one -> one.id().equals(asked))
                .findFirst()
                .or(() -> waters.home(viewer))
                .orElse(all.get(0));
        model.addAttribute("waters", all);
        model.addAttribute("water", water);
        return water;
    }
}
