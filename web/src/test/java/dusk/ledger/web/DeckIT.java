package dusk.ledger.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.SelectOption;
import com.microsoft.playwright.options.WaitForSelectorState;
import dusk.ledger.journal.Catch;
import dusk.ledger.journal.Loss;
import dusk.ledger.journal.SetUp;
import dusk.ledger.journal.Stint;
import dusk.ledger.tackle.Alteration;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** A day on the deck, touched and taken back. */
class DeckIT extends OnDeck {
    @ParameterizedTest(name = "script {0}")
    @ValueSource(booleans = {true, false})
    void aDayWithThreeRodsIsInTheExportAsItWasFished(boolean script) throws Exception {
        Page page = deck("Tobin", 3, script);
        // the device's clock stands, so that a busy machine's delay is no part of the day
        page.clock().setFixedTime(clock.instant().toEpochMilli());
        String guest = script ? "Wren Ashdown" : "Ivo Marl";
        String second = script ? "Harl Quist" : "Runa Halloway";
        page.selectOption("[name=angler_id_2]", new SelectOption().setLabel(anglerNamed(page, second)));
        page.fill("[name=guest_3]", guest);
        page.selectOption("[name=spot_id]", new SelectOption().setIndex(1));
        page.fill("[name=until]", "21:30");
        page.fill("[name='find.setup_id_1']", "violet 3.5 g");
        if (!script) {
            page.click("text=Lines in");
            assertThat(page.textContent("#start-form-setup_id_1-error"))
                    .contains("set-ups have “violet 3.5 g” in them. Choose one here");
            page.selectOption("[name=setup_id_1]", new SelectOption().setIndex(1));
        }
        page.waitForSelector(
                "[name=setup_id_1] option:checked:has-text(\"violet\")",
                new Page.WaitForSelectorOptions().setState(WaitForSelectorState.ATTACHED));
        page.click("text=Lines in");
        page.waitForSelector(
                "article[data-number=\"3\"]",
                new Page.WaitForSelectorOptions().setState(WaitForSelectorState.ATTACHED));
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
        touch(page, 1, "Last: largemouth");
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
        boat(page);
        page.click("text=Move, all rods");
        page.selectOption("[name=structure]", "dock");
        page.fill(".deck-acts [name=depth_m]", "3 m");
        page.click("text=Lines in there");
        if (script) {
            settled(page);
        }
        choose(page, 1);
        page.waitForSelector("article:has-text(\"(dock), 3 m\")");
        minutes(25);
        touch(page, 2, "Put down");
        minutes(7);
        touch(page, 2, "Pick up");
        minutes(8);
        endTheTrip(page);

        Day day = day(trip);
        assertThat(Duration.between(day.trip().startedAt(), day.trip().endedAt())
                        .toMillis())
                .isEqualTo(Math.round(75.2 * 60_000));
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
        endTheTrip(page);
        boat(page);
        page.click("text=Undo the last: the trip ended");
        choose(page, 1);
        page.waitForSelector("button:text-is(\"Put down\")");
        assertThat(day(trip).trip().endedAt()).isNull();
    }
}
