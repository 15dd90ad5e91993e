package dusk.ledger.web.records;

import dusk.ledger.web.store.Clubs;
import dusk.ledger.web.store.NewId;
import dusk.ledger.web.store.Store;
import dusk.ledger.web.store.Viewer;
import org.springframework.stereotype.Component;

/** How a club begins and how people come into it, each whole or not at all: no store is left that nobody can sign in to. */
@Component
public class Membership {
    private final Store store;
    private final Clubs clubs;
    private final People people;
    private final Anglers anglers;
    private final NewId newId;

    Membership(Store store, Clubs clubs, People people, Anglers anglers, NewId newId) {
        this.store = store;
        this.clubs = clubs;
        this.people = people;
        this.anglers = anglers;
        this.newId = newId;
    }

    /** Who comes in. */
    public record Newcomer(String signIn, String name, String password) {}

    /** Makes a club and its first records officer; their id. */
    public String found(String club, Newcomer officer) {
        return store.writeApart(tx -> {
            String clubId = newId.next();
            clubs.found(new Clubs.Club(clubId, club));
            return join(clubId, officer, Viewer.Role.OFFICER);
        });
    }

    /** Brings a person into a club, as the angler of their name, else as a new one; their id. */
    public String join(String clubId, Newcomer newcomer, Viewer.Role role) {
        return store.writeApart(tx -> {
            String angler = anglers.named(Viewer.club(clubId), newcomer.name());
            return people.add(clubId, newcomer.signIn(), newcomer.name(), newcomer.password(), role, angler);
        });
    }
}
