package dusk.ledger.web.debrief;

import dusk.ledger.journal.Bounds;
import dusk.ledger.journal.Catch;
import dusk.ledger.journal.Loss;
import dusk.ledger.journal.Reading;
import dusk.ledger.journal.SetUp;
import dusk.ledger.journal.Sign;
import dusk.ledger.journal.Stint;
import dusk.ledger.journal.Touch;
import dusk.ledger.light.Light;
import dusk.ledger.light.Sun;
import dusk.ledger.units.UnitSystem;
import dusk.ledger.web.portrait.Portrait;
import dusk.ledger.web.portrait.Svg;
import dusk.ledger.web.words.SetUpWords;
import dusk.ledger.web.words.TimeText;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;

/**
 * A day as one picture: the light and the readings above, a row a rod, a bar a stint with its portrait, and on it what
 * came of it, when it came.
 */
final class DayPicture {
    private static final double LEFT = 128;
    private static final double WIDE = 1000;
    private static final double LIGHT_HIGH = 26;
    private static final double READINGS_HIGH = 40;
    private static final double ROW_HIGH = 74;
    private static final double BAR_HIGH = 44;
    private static final double PORTRAIT_WIDE = 104;

    private final DayRecord day;
    private final UnitSystem units;
    private final Instant from;
    private final Instant to;
    private final Svg svg = new Svg();

    private DayPicture(DayRecord day, UnitSystem units) {
        this.day = day;
        this.units = units;
        Instant first = day.trip().startedAt();
        Instant last = day.trip().endedAt() == null
                ? first.plus(Duration.ofHours(1))
                : day.trip().endedAt();
        for (Stint stint : day.stints()) {
            first = stint.startedAt().isBefore(first) ? stint.startedAt() : first;
            last = DayRecord.end(stint).isAfter(last) ? DayRecord.end(stint) : last;
        }
        // whatever an older application stored, a day is drawn of days
        Instant start = day.trip().startedAt();
        Instant earliest = start.minus(Bounds.LONGEST_TRIP);
        Instant latest = start.plus(Bounds.LONGEST_TRIP).plus(Duration.ofDays(1));
        from = first.isBefore(earliest) ? earliest : first;
        Instant end = last.isAfter(latest) ? latest : last;
        to = end.isAfter(from) ? end : from.plus(Duration.ofHours(1));
    }

    /** Inline SVG. */
    static String svg(DayRecord day, UnitSystem units, String words) {
        return new DayPicture(day, units).draw(words);
    }

    /** The rods of a day: an angler's stints that do not overlap lie in one row. */
    private Map<String, List<Stint>> rows() {
        Map<String, List<List<Stint>>> lanes = new LinkedHashMap<>();
        for (Stint stint : day.stints()) {
            List<List<Stint>> theirs = lanes.computeIfAbsent(stint.anglerId(), a -> new ArrayList<>());
            List<Stint> lane = theirs.stream()
                    .filter(l -> !DayRecord.end(l.get(l.size() - 1))
                            .isAfter(stint.startedAt().plusSeconds(30)))
                    .findFirst()
                    .orElseGet(() -> {
                        List<Stint> fresh = new ArrayList<>();
                        theirs.add(fresh);
                        return fresh;
                    });
            lane.add(stint);
        }
        Map<String, List<Stint>> rows = new LinkedHashMap<>();
        lanes.forEach((angler, theirs) -> {
            for (int i = 0; i < theirs.size(); i++) {
                rows.put(day.name(angler) + (theirs.size() > 1 ? ", rod " + (i + 1) : ""), theirs.get(i));
            }
        });
        return rows;
    }

    private String draw(String words) {
        Map<String, List<Stint>> rows = rows();
        double high = LIGHT_HIGH + READINGS_HIGH + rows.size() * ROW_HIGH + 22;
        svg.add(
                "<svg class=\"day\" viewBox=\"0 0 %.0f %.0f\" role=\"img\" aria-label=\"%s\">",
                WIDE, high, Svg.escape(words));
        light();
        readings();
        double y = LIGHT_HIGH + READINGS_HIGH;
        for (Map.Entry<String, List<Stint>> row : rows.entrySet()) {
            row(row.getKey(), row.getValue(), y);
            y += ROW_HIGH;
        }
        hours(y);
        return svg.add("</svg>").toString();
    }

    private double x(Instant at) {
        double share = (double) Duration.between(from, at).toMillis()
                / Duration.between(from, to).toMillis();
        return LEFT + Math.max(0, Math.min(1, share)) * (WIDE - LEFT - 4);
    }

    private void light() {
        Instant start = from;
        Light light = Sun.lightAt(from, day.water().sunAt());
        for (Instant at = from; at.isBefore(to); at = at.plus(5, ChronoUnit.MINUTES)) {
            Light now = Sun.lightAt(at, day.water().sunAt());
            if (now != light) {
                band(start, at, light);
                start = at;
                light = now;
            }
        }
        band(start, to, light);
    }

    private void band(Instant start, Instant end, Light light) {
        double x = x(start);
        svg.add(
                "<rect class=\"light-%s\" x=\"%.1f\" y=\"0\" width=\"%.1f\" height=\"%.0f\"/>",
                light.word().replace(' ', '-'), x, x(end) - x, LIGHT_HIGH);
        if (x(end) - x > 60) {
            svg.add("<text class=\"day-light\" x=\"%.1f\" y=\"17\">%s</text>", x + 6, light.word());
        }
    }

    /** Each reading's temperature and clarity, as far as there is room for it; signs below. */
    private void readings() {
        double free = LEFT;
        for (Reading reading : day.readings()) {
            List<String> words = new ArrayList<>();
            if (reading.waterTemp() != null) {
                words.add(reading.waterTemp().show(units.temperature()));
            }
            if (reading.clarity() != null) {
                words.add("clear to " + reading.clarity().show(units.depth()));
            }
            if (reading.sky() != null) {
                words.add(reading.sky());
            }
            double x = x(reading.at());
            svg.add("<path class=\"day-tick\" d=\"M%.1f,%.1f v6\"/>", x, LIGHT_HIGH);
            String text = String.join(", ", words);
            if (x >= free && !text.isEmpty()) {
                boolean end = x > WIDE - text.length() * 7.0;
                svg.add(
                        "<text class=\"day-word\" x=\"%.1f\" y=\"%.1f\" text-anchor=\"%s\">%s</text>",
                        end ? WIDE - 4 : x + 3, LIGHT_HIGH + 16, end ? "end" : "start", Svg.escape(text));
                free = x + text.length() * 7.4 + 8;
            }
        }
        double freeSign = LEFT;
        for (Sign sign : day.signs()) {
            double x = x(sign.at());
            svg.add(
                    "<path class=\"day-sign\" d=\"M%.1f,%.1f l4,7 h-8Z\"><title>%s</title></path>",
                    x, LIGHT_HIGH + 24, Svg.escape(sign.kind()));
            if (x >= freeSign) {
                svg.add(
                        "<text class=\"day-word\" x=\"%.1f\" y=\"%.1f\">%s</text>",
                        x + 6, LIGHT_HIGH + 32, Svg.escape(sign.kind()));
                freeSign = x + sign.kind().length() * 7.4 + 14;
            }
        }
    }

    private void row(String label, List<Stint> stints, double y) {
        String[] parts = label.split(", ");
        svg.add("<text class=\"day-name\" x=\"0\" y=\"%.1f\">%s</text>", y + 24, Svg.escape(parts[0]));
        if (parts.length > 1) {
            svg.add("<text class=\"day-word\" x=\"0\" y=\"%.1f\">%s</text>", y + 40, Svg.escape(parts[1]));
        }
        svg.add("<path class=\"day-row\" d=\"M%.0f,%.1f H%.0f\"/>", LEFT, y + ROW_HIGH - 4, WIDE);
        Stint before = null;
        double free = LEFT;
        for (Stint stint : stints) {
            bar(stint, y, before == null || !before.setUpId().equals(stint.setUpId()));
            if (before != null) {
                free = broken(before, stint, y, free);
            }
            marks(stint, y);
            before = stint;
        }
    }

    private void bar(Stint stint, double y, boolean portrait) {
        double x = x(stint.startedAt());
        double wide = Math.max(2, x(DayRecord.end(stint)) - x);
        SetUp setUp = Objects.requireNonNull(day.setUps().get(stint.setUpId()));
        String words = SetUpWords.of(setUp, units);
        svg.add(
                "<rect class=\"day-bar\" x=\"%.1f\" y=\"%.1f\" width=\"%.1f\" height=\"%.0f\"><title>%s</title></rect>",
                x, y + 4, wide, BAR_HIGH, Svg.escape(words));
        if (portrait && wide > PORTRAIT_WIDE * 0.55) {
            double shown = Math.min(PORTRAIT_WIDE, wide - 4);
            svg.add(
                    "<svg x=\"%.1f\" y=\"%.1f\" width=\"%.1f\" height=\"%.1f\">%s</svg>",
                    x + 2, y + 6, shown, BAR_HIGH - 4, Portrait.svg(setUp, words));
        }
    }

    /** A move is a double line, a swap a single one; what changed stands below where there is room. Where the next word may begin. */
    private double broken(Stint before, Stint after, double y, double free) {
        boolean moved = !Objects.equals(before.spotId(), after.spotId());
        double x = x(after.startedAt());
        svg.add("<path class=\"day-break\" d=\"M%.1f,%.1f v%.0f\"/>", x - 1, y, BAR_HIGH + 8);
        if (moved) {
            svg.add("<path class=\"day-break\" d=\"M%.1f,%.1f v%.0f\"/>", x + 3, y, BAR_HIGH + 8);
        }
        String word = Breaks.words(day, before, after, units);
        if (x >= free && !word.isEmpty()) {
            String fits = word.length() > 34 ? word.substring(0, 33) + "…" : word;
            boolean end = x + fits.length() * 6.6 > WIDE;
            svg.add(
                    "<text class=\"day-small\" x=\"%.1f\" y=\"%.1f\" text-anchor=\"%s\">%s</text>",
                    end ? WIDE - 4 : x + 4, y + BAR_HIGH + 18, end ? "end" : "start", Svg.escape(fits));
            return x + fits.length() * 6.6 + 10;
        }
        return free;
    }

    /** Follows are rings, bites ticks, losses crosses, fish drops; those without a time of their own lie along the stint. */
    private void marks(Stint stint, double y) {
        List<Touch> touches = day.touches().stream()
                .filter(t -> t.stintId().equals(stint.id()))
                .toList();
        double base = y + BAR_HIGH - 4;
        for (Touch touch : touches) {
            double x = x(touch.at());
            if (touch.kind().equals("follow")) {
                svg.add(
                        "<circle class=\"day-follow\" cx=\"%.1f\" cy=\"%.1f\" r=\"4\"><title>follow</title></circle>",
                        x, base - 4);
            } else if (touch.kind().equals("bite")) {
                svg.add("<path class=\"day-bite\" d=\"M%.1f,%.1f v-12\"><title>bite</title></path>", x, base);
            }
        }
        List<Loss> losses = day.losses().stream()
                .filter(l -> l.stintId().equals(stint.id()))
                .toList();
        for (int i = 0; i < losses.size(); i++) {
            Instant at = losses.get(i).at();
            double x = at == null ? spread(stint, i + 1, losses.size() + 1) : x(at);
            svg.add(
                    "<path class=\"day-loss\" d=\"M%.1f,%.1f l8,8 m0,-8 l-8,8\"><title>lost, %s</title></path>",
                    x - 4, base - 9, Svg.escape(losses.get(i).cause()));
        }
        List<Catch> fish = day.fish(stint);
        for (int i = 0; i < fish.size(); i++) {
            Instant at = fish.get(i).at();
            double x = at == null ? spread(stint, i + 1, fish.size() + 1) : x(at);
            svg.add(
                    "<path class=\"day-fish\" d=\"M%.1f,%.1f q9,-8 18,0 l7,-5 v10 l-7,-5 q-9,8 -18,0Z\"><title>%s</title></path>",
                    x - 12, base + 2, Svg.escape(fish.get(i).species()));
        }
    }

    private double spread(Stint stint, int nth, int of) {
        double start = x(stint.startedAt());
        return start + (x(DayRecord.end(stint)) - start) * nth / of;
    }

    private void hours(double y) {
        long hours = Math.max(1, Duration.between(from, to).toHours());
        int step = hours > 10 ? 2 : 1;
        Instant at = from.truncatedTo(ChronoUnit.HOURS).plus(1, ChronoUnit.HOURS);
        for (; at.isBefore(to); at = at.plus(step, ChronoUnit.HOURS)) {
            svg.add("<path class=\"day-hour\" d=\"M%.1f,%.1f V%.1f\"/>", x(at), LIGHT_HIGH, y);
            svg.add(
                    "<text class=\"day-word\" x=\"%.1f\" y=\"%.1f\" text-anchor=\"middle\">%s</text>",
                    x(at), y + 15, TimeText.hour(at, day.zone()));
        }
    }
}
