package dusk.ledger.web.store;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import dusk.ledger.stints.StintTable;
import java.util.Objects;
import java.util.function.Function;
import org.springframework.stereotype.Component;

/**
 * What was reckoned of a table, kept as long as the table is: the same question of the same records has one answer. What
 * was asked of one is reckoned of the next before that is shown.
 */
@Component
public class Reckoned implements RecentTables.Renewal {
    private static final int KEPT_OF_A_TABLE = 100;

    private final Cache<StintTable, Cache<Asked, Answer>> byTable =
            Caffeine.newBuilder().weakKeys().build();

    /** @param with what else than the question the answer goes by */
    private record Asked(Class<?> answer, Object question, Object with) {}

    /** An answer, how it is reckoned, and whether anybody has wanted it of this table. */
    private static final class Answer {
        private final Object value;
        private final Function<StintTable, ?> reckon;
        private volatile boolean wanted;

        Answer(Object value, Function<StintTable, ?> reckon) {
            this.value = value;
            this.reckon = reckon;
        }
    }

    /**
     * The answer to a question, reckoned now where nobody asked it of these records yet; of several who ask at once one reckons.
     *
     * @param answer what is reckoned
     * @param question all that it goes by, comparable by value
     * @param reckon of a table, and of nothing else that changes
     */
    public <A> A of(StintTable table, Class<A> answer, Object question, Object with, Function<StintTable, A> reckon) {
        Answer found = answer(table, new Asked(answer, question, with), reckon);
        found.wanted = true;
        return answer.cast(found.value);
    }

    /** The same of a question that says all. */
    public <A> A of(StintTable table, Class<A> answer, Object question, Function<StintTable, A> reckon) {
        return of(table, answer, question, "", reckon);
    }

    private Answer answer(StintTable table, Asked asked, Function<StintTable, ?> reckon) {
        return Objects.requireNonNull(answers(table).get(asked, a -> new Answer(reckon.apply(table), reckon)));
    }

    private Cache<Asked, Answer> answers(StintTable table) {
        return byTable.get(
                table, t -> Caffeine.newBuilder().maximumSize(KEPT_OF_A_TABLE).build());
    }

    /** Only what was wanted of the one before: a question that nobody asks any more is forgotten. */
    @Override
    public void prepare(StintTable before, StintTable next) {
        if (before != next) {
            answers(before).asMap().forEach((asked, answer) -> {
                if (answer.wanted) {
                    answer(next, asked, answer.reckon);
                }
            });
        }
    }
}
