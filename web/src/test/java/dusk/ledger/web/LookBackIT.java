package dusk.ledger.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import dusk.ledger.format.LedgerFormat;
import dusk.ledger.journal.SetUp;
import dusk.ledger.journal.Stint;
import dusk.ledger.web.store.LedgerRows;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;

/** What is done after the day: the debrief, a client's card, a past trip by keyboard, tackle put in order. */
class LookBackIT extends BrowserDriven {
    private String liveTrip() {
        return store.read()
                .fetchOne("select trip_id from decks order by rowid limit 1")
                .get(0, String.class);
    }

    @Test
    void theDayIsOnePictureWithAllThatHappened() throws Exception {
        String trip = liveTrip();
        Page page = browser.signedIn(this, "Harl", 1280, 800, true);
        page.navigate(address("/trips/" + trip + "/debrief"));
        Browser.assertSound(page, "debrief");
        List<Stint> stints = rows.all(
                demoPerson("harl").viewer(),
                LedgerFormat.STINTS,
                LedgerRows.holds(LedgerFormat.STINTS, "trip_id", trip),
                List.of());
        assertThat(page.locator(".day-bar").count()).isEqualTo(stints.size());
        assertThat(page.locator(".day-follow").count())
                .isEqualTo(stints.stream().mapToInt(Stint::follows).sum());
        assertThat(page.locator(".day-bite").count())
                .isEqualTo(stints.stream().mapToInt(s -> s.bites() - s.hooked()).sum());
        assertThat(page.locator(".day-fish").count() + page.locator(".day-loss").count())
                .isEqualTo(stints.stream().mapToInt(Stint::hooked).sum());
        page.click("text=The same as a table");
        assertThat(page.locator("tbody tr").count()).isEqualTo(stints.size());
        assertThat(page.textContent("main")).contains("has no length").contains("colour: pearl to silver shad");
    }

    @Test
    void aClientsCardTellsTheirFishAndNoPlace() throws Exception {
        String trip = liveTrip();
        Page page = browser.signedIn(this, "Harl", 390, 844, true);
        page.navigate(address("/trips/" + trip + "/debrief"));
        page.click("main a:text-is(\"Pella Rusk\")");
        page.waitForSelector(".client-card");
        Browser.assertSound(page, "card");
        String card = page.textContent("main");
        assertThat(card).contains("largemouth 38.4 cm").contains("silver shad");
        String pdf = page.getAttribute("a:has-text(\"As a PDF\")", "href");
        Visitor guide = new Visitor(address("")).as(demoPerson("harl").id());
        String text;
        try (PDDocument read = Loader.loadPDF(guide.bytes(pdf))) {
            text = new PDFTextStripper().getText(read);
        }
        assertThat(text).contains("Pella Rusk").contains("largemouth 38.4 cm").contains("Orrin Reservoir");
        for (var spot :
                rows.all(demoPerson("harl").viewer(), LedgerFormat.SPOTS, org.jooq.impl.DSL.noCondition(), List.of())) {
            if (spot.label() != null) {
                assertThat(card).doesNotContain(spot.label());
                assertThat(text).doesNotContain(spot.label());
            }
        }
        Visitor other = new Visitor(address("")).as(demoPerson("tobin").id());
        assertThat(other.get(pdf).statusCode()).isEqualTo(404);
    }

    /** A keyboard that counts. */
    private static final class Keys {
        private final Page page;
        private int pressed;

        Keys(Page page) {
            this.page = page;
        }

        Keys press(String... keys) {
            for (String key : keys) {
                page.keyboard().press(key);
                pressed++;
            }
            return this;
        }

        Keys type(String text) {
            return press(text.split(""));
        }
    }

    @Test
    void aTripOfFourStintsTakesFewerThanSixtyKeys() {
        Page page = browser.signedIn(this, "Tobin", 1280, 800, false);
        page.navigate(address("/trips/past"));
        page.waitForSelector("#past-from:focus");
        // whatever the hour at which this runs, five in the afternoon of it has been
        page.fill("[name=date]", LocalDate.now(ZoneOffset.UTC).minusDays(2).toString());
        page.focus("#past-from");
        Keys keys = new Keys(page);
        keys.type("17").press("Tab");
        keys.type("45")
                .press("Tab")
                .type("l41,2 bites")
                .press("Tab")
                .type("dr")
                // past the field that finds what is not among the likely ones
                .press("Tab", "Tab")
                .type("t")
                .press("Tab", "Tab");
        keys.type("30").press("Tab", "Tab", "Tab", "Tab", "Tab", "Tab");
        keys.type("50").press("Tab").type("2y").press("Tab").type("t").press("Tab", "Tab", "Tab", "Tab");
        keys.type("60").press("Enter");
        page.waitForURL(url -> url.matches(".*/trips/[0-9a-f-]{36}"));
        assertThat(keys.pressed).isLessThan(60);
        assertThat(page.textContent("main"))
                .contains("3 fish in 3.1 rod-hours")
                .contains("2 of 4 stints blank")
                .contains("3 bites, 1 hooked")
                .contains("largemouth 41 cm (estimated)")
                .contains("2 yellow perch");
        List<String> setUps = page.locator(".stint .left p:nth-of-type(2)").allTextContents();
        assertThat(setUps.get(0)).startsWith("drop shot").isEqualTo(setUps.get(1));
        assertThat(setUps.get(2)).startsWith("texas rig").isEqualTo(setUps.get(3));
        List<String> from = page.locator(".stint .left strong").allTextContents();
        assertThat(from).containsExactly("17:00, 45 min", "17:45, 30 min", "18:15, 50 min", "19:05, 60 min");
    }

    @Test
    void aPastTripIsRefusedWholeWithWhatWasTypedKept() {
        Page page = browser.signedIn(this, "Tobin", 360, 800, true);
        page.navigate(address("/trips/past"));
        Browser.assertSound(page, "past trip");
        long before = store.read().fetchCount(org.jooq.impl.DSL.table("trips"));
        page.fill("[name=from]", "late");
        page.fill("[name=minutes_1]", "45");
        page.fill("[name=came_1]", "one trout");
        page.fill("[name=came_2]", "l41");
        page.click("text=Save the trip");
        page.waitForSelector(".fault");
        assertThat(page.locator(".fault").allTextContents())
                .anyMatch(f -> f.contains("“late” is not a time of day"))
                .anyMatch(f -> f.contains("Choose what was tied on"))
                .anyMatch(f -> f.contains("How many minutes were fished for it"));
        assertThat(page.inputValue("[name=came_1]")).isEqualTo("one trout");
        assertThat(store.read().fetchCount(org.jooq.impl.DSL.table("trips"))).isEqualTo(before);
    }

    @Test
    void aSetUpAsksWhatItsRigHasAndOnceFishedIsNeverAltered() {
        Page page = browser.signedIn(this, "Tobin", 1280, 800, false);
        page.navigate(address("/tackle/new"));
        page.click("a:has-text(\"nail-weighted wacky\")");
        assertThat(page.locator("#setup-form [name=skirt], #setup-form [name=leader_mm]")
                        .count())
                .isZero();
        assertThat(page.inputValue("[name=head_mass_g]")).isEqualTo("1.8 g");
        page.fill("[name=head_mass_g]", "3/32");
        page.fill("[name=plastic_length_mm]", "6\"");
        page.fill("[name=hook_size]", "biggish");
        page.fill("[name=colour]", "smoke");
        page.click("text=Save the set-up");
        assertThat(page.textContent("#setup-form-hook_size-error")).contains("“biggish” is not a hook size");
        page.fill("[name=hook_size]", "#1");
        page.click("text=Save the set-up");
        page.waitForSelector("h1:has-text(\"nail-weighted wacky, 2.7 g\")");
        page.click("text=Change something");
        page.fill("[name=colour]", "red");
        page.click("text=Save the set-up");
        page.waitForSelector("h1:has-text(\"red\")");
        assertThat(page.locator("#lineage").count())
                .as("never fished, so changed in place")
                .isZero();

        SetUp fished = rows.all(
                        demoPerson("tobin").viewer(),
                        LedgerFormat.SETUPS,
                        LedgerRows.holds(LedgerFormat.SETUPS, "rig", "texas rig"),
                        List.of())
                .get(0);
        page.navigate(address("/tackle/set-ups/" + fished.id() + "/change"));
        page.fill("[name=head_mass_g]", "9.5 g");
        page.click("text=Save the set-up");
        page.waitForSelector("#lineage");
        assertThat(page.textContent("main"))
                .contains("Changed from")
                .contains("head weight: ")
                .contains("to 9.5 g");
        assertThat(rows.one(demoPerson("tobin").viewer(), LedgerFormat.SETUPS, fished.id()))
                .contains(fished);
    }

    @Test
    void everyPortraitDiffersFromEveryOther() {
        Page page = browser.signedIn(this, "Tobin", 1280, 800, true);
        page.navigate(address("/tackle/sheet"));
        Set<String> drawn = new HashSet<>();
        List<Locator> all = page.locator(".sheet-of .portrait").all();
        all.forEach(p -> drawn.add(p.innerHTML()));
        assertThat(all.size()).isEqualTo(23 + 22 + 14);
        assertThat(drawn).as("the ball head is drawn on a minnow twice").hasSize(all.size() - 1);
    }

    @Test
    void aRodsRatingIsWarnedByOnTheDeckAndAWatersRuleIsNoted() {
        Page page = browser.signedIn(this, "Edda", 1280, 800, false);
        page.navigate(address("/tackle/rods/new"));
        page.fill("[name=name]", "Reed wand");
        page.fill("[name=lure_min_g]", "30 g");
        page.fill("[name=lure_max_g]", "20 g");
        page.click("text=Save the rod");
        assertThat(page.textContent("#rod-form-lure_max_g-error")).contains("Less than lure_min_g");
        page.fill("[name=lure_max_g]", "60 g");
        page.click("text=Save the rod");
        assertThat(page.textContent("main")).contains("rated 30 g to 60 g");
        page.navigate(address("/deck/new?rods=1"));
        page.selectOption("[name=rod_id_1]", new com.microsoft.playwright.options.SelectOption().setLabel("Reed wand"));
        page.click("text=Lines in");
        page.click("summary:has-text(\"about the tackle\")");
        assertThat(page.textContent("article")).contains("the rod is rated from 30 g. It will not load.");

        page.navigate(address("/club"));
        page.locator("a[aria-label^=\"Rules of\"]").first().click();
        page.fill("[name=species]", "pike");
        page.fill("[name=closed_from]", "15 March");
        page.fill("[name=slot_from]", "40 cm");
        page.click("text=Note it");
        assertThat(page.locator(".fault").count()).isGreaterThanOrEqualTo(3);
        assertThat(page.inputValue("[name=slot_from]")).isEqualTo("40 cm");
        page.fill("[name=closed_from]", "15 Mar");
        page.fill("[name=closed_to]", "15 Jun");
        page.fill("[name=slot_to]", "50 cm");
        page.click("text=Note it");
        assertThat(page.textContent("main")).contains("40 cm to 50 cm goes back; closed 15 Mar to 15 Jun");
    }

    @Test
    void aFishOnTheTripsPageIsWeighedAndWarnedOfToo() {
        Page page = browser.signedIn(this, "Edda", 360, 800, false);
        page.navigate(address("/trips/" + liveTrip()));
        page.click("a[aria-label=\"Change the largemouth\"]");
        page.fill("[name=length_mm]", "30 cm");
        page.selectOption("[name=length_how]", "measured");
        page.click("summary:has-text(\"More\")");
        page.selectOption("[name=mass_how]", "measured");
        page.click("text=Save the fish");
        assertThat(page.textContent("#fish-form-mass_how-error")).contains("There is no weight to say this of");
        page.selectOption("[name=mass_how]", "from_length");
        page.click("text=Save the fish");
        page.waitForSelector("#stints");
        assertThat(page.textContent("main"))
                .contains("largemouth 30 cm, 0.38 kg (from length)")
                .contains("Shorter than the 38 cm noted for largemouth");
    }
}
