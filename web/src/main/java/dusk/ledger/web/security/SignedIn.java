package dusk.ledger.web.security;

import dusk.ledger.web.records.People;
import java.util.List;
import java.util.Optional;
import org.springframework.security.core.GrantedAuthority;
import org.springframework.security.core.userdetails.UserDetails;

/** Who signed in. Holds the id alone: role, club and settings are read anew with each request, so that a change counts at once. */
record SignedIn(String personId, String hash) implements UserDetails {
    /** Somebody of a club, with the password they have now; nothing for who is none or left. */
    static Optional<SignedIn> of(People people, String personId) {
        return people.passwordHash(personId).map(hash -> new SignedIn(personId, hash));
    }

    @Override
    public List<GrantedAuthority> getAuthorities() {
        return List.of();
    }

    @Override
    public String getPassword() {
        return hash;
    }

    @Override
    public String getUsername() {
        return personId;
    }
}
