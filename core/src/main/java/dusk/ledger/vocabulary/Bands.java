package dusk.ledger.vocabulary;

import dusk.ledger.units.Figures;
import dusk.ledger.units.Length;
import dusk.ledger.units.Mass;
import dusk.ledger.units.Speed;
import dusk.ledger.units.Temperature;
import java.util.ArrayList;
import java.util.List;

/** The bands of the ledger format, one function a banded factor. */
public final class Bands {
    private static final double[] HEAD_STEPS_G = {1, 1.5, 2, 2.5, 3.5, 5, 7, 10, 14, 18, 21, 28, 42, 56};
    static final List<String> HEAD_MASS = headSteps();
    static final Band PLASTIC_LENGTH =
            Band.of(List.of("under 50 mm", "50-75 mm", "75-100 mm", "100-150 mm", "150 mm and over"), 50, 75, 100, 150);
    static final Band HOOK_HEIGHT =
            Band.of(List.of("under 12 cm", "12-30 cm", "30-60 cm", "60 cm and over"), 120, 300, 600);
    static final Band LINE_DIAMETER =
            Band.of(List.of("under 0.20 mm", "0.20-0.26 mm", "0.26-0.33 mm", "0.33 mm and over"), 0.20, 0.26, 0.33);
    static final Band LEADER =
            Band.of(List.of("none", "under 0.6 m", "0.6-2 m", "2 m and over"), Double.MIN_VALUE, 600, 2000);
    static final Band REEL =
            Band.of(List.of("slow under 0.6 m a turn", "middling 0.6-0.75", "fast 0.75 and over"), 600, 750);
    static final Band LURE_TO_PREY =
            Band.of(List.of("under 0.5", "0.5-0.8", "0.8-1.25", "1.25-2", "2 and over"), 0.5, 0.8, 1.25, 2);
    static final Band WATER_TEMP = Band.of(
            List.of("under 7 C", "7-10 C", "10-15 C", "15-20 C", "20-25 C", "25 C and over"), 7, 10, 15, 20, 25);
    static final Band CLARITY =
            Band.of(List.of("under 0.3 m", "0.3-0.9 m", "0.9-2 m", "2-4 m", "4 m and over"), 0.3, 0.9, 2, 4);
    static final Band WIND = Band.of(List.of("calm under 2", "breeze 2-5", "fresh 5-9", "strong 9 and over"), 2, 5, 9);
    static final Band CURRENT = Band.of(
            List.of("still under 0.05", "slow 0.05-0.3", "steady 0.3-0.7", "strong 0.7 and over"), 0.05, 0.3, 0.7);
    static final Band DEPTH =
            Band.of(List.of("under 1.5 m", "1.5-3 m", "3-6 m", "6-10 m", "10 m and over"), 1.5, 3, 6, 10);
    static final Band PAUSE =
            Band.of(List.of("none", "under 5 s", "5-15 s", "15-60 s", "60 s and over"), Double.MIN_VALUE, 5, 15, 60);

    private Bands() {}

    private static List<String> headSteps() {
        List<String> steps = new ArrayList<>();
        for (double step : HEAD_STEPS_G) {
            steps.add(Figures.trimmed(step, 1) + " g");
        }
        return List.copyOf(steps);
    }

    /** Nearest step of the ladder 1 to 56 g on the log scale, such as {@code 3.5 g}. */
    public static String headMass(Mass mass) {
        int nearest = 0;
        for (int i = 1; i < HEAD_STEPS_G.length; i++) {
            if (Math.abs(Math.log(mass.grams() / HEAD_STEPS_G[i]))
                    < Math.abs(Math.log(mass.grams() / HEAD_STEPS_G[nearest]))) {
                nearest = i;
            }
        }
        return HEAD_MASS.get(nearest);
    }

    public static String plasticLength(Length length) {
        return PLASTIC_LENGTH.label(length.millimetres());
    }

    public static String hookHeight(Length leader) {
        return HOOK_HEIGHT.label(leader.millimetres());
    }

    /** Of the leader from the main line to the lure; 0 is none. */
    public static String leader(Length leader) {
        return LEADER.label(leader.millimetres());
    }

    /** Of the line that one turn of the handle takes in. */
    public static String reel(Length retrieve) {
        return REEL.label(retrieve.millimetres());
    }

    /** Of the length of the lure to that of the prey. */
    public static String lureToPrey(double ratio) {
        return LURE_TO_PREY.label(ratio);
    }

    public static String lineDiameter(Length diameter) {
        return LINE_DIAMETER.label(diameter.millimetres());
    }

    public static String waterTemp(Temperature temperature) {
        return WATER_TEMP.label(temperature.celsius());
    }

    public static String clarity(Length clarity) {
        return CLARITY.label(clarity.metres());
    }

    public static String wind(Speed wind) {
        return WIND.label(wind.metresPerSecond());
    }

    public static String current(Speed current) {
        return CURRENT.label(current.metresPerSecond());
    }

    public static String depth(Length depth) {
        return DEPTH.label(depth.metres());
    }

    public static String pause(double seconds) {
        return PAUSE.label(seconds);
    }
}
