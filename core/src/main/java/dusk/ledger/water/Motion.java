package dusk.ledger.water;

import java.util.ArrayList;
import java.util.List;
import org.hipparchus.analysis.UnivariateFunction;
import org.hipparchus.analysis.solvers.BracketedUnivariateSolver;
import org.hipparchus.analysis.solvers.BracketingNthOrderBrentSolver;
import org.hipparchus.ode.ODEState;
import org.hipparchus.ode.ODEStateAndDerivative;
import org.hipparchus.ode.OrdinaryDifferentialEquation;
import org.hipparchus.ode.events.Action;
import org.hipparchus.ode.events.AdaptableInterval;
import org.hipparchus.ode.events.ODEEventDetector;
import org.hipparchus.ode.events.ODEEventHandler;
import org.hipparchus.ode.nonstiff.DormandPrince853Integrator;

/**
 * How a lure moves. Inertia is left out: it is at its terminal speed within a hand's breadth. Weight down, tension T
 * >= 0 along a straight line toward the rod tip and drag -1/2 rho S |q| q balance at each moment, q the velocity
 * relative to the water. On a tight line T is such that the velocity along the line is that at which line is taken
 * in; where it would have to be below 0 the line is slack and the lure falls free.
 */
public final class Motion {
    /** Under the rod. */
    public static final double HOME_M = 2;

    /** Drag area of a tight line swept sideways, by moments about the tip: 1.1 d l / 4. */
    private static final double LINE_SWEPT = 1.1 / 4;

    /** A round that brings it no nearer than this is the last. */
    private static final double NEARER_M = 0.01;

    /** Less is left of a phase than the solver can step over. */
    private static final double MOMENT_S = 1e-7;

    private static final int MOST_EVALUATIONS = 20_000;

    private static final double TOLERANCE = 1e-8;
    private static final double SMALLEST_STEP = 1e-9;
    private static final double LARGEST_STEP = 0.5;

    /** Slower than this along a taut line it hangs: it never gets nearer than it is. */
    private static final double HANGS_MPS = 1e-4;

    private final Lure lure;
    private final Cast cast;

    private final List<Path.Point> points = new ArrayList<>();
    private double[] at;
    private double time;
    private int followed;
    private boolean ended;

    private Motion(Lure lure, Cast cast) {
        if (lure.floats()) {
            throw new IllegalArgumentException("it floats, expected a submerged weight above 0");
        }
        this.lure = lure;
        this.cast = cast;
        at = new double[] {cast.castM(), 0, 0};
        points.add(new Path.Point(0, at[0], at[1], at[2], 0, false));
    }

    /**
     * The path of a cast.
     *
     * @throws IllegalArgumentException where the lure floats
     */
    public static Path of(Lure lure, Cast cast, List<Phase> phases) {
        Motion motion = new Motion(lure, cast);
        motion.follow(phases);
        return new Path(motion.points);
    }

    /**
     * The path of a cast that is let fall and then fished home. What is done over and over is done until the line
     * stands steeper than 45 degrees, or until nothing more comes of it; the rest of the way it is reeled.
     *
     * @throws IllegalArgumentException where the lure floats
     */
    public static Path of(Lure lure, Cast cast, Phase fall, Retrieve retrieve) {
        Motion motion = new Motion(lure, cast);
        motion.follow(List.of(fall));
        boolean nearer;
        do {
            double out = motion.outM();
            motion.follow(retrieve.phases());
            nearer = motion.outM() < out - NEARER_M;
        } while (retrieve.again() && nearer && !motion.steep());
        if (retrieve.again()) {
            motion.follow(List.of(new Phase.ReelHome(retrieve.homeMps())));
        }
        return new Path(motion.points);
    }

    private double outM() {
        return Math.hypot(at[0], at[1]);
    }

    private boolean steep() {
        return outM() < cast.depthM() + cast.rodTipM();
    }

    /** What it lies against. */
    private enum Against {
        NOTHING,
        BOTTOM,
        SURFACE,
        /** It hangs on a line that is not taken in. */
        LINE
    }

    /** Goes on by these phases, unless it is home or ten minutes are over. */
    private void follow(List<Phase> phases) {
        for (int i = 0; i < phases.size() && !ended; i++) {
            follow(phases.get(i));
        }
    }

    private void follow(Phase phase) {
        double end = Math.min(Path.LONGEST_SECONDS, time + phase.mostSeconds());
        Against against = against(phase, at);
        while (time < end - MOMENT_S && !over(phase, at, against)) {
            Leg leg = new Leg(phase, followed, against);
            ODEStateAndDerivative reached = leg.run(time, at, end, points);
            time = reached.getTime();
            at = reached.getPrimaryState();
            if (leg.stopped == Stop.NOTHING || leg.stopped == Stop.OVER) {
                break;
            }
            if (leg.stopped == Stop.BOTTOM) {
                at[2] = cast.depthM();
            } else if (leg.stopped == Stop.SURFACE) {
                at[2] = 0;
            }
            against = leg.stopped == Stop.OFF
                    ? Against.NOTHING
                    : leg.stopped == Stop.HANGS ? Against.LINE : against(phase, at);
            points.add(new Path.Point(time, at[0], at[1], at[2], followed, against == Against.BOTTOM));
        }
        followed++;
        ended = time >= Path.LONGEST_SECONDS || home(phase, at);
    }

    /**
     * It lies on the bottom where it is there and would go no higher, on the surface where it would go higher, and
     * hangs where a line that is not taken in holds it still.
     */
    private Against against(Phase phase, double[] at) {
        double rises = -velocity(phase, at)[2];
        if (at[2] >= cast.depthM() && rises <= 0) {
            return Against.BOTTOM;
        }
        Against free = at[2] <= 0 && rises > 0 ? Against.SURFACE : Against.NOTHING;
        return holdsLine(phase) && speed(moved(phase, free, at)) < HANGS_MPS ? Against.LINE : free;
    }

    private static boolean holdsLine(Phase phase) {
        return !phase.slack() && phase.reelMps() == 0;
    }

    private double[] moved(Phase phase, Against against, double[] s) {
        return switch (against) {
            case NOTHING -> velocity(phase, s);
            case BOTTOM, SURFACE -> slid(phase, s);
            case LINE -> new double[3];
        };
    }

    /**
     * Slid over the bottom or the surface as fast as line is taken in, and across the line with the water, which on the
     * bottom runs only as a boat drifts. On a slack line it lies where it lies, which a drifting boat sees move.
     */
    private double[] slid(Phase phase, double[] s) {
        double out = Math.hypot(s[0], s[1]);
        double[] water = cast.runsMps(s[2]);
        if (out == 0 || phase.slack()) {
            return s[2] >= cast.depthM() ? new double[] {water[0], water[1], 0} : new double[3];
        }
        double inward = phase.reelMps() * Math.hypot(out, s[2] + cast.rodTipM()) / out;
        double across = (water[1] * s[0] - water[0] * s[1]) / out;
        return new double[] {(-inward * s[0] - across * s[1]) / out, (-inward * s[1] + across * s[0]) / out, 0};
    }

    private double[] velocity(Phase phase, double[] s) {
        return phase.slack() ? free(s) : tight(s, phase.reelMps());
    }

    private boolean over(Phase phase, double[] at, Against against) {
        return (phase.endsOnBottom() && (against == Against.BOTTOM || against == Against.LINE)) || home(phase, at);
    }

    /** Under the rod, where line taken in ends it all; what was let down beside the boat is there from the start and may be lifted. */
    private boolean home(Phase phase, double[] at) {
        boolean under = outM() <= HOME_M + 1e-6;
        return under && (takesIn(phase) || (phase.reelMps() > 0 && at[2] <= 0));
    }

    private boolean takesIn(Phase phase) {
        return phase instanceof Phase.ReelHome || (phase.reelMps() > 0 && cast.castM() > HOME_M);
    }

    /** Why a leg ended. */
    private enum Stop {
        NOTHING,
        BOTTOM,
        SURFACE,
        HANGS,
        OFF,
        OVER
    }

    /** A part of the path between events. */
    private final class Leg implements OrdinaryDifferentialEquation {
        private final Phase phase;
        private final int index;
        private final Against against;
        private Stop stopped = Stop.NOTHING;

        Leg(Phase phase, int index, Against against) {
            this.phase = phase;
            this.index = index;
            this.against = against;
        }

        ODEStateAndDerivative run(double from, double[] at, double to, List<Path.Point> points) {
            DormandPrince853Integrator ode =
                    new DormandPrince853Integrator(SMALLEST_STEP, LARGEST_STEP, TOLERANCE, TOLERANCE);
            switch (against) {
                case NOTHING -> {
                    ode.addEventDetector(new Watch(s -> s[2] - cast.depthM(), Stop.BOTTOM, true));
                    ode.addEventDetector(new Watch(s -> s[2] + 1e-6, Stop.SURFACE, false));
                }
                case BOTTOM -> ode.addEventDetector(new Watch(s -> water(s)[2], Stop.OFF, false));
                case SURFACE -> ode.addEventDetector(new Watch(s -> water(s)[2], Stop.OFF, true));
                case LINE -> {
                    // there it stays until the line is taken in or let go
                }
            }
            if (takesIn(phase) || (phase.reelMps() > 0 && against == Against.SURFACE)) {
                ode.addEventDetector(new Watch(s -> Math.hypot(s[0], s[1]) - HOME_M, Stop.OVER, false));
            }
            if (holdsLine(phase) && against != Against.BOTTOM && against != Against.LINE) {
                ode.addEventDetector(new Watch(s -> speed(computeDerivatives(0, s)) - HANGS_MPS, Stop.HANGS, false));
            }
            ode.setMaxEvaluations(MOST_EVALUATIONS);
            ode.addStepHandler(interpolator -> {
                ODEStateAndDerivative now = interpolator.getCurrentState();
                double[] s = now.getPrimaryState();
                points.add(new Path.Point(
                        now.getTime(),
                        s[0],
                        s[1],
                        Math.max(0, Math.min(s[2], cast.depthM())),
                        index,
                        against == Against.BOTTOM));
            });
            return ode.integrate(this, new ODEState(from, at.clone()), to);
        }

        @Override
        public int getDimension() {
            return 3;
        }

        @Override
        public double[] computeDerivatives(double t, double[] s) {
            return moved(phase, against, s);
        }

        private double[] water(double[] s) {
            return velocity(phase, s);
        }

        /** A crossing that ends the leg. */
        private final class Watch implements ODEEventDetector {
            private final java.util.function.ToDoubleFunction<double[]> value;
            private final Stop stop;
            private final boolean rising;

            Watch(java.util.function.ToDoubleFunction<double[]> value, Stop stop, boolean rising) {
                this.value = value;
                this.stop = stop;
                this.rising = rising;
            }

            @Override
            public double g(ODEStateAndDerivative state) {
                return value.applyAsDouble(state.getPrimaryState());
            }

            @Override
            public ODEEventHandler getHandler() {
                return (state, detector, increasing) -> {
                    if (increasing != rising) {
                        return Action.CONTINUE;
                    }
                    stopped = stop;
                    return Action.STOP;
                };
            }

            @Override
            public AdaptableInterval getMaxCheckInterval() {
                return (state, forward) -> 0.25;
            }

            @Override
            public int getMaxIterationCount() {
                return 100;
            }

            @Override
            public BracketedUnivariateSolver<UnivariateFunction> getSolver() {
                return new BracketingNthOrderBrentSolver(0, 1e-9, 0, 5);
            }
        }
    }

    private static double speed(double[] v) {
        return Math.sqrt(v[0] * v[0] + v[1] * v[1] + v[2] * v[2]);
    }

    /** With the current, and down as fast as its weight and the line drawn after it let it. */
    private double[] free(double[] s) {
        double[] water = cast.runsMps(s[2]);
        double drag = lure.dragM2() + cast.drawnM2(s[2]);
        return new double[] {water[0], water[1], Math.sqrt(2 * lure.weightN() / (cast.water() * drag))};
    }

    /** Solves (u + q) . n = -V for the tension. */
    private double[] tight(double[] s, double reel) {
        double nx = s[0];
        double ny = s[1];
        double nz = s[2] + cast.rodTipM();
        double length = Math.sqrt(nx * nx + ny * ny + nz * nz);
        if (length == 0) {
            return new double[3];
        }
        nx /= length;
        ny /= length;
        nz /= length;
        double[] water = cast.runsMps(s[2]);
        double half = cast.water() * (lure.dragM2() + LINE_SWEPT * cast.line().sweptM2(length)) / 2;
        double along = water[0] * nx + water[1] * ny + reel;
        // what a current brings toward the rod is not drawn through the water, so it is not lifted either
        double drawn = Math.max(0, Math.min(reel, along));
        double down = lure.weightN() - 0.5 * cast.water() * lure.liftM2() * drawn * drawn;
        double tension = tension(down, nz, half, along);
        if (tension < 0) {
            return free(s);
        }
        double fx = -tension * nx;
        double fy = -tension * ny;
        double fz = down - tension * nz;
        double size = Math.sqrt(fx * fx + fy * fy + fz * fz);
        double share = size == 0 ? 0 : 1 / Math.sqrt(half * size);
        return new double[] {water[0] + fx * share, water[1] + fy * share, fz * share};
    }

    /**
     * T of: a / sqrt(half |F|) = -along, where a = W n_z - T is F along the line, b^2 = W^2 (1 - n_z^2) what is
     * across it, and |F|^2 = a^2 + b^2. Squared twice this is a^4 = k (a^2 + b^2) with k = half^2 along^4, a
     * quadratic in a^2. Below 0 where the line would have to push.
     */
    private static double tension(double weight, double nz, double half, double along) {
        double k = half * half * along * along * along * along;
        double across = weight * weight * Math.max(0, 1 - nz * nz);
        double a = Math.sqrt((k + Math.sqrt(k * k + 4 * k * across)) / 2);
        return weight * nz + (along > 0 ? a : -a);
    }
}
