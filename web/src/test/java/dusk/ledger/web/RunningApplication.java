package dusk.ledger.web;

import dusk.ledger.web.records.People;
import dusk.ledger.web.records.Person;
import dusk.ledger.web.store.Clubs;
import dusk.ledger.web.store.LedgerRows;
import dusk.ledger.web.store.NewId;
import dusk.ledger.web.store.Store;
import java.io.IOException;
import java.nio.file.Path;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.test.context.DynamicPropertyRegistry;
import org.springframework.test.context.DynamicPropertySource;

/** The whole application with the demo club, on a free port of the loopback, shared by the tests that need it running. */
@SpringBootTest(webEnvironment = SpringBootTest.WebEnvironment.RANDOM_PORT, properties = "dusk.demo=true")
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

    /** Each context has a store of its own. */
    @DynamicPropertySource
    static void store(DynamicPropertyRegistry registry) throws IOException {
        Path folder = TestClub.passing();
        registry.add("dusk.store", () -> folder.resolve("dusk.db").toString());
    }

    String address(String path) {
        return "http://127.0.0.1:" + port + path;
    }

    Person demoPerson(String signIn) {
        return people.bySignIn(signIn).orElseThrow();
    }
}
