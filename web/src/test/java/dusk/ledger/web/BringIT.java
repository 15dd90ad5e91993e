package dusk.ledger.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.SelectOption;
import dusk.ledger.journal.Catch;
import dusk.ledger.journal.Ledger;
import dusk.ledger.journal.SetUp;
import dusk.ledger.journal.Stint;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Old notebooks come in through the browser: looked at, understood otherwise where need be, taken, and taken back. */
class BringIT extends BrowserDriven {
    private Ledger all() {
        return clubs.ledger(demoPerson("Edda").clubId());
    }

    private Page read(boolean script, int width, String name) throws Exception {
        Page page = browser.admitted(this, "Edda", width, 800, script);
        page.navigate(address("/club/bring"));
        page.setInputFiles(
                "#file", Path.of(BringIT.class.getResource("/sheets/" + name).toURI()));
        page.click("main button:has-text(\"Read it\")");
        page.waitForSelector("h1:has-text(\"" + name + "\")");
        return page;
    }

    private static void take(Page page) {
        page.click("button:text-is(\"Bring it in\")");
        page.waitForSelector(".said:has-text(\"Taken whole\")");
    }

    @ParameterizedTest(name = "script {0}")
    @ValueSource(booleans = {true, false})
    void aStintARowOfAnotherWater(boolean script) throws Exception {
        Ledger before = all();
        Page page = read(script, 1280, "sallow-stints.csv");
        assertThat(page.textContent(".said"))
                .contains("8 rows come to 3 trips, 5 stints, 6 fish (5 yellow perch, 1 pike).");
        page.fill("[name=\"fixed.waters.name\"]", "The Sallow");
        page.fill("[name=\"fixed.anglers.name\"]", "Harl Quist");
        page.fill("[name=save_as]", "Sallow notebooks");
        page.click("button:has-text(\"Read it like this\")");
        page.waitForSelector(".said:has-text(\"Kept as\")");
        assertThat(page.inputValue("[name=\"fixed.waters.name\"]")).isEqualTo("The Sallow");
        if (script) {
            Browser.assertSound(page, "a spreadsheet that is looked at");
        }
        take(page);
        Ledger with = all();
        assertThat(with.trips()).hasSize(before.trips().size() + 3);
        assertThat(with.stints().stream().filter(s -> before.stints().stream().noneMatch(b -> b.id().equals(s.id()))))
                .extracting(Stint::minutes)
                .containsExactlyInAnyOrder(150.0, 150.0, 150.0, 180.0, 45.0);
        assertThat(with.setUps().stream().filter(s -> before.setUps().stream().noneMatch(b -> b.id().equals(s.id()))))
                .extracting(SetUp::colour)
                .containsOnly("green pumpkin", "black-blue");
        page.click("main button:has-text(\"Take it back\")");
        page.waitForSelector(".said:has-text(\"Taken back\")");
        assertThat(all()).isEqualTo(before);
    }

    @Test
    void aFishARowOnAPhone() throws Exception {
        Ledger before = all();
        Page page = read(true, 390, "merrow-fish.xlsx");
        assertThat(page.textContent(".said")).contains("nobody wrote how long they were");
        page.fill("[name=\"fixed.waters.name\"]", "Merrow Sound");
        page.selectOption("[aria-label=\"Lure Used is\"]", new SelectOption().setLabel("leave it out"));
        page.click("button:has-text(\"Read it like this\")");
        page.waitForSelector(
                "[aria-label=\"Lure Used is\"] option[value=skip]:checked",
                new Page.WaitForSelectorOptions()
                        .setState(com.microsoft.playwright.options.WaitForSelectorState.ATTACHED));
        Browser.assertSound(page, "a workbook that is looked at");
        take(page);
        assertThat(all().catches().stream()
                        .filter(c -> before.catches().stream().noneMatch(b -> b.id().equals(c.id()))))
                .extracting(Catch::species, c -> Math.round(c.length().millimetres()))
                .containsExactlyInAnyOrder(
                        tuple("sea bass", 419L),
                        tuple("sea bass", 457L),
                        tuple("flounder", 356L),
                        tuple("sea bass", 559L));
        String rates = page.request().get(address("/findings/compare")).text();
        assertThat(rates).doesNotContain("Infinity").doesNotContain("NaN");
    }

    @Test
    void aDayARowAndTheSameFileTwice() throws Exception {
        Page page = read(true, 1280, "orrin-days.tsv");
        assertThat(page.textContent(".said")).contains("12 largemouth, 12 yellow perch, 1 smallies");
        take(page);
        Ledger with = all();
        Page again = read(true, 1280, "orrin-days.tsv");
        assertThat(again.textContent("main")).contains("All of it is here already.");
        again.click("button:text-is(\"Bring it in\")");
        again.waitForSelector(".said:has-text(\"nothing was changed\")");
        assertThat(all()).isEqualTo(with);
    }
}
