package dusk.ledger.web.security;

import java.util.LinkedHashMap;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** What a device is called in the list of those that somebody is signed in on, by what it says of itself. */
final class DeviceName {
    /** The first that is in it counts: later ones are said by most. */
    private static final Map<String, String> SYSTEMS = new LinkedHashMap<>();

    private static final Map<String, String> BROWSERS = new LinkedHashMap<>();

    static {
        SYSTEMS.put("iPhone", "iPhone");
        SYSTEMS.put("iPad", "iPad");
        SYSTEMS.put("Android", "Android");
        SYSTEMS.put("Windows", "Windows");
        SYSTEMS.put("Mac OS", "Mac");
        SYSTEMS.put("CrOS", "Chromebook");
        SYSTEMS.put("Linux", "Linux");
        BROWSERS.put("Firefox", "Firefox");
        BROWSERS.put("Edg", "Edge");
        BROWSERS.put("Chrome", "Chrome");
        BROWSERS.put("Safari", "Safari");
    }

    private DeviceName() {}

    /** Such as {@code Android, Firefox}. */
    static String of(@Nullable String agent) {
        String said = agent == null ? "" : agent;
        String system = first(SYSTEMS, said);
        String browser = first(BROWSERS, said);
        if (system.isEmpty() && browser.isEmpty()) {
            return "a device that does not say what it is";
        }
        return system.isEmpty() || browser.isEmpty() ? system + browser : system + ", " + browser;
    }

    private static String first(Map<String, String> names, String said) {
        return names.entrySet().stream()
                .filter(name -> said.contains(name.getKey()))
                .map(Map.Entry::getValue)
                .findFirst()
                .orElse("");
    }
}
