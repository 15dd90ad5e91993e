package dusk.ledger.places;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dusk.ledger.season.Season;
import dusk.ledger.units.Length;
import dusk.ledger.units.Temperature;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class GoBackTest {
    private static final Instant NOW = Instant.parse("2026-07-10T18:00:00Z");

    private static Visit.State water(
            @Nullable Season season, double celsius, double clarityM, String trend, String weather) {
        return new Visit.State(season, Temperature.ofCelsius(celsius), Length.ofMetres(clarityM), trend, weather);
    }

    private static final Visit.State SETTLED = water(Season.SUMMER, 21, 1.2, "steady", "settled");

    private static Visit visit(String spot, int daysAgo, double hours, int fish, String light, Visit.State water) {
        return new Visit(spot, "trip" + daysAgo, NOW.minus(Duration.ofDays(daysAgo)), hours, fish, light, water);
    }

    private static List<Visit> visits() {
        return List.of(
                visit("point", 2, 3, 9, "dusk", SETTLED),
                visit("wall", 40, 3, 9, "dusk", SETTLED),
                visit("flat", 2, 3, 0, "dusk", SETTLED),
                visit("hump", 5, 3, 2, "dusk", SETTLED),
                visit("hump", 25, 3, 3, "dusk", SETTLED));
    }

    private static GoBack.Place place(GoBack board, String spot) {
        return board.places().stream()
                .filter(p -> p.spotId().equals(spot))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void aFindOfTheDayBeforeYesterdayStandsBeforeOneOfLastMonthAndABlankBehindBoth() {
        GoBack board = GoBack.of(visits(), NOW, SETTLED, "dusk");
        assertThat(board.places()).first().extracting(GoBack.Place::spotId).isEqualTo("point");
        assertThat(place(board, "wall").rate())
                .isGreaterThan(place(board, "flat").rate());
        assertThat(place(board, "flat").rate()).isLessThan(board.usual());
    }

    /** The rate goes back to the place's own: half of its log in ten days of summer, and half again with each change. */
    @ParameterizedTest
    @CsvSource({
        "21, 1.2, steady, settled, 0",
        "25, 1.2, steady, settled, 1",
        "25, 0.5, steady, settled, 2",
        "25, 0.5, rising, settled, 3",
        "25, 0.5, rising, after a front, 4",
        "23, 1.9, steady, settled, 0"
    })
    void eachChangeAgesAFindByAHalfLife(double celsius, double clarity, String trend, String weather, int changes) {
        GoBack board = GoBack.of(visits(), NOW, water(Season.SUMMER, celsius, clarity, trend, weather), "dusk");
        GoBack.Place wall = place(board, "wall");
        assertThat(wall.changes()).hasSize(changes);
        double log = Math.log(wall.then() / wall.own());
        assertThat(Math.log(wall.rate() / wall.own())).isCloseTo(log * Math.pow(0.5, 4 + changes), within(1e-9));
        assertThat(wall.left()).isCloseTo(Math.pow(0.5, 4 + changes), within(1e-9));
    }

    @Test
    void whatWasNotLookedAtHasNotChanged() {
        assertThat(Change.between(Visit.State.UNKNOWN, SETTLED)).isEmpty();
        assertThat(Change.between(SETTLED, Visit.State.UNKNOWN)).isEmpty();
    }

    @Test
    void aVisitInLikeLightSpeaksBeforeOneInAnother() {
        List<Visit> visits = new ArrayList<>(visits());
        visits.add(visit("flat", 1, 3, 12, "day", SETTLED));
        assertThat(place(GoBack.of(visits, NOW, SETTLED, "dusk"), "flat")
                        .visit()
                        .light())
                .isEqualTo("dusk");
        assertThat(place(GoBack.of(visits, NOW, SETTLED, "day"), "flat").visit().light())
                .isEqualTo("day");
    }

    @Test
    void aPlaceKeepsPayingThatPaidOnThreeSeparateTrips() {
        List<Visit> visits = new ArrayList<>(visits());
        visits.add(visit("point", 9, 2, 8, "dusk", SETTLED));
        assertThat(place(GoBack.of(visits, NOW, SETTLED, null), "point").keepsPaying())
                .isFalse();
        visits.add(visit("point", 30, 2, 8, "dawn", SETTLED));
        assertThat(place(GoBack.of(visits, NOW, SETTLED, null), "point").keepsPaying())
                .isTrue();
    }

    @Test
    void withoutAFishThereIsNoBoard() {
        assertThat(GoBack.of(List.of(visit("flat", 2, 3, 0, "dusk", SETTLED)), NOW, SETTLED, null)
                        .places())
                .isEmpty();
    }

    /** Thirty returns whose finds truly halve in twenty days move the ten of summer toward twenty; two days, toward two. */
    @ParameterizedTest
    @CsvSource({"40, 14, 41", "2, 1, 7"})
    void halfLivesAreFittedToReturnsAndDrawnTowardTheTrades(double truth, double least, double most) {
        SplittableRandom random = new SplittableRandom(6);
        List<HalfLives.Return> returns = new ArrayList<>();
        for (int i = 0; i < 120; i++) {
            double log = random.nextDouble(0.8, 1.6);
            double days = random.nextDouble(1, 25);
            double expected = random.nextDouble(2, 5);
            double mean = expected * Math.exp(log * Math.pow(0.5, days / truth));
            int fish = (int) Math.max(0, Math.round(mean + Math.sqrt(mean) * random.nextGaussian()));
            returns.add(new HalfLives.Return(log, days, 0, expected, fish));
        }
        assertThat(HalfLives.fitted(10, returns)).isBetween(least, most);
    }

    @Test
    void fewReturnsLeaveTheTradesHalfLife() {
        GoBack board = GoBack.of(visits(), NOW, SETTLED, null);
        assertThat(board.halfLives().fitted(Season.SUMMER)).isFalse();
        assertThat(board.halfLives().days(Season.SUMMER)).isEqualTo(10);
        assertThat(board.halfLives().days(Season.WINTER)).isEqualTo(30);
        assertThat(board.halfLives().days(null)).isEqualTo(7);
    }
}
