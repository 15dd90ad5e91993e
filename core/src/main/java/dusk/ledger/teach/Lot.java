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

    /** Two levels of a factor that a question is about. */
    public record Pair(Factor factor, String level, String other) {}

    /**
     * What was drawn.
     *
     * @param factor in which it differs from what is tied on, or of which the question is
     * @param asked whether it helps to answer a question, or was drawn blindly
     */
    public record Drawn(SetUp setUp, Factor factor, String level, boolean asked) {}

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
    public static Optional<Drawn> draw(List<Pair> ranked, List<SetUp> boat, SetUp tiedOn, SplittableRandom luck) {
        Boat in = new Boat(boat, tiedOn);
        boolean asked = luck.nextBoolean();
        Optional<Pair> first = ranked.stream()
                .filter(pair -> pair.factor() != Factor.PRESENTATION)
                .filter(in::answers)
                .findFirst();
        if (asked && first.isPresent()) {
            Pair pair = first.get();
            boolean other = luck.nextBoolean();
            for (String level : other ? List.of(pair.other(), pair.level()) : List.of(pair.level(), pair.other())) {
                List<SetUp> of = in.others(pair.factor(), level);
                if (!of.isEmpty()) {
                    return Optional.of(new Drawn(one(of, luck), pair.factor(), level, true));
                }
            }
        }
        return blind(in, luck);
    }

    private static Optional<Drawn> blind(Boat in, SplittableRandom luck) {
        List<Drawn> other = new ArrayList<>();
        for (Factor factor : DRAWN) {
            List<String> levels = in.otherLevels(factor);
            if (!levels.isEmpty()) {
                String level = one(levels, luck);
                other.add(new Drawn(one(in.others(factor, level), luck), factor, level, false));
            }
        }
        return other.isEmpty() ? Optional.empty() : Optional.of(one(other, luck));
    }

    private static <T> T one(List<T> of, SplittableRandom luck) {
        return Objects.requireNonNull(of.get(luck.nextInt(of.size())));
    }

    /** The set-ups there are, by the levels they have. */
    private static final class Boat {
        private final List<SetUp> setUps;
        private final SetUp tiedOn;
        private final StintTable levels;
        private final Map<String, Integer> rows = new HashMap<>();

        Boat(List<SetUp> setUps, SetUp tiedOn) {
            this.setUps = setUps;
            this.tiedOn = tiedOn;
            levels = PlanConditions.unknown().fishedWith(setUps);
            for (int row = 0; row < levels.size(); row++) {
                rows.put(levels.id(row), row);
            }
        }

        private String level(SetUp setUp, Factor factor) {
            Integer row = rows.get(setUp.id());
            return row == null ? Factor.NOT_RECORDED : levels.codes(factor).level(row);
        }

        /** Those with a level, but for the one that is tied on. */
        List<SetUp> others(Factor factor, String level) {
            return setUps.stream()
                    .filter(setUp -> !setUp.id().equals(tiedOn.id())
                            && level(setUp, factor).equals(level))
                    .toList();
        }

        /** Whether both levels can be fished, one of them with something that is not tied on. */
        boolean answers(Pair pair) {
            List<String> levels = List.of(pair.level(), pair.other());
            return levels.stream()
                            .allMatch(level -> setUps.stream()
                                    .anyMatch(
                                            setUp -> level(setUp, pair.factor()).equals(level)))
                    && levels.stream()
                            .anyMatch(level -> !others(pair.factor(), level).isEmpty());
        }

        List<String> otherLevels(Factor factor) {
            String own = level(tiedOn, factor);
            return setUps.stream()
                    .map(setUp -> level(setUp, factor))
                    .filter(level -> !level.equals(Factor.NOT_RECORDED) && !level.equals(own))
                    .distinct()
                    .sorted()
                    .toList();
        }
    }
}
