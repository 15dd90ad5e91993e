package dusk.ledger.teach;

import dusk.ledger.journal.SetUp;
import dusk.ledger.plan.PlanConditions;
import dusk.ledger.stints.StintTable;
import dusk.ledger.vocabulary.Factor;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.SplittableRandom;
import org.jspecify.annotations.Nullable;

/**
 * The lot: one swap in so many is drawn instead of chosen, since records of habits alone teach little. What is drawn follows
 * from the trip, the rod and the number of its swap, so that nobody can draw again.
 */
public final class Lot {
    /** One swap in so many; 0 for none. */
    public static final List<Integer> HOW_OFTEN = List.of(0, 10, 5, 2);

    /** What is drawn is fished for so long, that there is something to learn. */
    public static final int MINUTES = 20;

    /** What is drawn blindly: the choices that anglers make for the fish, not for the line or the hook. */
    private static final List<Factor> DRAWN =
            List.of(Factor.RIG, Factor.HEAD_MASS, Factor.PLASTIC, Factor.PLASTIC_LENGTH, Factor.COLOUR);

    private Lot() {}

    /**
     * What was drawn.
     *
     * @param factor in which it differs from what is tied on, or of which the question is
     * @param question that it helps to answer; null where it was drawn blindly
     */
    public record Drawn(
            SetUp setUp,
            Factor factor,
            String level,
            @Nullable Question question) {}

    /** The luck of one swap of one rod of one trip. */
    public static SplittableRandom luck(String tripId, String rodId, int swap) {
        return new SplittableRandom(31L * (31L * tripId.hashCode() + rodId.hashCode()) + swap);
    }

    /** Whether a swap is due by lot: one in so many. */
    public static boolean due(SplittableRandom luck, int oneIn) {
        return oneIn > 0 && luck.nextInt(oneIn) == 0;
    }

    /**
     * Draws from what is in the boat: by even chance one of the two of the question that is ranked first of those that can
     * be fished with it, else any level of one factor that is not what is tied on.
     *
     * @param ranked questions that may be asked here, the best first
     * @param boat set-ups on the rods and in the day's pack
     * @param tiedOn of them
     * @return empty where there is nothing else in the boat
     */
    public static Optional<Drawn> draw(List<Question> ranked, List<SetUp> boat, SetUp tiedOn, SplittableRandom luck) {
        StintTable as = PlanConditions.unknown().fishedWith(boat);
        Map<String, Integer> rows = new HashMap<>();
        for (int row = 0; row < as.size(); row++) {
            rows.put(as.id(row), row);
        }
        boolean asked = luck.nextBoolean();
        Optional<Question> first = ranked.stream()
                .filter(q -> q.factor() != Factor.PRESENTATION)
                .filter(q -> !with(as, rows, boat, tiedOn, q.factor(), q.level())
                                        .isEmpty()
                                && !with(as, rows, boat, null, q.factor(), q.other())
                                        .isEmpty()
                        || !with(as, rows, boat, tiedOn, q.factor(), q.other()).isEmpty()
                                && !with(as, rows, boat, null, q.factor(), q.level())
                                        .isEmpty())
                .findFirst();
        if (asked && first.isPresent()) {
            Question question = first.get();
            boolean other = luck.nextBoolean();
            for (String level :
                    other ? List.of(question.other(), question.level()) : List.of(question.level(), question.other())) {
                List<SetUp> of = with(as, rows, boat, tiedOn, question.factor(), level);
                if (!of.isEmpty()) {
                    return Optional.of(new Drawn(one(of, luck), question.factor(), level, question));
                }
            }
        }
        return blind(as, rows, boat, tiedOn, luck);
    }

    private static Optional<Drawn> blind(
            StintTable as, Map<String, Integer> rows, List<SetUp> boat, SetUp tiedOn, SplittableRandom luck) {
        List<Drawn> other = new ArrayList<>();
        for (Factor factor : DRAWN) {
            String own = level(as, rows, tiedOn, factor);
            List<String> levels = boat.stream()
                    .map(setUp -> level(as, rows, setUp, factor))
                    .filter(level -> !level.equals(Factor.NOT_RECORDED) && !level.equals(own))
                    .distinct()
                    .sorted()
                    .toList();
            if (!levels.isEmpty()) {
                String level = one(levels, luck);
                other.add(new Drawn(one(with(as, rows, boat, tiedOn, factor, level), luck), factor, level, null));
            }
        }
        return other.isEmpty() ? Optional.empty() : Optional.of(one(other, luck));
    }

    /** Set-ups in the boat with a level, but for the one that is tied on. */
    private static List<SetUp> with(
            StintTable as,
            Map<String, Integer> rows,
            List<SetUp> boat,
            @Nullable SetUp tiedOn,
            Factor factor,
            String level) {
        return boat.stream()
                .filter(setUp -> tiedOn == null || !setUp.id().equals(tiedOn.id()))
                .filter(setUp -> level(as, rows, setUp, factor).equals(level))
                .toList();
    }

    private static String level(StintTable as, Map<String, Integer> rows, SetUp setUp, Factor factor) {
        Integer row = rows.get(setUp.id());
        return row == null ? Factor.NOT_RECORDED : as.codes(factor).level(row);
    }

    private static <T> T one(List<T> of, SplittableRandom luck) {
        return Objects.requireNonNull(of.get(luck.nextInt(of.size())));
    }
}
