package dusk.ledger.web.afloat;

import java.nio.file.Path;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.io.TempDir;

/** Every test has a boat of its own on the lake, with two rods out. */
abstract class Aboard {
    Boat boat;

    @BeforeEach
    void open(@TempDir Path folder) {
        boat = new Boat(folder);
    }

    @AfterEach
    void close() {
        boat.close();
    }
}
