package dusk.ledger.instruments;

import java.time.DateTimeException;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * A report in JSON, of a river gauge or a weather station: one object, {@code at} when it was measured as an ISO instant,
 * and a number for each quantity that it has, by its name and unit.
 */
public final class Report implements Language {
    /** A river gauge's. */
    public static final Report GAUGE = new Report(Map.of(
            "level_m", Quantity.LEVEL_M,
            "flow_m3ps", Quantity.FLOW_M3PS,
            "clarity_m", Quantity.CLARITY_M,
            "water_temp_c", Quantity.WATER_TEMP_C));

    /** A weather station's. */
    public static final Report STATION = new Report(Map.of(
            "wind_mps", Quantity.WIND_MPS,
            "wind_from_deg", Quantity.WIND_FROM_DEG,
            "air_temp_c", Quantity.AIR_TEMP_C,
            "air_pressure_hpa", Quantity.AIR_PRESSURE_HPA));

    /** Clocks differ by a little; what comes from later than that is of no use. */
    private static final Duration FAST_CLOCK = Duration.ofMinutes(2);

    private final Map<String, Quantity> fields;

    private Report(Map<String, Quantity> fields) {
        this.fields = fields;
    }

    @Override
    public Heard hear(String text, Instant at) {
        JsonNode root;
        try {
            root = JsonMapper.shared().readTree(text);
        } catch (JacksonException e) {
            return new Heard.Garbled("no JSON");
        }
        if (!root.isObject()) {
            return new Heard.Garbled("no JSON object");
        }
        Instant measured;
        try {
            measured = Instant.parse(root.path("at").asString(""));
        } catch (DateTimeException e) {
            return new Heard.Garbled("no “at” that is a moment such as 2026-05-04T17:20:00Z");
        }
        if (measured.isAfter(at.plus(FAST_CLOCK))) {
            return new Heard.Garbled("an “at” that is still to come; its clock or ours is wrong");
        }
        List<Sample> samples = new ArrayList<>();
        for (Map.Entry<String, Quantity> field : fields.entrySet()) {
            JsonNode value = root.path(field.getKey());
            if (value.isNumber()) {
                samples.add(new Sample(field.getValue(), value.asDouble(), measured));
            } else if (!value.isMissingNode() && !value.isNull()) {
                return new Heard.Garbled("“" + field.getKey() + "” that is no number");
            }
        }
        return samples.isEmpty() ? new Heard.Garbled("none of the quantities") : new Heard.Values(samples);
    }
}
