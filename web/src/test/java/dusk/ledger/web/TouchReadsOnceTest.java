package dusk.ledger.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What a touch asks of the store, with its values, as jOOQ writes it down. */
class TouchReadsOnceTest extends RequestedClub {
    @ParameterizedTest
    @CsvSource({"landed, species=walleye", "bite, ''", "lost, cause=snag", "counted, seconds=9&depth_m=4", "down, ''"})
    void nothingIsReadTwiceForTheActNorForTheAnswer(String touch, String form) throws Exception {
        var request = typed(request("POST", "/deck/{live}/rods/{rod}/" + touch), form + "&act=" + touch)
                .header("X-Deck", "1");
        List<String> asked;
        try (Statements statements = new Statements()) {
            assertThat(answer(club.guide, request).getStatus()).isEqualTo(200);
            asked = statements.asked();
        }
        int written = written(asked);
        assertThat(asked.subList(0, written)).as("the act").doesNotHaveDuplicates();
        assertThat(asked.subList(written, asked.size())).as("the answer").doesNotHaveDuplicates();
    }

    /** Where the act is done: the club's version rises. */
    private static int written(List<String> asked) {
        for (int i = 0; i < asked.size(); i++) {
            if (asked.get(i).contains("update clubs set version")) {
                return i;
            }
        }
        throw new AssertionError("nothing was written: " + asked);
    }
}
