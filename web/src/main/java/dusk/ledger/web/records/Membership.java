package dusk.ledger.web.records;

import dusk.ledger.journal.Angler;
import dusk.ledger.journal.Invalid;
import dusk.ledger.web.store.Clubs;
import dusk.ledger.web.store.Deletions;
import dusk.ledger.web.store.NewId;
import dusk.ledger.web.store.Store;
import dusk.ledger.web.store.Viewer;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** How a club begins and how people come into it and leave it, each whole or not at all: no store is left that nobody can sign in to. */
@Component
public class Membership {
    private static final String LAST_OFFICER =
            "A club needs a records officer. Make somebody else one first, then it can be done.";

    private final Store store;
    private final Clubs clubs;
    private final People people;
    private final Anglers anglers;
    private final Invitations invitations;
    private final NewId newId;
    private final Devices devices;
    private final Deletions deletions;
    private final Clock clock;

    Membership(
            Store store,
            Clubs clubs,
            People people,
            Anglers anglers,
            Invitations invitations,
            Devices devices,
            Deletions deletions,
            NewId newId,
            Clock clock) {
        this.store = store;
        this.clubs = clubs;
        this.people = people;
        this.anglers = anglers;
        this.invitations = invitations;
        this.devices = devices;
        this.deletions = deletions;
        this.newId = newId;
        this.clock = clock;
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
                .filter(invited -> invited.role() != null && invitations.use(token))
                .map(invited ->
                        join(invited.clubId(), newcomer, Objects.requireNonNull(invited.role()), invited.anglerId())));
    }

    /** Lets somebody back in by a link with a new password, on no device as before; their id, or nothing where the link is no longer good. */
    public Optional<String> comeBack(String token, String password, Instant now) {
        return store.writeApart(tx -> invitations
                .of(token, now)
                .filter(invited -> invited.personId() != null && invitations.use(token))
                .map(invited -> {
                    String personId = Objects.requireNonNull(invited.personId());
                    people.setPassword(personId, password);
                    devices.endAll(personId, null);
                    return personId;
                }));
    }

    /**
     * Says what somebody may do from now on.
     *
     * @throws Invalid where the club would have no records officer any more
     */
    public void setRole(Person person, Viewer.Role role) {
        store.writeApart(tx -> {
            if (role != Viewer.Role.OFFICER && lastOfficer(person)) {
                throw refused("role", LAST_OFFICER);
            }
            people.setRole(person.id(), role);
            return role;
        });
    }

    /** What of somebody's records stays when they leave. */
    public enum Leaving {
        /** Records and name. */
        RECORDS,
        /** Records, with no name to them. */
        NAMELESS,
        /** Nothing: they have taken their records along. */
        NOTHING
    }

    /**
     * Somebody leaves the club.
     *
     * @throws Invalid where they are the last records officer
     */
    public void leave(Person person, Leaving leaving) {
        store.write(person.clubId(), tx -> {
            if (lastOfficer(person)) {
                throw refused("leave", LAST_OFFICER);
            }
            String angler = person.anglerId();
            if (angler != null && leaving != Leaving.RECORDS) {
                anglers.forgetName(person.viewer(), angler);
            }
            if (leaving == Leaving.NOTHING) {
                deletions.ownRecords(person.viewer(), "what " + person.name() + " took along on leaving");
            }
            devices.endAll(person.id(), null);
            people.leave(
                    person.id(), leaving == Leaving.RECORDS ? person.name() : "somebody who left", clock.instant());
            return leaving;
        });
    }

    private boolean lastOfficer(Person person) {
        return people.ofClub(person.clubId()).stream()
                .filter(p -> p.viewer().officer())
                .allMatch(p -> p.id().equals(person.id()));
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

    /**
     * The anglers whose records are nobody's who signs in, by name. Those of somebody who left stay theirs: who got them
     * would see the places that they kept to themselves.
     */
    public List<Angler> free(Viewer viewer) {
        Set<String> taken = people.anglersOf(viewer.clubId());
        return anglers.all(viewer).stream()
                .filter(angler -> !taken.contains(angler.id()))
                .toList();
    }

    private static Invalid refused(String field, String message) {
        return new Invalid(List.of(new Invalid.Problem(field, message)));
    }
}
