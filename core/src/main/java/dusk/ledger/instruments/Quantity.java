package dusk.ledger.instruments;

import dusk.ledger.journal.Bounds;

/**
 * What instruments measure, in the unit of its name; what it can be at all, and how fast it can change. The limits of
 * quantities that the record has too are the record's own ({@link Bounds}).
 */
public enum Quantity {
    LATITUDE_DEG("position", "°", Bounds.of("latitude", "spots").orElseThrow(), 0.0004, 0.001),
    LONGITUDE_DEG("position", "°", Bounds.of("longitude", "spots").orElseThrow(), 0.0008, 0.002),
    DEPTH_M("depth", " m", 0.1, 500, 5, 4),
    WATER_TEMP_C(
            "water temperature", " °C", Bounds.of("water_temp_c", "readings").orElseThrow(), 0.02, 1.5),
    /** Over ground. */
    SPEED_MPS("speed", " m/s", 0, 40, 5, 5),
    /** Over ground, clockwise from true north. */
    COURSE_DEG("course", "°", 0, 360),
    /** Through the water. */
    WATER_SPEED_MPS("speed through the water", " m/s", 0, 40, 5, 5),
    /** Where the bow points, clockwise from true north. */
    HEADING_DEG("heading", "°", 0, 360),
    WIND_MPS("wind", " m/s", Bounds.of("wind_mps", "readings").orElseThrow(), 10, 15),
    /** Where it comes from, clockwise from true north. */
    WIND_FROM_DEG("wind direction", "°", 0, 360),
    LEVEL_M("level", " m", -20, 500, 0.002, 0.3),
    FLOW_M3PS("flow", " m³/s", 0, 50_000, 50, 200),
    CLARITY_M("clarity", " m", Bounds.of("clarity_m", "readings").orElseThrow(), 0.01, 2),
    AIR_TEMP_C("air temperature", " °C", Bounds.of("air_temp_c", "readings").orElseThrow(), 0.05, 5),
    AIR_PRESSURE_HPA(
            "air pressure", " hPa", Bounds.of("air_pressure_hpa", "readings").orElseThrow(), 0.05, 5),
    LENGTH_MM("length", " mm", Bounds.of("length_mm", "catches").orElseThrow());

    private final String word;
    private final String unit;
    private final double least;
    private final double most;
    private final double fastest;
    private final double slack;

    Quantity(String word, String unit, Bounds.Range range) {
        this(word, unit, range.least(), range.most());
    }

    Quantity(String word, String unit, Bounds.Range range, double fastest, double slack) {
        this(word, unit, range.least(), range.most(), fastest, slack);
    }

    /** Of what may turn or follow another freely. */
    Quantity(String word, String unit, double least, double most) {
        this(word, unit, least, most, Double.POSITIVE_INFINITY, 0);
    }

    Quantity(String word, String unit, double least, double most, double fastest, double slack) {
        this.word = word;
        this.unit = unit;
        this.least = least;
        this.most = most;
        this.fastest = fastest;
        this.slack = slack;
    }

    /** As an angler calls it. */
    public String word() {
        return word;
    }

    /** The unit's symbol, with the space before it where it has one. */
    public String unit() {
        return unit;
    }

    /** Whether it says where the boat is, which is for those aboard only. */
    public boolean places() {
        return this == LATITUDE_DEG || this == LONGITUDE_DEG;
    }

    /** Whether it can be that at all. */
    boolean holds(double value) {
        return value >= least && value <= most;
    }

    /**
     * Whether it can have gone from one value to another in that time.
     *
     * @param seconds between them
     */
    boolean follows(double from, double to, double seconds) {
        return fastest == Double.POSITIVE_INFINITY || Math.abs(to - from) <= slack + fastest * Math.max(0, seconds);
    }
}
