package dusk.ledger.format;

import dusk.ledger.journal.Angler;
import dusk.ledger.journal.AnglerBuilder;
import dusk.ledger.journal.Catch;
import dusk.ledger.journal.CatchBuilder;
import dusk.ledger.journal.Drop;
import dusk.ledger.journal.DropBuilder;
import dusk.ledger.journal.Ledger;
import dusk.ledger.journal.Loss;
import dusk.ledger.journal.LossBuilder;
import dusk.ledger.journal.Reading;
import dusk.ledger.journal.ReadingBuilder;
import dusk.ledger.journal.Rod;
import dusk.ledger.journal.RodBuilder;
import dusk.ledger.journal.Rule;
import dusk.ledger.journal.RuleBuilder;
import dusk.ledger.journal.SetUp;
import dusk.ledger.journal.SetUpBuilder;
import dusk.ledger.journal.Sign;
import dusk.ledger.journal.SignBuilder;
import dusk.ledger.journal.Spot;
import dusk.ledger.journal.SpotBuilder;
import dusk.ledger.journal.Stint;
import dusk.ledger.journal.StintBuilder;
import dusk.ledger.journal.Touch;
import dusk.ledger.journal.TouchBuilder;
import dusk.ledger.journal.Trip;
import dusk.ledger.journal.TripBuilder;
import dusk.ledger.journal.Water;
import dusk.ledger.journal.WaterBuilder;
import dusk.ledger.units.Length;
import java.util.List;

/** The files of the ledger package, in an order in which every reference points back. */
public final class LedgerFormat {
    /**
     * What the package is in: the first had no drops, no rules, did not say whose a trip or a place is, and knew less of
     * hooks, leaders, bodies, places, prey and bites.
     */
    public static final int EDITION = 2;

    /** Stands in for a depth that was missing or unreadable; that is reported, so no such record leaves the reader. */
    private static final Length UNREAD = Length.ofMetres(1);

    public static final Table<Angler> ANGLERS = new Columns<Angler, AnglerBuilder>(
                    AnglerBuilder::builder, AnglerBuilder::build)
            .id("angler_id", Angler::id, AnglerBuilder::id)
            .text("name", Angler::name, AnglerBuilder::name)
            .table("anglers", true, Ledger::anglers);

    public static final Table<Water> WATERS = new Columns<Water, WaterBuilder>(
                    WaterBuilder::builder, WaterBuilder::build)
            .id("water_id", Water::id, WaterBuilder::id)
            .required("name", Water::name, WaterBuilder::name)
            .required("kind", Water::kind, WaterBuilder::kind)
            .position(Water::position, WaterBuilder::position)
            .zone("time_zone", Water::timeZone, WaterBuilder::timeZone)
            .table("waters", true, Ledger::waters);

    public static final Table<Spot> SPOTS = new Columns<Spot, SpotBuilder>(SpotBuilder::builder, SpotBuilder::build)
            .id("spot_id", Spot::id, SpotBuilder::id)
            .reference("water_id", "waters", Spot::waterId, SpotBuilder::waterId)
            .text("label", Spot::label, SpotBuilder::label)
            .text("structure", Spot::structure, SpotBuilder::structure)
            .text("bottom", Spot::bottom, SpotBuilder::bottom)
            .text("cover", Spot::cover, SpotBuilder::cover)
            .position(Spot::position, SpotBuilder::position)
            .maybe("kept_by", "anglers", Spot::keptBy, SpotBuilder::keptBy)
            .text("slope", Spot::slope, SpotBuilder::slope)
            .metres("top_m", Spot::top, SpotBuilder::top)
            .metres("foot_m", Spot::foot, SpotBuilder::foot)
            .text("shelter", Spot::shelter, SpotBuilder::shelter)
            .yesNo("shade", Spot::shade, SpotBuilder::shade)
            .table("spots", false, Ledger::spots);

    public static final Table<SetUp> SETUPS = new Columns<SetUp, SetUpBuilder>(
                    SetUpBuilder::builder, SetUpBuilder::build)
            .id("setup_id", SetUp::id, SetUpBuilder::id)
            .maybe("from_setup_id", "setups", SetUp::fromSetUpId, SetUpBuilder::fromSetUpId)
            .required("rig", SetUp::rig, SetUpBuilder::rig)
            .text("head_shape", SetUp::headShape, SetUpBuilder::headShape)
            .mass("head_mass_g", SetUp::headMass, SetUpBuilder::headMass)
            .text("head_material", SetUp::headMaterial, SetUpBuilder::headMaterial)
            .text("head_colour", SetUp::headColour, SetUpBuilder::headColour)
            .text("hook_size", SetUp::hookSize, SetUpBuilder::hookSize)
            .text("hook_wire", SetUp::hookWire, SetUpBuilder::hookWire)
            .text("weed_guard", SetUp::weedGuard, SetUpBuilder::weedGuard)
            .text("keeper", SetUp::keeper, SetUpBuilder::keeper)
            .text("skirt", SetUp::skirt, SetUpBuilder::skirt)
            .text("blade", SetUp::blade, SetUpBuilder::blade)
            .text("rattle", SetUp::rattle, SetUpBuilder::rattle)
            .text("plastic", SetUp::plastic, SetUpBuilder::plastic)
            .millimetres("plastic_length_mm", SetUp::plasticLength, SetUpBuilder::plasticLength)
            .text("plastic_material", SetUp::plasticMaterial, SetUpBuilder::plasticMaterial)
            .text("colour", SetUp::colour, SetUpBuilder::colour)
            .text("colour_accent", SetUp::colourAccent, SetUpBuilder::colourAccent)
            .millimetres("leader_mm", SetUp::leader, SetUpBuilder::leader)
            .text("line_material", SetUp::lineMaterial, SetUpBuilder::lineMaterial)
            .newtons("line_strength_n", SetUp::lineStrength, SetUpBuilder::lineStrength)
            .millimetres("line_diameter_mm", SetUp::lineDiameter, SetUpBuilder::lineDiameter)
            .text("leader_material", SetUp::leaderMaterial, SetUpBuilder::leaderMaterial)
            .newtons("leader_strength_n", SetUp::leaderStrength, SetUpBuilder::leaderStrength)
            .millimetres("leader_diameter_mm", SetUp::leaderDiameter, SetUpBuilder::leaderDiameter)
            .millimetres("leader_length_mm", SetUp::leaderLength, SetUpBuilder::leaderLength)
            .text("line_colour", SetUp::lineColour, SetUpBuilder::lineColour)
            .text("hook_pattern", SetUp::hookPattern, SetUpBuilder::hookPattern)
            .text("plastic_body", SetUp::plasticBody, SetUpBuilder::plasticBody)
            .millimetres("trimmed_from_mm", SetUp::trimmedFrom, SetUpBuilder::trimmedFrom)
            .yesNo("pegged", SetUp::pegged, SetUpBuilder::pegged)
            .table("setups", true, Ledger::setUps);

    public static final Table<Rod> RODS = new Columns<Rod, RodBuilder>(RodBuilder::builder, RodBuilder::build)
            .id("rod_id", Rod::id, RodBuilder::id)
            .text("name", Rod::name, RodBuilder::name)
            .millimetres("length_mm", Rod::length, RodBuilder::length)
            .text("power", Rod::power, RodBuilder::power)
            .text("action", Rod::action, RodBuilder::action)
            .mass("lure_min_g", Rod::lureMin, RodBuilder::lureMin)
            .mass("lure_max_g", Rod::lureMax, RodBuilder::lureMax)
            .millimetres("retrieve_mm", Rod::retrieve, RodBuilder::retrieve)
            .table("rods", false, Ledger::rods);

    public static final Table<Trip> TRIPS = new Columns<Trip, TripBuilder>(TripBuilder::builder, TripBuilder::build)
            .id("trip_id", Trip::id, TripBuilder::id)
            .reference("water_id", "waters", Trip::waterId, TripBuilder::waterId)
            .time("started_at", Trip::startedAt, TripBuilder::startedAt)
            .timeIfKnown("ended_at", Trip::endedAt, TripBuilder::endedAt)
            .text("note", Trip::note, TripBuilder::note)
            .maybe("logged_by", "anglers", Trip::loggedBy, TripBuilder::loggedBy)
            .table("trips", true, Ledger::trips);

    public static final Table<Reading> READINGS = new Columns<Reading, ReadingBuilder>(
                    ReadingBuilder::builder, ReadingBuilder::build)
            .id("reading_id", Reading::id, ReadingBuilder::id)
            .reference("trip_id", "trips", Reading::tripId, ReadingBuilder::tripId)
            .time("at", Reading::at, ReadingBuilder::at)
            .celsius("water_temp_c", Reading::waterTemp, ReadingBuilder::waterTemp)
            .metres("clarity_m", Reading::clarity, ReadingBuilder::clarity)
            .text("sky", Reading::sky, ReadingBuilder::sky)
            .speed("wind_mps", Reading::wind, ReadingBuilder::wind)
            .bearing("wind_from_deg", Reading::windFrom, ReadingBuilder::windFrom)
            .speed("current_mps", Reading::current, ReadingBuilder::current)
            .text("level_trend", Reading::levelTrend, ReadingBuilder::levelTrend)
            .text("tide", Reading::tide, ReadingBuilder::tide)
            .text("weather", Reading::weather, ReadingBuilder::weather)
            .text("pressure", Reading::pressure, ReadingBuilder::pressure)
            .number("air_pressure_hpa", Reading::airPressureHpa, ReadingBuilder::airPressureHpa)
            .celsius("air_temp_c", Reading::airTemp, ReadingBuilder::airTemp)
            .text("forage", Reading::forage, ReadingBuilder::forage)
            .millimetres("forage_length_mm", Reading::forageLength, ReadingBuilder::forageLength)
            .text("source", Reading::source, ReadingBuilder::source)
            .text("how", Reading::how, ReadingBuilder::how)
            .text("prey_colour", Reading::preyColour, ReadingBuilder::preyColour)
            .table("readings", false, Ledger::readings);

    public static final Table<Stint> STINTS = new Columns<Stint, StintBuilder>(
                    StintBuilder::builder, StintBuilder::build)
            .id("stint_id", Stint::id, StintBuilder::id)
            .reference("trip_id", "trips", Stint::tripId, StintBuilder::tripId)
            .reference("angler_id", "anglers", Stint::anglerId, StintBuilder::anglerId)
            .maybe("spot_id", "spots", Stint::spotId, StintBuilder::spotId)
            .reference("setup_id", "setups", Stint::setUpId, StintBuilder::setUpId)
            .time("started_at", Stint::startedAt, StintBuilder::startedAt)
            .amount("minutes", Stint::minutes, StintBuilder::minutes)
            .whole("casts", Stint::casts, StintBuilder::casts)
            .maybe("rod_id", "rods", Stint::rodId, StintBuilder::rodId)
            .metres("depth_m", Stint::depth, StintBuilder::depth)
            .text("fish_position", Stint::fishPosition, StintBuilder::fishPosition)
            .text("presentation", Stint::presentation, StintBuilder::presentation)
            .text("speed", Stint::speed, StintBuilder::speed)
            .number("pause_s", Stint::pauseSeconds, StintBuilder::pauseSeconds)
            .text("line_method", Stint::lineMethod, StintBuilder::lineMethod)
            .text("hook_set", Stint::hookSet, StintBuilder::hookSet)
            .text("purpose", Stint::purpose, StintBuilder::purpose)
            .whole("plastics_used", Stint::plasticsUsed, StintBuilder::plasticsUsed)
            .metres("fish_depth_m", Stint::fishDepth, StintBuilder::fishDepth)
            .whole("follows", Stint::follows, StintBuilder::follows)
            .whole("bites", Stint::bites, StintBuilder::bites)
            .whole("hooked", Stint::hooked, StintBuilder::hooked)
            .text("not_recorded", Stint::notRecorded, StintBuilder::notRecorded)
            .table("stints", true, Ledger::stints);

    public static final Table<Catch> CATCHES = new Columns<Catch, CatchBuilder>(
                    () -> CatchBuilder.builder().count(1), CatchBuilder::build)
            .id("catch_id", Catch::id, CatchBuilder::id)
            .reference("stint_id", "stints", Catch::stintId, CatchBuilder::stintId)
            .timeIfKnown("at", Catch::at, CatchBuilder::at)
            .required("species", Catch::species, CatchBuilder::species)
            .whole("count", Catch::count, CatchBuilder::count)
            .millimetres("length_mm", Catch::length, CatchBuilder::length)
            .text("length_how", Catch::lengthHow, CatchBuilder::lengthHow)
            .mass("mass_g", Catch::mass, CatchBuilder::mass)
            .text("mass_how", Catch::massHow, CatchBuilder::massHow)
            .text("bite_on", Catch::biteOn, CatchBuilder::biteOn)
            .yesNo("kept", Catch::kept, CatchBuilder::kept)
            .text("hooked_in", Catch::hookedIn, CatchBuilder::hookedIn)
            .table("catches", false, Ledger::catches);

    public static final Table<Touch> TOUCHES = new Columns<Touch, TouchBuilder>(
                    TouchBuilder::builder, TouchBuilder::build)
            .id("touch_id", Touch::id, TouchBuilder::id)
            .reference("stint_id", "stints", Touch::stintId, TouchBuilder::stintId)
            .time("at", Touch::at, TouchBuilder::at)
            .required("kind", Touch::kind, TouchBuilder::kind)
            .text("bite_on", Touch::biteOn, TouchBuilder::biteOn)
            .text("felt", Touch::felt, TouchBuilder::felt)
            .table("touches", false, Ledger::touches);

    public static final Table<Sign> SIGNS = new Columns<Sign, SignBuilder>(SignBuilder::builder, SignBuilder::build)
            .id("sign_id", Sign::id, SignBuilder::id)
            .reference("trip_id", "trips", Sign::tripId, SignBuilder::tripId)
            .maybe("spot_id", "spots", Sign::spotId, SignBuilder::spotId)
            .time("at", Sign::at, SignBuilder::at)
            .required("kind", Sign::kind, SignBuilder::kind)
            .text("note", Sign::note, SignBuilder::note)
            .table("signs", false, Ledger::signs);

    public static final Table<Loss> LOSSES = new Columns<Loss, LossBuilder>(
                    () -> LossBuilder.builder().count(1), LossBuilder::build)
            .id("loss_id", Loss::id, LossBuilder::id)
            .reference("stint_id", "stints", Loss::stintId, LossBuilder::stintId)
            .timeIfKnown("at", Loss::at, LossBuilder::at)
            .required("cause", Loss::cause, LossBuilder::cause)
            .whole("count", Loss::count, LossBuilder::count)
            .table("losses", false, Ledger::losses);

    public static final Table<Drop> DROPS = new Columns<Drop, DropBuilder>(
                    () -> DropBuilder.builder().depth(UNREAD), DropBuilder::build)
            .id("drop_id", Drop::id, DropBuilder::id)
            .reference("setup_id", "setups", Drop::setUpId, DropBuilder::setUpId)
            .maybe("angler_id", "anglers", Drop::anglerId, DropBuilder::anglerId)
            .time("at", Drop::at, DropBuilder::at)
            .amount("seconds", Drop::seconds, DropBuilder::seconds)
            .depth("depth_m", Drop::depth, DropBuilder::depth)
            .yesNo("salt", Drop::salt, DropBuilder::salt)
            .text("how", Drop::how, DropBuilder::how)
            .table("drops", false, Ledger::drops);

    public static final Table<Rule> RULES = new Columns<Rule, RuleBuilder>(RuleBuilder::builder, RuleBuilder::build)
            .id("rule_id", Rule::id, RuleBuilder::id)
            .reference("water_id", "waters", Rule::waterId, RuleBuilder::waterId)
            .text("species", Rule::species, RuleBuilder::species)
            .millimetres("least_mm", Rule::least, RuleBuilder::least)
            .millimetres("slot_from_mm", Rule::slotFrom, RuleBuilder::slotFrom)
            .millimetres("slot_to_mm", Rule::slotTo, RuleBuilder::slotTo)
            .text("closed_from", Rule::closedFrom, RuleBuilder::closedFrom)
            .text("closed_to", Rule::closedTo, RuleBuilder::closedTo)
            .whole("bag", Rule::bag, RuleBuilder::bag)
            .yesNo("lead_forbidden", Rule::leadForbidden, RuleBuilder::leadForbidden)
            .millimetres("most_mm", Rule::most, RuleBuilder::most)
            .text("gear", Rule::gear, RuleBuilder::gear)
            .text("bait", Rule::bait, RuleBuilder::bait)
            .text("prey", Rule::prey, RuleBuilder::prey)
            .table("rules", false, Ledger::rules);

    /** All of them; a table's references point to tables before it or to itself. */
    public static final List<Table<?>> ALL = List.of(
            ANGLERS, WATERS, SPOTS, SETUPS, RODS, TRIPS, READINGS, STINTS, CATCHES, TOUCHES, SIGNS, LOSSES, DROPS,
            RULES);

    private LedgerFormat() {}

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
                source.of(LOSSES),
                source.of(DROPS),
                source.of(RULES));
    }
}
