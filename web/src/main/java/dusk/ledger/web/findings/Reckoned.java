package dusk.ledger.web.findings;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import dusk.ledger.stints.StintTable;
import java.util.Objects;
import java.util.function.Supplier;
import org.springframework.stereotype.Component;

/** What was reckoned of a table, kept as long as the table is: the same question of the same records has one answer. */
@Component
class Reckoned {
    private static final int KEPT_OF_A_TABLE = 100;

    private final Cache<StintTable, Cache<Asked, Object>> byTable =
            Caffeine.newBuilder().weakKeys().build();

    /** @param with what else than the question the answer goes by */
    private record Asked(Class<?> answer, Object question, Object with) {}

    /**
     * The answer to a question, reckoned now where nobody asked it of these records yet; of several who ask at once one reckons.
     *
     * @param answer what is reckoned
     * @param question all that it goes by, comparable by value
     */
    <A> A of(StintTable table, Class<A> answer, Object question, Object with, Supplier<A> reckon) {
        Cache<Asked, Object> answers = byTable.get(
                table, t -> Caffeine.newBuilder().maximumSize(KEPT_OF_A_TABLE).build());
        return answer.cast(
                Objects.requireNonNull(answers.get(new Asked(answer, question, with), asked -> reckon.get())));
    }

    <A> A of(StintTable table, Class<A> answer, Object question, Supplier<A> reckon) {
        return of(table, answer, question, "", reckon);
    }
}
