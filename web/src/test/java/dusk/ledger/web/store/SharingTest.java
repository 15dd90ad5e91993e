package dusk.ledger.web.store;

import static org.assertj.core.api.Assertions.assertThat;

import dusk.ledger.format.LedgerFormat;
import dusk.ledger.journal.Angler;
import dusk.ledger.journal.CatchBuilder;
import dusk.ledger.journal.ReadingBuilder;
import dusk.ledger.journal.Sign;
import dusk.ledger.journal.Spot;
import dusk.ledger.journal.SpotBuilder;
import dusk.ledger.journal.Stint;
import dusk.ledger.journal.StintBuilder;
import dusk.ledger.journal.Touch;
import dusk.ledger.journal.Trip;
import dusk.ledger.journal.TripBuilder;
import dusk.ledger.stints.StintTable;
import dusk.ledger.units.Length;
import dusk.ledger.units.Position;
import dusk.ledger.vocabulary.Factor;
import dusk.ledger.web.TestClub;
import dusk.ledger.web.records.People;
import dusk.ledger.web.records.Person;
import dusk.ledger.web.records.TripRows;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What others see of what an angler shares in part, row by row, and against rules said a second time in plain words. */
class SharingTest {
    private TestClub club;
    private Sharing sharing;
    private LedgerRows rows;

    @BeforeEach
    void open(@TempDir Path folder) {
        club = new TestClub(folder);
        sharing = club.get(Sharing.class);
        rows = club.get(LedgerRows.class);
    }

    @AfterEach
    void close() {
        club.close();
    }

    private static String angler(Person person) {
        return String.valueOf(person.anglerId());
    }

    private void place(String id, String water, @Nullable Person keeper) {
        club.store(
                LedgerFormat.SPOTS,
                List.of(SpotBuilder.builder()
                        .id(id)
                        .waterId(water)
                        .label("Thorn Hump " + id)
                        .structure("hump")
                        .position(new Position(44.5, -14.2))
                        .keptBy(keeper == null ? null : keeper.anglerId())
                        .build()));
    }

    private void trip(String id, String water, Person logger, @Nullable String note) {
        club.store(
                LedgerFormat.TRIPS,
                List.of(TripBuilder.builder(new Trip(id, water, TestClub.START, null, note))
                        .loggedBy(angler(logger))
                        .build()));
    }

    private void stint(String id, String trip, String angler, @Nullable String spot) {
        club.store(
                LedgerFormat.STINTS,
                List.of(StintBuilder.builder()
                        .id(id)
                        .tripId(trip)
                        .anglerId(angler)
                        .setUpId("jig")
                        .spotId(spot)
                        .depth(Length.ofMetres(4))
                        .startedAt(TestClub.START)
                        .minutes(30)
                        .bites(2)
                        .hooked(1)
                        .build()));
    }

    private Optional<Stint> seen(Person viewer, String stint) {
        return rows.one(viewer.viewer(), LedgerFormat.STINTS, stint);
    }

    private Optional<Spot> place(Person viewer, String spot) {
        return rows.one(viewer.viewer(), LedgerFormat.SPOTS, spot);
    }

    /** The guide's hump, fished by them alone on one trip, and beside the member at the club's point on another. */
    private void hump() {
        place("hump", "lake", club.guide);
        trip("alone", "lake", club.guide, null);
        stint("a", "alone", angler(club.guide), "hump");
        trip("both", "lake", club.guide, "Slow drift over THORN hump hump, then home");
        stint("b", "both", angler(club.guide), "hump");
        stint("c", "both", angler(club.member), "point");
        club.store(
                LedgerFormat.CATCHES,
                List.of(CatchBuilder.builder()
                        .id("f")
                        .stintId("a")
                        .species("pike")
                        .count(1)
                        .build()));
        club.store(LedgerFormat.TOUCHES, List.of(new Touch("to", "a", TestClub.START, "bite")));
        club.store(
                LedgerFormat.READINGS,
                List.of(ReadingBuilder.builder()
                        .id("re")
                        .tripId("alone")
                        .at(TestClub.START)
                        .build()));
        club.store(LedgerFormat.SIGNS, List.of(new Sign("si", "both", "hump", TestClub.START, "birds", null)));
    }

    @ParameterizedTest
    @EnumSource(Level.class)
    void othersSeeOfAPlaceWhatItsOwnerShares(Level level) {
        hump();
        sharing.say(club.guide.viewer(), null, "hump", level);
        boolean all = level == Level.ALL;
        boolean kind = all || level == Level.KIND;
        boolean something = level != Level.NOTHING;
        for (Person other : List.of(club.officer, club.other, club.reader)) {
            assertThat(place(other, "hump").isPresent()).isEqualTo(kind);
            assertThat(place(other, "hump").map(Spot::label).isPresent()).isEqualTo(all);
            assertThat(place(other, "hump").map(Spot::position).isPresent()).isEqualTo(all);
            assertThat(seen(other, "a").isPresent()).isEqualTo(something);
            assertThat(seen(other, "a").map(Stint::spotId).isPresent()).isEqualTo(kind);
            assertThat(seen(other, "a").map(Stint::depth).isPresent()).isEqualTo(kind);
            assertThat(rows.one(other.viewer(), LedgerFormat.TRIPS, "alone").isPresent())
                    .isEqualTo(something);
            assertThat(rows.one(other.viewer(), LedgerFormat.CATCHES, "f").isPresent())
                    .isEqualTo(something);
            assertThat(rows.one(other.viewer(), LedgerFormat.TOUCHES, "to").isPresent())
                    .isEqualTo(something);
            assertThat(rows.one(other.viewer(), LedgerFormat.READINGS, "re").isPresent())
                    .isEqualTo(something);
            Optional<Trip> both = rows.one(other.viewer(), LedgerFormat.TRIPS, "both");
            assertThat(both).as("the member's stint is shared").isPresent();
            assertThat(both.map(Trip::note).isPresent())
                    .as("it names the place")
                    .isEqualTo(all);
            assertThat(seen(other, "c")).isPresent();
            Optional<Sign> sign = rows.one(other.viewer(), LedgerFormat.SIGNS, "si");
            assertThat(sign.map(Sign::spotId).isPresent()).isEqualTo(kind);
            assertThat(club.get(RecentTables.class).of(other.viewer()).size()).isEqualTo(something ? 3 : 1);
        }
        assertThat(seen(club.member, "b").map(Stint::spotId))
                .as("they were there")
                .contains("hump");
        assertThat(place(club.member, "hump")).isPresent();
        assertThat(place(club.member, "hump").map(Spot::label).isPresent()).isEqualTo(all);
        assertThat(seen(club.member, "a").isPresent())
                .as("they were not there on that day")
                .isEqualTo(something);
        assertThat(place(club.guide, "hump").map(Spot::label)).contains("Thorn Hump hump");
        assertThat(seen(club.guide, "a").map(Stint::depth)).isPresent();
        assertThat(club.get(RecentTables.class).of(club.guide.viewer()).size())
                .as("their own findings are of all that is theirs")
                .isEqualTo(3);
        assertThat(rows.ledger(Viewer.club(club.officer.clubId())).toString().contains("Thorn Hump"))
                .as("what leaves the club")
                .isEqualTo(all);
    }

    @Test
    void whatIsSaidMostCloselyHolds() {
        hump();
        sharing.say(club.guide.viewer(), null, null, Level.NOTHING);
        assertThat(seen(club.officer, "a")).isEmpty();
        sharing.say(club.guide.viewer(), "lake", null, Level.WATER);
        assertThat(seen(club.officer, "a").map(Stint::spotId)).isEmpty();
        assertThat(seen(club.officer, "a")).isPresent();
        sharing.say(club.guide.viewer(), null, "hump", Level.ALL);
        assertThat(place(club.officer, "hump").map(Spot::label)).isPresent();
        sharing.say(club.guide.viewer(), null, "hump", null);
        sharing.say(club.guide.viewer(), "lake", null, null);
        assertThat(seen(club.officer, "a")).as("nothing but the widest is left").isEmpty();
        assertThat(sharing.of(club.guide.viewer())).hasSize(1);
        assertThat(Sharing.at(sharing.of(club.guide.viewer()), "lake", "hump")).isEqualTo(Level.NOTHING);
    }

    @Test
    void aGuestsRecordsGoByWhoBroughtThem() {
        club.store(LedgerFormat.ANGLERS, List.of(new Angler("guest", "Wren Ashdown")));
        club.get(Store.class)
                .write(
                        club.guide.clubId(),
                        tx -> tx.execute(
                                "update anglers set brought_by = '" + club.guide.id() + "' where angler_id = 'guest'"));
        trip("day", "lake", club.guide, null);
        stint("g", "day", "guest", null);
        assertThat(seen(club.other, "g")).isPresent();
        sharing.say(club.guide.viewer(), "lake", null, Level.NOTHING);
        assertThat(seen(club.other, "g")).isEmpty();
        assertThat(seen(club.guide, "g")).isPresent();
    }

    /** Ids are unique in their club alone: a package may have brought the same angler into another. */
    @Test
    void whatAnAnglerOfTheSameIdSaysInAnotherClubIsNothingHere() {
        hump();
        String elsewhere = club.stranger.clubId();
        club.get(Store.class)
                .write(
                        elsewhere,
                        tx -> tx.execute(
                                "insert into anglers (club_id, angler_id) values (?, ?)",
                                elsewhere,
                                angler(club.guide)));
        sharing.say(
                new Viewer(elsewhere, club.stranger.id(), angler(club.guide), Viewer.Role.MEMBER),
                null,
                null,
                Level.NOTHING);
        sharing.say(club.other.viewer(), null, null, Level.NOTHING);
        assertThat(seen(club.officer, "a").map(Stint::spotId)).contains("hump");
        assertThat(club.get(RecentTables.class).of(club.officer.viewer()).size())
                .isEqualTo(3);
    }

    /** What the trail tells somebody, cell by cell. */
    private String told(Person person) {
        return club.get(Trail.class).recent(person.viewer(), 9).stream()
                .flatMap(change -> change.cells().stream())
                .map(cell -> cell.column().name() + ": " + cell.before() + " to " + cell.after())
                .collect(Collectors.joining("\n"));
    }

    /** A member who was there writes the place's name into a note: the officer reads that it was changed, and no more. */
    @Test
    void theTrailTellsNothingThatIsKeptBack() {
        hump();
        trip("third", "lake", club.guide, "calm");
        Trip third = rows.one(club.guide.viewer(), LedgerFormat.TRIPS, "third").orElseThrow();
        club.get(dusk.ledger.web.records.Trips.class)
                .change(
                        club.member.viewer(),
                        TripBuilder.builder(third)
                                .note("at Thorn Hump hump again")
                                .build());
        Stint stint = seen(club.member, "b").orElseThrow();
        club.get(TripRows.class)
                .store(
                        club.member.viewer(),
                        LedgerFormat.STINTS,
                        LedgerFormat.STINTS.changed(stint, Map.of("depth_m", 7.7, "minutes", 44.0)),
                        false);
        assertThat(told(club.guide)).contains("Thorn Hump hump again", "depth_m: 4.0 to 7.7");
        assertThat(told(club.officer))
                .contains("depth_m: 4.0 to 7.7", "minutes: 30.0 to 44.0")
                .doesNotContain("Thorn Hump");
        sharing.say(club.guide.viewer(), null, "hump", Level.WATER);
        assertThat(told(club.officer)).contains("minutes: 30.0 to 44.0").doesNotContain("depth_m: 4.0 to 7.7");
        sharing.say(club.guide.viewer(), null, "hump", Level.NOTHING);
        assertThat(told(club.officer)).doesNotContain("minutes: 30.0 to 44.0");
        assertThat(club.get(Trail.class).recent(club.officer.viewer(), 9))
                .as("the note of the shared trip alone, and nothing in it")
                .extracting(change -> change.table().name())
                .containsExactly("trips");
    }

    /** An officer mends the minutes of a stint of which they see neither place nor depth. */
    @Test
    void whatOneCannotReadOneDoesNotEmpty() {
        hump();
        sharing.say(club.guide.viewer(), null, "hump", Level.WATER);
        Stint masked = seen(club.officer, "a").orElseThrow();
        club.get(TripRows.class)
                .store(
                        club.officer.viewer(),
                        LedgerFormat.STINTS,
                        LedgerFormat.STINTS.changed(masked, Map.of("minutes", 45.0)),
                        false);
        Stint own = seen(club.guide, "a").orElseThrow();
        assertThat(own.minutes()).isEqualTo(45);
        assertThat(own.spotId()).isEqualTo("hump");
        assertThat(own.depth()).isEqualTo(Length.ofMetres(4));
        Trip noted = rows.one(club.officer.viewer(), LedgerFormat.TRIPS, "both").orElseThrow();
        club.get(dusk.ledger.web.records.Trips.class)
                .change(
                        club.officer.viewer(),
                        TripBuilder.builder(noted)
                                .endedAt(TestClub.START.plusSeconds(3600))
                                .build());
        assertThat(rows.one(club.guide.viewer(), LedgerFormat.TRIPS, "both").map(Trip::note))
                .as("a note that was kept back")
                .isPresent();
    }

    @Test
    void aRowThatWasHiddenSinceItWasReadIsNotEmptied() {
        hump();
        sharing.say(club.guide.viewer(), null, "hump", Level.WATER);
        Stint masked = seen(club.officer, "a").orElseThrow();
        sharing.say(club.guide.viewer(), null, "hump", Level.NOTHING);
        club.get(Store.class).write(club.officer.clubId(), tx -> {
            rows.update(tx, club.officer.viewer(), LedgerFormat.STINTS, masked);
            return masked;
        });
        Stint own = seen(club.guide, "a").orElseThrow();
        assertThat(own.spotId()).isEqualTo("hump");
        assertThat(own.depth()).isEqualTo(Length.ofMetres(4));
    }

    @Test
    void aTableThatStandsFollowsWhatIsSaid() {
        hump();
        RecentTables tables = club.get(RecentTables.class);
        StintTable before = tables.of(club.officer.viewer());
        assertThat(before.size()).isEqualTo(3);
        sharing.say(club.guide.viewer(), null, "hump", Level.WATER);
        tables.changed(club.officer.viewer());
        StintTable masked = tables.of(club.officer.viewer());
        assertThat(IntStream.range(0, 3)
                        .mapToObj(row -> masked.codes(Factor.STRUCTURE).level(row)))
                .doesNotContain("hump");
        stint("d", "alone", angler(club.guide), "hump");
        tables.changed(club.officer.viewer());
        assertThat(tables.of(club.officer.viewer()).size()).isEqualTo(4);
        sharing.say(club.guide.viewer(), null, "hump", Level.NOTHING);
        tables.changed(club.officer.viewer());
        assertThat(tables.of(club.officer.viewer()).size()).isEqualTo(1);
        stint("e", "alone", angler(club.guide), "hump");
        tables.changed(club.officer.viewer());
        assertThat(tables.of(club.officer.viewer()).size())
                .as("also of what follows")
                .isEqualTo(1);
    }

    /** What is drawn by lot, to be judged by the rules as {@link #judge} says them. */
    private final class World {
        private final List<Person> people = List.of(club.officer, club.guide, club.member, club.other);
        private final List<Spot> spots;
        private final List<Trip> trips;
        private final List<Stint> stints;
        private Map<String, List<Sharing.Said>> said = Map.of();

        World(Random random) {
            for (int i = 0; i < 5; i++) {
                place(
                        "s" + i,
                        i % 2 == 0 ? "lake" : "sound",
                        random.nextInt(4) == 0 ? null : people.get(random.nextInt(4)));
            }
            for (int i = 0; i < 8; i++) {
                trip("t" + i, i % 2 == 0 ? "lake" : "sound", people.get(random.nextInt(4)), null);
                for (int k = random.nextInt(3); k > 0; k--) {
                    List<String> there = i % 2 == 0 ? List.of("s0", "s2", "s4") : List.of("s1", "s3");
                    String spot = random.nextInt(4) == 0 ? null : there.get(random.nextInt(there.size()));
                    stint("x" + i + k, "t" + i, angler(people.get(random.nextInt(4))), spot);
                }
            }
            // as they were stored, not as anybody sees them
            Map<String, Spot> byId = own(LedgerFormat.SPOTS, Spot::id);
            spots = List.copyOf(byId.values());
            trips = List.copyOf(own(LedgerFormat.TRIPS, Trip::id).values());
            stints = List.copyOf(own(LedgerFormat.STINTS, Stint::id).values());
        }

        private <T> Map<String, T> own(dusk.ledger.format.Table<T> table, java.util.function.Function<T, String> id) {
            return rows.all(club.officer.viewer(), table).stream()
                    .collect(Collectors.toMap(id, row -> row, (a, b) -> a));
        }

        void say(Random random) {
            for (Person person : people) {
                sharing.of(person.viewer()).forEach(s -> sharing.say(person.viewer(), s.waterId(), s.spotId(), null));
                if (random.nextBoolean()) {
                    sharing.say(person.viewer(), null, null, level(random));
                }
                if (random.nextBoolean()) {
                    sharing.say(person.viewer(), random.nextBoolean() ? "lake" : "sound", null, level(random));
                }
                for (Spot spot : spots) {
                    if (random.nextInt(4) == 0) {
                        sharing.say(person.viewer(), null, spot.id(), level(random));
                    }
                }
            }
            said = people.stream().collect(Collectors.toMap(SharingTest::angler, p -> sharing.of(p.viewer())));
        }

        private Level level(Random random) {
            return Level.values()[random.nextInt(4)];
        }

        private Level of(String angler, String water, @Nullable String spot) {
            return Sharing.at(said.getOrDefault(angler, List.of()), water, spot);
        }

        private boolean onTrip(Person viewer, String trip) {
            return trips.stream()
                            .anyMatch(t -> t.id().equals(trip) && angler(viewer).equals(t.loggedBy()))
                    || stints.stream()
                            .anyMatch(
                                    s -> s.tripId().equals(trip) && s.anglerId().equals(angler(viewer)));
        }

        private String water(String trip) {
            return trips.stream()
                    .filter(t -> t.id().equals(trip))
                    .findFirst()
                    .orElseThrow()
                    .waterId();
        }

        private @Nullable String keeper(@Nullable String spot) {
            return spots.stream()
                    .filter(s -> s.id().equals(spot))
                    .map(Spot::keptBy)
                    .filter(Objects::nonNull)
                    .findFirst()
                    .orElse(null);
        }

        private Level levelOf(Person viewer, Stint stint) {
            String keeper = keeper(stint.spotId());
            if (onTrip(viewer, stint.tripId()) || angler(viewer).equals(keeper)) {
                return Level.KIND;
            }
            String owner = keeper == null ? stint.anglerId() : keeper;
            return of(owner, water(stint.tripId()), stint.spotId());
        }

        private boolean kind(Person viewer, Spot spot) {
            String keeper = spot.keptBy();
            return keeper == null
                    || keeper.equals(angler(viewer))
                    || Set.of(Level.ALL, Level.KIND).contains(of(keeper, spot.waterId(), spot.id()))
                    || stints.stream().anyMatch(s -> spot.id().equals(s.spotId()) && onTrip(viewer, s.tripId()));
        }

        private boolean named(Person viewer, Spot spot) {
            String keeper = spot.keptBy();
            return keeper == null
                    || keeper.equals(angler(viewer))
                    || of(keeper, spot.waterId(), spot.id()) == Level.ALL;
        }

        /** What a viewer sees, by the rules. */
        List<String> judge(Person viewer) {
            List<String> seen = new ArrayList<>();
            for (Spot spot : spots) {
                if (kind(viewer, spot)) {
                    seen.add("place " + spot.id() + (named(viewer, spot) ? " named" : ""));
                }
            }
            Set<String> shownTrips = new HashSet<>();
            for (Stint stint : stints) {
                Level level = levelOf(viewer, stint);
                if (level != Level.NOTHING) {
                    shownTrips.add(stint.tripId());
                    boolean whole = level != Level.WATER;
                    boolean there = whole
                            && stint.spotId() != null
                            && spots.stream().anyMatch(s -> s.id().equals(stint.spotId()) && kind(viewer, s));
                    seen.add("stint " + stint.id() + (there ? " at " + stint.spotId() : "") + (whole ? " deep" : ""));
                }
            }
            for (Trip trip : trips) {
                boolean empty = stints.stream().noneMatch(s -> s.tripId().equals(trip.id()));
                boolean shared = of(String.valueOf(trip.loggedBy()), trip.waterId(), null) != Level.NOTHING;
                if (onTrip(viewer, trip.id()) || shared && (empty || shownTrips.contains(trip.id()))) {
                    seen.add("trip " + trip.id());
                }
            }
            seen.sort(Comparator.naturalOrder());
            return seen;
        }

        /** What the store lets them see. */
        List<String> found(Person viewer) {
            List<String> found = new ArrayList<>();
            rows.all(viewer.viewer(), LedgerFormat.SPOTS)
                    .forEach(s -> found.add("place " + s.id() + (s.label() == null ? "" : " named")));
            rows.all(viewer.viewer(), LedgerFormat.STINTS)
                    .forEach(s -> found.add("stint " + s.id() + (s.spotId() == null ? "" : " at " + s.spotId())
                            + (s.depth() == null ? "" : " deep")));
            rows.all(viewer.viewer(), LedgerFormat.TRIPS).forEach(t -> found.add("trip " + t.id()));
            found.sort(Comparator.naturalOrder());
            return found;
        }
    }

    private List<Person> readNow() {
        return Stream.of(club.officer, club.guide, club.member, club.other)
                .map(person -> club.get(People.class).byId(person.id()).orElseThrow())
                .toList();
    }

    /** That of every row no more is found than is due. */
    private static void assertNoMore(List<String> found, List<String> due, String what) {
        for (String row : found) {
            assertThat(due)
                    .as(what + ": " + row)
                    .anyMatch(other -> Set.of(other.split(" ")).containsAll(Set.of(row.split(" "))));
        }
    }

    /** Whoever is asked of for every row, whoever was read after the last saying, and never more for who was read before. */
    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6})
    void theStoreSeesAsTheRulesSay(long seed) {
        Random random = new Random(seed);
        World world = new World(random);
        for (int i = 0; i < 12; i++) {
            List<Person> before = readNow();
            world.say(random);
            List<Person> now = readNow();
            for (int who = 0; who < now.size(); who++) {
                Person viewer = world.people.get(who);
                List<String> due = world.judge(viewer);
                String what = "seed " + seed + ", saying " + i + ", " + viewer.name();
                assertThat(world.found(viewer)).as(what).isEqualTo(due);
                assertThat(world.found(now.get(who))).as(what + ", read now").isEqualTo(due);
                assertNoMore(world.found(before.get(who)), due, what + ", read before");
            }
        }
    }

    /** Somebody opens a page, another says that nothing is shared, and the page is read: it hides, and its form empties nothing. */
    @Test
    void whatIsSaidSinceAViewerWasReadHides() {
        hump();
        Person officer = club.get(People.class).byId(club.officer.id()).orElseThrow();
        assertThat(officer.least()).isEqualTo(Level.KIND);
        Stint whole = seen(officer, "a").orElseThrow();
        assertThat(whole.depth()).isNotNull();
        sharing.say(club.guide.viewer(), null, "hump", Level.WATER);
        assertThat(seen(officer, "a").map(Stint::depth)).isEmpty();
        assertThat(seen(officer, "a").map(Stint::spotId)).isEmpty();
        club.get(TripRows.class)
                .store(
                        officer.viewer(),
                        LedgerFormat.STINTS,
                        LedgerFormat.STINTS.changed(seen(officer, "c").orElseThrow(), Map.of("minutes", 50.0)),
                        false);
        Stint mended = seen(club.member, "c").orElseThrow();
        assertThat(mended.minutes()).isEqualTo(50);
        assertThat(mended.depth())
                .as("hidden from them by what was said meanwhile")
                .isEqualTo(Length.ofMetres(4));
        sharing.say(club.guide.viewer(), null, "hump", Level.NOTHING);
        assertThat(seen(officer, "a")).isEmpty();
        assertThat(rows.one(officer.viewer(), LedgerFormat.TRIPS, "alone")).isEmpty();
        assertThat(club.get(People.class).byId(officer.id()).map(Person::least)).contains(Level.NOTHING);
        sharing.say(club.guide.viewer(), null, "hump", null);
        assertThat(club.get(People.class).byId(officer.id()).map(Person::least)).contains(Level.KIND);
    }
}
