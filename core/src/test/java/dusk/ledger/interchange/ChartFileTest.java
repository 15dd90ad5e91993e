package dusk.ledger.interchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dusk.ledger.journal.SpotBuilder;
import dusk.ledger.units.Position;
import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class ChartFileTest {
    private static ChartFile read(String text) throws Refused {
        return ChartFile.read("bank.geojson", text.getBytes(StandardCharsets.UTF_8));
    }

    @ParameterizedTest
    @ValueSource(booleans = {true, false})
    void whatIsWrittenIsRead(boolean gpx) throws Exception {
        var place = SpotBuilder.builder()
                .id("a")
                .waterId("lake")
                .label("Kiln Point")
                .position(new Position(44.5, -14.25))
                .build();
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        if (gpx) {
            PlaceFiles.gpx(List.of(place), out);
        } else {
            PlaceFiles.geoJson(List.of(place), out);
        }
        assertThat(ChartFile.read("f", out.toByteArray()).points())
                .containsExactly(new ChartFile.Point("Kiln Point", new Position(44.5, -14.25)));
    }

    @Test
    void areasLinesAndCollectionsAreLines() throws Exception {
        ChartFile read = read("""
                {"type": "FeatureCollection", "features": [
                  {"type": "Feature", "properties": {"name": "bank"}, "geometry":
                    {"type": "Polygon", "coordinates": [[[1, 2], [3, 2], [3, 4], [1, 2]], [[1.5, 2.5], [1.6, 2.5], [1.5, 2.5]]]}},
                  {"type": "Feature", "properties": null, "geometry":
                    {"type": "GeometryCollection", "geometries": [
                      {"type": "LineString", "coordinates": [[0, 0], [1, 1, 30]]},
                      {"type": "MultiPoint", "coordinates": [[5, 6]]}]}},
                  {"type": "Feature", "properties": {}, "geometry": null}]}""");
        assertThat(read.lines()).hasSize(3);
        assertThat(read.lines().get(0)).hasSize(4).startsWith(new Position(2, 1));
        assertThat(read.points()).containsExactly(new ChartFile.Point(null, new Position(6, 5)));
        assertThat(read(read.outline()).lines()).as("as it is kept").isEqualTo(read.lines());
    }

    @Test
    void aTrackIsALine() throws Exception {
        ChartFile read =
                read("<gpx version=\"1.1\" creator=\"x\" xmlns=\"http://www.topografix.com/GPX/1/1\"><trk><trkseg>"
                        + "<trkpt lat=\"44\" lon=\"-14\"/><trkpt lat=\"44.1\" lon=\"-14.1\"/></trkseg></trk></gpx>");
        assertThat(read.lines()).containsExactly(List.of(new Position(44, -14), new Position(44.1, -14.1)));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '`',
            value = {
                "`` | bank.geojson: neither GPX nor GeoJSON, expected one of them",
                "place,lat,lon | bank.geojson: neither GPX nor GeoJSON, expected one of them",
                "{\"type\": | bank.geojson:1: no JSON that can be read",
                "{} | bank.geojson: “” is no kind of GeoJSON, expected a point, a line, an area or a collection",
                "{\"type\": \"Topology\"} | bank.geojson: “Topology” is no kind of GeoJSON, expected a point, a line, an area or a collection",
                "{\"type\": \"Point\", \"coordinates\": [200, 1]} | bank.geojson: [200,1] lies nowhere on earth, expected [longitude, latitude] in degrees",
                "{\"type\": \"Point\", \"coordinates\": [\"a\", 1]} | bank.geojson: [\"a\",1] is no point, expected [longitude, latitude]",
                "{\"type\": \"LineString\", \"coordinates\": [[1, 1]]} | bank.geojson: a line of 1 points, expected two at least",
                "{\"type\": \"FeatureCollection\", \"features\": []} | bank.geojson: no point and no line in it, expected one at least",
                "<gpx> | bank.geojson: no GPX that can be read, expected version 1.1 or 1.0",
                "<!DOCTYPE gpx [<!ENTITY a \"b\">]><gpx>&a;</gpx> | bank.geojson: a document type in it, expected plain GPX",
            })
    void whatCannotBeIsRefusedWithWhatWouldBe(String text, String message) {
        assertThatThrownBy(() -> read(text)).isInstanceOf(Refused.class).hasMessage(message);
    }

    @Test
    void aBankOfTooManyPointsIsRefused() {
        StringBuilder line = new StringBuilder("{\"type\": \"LineString\", \"coordinates\": [[0, 0]");
        for (int i = 0; i < ChartFile.MOST_POINTS; i++) {
            line.append(",[0,").append(i % 80).append(']');
        }
        assertThatThrownBy(() -> read(line + "]}"))
                .hasMessage("bank.geojson: 20001 points, expected 20000 at the most: draw it coarser");
    }

    /** A sound file with bytes of it changed is read or refused, and nothing else. */
    @Test
    void aSpoiltFileIsReadOrRefused() {
        byte[] sound =
                ("{\"type\": \"FeatureCollection\", \"features\": [{\"type\": \"Feature\", \"properties\": {\"name\": \"a\"},"
                                + " \"geometry\": {\"type\": \"Polygon\", \"coordinates\": [[[1, 2], [3, 2], [3, 4], [1, 2]]]}}]}")
                        .getBytes(StandardCharsets.UTF_8);
        Random random = new Random(5);
        int refused = 0;
        for (int i = 0; i < 3000; i++) {
            byte[] spoilt = sound.clone();
            for (int k = random.nextInt(4); k >= 0; k--) {
                spoilt[random.nextInt(spoilt.length)] = (byte) random.nextInt(32, 127);
            }
            try {
                ChartFile.read("f", spoilt);
            } catch (Refused e) {
                refused++;
                assertThat(e.getMessage()).startsWith("f");
            }
        }
        assertThat(refused).isBetween(500, 2999);
    }
}
