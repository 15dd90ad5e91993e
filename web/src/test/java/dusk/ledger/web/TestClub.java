package dusk.ledger.web;

import dusk.ledger.format.LedgerFormat;
import dusk.ledger.format.Table;
import dusk.ledger.journal.Angler;
import dusk.ledger.journal.Rod;
import dusk.ledger.journal.RodBuilder;
import dusk.ledger.journal.SetUp;
import dusk.ledger.journal.SetUpBuilder;
import dusk.ledger.journal.Spot;
import dusk.ledger.journal.SpotBuilder;
import dusk.ledger.journal.Water;
import dusk.ledger.units.Length;
import dusk.ledger.units.Mass;
import dusk.ledger.units.Position;
import dusk.ledger.web.records.Membership;
import dusk.ledger.web.records.People;
import dusk.ledger.web.records.Person;
import dusk.ledger.web.records.Rods;
import dusk.ledger.web.records.SetUps;
import dusk.ledger.web.store.Clubs;
import dusk.ledger.web.store.LedgerRows;
import dusk.ledger.web.store.Store;
import dusk.ledger.web.store.Viewer;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.BeanFactory;
import org.springframework.context.annotation.AnnotationConfigApplicationContext;
import org.springframework.core.env.MapPropertySource;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.util.FileSystemUtils;

/**
 * A small club on a real file, without a web server: two waters, three places, three set-ups, two rods; an officer, a
 * guide, a member and another member; and a second club that must not see any of it.
 */
public final class TestClub implements AutoCloseable {
    public static final Instant START = Instant.parse("2026-10-03T15:00:00Z");

    public final TurnableClock clock;
    public final Person officer;
    public final Person guide;
    public final Person member;
    public final Person reader;
    public final Person other;
    public final Person stranger;
    public final Water lake = new Water("lake", "Kell Water", "lake", new Position(44.5, -14), ZoneId.of("Etc/GMT+1"));
    public final Water sound = new Water("sound", "Merrow Sound", "estuary", null, null);
    public final Spot point = SpotBuilder.builder()
            .id("point")
            .waterId("lake")
            .label("Kiln Point")
            .structure("main point")
            .bottom("rock")
            .cover("none")
            .position(new Position(44.51, -14.01))
            .build();
    public final Spot dock = SpotBuilder.builder()
            .id("dock")
            .waterId("lake")
            .label("Boathouse")
            .structure("dock")
            .build();
    public final Spot pass = SpotBuilder.builder()
            .id("pass")
            .waterId("sound")
            .label("Merrow Pass")
            .structure("pass")
            .build();
    public final SetUp jig = SetUpBuilder.builder()
            .id("jig")
            .rig("open jig head")
            .headShape("ball")
            .headMass(Mass.ofGrams(7))
            .headMaterial("lead")
            .hookWire("light")
            .plastic("curl-tail grub")
            .plasticLength(Length.ofMillimetres(75))
            .plasticMaterial("plastisol")
            .colour("pearl")
            .lineDiameter(Length.ofMillimetres(0.2))
            .build();
    public final SetUp drop = SetUpBuilder.builder()
            .id("drop")
            .rig("drop shot")
            .headShape("cylinder")
            .headMass(Mass.ofGrams(10))
            .headMaterial("tungsten")
            .plastic("straight worm")
            .plasticLength(Length.ofMillimetres(110))
            .colour("violet")
            .leader(Length.ofMillimetres(300))
            .build();
    public final SetUp bare = SetUpBuilder.builder().id("bare").rig("wacky").build();
    public final Rod light = RodBuilder.builder()
            .id("light")
            .name("7 ft light")
            .length(Length.ofMillimetres(2130))
            .power("light")
            .action("moderate")
            .lureMin(Mass.ofGrams(2))
            .lureMax(Mass.ofGrams(12))
            .retrieve(Length.ofMillimetres(700))
            .build();
    public final Rod nameless = RodBuilder.builder().id("r2").build();

    private final BeanFactory beans;
    private final AutoCloseable own;
    private final String tag;

    /** Of a store of its own. @param folder for the store's file */
    public TestClub(Path folder) {
        this(alone(folder));
    }

    private TestClub(AnnotationConfigApplicationContext alone) {
        this(alone, alone.getBean(TurnableClock.class), alone::close);
    }

    /** Another club in the store of an application. */
    public TestClub(BeanFactory application) {
        this(application, application.getBean(TurnableClock.class), () -> {});
    }

    /** An empty store, made once: that its tables come to be is for {@code StoreTest} and {@code BackUpTest} to show. */
    private static synchronized void emptyStore(Path file) {
        try {
            if (empty == null) {
                Path made = passing().resolve("empty.db");
                Store.open(made).close();
                empty = made;
            }
            Files.copy(empty, file);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static @Nullable Path empty;

    private static AnnotationConfigApplicationContext alone(Path folder) {
        Path file = folder.resolve("club.db");
        if (!Files.exists(file)) {
            emptyStore(file);
        }
        AnnotationConfigApplicationContext context = new AnnotationConfigApplicationContext();
        context.getEnvironment()
                .getPropertySources()
                .addFirst(new MapPropertySource("test", Map.of("dusk.store", file.toString())));
        context.registerBean(TurnableClock.class, () -> new TurnableClock(START));
        context.registerBean(PasswordEncoder.class, Plain::new);
        context.scan(
                "dusk.ledger.web.store",
                "dusk.ledger.web.records",
                "dusk.ledger.web.afloat",
                "dusk.ledger.web.instruments");
        context.refresh();
        return context;
    }

    private TestClub(BeanFactory beans, TurnableClock clock, AutoCloseable own) {
        this.beans = beans;
        this.clock = clock;
        this.own = own;
        tag = String.valueOf(get(Clubs.class).all().size());
        Membership membership = get(Membership.class);
        officer = person(membership.found("Kell Anglers", newcomer("edda", "Edda Pomroy")));
        String club = officer.clubId();
        guide = person(membership.join(club, newcomer("harl", "Harl Quist"), Viewer.Role.GUIDE, null));
        member = person(membership.join(club, newcomer("tobin", "Tobin Marl"), Viewer.Role.MEMBER, null));
        other = person(membership.join(club, newcomer("runa", "Runa Halloway"), Viewer.Role.MEMBER, null));
        reader = person(membership.join(club, newcomer("ilka", "Ilka Fenn"), Viewer.Role.GUEST, null));
        stranger = person(membership.found("Elsewhere Anglers", newcomer("odd", "Odd One")));
        store(LedgerFormat.WATERS, List.of(lake, sound));
        store(LedgerFormat.SPOTS, List.of(point, dock, pass));
        // the tackle is the guide's
        List.of(jig, drop, bare).forEach(setUp -> get(SetUps.class).add(guide.viewer(), setUp));
        List.of(light, nameless).forEach(rod -> get(Rods.class).add(guide.viewer(), rod));
    }

    /**
     * A folder for a store whose loss nobody fears, in memory where the system has a place for that; gone with the
     * process.
     */
    public static Path passing() throws IOException {
        Path memory = Path.of("/dev/shm");
        Path folder = Files.isWritable(memory)
                ? Files.createTempDirectory(memory, "dusk-test")
                : Files.createTempDirectory("dusk-test");
        Runtime.getRuntime().addShutdownHook(new Thread(() -> FileSystemUtils.deleteRecursively(folder.toFile())));
        return folder;
    }

    private Membership.Newcomer newcomer(String signIn, String name) {
        return new Membership.Newcomer(signIn + tag, name, "a long enough word");
    }

    /** Held for a whole test, in which what is shared may change; a request reads its person anew. */
    private Person person(String id) {
        Person now = get(People.class).byId(id).orElseThrow();
        return new Person(
                now.id(),
                now.clubId(),
                now.signIn(),
                now.name(),
                now.role(),
                now.anglerId(),
                now.unitWord(),
                now.knots(),
                now.theme(),
                null);
    }

    /** Stores rows of the club as they are. */
    public <T> void store(Table<T> table, List<T> list) {
        get(Store.class).write(officer.clubId(), tx -> {
            list.forEach(row -> get(LedgerRows.class).insert(tx, officer.clubId(), table, row));
            return list;
        });
    }

    /** All rows of a table that the officer sees. */
    public <T> List<T> all(Table<T> table) {
        return get(LedgerRows.class).all(officer.viewer(), table);
    }

    /** The angler that a person is. */
    public Angler angler(Person person) {
        return get(LedgerRows.class)
                .one(person.viewer(), LedgerFormat.ANGLERS, String.valueOf(person.anglerId()))
                .orElseThrow();
    }

    public <T> T get(Class<T> type) {
        return beans.getBean(type);
    }

    @Override
    public void close() {
        try {
            own.close();
        } catch (Exception e) {
            throw new IllegalStateException("the test club's store does not close", e);
        }
    }

    /** Real hashes take their time on purpose. */
    static final class Plain implements PasswordEncoder {
        @Override
        public String encode(CharSequence raw) {
            return "plain " + raw;
        }

        @Override
        public boolean matches(CharSequence raw, String encoded) {
            return encoded.equals("plain " + raw);
        }
    }
}
