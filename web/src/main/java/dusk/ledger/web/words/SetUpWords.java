package dusk.ledger.web.words;

import dusk.ledger.format.LedgerFormat;
import dusk.ledger.journal.SetUp;
import dusk.ledger.tackle.Alteration;
import dusk.ledger.units.Mass;
import dusk.ledger.units.UnitSystem;
import dusk.ledger.web.form.RecordForm;
import dusk.ledger.web.form.UnitText;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** A set-up in words, short enough for a line. */
public final class SetUpWords {
    private SetUpWords() {}

    /** Such as {@code texas rig, 3.5 g tungsten, creature 10 cm, green pumpkin}. */
    public static String of(SetUp setUp, UnitSystem units) {
        return parts(setUp, units).values().stream()
                .filter(part -> !part.isEmpty())
                .collect(Collectors.joining(", "));
    }

    /** The same part by part: rig, head, plastic and colour; empty where there is none, or nothing is said. */
    public static Map<String, String> parts(SetUp setUp, UnitSystem units) {
        Map<String, String> parts = new LinkedHashMap<>();
        parts.put("rig", setUp.rig());
        parts.put("head", head(setUp, setUp.headMass(), units));
        parts.put(
                "plastic",
                join(
                        known(setUp.plastic()),
                        setUp.plasticLength() == null
                                ? null
                                : setUp.plasticLength().show(units.lure())));
        parts.put("colour", join(known(setUp.colour()), with(known(setUp.colourAccent()))));
        return parts;
    }

    /** Its head, were it of another weight. */
    public static String head(SetUp setUp, @Nullable Mass mass, UnitSystem units) {
        return join(
                mass == null ? null : mass.show(units.headMass()),
                known(setUp.headMaterial()),
                known(setUp.headShape()));
    }

    /** In what a set-up differs from the one it came from, such as {@code colour: violet to pearl}. */
    public static String changed(SetUp from, SetUp to, UnitSystem units) {
        RecordForm<SetUp> form = new RecordForm<>(LedgerFormat.SETUPS, new UnitText(units, ZoneOffset.UTC));
        Map<String, String> before = form.typed(from);
        Map<String, String> after = form.typed(to);
        List<String> changes = new ArrayList<>();
        for (String column : Alteration.differences(from, to)) {
            changes.add(FieldWords.of(column) + ": " + shown(before.get(column)) + " to " + shown(after.get(column)));
        }
        return String.join("; ", changes);
    }

    private static String shown(@Nullable String value) {
        return value == null || value.isEmpty() ? "not recorded" : value;
    }

    private static @Nullable String with(@Nullable String accent) {
        return accent == null ? null : "with " + accent;
    }

    private static @Nullable String known(@Nullable String word) {
        return word == null || word.equals("none") ? null : word;
    }

    private static String join(@Nullable String... parts) {
        StringBuilder joined = new StringBuilder();
        for (String part : parts) {
            if (part != null) {
                joined.append(joined.isEmpty() ? "" : " ").append(part);
            }
        }
        return joined.toString();
    }
}
