package dusk.ledger.web.afloat;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dusk.ledger.journal.Stint;
import dusk.ledger.journal.StintBuilder;
import dusk.ledger.units.Length;
import dusk.ledger.web.records.Way;
import java.util.List;
import java.util.function.UnaryOperator;
import org.junit.jupiter.api.Test;

/** How a rod is fished is said once and holds for its stints to come. */
class WayTest extends Aboard {
    private static final UnaryOperator<Stint> SUSPENDED = stint -> StintBuilder.builder(stint)
            .speed("slow")
            .pauseSeconds(10.0)
            .lineMethod("slack fall")
            .hookSet("sweep")
            .purpose("follow-up")
            .fishPosition("suspended")
            .fishDepth(Length.ofMetres(3))
            .depth(Length.ofMetres(5))
            .build();

    private Stint last() {
        List<Stint> stints = boat.stintsOf("light");
        return stints.get(stints.size() - 1);
    }

    @Test
    void whatIsSaidBeginsAStintThatSaysItAndStaysThroughASwap() {
        boat.after(5);
        boat.rods.fished(boat.now(), boat.id(1), SUSPENDED);
        assertThat(boat.stintsOf("light")).hasSize(2);
        assertThat(boat.lastSaid())
                .isEqualTo("rod 1: dead-stick, slow, pausing 10 s, 5 m deep, slack fall, hook set: sweep,"
                        + " fish suspended at 3 m, to follow up");
        Way said = Way.of(last());
        assertThat(said.fishPosition()).isEqualTo("suspended");
        boat.after(5);
        boat.rods.swap(boat.now(), boat.id(1), Boat.map("colour", "violet"));
        assertThat(Way.of(last())).isEqualTo(said);
        assertThat(last().depth()).isEqualTo(Length.ofMetres(5));
        boat.rods.down(boat.now(), boat.id(1));
        boat.after(5);
        boat.rods.up(boat.now(), boat.id(1));
        assertThat(Way.of(last())).isEqualTo(said);
        assertThat(Way.of(boat.stintsOf("r2").get(0)).fishPosition())
                .as("the other rod says nothing of it")
                .isNull();
    }

    @Test
    void anotherPresentationKeepsTheRest() {
        boat.after(5);
        boat.rods.fished(boat.now(), boat.id(1), SUSPENDED);
        boat.after(5);
        boat.rods.swap(boat.now(), boat.id(1), Boat.map("presentation", "hop"));
        assertThat(Way.of(last())).isEqualTo(Way.of(SUSPENDED.apply(last())).with("hop"));
    }

    @Test
    void whereTheFishAreIsNotKnownAtAnotherPlace() {
        boat.after(5);
        boat.rods.fished(boat.now(), boat.id(1), SUSPENDED);
        boat.after(5);
        boat.trips.move(boat.now(), boat.typed("structure", "hump", "depth_m", "6"), null);
        assertThat(last().fishPosition()).isNull();
        assertThat(last().fishDepth()).isNull();
        assertThat(last().speed()).isEqualTo("slow");
    }

    @Test
    void theSameAgainIsRefusedAndUndoingBringsBackWhatWas() {
        boat.after(5);
        assertThatThrownBy(() -> boat.rods.fished(boat.now(), boat.id(1), stint -> stint))
                .isInstanceOf(Refusal.class)
                .hasMessage("That is how it is fished already.");
        boat.rods.fished(boat.now(), boat.id(1), SUSPENDED);
        boat.back.undo(
                boat.now(),
                boat.club
                        .get(dusk.ledger.web.store.Acts.class)
                        .latest(boat.club.guide.viewer(), boat.trip)
                        .get(0)
                        .act()
                        .id());
        assertThat(boat.rod(1).way()).isEqualTo(Way.of("dead-stick"));
        assertThat(boat.rod(1).depth()).isEqualTo(Length.ofMetres(4));
        assertThat(boat.stintsOf("light")).hasSize(1);
    }

    @Test
    void whatIsTakenBackCanBeSaidAgain() {
        boat.after(5);
        boat.rods.fished(boat.now(), boat.id(1), SUSPENDED);
        boat.after(5);
        boat.rods.fished(
                boat.now(),
                boat.id(1),
                stint -> StintBuilder.builder(stint)
                        .presentation(null)
                        .speed(null)
                        .pauseSeconds(null)
                        .lineMethod(null)
                        .hookSet(null)
                        .purpose(null)
                        .fishPosition(null)
                        .fishDepth(null)
                        .depth(null)
                        .build());
        assertThat(boat.lastSaid()).isEqualTo("rod 1: nothing said of how it is fished");
        assertThat(Way.of(last())).isEqualTo(Way.of((String) null));
    }
}
