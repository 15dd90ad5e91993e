package dusk.ledger.sheets;

import dusk.ledger.format.FileColumn;
import dusk.ledger.interchange.Fault;
import dusk.ledger.journal.Bounds;
import dusk.ledger.vocabulary.Words;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * A row that was read: when, and the cells of the record by the key of their target, each of its column's type.
 *
 * @param guessed keys of the figures that the cell says are guesses
 * @param fish of each species that the row counts; a species may be empty where the row does not say it
 * @param lost fish lost
 * @param lure what was not understood of a lure in free words
 */
record Entry(
        long line,
        LocalDate date,
        @Nullable LocalTime at,
        @Nullable LocalTime from,
        @Nullable LocalTime until,
        @Nullable Double minutes,
        Map<String, Object> cells,
        Set<String> guessed,
        Map<String, Integer> fish,
        int lost,
        String lure) {
    private static final Set<String> NOTHING = Set.of(
            "-",
            "–",
            "—",
            "n/a",
            "na",
            "none",
            "nil",
            "?",
            "??",
            "unknown",
            "not recorded",
            "k.a.",
            "x",
            "n.a.",
            "tbc");
    private static final Set<String> BLANK = Set.of(
            "blank",
            "blanked",
            "nil",
            "none",
            "no fish",
            "nothing",
            "skunked",
            "skunk",
            "0",
            "zero",
            "-",
            "–",
            "no bites",
            "no catch");
    private static final Set<String> YES =
            Set.of("yes", "y", "true", "x", "1", "j", "ja", "oui", "o", "✓", "✔", "kept", "k");
    private static final Set<String> NO =
            Set.of("no", "n", "false", "0", "nein", "non", "released", "r", "c&r", "c & r", "cr", "returned", "back");
    private static final int MOST_FISH = 2000;
    private static final double MINUTES_A_DAY = 1440;

    /** Reads a row, or notes what is wrong with it. */
    static Optional<Entry> read(Rows.Row row, SheetMapping mapping, String place, List<Fault> faults) {
        Reading reading = new Reading(row, mapping, place, faults);
        return Optional.ofNullable(reading.entry());
    }

    /** Whether a species says that there was no fish. */
    static boolean blank(String species) {
        return BLANK.contains(species.toLowerCase(Locale.ROOT));
    }

    private static final class Reading {
        private final Rows.Row row;
        private final SheetMapping mapping;
        private final String place;
        private final List<Fault> faults;
        private final Map<String, Object> cells = new LinkedHashMap<>();
        private final Set<String> guessed = new java.util.LinkedHashSet<>();
        private final Map<String, Integer> fish = new LinkedHashMap<>();
        private final List<Fault> own = new ArrayList<>();
        private String lure = "";

        Reading(Rows.Row row, SheetMapping mapping, String place, List<Fault> faults) {
            this.row = row;
            this.mapping = mapping;
            this.place = place;
            this.faults = faults;
        }

        private void wrong(Rows.Text text, String message) {
            own.add(new Fault(place, row.line(), text.column(), message));
        }

        @Nullable
        Entry entry() {
            Rows.Text dated = row.texts().get(Target.DATE);
            Moment moment = null;
            if (dated == null) {
                own.add(new Fault(
                        place,
                        row.line(),
                        "date",
                        "empty, expected a date like " + mapping.dates().word()));
            } else {
                moment = Moment.read(dated.text(), mapping.dates()).orElse(null);
                if (moment == null) {
                    wrong(
                            dated,
                            "“" + dated.text() + "” is no date, expected one like "
                                    + mapping.dates().word());
                } else if (moment.date().getYear() < 1900 || moment.date().getYear() > 2099) {
                    wrong(dated, "“" + dated.text() + "” is a year no one logged, expected one from 1900 to 2099");
                }
            }
            LocalTime at = time(Target.TIME);
            LocalTime from = time(Target.FROM);
            LocalTime until = time(Target.UNTIL);
            Double minutes = minutes(from, until);
            row.texts().forEach(this::cell);
            count();
            int lost = number(Target.LOST);
            if (!own.isEmpty() || moment == null) {
                faults.addAll(own);
                return null;
            }
            LocalTime when = at != null ? at : moment.time().orElse(null);
            return new Entry(row.line(), moment.date(), when, from, until, minutes, cells, guessed, fish, lost, lure);
        }

        private @Nullable LocalTime time(String key) {
            Rows.Text text = row.texts().get(key);
            if (text == null || NOTHING.contains(text.text().toLowerCase(Locale.ROOT))) {
                return null;
            }
            Optional<LocalTime> time = Hours.timeOfDay(text.text());
            if (time.isEmpty()) {
                wrong(text, "“" + text.text() + "” is no time of day, expected one like 18:30");
            }
            return time.orElse(null);
        }

        private @Nullable Double minutes(@Nullable LocalTime from, @Nullable LocalTime until) {
            Rows.Text text = row.texts().get(Target.HOURS);
            Double minutes = null;
            if (text != null && !NOTHING.contains(text.text().toLowerCase(Locale.ROOT))) {
                minutes = Hours.minutes(
                                Figure.pointed(text.text(), mapping.commas()),
                                text.unit().equals("min"))
                        .orElse(null);
                if (minutes == null) {
                    wrong(text, "“" + text.text() + "” is no time fished, expected one like 6.5 or 6:30");
                } else if (minutes == 0) {
                    minutes = null;
                }
            } else if (from != null && until != null && !from.equals(until)) {
                minutes = (double) java.time.Duration.between(from, until).toMinutes();
                minutes = minutes < 0 ? minutes + MINUTES_A_DAY : minutes;
            }
            int rods = row.texts().containsKey(Target.RODS) ? number(Target.RODS) : 1;
            if (minutes != null && rods > 1) {
                minutes = minutes * rods;
            }
            if (minutes != null && minutes > Bounds.MOST_MINUTES && text != null) {
                wrong(text, "“" + text.text() + "” is more than a day of one rod, expected 24 rod-hours or fewer");
            }
            return minutes;
        }

        private int number(String key) {
            Rows.Text text = row.texts().get(key);
            if (text == null || NOTHING.contains(text.text().toLowerCase(Locale.ROOT))) {
                return 0;
            }
            return whole(text);
        }

        private int whole(Rows.Text text) {
            String typed = text.text()
                    .toLowerCase(Locale.ROOT)
                    .replaceAll("\\.0+$|,0+$|\\s*(fish|x|pcs|stk\\.?)$", "")
                    .strip();
            if (BLANK.contains(typed) || NOTHING.contains(typed)) {
                return 0;
            } else if (typed.matches("\\d{1,5}") && Integer.parseInt(typed) <= MOST_FISH) {
                return Integer.parseInt(typed);
            }
            wrong(text, "“" + text.text() + "” is not a number of them, expected a whole one like 3");
            return 0;
        }

        private void cell(String key, Rows.Text text) {
            if (key.equals(Target.LURE)) {
                lure(text.text());
                return;
            }
            Optional<FileColumn<?>> found = Target.column(key);
            boolean counted = key.equals(Target.COUNT) || key.equals(Target.SPECIES);
            boolean nothing = NOTHING.contains(text.text().toLowerCase(Locale.ROOT)) && !known(key, text.text());
            if (found.isEmpty() || counted || nothing && !key.equals("catches.kept")) {
                return;
            }
            FileColumn<?> column = found.get();
            switch (column.kind()) {
                case NUMBER -> figure(key, column, text);
                case WHOLE -> cells.put(key, (long) whole(text));
                case YES_NO -> yesOrNo(key, text);
                default -> word(key, text);
            }
        }

        private boolean known(String key, String text) {
            return Words.of(Target.name(key)).contains(text.toLowerCase(Locale.ROOT));
        }

        private void figure(String key, FileColumn<?> column, Rows.Text text) {
            try {
                Figure figure = Figure.read(column.name(), text.text(), text.unit(), mapping.commas());
                Optional<Bounds.Range> range = Bounds.of(column.name(), Target.file(key));
                boolean absent =
                        figure.value() == 0 && range.filter(r -> r.least() > 0).isPresent();
                if (!absent && range.filter(r -> !r.holds(figure.value())).isPresent()) {
                    wrong(
                            text,
                            "“" + text.text() + "” is out of range"
                                    + (text.unit().isEmpty() ? "" : " in " + text.unit())
                                    + ", expected another figure or another unit of the column");
                } else if (!absent) {
                    cells.put(key, figure.value());
                    if (figure.about()) {
                        guessed.add(key);
                    }
                }
            } catch (IllegalArgumentException e) {
                wrong(text, String.valueOf(e.getMessage()));
            }
        }

        private void yesOrNo(String key, Rows.Text text) {
            String said = text.text().toLowerCase(Locale.ROOT).strip();
            boolean turned = text.unit().equals("released");
            if (YES.contains(said) && !(turned && said.startsWith("k"))) {
                cells.put(key, !turned);
            } else if (NO.contains(said)) {
                cells.put(
                        key,
                        turned && (said.equals("no") || said.equals("n") || said.equals("0") || said.equals("false")));
            } else if (!NOTHING.contains(said)) {
                wrong(text, "“" + text.text() + "” is neither, expected yes or no");
            }
        }

        private void word(String key, Rows.Text text) {
            String word = mapping.word(key, text.text()).strip();
            if (word.isEmpty()) {
                return;
            }
            List<String> closed = Words.closed(Target.name(key), Target.file(key));
            if (!closed.isEmpty() && !closed.contains(word)) {
                String lower = word.toLowerCase(Locale.ROOT);
                if (!closed.contains(lower)) {
                    wrong(
                            text,
                            "“" + word + "” is not a word of this column, expected one of: "
                                    + String.join(", ", closed));
                    return;
                }
                word = lower;
            }
            int most = key.equals(Target.NOTE) ? 5000 : 200;
            cells.put(key, word.length() > most ? word.substring(0, most) : word);
        }

        private void lure(String text) {
            Map<String, Object> read = LureText.read(text);
            Object rest = read.remove("rest");
            lure = rest == null ? "" : text.strip();
            read.forEach((column, value) -> {
                String key = "setups." + column;
                if (!row.texts().containsKey(key)) {
                    cells.put(key, value);
                }
            });
        }

        /** Fish by species: those of columns of their own, and those of the row's own species. */
        private void count() {
            row.texts().forEach((key, text) -> {
                if (key.startsWith(Target.FISH)) {
                    int count = whole(text);
                    if (count > 0) {
                        fish.merge(species(key.substring(Target.FISH.length())), count, Integer::sum);
                    }
                }
            });
            Rows.Text species = row.texts().get(Target.SPECIES);
            Rows.Text count = row.texts().get(Target.COUNT);
            String named = species == null ? "" : species.text();
            boolean blank = Entry.blank(named);
            boolean measured = cells.containsKey("catches.length_mm") || cells.containsKey("catches.mass_g");
            int number = count != null ? whole(count) : named.isEmpty() && !measured ? 0 : 1;
            if (blank || number == 0) {
                return;
            }
            fish.merge(species(named), number, Integer::sum);
        }

        private String species(String written) {
            return mapping.word(Target.SPECIES, written);
        }
    }
}
