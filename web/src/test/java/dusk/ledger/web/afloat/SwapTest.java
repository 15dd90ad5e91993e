package dusk.ledger.web.afloat;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dusk.ledger.format.LedgerFormat;
import dusk.ledger.journal.Invalid;
import dusk.ledger.journal.SetUp;
import java.nio.file.Path;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SwapTest {
    private Boat boat;

    @BeforeEach
    void open(@TempDir Path folder) {
        boat = new Boat(folder);
        boat.after(5);
    }

    @AfterEach
    void close() {
        boat.close();
    }

    private SetUp on(int rod) {
        String id = boat.rod(rod).setUpId();
        return boat.club.all(LedgerFormat.SETUPS).stream()
                .filter(setUp -> setUp.id().equals(id))
                .findFirst()
                .orElseThrow();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "weight | up | rod 1: head weight: 7 g to 10 g",
                "weight | down | rod 1: head weight: 7 g to 5 g",
                "colour | violet | rod 1: colour: pearl to violet",
                "presentation | hop | rod 1: hop",
                "setup_id | bare | rod 1: wacky",
                "setup_id | drop | rod 1: drop shot, 10 g tungsten cylinder, straight worm 11 cm, violet",
                "plastic | paddle-tail swimmer | rod 1: plastic: curl-tail grub to paddle-tail swimmer",
            })
    void aSwapIsSaidInOneLine(String field, String value, String said) {
        boat.rods.swap(boat.now(), boat.id(1), Boat.map(field, value));
        assertThat(boat.lastSaid()).isEqualTo(said);
        assertThat(boat.stintsOf("light")).hasSize(2);
    }

    @Test
    void aChangedSetUpKnowsWhichItCameFromAndTheOldOneStays() {
        boat.rods.swap(boat.now(), boat.id(1), Boat.map("colour", "violet"));
        assertThat(on(1).fromSetUpId()).isEqualTo("jig");
        assertThat(boat.club.all(LedgerFormat.SETUPS)).contains(boat.club.jig);
    }

    @Test
    void toAndFroTakesUpTheSameTwoAgain() {
        boat.rods.swap(boat.now(), boat.id(1), Boat.map("colour", "violet"));
        String violet = boat.rod(1).setUpId();
        boat.rods.swap(boat.now(), boat.id(1), Boat.map("colour", "pearl"));
        assertThat(boat.rod(1).setUpId()).isEqualTo("jig");
        boat.rods.swap(boat.now(), boat.id(1), Boat.map("colour", "violet"));
        assertThat(boat.rod(1).setUpId()).isEqualTo(violet);
        assertThat(boat.club.all(LedgerFormat.SETUPS)).hasSize(4);
    }

    @Test
    void anotherHandTakesTheRod() {
        boat.rods.swap(boat.now(), boat.id(1), Boat.map("angler_id", String.valueOf(boat.club.other.anglerId())));
        assertThat(boat.lastSaid()).isEqualTo("rod 1: handed to Runa Halloway");
        assertThat(boat.rod(1).anglerId()).isEqualTo(boat.club.other.anglerId());
    }

    @Test
    void aRodThatIsDownIsSwappedWithoutAStint() {
        boat.rods.down(boat.now(), boat.id(1));
        boat.rods.swap(boat.now(), boat.id(1), Boat.map("colour", "violet"));
        assertThat(boat.stintsOf("light")).hasSize(1);
        assertThat(boat.rod(1).down()).isTrue();
        assertThat(on(1).colour()).isEqualTo("violet");
    }

    @Test
    void aLengthIsReadInThePersonsUnitAndLeftAsItWasShownChangesNothing() {
        boat.rods.swap(
                boat.now(), boat.id(1), Boat.map("plastic", "paddle-tail swimmer", "plastic_length_mm", "10 cm"));
        assertThat(on(1).plasticLength()).isEqualTo(dusk.ledger.units.Length.ofMillimetres(100));
        Map<String, String> same = Boat.map("plastic", "curl-tail grub", "plastic_length_mm", "10 cm");
        boat.rods.swap(boat.now(), boat.id(1), same);
        assertThat(on(1).plasticLength()).isEqualTo(dusk.ledger.units.Length.ofMillimetres(100));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "plastic_length_mm | long | plastic_length_mm: “long” is not a length. Write it like 10 cm or 4 in.",
                "hook_size | huge | hook_size: “huge” is not a hook size. Write it like #1 or 2/0.",
                "leader_mm | far | leader_mm: “far” is not a length. Write it like 10 cm or 4 in.",
            })
    void whatCannotBeTypedSaysWhyAtItsField(String field, String value, String why) {
        int before = boat.club.all(LedgerFormat.SETUPS).size();
        assertThatThrownBy(() -> boat.rods.swap(boat.now(), boat.id(1), Boat.map(field, value)))
                .isInstanceOf(Invalid.class)
                .hasMessage(why);
        assertThat(boat.club.all(LedgerFormat.SETUPS)).hasSize(before);
        assertThat(boat.stints()).hasSize(2);
    }

    @Test
    void whatIsTiedOnAlreadyIsNoSwap() {
        int before = boat.club.all(LedgerFormat.SETUPS).size();
        assertThatThrownBy(() -> boat.rods.swap(boat.now(), boat.id(2), Boat.map("colour", "violet")))
                .isInstanceOf(Refusal.class)
                .hasMessage("That is what is tied on already.");
        assertThat(boat.club.all(LedgerFormat.SETUPS)).hasSize(before);
        assertThat(boat.stints()).hasSize(2);
    }

    @Test
    void hookHookHeightAndHeadMaterialAreChangedOnTheWaterToo() {
        boat.rods.swap(
                boat.now(),
                boat.id(2),
                Boat.map("leader_mm", "30 cm", "hook_size", "2/0", "head_material", "tungsten", "plastic", ""));
        SetUp now = on(2);
        assertThat(now.leader()).isEqualTo(dusk.ledger.units.Length.ofMillimetres(300));
        assertThat(now.hookSize()).isEqualTo("2/0");
        assertThat(now.headMaterial()).isEqualTo("tungsten");
        assertThat(now.plastic()).as("taken off").isNull();
        assertThat(now.fromSetUpId()).isEqualTo("drop");
    }

    @Test
    void thereIsNoStepFromNoWeightNorBeyondTheLastOne() {
        boat.rods.swap(boat.now(), boat.id(1), Boat.map("setup_id", "bare"));
        assertThatThrownBy(() -> boat.rods.swap(boat.now(), boat.id(1), Boat.map("weight", "up")))
                .isInstanceOf(Refusal.class)
                .hasMessage("This set-up has no head weight to step from. Choose another set-up.");
        for (int step = 0; step < 7; step++) {
            boat.rods.swap(boat.now(), boat.id(2), Boat.map("weight", "down"));
        }
        assertThatThrownBy(() -> boat.rods.swap(boat.now(), boat.id(2), Boat.map("weight", "down")))
                .isInstanceOf(Refusal.class)
                .hasMessage("There is no step beyond 1 g.");
    }
}
