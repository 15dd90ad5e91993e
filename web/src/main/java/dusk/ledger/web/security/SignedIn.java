package dusk.ledger.web.security;

import java.util.List;
import org.springframework.security.core.GrantedAuthority;
import org.springframework.security.core.userdetails.UserDetails;

/** Who signed in. Holds the id alone: role, club and settings are read anew with each request, so that a change counts at once. */
record SignedIn(String personId, String hash) implements UserDetails {
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
