package dusk.ledger.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.Page;
import dusk.ledger.journal.Ledger;
import dusk.ledger.journal.Stint;
import java.time.Duration;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What the deck watches over: forgotten rods, readings, keys, weights, and touches that come late. */
class DeckCareIT extends OnDeck {
    @ParameterizedTest
    @ValueSource(booleans = {true, false})
    void aForgottenRodIsNoticedAndItsEndSetBack(boolean script) throws Exception {
        Page page = oneRod(script);
        minutes(12);
        touch(page, 1, "Follow");
        minutes(50);
        page.reload();
        assertThat(rod(page, 1).textContent()).contains("No touch for 50 min. Still fishing?");
        page.click("summary:has-text(\"Not since\")");
        page.fill("[name=end]", "25 o'clock");
        touch(page, 1, "Set back");
        page.waitForSelector(".rod .fault:has-text(\"is not a time of day\")");
        java.time.LocalTime end = clock.instant()
                .minus(Duration.ofMinutes(30))
                .atZone(java.time.ZoneId.of(rows.all(
                                demoPerson("runa").viewer(),
                                dusk.ledger.format.LedgerFormat.WATERS,
                                org.jooq.impl.DSL.noCondition(),
                                List.of())
                        .get(0)
                        .timeZone()
                        .getId()))
                .toLocalTime();
        page.click("summary:has-text(\"Not since\")");
        page.fill("[name=end]", String.format("%02d:%02d", end.getHour(), end.getMinute()));
        touch(page, 1, "Set back");
        page.waitForSelector("text=Pick up");
        assertThat(only(page).minutes()).isBetween(31.0, 32.1);
    }

    @ParameterizedTest
    @ValueSource(booleans = {true, false})
    void aReadingIsTakenOneValueAtATimeAndCarriesTheOthersOver(boolean script) throws Exception {
        Page page = oneRod(script);
        String trip = tripOf(page);
        reading(page, "water_temp_c", "lukewarm");
        page.waitForSelector(".chip .fault");
        assertThat(page.textContent(".chip .fault")).contains("“lukewarm” is not a temperature");
        assertThat(page.inputValue(".chip [name=water_temp_c]")).isEqualTo("lukewarm");
        page.fill(".chip [name=water_temp_c]", "54 F");
        page.locator("details[data-column=water_temp_c] button").click();
        page.waitForSelector("details[data-column=water_temp_c]:has-text(\"12.2 \")");
        settle(page, script);
        minutes(1);
        page.locator("details[data-column=clarity_m] summary").click();
        page.locator("details[data-column=clarity_m] button:text-is(\"stained\")")
                .click();
        page.waitForSelector("details[data-column=clarity_m] summary:has-text(\"0.6\")");
        settle(page, script);
        // a touch is stored as long ago as it waited: on a clock that stands, one that waited longer would be the
        // earlier
        minutes(1);
        page.locator("details[data-column=sky] summary").click();
        page.locator("details[data-column=sky] button:text-is(\"overcast\")").click();
        page.waitForSelector("details[data-column=sky] summary:has-text(\"overcast\")");
        settle(page, script);
        minutes(200);
        page.reload();
        boat(page);
        assertThat(page.textContent("#water-now ~ .said")).contains("Is the water temperature still 12.2");
        page.click("text=Still so");
        page.waitForSelector("details[data-column=water_temp_c]:has-text(\"0 min\")");
        boat(page);
        page.click("summary:has-text(\"Signs\")");
        page.click("button:text-is(\"birds\")");
        page.waitForSelector("text=Undo the last: sign: birds");
        Ledger all = exported();
        assertThat(all.readings().stream().filter(r -> r.tripId().equals(trip)))
                .hasSize(4)
                .last()
                .satisfies(r -> {
                    assertThat(r.waterTemp().celsius()).isCloseTo(12.22, within(0.01));
                    assertThat(r.clarity().metres()).isEqualTo(0.6);
                    assertThat(r.sky()).isEqualTo("overcast");
                });
        assertThat(all.signs().stream().filter(s -> s.tripId().equals(trip))).hasSize(1);
    }

    /** With script a touch is shown before it is sent. */
    private static void settle(Page page, boolean script) {
        if (script) {
            settled(page);
        }
    }

    private static void reading(Page page, String column, String typed) {
        boat(page);
        page.locator("details[data-column=" + column + "] summary").click();
        page.fill(".chip input[name=" + column + "]", typed);
        page.locator("details[data-column=" + column + "] button:text-is(\"Save\")")
                .click();
    }

    @Test
    void keysDoWhatTheTouchesDo() throws Exception {
        Page page = deck("Runa", 2, true);
        page.click("text=Lines in");
        page.waitForSelector("article.shown");
        for (String key : List.of("2", "b", "b", "f")) {
            page.keyboard().press(key);
            settled(page);
        }
        page.keyboard().press("l");
        page.keyboard().press("Enter");
        settled(page);
        page.keyboard().press("?");
        assertThat(page.locator("#keys dt:text-is(\"Escape\")").isVisible()).isTrue();
        List<Stint> stints = day(tripOf(page)).stints();
        assertThat(stints)
                .extracting(s -> s.bites() + "/" + s.follows() + "/" + s.hooked())
                .containsExactlyInAnyOrder("0/0/0", "3/1/1");
        assertThat(rod(page, 2).locator("[data-count=landed]").textContent()).isEqualTo("1");
        page.uncheck("#keys-on");
        page.keyboard().press("b");
        assertThat(page.evaluate(WAITING)).isEqualTo("0");
    }

    @Test
    void aWeightComesFromTheLengthAndARuleOfTheWaterIsRemembered() throws Exception {
        Page page = browser.signedIn(this, "Harl", 390, 844, true);
        page.navigate(address("/deck"));
        touch(page, 2, "Landed", "largemouth");
        touch(page, 2, "Last: largemouth");
        page.locator("details.fish[open] [data-slider]").fill("30");
        assertThat(page.inputValue("details.fish[open] [name=length_mm]")).isEqualTo("30 cm");
        page.locator("details.fish[open] label:has(span:text-is(\"from length\"))")
                .click();
        touch(page, 2, "Save the fish");
        assertThat(rod(page, 2).locator("details.fish summary").textContent())
                .startsWith("Last: largemouth 30 cm")
                .contains("0.38 kg (from length)");
        rod(page, 2).locator("details.fish summary").click();
        assertThat(rod(page, 2).locator("details.fish .said").textContent())
                .contains("Shorter than the 38 cm noted for largemouth")
                .contains("the published local rules prevail");
    }

    @Test
    void whatWasCompletedIsTakenBackBeforeTheFishAndADeletedStintRunsNoLonger() throws Exception {
        Page page = oneRod(true);
        String deck = page.url();
        touch(page, 1, "Landed", "largemouth");
        touch(page, 1, "Last: largemouth");
        page.locator("details.fish[open] [name=length_mm]").fill("35");
        touch(page, 1, "Save the fish");
        touch(page, 1, "Undo: largemouth completed");
        assertThat(rod(page, 1).locator("details.fish summary").textContent()).isEqualTo("Last: largemouth");
        touch(page, 1, "Undo: largemouth");
        assertThat(only(page).bites()).isZero();
        boat(page);
        page.click("a:visible:has-text(\"The trip's page\")");
        page.click("button[aria-label^=\"Delete the stint\"]");
        page.waitForSelector("text=Deleted.");
        page.navigate(deck);
        touch(page, 1, "Pick up");
        touch(page, 1, "Bite");
        assertThat(only(page).bites()).isEqualTo(1);
    }

    @Test
    void aTouchThatWaitedPastTheTripsEndIsKeptAndShown() throws Exception {
        Page page = oneRod(true);
        String rodId = rod(page, 1).getAttribute("id").replace("rod-", "");
        endTheTrip(page);
        page.evaluate(
                "async path => { const { update } = await import('/js/idb-keyval.js');"
                        + " const key = 'touches:' + document.getElementById('deck').dataset.person;"
                        + " await update(key, () => [{id: 'late', path, body: 'act=01a0-late', at: Date.now() - 60000, card: 'x'}]); }",
                page.url().replaceAll(".*(/deck/[0-9a-f-]+).*", "$1") + "/rods/" + rodId + "/bite");
        page.reload();
        page.waitForSelector("#waiting:has-text(\"Refused, and kept on this device: bite, rod 1\")");
        settled(page);
        assertThat(day(tripOf(page)).stints())
                .as("never fished, and nothing was added")
                .isEmpty();
    }
}
