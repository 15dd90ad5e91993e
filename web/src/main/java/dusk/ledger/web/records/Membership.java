package dusk.ledger.web.records;

import dusk.ledger.web.store.Clubs;
import dusk.ledger.web.store.NewId;
import dusk.ledger.web.store.Store;
import dusk.ledger.web.store.Viewer;
import java.time.Instant;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** How a club begins and how people come into it, each whole or not at all: no store is left that nobody can sign in to. */
@Component
public class Membership {
    private final Store store;
    private final Clubs clubs;
    private final People people;
    private final Anglers anglers;
    private final Invitations invitations;
    private final NewId newId;

    Membership(Store store, Clubs clubs, People people, Anglers anglers, Invitations invitations, NewId newId) {
        this.store = store;
        this.clubs = clubs;
        this.people = people;
        this.anglers = anglers;
        this.invitations = invitations;
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

    /** Brings in whoever holds a link, and uses it up; their id, or nothing where the link is no longer good. */
    public Optional<String> accept(String token, Newcomer newcomer, Instant now) {
        return store.writeApart(tx -> invitations
                .of(token, now)
                .filter(invited -> invitations.use(token))
                .map(invited -> join(invited.clubId(), newcomer, invited.role())));
    }

    /** Brings a person into a club, as the angler of their name, else as a new one; their id. */
    public String join(String clubId, Newcomer newcomer, Viewer.Role role) {
        return store.writeApart(tx -> {
            String angler = anglers.named(Viewer.club(clubId), newcomer.name());
            return people.add(clubId, newcomer.signIn(), newcomer.name(), newcomer.password(), role, angler);
        });
    }
}
