package dusk.ledger.web.plan;

import dusk.ledger.journal.Spot;
import dusk.ledger.journal.Water;
import dusk.ledger.places.DayRun;
import dusk.ledger.places.RunAsk;
import dusk.ledger.units.Figures;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.Locale;
import java.util.Map;

/** A run as an iCalendar file (RFC 5545), an event for each stay. */
final class RunCalendar {
    private static final DateTimeFormatter STAMP =
            DateTimeFormatter.ofPattern("uuuuMMdd'T'HHmmss'Z'", Locale.ROOT).withZone(ZoneOffset.UTC);

    /** Octets of a line, after which it is folded. */
    private static final int LINE = 75;

    private RunCalendar() {}

    static String of(DayRun run, RunAsk ask, Map<String, Spot> spots, Water water, Instant now) {
        StringBuilder ics = new StringBuilder();
        line(ics, "BEGIN:VCALENDAR");
        line(ics, "VERSION:2.0");
        line(ics, "PRODID:-//Dusk Ledger//Run of the day//EN");
        for (DayRun.Leg leg : run.legs()) {
            String id = ask.spotIds().get(leg.place());
            line(ics, "BEGIN:VEVENT");
            line(ics, "UID:" + STAMP.format(ask.at(leg.from())) + "-" + id + "@dusk-ledger");
            line(ics, "DTSTAMP:" + STAMP.format(now));
            line(ics, "DTSTART:" + STAMP.format(ask.at(leg.from())));
            line(ics, "DTEND:" + STAMP.format(ask.at(leg.to())));
            line(ics, "SUMMARY:" + text(RunView.place(spots, id)));
            line(ics, "LOCATION:" + text(water.name()));
            line(ics, "DESCRIPTION:" + text(Figures.fixed(leg.bites(), 1) + " bites to expect on each rod"));
            line(ics, "END:VEVENT");
        }
        line(ics, "END:VCALENDAR");
        return ics.toString();
    }

    private static String text(String words) {
        return words.replace("\\", "\\\\")
                .replace(";", "\\;")
                .replace(",", "\\,")
                .replace("\n", "\\n");
    }

    /** Folded where it is too long, between characters. */
    private static void line(StringBuilder ics, String line) {
        int octets = 0;
        for (int i = 0; i < line.length(); ) {
            String character = Character.toString(line.codePointAt(i));
            int more = character.getBytes(StandardCharsets.UTF_8).length;
            if (octets + more > LINE) {
                ics.append("\r\n ");
                octets = 1;
            }
            ics.append(character);
            octets += more;
            i += character.length();
        }
        ics.append("\r\n");
    }
}
