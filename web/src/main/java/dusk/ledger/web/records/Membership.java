package dusk.ledger.web.records;

import dusk.ledger.journal.Angler;
import dusk.ledger.journal.Invalid;
import dusk.ledger.web.store.Clubs;
import dusk.ledger.web.store.NewId;
import dusk.ledger.web.store.Store;
import dusk.ledger.web.store.Viewer;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
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
            return join(clubId, officer, Viewer.Role.OFFICER, null);
        });
    }

    /** The same for the first club of a store; nothing where another hand was quicker. */
    public Optional<String> begin(String club, Newcomer officer) {
        return store.writeApart(tx -> clubs.all().isEmpty() ? Optional.of(found(club, officer)) : Optional.empty());
    }

    /**
     * Brings in whoever holds a link, and uses it up; their id, or nothing where the link is no longer good.
     *
     * @throws Invalid as {@link #join} does
     */
    public Optional<String> accept(String token, Newcomer newcomer, Instant now) {
        return store.writeApart(tx -> invitations
                .of(token, now)
                .filter(invited -> invitations.use(token))
                .map(invited -> join(invited.clubId(), newcomer, invited.role(), null)));
    }

    /**
     * Brings a person into a club; their id.
     *
     * @param anglerId whose records are theirs, as an officer said; null for somebody new in the records, since a name
     *     alone proves nothing
     * @throws Invalid where the name to sign in with, or the angler, is somebody else's
     */
    public String join(String clubId, Newcomer newcomer, Viewer.Role role, @Nullable String anglerId) {
        return store.writeApart(tx -> {
            Viewer club = Viewer.club(clubId);
            if (people.bySignIn(newcomer.signIn()).isPresent()) {
                throw refused("username", "“" + newcomer.signIn() + "” is taken. Choose another.");
            }
            if (anglerId != null && free(club).stream().noneMatch(a -> a.id().equals(anglerId))) {
                throw refused("angler_id", "These are somebody’s already. Choose another, or someone new.");
            }
            String angler = anglerId == null ? anglers.add(club, newcomer.name()) : anglerId;
            return people.add(clubId, newcomer.signIn(), newcomer.name(), newcomer.password(), role, angler);
        });
    }

    /** The anglers whose records are nobody's who signs in, by name. */
    public List<Angler> free(Viewer viewer) {
        Set<@Nullable String> taken =
                people.ofClub(viewer.clubId()).stream().map(Person::anglerId).collect(Collectors.toSet());
        return anglers.all(viewer).stream()
                .filter(angler -> !taken.contains(angler.id()))
                .toList();
    }

    private static Invalid refused(String field, String message) {
        return new Invalid(List.of(new Invalid.Problem(field, message)));
    }
}
