package dusk.ledger.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import dusk.ledger.cli.Dusk;
import dusk.ledger.interchange.PackageWriter;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The jobs a person does, walked through in a browser. */
class WalkIT extends BrowserDriven {
    /** Stints, fish and rod-hours by colour, as the compare page's table has them. */
    private record Figures(int stints, int fish, double rodHours) {}

    private Map<String, Figures> compare(Page page) {
        page.navigate(address("/findings/compare?factor=colour"));
        Map<String, Figures> figures = new LinkedHashMap<>();
        for (Locator row : page.locator("tr[data-level]").all()) {
            figures.put(
                    row.getAttribute("data-level"),
                    new Figures(
                            Integer.parseInt(row.locator("[data-figure=stints]").textContent()),
                            Integer.parseInt(row.locator("[data-figure=fish]").textContent()),
                            Double.parseDouble(
                                    row.locator("[data-figure=rod-hours]").textContent())));
        }
        assertThat(figures).containsKey("violet");
        return figures;
    }

    private void newTrip(Page page) {
        page.navigate(address("/trips"));
        page.click("text=New trip");
        page.selectOption(
                "[name=water_id]", new com.microsoft.playwright.options.SelectOption().setLabel("Orrin Reservoir"));
        page.fill("[name=started_at]", "2026-10-03T17:00");
        page.click("text=Save the trip");
        page.waitForURL(url -> url.matches(".*/trips/[0-9a-f-]{36}"));
    }

    private static String violet(Page page) {
        return page.locator("[name=setup_id] option:has-text(\"violet\")")
                .first()
                .getAttribute("value");
    }

    private static void stint(Page page, String minutes) {
        page.click("text=Add a stint");
        page.waitForSelector("#stint-form");
        page.selectOption("[name=setup_id]", violet(page));
        page.fill("[name=minutes]", minutes);
        page.click("text=Save the stint");
    }

    @ParameterizedTest(name = "script {0}")
    @ValueSource(booleans = {true, false})
    void aTripWithABlankAndTwoFishChangesTheComparisonByJustThat(boolean script) {
        Page page = browser.signedIn(this, "Tobin", 1280, 800, script);
        Map<String, Figures> before = compare(page);
        newTrip(page);
        stint(page, "30");
        page.waitForSelector("text=17:00, 30 min");
        stint(page, "45");
        page.waitForSelector("text=17:30, 45 min");
        assertThat(page.locator(".stint").nth(0).textContent()).contains("blank");
        for (String length : List.of("41 cm", "15 in")) {
            page.locator(".stint").nth(1).locator("text=Add a fish").click();
            page.waitForSelector("#fish-form");
            page.fill("[name=species]", "largemouth");
            page.fill("[name=length_mm]", length);
            page.selectOption("[name=length_how]", "measured");
            page.click("text=Save the fish");
            page.waitForSelector("text=largemouth " + (length.equals("15 in") ? "38.1 cm" : length));
        }
        assertThat(page.locator(".stint").nth(1).textContent()).contains("2 bites, 2 hooked");
        assertThat(page.locator("main").textContent())
                .contains("2 fish in 1.3 rod-hours")
                .contains("1 of 2 stints blank");

        Map<String, Figures> after = compare(page);
        Figures was = before.get("violet");
        Figures is = after.get("violet");
        assertThat(is.stints() - was.stints()).isEqualTo(2);
        assertThat(is.fish() - was.fish()).isEqualTo(2);
        assertThat(is.rodHours() - was.rodHours()).isBetween(1.149, 1.351);
        before.remove("violet");
        assertThat(after).containsAllEntriesOf(before);
    }

    @Test
    void thePageAndTheCommandSayTheSame(@TempDir Path folder) throws Exception {
        PackageWriter.write(rows.ledger(demoPerson("edda").viewer()), "club", folder.resolve("p"));
        StringWriter out = new StringWriter();
        PrintWriter err = new PrintWriter(new StringWriter());
        int code = Dusk.run(
                new PrintWriter(out), err, "compare", folder.resolve("p").toString(), "--factor", "colour");
        assertThat(code).isZero();
        Page page = browser.signedIn(this, "Edda", 1280, 800, true);
        page.navigate(address("/findings/compare?factor=colour"));
        JsonNode levels = JsonMapper.shared().readTree(out.toString()).path("levels");
        assertThat(page.locator("tr[data-level]").count()).isEqualTo(levels.size());
        for (JsonNode level : levels) {
            String row = page.locator("tr[data-level=\"" + level.path("level").asString() + "\"]")
                    .textContent()
                    .replaceAll("\\s+", " ")
                    .strip();
            assertThat(row)
                    .isEqualTo(String.format(
                            Locale.ROOT,
                            "%s %.2f %.2f to %.2f %.2f %.2f to %.2f %d %.1f %d %d %d",
                            level.path("level").asString(),
                            level.path("shrunk").asDouble(),
                            level.path("shrunk_low").asDouble(),
                            level.path("shrunk_high").asDouble(),
                            level.path("rate").asDouble(),
                            level.path("rate_low").asDouble(),
                            level.path("rate_high").asDouble(),
                            level.path("fish").asInt(),
                            level.path("rod_hours").asDouble(),
                            level.path("stints").asInt(),
                            level.path("trips").asInt(),
                            level.path("anglers").asInt()));
        }
    }

    @Test
    void aPatternsCardOpensToItsEvidenceAndItsStints() {
        Page page = browser.signedIn(this, "Edda", 1280, 800, true);
        page.navigate(address("/findings/patterns"));
        page.waitForSelector("article", new Page.WaitForSelectorOptions().setTimeout(90_000));
        assertThat(page.locator("h2", new Page.LocatorOptions().setHasText("Works for you"))
                        .count())
                .isEqualTo(1);
        Locator card = page.locator("article").first();
        assertThat(card.locator("h3").textContent()).startsWith("Dead-stick takes ");
        assertThat(card.locator("table").first().isVisible()).isFalse();
        card.locator("summary").click();
        assertThat(card.locator("table").first().isVisible()).isTrue();
        assertThat(card.locator("table").first().textContent()).contains("Harl Quist");
        Browser.assertSound(page, "patterns");
        assertThat(card.locator("caption:has-text(\"What carried it\")").textContent())
                .matches(".*\\d+ comparisons with fish in them.*");
        assertThat(card.locator("table").last().locator("tbody tr").count()).isEqualTo(10);
        String harl =
                card.locator("tr:has(th a:text-is(\"Harl Quist\")) td").first().textContent();
        String ofHarl = card.locator("a:text-is(\"Harl Quist\")").getAttribute("href");
        card.locator("text=The stints behind it").click();
        page.waitForSelector("h1:has-text(\"The stints behind it\")");
        assertThat(page.locator("main").textContent()).contains("presentation: dead-stick; weather: after a front");
        page.locator("main ol a").first().click();
        page.waitForSelector("#stints");
        page.navigate(address(ofHarl));
        assertThat(page.locator("main").textContent()).contains("angler: Harl Quist");
        assertThat(page.locator("main strong").first().textContent())
                .endsWith(", " + harl.replaceAll(" in .*", "") + " fish");
    }

    /** The first card's trips and rod-hours with the choice. */
    private List<Integer> behindDeadStick(Page page) {
        page.navigate(address("/findings/patterns"));
        page.waitForSelector("article", new Page.WaitForSelectorOptions().setTimeout(90_000));
        String card = page.locator("article:has(h3:has-text(\"Dead-stick takes\"))")
                .first()
                .textContent();
        Matcher told = Pattern.compile("from (\\d+) rod-hours on (\\d+) trips").matcher(card);
        assertThat(told.find()).as(card).isTrue();
        return List.of(Integer.parseInt(told.group(1)), Integer.parseInt(told.group(2)));
    }

    @Test
    void aStintLoggedIsNewerThanThePatternsUntilTheyAreSearchedAnewAndADeletedOneIsNot() {
        Page page = browser.signedIn(this, "Runa", 1280, 800, true);
        List<Integer> before = behindDeadStick(page);
        newTrip(page);
        page.click("text=Add a reading");
        page.waitForSelector("#reading-form");
        page.selectOption("[name=weather]", "after a front");
        page.click("text=Save the reading");
        page.waitForSelector("text=after a front");
        page.click("text=Add a stint");
        page.waitForSelector("#stint-form");
        page.selectOption("[name=setup_id]", violet(page));
        page.fill("[name=minutes]", "120");
        page.fill("[name=presentation]", "dead-stick");
        page.click("text=Save the stint");
        page.waitForSelector(".stint");
        String trip = page.url();
        assertThat(behindDeadStick(page)).as("as it was found").isEqualTo(before);
        searchAnew(page, "1 stint is newer than this.");
        assertThat(behindDeadStick(page)).containsExactly(before.get(0) + 2, before.get(1) + 1);
        page.navigate(trip);
        page.click("text=Delete the trip");
        page.waitForSelector("text=Deleted.");
        searchAnew(page, "Records have changed since this was found.");
        assertThat(behindDeadStick(page)).isEqualTo(before);
    }

    private void searchAnew(Page page, String said) {
        page.navigate(address("/findings/patterns"));
        assertThat(page.textContent("#answer")).contains(said);
        page.click("text=Search anew now");
        page.waitForSelector("#answer:not(:has-text(\"anew\"))");
    }

    @Test
    void aSearchIsNarrowedByWaterSeasonAndToOnesOwn() {
        Page page = browser.signedIn(this, "Runa", 360, 800, false);
        page.navigate(address("/findings/patterns"));
        page.selectOption("[name=season]", "winter");
        page.selectOption("[name=mine]", "true");
        page.click("text=Ask");
        while (page.locator("text=Look again").count() > 0) {
            page.click("text=Look again");
        }
        assertThat(page.inputValue("[name=season]")).isEqualTo("winter");
        assertThat(page.inputValue("[name=mine]")).isEqualTo("true");
        page.navigate(address("/findings/stints?where=season%3Dwinter&mine=true"));
        assertThat(page.locator("main p").first().textContent()).isEqualTo("season: winter; yours only");
        assertThat(page.locator("main ol li").count()).isPositive();
        for (Locator angler : page.locator("main ol li span:first-of-type").all()) {
            assertThat(angler.textContent()).startsWith("Runa");
        }
        page.navigate(address("/findings/patterns?least=long&season=monsoon"));
        assertThat(page.locator(".fault").count()).isEqualTo(2);
        assertThat(page.inputValue("[name=least]")).isEqualTo("long");
    }

    @ParameterizedTest
    @ValueSource(booleans = {true, false})
    void gridClockAndFunnelLeadToTheStintsTheyCount(boolean script) {
        Page page = browser.signedIn(this, "Edda", 1280, 800, script);
        page.navigate(address("/findings/grid?factor=colour&across=depth"));
        Locator cell =
                page.locator(".cells tr:has(th:text-is(\"dark plum\")) td a").first();
        String fish = cell.locator("span").textContent().replaceAll(" in .*", "");
        cell.click();
        page.waitForSelector("h1:has-text(\"The stints behind it\")");
        assertThat(page.locator("main strong").first().textContent()).endsWith(" stints, " + fish + " fish");

        page.navigate(address("/findings/clock"));
        assertThat(page.locator("#verdict").textContent()).contains("sunset");
        Locator night = page.locator("tr:has(th:text-is(\"the night\")) td a").first();
        String caught = night.locator("span").textContent().replaceAll(" in .*", "");
        night.click();
        page.waitForSelector("text=by the sun: the night");
        assertThat(page.locator("main strong").first().textContent()).endsWith(" stints, " + caught + " fish");

        page.navigate(address("/findings/funnel?factor=rig"));
        Locator rig = page.locator("tbody tr").first();
        String landed = rig.locator("td").nth(3).textContent();
        rig.locator("th a").click();
        page.waitForSelector("h1:has-text(\"The stints behind it\")");
        assertThat(page.locator("main strong").first().textContent()).endsWith(" stints, " + landed + " fish");

        page.navigate(address("/findings/grid?factor=colour&across=colour"));
        assertThat(page.locator(".fault").textContent()).contains("two different factors");
    }

    @Test
    void twoLevelsAreComparedFairlyInWordsAndFigures() {
        Page page = browser.signedIn(this, "Edda", 360, 800, false);
        page.navigate(address("/findings/compare?factor=colour&level=motor+oil"));
        Locator contrast = page.locator("[aria-labelledby=contrast-title]");
        assertThat(contrast.locator("h3").textContent())
                .isEqualTo("The plain tally puts motor oil above the others; compared in the same hands, places "
                        + "and conditions nothing sure is left of it.");
        page.selectOption("#versus", "pearl");
        page.click("text=Compare the two");
        assertThat(page.locator("[aria-labelledby=contrast-title] dt").allTextContents())
                .containsExactly("plain tally", "luck allowed for", "matched", "adjusted");
    }

    @Test
    void aDeletedTripIsGoneFromTheComparisonAndComesBackWhole() {
        Page page = browser.signedIn(this, "Runa", 1280, 800, true);
        newTrip(page);
        stint(page, "60");
        page.waitForSelector(".stint");
        String trip = page.url();
        Map<String, Figures> with = compare(page);
        page.navigate(trip);
        page.click("text=Delete the trip");
        page.waitForSelector("text=Deleted.");
        Map<String, Figures> without = compare(page);
        assertThat(with.get("violet").stints() - without.get("violet").stints()).isEqualTo(1);
        page.navigate(address("/trips"));
        page.click("summary:has-text(\"Lately deleted\")");
        page.locator("button:has-text(\"Bring it back\")").first().click();
        page.waitForSelector("text=It is back.");
        assertThat(compare(page)).isEqualTo(with);
        page.navigate(trip);
        assertThat(page.locator(".stint").count()).isEqualTo(1);
    }

    @Test
    void aReadingIsShownInTheUnitsOfItsReader() {
        Page page = browser.signedIn(this, "Tobin", 1280, 800, true);
        newTrip(page);
        page.click("text=Add a reading");
        page.waitForSelector("#reading-form");
        page.fill("[name=water_temp_c]", "59 F");
        page.fill("[name=clarity_m]", "1.5");
        page.click("text=Save the reading");
        page.waitForSelector("text=water 15 °C, clear to 1.5 m");
        String trip = page.url();
        page.navigate(address("/account"));
        page.check("[value=us]");
        page.click("text=Save the units");
        page.navigate(trip);
        assertThat(page.locator("main").textContent()).contains("water 59 °F, clear to 4.9 ft");
        page.navigate(address("/account"));
        page.check("[value=metric]");
        page.click("text=Save the units");
    }
}
