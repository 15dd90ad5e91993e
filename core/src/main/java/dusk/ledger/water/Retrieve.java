package dusk.ledger.water;

import dusk.ledger.units.Length;
import dusk.ledger.units.Speed;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * What is done between the fall and the rod.
 *
 * @param phases in their order
 * @param again whether they are done over and over until the line stands steep
 * @param homeMps at which it is reeled home from there
 */
public record Retrieve(List<Phase> phases, boolean again, double homeMps) {
    private static final int MOST_PHASES = 12;
    private static final double UNTIL_BOTTOM = Path.LONGEST_SECONDS;
    private static final Pattern FALL =
            Pattern.compile("fall (slack|tight)(?: to (?:the )?bottom| (?:for )?([0-9.]+) ?s)?");
    private static final Pattern HOME = Pattern.compile("reel home(?: at (.+))?");
    private static final Pattern REEL = Pattern.compile("reel(?: (?!for )(.+?))?(?: for)? ([0-9.]+) ?s");
    private static final Pattern PAUSE = Pattern.compile("pause (?:for )?([0-9.]+) ?s");
    private static final Pattern LIFT = Pattern.compile("lift (.+)");

    public Retrieve {
        phases = List.copyOf(phases);
        if (phases.isEmpty() || phases.size() > MOST_PHASES) {
            throw new IllegalArgumentException(
                    "expected 1 to " + MOST_PHASES + " parts of a retrieve, not " + phases.size());
        }
    }

    /**
     * The usual rhythm of a word of the vocabulary (presentation) at a speed, in m/s; reeled home for one that is not
     * in it. A start, to be written otherwise.
     */
    public static Retrieve of(String presentation, double reelMps) {
        String words = switch (presentation) {
            case "slow drag" -> "reel for 4 s, pause 2 s, again";
            case "drag and pause" -> "reel for 2 s, pause 4 s, again";
            case "hop" -> "lift 0.3 m, fall tight to bottom, again";
            case "big hop" -> "lift 1 m, fall tight to bottom, again";
            case "lift and drop" -> "lift 1 m, fall slack to bottom, pause 2 s, again";
            case "shake in place" -> "pause 15 s, reel for 2 s, again";
            case "dead-stick" -> "pause 40 s, reel home";
            case "vertical hold" -> "pause 60 s";
            case "rush and stop" -> "reel 1 m/s for 3 s, pause 1 s, fall slack 2 s, again";
            case "stop on contact" -> "reel for 5 s, pause 2 s, again";
            case "reel and glide" -> "reel for 3 s, pause 3 s, again";
            case "twitch and pause" -> "lift 0.3 m, pause 3 s, again";
            default -> "reel home";
        };
        return parse(words, reelMps);
    }

    /**
     * Reads {@code lift 1 m, fall tight to bottom, reel 0.5 m/s for 3 s, pause 2 s, reel home}; {@code again} at the end repeats the whole.
     *
     * @param reelMps where a part says to reel and not how fast
     * @throws IllegalArgumentException with a message that can stand at the field
     */
    public static Retrieve parse(String text, double reelMps) {
        List<Phase> phases = new ArrayList<>();
        boolean again = false;
        for (String part : text.strip().toLowerCase(Locale.ROOT).split("\\s*[,;\\n]\\s*")) {
            if (part.equals("again") && !phases.isEmpty()) {
                again = true;
            } else if (again) {
                throw new IllegalArgumentException("“Again” repeats all before it, so nothing can follow it.");
            } else {
                phases.add(phase(part, reelMps));
            }
        }
        if (phases.size() > MOST_PHASES) {
            throw new IllegalArgumentException("At most " + MOST_PHASES + " parts, not " + phases.size() + ".");
        }
        return new Retrieve(phases, again, reelMps);
    }

    private static Phase phase(String part, double reelMps) {
        Matcher fall = FALL.matcher(part);
        if (fall.matches()) {
            double most = fall.group(2) == null ? UNTIL_BOTTOM : seconds(fall.group(2));
            return fall.group(1).equals("slack") ? new Phase.FallSlack(most) : new Phase.FallTight(most);
        }
        Matcher home = HOME.matcher(part);
        if (home.matches()) {
            return new Phase.ReelHome(home.group(1) == null ? reelMps : speed(home.group(1)));
        }
        Matcher reel = REEL.matcher(part);
        if (reel.matches()) {
            return new Phase.Reel(reel.group(1) == null ? reelMps : speed(reel.group(1)), seconds(reel.group(2)));
        }
        Matcher pause = PAUSE.matcher(part);
        if (pause.matches()) {
            return new Phase.Pause(seconds(pause.group(1)));
        }
        Matcher lift = LIFT.matcher(part);
        if (lift.matches()) {
            double metres = Length.parse(lift.group(1), Length.Unit.METRE).metres();
            if (!(metres > 0) || metres > 10) {
                throw new IllegalArgumentException("A lift is more than 0 and at most 10 m, not “" + part + "”.");
            }
            return new Phase.Lift(metres);
        }
        throw new IllegalArgumentException("“" + part
                + "” is no part of a retrieve. Write, with commas between: reel for 3 s, reel 0.5 m/s for 3 s, "
                + "pause 2 s, lift 1 m, fall slack to bottom, fall tight 4 s, reel home, again.");
    }

    private static double seconds(String text) {
        double seconds;
        try {
            seconds = Double.parseDouble(text);
        } catch (NumberFormatException e) {
            throw new IllegalArgumentException("“" + text + "” is not a number of seconds.", e);
        }
        if (!(seconds > 0) || seconds > Path.LONGEST_SECONDS) {
            throw new IllegalArgumentException("A part takes more than 0 and at most "
                    + Math.round(Path.LONGEST_SECONDS) + " seconds, not “" + text + "”.");
        }
        return seconds;
    }

    private static double speed(String text) {
        double speed = Speed.parse(text).metresPerSecond();
        if (!(speed > 0) || speed > 3) {
            throw new IllegalArgumentException("A reel takes in more than 0 and at most 3 m/s, not “" + text + "”.");
        }
        return speed;
    }
}
