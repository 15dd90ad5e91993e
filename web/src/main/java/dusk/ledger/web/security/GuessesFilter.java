package dusk.ledger.web.security;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Objects;
import org.springframework.web.filter.OncePerRequestFilter;

/** Turns away a try to sign in that comes too soon after too many others. */
final class GuessesFilter extends OncePerRequestFilter {
    private final Guesses guesses;

    GuessesFilter(Guesses guesses) {
        this.guesses = guesses;
    }

    static String name(HttpServletRequest request) {
        return Objects.requireNonNullElse(request.getParameter("username"), "");
    }

    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        return !request.getMethod().equals("POST") || !request.getRequestURI().equals("/sign-in");
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if (guesses.take(name(request), request.getRemoteAddr())) {
            chain.doFilter(request, response);
        } else {
            response.sendRedirect("/sign-in?slow");
        }
    }
}
