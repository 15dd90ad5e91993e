package dusk.ledger.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.Page;
import dusk.ledger.format.LedgerFormat;
import dusk.ledger.journal.SetUp;
import dusk.ledger.units.Length;
import dusk.ledger.units.Mass;
import dusk.ledger.water.Arrival;
import dusk.ledger.water.Cast;
import dusk.ledger.water.Lure;
import dusk.ledger.water.Tied;
import java.util.List;
import java.util.Map;
import java.util.function.BooleanSupplier;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.jooq.impl.DSL;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** The water column as it is asked on the bench, counted, carried in a pocket, and fanned out over a place. */
class ColumnIT extends RunningApplication {
    private static final Pattern COUNT =
            Pattern.compile("(\\d+(?:\\.\\d)?) s \\((\\d+(?:\\.\\d)?) to (\\d+(?:\\.\\d)?)\\)");
    private static Browser browser;

    @BeforeAll
    static void open() {
        browser = new Browser();
    }

    @AfterAll
    static void close() {
        assertThat(browser.complaints()).isEmpty();
        browser.close();
    }

    private static void await(Page page, BooleanSupplier there) {
        for (int i = 0; i < 100 && !there.getAsBoolean(); i++) {
            page.waitForTimeout(100);
        }
        assertThat(there.getAsBoolean()).isTrue();
    }

    private static double count(String words) {
        Matcher count = COUNT.matcher(words);
        assertThat(count.find()).as(words).isTrue();
        assertThat(Double.parseDouble(count.group(2))).isLessThan(Double.parseDouble(count.group(3)));
        return Double.parseDouble(count.group(1));
    }

    private static String verdict(Page page) {
        return page.textContent("#verdict");
    }

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
        SetUp hard = setUps.stream()
                .filter(s -> s.rig().equals("hard bait"))
                .findFirst()
                .orElse(null);
        Page page = browser.signedIn(this, "Tobin", 1280, 800, true);
        page.navigate(address(
                "/column?setup=" + jig.id() + "&with=" + drop.id() + (hard == null ? "" : "&and=" + hard.id())));
        assertThat(page.locator(".water-path.beside-B").count()).isPositive();
        assertThat(page.locator("[id^=beside-]").count()).isEqualTo(hard == null ? 2 : 3);
        if (hard != null) {
            assertThat(page.textContent("#beside-C")).contains("A hard bait floats, hangs or sinks");
        }
        Browser.assertSound(page, "column with three");
    }

    private List<SetUp> setUps() {
        return rows.all(demoPerson("harl").viewer(), LedgerFormat.SETUPS, DSL.noCondition(), List.of());
    }

    private static SetUp falls(List<SetUp> setUps, String rig) {
        return setUps.stream()
                .filter(s -> s.rig().equals(rig) && Tied.of(s) instanceof Tied.Known)
                .findFirst()
                .orElseThrow();
    }

    /** Seconds in which a set-up falls whose drag is so many times what is reckoned. */
    private static double seconds(SetUp setUp, double depthM, double factor) {
        Tied.Known tied = (Tied.Known) Tied.of(setUp);
        return new Cast(depthM, 0, 0, tied.line().metres(), Cast.FRESH, 0, 0)
                .freeFallSeconds(Lure.of(tied.parts(), Cast.FRESH).calibrated(factor), depthM);
    }

    @Test
    void countedDropsCorrectTheTimesAndAreStruckOutAndBroughtBack() {
        SetUp setUp = falls(setUps(), "texas rig");
        String drops = "/tackle/set-ups/" + setUp.id() + "/drops";
        Page page = browser.signedIn(this, "Tobin", 1280, 800, true);
        page.navigate(address("/tackle/set-ups/" + setUp.id()));
        page.click("text=Counted drops");
        page.fill("[name=seconds]", "soon");
        page.click("text=Note the drop");
        assertThat(page.textContent("#drop-seconds-error")).contains("“soon” is not a count");
        assertThat(page.textContent("#drop-depth_m-error")).isEqualTo("Say how deep it fell.");
        assertThat(page.inputValue("[name=seconds]")).isEqualTo("soon");
        page.fill("[name=seconds]", "200");
        page.fill("[name=depth_m]", "1 m");
        page.click("text=Note the drop");
        assertThat(page.textContent("#drop-seconds-error")).contains("far from what its weight and size can do");
        int before = page.locator("#drops tbody tr").count();
        for (double depth : new double[] {4, 6, 5, 6}) {
            page.fill("[name=seconds]", String.valueOf(Math.round(10 * seconds(setUp, depth, 1.5)) / 10.0));
            page.fill("[name=depth_m]", depth + " m");
            page.click("text=Note the drop");
            page.waitForSelector("text=Counted: ");
        }
        page.fill("[name=seconds]", String.valueOf(Math.round(1.6 * seconds(setUp, 4, 1.5))));
        page.fill("[name=depth_m]", "4 m");
        page.click("text=Note the drop");
        await(page, () -> page.locator("#drops tbody tr").count() == before + 5);
        assertThat(page.locator(".outlier").count()).isEqualTo(1);
        assertThat(page.textContent("main")).contains("By 4 counted drops of it");
        Browser.assertSound(page, "drops");
        page.navigate(address("/column?setup=" + setUp.id() + "&depth_m=6 m"));
        assertThat(count(verdict(page))).isCloseTo(seconds(setUp, 6, 1.5), within(0.8));
        page.navigate(address(drops));
        page.locator("tr:not(.outlier) button:has-text('Strike out')").first().click();
        page.waitForSelector("text=Bring it back");
        assertThat(page.locator("#drops tbody tr").count()).isEqualTo(before + 4);
        page.click("text=Bring it back");
        page.waitForSelector("text=It is back.");
        assertThat(page.locator("#drops tbody tr").count()).isEqualTo(before + 5);
        // another head on the same plastic starts from them
        SetUp other = LedgerFormat.SETUPS.changed(setUp, Map.of("head_mass_g", 21.0));
        page.navigate(address("/column?setup=" + setUp.id() + "&head_mass_g=21 g&depth_m=6 m"));
        assertThat(page.textContent("#beside-A")).contains("with its plastic give it a start");
        double started = Math.exp(Math.log(1.5) / (1 + 2));
        assertThat(count(verdict(page)))
                .isGreaterThanOrEqualTo(Math.floor(seconds(other, 6, 1)))
                .isCloseTo(seconds(other, 6, started), within(0.15 * seconds(other, 6, started) + 0.5));
    }

    @Test
    void onlyWhoeverCountedItOrAnOfficerStrikesADropOut() throws Exception {
        String drop = first("select drop_id from drops where person_id = '"
                + demoPerson("harl").id() + "'");
        String setUp = first("select setup_id from drops where drop_id = '" + drop + "'");
        String page = "/tackle/set-ups/" + setUp + "/drops";
        Visitor member = new Visitor(address("")).as(demoPerson("tobin").id());
        assertThat(member.post(page, page + "/" + drop + "/delete", Map.of()).statusCode())
                .isEqualTo(404);
        assertThat(member.get(page).body()).doesNotContain(drop);
        Visitor officer = new Visitor(address("")).as(demoPerson("edda").id());
        assertThat(officer.get(page).body()).contains(drop);
    }

    private String first(String query) {
        return store.read().fetch(query + " limit 1").get(0).get(0, String.class);
    }

    @Test
    void theCardHoldsTheCountsOfTheSetUpsThatWerePicked() {
        SetUp setUp = falls(setUps(), "drop shot");
        Page page = browser.signedIn(this, "Tobin", 1280, 800, true);
        page.navigate(address("/column/card"));
        assertThat(page.locator("#card tbody tr").count()).isEqualTo(6);
        page.locator("form summary").all().forEach(s -> s.click());
        var ticked = page.locator("input[name=pick]:checked");
        for (int left = ticked.count(); left > 0; left--) {
            ticked.first().uncheck();
        }
        page.check("input[value='" + setUp.id() + "']");
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

    @Test
    void onTheDeckCastsAreMarkedDropsCountedAndBothUndone() {
        Page page = browser.signedIn(this, "Harl", 390, 844, true);
        page.navigate(address("/deck/" + first("select trip_id from decks order by rowid")));
        String fan = page.textContent("#casts");
        assertThat(fan).startsWith("Fan: 5 of 14 casts, 35 % covered");
        page.click("button:has-text('Cast 6 made')");
        await(page, () -> page.textContent("#casts").startsWith("Fan: 6 of 14"));
        page.click("#casts");
        page.waitForSelector(".cast-mark");
        assertThat(page.locator(".cast-mark[aria-pressed=true]").count()).isEqualTo(6);
        page.locator(".cast-mark").nth(13).click();
        await(page, () -> page.locator(".cast-mark[aria-pressed=true]").count() == 7);
        page.locator(".cast-mark").nth(13).click();
        await(page, () -> page.locator(".cast-mark[aria-pressed=true]").count() == 6);
        Browser.assertSound(page, "deck fan");
        page.click("text=The deck");
        page.waitForSelector(".rod");
        var rod = page.locator(".rod").nth(1);
        double before = count(rod.textContent());
        long drops = drops();
        rod.locator("summary:text-is('Counted')").click();
        rod.locator("[name=seconds]").fill("1");
        rod.locator("text=Note the drop").click();
        await(page, () -> rod.locator(".fault").count() == 1);
        assertThat(rod.locator(".fault").textContent()).contains("far from what its weight and size can do");
        assertThat(drops()).isEqualTo(drops);
        if (rod.locator("[name=seconds]").isHidden()) {
            rod.locator("summary:text-is('Counted')").click();
        }
        rod.locator("[name=seconds]").fill(String.valueOf(Math.round(before * 1.3)));
        rod.locator("text=Note the drop").click();
        await(page, () -> drops() == drops + 1);
        await(page, () -> count(rod.textContent()) >= before);
        rod.locator("button:has-text('Undo: counted')").click();
        await(page, () -> drops() == drops && !rod.textContent().contains("Undo: counted"));
        rod.locator("a:has-text('In the water')").click();
        page.waitForSelector("#verdict");
        assertThat(count(verdict(page))).isEqualTo(before);
        assertThat(page.inputValue("[name=depth_m]")).isEqualTo("5.5 m");
    }

    private long drops() {
        return store.read()
                .fetchOne("select count(*) from drops where deletion_id is null")
                .get(0, Long.class);
    }

    @Test
    void theDemoShowsACalibrationWithASlip() {
        String setUp = first("select setup_id from drops group by setup_id having count(*) = 5");
        Page page = browser.signedIn(this, "Harl", 360, 800, true);
        page.navigate(address("/tackle/set-ups/" + setUp + "/drops"));
        assertThat(page.locator(".outlier").count()).isEqualTo(1);
        assertThat(page.textContent("main")).contains("By 4 counted drops of it");
        Browser.assertSound(page, "drops of the demo");
    }
}
