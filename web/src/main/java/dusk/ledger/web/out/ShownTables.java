package dusk.ledger.web.out;

import dusk.ledger.sheets.SheetWriter;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** The tables of a page as a CSV file or a workbook. */
@Component
class ShownTables extends OfAPage {
    private static final String CSV = "csv";

    ShownTables() {
        super(Set.of(CSV, "xlsx"));
    }

    @Override
    @Nullable
    Taken take(Document page, String form) throws IOException {
        List<SheetWriter.Written> tables = tables(page);
        if (tables.isEmpty()) {
            return null;
        }
        ByteArrayOutputStream file = new ByteArrayOutputStream();
        if (form.equals(CSV)) {
            SheetWriter.csv(tables, file);
            return new Taken("text/csv;charset=UTF-8", form, file.toByteArray());
        }
        SheetWriter.workbook(tables, file);
        return new Taken("application/vnd.openxmlformats-officedocument.spreadsheetml.sheet", form, file.toByteArray());
    }

    private static List<SheetWriter.Written> tables(Document page) {
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
