package dusk.ledger.web.security;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.net.URI;
import org.springframework.security.web.RedirectStrategy;

/** Sends on to a path of this server, whatever the request said the server's name is. */
final class OwnAddress implements RedirectStrategy {
    @Override
    public void sendRedirect(HttpServletRequest request, HttpServletResponse response, String url) throws IOException {
        URI to = URI.create(url);
        String path = to.getRawPath().replaceFirst("^/+", "/");
        String query = to.getRawQuery() == null ? "" : "?" + to.getRawQuery();
        response.sendRedirect(path + query);
    }
}
