package dusk.ledger.instruments;

import dusk.ledger.units.Position;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * One instrument as it is heard: what it says now, on average of late where a moment says little, and whether it is to be
 * believed. What it keeps does not grow, however long it is listened to. Safe for one that hears and many that ask.
 */
public final class Feed {
    /** Of so many lines it is told how many could not be read. */
    private static final int REMEMBERED = 50;

    /** More than one in five garbled is said. */
    private static final double GARBLED = 0.2;

    /** So long a refused value is spoken of. */
    private static final Duration SPOKEN_OF = Duration.ofMinutes(2);

    private static final Duration GUSTS = Duration.ofSeconds(60);

    /** Faster over ground than that, a boat is under way and drifts with nothing. */
    private static final double UNDER_WAY_MPS = 1.5;

    private static final double FASTEST_CURRENT_MPS = 3;

    private final Kind kind;
    private final Language language;
    private final Gate gate = new Gate();
    private final Map<Quantity, Average> averages = new EnumMap<>(Quantity.class);
    private final Average motion = new Average(GUSTS);
    private final Average throughWater = new Average(GUSTS);
    private final Average windFrom = new Average(GUSTS);
    private final LevelTrend level = new LevelTrend();
    private final boolean[] unread = new boolean[REMEMBERED];
    private int heard;
    private String garble = "";
    private String refusal = "";
    private @Nullable Instant refusedAt;
    private @Nullable Instant heardAt;
    private @Nullable Instant newest;
    private String unreached = "";

    public Feed(Kind kind) {
        this.kind = kind;
        language = kind.language();
    }

    public Kind kind() {
        return kind;
    }

    /**
     * Hears a line or a report.
     *
     * @param at when it came
     * @return the values of it that may be believed and are new
     */
    public synchronized List<Sample> hear(String text, Instant at) {
        unreached = "";
        heardAt = at;
        Heard heardNow = language.hear(text, at);
        if (heardNow instanceof Heard.Garbled garbled) {
            note(true);
            garble = garbled.why();
            return List.of();
        }
        note(false);
        List<Sample> samples = ((Heard.Values) heardNow).samples();
        List<Sample> believed = believed(samples, at);
        // a position is one value: half of it is none
        if (believed.stream().anyMatch(s -> s.quantity() == Quantity.LATITUDE_DEG)
                != believed.stream().anyMatch(s -> s.quantity() == Quantity.LONGITUDE_DEG)) {
            believed.removeIf(s -> s.quantity() == Quantity.LATITUDE_DEG || s.quantity() == Quantity.LONGITUDE_DEG);
        }
        take(believed);
        return List.copyOf(believed);
    }

    private List<Sample> believed(List<Sample> samples, Instant at) {
        List<Sample> believed = new ArrayList<>();
        for (Sample sample : samples) {
            if (gate.old(sample)) {
                continue;
            }
            Optional<String> refused = gate.refuse(sample);
            if (refused.isPresent()) {
                refusal = refused.get();
                refusedAt = at;
            } else {
                believed.add(sample);
                newest = newest == null || sample.at().isAfter(newest) ? sample.at() : newest;
            }
        }
        return believed;
    }

    private void note(boolean garbled) {
        unread[heard % REMEMBERED] = garbled;
        // stays small for ever: only its remainder and whether the ring is full are of use
        heard = heard + 1 == 2 * REMEMBERED ? REMEMBERED : heard + 1;
    }

    /** The connection could not be made, or broke. @param why in words that can follow a colon */
    public synchronized void unreached(String why) {
        unreached = why;
    }

    private void take(List<Sample> samples) {
        Map<Quantity, Sample> of = new EnumMap<>(Quantity.class);
        samples.forEach(sample -> of.put(sample.quantity(), sample));
        samples.forEach(sample -> averages.computeIfAbsent(sample.quantity(), q -> new Average(GUSTS))
                .add(sample.value(), sample.at()));
        flow(of.get(Quantity.SPEED_MPS), of.get(Quantity.COURSE_DEG), motion);
        flow(of.get(Quantity.WATER_SPEED_MPS), of.get(Quantity.HEADING_DEG), throughWater);
        flow(of.get(Quantity.WIND_MPS), of.get(Quantity.WIND_FROM_DEG), windFrom);
        Sample rise = of.get(Quantity.LEVEL_M);
        if (rise != null) {
            level.add(rise);
        }
    }

    /** Without a direction only a standstill is a flow. */
    private static void flow(@Nullable Sample mps, @Nullable Sample deg, Average into) {
        if (mps != null && (deg != null || mps.value() < 0.05)) {
            into.add(Flow.to(mps.value(), deg == null ? 0 : deg.value()), mps.at());
        }
    }

    /** The newest value, exactly as it was said; null before the first. */
    public synchronized @Nullable Sample last(Quantity quantity) {
        return gate.last(quantity);
    }

    /** Where the boat is; null where that is not known now. */
    public synchronized @Nullable Position position(Instant now) {
        Sample latitude = gate.last(Quantity.LATITUDE_DEG);
        Sample longitude = gate.last(Quantity.LONGITUDE_DEG);
        return latitude == null || longitude == null || !fresh(latitude.at(), now) || !fresh(longitude.at(), now)
                ? null
                : new Position(latitude.value(), longitude.value());
    }

    /** How deep the water under the boat is; null where that is not known now. */
    public synchronized @Nullable Double depthM(Instant now) {
        Sample depth = gate.last(Quantity.DEPTH_M);
        return depth == null || !fresh(depth.at(), now) ? null : depth.value();
    }

    /** How the boat drifts, on average over a minute; null where it is under way, or that is not known now. */
    public synchronized @Nullable Flow drift(Instant now) {
        Instant at = motion.at();
        return at == null || !fresh(at, now) || motion.mean().mps() > UNDER_WAY_MPS ? null : motion.mean();
    }

    private boolean fresh(Instant at, Instant now) {
        return Duration.between(at, now).compareTo(kind.holds()) <= 0;
    }

    /** All it has to say of columns of the readings, with when; also what has grown old. */
    public synchronized List<Known> known() {
        List<Known> known = new ArrayList<>();
        average("water_temp_c", Quantity.WATER_TEMP_C, known);
        average("wind_mps", Quantity.WIND_MPS, known);
        if (windFrom.at() != null && windFrom.mean().mps() > 0) {
            known.add(new Known("wind_from_deg", windFrom.mean().toDeg(), windFrom.at()));
        }
        current(known);
        Sample rise = gate.last(Quantity.LEVEL_M);
        if (rise != null) {
            level.word().ifPresent(word -> known.add(new Known("level_trend", word, rise.at())));
        }
        average("clarity_m", Quantity.CLARITY_M, known);
        average("air_temp_c", Quantity.AIR_TEMP_C, known);
        average("air_pressure_hpa", Quantity.AIR_PRESSURE_HPA, known);
        return known;
    }

    private void average(String column, Quantity quantity, List<Known> known) {
        Average average = averages.get(quantity);
        if (average != null && average.at() != null) {
            known.add(new Known(column, average.figure(), average.at()));
        }
    }

    /**
     * What carries the boat: its way over ground less its way through the water. A log that hangs makes a current of the
     * boat's own speed, so that one too fast to be fished in is not told.
     */
    private void current(List<Known> known) {
        Instant moved = motion.at();
        Instant swum = throughWater.at();
        if (moved != null && swum != null && Duration.between(swum, moved).abs().compareTo(kind.silent()) <= 0) {
            double mps = motion.mean().minus(throughWater.mean()).mps();
            if (mps <= FASTEST_CURRENT_MPS) {
                known.add(new Known("current_mps", mps, moved.isBefore(swum) ? moved : swum));
            }
        }
    }

    /** Whether what was measured then still stands for now. */
    public boolean stands(Instant at, Instant now) {
        return fresh(at, now);
    }

    /** How it is. */
    public synchronized FeedState state(Instant now) {
        if (!unreached.isEmpty()) {
            return new FeedState(FeedState.Trouble.UNREACHED, "Not reached: " + unreached + ". It is tried again.");
        }
        if (heardAt == null) {
            return new FeedState(FeedState.Trouble.SILENT, "Nothing heard yet.");
        }
        Duration quiet = Duration.between(heardAt, now);
        if (quiet.compareTo(kind.silent()) > 0) {
            return new FeedState(FeedState.Trouble.SILENT, "Silent for " + span(quiet) + ".");
        }
        int of = Math.min(heard, REMEMBERED);
        int garbled = 0;
        for (int i = 0; i < of; i++) {
            garbled += unread[i] ? 1 : 0;
        }
        if (garbled > GARBLED * of) {
            return new FeedState(
                    FeedState.Trouble.GARBLED,
                    garbled + " of the last " + of + (kind.lines() ? " lines" : " reports") + " could not be read: "
                            + garble + ".");
        }
        if (refusedAt != null && Duration.between(refusedAt, now).compareTo(SPOKEN_OF) <= 0) {
            return new FeedState(FeedState.Trouble.LYING, "Not believed: " + refusal + ".");
        }
        if (kind != Kind.BOARD && newest != null && !fresh(newest, now)) {
            return new FeedState(
                    FeedState.Trouble.SLOW, "What it says is " + span(Duration.between(newest, now)) + " old.");
        }
        return new FeedState(FeedState.Trouble.NONE, "Well, heard " + span(quiet) + " ago.");
    }

    /** A time as one says it: {@code 12 s}, {@code 5 min}, {@code 3 h}. */
    public static String span(Duration span) {
        long seconds = Math.max(0, span.toSeconds());
        return seconds < 100
                ? seconds + " s"
                : seconds < 6000 ? Math.round(seconds / 60.0) + " min" : Math.round(seconds / 3600.0) + " h";
    }
}
