package dusk.ledger.web;

import dusk.ledger.web.records.People;
import dusk.ledger.web.records.Person;
import dusk.ledger.web.store.Clubs;
import dusk.ledger.web.store.LedgerRows;
import dusk.ledger.web.store.NewId;
import dusk.ledger.web.store.Store;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.Locale;
import org.junit.jupiter.api.BeforeEach;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.core.env.Environment;
import org.springframework.test.context.DynamicPropertyRegistry;
import org.springframework.test.context.DynamicPropertySource;

/**
 * The whole application with the demo club, on a free port of the loopback, shared by the tests that need it running.
 * Every test finds the demo as it was when it began: what another did is taken back first.
 */
@SpringBootTest(
        webEnvironment = SpringBootTest.WebEnvironment.RANDOM_PORT,
        properties = {"dusk.demo=true", "dusk.recent.seconds=0", "dusk.news.searches=false"})
abstract class RunningApplication {
    @LocalServerPort
    int port;

    @Autowired
    People people;

    @Autowired
    Clubs clubs;

    @Autowired
    Store store;

    @Autowired
    LedgerRows rows;

    @Autowired
    NewId newId;

    @Autowired
    Environment environment;

    /** Each context has a store of its own. */
    @DynamicPropertySource
    static void store(DynamicPropertyRegistry registry) throws IOException {
        Path folder = TestClub.passing();
        registry.add("dusk.store", () -> folder.resolve("dusk.db").toString());
    }

    /** By the database's own copy of a whole file; what was learnt of the other test's rows goes by the version. */
    @BeforeEach
    void asItBegan() throws SQLException {
        String file = environment.getRequiredProperty("dusk.store");
        Path begun = Path.of(file + ".begun");
        try (Connection own = DriverManager.getConnection("jdbc:sqlite:" + file + "?busy_timeout=5000");
                Statement statement = own.createStatement()) {
            if (Files.exists(begun)) {
                long next = lastVersion(statement) + 1;
                statement.executeUpdate("restore from '" + begun + "'");
                statement.executeUpdate("update clubs set version = " + next + ", settled = " + next);
            } else {
                statement.executeUpdate("backup to '" + begun + "'");
            }
        }
    }

    private static long lastVersion(Statement statement) throws SQLException {
        try (ResultSet row = statement.executeQuery("select max(max(version, settled)) from clubs")) {
            return row.getLong(1);
        }
    }

    String address(String path) {
        return "http://127.0.0.1:" + port + path;
    }

    /** @param name by which one of the demo signs in, as it is shown or written */
    Person demoPerson(String name) {
        return people.bySignIn(name.toLowerCase(Locale.ROOT)).orElseThrow();
    }
}
