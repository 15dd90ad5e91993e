package dusk.ledger.web.out;

import dusk.ledger.format.FileColumn;
import dusk.ledger.format.LedgerFormat;
import dusk.ledger.format.Table;
import dusk.ledger.interchange.PackageWriter;
import dusk.ledger.interchange.PlaceFiles;
import dusk.ledger.journal.Ledger;
import dusk.ledger.journal.Spot;
import dusk.ledger.sheets.SheetWriter;
import dusk.ledger.web.records.OwnRecords;
import dusk.ledger.web.records.Person;
import dusk.ledger.web.store.Clubs;
import dusk.ledger.web.store.LedgerRows;
import dusk.ledger.web.store.NotYours;
import dusk.ledger.web.store.Viewer;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;

/** Files to take out. A place that somebody keeps is in none of them but its keeper's own. */
@Controller
class OutController {
    private final LedgerRows rows;
    private final Clubs clubs;
    private final OwnRecords own;

    OutController(LedgerRows rows, Clubs clubs, OwnRecords own) {
        this.rows = rows;
        this.clubs = clubs;
        this.own = own;
    }

    @GetMapping("/out")
    String page(Person person, Model model) {
        model.addAttribute("files", LedgerFormat.ALL.stream().map(Table::name).toList());
        model.addAttribute("officer", person.viewer().officer());
        return "out/out";
    }

    /** A file of the record as a table. */
    @GetMapping("/out/{file}.{form:csv|xlsx}")
    void table(Person person, @PathVariable String file, @PathVariable String form, HttpServletResponse response)
            throws IOException {
        Table<?> table = LedgerFormat.ALL.stream()
                .filter(t -> t.name().equals(file))
                .findFirst()
                .orElseThrow(NotYours::new);
        SheetWriter.Written written = written(person.viewer(), table);
        attach(
                response,
                file + "." + form,
                form.equals("csv")
                        ? "text/csv;charset=UTF-8"
                        : "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet");
        if (form.equals("csv")) {
            SheetWriter.csv(List.of(written), response.getOutputStream());
        } else {
            SheetWriter.workbook(List.of(written), response.getOutputStream());
        }
    }

    private <T> SheetWriter.Written written(Viewer viewer, Table<T> table) {
        List<List<String>> cells = new ArrayList<>();
        cells.add(table.columns().stream().map(FileColumn::name).toList());
        for (T row : rows.all(viewer, table)) {
            cells.add(table.columns().stream()
                    .map(c -> Objects.toString(c.value().apply(row), ""))
                    .toList());
        }
        return new SheetWriter.Written(table.name(), cells);
    }

    /** Places with a position, for a map or a device. */
    @GetMapping("/out/places.{form:geojson|gpx}")
    void places(Person person, @PathVariable String form, HttpServletResponse response) throws IOException {
        List<Spot> places = rows.all(person.viewer(), LedgerFormat.SPOTS);
        attach(response, "places." + form, form.equals("gpx") ? "application/gpx+xml" : "application/geo+json");
        if (form.equals("gpx")) {
            PlaceFiles.gpx(places, response.getOutputStream());
        } else {
            PlaceFiles.geoJson(places, response.getOutputStream());
        }
    }

    /** One's own data whole, as a package: trips that one fished or logged, with one's own stints and places. */
    @GetMapping("/out/mine.zip")
    void mine(Person person, HttpServletResponse response) throws IOException {
        Ledger mine = own.of(person.viewer());
        attach(response, "mine.zip", "application/zip");
        String club = clubs.byId(person.clubId()).map(Clubs.Club::name).orElse("");
        PackageWriter.writeZip(mine, person.name() + ", " + club, response.getOutputStream());
    }

    private static void attach(HttpServletResponse response, String name, String type) {
        response.setContentType(type);
        response.setHeader("Content-Disposition", "attachment; filename=\"" + name + "\"");
    }
}
