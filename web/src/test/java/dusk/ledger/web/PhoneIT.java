package dusk.ledger.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.WaitForSelectorState;
import dusk.ledger.journal.SetUp;
import dusk.ledger.journal.Stint;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The phone is the boat: where things stand on it, in pixels, and how many touches they take. */
class PhoneIT extends OnDeck {
    private static final List<String> TOUCHES = List.of("Follow", "Bite", "Lost", "Landed", "Same again", "Swap");

    private static Locator of(Page page, int rod, String words) {
        return rod(page, rod)
                .locator(".touches button:visible:has-text(\"" + words + "\"), .touches summary:visible:has-text(\""
                        + words + "\")")
                .first();
    }

    /** The demo's live trip, three rods of which two have landed something. */
    private Page live(int width, int height) {
        Page page = browser.admitted(this, "Harl", width, height, true);
        page.navigate(address("/deck"));
        page.waitForSelector("article.shown");
        return page;
    }

    @ParameterizedTest
    @CsvSource({"390, 844", "360, 640"})
    void aRodsTouchesStandInTheLowerTwoThirdsOfAPhoneAndNothingIsScrolled(int width, int height) {
        Page page = live(width, height);
        choose(page, 2);
        double bar = page.locator(".rods-bar").boundingBox().y;
        for (String words : TOUCHES) {
            BoundingBox box = of(page, 2, words).boundingBox();
            assertThat(box.y).as(words + " in the lower two thirds").isGreaterThanOrEqualTo(height / 3.0);
            assertThat(box.y + box.height).as(words + " above the bar").isLessThanOrEqualTo(bar);
            assertThat(box.height).as(words + " is tall enough for a wet thumb").isGreaterThanOrEqualTo(64);
            assertThat(box.x + box.width).isLessThanOrEqualTo(width);
        }
        assertThat(page.locator("article:visible").count())
                .as("one rod fills the screen")
                .isEqualTo(1);
        assertThat(page.evaluate("scrollY")).isEqualTo(0);
        Locator words = rod(page, 2).locator("[data-shows=words]");
        assertThat(words.boundingBox().y).isLessThan(of(page, 2, "Follow").boundingBox().y);
        assertThat(page.locator(".rods-bar a").first().textContent()).containsPattern("1\\s*\\d+ min\\s*\\d+ fish");
    }

    @Test
    void threeRodsShowAllTheirTouchesBesideEachOther() {
        Page page = live(1280, 800);
        for (int rod = 1; rod <= 3; rod++) {
            for (String words : List.of("Follow", "Bite", "Lost", "Landed", "Swap")) {
                BoundingBox box = of(page, rod, words).boundingBox();
                assertThat(box.y + box.height).as(words + " of rod " + rod).isLessThanOrEqualTo(800);
            }
        }
    }

    @ParameterizedTest
    @CsvSource({"/trips", "/deck/new", "/findings/compare", "/tackle", "/plan", "/club"})
    void theFrameIsThinAndThePlacesAreUnderTheThumb(String path) {
        Page page = browser.admitted(this, "Harl", 390, 844, true);
        page.navigate(address(path));
        BoundingBox frame = page.locator("header.frame").boundingBox();
        BoundingBox thumb = page.locator("body > .thumb").boundingBox();
        assertThat(frame.height).isLessThanOrEqualTo(56);
        assertThat(page.locator(".frame-band .strip").boundingBox().height).isEqualTo(12);
        assertThat(thumb.y - frame.height).as("is the page's").isGreaterThanOrEqualTo(640);
        assertThat(page.locator("body > .thumb > *").allTextContents().stream()
                        .map(words -> words.strip().split("\\s+")[0]))
                .containsExactly("Deck", "Trips", "Findings", "More");
        page.click(".frame-light > summary");
        assertThat(page.locator(".frame-day").textContent()).contains("sun up");
    }

    /** The answer comes first: its sentence and the picture under it, above these lines of the screen. */
    @ParameterizedTest
    @CsvSource({
        "patterns, 1280, 800, 420, h3, .ratio-rows svg",
        "patterns, 390, 844, 560, h3, .ratio-rows svg",
        "compare, 1280, 800, 420, #verdict, .answer svg.bar",
        "compare, 390, 844, 560, #verdict, .answer svg.bar",
        "size, 1280, 800, 420, #verdict, .answer svg.bar",
        "size, 390, 844, 560, #verdict, .answer svg.bar",
        "grid, 1280, 800, 420, #verdict, table.cells",
        "grid, 390, 844, 560, #verdict, table.cells",
        "clock, 1280, 800, 420, #verdict, svg.dial",
        "clock, 390, 844, 560, #verdict, svg.dial",
        "funnel, 1280, 800, 420, #verdict, svg.stage",
        "funnel, 390, 844, 560, #verdict, svg.stage",
        "favourites, 1280, 800, 420, #verdict, svg.share",
        "favourites, 390, 844, 560, #verdict, svg.share"
    })
    void aFindingAnswersFirst(String page, int width, int height, int line, String sentence, String picture) {
        Page shown = browser.admitted(this, "Harl", width, height, true);
        shown.navigate(address("/findings/" + page));
        for (String part : List.of(sentence, picture)) {
            Locator first = shown.locator("#content " + part).first();
            first.waitFor();
            assertThat(first.boundingBox().y).as(part).isLessThan(line);
        }
        assertThat(shown.locator(".ask select").first().isVisible()).isTrue();
    }

    /** A choice in the question changes the answer in its place, and keeps the hand on it. */
    @Test
    void aChoiceInTheQuestionIsAnsweredInItsPlace() {
        Page page = browser.admitted(this, "Harl", 1280, 800, true);
        page.navigate(address("/findings/compare"));
        page.focus("#factor");
        page.selectOption("#factor", "rig");
        page.waitForSelector(
                "[data-level=\"drop shot\"]",
                new Page.WaitForSelectorOptions().setState(WaitForSelectorState.ATTACHED));
        assertThat(page.url()).contains("factor=rig");
        assertThat(page.evaluate("document.activeElement.id")).isEqualTo("factor");
        page.keyboard().press("Tab");
        assertThat(page.evaluate("document.activeElement.id"))
                .as("by keyboard alone, from choice to choice")
                .isEqualTo("species");
        page.keyboard().press("ArrowDown");
        page.waitForURL(Pattern.compile(".*species=[a-z].*"));
        page.waitForSelector("#verdict");
        assertThat(page.inputValue("#factor")).isEqualTo("rig");
        assertThat(page.evaluate("document.activeElement.id")).isEqualTo("species");
        page.navigate(address("/findings/patterns"));
        page.waitForSelector("h3");
        page.selectOption("#sort", "largest");
        page.waitForURL("**sort=largest**");
        page.waitForSelector("h3");
    }

    @Test
    void aSheetRisesFromTheFootAndLiesOverTheTouches() {
        Page page = live(390, 844);
        double before = of(page, 1, "Swap").boundingBox().y;
        of(page, 1, "Swap").click();
        BoundingBox sheet = page.locator("details[open] > .sheet-body").boundingBox();
        assertThat(sheet.y + sheet.height).isEqualTo(844);
        assertThat(of(page, 1, "Swap").boundingBox().y)
                .as("nothing is pushed away")
                .isEqualTo(before);
        page.mouse().click(195, 20);
        assertThat(page.locator("details.sheet[open]").count())
                .as("a touch beside it closes it")
                .isZero();
        page.setViewportSize(1280, 800);
        of(page, 1, "Swap").click();
        assertThat(page.locator("details[open] > .sheet-body").boundingBox().y)
                .as("beside a mouse the rod's head is still seen")
                .isGreaterThan(rod(page, 1).locator("h2").boundingBox().y);
        rod(page, 1).locator("h2").click(new Locator.ClickOptions().setForce(true));
        assertThat(page.locator("details.sheet[open]").count())
                .as("and closes it")
                .isZero();
    }

    @Test
    void aSweepSidewaysChangesTheRod() {
        Page page = live(390, 844);
        String swept = "(by) => { const at = document.querySelector('article.shown');"
                + " const touch = x => new Touch({identifier: 1, target: at, clientX: x, clientY: 400});"
                + " at.dispatchEvent(new TouchEvent('touchstart', {touches: [touch(200)], bubbles: true}));"
                + " at.dispatchEvent(new TouchEvent('touchend', {changedTouches: [touch(200 + by)], bubbles: true})); }";
        for (int[] step : new int[][] {{-90, 2}, {-20, 2}, {-90, 3}, {90, 2}, {90, 1}, {90, 1}}) {
            page.evaluate(swept, step[0]);
            assertThat(page.locator("article.shown").getAttribute("data-number"))
                    .isEqualTo(String.valueOf(step[1]));
            assertThat(page.locator(".rods-bar [aria-current]").textContent()).startsWith(String.valueOf(step[1]));
        }
    }

    /** Each touch is a click of this test; what they came to stands in the export. */
    @Test
    void aSwapASpeedAPlaceAndWhereTheFishAreTakeTwoTouchesOrOne() throws Exception {
        Page page = oneRod(true);
        String trip = tripOf(page);
        touch(page, 1, "Swap", "motor oil");
        minutes(2);
        touch(page, 1, "How", "slow");
        minutes(2);
        touch(page, 1, "How", "suspended");
        minutes(2);
        touch(page, 1, "Next place");
        minutes(2);
        touch(page, 1, "Bite");
        touch(page, 1, "fall");
        touch(page, 1, "Lines up");
        List<Stint> stints = day(trip).stints();
        Stint last = stints.get(stints.size() - 1);
        SetUp on = day(trip).on(last);
        assertThat(on.colour()).isEqualTo("motor oil");
        assertThat(last.speed()).isEqualTo("slow");
        assertThat(stints.get(stints.size() - 2).fishPosition()).isEqualTo("suspended");
        assertThat(last.fishPosition()).as("nobody knows it at another place").isNull();
        assertThat(last.spotId()).isNotEqualTo(stints.get(0).spotId());
        assertThat(day(trip).all().touches().stream()
                        .filter(touch -> touch.stintId().equals(last.id()))
                        .map(touch -> touch.kind() + " on " + touch.biteOn()))
                .containsExactly("bite on fall");
        assertThat(page.locator("[data-shows=time]").textContent()).isEqualTo("down");
    }
}
