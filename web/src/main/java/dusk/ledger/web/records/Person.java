package dusk.ledger.web.records;

import dusk.ledger.units.UnitSystem;
import dusk.ledger.web.store.Level;
import dusk.ledger.web.store.NotYours;
import dusk.ledger.web.store.Viewer;
import org.jspecify.annotations.Nullable;

/**
 * An account.
 *
 * @param anglerId the angler they are in the records, if any
 * @param unitWord {@code metric} or {@code us}
 * @param knots whether winds and currents are read in knots instead
 * @param theme {@code sun}, {@code glare} or {@code dusk}
 * @param least the least that anybody of the club said to share when the account was read; null where that is not known
 */
public record Person(
        String id,
        String clubId,
        String signIn,
        String name,
        Viewer.Role role,
        @Nullable String anglerId,
        String unitWord,
        boolean knots,
        String theme,
        @Nullable Level least) {
    public Viewer viewer() {
        return new Viewer(clubId, id, anglerId, role, least);
    }

    /** Somebody of the same club who has nothing in it: what they see is what everyone else does. */
    public Person anybody() {
        return new Person("", clubId, "", name, Viewer.Role.MEMBER, null, unitWord, knots, theme, least);
    }

    /**
     * Lets a records officer go on.
     *
     * @throws NotYours for others: what is an officer's is not there for them
     */
    public void onlyOfficer() {
        if (!viewer().officer()) {
            throw new NotYours();
        }
    }

    public UnitSystem units() {
        UnitSystem units = unitWord.equals("us") ? UnitSystem.US : UnitSystem.METRIC;
        return knots ? units.inKnots() : units;
    }
}
