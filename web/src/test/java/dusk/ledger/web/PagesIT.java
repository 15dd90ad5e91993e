package dusk.ledger.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import java.util.List;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Every page in both themes, on the desk and in the hand. */
@Order(1)
class PagesIT extends BrowserDriven {
    @ParameterizedTest(name = "{0} at {1} in {2}")
    @CsvSource({
        "/trips, 1280, glare",
        "/trips, 360, dusk",
        "/trips/new, 360, glare",
        "first trip, 1280, dusk",
        "first trip, 360, glare",
        "/findings/compare, 1280, glare",
        "/findings/compare, 360, dusk",
        "/findings/size?least=40 cm, 1280, glare",
        "/findings/size, 360, dusk",
        "/findings/grid, 1280, glare",
        "/findings/grid, 360, dusk",
        "/findings/clock, 1280, dusk",
        "/findings/clock, 360, glare",
        "/findings/funnel, 1280, glare",
        "/findings/funnel, 360, dusk",
        "/findings/favourites, 360, dusk",
        "/plan, 360, dusk",
        "/plan?water_temp_c=8&clarity_m=0.5&depth_m=11, 1280, glare",
        "/plan/rules, 360, glare",
        "/today, 360, dusk",
        "/plan/pack?water_temp_c=8&on_foot=yes, 360, glare",
        "/plan/run, 360, dusk",
        "/plan/go-back, 360, glare",
        "/plan/trials, 360, dusk",
        "/plan/kept, 360, glare",
        "/tackle, 360, dusk",
        "/tackle/sheet, 360, dusk",
        "/tackle/words, 360, glare",
        "/tackle/rods, 360, glare",
        "/tackle/new?rig=drop shot, 360, dusk",
        "/trips/past, 1280, dusk",
        "/deck/new, 360, dusk",
        "live deck, 360, dusk",
        "live deck, 1280, glare",
        "live debrief, 360, dusk",
        "live debrief, 1280, dusk",
        "/tackle/new, 1280, dusk",
        "/column, 360, glare",
        "/column?depth_m=6 m&cast_m=25 m&current_mps=0.3&band_from_m=2&band_to_m=4&presentation=big hop, 1280, dusk",
        "/column/card, 360, dusk",
        "/column/fan, 360, dusk",
        "/column/fan?current_mps=0.3&wind_mps=4&wind_from=10&made=2, 1280, glare",
        "live fan, 360, glare",
        "/club, 1280, glare",
        "/club, 360, dusk",
        "/club/people, 360, glare",
        "/club/sharing, 360, dusk",
        "/club/words, 360, glare",
        "/club/year, 360, dusk",
        "/club/year, 1280, glare",
        "/club/trail, 360, glare",
        "/account/leave, 360, dusk",
        "a water, 1280, dusk",
        "a water, 360, glare",
        "/club/bring, 360, glare",
        "/club/keeping, 360, dusk",
        "/club/instruments, 360, dusk",
        "/out, 360, glare",
        "/trips/photo, 360, dusk",
        "/club/bring, 1280, dusk",
        "/help, 360, dusk",
        "/first, 1280, glare",
        "/account, 360, glare",
        "/demo/planted, 1280, dusk"
    })
    void everyPageFitsItsScreenAndPassesTheAccessibilityCheck(String path, int width, String theme) {
        people.setTheme(demoPerson("Edda").id(), theme);
        Page page = browser.admitted(this, "Edda", width, 800, true);
        if (path.equals("first trip")) {
            page.navigate(address("/trips"));
            page.locator("ol a").first().click();
            page.waitForSelector("#stints");
            page.click("text=Add a stint");
            page.waitForSelector("#stint-form");
        } else if (path.equals("a water")) {
            page.navigate(address("/club"));
            page.click("main a:text-is(\"Orrin Reservoir\")");
            page.waitForSelector("svg.chart");
        } else if (path.startsWith("live")) {
            String trip = store.read()
                    .fetchOne("select trip_id from decks order by rowid limit 1")
                    .get(0, String.class);
            page.navigate(address(
                    path.endsWith("debrief")
                            ? "/trips/" + trip + "/debrief"
                            : "/deck/" + trip + (path.endsWith("fan") ? "/fan" : "")));
            page.evaluate("document.querySelectorAll('main details').forEach(one => { one.open = true; })");
        } else {
            page.navigate(address(path));
        }
        assertThat(page.getAttribute("html", "data-theme")).isEqualTo(theme);
        Browser.assertSound(page, path);
        if (width == 360) {
            String other = theme.equals("dusk") ? "glare" : "dusk";
            page.evaluate("theme => { document.documentElement.dataset.theme = theme; }", other);
            assertThat(Browser.faint(page)).as(path + " in " + other).isEmpty();
        }
        if (width == 1280) {
            page.evaluate("document.documentElement.style.fontSize = '200%'");
            assertThat(page.evaluate("document.documentElement.scrollWidth - window.innerWidth"))
                    .as("wider than the screen with text twice as large")
                    .isEqualTo(0);
        }
    }

    @Test
    void aThemeIsChosenInTheFrameAndStays() {
        Page page = browser.signedIn(this, "Edda", 1280, 800, true);
        for (String theme : List.of("dusk", "glare")) {
            page.click(".frame-light > summary");
            page.click(".theme:has-text(\"" + theme + "\")");
            page.waitForSelector("html[data-theme=" + theme + "]");
            page.navigate(address("/tackle/rods"));
            assertThat(page.getAttribute("html", "data-theme")).isEqualTo(theme);
        }
    }

    @Test
    void signInIsSoundToo() {
        Page page = browser.visit(360, 800, true);
        page.navigate(address("/sign-in"));
        Browser.assertSound(page, "sign-in");
    }
}
