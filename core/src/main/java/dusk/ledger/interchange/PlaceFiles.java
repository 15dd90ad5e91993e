package dusk.ledger.interchange;

import dusk.ledger.journal.Spot;
import dusk.ledger.units.Position;
import io.jenetics.jpx.GPX;
import io.jenetics.jpx.WayPoint;
import java.io.IOException;
import java.io.OutputStream;
import java.util.List;
import java.util.Objects;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Places with a position as GeoJSON (RFC 7946) and GPX 1.1; those without one are left out. */
public final class PlaceFiles {
    private PlaceFiles() {}

    public static void geoJson(List<Spot> places, OutputStream out) throws IOException {
        ObjectNode root = JsonMapper.shared().createObjectNode();
        root.put("type", "FeatureCollection");
        ArrayNode features = root.putArray("features");
        for (Spot place : places) {
            Position position = place.position();
            if (position != null) {
                ObjectNode feature = features.addObject();
                feature.put("type", "Feature");
                feature.put("id", place.id());
                ObjectNode point = feature.putObject("geometry");
                point.put("type", "Point");
                // longitude first, as the format has it
                point.putArray("coordinates").add(position.longitude()).add(position.latitude());
                ObjectNode properties = feature.putObject("properties");
                properties.put("name", place.label());
                properties.put("structure", place.structure());
                properties.put("bottom", place.bottom());
                properties.put("cover", place.cover());
                properties.put("water_id", place.waterId());
            }
        }
        out.write(JsonMapper.shared().writerWithDefaultPrettyPrinter().writeValueAsBytes(root));
    }

    public static void gpx(List<Spot> places, OutputStream out) throws IOException {
        GPX.Builder gpx = GPX.builder("Dusk Ledger");
        for (Spot place : places) {
            Position position = place.position();
            if (position != null) {
                WayPoint.Builder point = WayPoint.builder();
                String words = Stream.of(place.structure(), place.bottom(), place.cover())
                        .filter(Objects::nonNull)
                        .collect(Collectors.joining(", "));
                if (place.label() != null) {
                    point.name(place.label());
                }
                if (!words.isEmpty()) {
                    point.desc(words);
                }
                gpx.addWayPoint(point.build(position.latitude(), position.longitude()));
            }
        }
        GPX.Writer.of(GPX.Writer.Indent.SPACE2).write(gpx.build(), out);
    }
}
