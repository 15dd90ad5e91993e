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
 * How a lure moves. Inertia is left out: it is at its terminal speed within a hand's breadth. Weight down, tension T >= 0 along a straight line toward the rod tip and drag
 * -1/2 rho S |q| q balance at each moment, q the velocity relative to the water. On a tight line T is such that the velocity along the line is that at which line is taken in; where it
 * would have to be below 0 the line is slack and the lure falls free.
 */
public final class Motion {
    /** Under the rod. */
    public static final double HOME_M = 2;

    /** Drag area of a tight line swept sideways, by moments about the tip: 1.1 d l / 4. */
    private static final double LINE_SWEPT = 1.1 / 4;

    private static final double TOLERANCE = 1e-8;
    private static final double SMALLEST_STEP = 1e-9;
    private static final double LARGEST_STEP = 0.5;

    /** Slower than this along a taut line it hangs: it never gets nearer than it is. */
    private static final double HANGS_MPS = 1e-4;

    private final Lure lure;
    private final Cast cast;
    private final double uX;
    private final double uY;

    private Motion(Lure lure, Cast cast) {
        this.lure = lure;
        this.cast = cast;
        uX = Math.cos(Math.toRadians(cast.headingDeg()));
        uY = Math.sin(Math.toRadians(cast.headingDeg()));
    }

    /**
     * The path of a cast.
     *
     * @throws IllegalArgumentException where the lure floats
     */
    public static Path of(Lure lure, Cast cast, List<Phase> phases) {
        if (lure.floats()) {
            throw new IllegalArgumentException("it floats, expected a submerged weight above 0");
        }
        return new Motion(lure, cast).follow(phases);
    }

    private Path follow(List<Phase> phases) {
        List<Path.Point> points = new ArrayList<>();
        double[] at = {cast.castM(), 0, 0};
        double time = 0;
        boolean contact = false;
        points.add(new Path.Point(0, at[0], at[1], at[2], 0, false));
        for (int i = 0; i < phases.size(); i++) {
            Phase phase = phases.get(i);
            double end = Math.min(Path.LONGEST_SECONDS, time + phase.mostSeconds());
            contact = resting(phase, at);
            while (time < end && !over(phase, at, contact)) {
                Leg leg = new Leg(phase, i, contact);
                ODEStateAndDerivative reached = leg.run(time, at, end, points);
                time = reached.getTime();
                at = reached.getPrimaryState();
                if (leg.stopped == Stop.NOTHING || leg.stopped == Stop.OVER) {
                    break;
                }
                if (leg.stopped == Stop.BOTTOM) {
                    at[2] = cast.depthM();
                }
                contact = leg.stopped == Stop.BOTTOM && resting(phase, at);
                points.add(new Path.Point(time, at[0], at[1], at[2], i, contact));
            }
            if (time >= Path.LONGEST_SECONDS) {
                break;
            }
        }
        return new Path(points);
    }

    /** Whether it lies on the bottom: it is there and would go no higher. */
    private boolean resting(Phase phase, double[] at) {
        return at[2] >= cast.depthM() && velocity(phase, at)[2] >= 0;
    }

    private double[] velocity(Phase phase, double[] s) {
        return phase.slack() ? free(s) : tight(s, phase.reelMps());
    }

    private static boolean over(Phase phase, double[] at, boolean contact) {
        return (phase.endsOnBottom() && contact)
                || (phase instanceof Phase.ReelHome && Math.hypot(at[0], at[1]) <= HOME_M);
    }

    /** Why a leg ended. */
    private enum Stop {
        NOTHING,
        BOTTOM,
        OFF,
        OVER
    }

    /** A part of the path between events. */
    private final class Leg implements OrdinaryDifferentialEquation {
        private final Phase phase;
        private final int index;
        private final boolean contact;
        private Stop stopped = Stop.NOTHING;

        Leg(Phase phase, int index, boolean contact) {
            this.phase = phase;
            this.index = index;
            this.contact = contact;
        }

        ODEStateAndDerivative run(double from, double[] at, double to, List<Path.Point> points) {
            DormandPrince853Integrator ode =
                    new DormandPrince853Integrator(SMALLEST_STEP, LARGEST_STEP, TOLERANCE, TOLERANCE);
            if (contact) {
                ode.addEventDetector(new Watch(s -> water(s)[2], Stop.OFF, false));
            } else {
                ode.addEventDetector(new Watch(s -> s[2] - cast.depthM(), Stop.BOTTOM, true));
                ode.addEventDetector(new Watch(s -> s[2] + 1e-6, Stop.OVER, false));
            }
            if (phase instanceof Phase.ReelHome) {
                ode.addEventDetector(new Watch(s -> Math.hypot(s[0], s[1]) - HOME_M, Stop.OVER, false));
            }
            if (phase instanceof Phase.FallTight) {
                ode.addEventDetector(new Watch(s -> speed(water(s)) - HANGS_MPS, Stop.OVER, false));
            }
            ode.addStepHandler(interpolator -> {
                ODEStateAndDerivative now = interpolator.getCurrentState();
                double[] s = now.getPrimaryState();
                points.add(new Path.Point(now.getTime(), s[0], s[1], Math.min(s[2], cast.depthM()), index, contact));
            });
            return ode.integrate(this, new ODEState(from, at.clone()), to);
        }

        @Override
        public int getDimension() {
            return 3;
        }

        @Override
        public double[] computeDerivatives(double t, double[] s) {
            return contact ? onBottom(s) : water(s);
        }

        private double[] water(double[] s) {
            return velocity(phase, s);
        }

        /** Drawn over the bottom as fast as line is taken in; the current is none there. */
        private double[] onBottom(double[] s) {
            double out = Math.hypot(s[0], s[1]);
            double length = Math.hypot(out, s[2] + cast.rodTipM());
            double speed = out == 0 || phase.slack() ? 0 : phase.reelMps() * length / out;
            return out == 0 ? new double[3] : new double[] {-speed * s[0] / out, -speed * s[1] / out, 0};
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
        double current = cast.currentMps(s[2]);
        double drag = lure.dragM2() + cast.drawnPerMetre() * Math.max(0, s[2]);
        return new double[] {current * uX, current * uY, Math.sqrt(2 * lure.weightN() / (cast.water() * drag))};
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
        double current = cast.currentMps(s[2]);
        double half = cast.water() * (lure.dragM2() + LINE_SWEPT * cast.lineM() * length) / 2;
        double down = lure.weightN() - 0.5 * cast.water() * lure.liftM2() * reel * reel;
        double along = current * (uX * nx + uY * ny) + reel;
        double tension = tension(down, nz, half, along);
        if (tension < 0) {
            return free(s);
        }
        double fx = -tension * nx;
        double fy = -tension * ny;
        double fz = down - tension * nz;
        double size = Math.sqrt(fx * fx + fy * fy + fz * fz);
        double share = size == 0 ? 0 : 1 / Math.sqrt(half * size);
        return new double[] {current * uX + fx * share, current * uY + fy * share, fz * share};
    }

    /**
     * T of: (W n_z - T) / sqrt(half |F|) = -along, |F|^2 = W^2 - 2 W T n_z + T^2. The left side falls as T grows. Below 0 where the line would have to push.
     */
    private static double tension(double weight, double nz, double half, double along) {
        if (gap(weight, nz, half, along, 0) < 0) {
            return -1;
        }
        double low = 0;
        double high = Math.max(1e-6, Math.abs(weight) + half * along * along);
        while (gap(weight, nz, half, along, high) > 0) {
            high *= 2;
        }
        for (int i = 0; i < 60 && high - low > 1e-14 * high; i++) {
            double middle = (low + high) / 2;
            if (gap(weight, nz, half, along, middle) > 0) {
                low = middle;
            } else {
                high = middle;
            }
        }
        return (low + high) / 2;
    }

    private static double gap(double weight, double nz, double half, double along, double tension) {
        double size = Math.sqrt(Math.max(0, weight * weight - 2 * weight * tension * nz + tension * tension));
        return size == 0 ? along : (weight * nz - tension) / Math.sqrt(half * size) + along;
    }
}
