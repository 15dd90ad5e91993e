package dusk.ledger.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.Page;
import dusk.ledger.format.LedgerFormat;
import dusk.ledger.journal.SetUp;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Drops that were counted, on the set-up's page and on the deck. */
class CountedDropsIT extends AtTheColumn {
    @Test
    void countedDropsCorrectTheTimesAndAreStruckOutAndBroughtBack() {
        SetUp setUp = falls(setUps(), "texas rig");
        String drops = "/tackle/set-ups/" + setUp.id() + "/drops";
        Page page = browser.signedIn(this, "Tobin", 1280, 800, true);
        page.navigate(address("/tackle/set-ups/" + setUp.id()));
        page.click("text=Counted drops");
        page.fill("[name=seconds]", "soon");
        page.click("text=Note the drop");
        assertThat(page.textContent("#drop-seconds-error")).contains("“soon” is not a count");
        assertThat(page.textContent("#drop-depth_m-error")).isEqualTo("Say how deep it fell.");
        assertThat(page.inputValue("[name=seconds]")).isEqualTo("soon");
        page.fill("[name=seconds]", "200");
        page.fill("[name=depth_m]", "1 m");
        page.click("text=Note the drop");
        assertThat(page.textContent("#drop-seconds-error")).contains("far from what its weight and size can do");
        int before = page.locator("#drops tbody tr").count();
        for (double depth : new double[] {4, 6, 5, 6}) {
            page.fill("[name=seconds]", String.valueOf(Math.round(10 * seconds(setUp, depth, 1.5)) / 10.0));
            page.fill("[name=depth_m]", depth + " m");
            page.click("text=Note the drop");
            page.waitForSelector("text=Counted: ");
        }
        page.fill("[name=seconds]", String.valueOf(Math.round(1.6 * seconds(setUp, 4, 1.5))));
        page.fill("[name=depth_m]", "4 m");
        page.click("text=Note the drop");
        await(page, () -> page.locator("#drops tbody tr").count() == before + 5);
        assertThat(page.locator(".outlier").count()).isEqualTo(1);
        assertThat(page.textContent("main")).contains("By 4 counted drops of it");
        Browser.assertSound(page, "drops");
        page.navigate(address("/column?setup=" + setUp.id() + "&depth_m=6 m"));
        assertThat(count(verdict(page))).isCloseTo(seconds(setUp, 6, 1.5), within(0.8));
        page.navigate(address(drops));
        page.locator("tr:not(.outlier) button:has-text('Strike out')").first().click();
        page.waitForSelector("text=Bring it back");
        assertThat(page.locator("#drops tbody tr").count()).isEqualTo(before + 4);
        page.click("text=Bring it back");
        page.waitForSelector("text=It is back.");
        assertThat(page.locator("#drops tbody tr").count()).isEqualTo(before + 5);
        // another head on the same plastic starts from them
        SetUp other = LedgerFormat.SETUPS.changed(setUp, Map.of("head_mass_g", 21.0));
        page.navigate(address("/column?setup=" + setUp.id() + "&head_mass_g=21 g&depth_m=6 m"));
        assertThat(page.textContent("#beside-A")).contains("with its plastic give it a start");
        double started = Math.exp(Math.log(1.5) / (1 + 2));
        assertThat(count(verdict(page)))
                .isGreaterThanOrEqualTo(Math.floor(seconds(other, 6, 1)))
                .isCloseTo(seconds(other, 6, started), within(0.15 * seconds(other, 6, started) + 0.5));
    }

    @Test
    void onlyWhoeverCountedItOrAnOfficerStrikesADropOut() throws Exception {
        String drop = first("select drop_id from drops where angler_id = '"
                + demoPerson("harl").anglerId() + "'");
        String setUp = first("select setup_id from drops where drop_id = '" + drop + "'");
        String page = "/tackle/set-ups/" + setUp + "/drops";
        Visitor member = new Visitor(address("")).as(demoPerson("tobin").id());
        assertThat(member.post(page, page + "/" + drop + "/delete", Map.of()).statusCode())
                .isEqualTo(404);
        assertThat(member.get(page).body()).doesNotContain(drop);
        Visitor officer = new Visitor(address("")).as(demoPerson("edda").id());
        assertThat(officer.get(page).body()).contains(drop);
    }

    private String first(String query) {
        return store.read().fetch(query + " limit 1").get(0).get(0, String.class);
    }

    @Test
    void onTheDeckCastsAreMarkedDropsCountedAndBothUndone() {
        Page page = browser.signedIn(this, "Harl", 390, 844, true);
        page.navigate(address("/deck/" + first("select trip_id from decks order by rowid")));
        String fan = page.textContent("#casts");
        assertThat(fan).startsWith("Fan: 5 of 14 casts, 35 % covered");
        OnDeck.boat(page);
        page.click("button:has-text('Cast 6 made')");
        await(page, () -> page.textContent("#casts").startsWith("Fan: 6 of 14"));
        page.click("#casts");
        page.waitForSelector(".cast-mark");
        assertThat(page.locator(".cast-mark[aria-pressed=true]").count()).isEqualTo(6);
        page.locator(".cast-mark").nth(13).click();
        await(page, () -> page.locator(".cast-mark[aria-pressed=true]").count() == 7);
        page.locator(".cast-mark").nth(13).click();
        await(page, () -> page.locator(".cast-mark[aria-pressed=true]").count() == 6);
        Browser.assertSound(page, "deck fan");
        page.click("text=The deck");
        OnDeck.choose(page, 2);
        page.waitForSelector(".rod.shown");
        var rod = page.locator(".rod").nth(1);
        double before = count(rod.textContent());
        long drops = drops();
        rod.locator("summary:text-is('Counted')").click();
        rod.locator("[name=seconds]").fill("1");
        rod.locator("text=Note the drop").click();
        await(page, () -> rod.locator(".fault").count() == 1);
        assertThat(rod.locator(".fault").textContent()).contains("far from what its weight and size can do");
        assertThat(drops()).isEqualTo(drops);
        if (rod.locator("[name=seconds]").isHidden()) {
            rod.locator("summary:text-is('Counted')").click();
        }
        rod.locator("[name=seconds]").fill(String.valueOf(Math.round(before * 1.3)));
        rod.locator("text=Note the drop").click();
        await(page, () -> drops() == drops + 1);
        await(page, () -> count(rod.textContent()) >= before);
        rod.locator("button:has-text('Undo: counted')").click();
        await(page, () -> drops() == drops && !rod.textContent().contains("Undo: counted"));
        rod.locator("a:has-text('In the water')").click();
        page.waitForSelector("#verdict");
        assertThat(count(verdict(page))).isEqualTo(before);
        assertThat(page.inputValue("[name=depth_m]")).isEqualTo("5.5 m");
    }

    private long drops() {
        return store.read()
                .fetchOne("select count(*) from drops where deletion_id is null")
                .get(0, Long.class);
    }

    @Test
    void theDemoShowsACalibrationWithASlip() {
        String setUp = first("select setup_id from drops group by setup_id having count(*) = 5");
        Page page = browser.signedIn(this, "Harl", 360, 800, true);
        page.navigate(address("/tackle/set-ups/" + setUp + "/drops"));
        assertThat(page.locator(".outlier").count()).isEqualTo(1);
        assertThat(page.textContent("main")).contains("By 4 counted drops of it");
        Browser.assertSound(page, "drops of the demo");
    }
}
