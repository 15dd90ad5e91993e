package dusk.ledger.bench;

import dusk.ledger.demo.SimulatedClub;
import dusk.ledger.format.LedgerFormat;
import dusk.ledger.format.Table;
import dusk.ledger.journal.Angler;
import dusk.ledger.journal.Ledger;
import dusk.ledger.journal.SetUp;
import dusk.ledger.journal.Stint;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** Clubs to measure with. */
final class Clubs {
    private static final long SEED = 7;

    /** A plan's stints are a little fewer when drawn. */
    private static final double PLANNED_FOR_ONE = 1.165;

    private static final int BRANCHES = 5;
    private static final int OWN_KITS = 38;

    private Clubs() {}

    /** A club of about so many stints, with planted truths and traps; the same each time. */
    static Ledger of(int stints) {
        return SimulatedClub.draw(new SimulatedClub.Plan((int) Math.round(PLANNED_FOR_ONE * stints), 5, true), SEED)
                .ledger();
    }

    /** The same stints fished by five times as many anglers, each with set-ups logged as their own: long lists of both. */
    static Ledger ofMany(int stints) {
        Ledger club = of(stints);
        Map<String, SetUp> setUps = new LinkedHashMap<>();
        club.setUps().forEach(s -> setUps.put(s.id(), s));
        Map<String, Angler> everyone = new LinkedHashMap<>();
        Map<String, SetUp> everyones = new LinkedHashMap<>();
        List<Stint> fished = new ArrayList<>();
        for (Stint stint : club.stints()) {
            int trip = Integer.parseInt(stint.tripId().substring(1));
            String angler = stint.anglerId() + "-" + trip % BRANCHES;
            everyone.computeIfAbsent(angler, id -> new Angler(id, "Angler " + id.substring(1)));
            String setUp = stint.setUpId() + "-" + Math.floorMod(angler.hashCode(), OWN_KITS);
            everyones.computeIfAbsent(
                    setUp, id -> LedgerFormat.SETUPS.changed(setUps.get(stint.setUpId()), Map.of("setup_id", id)));
            fished.add(LedgerFormat.STINTS.changed(stint, Map.of("angler_id", angler, "setup_id", setUp)));
        }
        return LedgerFormat.ledger(new LedgerFormat.Source() {
            @Override
            @SuppressWarnings("unchecked") // a table's rows are of its type
            public <T> List<T> of(Table<T> table) {
                return (List<T>)
                        (table.equals(LedgerFormat.ANGLERS)
                                ? List.copyOf(everyone.values())
                                : table.equals(LedgerFormat.SETUPS)
                                        ? List.copyOf(everyones.values())
                                        : table.equals(LedgerFormat.STINTS)
                                                ? fished
                                                : table.rows().apply(club));
            }
        });
    }
}
