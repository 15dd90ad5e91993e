package dusk.ledger.web.debrief;

import dusk.ledger.debrief.DayHint;
import dusk.ledger.journal.Catch;
import dusk.ledger.journal.Loss;
import dusk.ledger.journal.Reading;
import dusk.ledger.journal.SetUp;
import dusk.ledger.journal.Spot;
import dusk.ledger.journal.Stint;
import dusk.ledger.light.Sun;
import dusk.ledger.units.Figures;
import dusk.ledger.units.UnitSystem;
import dusk.ledger.web.words.FishWords;
import dusk.ledger.web.words.PlaceWords;
import dusk.ledger.web.words.SetUpWords;
import dusk.ledger.web.words.StintWords;
import dusk.ledger.web.words.TimeText;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** Lays a day out to be looked back on. */
final class Debriefs {
    private static final int MOST_HINTS = 5;
    private static final double PERCENT = 100;

    private final DayRecord day;
    private final UnitSystem units;

    Debriefs(DayRecord day, UnitSystem units) {
        this.day = day;
        this.units = units;
    }

    Debrief page(boolean mayAdd, boolean mayChange) {
        String summary = summary();
        Map<String, String> fishers = new LinkedHashMap<>();
        day.stints().forEach(s -> fishers.put(s.anglerId(), day.name(s.anglerId())));
        return new Debrief(
                day.trip().id(),
                day.water().name(),
                TimeText.date(day.trip().startedAt(), day.zone()),
                summary,
                DayPicture.svg(day, units, "The day as a picture: " + summary),
                lines(),
                hints(),
                gaps(),
                day.trip().note() == null ? "" : day.trip().note(),
                mayAdd,
                mayChange,
                day.trip().endedAt() == null,
                fishers.entrySet().stream()
                        .map(f -> new Debrief.Client(f.getKey(), f.getValue()))
                        .toList());
    }

    private String summary() {
        double hours = day.stints().stream().mapToDouble(Stint::rodHours).sum();
        int bites = day.stints().stream().mapToInt(Stint::bites).sum();
        int lost = day.losses().stream().mapToInt(Loss::count).sum();
        return StintWords.count(day.landed(day.stints()), "fish", "fish") + " and "
                + StintWords.count(bites, "bite", "bites") + " in " + Figures.fixed(hours, 1) + " rod-hours; "
                + StintWords.count(lost, "fish", "fish") + " lost.";
    }

    private List<Debrief.Line> lines() {
        Map<String, Stint> last = new HashMap<>();
        List<Debrief.Line> lines = new ArrayList<>();
        for (Stint stint : day.stints()) {
            Stint before = last.put(stint.anglerId(), stint);
            SetUp setUp = day.setUps().get(stint.setUpId());
            lines.add(new Debrief.Line(
                    TimeText.hour(stint.startedAt(), day.zone()),
                    Figures.trimmed(stint.minutes(), 0),
                    day.name(stint.anglerId()),
                    setUp == null ? "" : SetUpWords.of(setUp, units),
                    before == null ? place(stint) : Breaks.words(day, before, stint, units),
                    came(stint)));
        }
        return lines;
    }

    private String place(Stint stint) {
        Spot spot = day.spot(stint);
        return spot == null ? "" : PlaceWords.of(spot);
    }

    private String came(Stint stint) {
        List<String> came = new ArrayList<>(StintWords.touched(stint));
        int fish = day.fish(stint).stream().mapToInt(Catch::count).sum();
        came.add(fish == 0 ? "no fish" : StintWords.count(fish, "fish", "fish"));
        return String.join(", ", came);
    }

    private List<Debrief.Hint> hints() {
        List<DayHint.Slice> slices = new ArrayList<>();
        for (Stint stint : day.stints()) {
            slices.add(new DayHint.Slice(levels(stint), stint.bites(), stint.rodHours()));
        }
        return DayHint.of(slices).stream().limit(MOST_HINTS).map(this::sentence).toList();
    }

    private Map<String, String> levels(Stint stint) {
        Map<String, String> levels = new LinkedHashMap<>();
        SetUp setUp = day.setUps().get(stint.setUpId());
        if (setUp != null) {
            put(levels, "colour", setUp.colour());
            put(
                    levels,
                    "head weight",
                    setUp.headMass() == null ? null : setUp.headMass().show(units.headMass()));
            put(levels, "plastic", setUp.plastic());
            put(
                    levels,
                    "length of the plastic",
                    setUp.plasticLength() == null ? null : setUp.plasticLength().show(units.lure()));
            put(levels, "rig", setUp.rig());
        }
        put(levels, "way of fishing", stint.presentation());
        put(levels, "place", day.spot(stint) == null ? null : place(stint));
        put(levels, "depth", stint.depth() == null ? null : stint.depth().show(units.depth()));
        put(levels, "angler", day.name(stint.anglerId()));
        Instant middle = stint.startedAt().plus(Duration.ofSeconds(Math.round(stint.minutes() * 30)));
        put(levels, "light", Sun.lightAt(middle, day.water().sunAt()).word());
        return levels;
    }

    private static void put(Map<String, String> levels, String factor, @Nullable String level) {
        if (level != null) {
            levels.put(factor, level);
        }
    }

    private Debrief.Hint sentence(DayHint hint) {
        String doubt = "Rates this far apart come by luck on " + Math.round(PERCENT * hint.chance())
                + " % of days"
                + (hint.changedWith().isEmpty()
                        ? "."
                        : ", and it was not the only thing that changed: " + String.join(", ", hint.changedWith())
                                + " changed with it.");
        return new Debrief.Hint(
                "By " + hint.factor() + ": " + side(hint.more()) + ", against " + side(hint.less()) + ".", doubt);
    }

    private static String side(DayHint.Side side) {
        return side.level() + " took " + StintWords.count(side.bites(), "bite", "bites") + " in "
                + Figures.fixed(side.rodHours(), 1) + " rod-hours";
    }

    private List<Debrief.Gap> gaps() {
        String page = "/trips/" + day.trip().id();
        List<Debrief.Gap> gaps = new ArrayList<>();
        for (Catch fish : day.catches()) {
            if (fish.length() == null && fish.count() == 1) {
                String at = fish.at() == null ? "" : " of " + TimeText.hour(fish.at(), day.zone());
                gaps.add(new Debrief.Gap(
                        "The " + fish.species() + at + " has no length.", page + "/fish/" + fish.id() + "/edit"));
            }
        }
        if (day.readings().stream().allMatch(r -> r.waterTemp() == null)) {
            gaps.add(new Debrief.Gap("No water temperature was taken.", page + "/readings/new"));
        }
        if (day.readings().stream().allMatch(r -> r.clarity() == null)) {
            gaps.add(new Debrief.Gap("No clarity was taken.", page + "/readings/new"));
        }
        for (Stint stint : day.stints()) {
            String from = TimeText.hour(stint.startedAt(), day.zone());
            if (stint.spotId() == null) {
                gaps.add(new Debrief.Gap(
                        "The stint of " + from + " has no place.", page + "/stints/" + stint.id() + "/edit"));
            } else if (stint.presentation() == null) {
                gaps.add(new Debrief.Gap(
                        "The stint of " + from + " does not say how it was fished.",
                        page + "/stints/" + stint.id() + "/edit"));
            }
        }
        return gaps;
    }

    /** The day in the eyes of one who fished it. No place is on it. */
    ClientCard card(String anglerId) {
        List<Stint> theirs =
                day.stints().stream().filter(s -> s.anglerId().equals(anglerId)).toList();
        List<String> fish = new ArrayList<>();
        for (Stint stint : theirs) {
            day.fish(stint).forEach(f -> fish.add(fish(f, stint)));
        }
        Map<String, List<Stint>> bySetUp = new LinkedHashMap<>();
        theirs.forEach(s ->
                bySetUp.computeIfAbsent(s.setUpId(), k -> new ArrayList<>()).add(s));
        SetUp best = null;
        int most = 0;
        for (Map.Entry<String, List<Stint>> entry : bySetUp.entrySet()) {
            int landed = day.landed(entry.getValue());
            if (landed > most) {
                most = landed;
                best = day.setUps().get(entry.getKey());
            }
        }
        double hours = theirs.stream().mapToDouble(Stint::rodHours).sum();
        return new ClientCard(
                day.trip().id(),
                anglerId,
                day.name(anglerId),
                day.water().name(),
                TimeText.date(day.trip().startedAt(), day.zone()),
                StintWords.count(day.landed(theirs), "fish", "fish") + " in " + Figures.fixed(hours, 1)
                        + " hours of fishing",
                fish,
                best == null ? "" : SetUpWords.of(best, units),
                best == null ? null : best,
                best == null ? "" : StintWords.count(most, "fish", "fish") + " on it",
                sun(),
                water());
    }

    private String fish(Catch fish, Stint stint) {
        Instant at = fish.at() == null ? stint.startedAt() : fish.at();
        return FishWords.of(fish, units) + ", " + TimeText.hour(at, day.zone());
    }

    private String sun() {
        Sun.Day almanac = Sun.day(
                day.trip().startedAt().atZone(day.zone()).toLocalDate(),
                day.zone(),
                day.water().sunAt());
        Instant rise = almanac.rise();
        Instant set = almanac.set();
        return rise == null || set == null
                ? ""
                : "Sun up " + TimeText.hour(rise, day.zone()) + ", down " + TimeText.hour(set, day.zone());
    }

    private String water() {
        for (Reading reading : day.readings()) {
            if (reading.waterTemp() != null) {
                return "Water " + reading.waterTemp().show(units.temperature());
            }
        }
        return "";
    }
}
