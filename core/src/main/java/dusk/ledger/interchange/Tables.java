package dusk.ledger.interchange;

import static dusk.ledger.interchange.Column.Kind.NUMBER;
import static dusk.ledger.interchange.Column.Kind.TEXT;
import static dusk.ledger.interchange.Column.Kind.TIME;
import static dusk.ledger.interchange.Column.Kind.WHOLE;
import static dusk.ledger.interchange.Column.Kind.YES_NO;

import dusk.ledger.journal.Angler;
import dusk.ledger.journal.Catch;
import dusk.ledger.journal.Ledger;
import dusk.ledger.journal.Loss;
import dusk.ledger.journal.Reading;
import dusk.ledger.journal.Rod;
import dusk.ledger.journal.SetUp;
import dusk.ledger.journal.Sign;
import dusk.ledger.journal.Spot;
import dusk.ledger.journal.Stint;
import dusk.ledger.journal.Touch;
import dusk.ledger.journal.Trip;
import dusk.ledger.journal.Water;
import dusk.ledger.units.Bearing;
import dusk.ledger.units.Force;
import dusk.ledger.units.Length;
import dusk.ledger.units.Mass;
import dusk.ledger.units.Position;
import dusk.ledger.units.Speed;
import dusk.ledger.units.Temperature;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/** The twelve files of the ledger package, in an order in which every reference points back. */
public final class Tables {
    /** Stands in for a time that was missing or unreadable; that problem is reported, so no such record leaves the reader. */
    private static final Instant UNREAD = Instant.EPOCH;

    public static final Table<Angler> ANGLERS = new Table<>(
            "anglers",
            true,
            new Columns<Angler>()
                    .id("angler_id", Angler::id)
                    .text("name", Angler::name)
                    .list(),
            c -> new Angler(c.id("angler_id"), c.text("name")),
            Ledger::anglers);

    public static final Table<Water> WATERS = new Table<>(
            "waters",
            true,
            new Columns<Water>()
                    .id("water_id", Water::id)
                    .required("name", Water::name)
                    .required("kind", Water::kind)
                    .position(Water::position)
                    .text("time_zone", w -> shown(w.timeZone(), ZoneId::getId))
                    .list(),
            c -> new Water(c.id("water_id"), c.id("name"), c.id("kind"), c.position(), c.zone("time_zone")),
            Ledger::waters);

    public static final Table<Spot> SPOTS = new Table<>(
            "spots",
            false,
            new Columns<Spot>()
                    .id("spot_id", Spot::id)
                    .reference("water_id", "waters", true, Spot::waterId)
                    .text("label", Spot::label)
                    .text("structure", Spot::structure)
                    .text("bottom", Spot::bottom)
                    .text("cover", Spot::cover)
                    .position(Spot::position)
                    .list(),
            c -> new Spot(
                    c.id("spot_id"),
                    c.id("water_id"),
                    c.text("label"),
                    c.text("structure"),
                    c.text("bottom"),
                    c.text("cover"),
                    c.position()),
            Ledger::spots);

    public static final Table<SetUp> SETUPS = new Table<>(
            "setups",
            true,
            new Columns<SetUp>()
                    .id("setup_id", SetUp::id)
                    .reference("from_setup_id", "setups", false, SetUp::fromSetUpId)
                    .required("rig", SetUp::rig)
                    .text("head_shape", SetUp::headShape)
                    .mass("head_mass_g", SetUp::headMass)
                    .text("head_material", SetUp::headMaterial)
                    .text("head_colour", SetUp::headColour)
                    .text("hook_size", SetUp::hookSize)
                    .text("hook_wire", SetUp::hookWire)
                    .text("weed_guard", SetUp::weedGuard)
                    .text("keeper", SetUp::keeper)
                    .text("skirt", SetUp::skirt)
                    .text("blade", SetUp::blade)
                    .text("rattle", SetUp::rattle)
                    .text("plastic", SetUp::plastic)
                    .millimetres("plastic_length_mm", SetUp::plasticLength)
                    .text("plastic_material", SetUp::plasticMaterial)
                    .text("colour", SetUp::colour)
                    .text("colour_accent", SetUp::colourAccent)
                    .millimetres("leader_mm", SetUp::leader)
                    .text("line_material", SetUp::lineMaterial)
                    .newtons("line_strength_n", SetUp::lineStrength)
                    .millimetres("line_diameter_mm", SetUp::lineDiameter)
                    .text("leader_material", SetUp::leaderMaterial)
                    .newtons("leader_strength_n", SetUp::leaderStrength)
                    .millimetres("leader_diameter_mm", SetUp::leaderDiameter)
                    .list(),
            Tables::setUp,
            Ledger::setUps);

    public static final Table<Rod> RODS = new Table<>(
            "rods",
            false,
            new Columns<Rod>()
                    .id("rod_id", Rod::id)
                    .text("name", Rod::name)
                    .millimetres("length_mm", Rod::length)
                    .text("power", Rod::power)
                    .text("action", Rod::action)
                    .mass("lure_min_g", Rod::lureMin)
                    .mass("lure_max_g", Rod::lureMax)
                    .millimetres("retrieve_mm", Rod::retrieve)
                    .list(),
            c -> new Rod(
                    c.id("rod_id"),
                    c.text("name"),
                    c.millimetres("length_mm"),
                    c.text("power"),
                    c.text("action"),
                    c.mass("lure_min_g"),
                    c.mass("lure_max_g"),
                    c.millimetres("retrieve_mm")),
            Ledger::rods);

    public static final Table<Trip> TRIPS = new Table<>(
            "trips",
            true,
            new Columns<Trip>()
                    .id("trip_id", Trip::id)
                    .reference("water_id", "waters", true, Trip::waterId)
                    .time("started_at", true, Trip::startedAt)
                    .time("ended_at", false, Trip::endedAt)
                    .text("note", Trip::note)
                    .list(),
            c -> new Trip(
                    c.id("trip_id"),
                    c.id("water_id"),
                    orUnread(c.time("started_at")),
                    c.time("ended_at"),
                    c.text("note")),
            Ledger::trips);

    public static final Table<Reading> READINGS = new Table<>(
            "readings",
            false,
            new Columns<Reading>()
                    .id("reading_id", Reading::id)
                    .reference("trip_id", "trips", true, Reading::tripId)
                    .time("at", true, Reading::at)
                    .celsius("water_temp_c", Reading::waterTemp)
                    .metres("clarity_m", Reading::clarity)
                    .text("sky", Reading::sky)
                    .speed("wind_mps", Reading::wind)
                    .number("wind_from_deg", r -> shown(r.windFrom(), Bearing::degrees))
                    .speed("current_mps", Reading::current)
                    .text("level_trend", Reading::levelTrend)
                    .text("tide", Reading::tide)
                    .text("weather", Reading::weather)
                    .text("pressure", Reading::pressure)
                    .number("air_pressure_hpa", Reading::airPressureHpa)
                    .celsius("air_temp_c", Reading::airTemp)
                    .text("forage", Reading::forage)
                    .millimetres("forage_length_mm", Reading::forageLength)
                    .text("source", Reading::source)
                    .list(),
            Tables::reading,
            Ledger::readings);

    public static final Table<Stint> STINTS = new Table<>(
            "stints",
            true,
            new Columns<Stint>()
                    .id("stint_id", Stint::id)
                    .reference("trip_id", "trips", true, Stint::tripId)
                    .reference("angler_id", "anglers", true, Stint::anglerId)
                    .reference("spot_id", "spots", false, Stint::spotId)
                    .reference("setup_id", "setups", true, Stint::setUpId)
                    .time("started_at", true, Stint::startedAt)
                    .add("minutes", NUMBER, true, null, Stint::minutes)
                    .whole("casts", Stint::casts)
                    .reference("rod_id", "rods", false, Stint::rodId)
                    .metres("depth_m", Stint::depth)
                    .text("fish_position", Stint::fishPosition)
                    .text("presentation", Stint::presentation)
                    .text("speed", Stint::speed)
                    .number("pause_s", Stint::pauseSeconds)
                    .text("line_method", Stint::lineMethod)
                    .text("hook_set", Stint::hookSet)
                    .text("purpose", Stint::purpose)
                    .whole("plastics_used", Stint::plasticsUsed)
                    .whole("follows", Stint::follows)
                    .whole("bites", Stint::bites)
                    .whole("hooked", Stint::hooked)
                    .list(),
            Tables::stint,
            Ledger::stints);

    public static final Table<Catch> CATCHES = new Table<>(
            "catches",
            false,
            new Columns<Catch>()
                    .id("catch_id", Catch::id)
                    .reference("stint_id", "stints", true, Catch::stintId)
                    .time("at", false, Catch::at)
                    .required("species", Catch::species)
                    .whole("count", Catch::count)
                    .millimetres("length_mm", Catch::length)
                    .text("length_how", Catch::lengthHow)
                    .mass("mass_g", Catch::mass)
                    .text("mass_how", Catch::massHow)
                    .text("bite_on", Catch::biteOn)
                    .add("kept", YES_NO, false, null, Catch::kept)
                    .list(),
            c -> new Catch(
                    c.id("catch_id"),
                    c.id("stint_id"),
                    c.time("at"),
                    c.id("species"),
                    c.whole("count", 1),
                    c.millimetres("length_mm"),
                    c.text("length_how"),
                    c.mass("mass_g"),
                    c.text("mass_how"),
                    c.text("bite_on"),
                    c.yesNo("kept")),
            Ledger::catches);

    public static final Table<Touch> TOUCHES = new Table<>(
            "touches",
            false,
            new Columns<Touch>()
                    .id("touch_id", Touch::id)
                    .reference("stint_id", "stints", true, Touch::stintId)
                    .time("at", true, Touch::at)
                    .required("kind", Touch::kind)
                    .list(),
            c -> new Touch(c.id("touch_id"), c.id("stint_id"), orUnread(c.time("at")), c.id("kind")),
            Ledger::touches);

    public static final Table<Sign> SIGNS = new Table<>(
            "signs",
            false,
            new Columns<Sign>()
                    .id("sign_id", Sign::id)
                    .reference("trip_id", "trips", true, Sign::tripId)
                    .reference("spot_id", "spots", false, Sign::spotId)
                    .time("at", true, Sign::at)
                    .required("kind", Sign::kind)
                    .text("note", Sign::note)
                    .list(),
            c -> new Sign(
                    c.id("sign_id"),
                    c.id("trip_id"),
                    c.text("spot_id"),
                    orUnread(c.time("at")),
                    c.id("kind"),
                    c.text("note")),
            Ledger::signs);

    public static final Table<Loss> LOSSES = new Table<>(
            "losses",
            false,
            new Columns<Loss>()
                    .id("loss_id", Loss::id)
                    .reference("stint_id", "stints", true, Loss::stintId)
                    .time("at", false, Loss::at)
                    .required("cause", Loss::cause)
                    .whole("count", Loss::count)
                    .list(),
            c -> new Loss(c.id("loss_id"), c.id("stint_id"), c.time("at"), c.id("cause"), c.whole("count", 1)),
            Ledger::losses);

    /** All of them; a table's references point to tables before it or to itself. */
    public static final List<Table<?>> ALL =
            List.of(ANGLERS, WATERS, SPOTS, SETUPS, RODS, TRIPS, READINGS, STINTS, CATCHES, TOUCHES, SIGNS, LOSSES);

    private Tables() {}

    /** Where the records of a table come from. */
    public interface Source {
        <T> List<T> of(Table<T> table);
    }

    /** Puts a ledger together from its tables. */
    public static Ledger ledger(Source source) {
        return new Ledger(
                source.of(ANGLERS),
                source.of(WATERS),
                source.of(SPOTS),
                source.of(SETUPS),
                source.of(RODS),
                source.of(TRIPS),
                source.of(READINGS),
                source.of(STINTS),
                source.of(CATCHES),
                source.of(TOUCHES),
                source.of(SIGNS),
                source.of(LOSSES));
    }

    private static SetUp setUp(Cells c) {
        return new SetUp(
                c.id("setup_id"),
                c.text("from_setup_id"),
                c.id("rig"),
                c.text("head_shape"),
                c.mass("head_mass_g"),
                c.text("head_material"),
                c.text("head_colour"),
                c.text("hook_size"),
                c.text("hook_wire"),
                c.text("weed_guard"),
                c.text("keeper"),
                c.text("skirt"),
                c.text("blade"),
                c.text("rattle"),
                c.text("plastic"),
                c.millimetres("plastic_length_mm"),
                c.text("plastic_material"),
                c.text("colour"),
                c.text("colour_accent"),
                c.millimetres("leader_mm"),
                c.text("line_material"),
                c.newtons("line_strength_n"),
                c.millimetres("line_diameter_mm"),
                c.text("leader_material"),
                c.newtons("leader_strength_n"),
                c.millimetres("leader_diameter_mm"));
    }

    private static Reading reading(Cells c) {
        return new Reading(
                c.id("reading_id"),
                c.id("trip_id"),
                orUnread(c.time("at")),
                c.celsius("water_temp_c"),
                c.metres("clarity_m"),
                c.text("sky"),
                c.speed("wind_mps"),
                c.bearing("wind_from_deg"),
                c.speed("current_mps"),
                c.text("level_trend"),
                c.text("tide"),
                c.text("weather"),
                c.text("pressure"),
                c.number("air_pressure_hpa"),
                c.celsius("air_temp_c"),
                c.text("forage"),
                c.millimetres("forage_length_mm"),
                c.text("source"));
    }

    private static Stint stint(Cells c) {
        Double minutes = c.number("minutes");
        return new Stint(
                c.id("stint_id"),
                c.id("trip_id"),
                c.id("angler_id"),
                c.text("spot_id"),
                c.id("setup_id"),
                orUnread(c.time("started_at")),
                minutes == null ? 0 : minutes,
                c.whole("casts"),
                c.text("rod_id"),
                c.metres("depth_m"),
                c.text("fish_position"),
                c.text("presentation"),
                c.text("speed"),
                c.number("pause_s"),
                c.text("line_method"),
                c.text("hook_set"),
                c.text("purpose"),
                c.whole("plastics_used"),
                c.whole("follows", 0),
                c.whole("bites", 0),
                c.whole("hooked", 0));
    }

    private static Instant orUnread(@Nullable Instant time) {
        return time == null ? UNREAD : time;
    }

    private static <A, B> @Nullable B shown(@Nullable A value, Function<A, B> how) {
        return value == null ? null : how.apply(value);
    }

    /** Builds a column list. */
    private static final class Columns<T> {
        private final List<Column<T>> columns = new ArrayList<>();

        Columns<T> add(
                String name,
                Column.Kind kind,
                boolean required,
                @Nullable String references,
                Function<T, @Nullable Object> value) {
            columns.add(new Column<>(name, kind, required, references, value));
            return this;
        }

        Columns<T> id(String name, Function<T, @Nullable Object> value) {
            return add(name, TEXT, true, null, value);
        }

        Columns<T> required(String name, Function<T, @Nullable Object> value) {
            return add(name, TEXT, true, null, value);
        }

        Columns<T> text(String name, Function<T, @Nullable Object> value) {
            return add(name, TEXT, false, null, value);
        }

        Columns<T> reference(String name, String table, boolean required, Function<T, @Nullable Object> value) {
            return add(name, TEXT, required, table, value);
        }

        Columns<T> time(String name, boolean required, Function<T, @Nullable Object> value) {
            return add(name, TIME, required, null, value);
        }

        Columns<T> whole(String name, Function<T, @Nullable Integer> value) {
            return add(name, WHOLE, false, null, t -> shown(value.apply(t), Integer::longValue));
        }

        Columns<T> number(String name, Function<T, @Nullable Object> value) {
            return add(name, NUMBER, false, null, value);
        }

        Columns<T> mass(String name, Function<T, @Nullable Mass> value) {
            return number(name, t -> shown(value.apply(t), Mass::grams));
        }

        Columns<T> millimetres(String name, Function<T, @Nullable Length> value) {
            return number(name, t -> shown(value.apply(t), Length::millimetres));
        }

        Columns<T> metres(String name, Function<T, @Nullable Length> value) {
            return number(name, t -> shown(value.apply(t), Length::metres));
        }

        Columns<T> celsius(String name, Function<T, @Nullable Temperature> value) {
            return number(name, t -> shown(value.apply(t), Temperature::celsius));
        }

        Columns<T> speed(String name, Function<T, @Nullable Speed> value) {
            return number(name, t -> shown(value.apply(t), Speed::metresPerSecond));
        }

        Columns<T> newtons(String name, Function<T, @Nullable Force> value) {
            return number(name, t -> shown(value.apply(t), Force::newtons));
        }

        Columns<T> position(Function<T, @Nullable Position> value) {
            number("latitude", t -> shown(value.apply(t), Position::latitude));
            return number("longitude", t -> shown(value.apply(t), Position::longitude));
        }

        List<Column<T>> list() {
            return List.copyOf(columns);
        }
    }
}
