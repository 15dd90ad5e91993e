package dusk.ledger.sheets;

import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** In which order a sheet writes day, month and year. */
public enum DateForm {
    YEAR_FIRST("yyyy-mm-dd"),
    DAY_FIRST("dd/mm/yyyy"),
    MONTH_FIRST("mm/dd/yyyy");

    private static final Pattern FIGURES =
            Pattern.compile("(\\d{1,4})\\s*[-/. ]\\s*(\\d{1,2})\\s*[-/. ]\\s*(\\d{1,4})\\.?");
    private static final Pattern SOLID = Pattern.compile("(\\d{4})(\\d{2})(\\d{2})");
    private static final Pattern DAY_NAMED =
            Pattern.compile("(\\d{1,2})(?:st|nd|rd|th|\\.)?[- /.,]*(\\p{L}{3,})\\.?[- /.,]*(\\d{2,4})");
    private static final Pattern MONTH_NAMED =
            Pattern.compile("(\\p{L}{3,})\\.?[- /.]*(\\d{1,2})(?:st|nd|rd|th)?[- /.,]+(\\d{2,4})");
    private static final Pattern WEEKDAY =
            Pattern.compile("^(mon|tue|wed|thu|fri|sat|sun)\\p{L}*\\.?,?\\s+", Pattern.CASE_INSENSITIVE);

    /** The first letters tell a month in the tongues that are likely. */
    private static final Map<String, Integer> MONTHS = Map.ofEntries(
            Map.entry("jan", 1),
            Map.entry("feb", 2),
            Map.entry("mar", 3),
            Map.entry("apr", 4),
            Map.entry("may", 5),
            Map.entry("mai", 5),
            Map.entry("jun", 6),
            Map.entry("jul", 7),
            Map.entry("aug", 8),
            Map.entry("sep", 9),
            Map.entry("oct", 10),
            Map.entry("okt", 10),
            Map.entry("nov", 11),
            Map.entry("dec", 12),
            Map.entry("dez", 12));

    /** Two figures of a year before this are of this century. */
    private static final int PIVOT = 70;

    private final String word;

    DateForm(String word) {
        this.word = word;
    }

    /** As it is written in a mapping. */
    public String word() {
        return word;
    }

    public static Optional<DateForm> of(String word) {
        return List.of(values()).stream().filter(f -> f.word.equals(word)).findFirst();
    }

    /**
     * The form that reads most of some cells; where day first and month first read as many, month first for a sheet in
     * ounces and inches and day first for any other.
     */
    static DateForm among(List<String> cells, boolean imperial) {
        DateForm[] likely = imperial
                ? new DateForm[] {YEAR_FIRST, MONTH_FIRST, DAY_FIRST}
                : new DateForm[] {YEAR_FIRST, DAY_FIRST, MONTH_FIRST};
        DateForm best = likely[1];
        long most = 0;
        for (DateForm form : likely) {
            long read = cells.stream().filter(c -> form.read(c).isPresent()).count();
            if (read > most) {
                most = read;
                best = form;
            }
        }
        return best;
    }

    /** A date; nothing where the text is none in this form. A time behind it is left alone. */
    Optional<LocalDate> read(String text) {
        String date = WEEKDAY.matcher(text.strip()).replaceFirst("");
        Matcher solid = SOLID.matcher(date);
        if (solid.matches()) {
            return of(solid.group(1), solid.group(2), solid.group(3));
        }
        Matcher figures = FIGURES.matcher(date);
        if (figures.matches()) {
            boolean year = figures.group(1).length() > 2;
            if (year || this == YEAR_FIRST) {
                return year ? of(figures.group(1), figures.group(2), figures.group(3)) : Optional.empty();
            }
            return this == DAY_FIRST
                    ? of(figures.group(3), figures.group(2), figures.group(1))
                    : of(figures.group(3), figures.group(1), figures.group(2));
        }
        Matcher day = DAY_NAMED.matcher(date);
        if (day.matches()) {
            return named(day.group(3), day.group(2), day.group(1));
        }
        Matcher month = MONTH_NAMED.matcher(date);
        return month.matches() ? named(month.group(3), month.group(1), month.group(2)) : Optional.empty();
    }

    private static Optional<LocalDate> named(String year, String month, String day) {
        Integer number =
                MONTHS.get(month.substring(0, 3).toLowerCase(Locale.ROOT).replace('ä', 'a'));
        return number == null ? Optional.empty() : of(year, number.toString(), day);
    }

    private static Optional<LocalDate> of(String year, String month, String day) {
        int figures = Integer.parseInt(year);
        int whole = year.length() > 2 ? figures : figures < PIVOT ? 2000 + figures : 1900 + figures;
        try {
            return Optional.of(LocalDate.of(whole, Integer.parseInt(month), Integer.parseInt(day)));
        } catch (DateTimeException e) {
            return Optional.empty();
        }
    }
}
