package dusk.ledger.instruments;

import java.time.Duration;
import java.util.Arrays;
import java.util.Optional;
import java.util.function.Supplier;

/** The kinds of instruments. */
public enum Kind {
    BOAT("boat", "a boat’s feed", true, Duration.ofSeconds(15), Duration.ofMinutes(1), BoatFeed::new),
    GAUGE("gauge", "a river gauge", false, Duration.ofMinutes(10), Duration.ofHours(3), () -> Report.GAUGE),
    STATION("station", "a weather station", false, Duration.ofMinutes(10), Duration.ofHours(1), () -> Report.STATION),
    BOARD("board", "a measuring board", true, Duration.ofMinutes(2), Duration.ofMinutes(3), BoardLine::new);

    private final String word;
    private final String words;
    private final boolean lines;
    private final Duration silent;
    private final Duration holds;
    private final Supplier<Language> language;

    Kind(String word, String words, boolean lines, Duration silent, Duration holds, Supplier<Language> language) {
        this.word = word;
        this.words = words;
        this.lines = lines;
        this.silent = silent;
        this.holds = holds;
        this.language = language;
    }

    /** As it is stored. */
    public String word() {
        return word;
    }

    /** As a person reads it, with its article. */
    public String words() {
        return words;
    }

    /** Whether it sends lines of its own accord over a connection that stays, instead of answering requests. */
    public boolean lines() {
        return lines;
    }

    /** After so long without a word it is silent. */
    public Duration silent() {
        return silent;
    }

    /** So long a value stands for now. */
    public Duration holds() {
        return holds;
    }

    /** As the record names what a reading was taken by. */
    public String source() {
        return lines ? "instrument" : "service";
    }

    /** A fresh ear for one connection. */
    public Language language() {
        return language.get();
    }

    public static Optional<Kind> of(String word) {
        return Arrays.stream(values()).filter(k -> k.word.equals(word)).findFirst();
    }
}
