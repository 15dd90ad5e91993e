package dusk.ledger.web.frame;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What stands around every page.
 *
 * @param theme {@code glare} or {@code dusk}, as it is now
 * @param chosenTheme as the person chose it; {@code sun} where the sun decides
 * @param places the places, with the one that is open
 * @param strip null where there is no water yet
 * @param name of the person; empty where nobody is signed in
 */
public record Frame(
        String theme,
        String chosenTheme,
        List<Place> places,
        @Nullable HorizonStrip strip,
        String name,
        String club,
        boolean demo) {
    /** A place of the application. */
    public record Place(String path, String label, boolean here) {}
}
