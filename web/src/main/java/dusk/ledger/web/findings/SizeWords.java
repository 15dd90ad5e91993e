package dusk.ledger.web.findings;

import dusk.ledger.evidence.Headline;
import dusk.ledger.evidence.Question;
import dusk.ledger.evidence.SizeShift;
import dusk.ledger.evidence.Sizes;
import dusk.ledger.units.Figures;
import dusk.ledger.units.Length;
import dusk.ledger.units.UnitSystem;
import dusk.ledger.vocabulary.Factor;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Differences of size as a person says them. */
final class SizeWords {
    private static final double MM_AN_INCH = 25.4;

    private SizeWords() {}

    /** What the page says first. */
    static Headline headline(Sizes sizes, Question question, UnitSystem units) {
        Factor factor = question.factor();
        String fish = question.species() == null ? "fish" : question.species();
        List<String> points = new ArrayList<>();
        Optional<Sizes.Told> lead = sizes.lead();
        if (lead.isPresent()) {
            Sizes.Told told = lead.get();
            sizes.levels().stream()
                    .filter(t -> !t.equals(told) && (t.longer() || t.shorter()))
                    .forEach(t -> points.add(
                            "On " + factor.named(t.level()) + " they run " + shift(t.shift(), units) + ", as surely."));
            return new Headline(
                    "On the same trips and in the same hands " + fish + " on " + factor.named(told.level()) + " run "
                            + shift(told.shift(), units) + " than on the rest, from "
                            + told.shift().blocks()
                            + " such trips.",
                    points);
        }
        boolean any = sizes.levels().stream().anyMatch(t -> t.shift().p() != null);
        if (!any) {
            return new Headline(
                    "Not enough measured " + fish + " to say: no " + factor.title()
                            + " has them beside another on three trips of one angler.",
                    List.of("A length is two touches on the deck; measure the small ones too, or the choice that"
                            + " catches those looks better than it is."));
        }
        sizes.nearest()
                .ifPresent(t -> points.add("Nearest to it comes " + factor.named(t.level()) + ": "
                        + shift(t.shift(), units) + ", from " + t.shift().blocks() + " trips in the same hands."));
        return new Headline(
                "On the same trips and in the same hands no " + factor.title() + " is sure to take longer " + fish
                        + ".",
                points);
    }

    /** Such as {@code 21 mm longer (4 to 38)} or {@code 6 mm longer (26 shorter to 49 longer)}, or why there is none. */
    static String shift(SizeShift shift, UnitSystem units) {
        if (shift.shiftMm() == null || shift.lowMm() == null || shift.highMm() == null) {
            return alone(shift, units) + (shift.shiftMm() == null ? "" : " (from too few to bound it)");
        }
        double low = shift.lowMm();
        double high = shift.highMm();
        String range = low * high > 0
                ? number(Math.min(Math.abs(low), Math.abs(high)), units) + " to "
                        + number(Math.max(Math.abs(low), Math.abs(high)), units)
                : number(-low, units) + " shorter to " + number(high, units) + " longer";
        return alone(shift, units) + " (" + range + ")";
    }

    /** The same without its range. */
    static String alone(SizeShift shift, UnitSystem units) {
        return shift.shiftMm() == null
                ? "not enough measured fish to say"
                : difference(Math.abs(shift.shiftMm()), units) + (shift.shiftMm() < 0 ? " shorter" : " longer");
    }

    /** A difference of lengths: millimetres, or tenths of an inch. */
    static String difference(double mm, UnitSystem units) {
        return number(mm, units) + (units.lure() == Length.Unit.INCH ? " in" : " mm");
    }

    private static String number(double mm, UnitSystem units) {
        return units.lure() == Length.Unit.INCH ? Figures.trimmed(mm / MM_AN_INCH, 1) : Figures.trimmed(mm, 0);
    }
}
