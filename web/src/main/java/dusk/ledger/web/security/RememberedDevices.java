package dusk.ledger.web.security;

import dusk.ledger.web.records.Devices;
import dusk.ledger.web.records.People;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.userdetails.UserDetails;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.core.userdetails.UsernameNotFoundException;
import org.springframework.security.web.authentication.rememberme.AbstractRememberMeServices;
import org.springframework.security.web.authentication.rememberme.InvalidCookieException;

/**
 * Who signs in stays so on that device, across restarts of the server, until the device is signed out or was away too
 * long. The cookie's secret is not changed with each use, as it is in the framework's own persistent tokens: a deck that
 * comes back from where there is no signal sends several requests at once, and the second of them would look like a thief.
 */
final class RememberedDevices extends AbstractRememberMeServices {
    /** The id of the device in its session. */
    static final String DEVICE = RememberedDevices.class.getName();

    private static final String COOKIE = "dusk-device";

    private final Devices devices;
    private final People people;

    RememberedDevices(String key, UserDetailsService users, Devices devices, People people) {
        super(key, users);
        this.devices = devices;
        this.people = people;
        setAlwaysRemember(true);
        setCookieName(COOKIE);
        setTokenValiditySeconds((int) Devices.REMEMBERED.toSeconds());
        setCookieCustomizer(cookie -> cookie.setAttribute("SameSite", "Lax"));
    }

    @Override
    protected void onLoginSuccess(
            HttpServletRequest request, HttpServletResponse response, Authentication authentication) {
        if (authentication.getPrincipal() instanceof SignedIn signedIn) {
            forget(request);
            Devices.Held held = devices.begin(signedIn.personId(), DeviceName.of(request.getHeader("User-Agent")));
            setCookie(new String[] {held.id(), held.secret()}, getTokenValiditySeconds(), request, response);
            request.getSession().setAttribute(DEVICE, held.id());
        }
    }

    @Override
    protected UserDetails processAutoLoginCookie(
            String[] tokens, HttpServletRequest request, HttpServletResponse response) {
        if (tokens.length != 2) {
            throw new InvalidCookieException("a device holds its id and its secret");
        }
        String personId = devices.recognise(new Devices.Held(tokens[0], tokens[1]))
                .orElseThrow(() -> new InvalidCookieException("a device that is signed out"));
        request.getSession().setAttribute(DEVICE, tokens[0]);
        // the cookie lasts as long as the device is remembered, which begins anew whenever it is seen
        setCookie(tokens, getTokenValiditySeconds(), request, response);
        return SignedIn.of(people, personId).orElseThrow(() -> new UsernameNotFoundException("somebody who left"));
    }

    /** Signing out signs this device out, and no other. */
    @Override
    public void logout(
            HttpServletRequest request, HttpServletResponse response, @Nullable Authentication authentication) {
        forget(request);
        super.logout(request, response, authentication);
    }

    private void forget(HttpServletRequest request) {
        held(request)
                .ifPresent(held -> devices.recognise(held).ifPresent(personId -> devices.end(personId, held.id())));
    }

    private Optional<Devices.Held> held(HttpServletRequest request) {
        String cookie = extractRememberMeCookie(request);
        if (cookie == null || cookie.isEmpty()) {
            return Optional.empty();
        }
        try {
            String[] tokens = decodeCookie(cookie);
            return tokens.length == 2 ? Optional.of(new Devices.Held(tokens[0], tokens[1])) : Optional.empty();
        } catch (InvalidCookieException e) {
            return Optional.empty();
        }
    }
}
