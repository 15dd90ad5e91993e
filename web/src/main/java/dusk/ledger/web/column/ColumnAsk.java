package dusk.ledger.web.column;

import dusk.ledger.journal.Rod;
import dusk.ledger.journal.SetUp;
import dusk.ledger.water.Arrival;
import dusk.ledger.water.Band;
import dusk.ledger.water.Cast;
import dusk.ledger.water.Line;
import dusk.ledger.water.Retrieve;
import dusk.ledger.web.form.Typed;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.Function;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * What is asked of the bench.
 *
 * @param setUps one to three; the first with what was changed about it here
 * @param countSeconds of the fall; null to the bottom
 * @param reelMps of the way home
 * @param band null where nobody said where the fish are
 * @param others whether the other way of falling is laid over
 */
record ColumnAsk(
        List<SetUp> setUps,
        double depthM,
        double castM,
        double tipM,
        Arrival.Method method,
        @Nullable Double countSeconds,
        Retrieve retrieve,
        double reelMps,
        double currentMps,
        double headingDeg,
        double driftMps,
        double driftDeg,
        double waterKgM3,
        @Nullable Band band,
        @Nullable Rod rod,
        boolean others) {
    static final double USUAL_DEPTH_M = 4;
    static final double USUAL_CAST_M = 20;
    static final double USUAL_REEL_MPS = 0.5;

    /** Across, to the right: as the form has it chosen. */
    static final double USUAL_HEADING_DEG = 90;

    static final String USUAL_PRESENTATION = "steady retrieve";

    private static final Pattern TURNS = Pattern.compile("([0-9.]+) ?turns?(?: ?/ ?s| a second)?");

    ColumnAsk {
        setUps = List.copyOf(setUps);
    }

    /** The fields that can be wrong, by name. */
    static final List<String> FIELDS = List.of(
            "setup",
            "head_mass_g",
            "depth_m",
            "cast_m",
            "count_s",
            "reel",
            "own",
            "current_mps",
            "heading",
            "drift_mps",
            "drift_deg",
            "band_from_m",
            "band_to_m",
            "tip_m",
            "rod",
            "plastic",
            "plastic_length_mm",
            "head_material",
            "plastic_material",
            "line_diameter_mm",
            "with",
            "and");

    /** Water and cast for one of the set-ups. */
    Cast cast(Line line) {
        return new Cast(depthM, castM, tipM, line, waterKgM3, currentMps, headingDeg, driftMps, driftDeg);
    }

    /**
     * Reads it.
     *
     * @param typed is given what is wrong
     * @param usual the set-up where none was named
     * @return null where anything is wrong
     */
    static @Nullable ColumnAsk read(
            Typed typed,
            Function<String, @Nullable SetUp> setUps,
            Function<String, @Nullable Rod> rods,
            @Nullable SetUp usual) {
        List<SetUp> chosen = new ArrayList<>();
        SetUp first = SetUpAsk.read(typed, setUps, usual);
        if (first != null) {
            chosen.add(first);
        }
        for (String name : List.of("with", "and")) {
            SetUp other = typed.known(name, setUps, "Choose a set-up of the list.");
            if (other != null) {
                chosen.add(other);
            }
        }
        Rod rod = typed.known("rod", rods, "Choose a rod of the list.");
        double reel = Typed.or(reel(typed, rod), () -> USUAL_REEL_MPS);
        double depth = Typed.or(typed.metres("depth_m", 0.3, 60), () -> USUAL_DEPTH_M);
        ColumnAsk ask = new ColumnAsk(
                chosen,
                depth,
                Typed.or(typed.metres("cast_m", 0, 100), () -> USUAL_CAST_M),
                Typed.or(typed.metres("tip_m", 0, 6), () -> Cast.USUAL_ROD_TIP_M),
                method(typed),
                typed.number("count_s", 0.5, 300, " s"),
                Typed.or(retrieve(typed, reel), () -> Retrieve.of(USUAL_PRESENTATION, USUAL_REEL_MPS)),
                reel,
                Typed.or(typed.speed("current_mps", 0, 3), () -> 0.0),
                Typed.or(typed.number("heading", 0, 360, "°"), () -> USUAL_HEADING_DEG),
                Typed.or(typed.speed("drift_mps", 0, 3), () -> 0.0),
                Typed.or(typed.number("drift_deg", 0, 360, "°"), () -> USUAL_HEADING_DEG),
                Cast.density(typed.ticked("salt")),
                band(typed, depth),
                rod,
                !typed.ticked("only"));
        return typed.errors().isEmpty() ? ask : null;
    }

    private static Arrival.Method method(Typed typed) {
        return Arrays.stream(Arrival.Method.values())
                .filter(m -> m.word().equals(typed.text("method")))
                .findFirst()
                .orElse(Arrival.Method.SLACK);
    }

    /** Metres a second, or turns of the handle of a rod's reel. */
    private static @Nullable Double reel(Typed typed, @Nullable Rod rod) {
        Matcher turns = TURNS.matcher(typed.text("reel"));
        if (!turns.matches()) {
            return typed.speed("reel", 0.02, 3);
        }
        if (rod == null || rod.retrieve() == null) {
            typed.wrong("reel", "Turns of which reel? Choose a rod that has its line a turn noted, or write m/s.");
            return null;
        }
        Double each = typed.read("reel", text -> Typed.decimal(turns.group(1)));
        double mps = each == null ? 0 : each * rod.retrieve().metres();
        if (!(mps >= 0.02 && mps <= 3)) {
            typed.wrong("reel", "That is no speed one reels at. Write 0.2 to 3 turns/s.");
            return null;
        }
        return mps;
    }

    private static @Nullable Retrieve retrieve(Typed typed, double reelMps) {
        return typed.text("own").isEmpty()
                ? Retrieve.of(typed.text("presentation"), reelMps)
                : typed.read("own", text -> Retrieve.parse(text, reelMps));
    }

    private static @Nullable Band band(Typed typed, double depthM) {
        Double from = typed.metres("band_from_m", 0, 60);
        Double to = typed.metres("band_to_m", 0, 60);
        if (from == null && to == null) {
            return null;
        }
        double top = Typed.or(from, () -> 0.0);
        double foot = Typed.or(to, () -> depthM);
        if (!(foot > top)) {
            typed.wrong("band_to_m", "Where the fish are must end deeper than it begins.");
            return null;
        }
        return new Band(top, foot);
    }
}
