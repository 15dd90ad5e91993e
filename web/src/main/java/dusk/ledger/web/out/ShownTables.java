package dusk.ledger.web.out;

import dusk.ledger.sheets.SheetWriter;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import org.springframework.web.util.ContentCachingResponseWrapper;

/**
 * Gives the tables of any page as a file, just as they are shown to whoever asks: in their units, with what they may see.
 * A page's own address with {@code out=csv} or {@code out=xlsx} behind it. It stands behind the sign-in.
 */
@Component
class ShownTables extends OncePerRequestFilter {
    private static final Set<String> FORMS = Set.of("csv", "xlsx");

    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        return !request.getMethod().equals("GET") || !FORMS.contains(String.valueOf(request.getParameter("out")));
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        ContentCachingResponseWrapper page = new ContentCachingResponseWrapper(response);
        chain.doFilter(request, page);
        boolean html = String.valueOf(page.getContentType()).startsWith("text/html");
        List<SheetWriter.Written> tables = page.getStatus() == HttpServletResponse.SC_OK && html
                ? tables(new String(page.getContentAsByteArray(), StandardCharsets.UTF_8))
                : List.of();
        if (tables.isEmpty()) {
            page.copyBodyToResponse();
            return;
        }
        page.resetBuffer();
        ByteArrayOutputStream file = new ByteArrayOutputStream();
        boolean csv = "csv".equals(request.getParameter("out"));
        if (csv) {
            SheetWriter.csv(tables, file);
        } else {
            SheetWriter.workbook(tables, file);
        }
        response.setContentType(
                csv ? "text/csv;charset=UTF-8" : "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet");
        String path = request.getRequestURI();
        String name = path.substring(path.lastIndexOf('/') + 1).replaceAll("[^A-Za-z0-9-]", "");
        response.setHeader(
                "Content-Disposition",
                "attachment; filename=\"" + (name.isEmpty() ? "table" : name) + (csv ? ".csv" : ".xlsx") + "\"");
        response.setContentLength(file.size());
        response.getOutputStream().write(file.toByteArray());
    }

    private static List<SheetWriter.Written> tables(String html) {
        Document page = Jsoup.parse(html);
        List<SheetWriter.Written> tables = new ArrayList<>();
        for (Element table : page.select("main table")) {
            Element caption = table.selectFirst("caption");
            Element heading = page.selectFirst("h1");
            String name = caption != null ? caption.text() : heading != null ? heading.text() : "Table";
            List<List<String>> rows = new ArrayList<>();
            for (Element row : table.select("tr")) {
                List<String> cells = new ArrayList<>();
                for (Element cell : row.select("> th, > td")) {
                    cells.add(cell.text());
                    for (int more = 1; more < span(cell); more++) {
                        cells.add("");
                    }
                }
                rows.add(cells);
            }
            tables.add(new SheetWriter.Written(name, rows));
        }
        return tables;
    }

    private static int span(Element cell) {
        String span = cell.attr("colspan");
        return span.matches("[1-9]") ? Character.digit(span.charAt(0), 10) : 1;
    }
}
