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
 * @param water whose light it is; empty where there is none yet
 * @param name of the person; empty where nobody is signed in
 * @param guest whether they only read
 */
public record Frame(
        String theme,
        String chosenTheme,
        List<Place> places,
        @Nullable HorizonStrip strip,
        String water,
        String name,
        String club,
        boolean guest,
        boolean demo) {
    /**
     * A place of the application.
     *
     * @param likely whether it stands under the thumb of whoever is on the water
     */
    public record Place(String path, String label, boolean likely, boolean here) {}

    /** The places under the thumb on a phone. */
    public List<Place> likely() {
        return places.stream().filter(Place::likely).toList();
    }

    /** The places one more touch away on a phone. */
    public List<Place> further() {
        return places.stream().filter(place -> !place.likely()).toList();
    }

    /** Whether the page is of a place one more touch away. */
    public boolean elsewhere() {
        return further().stream().anyMatch(Place::here);
    }
}
