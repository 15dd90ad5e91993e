package dusk.ledger.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.FilePayload;
import dusk.ledger.web.records.People;
import dusk.ledger.web.records.Person;
import dusk.ledger.web.records.Places;
import dusk.ledger.web.records.Waters;
import dusk.ledger.web.store.Clubs;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.test.context.DynamicPropertyRegistry;
import org.springframework.test.context.DynamicPropertySource;

/** A club is founded, two people come in on devices of their own, and one keeps a place from the other; each touch and field counted. */
@SpringBootTest(
        webEnvironment = SpringBootTest.WebEnvironment.RANDOM_PORT,
        properties = {"dusk.recent.seconds=0", "dusk.news.searches=false"})
class ClubIT {
    private static final String HOLE = "{\"type\": \"Feature\", \"properties\": {\"name\": \"Otter Hole\"},"
            + " \"geometry\": {\"type\": \"Point\", \"coordinates\": [-8.0, 54.0]}}";

    private static Browser browser;

    @LocalServerPort
    int port;

    @Autowired
    Clubs clubs;

    @Autowired
    People people;

    @Autowired
    Places places;

    @Autowired
    Waters waters;

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

    private void touch(Page page, String what) {
        page.locator(what).first().click();
        counted++;
    }

    private void write(Page page, String field, String text) {
        page.fill(field, text);
        counted++;
    }

    private String address(String path) {
        return "http://127.0.0.1:" + port + path;
    }

    /** To a place of the application by its frame. */
    private void go(Page page, String place) {
        touch(page, ".frame-places a:text-is(\"" + place + "\")");
    }

    private String invited(Page officer) {
        touch(officer, "button:text-is(\"Make the link\")");
        officer.waitForSelector("#link");
        return officer.inputValue("#link");
    }

    private Page comeIn(String link, String name, String signIn, int width) {
        Page page = browser.visit(width, 844, true);
        page.navigate(link);
        Browser.assertSound(page, "a link");
        write(page, "#name", name);
        write(page, "#username", signIn);
        write(page, "#password", "reeds at dawn " + signIn);
        touch(page, "button:text-is(\"Come in\")");
        page.waitForURL("**/today");
        return page;
    }

    private Person person(String signIn) {
        return people.bySignIn(signIn).orElseThrow();
    }

    @Test
    void aClubWithThreePeopleAndAPlaceThatOneKeepsIsAFewTouchesFromAnEmptyStore() {
        Page officer = browser.visit(1280, 800, true);
        officer.navigate(address("/"));
        write(officer, "#club", "Tarn Rods");
        write(officer, "#name", "Ada Holm");
        write(officer, "#username", "ada");
        write(officer, "#password", "reeds at dusk 7");
        touch(officer, "button:text-is(\"Begin\")");
        officer.waitForSelector("h1:text-is(\"Three steps to the first fish\")");
        go(officer, "Club");
        touch(officer, "text=New water");
        write(officer, "[name=name]", "Holm Tarn");
        officer.selectOption("[name=kind]", "lake");
        counted++;
        write(officer, "[name=latitude]", "54");
        write(officer, "[name=longitude]", "-8");
        touch(officer, "text=Save the water");
        officer.waitForURL("**/club");
        touch(officer, "text=Invite and look after people");
        String first = invited(officer);
        Browser.assertSound(officer, "people with a link");
        String second = invited(officer);
        assertThat(second).isNotEqualTo(first);

        Page keeper = comeIn(first, "Bo Lark", "bo", 1280);
        Page other = comeIn(second, "Cass Rill", "cass", 390);
        go(keeper, "Club");
        touch(keeper, "main a:text-is(\"Holm Tarn\")");
        keeper.setInputFiles(
                "#file",
                new FilePayload("hole.geojson", "application/geo+json", HOLE.getBytes(StandardCharsets.UTF_8)));
        counted++;
        touch(keeper, "button:text-is(\"Bring it in\")");
        keeper.waitForSelector(".chart-mine");
        Browser.assertSound(keeper, "a water");
        String water = keeper.url();

        other.navigate(water);
        assertThat(other.textContent("main")).contains("a place kept private").doesNotContain("Otter Hole");
        go(keeper, "Club");
        touch(keeper, "text=What others see of my places");
        touch(keeper, "label:has-text(\"as if it had not been fished\")");
        touch(keeper, "button:text-is(\"Save what I share\")");
        keeper.waitForSelector("text=It holds from now on");
        Browser.assertSound(keeper, "sharing");
        assertThat(counted).as("touches and fields until the place is hidden").isLessThanOrEqualTo(45);

        other.navigate(water);
        assertThat(other.textContent("main"))
                .doesNotContain("a place kept private")
                .doesNotContain("Otter Hole");
        officer.navigate(water);
        assertThat(officer.textContent("main")).doesNotContain("Otter Hole");
        keeper.navigate(water + "?as=anybody");
        assertThat(keeper.textContent("main"))
                .contains("everyone else in the club")
                .doesNotContain("Otter Hole");

        keeper.navigate(water);
        Locator mark = keeper.locator(".chart-mine");
        BoundingBox at = mark.locator(".chart-depth").boundingBox();
        keeper.mouse().move(at.x + at.width / 2, at.y + at.height / 2);
        keeper.mouse().down();
        keeper.mouse().move(at.x + at.width / 2 + 60, at.y + at.height / 2 - 30);
        keeper.mouse().up();
        keeper.waitForSelector("text=Moved. Under Changes it can be put back.");
        String lake = waters.all(person("bo").viewer()).get(0).id();
        var moved = places.of(person("bo").viewer(), lake).get(0).position();
        assertThat(moved).isNotNull();
        assertThat(moved.latitude()).isGreaterThan(54.0001).isCloseTo(54, within(0.01));
        assertThat(moved.longitude()).isGreaterThan(-7.9999).isCloseTo(-8, within(0.01));
        keeper.locator(".chart-mine").focus();
        keeper.keyboard().press("ArrowLeft");
        keeper.keyboard().press("Enter");
        keeper.waitForSelector("text=Moved. Under Changes it can be put back.");
        assertThat(places.of(person("bo").viewer(), lake).get(0).position().longitude())
                .as("by the keyboard")
                .isLessThan(moved.longitude());
        assertThat(clubs.all()).hasSize(1);
    }
}
