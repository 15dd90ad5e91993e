package dusk.ledger.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import org.junit.jupiter.api.Test;
import org.springframework.test.context.TestPropertySource;

/** The demo with its simulated instruments: what they say is on the deck, and goes where it is of use. */
@TestPropertySource(properties = {"dusk.stand-ins=true", "dusk.instruments.seconds=1"})
class InstrumentsIT extends BrowserDriven {
    /** Looks again until it is there, as whoever waits for a feed does. */
    private static void until(Page page, String there) {
        for (int i = 0; i < 40 && page.locator(there).count() == 0; i++) {
            page.waitForTimeout(250);
            page.reload();
        }
        assertThat(page.locator(there).count()).as(there).isPositive();
    }

    @Test
    void whatTheySayFillsTheDeckAndIsUsedAndTheOfficerSeesHowEachIs() {
        Page deck = browser.admitted(this, "Harl", 390, 844, true);
        deck.navigate(address("/deck"));
        until(deck, "[data-column=wind_mps]:has-text(\"Boat,\")");
        until(deck, "text=Undo the last: rod 3: yellow perch measured by Board");
        deck.click("a[data-rod=boat]");
        assertThat(deck.textContent("#boat")).contains("under it, drifting ").contains("4 instruments");
        assertThat(deck.textContent("#boat")).doesNotContain("not well");

        // a look by hand stands, and what the boat says is told beside it
        deck.click("[data-column=wind_mps] > summary");
        deck.fill("[data-column=wind_mps] input.field", "7 m/s");
        deck.click("[data-column=wind_mps] button:has-text(\"Save\")");
        deck.waitForSelector("[data-column=wind_mps]:not([open]) strong:has-text(\"7 m/s\")");
        deck.waitForFunction("document.querySelector('[data-column=wind_mps] .by-instrument')");
        deck.click("[data-column=wind_mps] > summary");
        assertThat(deck.textContent("[data-column=wind_mps]")).contains("You looked yourself, so that stands. Boat: ");
        Browser.assertSound(deck, "the deck with its instruments");
        deck.click("[data-column=wind_mps] > summary");

        deck.click("summary:has-text(\"Move, all rods\")");
        assertThat(deck.inputValue("form[action$=move] [name=depth_m]")).matches("[0-9.]+ m");
        deck.selectOption("form[action$=move] [name=structure]", "hump");
        deck.fill("form[action$=move] [name=label]", "Drifted On");
        deck.click("text=Lines in there");
        OnDeck.settled(deck);
        String places = deck.request().get(address("/out/places.gpx")).text();
        assertThat(places).containsPattern("<wpt lat=\"44[^>]*>\\s*<name>Drifted On");

        String column = deck.locator("a:has-text(\"In the water\")").first().getAttribute("href");
        assertThat(column).contains("drift_mps=");
        deck.navigate(address(column));
        assertThat(deck.inputValue("[name=drift_mps]")).matches("0\\.[0-9]+ m/s");

        Page page = browser.admitted(this, "Edda", 1280, 800, true);
        page.navigate(address("/club"));
        page.click("text=Instruments");
        until(page, "li:has-text(\"Jetty station\"):has-text(\"air pressure\")");
        assertThat(page.locator("li:has-text(\"Well, heard\")").count()).isEqualTo(4);
        page.click("[aria-label='Listen to Dam gauge no more']");
        page.waitForSelector("text=Deleted.");
        assertThat(page.locator("h2:has-text(\"Dam gauge\")").count()).isZero();
        page.click("button:has-text(\"Undo\")");
        page.navigate(address("/club/instruments"));
        assertThat(page.locator("h2:has-text(\"Dam gauge\")").count()).isEqualTo(1);
    }
}
