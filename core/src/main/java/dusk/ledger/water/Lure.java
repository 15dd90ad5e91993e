package dusk.ledger.water;

import dusk.ledger.tackle.Head;
import dusk.ledger.tackle.Material;
import dusk.ledger.tackle.Plastic;
import dusk.ledger.tackle.PlasticBody;
import dusk.ledger.units.Length;
import dusk.ledger.units.Mass;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * A lure as the water feels it.
 *
 * @param weightN submerged weight W; 0 or less floats
 * @param dragM2 drag area S
 * @param liftM2 k A, and 0.6 S_blade for a blade: what lifts it while it is reeled
 */
public record Lure(double weightN, double dragM2, double liftM2) {
    static final double GRAVITY = 9.80665;
    private static final double STEEL_KG_M3 = 7850;
    private static final double LEVEL_PLASTIC = 1.1;
    private static final double BALL = 0.5;
    private static final double LIVELY_LIFT = 0.35;
    private static final double QUIET_LIFT = 0.10;
    private static final double BLADE_LIFT = 0.6;

    /**
     * What is tied on.
     *
     * @param plasticBody how it is made, such as hollow; null for solid
     * @param trimmedFrom its length before it was cut; null where it was not
     * @param hookGrams mass of the steel hook
     * @param bladeM2 drag area of a blade; 0 for none
     * @param skirtM2 drag area of a skirt; 0 for none
     */
    public record Parts(
            @Nullable Mass head,
            @Nullable String headMaterial,
            @Nullable String plastic,
            @Nullable Length plasticLength,
            @Nullable String plasticMaterial,
            @Nullable String plasticBody,
            @Nullable Length trimmedFrom,
            double hookGrams,
            double bladeM2,
            double skirtM2) {
        /** With a plastic that is solid and whole. */
        public Parts(
                @Nullable Mass head,
                @Nullable String headMaterial,
                @Nullable String plastic,
                @Nullable Length plasticLength,
                @Nullable String plasticMaterial,
                double hookGrams,
                double bladeM2,
                double skirtM2) {
            this(head, headMaterial, plastic, plasticLength, plasticMaterial, null, null, hookGrams, bladeM2, skirtM2);
        }

        /** The same on another head. */
        public Parts on(Mass other) {
            return new Parts(
                    other,
                    headMaterial,
                    plastic,
                    plasticLength,
                    plasticMaterial,
                    plasticBody,
                    trimmedFrom,
                    hookGrams,
                    bladeM2,
                    skirtM2);
        }

        /**
         * The plastic; nothing where there is none.
         *
         * @throws IllegalArgumentException where its word has no body in the table
         */
        Optional<Plastic> body() {
            if (plastic != null && PlasticBody.of(plastic).isEmpty()) {
                throw new IllegalArgumentException(
                        "\"" + plastic + "\" has no body in the table, expected the nearest of it");
            }
            return Plastic.of(plastic, plasticLength, plasticMaterial, plasticBody, trimmedFrom);
        }
    }

    /** Weight in water of a density in kg/m3: W = g sum m (1 - rho_w/rho); S = 1.1 A + 0.5 pi r^2 + S_blade + S_skirt. */
    public static Lure of(Parts parts, double water) {
        Mass head = parts.head();
        double headKg = head == null ? 0 : head.grams() / 1000;
        double headDensity = Material.headDensity(parts.headMaterial());
        Optional<Plastic> plastic = parts.body();
        double plasticKg = plastic.map(Plastic::massGrams).orElse(0.0) / 1000;
        double plasticDensity = Material.plasticDensity(parts.plasticMaterial());
        double weight = GRAVITY
                * (headKg * (1 - water / headDensity)
                        + parts.hookGrams() / 1000 * (1 - water / STEEL_KG_M3)
                        + plasticKg * (1 - water / plasticDensity));
        double area = plastic.map(Plastic::areaM2).orElse(0.0);
        double radius =
                head == null ? 0 : Head.ballRadius(head, parts.headMaterial()).metres();
        double drag = LEVEL_PLASTIC * area + BALL * Math.PI * radius * radius + parts.bladeM2() + parts.skirtM2();
        double lift = parts.bladeM2() > 0
                ? BLADE_LIFT * parts.bladeM2()
                : (lively(parts.plastic()) ? LIVELY_LIFT : QUIET_LIFT) * area;
        return new Lure(weight, drag, lift);
    }

    private static boolean lively(@Nullable String plastic) {
        return plastic != null
                && (plastic.equals("paddle-tail swimmer")
                        || plastic.equals("curl-tail grub")
                        || plastic.equals("cut-tail worm"));
    }

    public boolean floats() {
        return weightN <= 0;
    }

    /** The same with its drag area times a factor, as a calibration found it. */
    public Lure calibrated(double factor) {
        return new Lure(weightN, dragM2 * factor, liftM2);
    }

    /** Speed at which it falls without line: sqrt(2 W / (rho S)), m/s; 0 where it floats. */
    public double terminalMps(double water) {
        return floats() ? 0 : Math.sqrt(2 * weightN / (water * dragM2));
    }
}
