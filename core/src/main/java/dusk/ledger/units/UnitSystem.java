package dusk.ledger.units;

/**
 * The units a person reads and types. Storage is always SI; this only turns values to text and back.
 *
 * @param headMass unit of heads and lures
 * @param fishMass unit of fish
 * @param lure unit of lures and fish lengths
 * @param depth unit of depths, clarity and distances on the water
 * @param temperature unit of water and air temperature
 * @param line unit of line strength
 * @param wind unit of wind
 * @param current unit of currents and of a boat's drift
 */
public record UnitSystem(
        Mass.Unit headMass,
        Mass.Unit fishMass,
        Length.Unit lure,
        Length.Unit depth,
        Temperature.Unit temperature,
        Force.Unit line,
        Speed.Unit wind,
        Speed.Unit current) {

    /** Grams, centimetres, metres, Celsius, kilograms. */
    public static final UnitSystem METRIC = new UnitSystem(
            Mass.Unit.GRAM,
            Mass.Unit.KILOGRAM,
            Length.Unit.CENTIMETRE,
            Length.Unit.METRE,
            Temperature.Unit.CELSIUS,
            Force.Unit.KILOGRAM_TEST,
            Speed.Unit.METRE_A_SECOND,
            Speed.Unit.METRE_A_SECOND);

    /** Ounces, inches, feet, Fahrenheit, pounds, miles an hour. */
    public static final UnitSystem US = new UnitSystem(
            Mass.Unit.OUNCE,
            Mass.Unit.POUND,
            Length.Unit.INCH,
            Length.Unit.FOOT,
            Temperature.Unit.FAHRENHEIT,
            Force.Unit.POUND_TEST,
            Speed.Unit.MILE_AN_HOUR,
            Speed.Unit.FOOT_A_SECOND);

    /** The same with wind and current in knots, as on tidal water. */
    public UnitSystem inKnots() {
        return new UnitSystem(headMass, fishMass, lure, depth, temperature, line, Speed.Unit.KNOT, Speed.Unit.KNOT);
    }
}
