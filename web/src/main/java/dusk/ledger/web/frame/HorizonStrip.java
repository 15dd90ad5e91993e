package dusk.ledger.web.frame;

import dusk.ledger.light.Light;
import dusk.ledger.light.Sun;
import dusk.ledger.units.Position;
import dusk.ledger.web.portrait.Svg;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;

/**
 * A thin band of a day's light at a water, with the sun's path, now, and on a trip's page what was fished and landed.
 *
 * @param svg the picture; lengths are shares of its width, so that it fits any page
 * @param words the same in words
 * @param light what light it is now and for how long yet, such as {@code dusk, 22 min left}; empty on another day
 */
public record HorizonStrip(String svg, String words, String light) {
    private static final DateTimeFormatter HOUR = DateTimeFormatter.ofPattern("HH:mm", Locale.ROOT);
    private static final double HIGHEST_DEG = 90;

    /** A stint on the strip. */
    public record Span(Instant from, Instant to) {}

    /** What lies on the strip of a trip. */
    public record Marks(List<Span> stints, List<Instant> fish) {
        public static final Marks NONE = new Marks(List.of(), List.of());
    }

    /**
     * Draws a day.
     *
     * @param now drawn where it falls on the day; null for none
     */
    static HorizonStrip draw(
            String water, LocalDate date, ZoneId zone, Position where, @Nullable Instant now, Marks marks) {
        List<Sun.Moment> course = Sun.course(date, zone, where);
        Span day = new Span(course.get(0).at(), course.get(course.size() - 1).at());
        Sun.Day almanac = Sun.day(date, zone, where);
        String words = words(water, date, zone, almanac, now, where);
        Svg svg = new Svg();
        svg.add("<svg class=\"strip\" role=\"img\" aria-label=\"%s\">", Svg.escape(words));
        bands(svg, course, day);
        path(svg, course);
        marks(svg, day, marks);
        String light = "";
        if (now != null && !now.isBefore(day.from()) && now.isBefore(day.to())) {
            svg.add("<rect class=\"strip-now\" x=\"%.2f%%\" y=\"-2\" width=\"4\" height=\"110%%\"/>", share(now, day));
            light = light(now, where);
        }
        return new HorizonStrip(svg.add("</svg>").toString(), words, light);
    }

    /** The light of now, and how long it lasts. */
    private static String light(Instant now, Position where) {
        Light light = Sun.lightAt(now, where);
        Instant end = Sun.lightEnds(now, where);
        return end == null
                ? light.word() + " all day"
                : light.word() + ", " + left(Duration.between(now, end)) + " left";
    }

    private static String left(Duration left) {
        return left.toMinutes() < 100 ? left.toMinutes() + " min" : Math.round(left.toMinutes() / 60.0) + " h";
    }

    /** The light of a day and what was fished in it, small enough for a line of a list: its words stand beside it. */
    static String small(List<Sun.Moment> course, Marks marks) {
        Span day = new Span(course.get(0).at(), course.get(course.size() - 1).at());
        Svg svg = new Svg().add("<svg class=\"strip small-strip\" aria-hidden=\"true\">");
        bands(svg, course, day);
        marks(svg, day, marks);
        return svg.add("</svg>").toString();
    }

    private static void marks(Svg svg, Span day, Marks marks) {
        for (Span stint : marks.stints()) {
            double from = share(stint.from(), day);
            double wide = Math.max(0.3, share(stint.to(), day) - from);
            svg.add(
                    "<rect class=\"strip-stint\" x=\"%.2f%%\" y=\"68%%\" width=\"%.2f%%\" height=\"14%%\"/>",
                    from, wide);
        }
        for (Instant fish : marks.fish()) {
            svg.add("<circle class=\"strip-fish\" cx=\"%.2f%%\" cy=\"75%%\" r=\"4\"/>", share(fish, day));
        }
    }

    private static void bands(Svg svg, List<Sun.Moment> course, Span day) {
        int from = 0;
        for (int i = 1; i < course.size(); i++) {
            boolean last = i == course.size() - 1;
            if (last || course.get(i).light() != course.get(from).light()) {
                double start = share(course.get(from).at(), day);
                double end = share(course.get(i).at(), day);
                svg.add(
                        "<rect class=\"light-%s\" x=\"%.2f%%\" y=\"0\" width=\"%.2f%%\" height=\"100%%\"/>",
                        word(course.get(from).light()), start, end - start + 0.05);
                from = i;
            }
        }
    }

    private static String word(Light light) {
        return light.word().replace(' ', '-');
    }

    /** The horizon is the middle line. */
    private static void path(Svg svg, List<Sun.Moment> course) {
        svg.add("<svg viewBox=\"0 0 %d 100\" preserveAspectRatio=\"none\">", course.size() - 1);
        svg.add("<line class=\"strip-horizon\" x1=\"0\" x2=\"%d\" y1=\"50\" y2=\"50\"/>", course.size());
        svg.add("<polyline class=\"strip-sun\" points=\"");
        for (int i = 0; i < course.size(); i++) {
            svg.add("%d,%.1f ", i, 50 - course.get(i).altitudeDeg() / HIGHEST_DEG * 58);
        }
        svg.add("\"/></svg>");
    }

    private static double share(Instant at, Span day) {
        double whole = Duration.between(day.from(), day.to()).toSeconds();
        return Math.max(0, Math.min(100, 100 * Duration.between(day.from(), at).toSeconds() / whole));
    }

    private static String words(
            String water, LocalDate date, ZoneId zone, Sun.Day day, @Nullable Instant now, Position where) {
        StringBuilder words = new StringBuilder(water).append(", ").append(date).append(": ");
        Instant rise = day.rise();
        Instant set = day.set();
        if (rise != null && set != null) {
            words.append("sun up ").append(HOUR.format(rise.atZone(zone)));
            words.append(", down ").append(HOUR.format(set.atZone(zone)));
        } else {
            words.append(day.alwaysUp() ? "the sun stays up" : "the sun stays down");
        }
        if (now != null && LocalDate.ofInstant(now, zone).equals(date)) {
            words.append(", now ").append(HOUR.format(now.atZone(zone))).append(", ");
            words.append(Sun.lightAt(now, where).word());
        }
        return words.toString();
    }
}
