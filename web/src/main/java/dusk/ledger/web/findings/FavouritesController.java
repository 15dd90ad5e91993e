package dusk.ledger.web.findings;

import dusk.ledger.evidence.Comparison;
import dusk.ledger.evidence.Favourites;
import dusk.ledger.evidence.Headline;
import dusk.ledger.evidence.LevelFigures;
import dusk.ledger.evidence.LikeForLike;
import dusk.ledger.evidence.Question;
import dusk.ledger.stints.StintTable;
import dusk.ledger.units.Figures;
import dusk.ledger.vocabulary.Factor;
import dusk.ledger.web.records.Person;
import dusk.ledger.web.security.ForReaders;
import dusk.ledger.web.store.RecentTables;
import dusk.ledger.web.store.Reckoned;
import jakarta.servlet.http.HttpServletResponse;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.util.UriUtils;

/** What is thrown most against what it earns. */
@Controller
@ForReaders
class FavouritesController {
    /** The draws are always the same for the same records. */
    private static final long SEED = 1;

    private final RecentTables tables;
    private final Reckoned reckoned;

    FavouritesController(RecentTables tables, Reckoned reckoned) {
        this.tables = tables;
        this.reckoned = reckoned;
    }

    /**
     * One choice. Shares are of the picture's width.
     *
     * @param width of the bar of its share of rod-hours
     * @param best of the bar of its chance of being the best
     */
    record Row(
            String level,
            String share,
            String width,
            String earns,
            int rank,
            String chance,
            String best,
            String note,
            String stintsAddress) {}

    @GetMapping("/findings/favourites")
    String favourites(
            Person person,
            @RequestParam(defaultValue = "colour") String factor,
            Model model,
            HttpServletResponse response) {
        StintTable table = tables.of(person.viewer());
        List<Factor> tackle = Arrays.stream(Factor.values())
                .filter(f -> f.kind() == Factor.Kind.TACKLE)
                .toList();
        model.addAttribute("nothing", table.size() == 0);
        model.addAttribute("factors", tackle);
        model.addAttribute("factor", factor);
        CompareAsk ask = CompareAsk.of(factor, List.of(), "", "", table, person.units());
        if (ask.question() == null || !tackle.contains(ask.question().factor())) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            model.addAttribute("error", "“" + factor + "” is not a choice of tackle. Choose one of the list.");
            return "findings/favourites";
        }
        Favourites favourites = favourites(table, ask.question());
        model.addAttribute("choiceOf", ask.question().factor().title());
        model.addAttribute(
                "sentence",
                Headline.ofFavourites(
                                favourites,
                                fair(table, ask.question()),
                                ask.question().factor())
                        .sentence());
        model.addAttribute(
                "rows",
                favourites.levels().stream()
                        .map(f -> row(factor, f, favourites))
                        .toList());
        return "findings/favourites";
    }

    private static Row row(String factor, Favourites.Favourite one, Favourites all) {
        double most = all.levels().get(0).share();
        LevelFigures figures = one.figures();
        return new Row(
                figures.level(),
                percent(one.share()),
                Figures.fixed(100 * one.share() / most, 2) + "%",
                figures.shrunk() == null ? "" : Figures.fixed(figures.shrunk().mean(), 2),
                one.rank(),
                percent(one.chanceBest()),
                Figures.fixed(100 * one.chanceBest(), 2) + "%",
                words(one.note()),
                "/findings/stints?where=" + UriUtils.encode(factor + "=" + figures.level(), StandardCharsets.UTF_8));
    }

    private static String percent(double share) {
        return share > 0 && share < 0.01 ? "under 1 %" : Figures.trimmed(100 * share, 0) + " %";
    }

    private static String words(Favourites.Note note) {
        return switch (note) {
            case NONE -> "";
            case THROWN_MUCH_EARNS_LITTLE -> "thrown much, earns little";
            case THROWN_LITTLE_PROMISING -> "thrown little, promising";
            case ONE_GREAT_TRIP -> "most of its fish came on one trip: no proof yet";
        };
    }

    private Favourites favourites(StintTable table, Question question) {
        return reckoned.of(table, Favourites.class, question, t -> Favourites.of(Comparison.of(t, question), SEED));
    }

    private LikeForLike fair(StintTable table, Question question) {
        return reckoned.of(table, LikeForLike.class, question, t -> LikeForLike.of(t, question));
    }
}
