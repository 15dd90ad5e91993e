package dusk.ledger.cli;

import dusk.ledger.journal.Invalid;
import dusk.ledger.journal.ReadingBuilder;
import dusk.ledger.plan.PlanConditions;
import dusk.ledger.units.Length;
import dusk.ledger.units.Position;
import dusk.ledger.units.Speed;
import dusk.ledger.units.Temperature;
import dusk.ledger.vocabulary.Factor;
import dusk.ledger.vocabulary.Words;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The conditions of a plan as a JSON object whose keys are the ledger's columns, each optional. */
final class ConditionsFile {
    private static final List<String> WATER_KINDS = List.of("reservoir", "lake", "river", "canal", "estuary", "pond");

    private final Path file;
    private final JsonNode root;
    private final TreeSet<String> left;

    private ConditionsFile(Path file, JsonNode root) {
        this.file = file;
        this.root = root;
        left = new TreeSet<>(root.propertyNames());
    }

    /**
     * Reads it.
     *
     * @throws CommandFailure naming the key and what would be right
     */
    static PlanConditions read(Path file) throws CommandFailure, IOException {
        JsonNode root;
        try {
            root = JsonMapper.shared().readTree(Files.readString(file));
        } catch (JacksonException e) {
            throw new CommandFailure(file + ": this is not JSON: " + e.getOriginalMessage());
        }
        if (!root.isObject()) {
            throw new CommandFailure(file + ": expected one object, such as {\"water_temp_c\": 8}");
        }
        return new ConditionsFile(file, root).conditions();
    }

    private PlanConditions conditions() throws CommandFailure {
        Instant at = at();
        Double temperature = number("water_temp_c");
        Double air = number("air_temp_c");
        Double clarity = number("clarity_m");
        Double wind = number("wind_mps");
        Double current = number("current_mps");
        Double prey = number("forage_length_mm");
        Double depth = number("depth_m");
        Double fishDepth = number("fish_depth_m");
        Double latitude = number("latitude");
        Double longitude = number("longitude");
        if ((latitude == null) != (longitude == null)) {
            throw wrong(latitude == null ? "latitude" : "longitude", "both of latitude and longitude, or neither");
        }
        try {
            ReadingBuilder reading = PlanConditions.reading(at == null ? Instant.EPOCH : at)
                    .waterTemp(temperature == null ? null : Temperature.ofCelsius(temperature))
                    .airTemp(air == null ? null : Temperature.ofCelsius(air))
                    .clarity(metres(clarity))
                    .wind(wind == null ? null : Speed.ofMetresPerSecond(wind))
                    .current(current == null ? null : Speed.ofMetresPerSecond(current))
                    .forageLength(prey == null ? null : Length.ofMillimetres(prey))
                    .sky(word("sky", List.of()))
                    .levelTrend(word("level_trend", Words.closed("level_trend", "readings")))
                    .tide(word("tide", Words.closed("tide", "readings")))
                    .weather(word("weather", Words.closed("weather", "readings")))
                    .pressure(word("pressure", Words.closed("pressure", "readings")))
                    .forage(word("forage", List.of()))
                    .preyColour(word("prey_colour", List.of()));
            PlanConditions.At place = new PlanConditions.At(
                    word("structure", List.of()),
                    word("bottom", List.of()),
                    word("cover", List.of()),
                    metres(depth),
                    word("fish_position", List.of()),
                    metres(fishDepth));
            PlanConditions.Hour hour = new PlanConditions.Hour(
                    at,
                    latitude == null || longitude == null ? null : new Position(latitude, longitude),
                    word("light", Factor.LIGHT.order()),
                    word("season", Factor.SEASON.order()));
            PlanConditions.Who who = new PlanConditions.Who(
                    word("species", List.of()), word("water_kind", WATER_KINDS), yes("on_foot"), yes("toothed_fish"));
            if (!left.isEmpty()) {
                throw new CommandFailure(file + ": \"" + left.first() + "\" is not a condition of a plan");
            }
            return PlanConditions.of(reading.build(), place, hour, who);
        } catch (Invalid e) {
            Invalid.Problem first = e.problems().get(0);
            throw new CommandFailure(file + ": " + first.column() + ": " + first.message());
        } catch (IllegalArgumentException e) {
            throw new CommandFailure(file + ": " + e.getMessage());
        }
    }

    private CommandFailure wrong(String key, String expected) {
        return new CommandFailure(file + ": " + key + ": expected " + expected);
    }

    private @Nullable JsonNode value(String key) {
        left.remove(key);
        JsonNode value = root.get(key);
        return value == null || value.isNull() ? null : value;
    }

    private @Nullable Instant at() throws CommandFailure {
        JsonNode value = value("at");
        if (value == null) {
            return null;
        }
        try {
            return OffsetDateTime.parse(value.asString("")).toInstant();
        } catch (DateTimeException e) {
            throw wrong("at", "a time with its offset, like 2026-05-01T18:30+02:00");
        }
    }

    private @Nullable Double number(String key) throws CommandFailure {
        JsonNode value = value(key);
        if (value == null) {
            return null;
        }
        if (!value.isNumber()) {
            throw wrong(key, "a number, not " + value);
        }
        return value.doubleValue();
    }

    private @Nullable String word(String key, List<String> words) throws CommandFailure {
        JsonNode value = value(key);
        if (value == null) {
            return null;
        }
        if (!value.isString()) {
            throw wrong(key, "a word, not " + value);
        }
        if (!words.isEmpty() && !words.contains(value.stringValue())) {
            throw wrong(key, "one of " + String.join(", ", words) + ", not \"" + value.stringValue() + "\"");
        }
        return value.stringValue();
    }

    private boolean yes(String key) throws CommandFailure {
        JsonNode value = value(key);
        if (value != null && !value.isBoolean()) {
            throw wrong(key, "true or false, not " + value);
        }
        return value != null && value.booleanValue();
    }

    private static @Nullable Length metres(@Nullable Double metres) {
        return metres == null ? null : Length.ofMetres(metres);
    }
}
