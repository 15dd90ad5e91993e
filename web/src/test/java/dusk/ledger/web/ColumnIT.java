package dusk.ledger.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.Page;
import dusk.ledger.format.LedgerFormat;
import dusk.ledger.journal.SetUp;
import dusk.ledger.journal.SetUpBuilder;
import dusk.ledger.units.Length;
import dusk.ledger.units.Mass;
import dusk.ledger.units.UnitSystem;
import dusk.ledger.water.Arrival;
import dusk.ledger.water.Cast;
import dusk.ledger.water.Lure;
import dusk.ledger.web.words.SetUpWords;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** The water column as it is asked on the bench, counted, carried in a pocket, and fanned out over a place. */
class ColumnIT extends AtTheColumn {

    /** What is written, drawn and tabled agree with one another, and with the closed form where there is one. */
    private static void assertOfOnePiece(Page page, Lure lure, double depthM, double lineM) {
        double closed = new Cast(depthM, 20, 1.5, lineM, Cast.FRESH, 0, 0).freeFallSeconds(lure, depthM);
        assertThat(count(verdict(page))).isCloseTo(closed, within(0.51));
        assertThat(page.textContent("#beside-A tbody tr:first-child td"))
                .isEqualTo(COUNT.matcher(verdict(page))
                        .results()
                        .findFirst()
                        .orElseThrow()
                        .group());
        assertThat(page.getAttribute(".elevation", "aria-label")).contains(verdict(page));
        assertThat(page.textContent(".elevation .strong"))
                .isEqualTo(Length.ofMetres(depthM).show(Length.Unit.METRE));
        // a circle each fifth second of the fall and of the way home, the drawing's own clock
        double seconds =
                Double.parseDouble(page.locator("#home-0").textContent().replaceAll(".*home, (\\d+) s.*", "$1"));
        String other = verdict(page).substring(verdict(page).indexOf("tight"));
        int marks = (int) ((closed + seconds) / 5) + (COUNT.matcher(other).find() ? (int) (count(other) / 5) : 0);
        assertThat(page.locator(".elevation circle.water-second").count()).isBetween(marks - 2, marks + 2);
    }

    private static final String BUILT =
            "/column?setup=&head_mass_g=10 g&head_material=lead&plastic=lizard&plastic_length_mm=120 mm"
                    + "&plastic_material=plastisol&line_diameter_mm=0.2 mm&presentation=steady "
                    + "retrieve&depth_m=4 m&cast_m=20 m&reel=0.5 m/s";

    private static final Lure LURE = Lure.of(
            new Lure.Parts(Mass.ofGrams(10), "lead", "lizard", Length.ofMillimetres(120), "plastisol", 0.4, 0, 0),
            Cast.FRESH);

    @Test
    void movingTheDepthChangesTheCountTheDrawingAndTheWordsAlike() {
        Page page = browser.signedIn(this, "Tobin", 1280, 800, true);
        page.navigate(address(BUILT));
        assertOfOnePiece(page, LURE, 4, 0.0002);
        String before = page.innerHTML(".elevation");
        page.locator("[data-slider=column-depth_m]").fill("9");
        await(page, () -> verdict(page).contains("9 m down"));
        assertThat(page.inputValue("[name=depth_m]")).isEqualTo("9 m");
        assertThat(page.innerHTML(".elevation")).isNotEqualTo(before);
        assertOfOnePiece(page, LURE, 9, 0.0002);
        assertThat(page.url()).contains("depth_m=9");
        page.fill("[name=head_mass_g]", "28 g");
        await(page, () -> page.locator("#beside-A").textContent().contains("28 g"));
        Lure heavier = Lure.of(
                new Lure.Parts(Mass.ofGrams(28), "lead", "lizard", Length.ofMillimetres(120), "plastisol", 0.4, 0, 0),
                Cast.FRESH);
        assertOfOnePiece(page, heavier, 9, 0.0002);
        // a cast that is shorter than the water is deep hangs on a tight line
        page.locator("[data-slider=column-cast_m]").fill("6");
        await(page, () -> verdict(page).contains("never gets down"));
        Arrival hangs = Arrival.of(heavier, new Cast(9, 6, 1.5, 0.0002, Cast.FRESH, 0, 0), Arrival.Method.TIGHT);
        assertThat(hangs.reaches()).isFalse();
        assertThat(page.textContent("#beside-A tbody tr:nth-child(2)"))
                .contains("never")
                .contains("hangs at 4.7 m");
    }

    @Test
    void withoutScriptTheSameFormAsksTheSame() {
        Page page = browser.signedIn(this, "Tobin", 1280, 800, false);
        page.navigate(address(BUILT));
        page.fill("[name=depth_m]", "6 m");
        page.fill("[name=band_from_m]", "2");
        page.fill("[name=band_to_m]", "3.5");
        page.fill("[name=current_mps]", "0.3");
        page.click("text=Show");
        assertThat(verdict(page)).contains("6 m down").contains("aside");
        assertThat(page.textContent("#bench ~ .bench-answer")).contains("Among the fish, 2 m to 3.5 m");
        assertThat(page.locator(".water-fish").count()).isPositive();
        assertThat(page.textContent(".elevation")).contains("from above").contains("current 0.3 m/s");
        assertThat(page.textContent("#held")).startsWith("For these fish: ");
        assertThat(page.locator("#rungs tbody tr").count()).isEqualTo(14);
        assertThat(page.locator("#rungs .tag:text-is('tied on')").count()).isEqualTo(1);
        assertThat(page.textContent("#lightest")).startsWith("Lightest that holds: ");
        assertThat(page.textContent("#control")).startsWith("Overweight for control: 28 g");
        // what the form shows as chosen is what is reckoned, also where the address does not say it
        page.navigate(address("/column?current_mps=0.3"));
        assertThat(page.inputValue("[name=heading]")).isEqualTo("90");
        assertThat(verdict(page)).contains("aside");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "depth_m=0 | depth_m | Write 0.3 m to 60 m, not “0”.",
                "cast_m=far | cast_m | “far” is not a length. Write it like 2.5 m or 8 ft.",
                "reel=2 turns/s | reel | Turns of which reel? Choose a rod that has its line a turn noted, or write m/s.",
                "own=wiggle | own | “wiggle” is no part of a retrieve.",
                "band_from_m=5&band_to_m=3 | band_to_m | Where the fish are must end deeper than it begins.",
                "setup= | head_mass_g | Give the head that is built on.",
                "setup=nobody | setup | Choose a set-up of the list, or build one.",
                "head_mass_g=heavy | head_mass_g | “heavy” is not a",
                "current_mps=9 | current_mps | Write 0 m/s to 3 m/s, not “9”."
            })
    void whatCannotBeIsSaidAtItsFieldAndKept(String asked, String field, String words) {
        Page page = browser.signedIn(this, "Tobin", 1280, 800, false);
        page.navigate(address("/column?" + asked));
        assertThat(page.textContent("#column-" + field + "-error")).contains(words);
        assertThat(page.locator("#verdict").count()).isZero();
        String last = asked.substring(asked.lastIndexOf('&') + 1);
        if (!last.startsWith("setup")) {
            assertThat(page.inputValue("[name=" + last.split("=")[0] + "]")).isEqualTo(last.split("=")[1]);
        }
    }

    @Test
    void anErrorComesAndGoesWithoutLosingTheField() {
        Page page = browser.signedIn(this, "Tobin", 1280, 800, true);
        page.navigate(address(BUILT));
        page.fill("[name=depth_m]", "deep");
        await(page, () -> page.textContent("#column-depth_m-error").contains("is not a length"));
        assertThat(page.inputValue("[name=depth_m]")).isEqualTo("deep");
        assertThat(page.locator("#verdict").count()).isZero();
        page.fill("[name=depth_m]", "5");
        await(page, () -> page.locator("#verdict").count() == 1 && verdict(page).contains("5 m down"));
        assertThat(page.textContent("#column-depth_m-error")).isEmpty();
    }

    @Test
    void upToThreeSetUpsLieOverOneAnotherAndWhatCannotFallSaysWhy() {
        List<SetUp> setUps = setUps();
        SetUp jig = falls(setUps, "open jig head");
        SetUp drop = falls(setUps, "drop shot");
        SetUp hard = SetUpBuilder.builder()
                .id(newId.next())
                .rig("hard bait")
                .plastic("crankbait")
                .build();
        String club = demoPerson("tobin").clubId();
        store.write(club, tx -> {
            rows.insert(tx, club, LedgerFormat.SETUPS, hard);
            return hard;
        });
        Page page = browser.signedIn(this, "Tobin", 1280, 800, true);
        page.navigate(address("/column?setup=" + jig.id() + "&with=" + drop.id() + "&and=" + hard.id()));
        assertThat(page.locator(".water-path.beside-B").count()).isPositive();
        assertThat(page.locator("[id^=beside-]").count()).isEqualTo(3);
        assertThat(page.textContent("#beside-C")).contains("A hard bait floats, hangs or sinks");
        Browser.assertSound(page, "column with three");
    }

    @Test
    void theCardHoldsTheCountsOfTheSetUpsThatWerePicked() {
        SetUp setUp = falls(setUps(), "drop shot");
        Page page = browser.signedIn(this, "Tobin", 1280, 800, true);
        page.navigate(address("/column/card"));
        assertThat(page.locator("#card tbody tr").count()).isEqualTo(6);
        page.fill("[name='find.pick']", SetUpWords.of(setUp, UnitSystem.METRIC));
        page.click("button:has-text(\"Find\")");
        page.waitForLoadState();
        var ticked = page.locator("input[name=pick]:checked");
        for (int left = ticked.count(); left > 0; left--) {
            ticked.first().uncheck();
        }
        page.locator("label:has-text(\"" + SetUpWords.of(setUp, UnitSystem.METRIC) + "\") input[name=pick]")
                .first()
                .check();
        page.click("text=Put these on the card");
        assertThat(page.locator("#card tbody tr").count()).isEqualTo(1);
        List<String> counts = page.locator("#card tbody td").allTextContents();
        assertThat(counts).hasSize(8);
        assertThat(count(counts.get(3))).isLessThan(count(counts.get(5)));
        Browser.assertSound(page, "card");
    }

    @ParameterizedTest
    @ValueSource(booleans = {true, false})
    void aFanTellsItsCastsAndHowMuchTheyCovered(boolean script) {
        Page page = browser.signedIn(this, "Tobin", 1280, 800, script);
        page.navigate(address("/column/fan?toward=90&arc=90&cast_m=20 m&strike_m=2 m&cast_s=75"));
        assertThat(verdict(page)).startsWith("17 casts, 5.6° apart, cover 90°").contains("21 minutes");
        assertThat(page.textContent("#covered")).isEqualTo("None made yet.");
        page.locator("label:has(#made-3)").click();
        if (script) {
            // the answer puts other marks in place of these: the next one is touched on those
            await(page, () -> page.textContent("#covered").startsWith("1 of 17 made"));
        }
        page.locator("label:has(#made-4)").click();
        if (!script) {
            page.click("text=Show");
        }
        await(page, () -> page.textContent("#covered").startsWith("2 of 17 made: 13 % is covered, 15 to go"));
        assertThat(page.locator(".fan-cast.made").count()).isEqualTo(2);
        page.fill("[name=arc]", "nothing");
        if (!script) {
            page.click("text=Show");
        }
        await(page, () -> page.textContent("#fan-arc-error").contains("“nothing” is not a number"));
        assertThat(page.locator(".fan").count()).isZero();
    }

    @Test
    void aCurrentCarriesEachCastOfAFanDownstream() {
        SetUp setUp = falls(setUps(), "open jig head");
        Page page = browser.signedIn(this, "Tobin", 1280, 800, true);
        page.navigate(address(
                "/column/fan?toward=0&arc=60&depth_m=4 m&current_mps=0.3&current_toward=90&wind_mps=5&wind_from=0&setup="
                        + setUp.id()));
        int casts = page.locator(".fan-cast").count();
        assertThat(page.locator(".fan-carried").count()).isEqualTo(casts).isGreaterThan(5);
        page.click("text=Cast by cast");
        List<String> lines = page.locator("ol li").allTextContents();
        assertThat(lines).allMatch(l -> l.contains("carried") && l.contains("into the wind"));
        // every one ends to the east of where it fell in
        for (String path : page.locator(".fan-carried").all().stream()
                .map(l -> l.getAttribute("d"))
                .toList()) {
            double[] xy = Stream.of(path.split("[ML, ]+"))
                    .filter(t -> !t.isEmpty())
                    .mapToDouble(Double::parseDouble)
                    .toArray();
            assertThat(xy[2]).isGreaterThan(xy[0] + 3);
            assertThat(xy[3]).isCloseTo(xy[1], within(1.5));
        }
    }
}
