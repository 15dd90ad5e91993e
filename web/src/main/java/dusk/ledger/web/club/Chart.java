package dusk.ledger.web.club;

import dusk.ledger.journal.Spot;
import dusk.ledger.places.Plane;
import dusk.ledger.stints.Codes;
import dusk.ledger.stints.StintTable;
import dusk.ledger.units.Figures;
import dusk.ledger.units.Length;
import dusk.ledger.units.Position;
import dusk.ledger.units.UnitSystem;
import dusk.ledger.vocabulary.Factor;
import dusk.ledger.web.portrait.Svg;
import dusk.ledger.web.words.PlaceWords;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;

/**
 * A plain sketch of a water: its bank where the club brought one, and its places by where they are, with depth by tone,
 * effort by the ring and fish by what fills it. North is up.
 *
 * @param places those of the water, as their reader sees them
 * @param bank lines of positions; empty where there is none
 */
record Chart(List<Marked> places, List<List<Position>> bank, Position centre, double metresAPoint) {
    private static final double WIDTH = 640;
    private static final double HEIGHT = 420;
    private static final double EDGE = 46;

    /** A single place has so much water drawn around it. */
    private static final double LEAST_SPAN_M = 400;

    private static final double LEAST_RING = 7;
    private static final double MOST_RING = 22;
    private static final double SCALE_SHARE = 0.25;

    /** Widths of a letter and a line of names, as they are on a phone, where they are largest. */
    private static final double LETTER = 8.6;

    private static final double LINE = 16;

    /**
     * A place with what was fished there.
     *
     * @param depthBand from 0, the shallowest; -1 where no depth is known
     * @param depth in words; empty where none is known
     */
    record Marked(Spot spot, String words, int depthBand, String depth, double hours, int fish, boolean mine) {}

    /** Effort, fish and depth of places, by what a table holds of them. */
    static List<Marked> marked(List<Spot> spots, StintTable table, @Nullable String angler) {
        Codes of = table.codes(Factor.SPOT);
        Codes depths = table.codes(Factor.DEPTH);
        List<String> bands = Factor.DEPTH.order();
        int[] landed = table.fish(null, null);
        Map<Integer, double[]> byBand = new HashMap<>();
        Map<Integer, double[]> sums = new HashMap<>();
        for (int row = 0; row < table.size(); row++) {
            double[] sum = sums.computeIfAbsent(of.at(row), k -> new double[2]);
            sum[0] += table.rodHours(row);
            sum[1] += landed[row];
            int band = bands.indexOf(depths.level(row));
            if (band >= 0) {
                byBand.computeIfAbsent(of.at(row), k -> new double[bands.size()])[band] += table.rodHours(row);
            }
        }
        List<Marked> marked = new ArrayList<>();
        for (Spot spot : spots) {
            int code = of.codeOf(spot.id());
            double[] sum = sums.getOrDefault(code, new double[2]);
            int band = code < 0 ? -1 : most(byBand.get(code));
            boolean mine = spot.keptBy() != null && spot.keptBy().equals(angler);
            marked.add(new Marked(
                    spot,
                    PlaceWords.of(spot),
                    band,
                    band < 0 ? "" : bands.get(band),
                    code < 0 ? 0 : sum[0],
                    code < 0 ? 0 : (int) sum[1],
                    mine));
        }
        return marked;
    }

    private static int most(double @Nullable [] hours) {
        int most = -1;
        for (int band = 0; hours != null && band < hours.length; band++) {
            if (hours[band] > 0 && (most < 0 || hours[band] > hours[most])) {
                most = band;
            }
        }
        return most;
    }

    /** Laid so that all of it is seen; null where there is nothing with a position. */
    static @Nullable Chart of(List<Marked> places, List<List<Position>> bank, @Nullable Position water) {
        List<Position> all = new ArrayList<>();
        places.stream().map(p -> p.spot().position()).filter(Objects::nonNull).forEach(all::add);
        bank.forEach(all::addAll);
        if (all.isEmpty() && water == null) {
            return null;
        }
        Position first = all.isEmpty() ? Objects.requireNonNull(water) : all.get(0);
        Plane rough = new Plane(first);
        double west = 0;
        double east = 0;
        double south = 0;
        double north = 0;
        for (Position one : all) {
            west = Math.min(west, rough.east(one));
            east = Math.max(east, rough.east(one));
            south = Math.min(south, rough.north(one));
            north = Math.max(north, rough.north(one));
        }
        double wide = Math.max(east - west, LEAST_SPAN_M) / (WIDTH - 2 * EDGE);
        double high = Math.max(north - south, LEAST_SPAN_M) / (HEIGHT - 2 * EDGE);
        return new Chart(places, bank, rough.at((west + east) / 2, (south + north) / 2), Math.max(wide, high));
    }

    private double x(Position position) {
        return WIDTH / 2 + new Plane(centre).east(position) / metresAPoint;
    }

    private double y(Position position) {
        return HEIGHT / 2 - new Plane(centre).north(position) / metresAPoint;
    }

    private double ring(Marked place, double mostHours) {
        return mostHours <= 0
                ? LEAST_RING
                : LEAST_RING + (MOST_RING - LEAST_RING) * Math.sqrt(place.hours() / mostHours);
    }

    /** Drawn. A reader's own places can be taken hold of. */
    String svg(String water, UnitSystem units) {
        double mostHours = places.stream().mapToDouble(Marked::hours).max().orElse(0);
        double mostRate = places.stream()
                .filter(p -> p.hours() > 0)
                .mapToDouble(p -> p.fish() / p.hours())
                .max()
                .orElse(0);
        Plane plane = new Plane(centre);
        Position corner = plane.at(metresAPoint, metresAPoint);
        Svg svg = new Svg()
                .add(
                        "<svg class=\"chart\" viewBox=\"0 0 %.0f %.0f\" role=\"img\" aria-label=\"%s\""
                                + " data-latitude=\"%.7f\" data-longitude=\"%.7f\" data-north=\"%.10f\" data-east=\"%.10f\">",
                        WIDTH,
                        HEIGHT,
                        Svg.escape("Sketch of " + water + ": " + places.size()
                                + (places.size() == 1 ? " place" : " places") + ", north up"),
                        centre.latitude(),
                        centre.longitude(),
                        corner.latitude() - centre.latitude(),
                        corner.longitude() - centre.longitude())
                .add("<rect class=\"chart-ground\" width=\"%.0f\" height=\"%.0f\"/>", WIDTH, HEIGHT);
        for (List<Position> line : bank) {
            StringBuilder path = new StringBuilder();
            line.forEach(p -> path.append(Svg.data("%s%.1f %.1f", path.isEmpty() ? "M" : "L", x(p), y(p))));
            boolean closed = line.size() > 2 && line.get(0).equals(line.get(line.size() - 1));
            svg.add("<path class=\"%s\" d=\"%s%s\"/>", closed ? "chart-water" : "chart-bank", path, closed ? "Z" : "");
        }
        List<double[]> taken = new ArrayList<>();
        for (Marked place : places) {
            Position position = place.spot().position();
            if (position != null) {
                double ring = ring(place, mostHours);
                taken.add(
                        new double[] {x(position) - ring, y(position) - ring, x(position) + ring, y(position) + ring});
            }
        }
        for (Marked place : places) {
            Position position = place.spot().position();
            if (position != null) {
                mark(svg, place, x(position), y(position), ring(place, mostHours), mostRate, taken);
            }
        }
        scale(svg, units);
        svg.add("<path class=\"chart-north\" d=\"M%.0f 44V16m-6 9 6-10 6 10\"/>", WIDTH - 26)
                .label("chart-words", WIDTH - 31, 58, "N");
        return svg.add("</svg>").toString();
    }

    private static void mark(
            Svg svg, Marked place, double x, double y, double ring, double mostRate, List<double[]> taken) {
        double rate = place.hours() > 0 ? place.fish() / place.hours() : 0;
        double filled = mostRate <= 0 ? 0 : (ring - 2) * Math.sqrt(rate / mostRate);
        svg.add(
                        "<g class=\"chart-place%s\" data-place=\"%s\" transform=\"translate(%.1f %.1f)\"><title>%s</title>",
                        place.mine() ? " chart-mine" : "",
                        Svg.escape(place.spot().id()),
                        x,
                        y,
                        Svg.escape(place.words()))
                .add(
                        "<circle class=\"chart-depth %s\" r=\"%.1f\"/>",
                        place.depthBand() < 0 ? "chart-depth-unknown" : "chart-depth-" + place.depthBand(), ring);
        if (filled > 0) {
            svg.add("<circle class=\"chart-fish\" r=\"%.1f\"/>", filled);
        }
        String name =
                place.spot().label() == null ? place.words() : place.spot().label();
        double[] at = beside(x, y, ring, name.length() * LETTER, taken);
        svg.label("chart-words", at[0] - x, at[1] - y, name).add("</g>");
    }

    /** Where a name stands beside its mark: the first of six places where it lies over no other name or mark. */
    private static double[] beside(double x, double y, double ring, double wide, List<double[]> taken) {
        double[][] tries = {
            {x + ring + 4, y + 5},
            {x - ring - 4 - wide, y + 5},
            {x - wide / 2, y - ring - 5},
            {x - wide / 2, y + ring + LINE},
            {x + ring + 4, y - LINE},
            {x + ring + 4, y + LINE + 5}
        };
        for (double[] at : tries) {
            double[] box = {at[0], at[1] - LINE, at[0] + wide, at[1] + 3};
            boolean free = box[0] >= 0
                    && box[2] <= WIDTH
                    && box[1] >= 0
                    && taken.stream().noneMatch(t -> t[0] < box[2] && box[0] < t[2] && t[1] < box[3] && box[1] < t[3]);
            if (free) {
                taken.add(box);
                return at;
            }
        }
        return tries[0];
    }

    private void scale(Svg svg, UnitSystem units) {
        boolean feet = units.depth() == Length.Unit.FOOT;
        double unit = feet ? 1 / Length.ofMetres(1).in(Length.Unit.FOOT) : 1;
        double round = Plane.round(WIDTH * SCALE_SHARE * metresAPoint / unit);
        double wide = round * unit / metresAPoint;
        String words = !feet && round >= 1000
                ? Figures.trimmed(round / 1000, 1) + " km"
                : Figures.trimmed(round, 0) + (feet ? " ft" : " m");
        svg.add("<path class=\"chart-scale\" d=\"M16 %.0fv6h%.1fv-6\"/>", HEIGHT - 22, wide)
                .label("chart-words", 16, HEIGHT - 28, words);
    }
}
