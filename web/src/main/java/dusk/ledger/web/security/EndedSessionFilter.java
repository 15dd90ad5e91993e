package dusk.ledger.web.security;

import dusk.ledger.web.records.Devices;
import dusk.ledger.web.records.People;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.io.IOException;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * A session that began with a password which is no longer the person's, whose person is gone, or whose device was signed
 * out, is over.
 */
final class EndedSessionFilter extends OncePerRequestFilter {
    private final People people;
    private final Devices devices;

    EndedSessionFilter(People people, Devices devices) {
        this.people = people;
        this.devices = devices;
    }

    /** What a page is drawn with needs no person, and is asked for many times. */
    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        String path = request.getRequestURI();
        return path.startsWith("/fonts/")
                || path.startsWith("/js/")
                || path.startsWith("/webjars/")
                || path.equals("/app.css");
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        Authentication authentication = SecurityContextHolder.getContext().getAuthentication();
        HttpSession session = request.getSession(false);
        if (authentication != null
                && authentication.getPrincipal() instanceof SignedIn signedIn
                && !(stands(signedIn) && stands(session))) {
            if (session != null) {
                session.invalidate();
            }
            SecurityContextHolder.clearContext();
        }
        chain.doFilter(request, response);
    }

    private boolean stands(SignedIn signedIn) {
        return people.passwordHash(signedIn.personId())
                .filter(signedIn.hash()::equals)
                .isPresent();
    }

    private boolean stands(@Nullable HttpSession session) {
        Object device = session == null ? null : session.getAttribute(RememberedDevices.DEVICE);
        return !(device instanceof String id) || devices.known(id);
    }
}
