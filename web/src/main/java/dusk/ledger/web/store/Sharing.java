package dusk.ledger.web.store;

import static dusk.ledger.web.schema.Tables.SHARING;
import static org.jooq.impl.DSL.choose;
import static org.jooq.impl.DSL.field;
import static org.jooq.impl.DSL.select;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;
import org.jooq.Field;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** How much each angler shares of what they fish. What follows from it {@link Visibility} alone decides. */
@Component
public final class Sharing {
    private final Store store;
    private final NewId newId;

    /** By club, the anglers who see more than their club does, since they share less than the kind of places. */
    private final Map<String, Set<String>> secretive = new ConcurrentHashMap<>();

    Sharing(Store store, NewId newId) {
        this.store = store;
        this.newId = newId;
    }

    /**
     * What an angler said.
     *
     * @param waterId of all that they fish on a water; null where it is of a place, or of everything
     * @param spotId of one place
     */
    public record Said(@Nullable String waterId, @Nullable String spotId, Level level) {}

    /**
     * Whose view of a club's records a table is of.
     *
     * @param anglerId null for what all share
     */
    record Scope(String clubId, @Nullable String anglerId) {
        Viewer viewer() {
            return new Viewer(clubId, null, anglerId, Viewer.Role.MEMBER);
        }
    }

    /** The word of the least that anybody shares in the club which a field holds; null where nobody has said anything. */
    public static Field<String> leastIn(Field<String> clubId) {
        Map<String, Integer> byLittle =
                Arrays.stream(Level.values()).collect(Collectors.toMap(Level::word, level -> -level.ordinal()));
        return field(select(SHARING.LEVEL)
                .from(SHARING)
                .where(SHARING.CLUB_ID.eq(clubId))
                .orderBy(choose(SHARING.LEVEL).mapValues(byLittle))
                .limit(1));
    }

    /** All that the viewer said, their word on everything first. */
    public List<Said> of(Viewer viewer) {
        return store.read()
                .selectFrom(SHARING)
                .where(SHARING.CLUB_ID.eq(viewer.clubId()))
                .and(SHARING.ANGLER_ID.eq(String.valueOf(viewer.anglerId())))
                .orderBy(SHARING.WATER_ID, SHARING.SPOT_ID)
                .fetch(r -> new Said(r.getWaterId(), r.getSpotId(), Level.of(r.getLevel())));
    }

    /** What holds for a place that an angler keeps, by what they said: of it, else of its water, else of everything, else its kind. */
    public static Level at(List<Said> said, String waterId, @Nullable String spotId) {
        Optional<Said> closest = said.stream()
                .filter(s -> spotId != null && spotId.equals(s.spotId()))
                .findFirst()
                .or(() -> said.stream().filter(s -> waterId.equals(s.waterId())).findFirst())
                .or(() -> said.stream()
                        .filter(s -> s.waterId() == null && s.spotId() == null)
                        .findFirst());
        return closest.map(Said::level).orElse(Level.KIND);
    }

    /**
     * Says how much is shared from now on.
     *
     * @param level null to say nothing of it any more, so that what is said more widely holds
     */
    public void say(Viewer viewer, @Nullable String waterId, @Nullable String spotId, @Nullable Level level) {
        store.write(viewer.clubId(), tx -> {
            List<Said> others = new ArrayList<>(of(viewer));
            others.removeIf(s -> Objects.equals(s.waterId(), waterId) && Objects.equals(s.spotId(), spotId));
            if (level != null) {
                others.add(new Said(waterId, spotId, level));
            }
            sayAll(viewer, others);
            return others;
        });
        // again, now that it is written: what was asked meanwhile may have been kept as it was before
        secretive.remove(viewer.clubId());
    }

    /** Says all at once: what is not among it is said no more. */
    public void sayAll(Viewer viewer, List<Said> all) {
        String angler = Optional.ofNullable(viewer.anglerId()).orElseThrow(NotYours::new);
        store.write(viewer.clubId(), tx -> {
            tx.deleteFrom(SHARING)
                    .where(SHARING.CLUB_ID.eq(viewer.clubId()))
                    .and(SHARING.ANGLER_ID.eq(angler))
                    .execute();
            for (Said said : all) {
                tx.insertInto(SHARING)
                        .set(SHARING.CLUB_ID, viewer.clubId())
                        .set(SHARING.SHARING_ID, newId.next())
                        .set(SHARING.ANGLER_ID, angler)
                        .set(SHARING.WATER_ID, said.waterId())
                        .set(SHARING.SPOT_ID, said.spotId())
                        .set(SHARING.LEVEL, said.level().word())
                        .execute();
            }
            Written.everything(tx, viewer.clubId());
            return all;
        });
        secretive.remove(viewer.clubId());
    }

    /** Whose table a viewer's findings are reckoned of. */
    Scope scope(Viewer viewer) {
        String angler = viewer.anglerId();
        boolean own = angler != null
                && secretive.computeIfAbsent(viewer.clubId(), this::secretive).contains(angler);
        return new Scope(viewer.clubId(), own ? angler : null);
    }

    private Set<String> secretive(String clubId) {
        return store.read()
                .selectDistinct(SHARING.ANGLER_ID)
                .from(SHARING)
                .where(SHARING.CLUB_ID.eq(clubId))
                .and(SHARING.LEVEL.in(Level.WATER.word(), Level.NOTHING.word()))
                .fetchSet(SHARING.ANGLER_ID);
    }
}
