package dusk.ledger.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import dusk.ledger.format.LedgerFormat;
import dusk.ledger.journal.Catch;
import dusk.ledger.journal.Water;
import dusk.ledger.web.store.Clubs;
import dusk.ledger.web.store.LedgerRows;
import dusk.ledger.web.store.Viewer;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.test.context.DynamicPropertyRegistry;
import org.springframework.test.context.DynamicPropertySource;

/** From an empty store to the first fish, by hand, each touch and each field counted. */
@SpringBootTest(
        webEnvironment = SpringBootTest.WebEnvironment.RANDOM_PORT,
        properties = {"dusk.recent.seconds=0", "dusk.news.searches=false"})
class FirstStepsIT {
    private static Browser browser;

    @LocalServerPort
    int port;

    @Autowired
    Clubs clubs;

    @Autowired
    LedgerRows rows;

    private Page page;
    private int counted;

    @DynamicPropertySource
    static void store(DynamicPropertyRegistry registry) throws IOException {
        Path folder = TestClub.passing();
        registry.add("dusk.store", () -> folder.resolve("dusk.db").toString());
    }

    @BeforeAll
    static void open() {
        browser = new Browser();
    }

    @AfterAll
    static void close() {
        browser.close();
    }

    private void touch(String what) {
        page.locator(what).first().click();
        counted++;
    }

    private void write(String field, String text) {
        page.fill(field, text);
        counted++;
    }

    @Test
    void aFirstFishIsAFewTouchesFromAnEmptyStore() {
        page = browser.visit(390, 844, true);
        page.navigate("http://127.0.0.1:" + port + "/");
        assertThat(page.textContent("h1")).isEqualTo("A new ledger");
        Browser.assertSound(page, "begin");
        write("#club", "Tarn Rods");
        write("#name", "Ada Holm");
        write("#username", "ada");
        write("#password", "reeds at dusk 7");
        touch("button:text-is(\"Begin\")");

        page.waitForSelector("h1:text-is(\"Three steps to the first fish\")");
        Browser.assertSound(page, "first steps");
        write("[name=name]", "Holm Tarn");
        touch("label:has-text(\"lake\")");
        page.click("text=This is the water");
        page.waitForSelector(".fault:has-text(\"Touch the globe where it lies\")");
        assertThat(page.isChecked("[name=kind][value=lake]")).as("kept").isTrue();
        page.locator("input[name=globe]")
                .click(new com.microsoft.playwright.Locator.ClickOptions().setPosition(150, 30));
        counted++;
        page.waitForSelector("text=the sun is up at");
        assertThat(page.inputValue("#latitude")).isEqualTo("54.0");
        assertThat(page.inputValue("[name=name]")).as("what was typed is kept").isEqualTo("Holm Tarn");
        touch("text=This is the water");

        page.waitForSelector(".boxed");
        Browser.assertSound(page, "the box");
        touch(".boxed label:has-text(\"texas rig\")");
        touch(".boxed label:has-text(\"drop shot\")");
        touch("text=Into the box");
        touch("text=To the deck");
        touch("button:has-text(\"Lines in\")");
        page.waitForSelector("article.shown");
        touch("summary:has-text(\"Landed\")");
        touch("button.strong:visible");
        OnDeck.settled(page);

        Viewer club = Viewer.club(clubs.all().get(0).id());
        List<Catch> fish = rows.all(club, LedgerFormat.CATCHES);
        assertThat(fish).hasSize(1);
        assertThat(rows.all(club, LedgerFormat.SETUPS)).hasSize(2);
        Water water = rows.all(club, LedgerFormat.WATERS).get(0);
        assertThat(List.of(water.name(), water.kind(), water.sunAt().latitude()))
                .containsExactly("Holm Tarn", "lake", 54.0);
        assertThat(water.timeZone()).isNotNull();
        assertThat(counted).as("touches and fields").isLessThanOrEqualTo(25);
    }
}
