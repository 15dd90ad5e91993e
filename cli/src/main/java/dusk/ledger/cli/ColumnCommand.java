package dusk.ledger.cli;

import dusk.ledger.units.Length;
import dusk.ledger.units.Mass;
import dusk.ledger.vocabulary.Words;
import dusk.ledger.water.Arrival;
import dusk.ledger.water.Cast;
import dusk.ledger.water.Line;
import dusk.ledger.water.Lure;
import dusk.ledger.water.Motion;
import dusk.ledger.water.Path;
import dusk.ledger.water.Phase;
import java.util.List;
import java.util.concurrent.Callable;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

@Command(name = "column", description = "How a lure falls, where it lands, how it comes home")
final class ColumnCommand implements Callable<Integer> {
    private static final double MILLIMETRES_PER_METRE = 1000;

    @Option(names = "--head-mass-g", description = "mass of the head; 0 for none")
    private double headGrams;

    @Option(names = "--head-material", description = "lead, tungsten, tin-bismuth, brass or steel (default: lead)")
    private String headMaterial = "lead";

    @Option(names = "--plastic", description = "a word of the vocabulary (default: none)")
    private String plastic = "none";

    @Option(names = "--plastic-length-mm")
    private double plasticMm;

    @Option(names = "--plastic-material", description = "default: plastisol")
    private String plasticMaterial = "plastisol";

    @Option(names = "--plastic-body", description = "solid, hollow, thin-walled or ribbed (default: solid)")
    private String plasticBody = "solid";

    @Option(names = "--trimmed-from-mm", description = "length of the plastic before it was cut")
    private @Nullable Double trimmedMm;

    @Option(names = "--hook-mass-g", description = "default: ${DEFAULT-VALUE}")
    private double hookGrams = 0.4;

    @Option(names = "--line-diameter-mm", required = true)
    private double lineMm;

    @Option(names = "--leader-diameter-mm", description = "default: that of the line")
    private @Nullable Double leaderMm;

    @Option(names = "--leader-length-m", description = "default: 0")
    private double leaderLengthM;

    @Option(names = "--drift-mps", description = "of the boat (default: 0)")
    private double driftMps;

    @Option(names = "--drift-heading-deg", description = "where it drifts to, against the cast (default: 0)")
    private double driftDeg;

    @Option(names = "--depth-m", required = true)
    private double depthM;

    @Option(names = "--cast-m", required = true)
    private double castM;

    @Option(names = "--rod-tip-m", description = "default: ${DEFAULT-VALUE}")
    private double rodTipM = Cast.USUAL_ROD_TIP_M;

    @Option(names = "--blade-m2", description = "drag area of a blade (default: 0)")
    private double bladeM2;

    @Option(names = "--current-mps", description = "at the surface (default: 0)")
    private double currentMps;

    @Option(
            names = "--current-heading-deg",
            description = "against the cast: 0 away, 90 right, 180 toward (default: 0)")
    private double headingDeg;

    @Option(names = "--salt", description = "sea water")
    private boolean salt;

    @Option(names = "--reel-mps", description = "default: ${DEFAULT-VALUE}")
    private double reelMps = 0.5;

    @Option(names = "--method", description = "slack, tight, open-bail or all (default: all)")
    private String method = "all";

    @Spec
    @SuppressWarnings("NullAway.Init") // set by picocli
    private CommandSpec spec;

    @Override
    public Integer call() throws CommandFailure {
        double density = salt ? Cast.SALT : Cast.FRESH;
        word("--head-material", headMaterial, Words.of("head_material"));
        word("--plastic", plastic, Words.of("plastic"));
        word("--plastic-material", plasticMaterial, Words.of("plastic_material"));
        word("--plastic-body", plasticBody, Words.closed("plastic_body", "setups"));
        word("--method", method, List.of("slack", "tight", "open-bail", "all"));
        positive("--reel-mps", reelMps);
        Lure lure;
        Cast cast;
        try {
            Mass head = headGrams > 0 ? Mass.ofGrams(headGrams) : null;
            lure = Lure.of(
                    new Lure.Parts(
                            head,
                            headMaterial,
                            plastic,
                            Length.ofMillimetres(plasticMm),
                            plasticMaterial,
                            plasticBody,
                            trimmedMm == null ? null : Length.ofMillimetres(trimmedMm),
                            hookGrams,
                            bladeM2,
                            0),
                    density);
            double thin = leaderMm == null ? lineMm : leaderMm;
            Line line = new Line(lineMm / MILLIMETRES_PER_METRE, thin / MILLIMETRES_PER_METRE, leaderLengthM);
            cast = new Cast(depthM, castM, rodTipM, line, density, currentMps, headingDeg).drifting(driftMps, driftDeg);
        } catch (IllegalArgumentException e) {
            throw new CommandFailure(String.valueOf(e.getMessage()));
        }
        Answer.print(spec, answer(lure, cast, density));
        return 0;
    }

    private static void word(String option, String value, List<String> words) throws CommandFailure {
        if (!words.contains(value)) {
            throw new CommandFailure(option + ": \"" + value + "\" is not one of: " + String.join(", ", words));
        }
    }

    private static void positive(String option, double value) throws CommandFailure {
        if (!(value > 0)) {
            throw new CommandFailure(option + ": expected more than 0, not " + value);
        }
    }

    private ObjectNode answer(Lure lure, Cast cast, double density) {
        ObjectNode answer = JsonMapper.shared().createObjectNode();
        answer.put("weight_n", lure.weightN());
        answer.put("drag_m2", lure.dragM2());
        figure(answer, "terminal_mps", lure.floats() ? null : lure.terminalMps(density));
        ArrayNode arrivals = answer.putArray("arrivals");
        for (Arrival.Method one : Arrival.Method.values()) {
            if (!lure.floats() && (method.equals("all") || method.equals(one.word()))) {
                arrival(arrivals.addObject(), Arrival.of(lure, cast, one));
            }
        }
        if (lure.floats()) {
            answer.put("floats", true);
            answer.putNull("retrieve");
        } else {
            retrieve(answer.putObject("retrieve"), lure, cast);
        }
        return answer;
    }

    private static void arrival(ObjectNode into, Arrival arrival) {
        into.put("method", arrival.method().word());
        into.put("reaches", arrival.reaches());
        figure(into, "seconds", arrival.seconds());
        into.put("short_m", arrival.shortM());
        into.put("drift_m", arrival.driftM());
        figure(into, "hangs_at_m", arrival.hangsAtM());
    }

    /** Let fall the first way asked for, then reeled home. */
    private void retrieve(ObjectNode into, Lure lure, Cast cast) {
        Phase fall = method.equals("tight")
                ? new Phase.FallTight(Path.LONGEST_SECONDS)
                : new Phase.FallSlack(Path.LONGEST_SECONDS);
        Path path = Motion.of(lure, cast, List.of(fall, new Phase.ReelHome(reelMps)));
        into.put("contact_share", path.contactShare());
        into.put("deepest_m", path.deepestM());
        ArrayNode points = into.putArray("path");
        for (Path.Point point : path.points()) {
            points.addArray().add(point.seconds()).add(point.x()).add(point.y()).add(point.z());
        }
    }

    private static void figure(ObjectNode into, String name, @Nullable Double value) {
        if (value == null) {
            into.putNull(name);
        } else {
            into.put(name, value);
        }
    }
}
