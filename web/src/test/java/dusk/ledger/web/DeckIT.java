package dusk.ledger.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.SelectOption;
import dusk.ledger.interchange.PackageReader;
import dusk.ledger.interchange.PackageWriter;
import dusk.ledger.journal.Catch;
import dusk.ledger.journal.Ledger;
import dusk.ledger.journal.Loss;
import dusk.ledger.journal.SetUp;
import dusk.ledger.journal.Stint;
import dusk.ledger.journal.Touch;
import dusk.ledger.journal.Trip;
import dusk.ledger.tackle.Alteration;
import dusk.ledger.web.store.Viewer;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.context.TestConfiguration;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Primary;

/** A day on the deck, on a phone, by a clock that the test turns. */
class DeckIT extends RunningApplication {
    private static final String WAITING = "document.getElementById('waiting').dataset.touches || '0'";

    private static Browser browser;

    @TestConfiguration
    static class Turnable {
        @Bean
        @Primary
        TurnableClock turnable() {
            return new TurnableClock(Instant.parse("2026-10-03T15:00:00Z"));
        }
    }

    @Autowired
    TurnableClock clock;

    @BeforeAll
    static void open() {
        browser = new Browser();
    }

    @AfterAll
    static void close() {
        assertThat(browser.complaints())
                .as("what the pages' scripts complained of")
                .isEmpty();
        browser.close();
    }

    private void minutes(double minutes) {
        clock.turn(Duration.ofMillis(Math.round(minutes * 60_000)));
    }

    private Page deck(String name, int rods, boolean script) {
        Page page = browser.signedIn(this, name, 390, 844, script);
        page.navigate(address("/deck/new?rods=" + rods));
        return page;
    }

    private static Locator rod(Page page, int number) {
        return page.locator("article[data-number=\"" + number + "\"]");
    }

    /** Waits until what was touched has been sent and the answer stands on the page. */
    private static void settled(Page page) {
        for (int i = 0; i < 300 && !page.evaluate(WAITING).equals("0"); i++) {
            page.waitForTimeout(50);
        }
        assertThat(page.evaluate(WAITING)).isEqualTo("0");
    }

    private static void touch(Page page, int rod, String... words) {
        for (String word : words) {
            rod(page, rod)
                    .locator("button:visible:has-text(\"" + word + "\"), summary:visible:has-text(\"" + word + "\")")
                    .first()
                    .click();
        }
        if (page.evaluate("document.documentElement.className").equals("scripted")) {
            settled(page);
        } else {
            page.waitForLoadState();
        }
    }

    private Ledger exported() throws Exception {
        ByteArrayOutputStream zip = new ByteArrayOutputStream();
        PackageWriter.writeZip(rows.ledger(Viewer.club(demoPerson("edda").clubId())), "club", zip);
        return PackageReader.read("club.zip", new ByteArrayInputStream(zip.toByteArray()))
                .ledger();
    }

    /** The part of the export that belongs to one trip. */
    private record Day(Trip trip, List<Stint> stints, Map<String, SetUp> setUps, Ledger all) {
        List<Catch> fish(Stint stint) {
            return all.catches().stream()
                    .filter(c -> c.stintId().equals(stint.id()))
                    .toList();
        }

        List<Loss> losses(Stint stint) {
            return all.losses().stream()
                    .filter(l -> l.stintId().equals(stint.id()))
                    .toList();
        }

        List<String> touches(Stint stint) {
            return all.touches().stream()
                    .filter(t -> t.stintId().equals(stint.id()))
                    .map(Touch::kind)
                    .sorted()
                    .toList();
        }

        SetUp on(Stint stint) {
            return setUps.get(stint.setUpId());
        }
    }

    private Day day(String tripId) throws Exception {
        Ledger all = exported();
        return new Day(
                all.trips().stream()
                        .filter(t -> t.id().equals(tripId))
                        .findFirst()
                        .orElseThrow(),
                all.stints().stream().filter(s -> s.tripId().equals(tripId)).toList(),
                all.setUps().stream().collect(Collectors.toMap(SetUp::id, Function.identity())),
                all);
    }

    private static String tripOf(Page page) {
        return page.url().replaceAll(".*/deck/([0-9a-f-]+).*", "$1");
    }

    private static List<Stint> of(Day day, String angler) {
        String id = day.all().anglers().stream()
                .filter(a -> angler.equals(a.name()))
                .findFirst()
                .orElseThrow()
                .id();
        return day.stints().stream().filter(s -> s.anglerId().equals(id)).toList();
    }

    @ParameterizedTest(name = "script {0}")
    @ValueSource(booleans = {true, false})
    void aDayWithThreeRodsIsInTheExportAsItWasFished(boolean script) throws Exception {
        Page page = deck("Tobin", 3, script);
        String guest = script ? "Wren Ashdown" : "Ivo Marl";
        String second = script ? "Harl Quist" : "Runa Halloway";
        page.selectOption("[name=angler_id_2]", new SelectOption().setLabel(anglerNamed(page, second)));
        page.fill("[name=guest_3]", guest);
        page.selectOption(
                "[name=setup_id_1]",
                page.locator("[name=setup_id_1] option:has-text(\"3.5 g\"):has-text(\"violet\")")
                        .first()
                        .getAttribute("value"));
        page.selectOption("[name=spot_id]", new SelectOption().setIndex(1));
        page.fill("[name=until]", "21:30");
        page.click("text=Lines in");
        page.waitForSelector("article[data-number=\"3\"]");
        if (script) {
            Browser.assertSound(page, "deck");
        }
        String trip = tripOf(page);

        minutes(10);
        touch(page, 1, "Bite");
        minutes(5);
        touch(page, 1, "Lost", "jumped off");
        minutes(5);
        touch(page, 1, "Landed", "largemouth");
        page.waitForSelector("details.fish[open]");
        page.locator("details.fish[open] [name=length_mm]").fill("41 cm");
        page.locator("details.fish[open] .pick label:has(span:text-is(\"measured\"))")
                .first()
                .click();
        page.locator("details.fish[open] .pick label:has(span:text-is(\"fall\"))")
                .click();
        touch(page, 1, "Save the fish");
        touch(page, 1, "Same again");
        minutes(0.2);
        touch(page, 1, "Swap", "pearl");
        minutes(0.2);
        touch(page, 1, "Swap", "Heavier");
        minutes(11.8);
        touch(page, 1, "Follow");
        minutes(3);
        page.click("text=Move, all rods");
        page.selectOption("[name=structure]", "dock");
        page.fill(".deck-acts [name=depth_m]", "3 m");
        page.click("text=Lines in there");
        if (script) {
            settled(page);
        }
        page.waitForSelector("article:has-text(\"(dock), 3 m\")");
        minutes(25);
        touch(page, 2, "Put down");
        minutes(7);
        touch(page, 2, "Pick up");
        minutes(8);
        page.click("text=End the trip");
        page.click("text=End it now");
        page.waitForSelector("text=This trip has ended");

        Day day = day(trip);
        assertThat(Duration.between(day.trip().startedAt(), day.trip().endedAt())
                        .toMillis())
                .as("but for the moment that the touch waited on the device")
                .isCloseTo(Math.round(75.2 * 60_000), within(2000L));
        List<Stint> first = of(day, "Tobin Marl");
        assertThat(first).hasSize(3);
        Stint before = first.get(0);
        Stint after = first.get(1);
        Stint moved = first.get(2);
        assertThat(first.stream().mapToDouble(Stint::minutes).toArray())
                .containsExactly(new double[] {20.2, 15, 40}, within(0.011));
        assertThat(List.of(before.follows(), before.bites(), before.hooked())).containsExactly(0, 4, 3);
        assertThat(day.touches(before)).containsExactly("bite", "hooked", "hooked", "hooked");
        assertThat(day.losses(before)).extracting(Loss::cause).containsExactly("jumped off");
        List<Catch> fish = day.fish(before);
        assertThat(fish).extracting(Catch::species).containsOnly("largemouth").hasSize(2);
        assertThat(fish).filteredOn(f -> f.length() != null).singleElement().satisfies(f -> {
            assertThat(f.length().millimetres()).isEqualTo(410);
            assertThat(List.of(String.valueOf(f.lengthHow()), String.valueOf(f.biteOn())))
                    .containsExactly("measured", "fall");
        });
        assertThat(after.follows()).isEqualTo(1);

        SetUp heavier = day.on(after);
        SetUp pearl = day.setUps().get(heavier.fromSetUpId());
        assertThat(pearl.fromSetUpId()).isEqualTo(before.setUpId());
        assertThat(Alteration.differences(day.on(before), pearl)).containsExactly("colour");
        assertThat(Alteration.differences(pearl, heavier)).containsExactly("head_mass_g");
        assertThat(heavier.headMass().grams()).isEqualTo(5);
        assertThat(moved.setUpId()).isEqualTo(heavier.id());
        assertThat(moved.depth().metres()).isEqualTo(3);
        assertThat(moved.spotId()).isNotEqualTo(after.spotId());

        assertThat(of(day, second).stream().mapToDouble(Stint::minutes).toArray())
                .containsExactly(new double[] {35.2, 25, 8}, within(0.011));
        List<Stint> guests = of(day, guest);
        assertThat(guests.stream().mapToDouble(Stint::minutes).toArray())
                .containsExactly(new double[] {35.2, 40}, within(0.011));
        assertThat(guests).allSatisfy(s -> assertThat(s.bites()).isZero());
    }

    private static String anglerNamed(Page page, String name) {
        return page.locator("[name=angler_id_2] option:has-text(\"" + name.split(" ")[0] + "\")")
                .first()
                .textContent();
    }

    /** A trip of one rod, at the first place of the list. */
    private Page oneRod(boolean script) {
        Page page = deck("Runa", 1, script);
        page.selectOption("[name=spot_id]", new SelectOption().setIndex(1));
        page.click("text=Lines in");
        page.waitForSelector("article");
        return page;
    }

    private Stint only(Page page) throws Exception {
        List<Stint> stints = day(tripOf(page)).stints();
        assertThat(stints).hasSize(1);
        return stints.get(0);
    }

    @Test
    void aFishIsTwoTouchesAndNoTyping() throws Exception {
        Page page = oneRod(true);
        rod(page, 1).locator("summary:has-text(\"Landed\")").click();
        rod(page, 1).locator("button.strong:visible").first().click();
        settled(page);
        assertThat(day(tripOf(page)).fish(only(page)))
                .singleElement()
                .satisfies(f -> assertThat(f.count()).isEqualTo(1));
    }

    @Test
    void everythingIsTakenBackOneByOneAndNothingOutOfTurn() throws Exception {
        Page page = oneRod(true);
        String trip = tripOf(page);
        Stint start = only(page);
        minutes(4);
        touch(page, 1, "Bite");
        minutes(4);
        touch(page, 1, "Landed", "largemouth");
        minutes(4);
        touch(page, 1, "Swap", "Heavier");
        minutes(4);
        touch(page, 1, "Lost", "snag");
        assertThat(day(trip).stints()).hasSize(2);
        String firstAct = store.read()
                .fetchOne("select act_id from acts where what = 'rod 1: bite' order by rowid desc limit 1")
                .get(0, String.class);
        Visitor other = new Visitor(address("")).as(demoPerson("runa").id());
        assertThat(other.send("/deck/" + trip + "/undo", other.token("/deck/" + trip), Map.of("undo", firstAct))
                        .body())
                .contains("Something came after it. Undo that first");
        for (int i = 0; i < 4; i++) {
            touch(page, 1, "Undo:");
        }
        assertThat(only(page)).isEqualTo(start);
        assertThat(day(trip).all().touches()).noneMatch(t -> t.stintId().equals(start.id()));
        assertThat(day(trip).fish(start)).isEmpty();
        page.click("text=End the trip");
        page.click("text=End it now");
        page.waitForSelector("text=This trip has ended");
        page.click("text=Undo the last: the trip ended");
        page.waitForSelector("text=Put down");
        assertThat(day(trip).trip().endedAt()).isNull();
    }

    @ParameterizedTest
    @ValueSource(booleans = {true, false})
    void aForgottenRodIsNoticedAndItsEndSetBack(boolean script) throws Exception {
        Page page = oneRod(script);
        minutes(12);
        touch(page, 1, "Follow");
        minutes(50);
        page.reload();
        assertThat(rod(page, 1).textContent()).contains("No touch for 50 min. Still fishing?");
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
        minutes(1);
        page.locator("details[data-column=sky] summary").click();
        page.locator("details[data-column=sky] button:text-is(\"overcast\")").click();
        page.waitForSelector("details[data-column=sky]:has-text(\"overcast\")");
        minutes(200);
        page.reload();
        assertThat(page.textContent("#water-now ~ .said")).contains("Is the water temperature still 12.2");
        page.click("text=Still so");
        page.waitForSelector("details[data-column=water_temp_c]:has-text(\"0 min\")");
        page.click("summary:has-text(\"Signs\")");
        page.click("button:text-is(\"birds\")");
        page.waitForSelector("text=Undo the last: sign: birds");
        Ledger all = exported();
        assertThat(all.readings().stream().filter(r -> r.tripId().equals(trip)))
                .hasSize(3)
                .last()
                .satisfies(r -> {
                    assertThat(r.waterTemp().celsius()).isCloseTo(12.22, within(0.01));
                    assertThat(r.sky()).isEqualTo("overcast");
                });
        assertThat(all.signs().stream().filter(s -> s.tripId().equals(trip))).hasSize(1);
    }

    private static void reading(Page page, String column, String typed) {
        page.locator("details[data-column=" + column + "] summary").click();
        page.fill(".chip [name=" + column + "]", typed);
        page.locator("details[data-column=" + column + "] button").click();
    }

    @Test
    void keysDoWhatTheTouchesDo() throws Exception {
        Page page = deck("Runa", 2, true);
        page.click("text=Lines in");
        page.waitForSelector("article");
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
        page.waitForSelector("details.fish[open]");
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
        page.locator("details.fish[open] [name=length_mm]").fill("35");
        touch(page, 1, "Save the fish");
        touch(page, 1, "Undo: largemouth completed");
        assertThat(rod(page, 1).locator("details.fish summary").textContent()).isEqualTo("Last: largemouth");
        touch(page, 1, "Undo: largemouth");
        assertThat(only(page).bites()).isZero();
        page.click("text=The trip's page");
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
        page.click("text=End the trip");
        page.click("text=End it now");
        page.waitForSelector("text=This trip has ended");
        page.evaluate(
                "async path => { const { update } = await import('/js/idb-keyval.js');"
                        + " const key = 'touches:' + document.getElementById('deck').dataset.person;"
                        + " await update(key, () => [{id: 'late', path, body: 'act=01a0-late', at: Date.now() - 60000, card: 'x'}]); }",
                page.url().replaceAll(".*(/deck/[0-9a-f-]+).*", "$1") + "/rods/" + rodId + "/bite");
        page.reload();
        page.waitForSelector("#waiting:has-text(\"Refused, and kept on this device: bite\")");
        settled(page);
        assertThat(day(tripOf(page)).stints())
                .as("never fished, and nothing was added")
                .isEmpty();
    }
}
