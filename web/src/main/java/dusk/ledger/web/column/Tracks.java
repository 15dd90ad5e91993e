package dusk.ledger.web.column;

import dusk.ledger.water.Path;
import dusk.ledger.web.portrait.Svg;
import java.util.ArrayList;
import java.util.List;

/** The paths of lures on the elevation, with a mark each second; and the same from above. */
final class Tracks {
    private static final double NUMBERS_APART = 34;
    private static final double ROOM_FOR_NUMBERS = 26;

    private final Elevation water;
    private final Svg svg;

    Tracks(Elevation water, Svg svg) {
        this.water = water;
        this.svg = svg;
    }

    void draw(Scene.Track track, int order) {
        Path path = track.path();
        String fall = line(path, p -> p.phase() == 0, false);
        String home = line(path, p -> p.phase() > 0, false);
        svg.add(
                "<path class=\"water-path home %s\" d=\"%s\"/><path class=\"water-path fall %s\" d=\"%s\"/>",
                track.look(), home, track.look(), fall);
        String contact = line(path, Path.Point::contact, true);
        if (!contact.isEmpty()) {
            svg.add("<path class=\"water-contact\" d=\"%s\"/>", contact);
        }
        seconds(track, order);
    }

    private interface Which {
        boolean is(Path.Point point);
    }

    /** Path data of the points that are of a kind, each with the one before it. */
    private String line(Path path, Which which, boolean both) {
        StringBuilder data = new StringBuilder();
        boolean drawing = false;
        double lastX = 0;
        double lastY = 0;
        for (int i = 1; i < path.points().size(); i++) {
            Path.Point a = path.points().get(i - 1);
            Path.Point b = path.points().get(i);
            boolean draw = which.is(b) && (!both || which.is(a));
            if (draw && !drawing) {
                data.append(Svg.data("M%.1f,%.1f", water.x(a.x()), water.y(a.z())));
                lastX = water.x(a.x());
                lastY = water.y(a.z());
            }
            boolean last =
                    i + 1 == path.points().size() || !which.is(path.points().get(i + 1));
            if (draw && (last || Math.hypot(water.x(b.x()) - lastX, water.y(b.z()) - lastY) > 1)) {
                data.append(Svg.data("L%.1f,%.1f", water.x(b.x()), water.y(b.z())));
                lastX = water.x(b.x());
                lastY = water.y(b.z());
            }
            drawing = draw;
        }
        return data.toString();
    }

    /** A mark each second, a bigger one each fifth, numbered where there is room. */
    private void seconds(Scene.Track track, int order) {
        List<double[]> numbers = new ArrayList<>();
        Path.Point down = track.path().at(track.fallSeconds());
        StringBuilder small = new StringBuilder();
        int each = apart(track.path()) < 3 ? 5 : 1;
        for (int second = each; second < track.path().last().seconds(); second += each) {
            Path.Point at = track.path().at(second);
            double px = water.x(at.x());
            double py = water.y(at.z());
            if (second % 5 != 0) {
                small.append(Svg.data("M%.1f,%.1fh0", px, py));
                continue;
            }
            svg.add(
                    "<circle class=\"water-second\" cx=\"%.1f\" cy=\"%.1f\" r=\"%.1f\"/>",
                    px, py, order == 0 ? 3.4 : 2.4);
            boolean clear = Math.hypot(px - water.x(down.x()), py - water.y(down.z())) > NUMBERS_APART;
            boolean room = clear && numbers.stream().noneMatch(n -> Math.hypot(n[0] - px, n[1] - py) < NUMBERS_APART);
            if (order == 0 && room) {
                numbers.add(new double[] {px, py});
                boolean falling = at.phase() == 0 || water.ask.depthM() * water.scale < ROOM_FOR_NUMBERS;
                svg.label("water-number", px + (falling ? 6 : -4), py + (falling ? 4 : -7), String.valueOf(second));
            }
        }
        svg.add("<path class=\"water-second small\" d=\"%s\"/>", small);
    }

    /** Pixels that a second takes on the mean. */
    private double apart(Path path) {
        double length = 0;
        for (int i = 1; i < path.points().size(); i++) {
            Path.Point a = path.points().get(i - 1);
            Path.Point b = path.points().get(i);
            length += Math.hypot(b.x() - a.x(), b.z() - a.z());
        }
        return length * water.scale / Math.max(1, path.last().seconds());
    }

    void fromAbove(double wide, double from, double leftM) {
        double middle = from + (0.5 - leftM) * water.scale;
        svg.label("water-word", Elevation.LEFT, from - 2, "from above");
        svg.add("<path class=\"water-line\" d=\"M%.1f,%.1f H%.1f\"/>", water.x(0), middle, wide - Elevation.RIGHT);
        for (int i = water.scene.tracks().size() - 1; i >= 0; i--) {
            Scene.Track track = water.scene.tracks().get(i);
            StringBuilder data = new StringBuilder();
            for (Path.Point p : track.path().points()) {
                data.append(Svg.data(
                        "%s%.1f,%.1f", data.isEmpty() ? "M" : "L", water.x(p.x()), middle + p.y() * water.scale));
            }
            String look = i == 0
                    ? "main"
                    : track.of().letter() == 'A'
                            ? "other"
                            : "beside-" + track.of().letter();
            svg.add("<path class=\"water-path fall %s\" d=\"%s\"/>", track.look(), data);
            Path.Point landed = track.path().at(track.fallSeconds());
            svg.add(
                    "<circle class=\"water-second\" cx=\"%.1f\" cy=\"%.1f\" r=\"3.4\"/>",
                    water.x(landed.x()), middle + landed.y() * water.scale);
        }
    }
}
