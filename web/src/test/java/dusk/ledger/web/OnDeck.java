package dusk.ledger.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.SelectOption;
import dusk.ledger.interchange.PackageReader;
import dusk.ledger.interchange.PackageWriter;
import dusk.ledger.journal.Catch;
import dusk.ledger.journal.Ledger;
import dusk.ledger.journal.Loss;
import dusk.ledger.journal.SetUp;
import dusk.ledger.journal.Stint;
import dusk.ledger.journal.Touch;
import dusk.ledger.journal.Trip;
import dusk.ledger.web.store.Viewer;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.context.TestConfiguration;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Import;
import org.springframework.context.annotation.Primary;

/** A deck on a phone, by a clock that the test turns, and its day in the export. */
@Import(OnDeck.Turnable.class)
abstract class OnDeck extends BrowserDriven {
    static final String WAITING = "document.getElementById('waiting').dataset.touches || '0'";

    @TestConfiguration
    static class Turnable {
        @Bean
        @Primary
        TurnableClock turnable() {
            return new TurnableClock(Instant.parse("2026-10-03T15:00:00Z"));
        }
    }

    @Autowired
    TurnableClock clock;

    void minutes(double minutes) {
        clock.turn(Duration.ofMillis(Math.round(minutes * 60_000)));
    }

    Page deck(String name, int rods, boolean script) {
        Page page = browser.signedIn(this, name, 390, 844, script);
        page.navigate(address("/deck/new?rods=" + rods));
        return page;
    }

    static Locator rod(Page page, int number) {
        return page.locator("article[data-number=\"" + number + "\"]");
    }

    /** Waits until what was touched has been sent and the answer stands on the page. */
    static void settled(Page page) {
        for (int i = 0; i < 300 && !page.evaluate(WAITING).equals("0"); i++) {
            page.waitForTimeout(50);
        }
        assertThat(page.evaluate(WAITING)).isEqualTo("0");
    }

    /** One rod fills a phone: the bar under the thumb leads to another. */
    static void choose(Page page, int rod) {
        Locator bar = page.locator(".rods-bar a").nth(rod - 1);
        if (bar.isVisible() && !rod(page, rod).isVisible()) {
            bar.click();
        }
    }

    /** To what is done to all rods. */
    static void boat(Page page) {
        Locator bar = page.locator(".rods-bar a").last();
        if (bar.isVisible() && !page.locator("#boat").isVisible()) {
            bar.click();
        }
    }

    static void endTheTrip(Page page) {
        boat(page);
        page.click("text=End the trip");
        page.click("text=End it now");
        page.waitForSelector("text=This trip has ended");
    }

    /** @param words that a button or what opens a sheet begins with */
    static void touch(Page page, int rod, String... words) {
        choose(page, rod);
        for (String word : words) {
            rod(page, rod)
                    .locator("button:visible, summary:visible")
                    .filter(new Locator.FilterOptions().setHasText(Pattern.compile("^\\s*" + word)))
                    .first()
                    .click();
        }
        if (page.evaluate("document.documentElement.className").equals("scripted")) {
            settled(page);
        } else {
            page.waitForLoadState();
        }
    }

    Ledger exported() throws Exception {
        ByteArrayOutputStream zip = new ByteArrayOutputStream();
        PackageWriter.writeZip(rows.ledger(Viewer.club(demoPerson("edda").clubId())), "club", zip);
        return PackageReader.read("club.zip", new ByteArrayInputStream(zip.toByteArray()))
                .ledger();
    }

    /** The part of the export that belongs to one trip. */
    record Day(Trip trip, List<Stint> stints, Map<String, SetUp> setUps, Ledger all) {
        List<Catch> fish(Stint stint) {
            return all.catches().stream()
                    .filter(c -> c.stintId().equals(stint.id()))
                    .toList();
        }

        List<Loss> losses(Stint stint) {
            return all.losses().stream()
                    .filter(l -> l.stintId().equals(stint.id()))
                    .toList();
        }

        List<String> touches(Stint stint) {
            return all.touches().stream()
                    .filter(t -> t.stintId().equals(stint.id()))
                    .map(Touch::kind)
                    .sorted()
                    .toList();
        }

        SetUp on(Stint stint) {
            return setUps.get(stint.setUpId());
        }
    }

    Day day(String tripId) throws Exception {
        Ledger all = exported();
        return new Day(
                all.trips().stream()
                        .filter(t -> t.id().equals(tripId))
                        .findFirst()
                        .orElseThrow(),
                all.stints().stream().filter(s -> s.tripId().equals(tripId)).toList(),
                all.setUps().stream().collect(Collectors.toMap(SetUp::id, Function.identity())),
                all);
    }

    static String tripOf(Page page) {
        return page.url().replaceAll(".*/deck/([0-9a-f-]+).*", "$1");
    }

    static List<Stint> of(Day day, String angler) {
        String id = day.all().anglers().stream()
                .filter(a -> angler.equals(a.name()))
                .findFirst()
                .orElseThrow()
                .id();
        return day.stints().stream().filter(s -> s.anglerId().equals(id)).toList();
    }

    /** A trip of one rod, at the first place of the list. */
    Page oneRod(boolean script) {
        Page page = deck("Runa", 1, script);
        page.selectOption("[name=spot_id]", new SelectOption().setIndex(1));
        page.click("text=Lines in");
        page.waitForSelector("article");
        return page;
    }

    Stint only(Page page) throws Exception {
        List<Stint> stints = day(tripOf(page)).stints();
        assertThat(stints).hasSize(1);
        return stints.get(0);
    }
}
