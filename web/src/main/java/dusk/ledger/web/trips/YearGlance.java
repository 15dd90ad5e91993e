package dusk.ledger.web.trips;

import dusk.ledger.stints.StintTable;
import dusk.ledger.units.Figures;
import dusk.ledger.vocabulary.Factor;
import dusk.ledger.web.portrait.Svg;
import java.time.Month;
import java.time.ZoneOffset;
import java.time.ZonedDateTime;
import java.time.format.TextStyle;
import java.util.HashSet;
import java.util.Locale;
import java.util.Set;
import java.util.stream.IntStream;

/**
 * The last year that was fished, month by month: hours as columns, fish as their figure.
 *
 * @param words the year in a sentence; empty where nothing was fished
 */
record YearGlance(String words, String svg) {
    private static final int MONTHS = 12;

    private static final double TALLEST_PERCENT = 60;
    private static final double FOOT_PERCENT = 78;

    /** @param species whose fish are counted; empty for all */
    static YearGlance of(StintTable table, String species) {
        ZonedDateTime[] at = IntStream.range(0, table.size())
                .mapToObj(stint -> table.startedAt(stint).atZone(ZoneOffset.UTC))
                .toArray(ZonedDateTime[]::new);
        int year = IntStream.range(0, at.length)
                .map(stint -> at[stint].getYear())
                .max()
                .orElse(0);
        int[] landed = table.fish(species.isEmpty() ? null : species, null);
        double[] hours = new double[MONTHS];
        int[] fish = new int[MONTHS];
        Set<Integer> trips = new HashSet<>();
        for (int stint = 0; stint < at.length; stint++) {
            if (at[stint].getYear() == year) {
                hours[at[stint].getMonthValue() - 1] += table.rodHours(stint);
                fish[at[stint].getMonthValue() - 1] += landed[stint];
                trips.add((int) table.codes(Factor.TRIP).at(stint));
            }
        }
        if (trips.isEmpty()) {
            return new YearGlance("", "");
        }
        double most = IntStream.range(0, MONTHS)
                .mapToDouble(month -> hours[month])
                .max()
                .orElse(1);
        String words = year + ": " + IntStream.of(fish).sum() + " fish in "
                + Figures.fixed(
                        IntStream.range(0, MONTHS)
                                .mapToDouble(month -> hours[month])
                                .sum(),
                        0)
                + " rod-hours, " + trips.size() + (trips.size() == 1 ? " trip" : " trips") + ".";
        return new YearGlance(words, drawn(words, hours, fish, most));
    }

    private static String drawn(String words, double[] hours, int[] fish, double most) {
        StringBuilder told = new StringBuilder(words);
        Svg svg = new Svg();
        for (int month = 0; month < MONTHS; month++) {
            String name = Month.of(month + 1).getDisplayName(TextStyle.SHORT, Locale.ENGLISH);
            double x = 100.0 * month / MONTHS;
            double tall = TALLEST_PERCENT * hours[month] / most;
            svg.add(
                    "<rect class=\"day-bar\" x=\"%.2f%%\" y=\"%.2f%%\" width=\"7%%\" height=\"%.2f%%\"/>",
                    x + 0.6, FOOT_PERCENT - tall, tall);
            svg.add(
                    "<text class=\"bar-label\" x=\"%.2f%%\" y=\"96%%\" text-anchor=\"middle\">%s</text>",
                    x + 4.1, name.substring(0, 1));
            if (fish[month] > 0) {
                svg.add(
                        "<text class=\"year-fish\" x=\"%.2f%%\" y=\"%.2f%%\" text-anchor=\"middle\">%d</text>",
                        x + 4.1, FOOT_PERCENT - tall - 3, fish[month]);
            }
            if (hours[month] > 0) {
                told.append(' ').append(name).append(": ").append(fish[month]).append(" in ");
                told.append(Figures.fixed(hours[month], 0)).append(" h.");
            }
        }
        return "<svg class=\"year\" role=\"img\" aria-label=\"" + Svg.escape(told.toString()) + "\">" + svg + "</svg>";
    }
}
