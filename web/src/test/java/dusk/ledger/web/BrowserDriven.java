package dusk.ledger.web;

import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;

/** The running application seen through a browser, one for all tests of a class. */
abstract class BrowserDriven extends RunningApplication {
    static Browser browser;

    @BeforeAll
    static void open() {
        browser = new Browser();
    }

    @AfterAll
    static void close() {
        browser.close();
    }

    /**
     * No page outlives its test: one left open would go on asking, and the store is put back for the next test, where
     * nobody is signed in by the device of the one before.
     */
    @AfterEach
    void leave() {
        browser.leave();
    }
}
