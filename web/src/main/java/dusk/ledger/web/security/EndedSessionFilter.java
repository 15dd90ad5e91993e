package dusk.ledger.web.security;

import dusk.ledger.web.records.People;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.io.IOException;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.web.filter.OncePerRequestFilter;

/** A session that began with a password which is no longer the person's, or whose person is gone, is over. */
final class EndedSessionFilter extends OncePerRequestFilter {
    private final People people;

    EndedSessionFilter(People people) {
        this.people = people;
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
        if (authentication != null
                && authentication.getPrincipal() instanceof SignedIn signedIn
                && !people.passwordHash(signedIn.personId())
                        .filter(signedIn.hash()::equals)
                        .isPresent()) {
            HttpSession session = request.getSession(false);
            if (session != null) {
                session.invalidate();
            }
            SecurityContextHolder.clearContext();
        }
        chain.doFilter(request, response);
    }
}
