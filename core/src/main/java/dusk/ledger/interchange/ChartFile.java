package dusk.ledger.interchange;

import dusk.ledger.units.Position;
import io.jenetics.jpx.GPX;
import io.jenetics.jpx.Track;
import io.jenetics.jpx.TrackSegment;
import io.jenetics.jpx.WayPoint;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * What a GPX 1.1 or GeoJSON (RFC 7946) file draws: points with their names, and lines, such as the bank of a water.
 *
 * @param lines each of two points or more; a bank that closes ends where it began
 */
public record ChartFile(List<Point> points, List<List<Position>> lines) {
    /** Far more than a bank needs to be recognised by. */
    public static final int MOST_POINTS = 20_000;

    /** @param name null where it has none */
    public record Point(@Nullable String name, Position position) {}

    /**
     * Reads one.
     *
     * @param name of the file
     * @throws Refused where it is neither, or anything in it cannot be
     */
    public static ChartFile read(String name, byte[] bytes) throws Refused {
        String start = new String(bytes, 0, Math.min(bytes.length, 200), StandardCharsets.UTF_8)
                .replace("\uFEFF", "")
                .strip();
        ChartFile read = new ChartFile(new ArrayList<>(), new ArrayList<>());
        if (start.startsWith("<")) {
            read.gpx(name, bytes);
        } else if (start.startsWith("{")) {
            read.geoJson(name, bytes);
        } else {
            throw refused(name, 0, "neither GPX nor GeoJSON, expected one of them");
        }
        int all = read.points.size() + read.lines.stream().mapToInt(List::size).sum();
        if (all > MOST_POINTS) {
            throw refused(name, 0, all + " points, expected " + MOST_POINTS + " at the most: draw it coarser");
        }
        if (all == 0) {
            throw refused(name, 0, "no point and no line in it, expected one at least");
        }
        return new ChartFile(List.copyOf(read.points), List.copyOf(read.lines));
    }

    private static Refused refused(String name, long line, String message) {
        return Refused.of(new Fault(name, line, "", message));
    }

    private void gpx(String name, byte[] bytes) throws Refused {
        if (new String(bytes, StandardCharsets.UTF_8).toUpperCase(Locale.ROOT).contains("<!DOCTYPE")) {
            throw refused(name, 0, "a document type in it, expected plain GPX");
        }
        try {
            GPX gpx = GPX.Reader.DEFAULT.read(new ByteArrayInputStream(bytes));
            gpx.wayPoints()
                    .forEach(point -> points.add(new Point(point.getName().orElse(null), position(point))));
            gpx.tracks()
                    .flatMap(Track::segments)
                    .map(TrackSegment::getPoints)
                    .forEach(segment ->
                            line(segment.stream().map(ChartFile::position).toList()));
            gpx.routes()
                    .forEach(route ->
                            line(route.points().map(ChartFile::position).toList()));
        } catch (IOException | RuntimeException e) {
            throw refused(name, 0, "no GPX that can be read, expected version 1.1 or 1.0");
        }
    }

    private static Position position(WayPoint point) {
        return new Position(
                point.getLatitude().doubleValue(), point.getLongitude().doubleValue());
    }

    private void line(List<Position> line) {
        if (line.size() > 1) {
            lines.add(List.copyOf(line));
        }
    }

    private void geoJson(String name, byte[] bytes) throws Refused {
        JsonNode root;
        try {
            root = JsonMapper.shared().readTree(bytes);
        } catch (JacksonException e) {
            long line =
                    e.getLocation() == null ? 0 : Math.max(0, e.getLocation().getLineNr());
            throw refused(name, line, "no JSON that can be read");
        }
        object(name, root, null);
    }

    private void object(String name, JsonNode node, @Nullable String called) throws Refused {
        String type = node.path("type").asString("");
        switch (type) {
            case "FeatureCollection" -> {
                for (JsonNode feature : node.path("features")) {
                    object(name, feature, null);
                }
            }
            case "Feature" -> {
                JsonNode label = node.path("properties").path("name");
                if (!node.path("geometry").isNull()) {
                    object(name, node.path("geometry"), label.isString() ? label.asString() : null);
                }
            }
            case "GeometryCollection" -> {
                for (JsonNode geometry : node.path("geometries")) {
                    object(name, geometry, called);
                }
            }
            case "Point" -> points.add(new Point(called, position(name, node.path("coordinates"))));
            case "MultiPoint" -> {
                for (JsonNode at : node.path("coordinates")) {
                    points.add(new Point(called, position(name, at)));
                }
            }
            case "LineString" -> line(name, node.path("coordinates"));
            case "MultiLineString", "Polygon" -> {
                for (JsonNode line : node.path("coordinates")) {
                    line(name, line);
                }
            }
            case "MultiPolygon" -> {
                for (JsonNode polygon : node.path("coordinates")) {
                    for (JsonNode ring : polygon) {
                        line(name, ring);
                    }
                }
            }
            default ->
                throw refused(
                        name,
                        0,
                        "“" + type + "” is no kind of GeoJSON, expected a point, a line, an area or a collection");
        }
    }

    private void line(String name, JsonNode coordinates) throws Refused {
        List<Position> line = new ArrayList<>();
        for (JsonNode at : coordinates) {
            line.add(position(name, at));
        }
        if (line.size() < 2) {
            throw refused(name, 0, "a line of " + line.size() + " points, expected two at least");
        }
        lines.add(List.copyOf(line));
    }

    /** Longitude first, as the format has it. */
    private static Position position(String name, JsonNode at) throws Refused {
        if (!at.isArray()
                || at.size() < 2
                || !at.get(0).isNumber()
                || !at.get(1).isNumber()) {
            throw refused(name, 0, at + " is no point, expected [longitude, latitude]");
        }
        try {
            return new Position(at.get(1).doubleValue(), at.get(0).doubleValue());
        } catch (IllegalArgumentException e) {
            throw refused(name, 0, at + " lies nowhere on earth, expected [longitude, latitude] in degrees");
        }
    }

    /** Its lines as one GeoJSON geometry. */
    public String outline() {
        var root = JsonMapper.shared().createObjectNode();
        root.put("type", "MultiLineString");
        var all = root.putArray("coordinates");
        for (List<Position> line : lines) {
            var one = all.addArray();
            line.forEach(p -> one.addArray().add(p.longitude()).add(p.latitude()));
        }
        return JsonMapper.shared().writeValueAsString(root);
    }
}
