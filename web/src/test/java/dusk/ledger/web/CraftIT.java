package dusk.ledger.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.SelectOption;
import com.microsoft.playwright.options.WaitForSelectorState;
import dusk.ledger.journal.Loss;
import dusk.ledger.journal.SetUp;
import dusk.ledger.journal.Sign;
import dusk.ledger.journal.Stint;
import dusk.ledger.journal.Touch;
import dusk.ledger.units.Length;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Practices that need saying what a plain log has no word for, from the touch to the export. */
class CraftIT extends OnDeck {
    private static final String METRIC = "(?s).*\\d ?(m|mm|cm|C|°C|g|m/s)([ .,;].*)?";

    /** A lure hung over suspended fish: the bite is seen and missed on the first move, and the fish lie apart from the bottom. */
    @ParameterizedTest(name = "script {0}")
    @ValueSource(booleans = {true, false})
    void aMissedBiteOverSuspendedFishIsSaidAsItWas(boolean script) throws Exception {
        Page page = oneRod(script);
        String trip = tripOf(page);
        touch(page, 1, "How", "suspended");
        rod(page, 1).locator("summary:text-is(\"How\")").click();
        rod(page, 1).locator("[name=fish_depth_m]").fill("5 m");
        rod(page, 1).locator("form[action$=fished] [name=depth_m]").fill("9 m");
        touch(page, 1, "Fish it so");
        page.waitForSelector("article:has-text(\"fish suspended at 5 m\")");
        minutes(8);
        touch(page, 1, "Follow");
        minutes(2);
        touch(page, 1, "Bite");
        touch(page, 1, "first move");
        touch(page, 1, "seen");
        minutes(5);
        endTheTrip(page);

        Day day = day(trip);
        Stint stint = day.stints().get(0);
        assertThat(stint.fishDepth()).isEqualTo(Length.ofMetres(5));
        assertThat(stint.depth()).isEqualTo(Length.ofMetres(9));
        assertThat(stint.fishPosition()).isEqualTo("suspended");
        assertThat(List.of(stint.follows(), stint.bites(), stint.hooked())).containsExactly(1, 1, 0);
        Touch bite = day.all().touches().stream()
                .filter(t -> t.stintId().equals(stint.id()) && t.kind().equals("bite"))
                .findFirst()
                .orElseThrow();
        assertThat(bite.biteOn()).isEqualTo("first move");
        assertThat(bite.felt()).isEqualTo("seen");
    }

    /** A marsh set-up with a blade and a rattle, and a fish that is on no list. */
    @Test
    void aMarshSetUpWithBladeAndRattleTakesAFishThatIsOnNoList() throws Exception {
        Page page = browser.signedIn(this, "Runa", 1280, 800, true);
        page.navigate(address("/tackle/new?rig=open%20jig%20head"));
        page.fill("[name=colour]", "glow bright");
        page.locator("#setup-form summary:text-is('More')").click();
        page.fill("[name=blade]", "small");
        page.fill("[name=rattle]", "in head");
        page.selectOption("[name=plastic_body]", "ribbed");
        page.fill("[name=leader_length_mm]", "60 cm");
        page.click("text=Save the set-up");
        page.waitForURL("**/tackle/set-ups/**");
        String setUpId = page.url().replaceAll(".*/set-ups/([0-9a-f-]+).*", "$1");

        page.navigate(address("/deck/new?rods=1"));
        page.selectOption("[name=spot_id]", new SelectOption().setIndex(1));
        page.fill("[name='find.setup_id_1']", "open jig head glow bright");
        page.waitForSelector(
                "[name=setup_id_1] option[value='" + setUpId + "']",
                new Page.WaitForSelectorOptions().setState(WaitForSelectorState.ATTACHED));
        page.selectOption("[name=setup_id_1]", setUpId);
        page.click("text=Lines in");
        page.waitForSelector("article");
        String trip = tripOf(page);
        minutes(20);
        rod(page, 1).locator("summary:has-text(\"Landed\")").click();
        rod(page, 1).locator("input[name=species]:visible").fill("Red drum");
        rod(page, 1)
                .locator("form:has(input[name=species]:visible) button:has-text(\"Landed\")")
                .click();
        settled(page);
        page.waitForSelector("article button:has-text(\"Same again\"):has-text(\"Red drum\")");

        page.navigate(address("/trips/" + trip));
        page.click("text=Add a loss");
        page.waitForSelector("#loss-form");
        page.fill("#loss-form [name=cause]", "hook straightened");
        page.click("text=Save the loss");
        page.waitForSelector("text=1 lost: hook straightened");
        page.click("text=Add a sign");
        page.waitForSelector("#sign-form");
        page.selectOption("#sign-form [name=kind]", "birds");
        page.fill("#sign-form [name=note]", "terns over the grass");
        page.click("text=Save the sign");
        page.waitForSelector("text=birds: terns over the grass");

        Day day = day(trip);
        Stint stint = day.stints().get(0);
        SetUp setUp = day.on(stint);
        assertThat(List.of(setUp.blade(), setUp.rattle(), setUp.plasticBody()))
                .containsExactly("small", "in head", "ribbed");
        assertThat(setUp.leaderLength()).isEqualTo(Length.ofMetres(0.6));
        assertThat(day.fish(stint))
                .singleElement()
                .satisfies(f -> assertThat(f.species()).isEqualTo("Red drum"));
        assertThat(day.losses(stint)).extracting(Loss::cause).containsExactly("hook straightened");
        assertThat(stint.hooked()).isEqualTo(2);
        assertThat(day.all().signs().stream()
                        .filter(s -> s.tripId().equals(trip))
                        .map(Sign::note))
                .containsExactly("terns over the grass");
    }

    /** A rig that the list does not have is drawn as what it is like and keeps its name. */
    @Test
    void aRigOfOnesOwnStartsFromWhatItIsLike() throws Exception {
        Page page = browser.signedIn(this, "Runa", 1280, 800, true);
        page.navigate(address("/tackle/new"));
        page.fill("[name=rig]", "slip rig");
        page.selectOption("[name=like]", "carolina rig");
        page.click("text=Put it together");
        page.waitForSelector("h1:has-text(\"New slip rig (like: carolina rig)\")");
        assertThat(page.inputValue("[name=leader_mm]")).isEqualTo("600 mm");
        page.click("text=Save the set-up");
        page.waitForURL("**/tackle/set-ups/**");
        String setUpId = page.url().replaceAll(".*/set-ups/([0-9a-f-]+).*", "$1");
        SetUp stored = exported().setUps().stream()
                .filter(s -> s.id().equals(setUpId))
                .findFirst()
                .orElseThrow();
        assertThat(stored.rig()).isEqualTo("slip rig (like: carolina rig)");
        assertThat(stored.rigKind()).isEqualTo("carolina rig");
    }

    /** Whoever thinks in feet, ounces, degrees Fahrenheit and miles an hour reads findings in them, and in nothing else. */
    @Test
    void aPatternIsSaidWhollyInFeetOuncesAndMilesAnHour() {
        people.setUnits(demoPerson("Edda").id(), "us", false);
        Page page = browser.signedIn(this, "Edda", 1280, 800, true);
        page.navigate(address("/findings/patterns"));
        page.waitForSelector("article", new Page.WaitForSelectorOptions().setTimeout(90_000));
        List<String> said = new ArrayList<>(page.locator("article h3").allTextContents());
        assertThat(said).anyMatch(s -> s.contains(" °F") || s.contains(" ft") || s.contains(" oz"));
        for (String path : List.of(
                "/findings/compare?factor=depth",
                "/findings/compare?factor=wind",
                "/findings/grid?factor=head_mass&across=water_temp",
                "/findings/funnel?factor=clarity",
                "/findings/favourites?factor=plastic_length")) {
            page.navigate(address(path));
            said.addAll(page.locator("main section th").allTextContents());
            said.addAll(page.locator("#verdict, #verdict + ul li").allTextContents());
        }
        assertThat(said).hasSizeGreaterThan(40).noneMatch(s -> s.matches(METRIC));
        assertThat(said)
                .anyMatch(s -> s.equals("5 to 10 ft"))
                .anyMatch(s -> s.equals("fresh, 11 to 20 mph"))
                .anyMatch(s -> s.equals("1/8 oz"))
                .anyMatch(s -> s.equals("45 to 50 °F"))
                .anyMatch(s -> s.equals("1 to 3 ft"))
                .anyMatch(s -> s.equals("3 to 4 in"));
    }

    /** From the conditions to the call, and its spread onto the deck, with the way each is to be fished. */
    @ParameterizedTest(name = "script {0}")
    @ValueSource(booleans = {true, false})
    void aCallIsTakenToTheDeck(boolean script) throws Exception {
        Page page = browser.signedIn(this, "Runa", 390, 844, script);
        page.navigate(address("/plan"));
        page.locator("#call summary:has-text(\"Conditions\")").click();
        page.fill("[name=water_temp_c]", "8 C");
        page.selectOption("[name=weather]", "after a front");
        page.fill("[name=rods]", "2");
        page.click("button:text-is(\"Call\")");
        page.waitForSelector("p:has-text(\"winter\")");
        assertThat(page.textContent("main")).contains("Cold water: life-jacket on and done up.");
        assertThat(page.locator("section[aria-labelledby=spread] li").count()).isEqualTo(2);
        page.click("button:text-is(\"What to pack\")");
        page.waitForSelector("h1:text-is(\"Pack\")");
        assertThat(page.textContent("main"))
                .contains("Thermometer and clarity disc")
                .contains("published local rules prevail");
        page.click("text=Take these to the deck");
        page.waitForSelector("text=Lines in");
        page.selectOption("[name=spot_id]", new SelectOption().setIndex(1));
        page.selectOption("[name=lot]", "2");
        page.click("text=Lines in");
        page.waitForSelector("article");
        String trip = tripOf(page);
        List<Stint> stints = day(trip).stints();
        assertThat(stints).hasSize(2).extracting(Stint::setUpId).doesNotHaveDuplicates();
        assertThat(stints).extracting(Stint::presentation).contains("dead-stick");
        minutes(30);
        touch(page, 1, "Landed", "largemouth");
        page.waitForSelector("[data-count=landed]:text-is(\"1\")");
        byLot(page);
        minutes(20);
        endTheTrip(page);
        assertThat(day(trip).stints())
                .filteredOn(s -> "trial".equals(s.purpose()))
                .hasSize(1);
        page.navigate(address("/trips/" + trip + "/debrief"));
        page.waitForSelector("text=What the call promised, and what came");
        page.click("text=All calls, promised against caught");
        page.waitForSelector("h1:text-is(\"Promised and caught\")");
        assertThat(page.textContent("main")).containsPattern("Calls promised [0-9.]+ fish on 2 rods and 1 came");
        page.navigate(address("/plan/trials"));
        assertThat(page.textContent("main")).containsPattern("swaps? (was|were) drawn, 1 taken");
    }

    /** Swaps by hand until the lot is due, and takes what it draws in one touch. */
    private void byLot(Page page) {
        for (int swap = 0; swap < 20 && page.locator("text=Next by lot").count() == 0; swap++) {
            minutes(5);
            rod(page, 1).locator("summary:text-is(\"Swap\")").click();
            rod(page, 1).locator("button:visible[name=colour]").nth(swap % 3).click();
            page.waitForLoadState();
            page.waitForTimeout(400);
        }
        minutes(5);
        choose(
                page,
                Integer.parseInt(page.locator("article:has-text(\"Next by lot\")")
                        .first()
                        .getAttribute("data-number")));
        page.locator("summary:visible:has-text(\"Next by lot\")").first().click();
        page.locator("button:visible:text-is(\"Tie it on\")").first().click();
        page.waitForSelector("article:has-text(\"try it out\")");
    }
}
