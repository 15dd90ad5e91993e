package dusk.ledger.web.out;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Set;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jspecify.annotations.Nullable;
import org.springframework.web.filter.OncePerRequestFilter;
import org.springframework.web.util.ContentCachingResponseWrapper;

/**
 * Gives parts of any page as a file, just as they are shown to whoever asks: in their units, with what they may see. It is
 * the page's own address with {@code out=} and the form behind it, and stands behind the sign-in, so that a file never
 * holds more than the page.
 */
abstract class OfAPage extends OncePerRequestFilter {
    private final Set<String> forms;

    /** @param forms what may stand behind {@code out=} */
    OfAPage(Set<String> forms) {
        this.forms = Set.copyOf(forms);
    }

    /**
     * A file.
     *
     * @param ending of its name
     */
    record Taken(String type, String ending, byte[] bytes) {}

    /** The file of a page; null where it has nothing of the kind. */
    abstract @Nullable Taken take(Document page, String form) throws IOException;

    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        return !request.getMethod().equals("GET") || !forms.contains(String.valueOf(request.getParameter("out")));
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        ContentCachingResponseWrapper page = new ContentCachingResponseWrapper(response);
        chain.doFilter(request, page);
        boolean html = String.valueOf(page.getContentType()).startsWith("text/html");
        Taken taken;
        try {
            taken = page.getStatus() == HttpServletResponse.SC_OK && html
                    ? take(
                            Jsoup.parse(new String(page.getContentAsByteArray(), StandardCharsets.UTF_8)),
                            String.valueOf(request.getParameter("out")))
                    : null;
        } catch (Raster.NoFonts e) {
            response.setStatus(HttpServletResponse.SC_SERVICE_UNAVAILABLE);
            response.setContentType("text/plain;charset=UTF-8");
            response.getWriter().write(String.valueOf(e.getMessage()));
            return;
        }
        if (taken == null) {
            page.copyBodyToResponse();
            return;
        }
        page.resetBuffer();
        response.setContentType(taken.type());
        String path = request.getRequestURI();
        String name = path.substring(path.lastIndexOf('/') + 1).replaceAll("[^A-Za-z0-9-]", "");
        response.setHeader(
                "Content-Disposition",
                "attachment; filename=\"" + (name.isEmpty() ? "page" : name) + "." + taken.ending() + "\"");
        response.setContentLength(taken.bytes().length);
        response.getOutputStream().write(taken.bytes());
    }
}
