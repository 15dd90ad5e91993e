package dusk.ledger.web.records;

import dusk.ledger.journal.Ledger;
import dusk.ledger.journal.SetUp;
import dusk.ledger.journal.Stint;
import dusk.ledger.web.store.LedgerRows;
import dusk.ledger.web.store.Viewer;
import java.util.HashSet;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** What is a person's own of the club's records, with what it stands on: a ledger by itself. */
@Component
public class OwnRecords {
    private final LedgerRows rows;

    OwnRecords(LedgerRows rows) {
        this.rows = rows;
    }

    /** Their stints with their fish; the trips of those, and those they logged; places they kept or fished, set-ups, rods, drops. */
    public Ledger of(Viewer viewer) {
        Ledger all = rows.ledger(viewer);
        String angler = String.valueOf(viewer.anglerId());
        List<Stint> stints =
                all.stints().stream().filter(s -> s.anglerId().equals(angler)).toList();
        Set<String> stintIds = ids(stints, Stint::id);
        Set<String> tripIds = ids(stints, Stint::tripId);
        all.trips().stream().filter(t -> angler.equals(t.loggedBy())).forEach(t -> tripIds.add(t.id()));
        Set<String> spotIds = ids(stints, Stint::spotId);
        all.spots().stream().filter(s -> angler.equals(s.keptBy())).forEach(s -> spotIds.add(s.id()));
        all.signs().stream()
                .filter(s -> tripIds.contains(s.tripId()))
                .forEach(s -> spotIds.add(String.valueOf(s.spotId())));
        Set<String> setUpIds = withForebears(all.setUps(), ids(stints, Stint::setUpId));
        all.drops().stream()
                .filter(d -> angler.equals(d.anglerId()))
                .forEach(d -> setUpIds.addAll(withForebears(all.setUps(), Set.of(d.setUpId()))));
        Set<String> rodIds = ids(stints, Stint::rodId);
        Set<String> anglerIds = new HashSet<>(Set.of(angler));
        all.trips().stream()
                .filter(t -> tripIds.contains(t.id()))
                .forEach(t -> anglerIds.add(String.valueOf(t.loggedBy())));
        all.spots().stream()
                .filter(s -> spotIds.contains(s.id()))
                .forEach(s -> anglerIds.add(String.valueOf(s.keptBy())));
        Set<String> waterIds = new HashSet<>();
        all.trips().stream().filter(t -> tripIds.contains(t.id())).forEach(t -> waterIds.add(t.waterId()));
        all.spots().stream().filter(s -> spotIds.contains(s.id())).forEach(s -> waterIds.add(s.waterId()));
        return new Ledger(
                all.anglers().stream().filter(a -> anglerIds.contains(a.id())).toList(),
                all.waters().stream().filter(w -> waterIds.contains(w.id())).toList(),
                all.spots().stream().filter(s -> spotIds.contains(s.id())).toList(),
                all.setUps().stream().filter(s -> setUpIds.contains(s.id())).toList(),
                all.rods().stream().filter(r -> rodIds.contains(r.id())).toList(),
                all.trips().stream().filter(t -> tripIds.contains(t.id())).toList(),
                all.readings().stream()
                        .filter(r -> tripIds.contains(r.tripId()))
                        .toList(),
                stints,
                all.catches().stream()
                        .filter(c -> stintIds.contains(c.stintId()))
                        .toList(),
                all.touches().stream()
                        .filter(t -> stintIds.contains(t.stintId()))
                        .toList(),
                all.signs().stream().filter(s -> tripIds.contains(s.tripId())).toList(),
                all.losses().stream()
                        .filter(l -> stintIds.contains(l.stintId()))
                        .toList(),
                all.drops().stream().filter(d -> angler.equals(d.anglerId())).toList(),
                all.rules().stream().filter(r -> waterIds.contains(r.waterId())).toList());
    }

    private static Set<String> ids(List<Stint> stints, Function<Stint, @org.jspecify.annotations.Nullable String> id) {
        return stints.stream().map(id).filter(Objects::nonNull).collect(Collectors.toCollection(HashSet::new));
    }

    /** Set-ups with those that they were made of, and what those were. */
    private static Set<String> withForebears(List<SetUp> all, Set<String> ids) {
        Set<String> found = new HashSet<>(ids);
        boolean more = true;
        while (more) {
            more = false;
            for (SetUp one : all) {
                if (found.contains(one.id()) && one.fromSetUpId() != null) {
                    more |= found.add(one.fromSetUpId());
                }
            }
        }
        return found;
    }
}
