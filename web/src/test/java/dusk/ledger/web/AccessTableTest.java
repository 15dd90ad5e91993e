package dusk.ledger.web;

import static org.assertj.core.api.Assertions.assertThat;

import dusk.ledger.fish.WaterRule;
import dusk.ledger.format.LedgerFormat;
import dusk.ledger.instruments.Kind;
import dusk.ledger.journal.Catch;
import dusk.ledger.journal.Ledger;
import dusk.ledger.journal.Loss;
import dusk.ledger.journal.SetUpBuilder;
import dusk.ledger.journal.Sign;
import dusk.ledger.journal.Stint;
import dusk.ledger.teach.Trial;
import dusk.ledger.units.Length;
import dusk.ledger.water.Calibration;
import dusk.ledger.web.afloat.By;
import dusk.ledger.web.afloat.RodActs;
import dusk.ledger.web.afloat.TripActs;
import dusk.ledger.web.records.Drops;
import dusk.ledger.web.records.Instrument;
import dusk.ledger.web.records.Instruments;
import dusk.ledger.web.records.Mappings;
import dusk.ledger.web.records.Person;
import dusk.ledger.web.records.Trials;
import dusk.ledger.web.records.TripRows;
import dusk.ledger.web.records.WaterRules;
import dusk.ledger.web.store.Deletions;
import dusk.ledger.web.store.Intake;
import dusk.ledger.web.store.Progress;
import dusk.ledger.web.store.Trail;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.request.MockMvcRequestBuilders;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;

/**
 * Who gets what: every route of the application, and the answer to everyone who may ask. A route without a row here
 * fails; so does a row that refuses all.
 */
class AccessTableTest extends RequestedClub {
    /**
     * Method, route, what is asked for it (and typed), and the answers to: whoever is signed out; another club's
     * officer; another member; a member who fished the trip; the guide who logged it; the officer. {@code in} is the
     * way to the sign-in page.
     */
    private static final String TABLE = """
            GET  /                                        | /                                   | in  302 302 302 302 302
            GET  /sign-in                                 | /sign-in                            | 200 200 200 200 200 200
            POST /theme                                   | /theme ? theme=dusk                 | in  302 302 302 302 302
            GET  /account                                 | /account                            | in  200 200 200 200 200
            POST /account/units                           | /account/units ? units=us           | in  302 302 302 302 302
            POST /account/password                        | /account/password ? fresh=short     | in  422 422 422 422 422
            GET  /invited/{token}                         | /invited/x                          | 404 404 404 404 404 404
            POST /invited/{token}                         | /invited/x ? name=a                 | 404 404 404 404 404 404
            GET  /begin                                   | /begin                              | 404 404 404 404 404 404
            POST /begin                                   | /begin ? club=x                     | 404 404 404 404 404 404
            GET  /club                                    | /club                               | in  200 200 200 200 200
            GET  /club/export                             | /club/export                        | in  200 404 404 404 200
            GET  /out                                     | /out                                | in  200 200 200 200 200
            GET  /out/{file}.csv                          | /out/trips.csv                      | in  200 200 200 200 200
            GET  /out/{file}.xlsx                         | /out/trips.xlsx                     | in  200 200 200 200 200
            GET  /out/places.geojson                      | /out/places.geojson                 | in  200 200 200 200 200
            GET  /out/places.gpx                          | /out/places.gpx                     | in  200 200 200 200 200
            GET  /out/mine.zip                            | /out/mine.zip                       | in  200 200 200 200 200
            GET  /health                                  | /health                             | 200 200 200 200 200 200
            GET  /club/keeping                            | /club/keeping                       | in  200 404 404 404 200
            GET  /club/instruments                        | /club/instruments                   | in  200 404 404 404 200
            POST /club/instruments                        | /club/instruments ? kind=gauge&name=Mill gauge&address=http://127.0.0.1:9/report.json&water_id=lake | in  422 404 404 404 302
            POST /club/instruments/{id}/delete            | /club/instruments/{instrument}/delete | in 404 404 404 404 302
            POST /club/keeping/back-up                    | /club/keeping/back-up               | in  302 404 404 404 302
            GET  /club/bring                              | /club/bring                         | in  200 404 404 404 200
            POST /club/bring                              | /club/bring                         | in  422 404 404 404 422
            POST /club/bring/stop                         | /club/bring/stop                    | in  302 404 404 404 302
            GET  /club/bring/{id}                         | /club/bring/{draft}                 | in  404 404 404 404 200
            POST /club/bring/{id}                         | /club/bring/{draft} ? row=fish      | in  404 404 404 404 302
            POST /club/bring/{id}/as                      | /club/bring/{draft}/as ? mapping={mapping} | in 404 404 404 404 302
            GET  /club/bring/{id}/mapping.json            | /club/bring/{draft}/mapping.json    | in  404 404 404 404 200
            POST /club/bring/{id}/take                    | /club/bring/{draft}/take            | in  404 404 404 404 302
            POST /club/bring/{id}/forget                  | /club/bring/{draft}/forget          | in  302 404 404 404 302
            POST /club/bring/imports/{id}/undo            | /club/bring/imports/{import}/undo   | in  302 404 404 404 302
            GET  /club/people                             | /club/people                        | in  200 200 200 200 200
            POST /club/people/invite                      | /club/people/invite ? role=chief    | in  422 404 404 404 422
            POST /club/people/{id}/back-in                | /club/people/{person}/back-in       | in  404 404 404 404 302
            POST /club/people/{id}/role                   | /club/people/{person}/role ? role=guide | in 404 404 404 404 302
            POST /club/people/links/{id}/end              | /club/people/links/x/end            | in  302 404 404 404 302
            GET  /club/trail                              | /club/trail                         | in  200 200 200 200 200
            POST /club/trail/{id}/undo                    | /club/trail/{change}/undo           | in  404 404 302 404 302
            POST /account/devices/{id}/end                | /account/devices/x/end              | in  302 302 302 302 302
            GET  /account/leave                           | /account/leave                      | in  200 200 200 200 200
            POST /account/leave                           | /account/leave ? leave=records      | in  422 422 422 422 422
            GET  /club/sharing                            | /club/sharing                       | in  200 200 200 200 200
            POST /club/sharing                            | /club/sharing ? everywhere=kind     | in  302 302 302 302 302
            GET  /club/words                              | /club/words                         | in  200 200 200 200 200
            GET  /club/words/merge                        | /club/words/merge?column=rig&word=wacky&into=drop%20shot | in 404 404 404 404 200
            POST /club/words                              | /club/words ? column=colour&word=lemon | in 302 404 404 404 302
            POST /club/words/{id}/undo                    | /club/words/x/undo                  | in  404 404 404 404 404
            GET  /club/waters/{waterId}                   | /club/waters/lake                   | in  404 200 200 200 200
            GET  /club/waters/{waterId}/edit              | /club/waters/lake/edit              | in  404 404 404 404 200
            POST /club/waters/{waterId}                   | /club/waters/lake ? name=Kell Mere&kind=lake | in 404 404 404 404 302
            POST /club/waters/{waterId}/chart             | /club/waters/lake/chart             | in  404 422 422 422 422
            POST /club/waters/{waterId}/chart/delete      | /club/waters/lake/chart/delete      | in  404 404 404 404 302
            POST /club/waters/{waterId}/places/{spotId}/move | /club/waters/lake/places/point/move ? latitude=44.5&longitude=-14 | in 404 404 404 404 302
            POST /club/waters/{waterId}/rules/words       | /club/waters/lake/rules/words ? gear=two rods | in 404 404 404 404 302
            GET  /club/year                               | /club/year                          | in  200 200 200 200 200
            GET  /cards                                   | /cards                              | in  200 200 200 200 200
            GET  /club/waters/new                         | /club/waters/new                    | in  200 404 404 404 200
            POST /club/waters                             | /club/waters ? name=Tarn&kind=lake  | in  302 404 404 404 302
            GET  /club/waters/{waterId}/rules             | /club/waters/lake/rules             | in  404 200 200 200 200
            POST /club/waters/{waterId}/rules             | /club/waters/lake/rules ? species=pike&bag=2 | in 404 404 404 404 302
            POST /club/waters/{waterId}/rules/{ruleId}/delete | /club/waters/lake/rules/{rule}/delete | in 404 404 404 404 302
            POST /club/waters/{waterId}/rules/lead        | /club/waters/lake/rules/lead ? forbidden=true | in 404 404 404 404 302
            GET  /trips                                   | /trips                              | in  200 200 200 200 200
            GET  /trips/new                               | /trips/new                          | in  200 200 200 200 200
            POST /trips                                   | /trips ? water_id=lake&started_at=2026-10-01T08:00 | in 422 302 302 302 302
            GET  /trips/photo                             | /trips/photo                        | in  200 200 200 200 200
            POST /trips/photo                             | /trips/photo                        | in  422 422 422 422 422
            GET  /trips/past                              | /trips/past                         | in  200 200 200 200 200
            POST /trips/past                              | /trips/past ? rows=1&water_id=lake  | in  404 422 422 422 422
            GET  /trips/{tripId}                          | /trips/p                            | in  404 200 200 200 200
            GET  /trips/{tripId}/edit                     | /trips/p/edit                       | in  404 404 404 200 200
            POST /trips/{tripId}                          | /trips/p ? note=calm                | in  404 404 404 302 302
            POST /trips/{tripId}/delete                   | /trips/p/delete                     | in  404 404 404 302 302
            GET  /deletions                               | /deletions                          | in  200 200 200 200 200
            POST /deletions/{deletionId}/undo             | /deletions/{deletion}/undo          | in  302 302 302 302 302
            GET  /trips/{tripId}/debrief                  | /trips/p/debrief                    | in  404 200 200 200 200
            GET  /trips/{tripId}/client                   | /trips/p/client?angler={me}         | in  404 404 200 200 200
            GET  /trips/{tripId}/client.pdf               | /trips/p/client.pdf?angler={me}     | in  404 404 200 200 200
            GET  /trips/{tripId}/readings/new             | /trips/p/readings/new               | in  404 404 200 200 200
            GET  /trips/{tripId}/readings/{id}/edit       | /trips/p/readings/r/edit            | in  404 404 200 200 200
            POST /trips/{tripId}/readings                 | /trips/p/readings ? at=2026-10-03T14:20&clarity_m=2 | in 404 404 302 302 302
            POST /trips/{tripId}/readings/{id}            | /trips/p/readings/r ? clarity_m=2   | in  404 404 302 302 302
            POST /trips/{tripId}/readings/{id}/delete     | /trips/p/readings/r/delete          | in  404 404 302 302 302
            GET  /trips/{tripId}/stints/new               | /trips/p/stints/new                 | in  404 404 200 200 200
            GET  /trips/{tripId}/stints/{id}/edit         | /trips/p/stints/s/edit              | in  404 404 200 200 200
            POST /trips/{tripId}/stints                   | /trips/p/stints ? angler_id={me}&setup_id=jig&started_at=2026-10-03T15:00&minutes=20 | in 404 404 302 302 302
            POST /trips/{tripId}/stints/{id}              | /trips/p/stints/s ? minutes=50      | in  404 404 302 302 302
            POST /trips/{tripId}/stints/{id}/delete       | /trips/p/stints/s/delete            | in  404 404 302 302 302
            GET  /trips/{tripId}/fish/new                 | /trips/p/fish/new?stint=s           | in  404 404 200 200 200
            GET  /trips/{tripId}/fish/{id}/edit           | /trips/p/fish/f/edit                | in  404 404 200 200 200
            POST /trips/{tripId}/fish                     | /trips/p/fish ? stint=s&species=pike&count=1 | in 404 404 302 302 302
            POST /trips/{tripId}/fish/{id}                | /trips/p/fish/f ? species=pike      | in  404 404 302 302 302
            POST /trips/{tripId}/fish/{id}/delete         | /trips/p/fish/f/delete              | in  404 404 302 302 302
            GET  /trips/{tripId}/losses/new               | /trips/p/losses/new?stint=s         | in  404 404 200 200 200
            GET  /trips/{tripId}/losses/{id}/edit         | /trips/p/losses/lo/edit             | in  404 404 200 200 200
            POST /trips/{tripId}/losses                   | /trips/p/losses ? stint=s&cause=knot&count=1 | in 404 404 302 302 302
            POST /trips/{tripId}/losses/{id}              | /trips/p/losses/lo ? cause=snag     | in  404 404 302 302 302
            POST /trips/{tripId}/losses/{id}/delete       | /trips/p/losses/lo/delete           | in  404 404 302 302 302
            GET  /trips/{tripId}/signs/new                | /trips/p/signs/new                  | in  404 404 200 200 200
            GET  /trips/{tripId}/signs/{id}/edit          | /trips/p/signs/si/edit              | in  404 404 200 200 200
            POST /trips/{tripId}/signs                    | /trips/p/signs ? at=2026-10-03T14:20&kind=birds | in 404 404 302 302 302
            POST /trips/{tripId}/signs/{id}               | /trips/p/signs/si ? kind=none       | in  404 404 302 302 302
            POST /trips/{tripId}/signs/{id}/delete        | /trips/p/signs/si/delete            | in  404 404 302 302 302
            GET  /trips/{tripId}/places/new               | /trips/p/places/new                 | in  404 404 200 200 200
            GET  /trips/{tripId}/places/{id}/edit         | /trips/p/places/point/edit          | in  404 404 404 404 200
            POST /trips/{tripId}/places                   | /trips/p/places ? label=Weir&structure=dock | in 404 404 302 302 302
            POST /trips/{tripId}/places/{id}              | /trips/p/places/point ? label=Weir  | in  404 404 404 404 302
            POST /trips/{tripId}/places/{id}/delete       | /trips/p/places/point/delete        | in  404 404 404 404 404
            GET  /first                                   | /first                              | in  200 200 200 200 200
            POST /first/water                             | /first/water ? name=Pond            | in  422 404 404 404 422
            POST /first/box                               | /first/box ? rig=wacky              | in  302 302 302 302 302
            GET  /help                                    | /help                               | in  200 200 200 200 200
            GET  /deck                                    | /deck                               | in  302 302 302 302 302
            GET  /deck/new                                | /deck/new                           | in  200 200 200 200 200
            POST /deck                                    | /deck ? rods=1&water_id=lake        | in  404 422 422 422 422
            GET  /deck/{tripId}                           | /deck/{live}                        | in  404 404 200 200 200
            POST /deck/{tripId}/move                      | /deck/{live}/move ? spot_id=dock    | in  404 404 302 302 302
            POST /deck/{tripId}/next                      | /deck/{live}/next                   | in  404 404 302 302 302
            POST /deck/{tripId}/lines                     | /deck/{live}/lines ? lines=up       | in  404 404 302 302 302
            POST /deck/{tripId}/end                       | /deck/{live}/end                    | in  404 404 302 302 302
            POST /deck/{tripId}/sign                      | /deck/{live}/sign ? kind=birds      | in  404 404 302 302 302
            POST /deck/{tripId}/reading                   | /deck/{live}/reading ? column=sky&sky=clear | in 404 404 302 302 302
            POST /deck/{tripId}/still                     | /deck/{live}/still ? column=sky     | in  404 404 422 422 422
            POST /deck/{tripId}/wave                      | /deck/{live}/wave ? column=sky      | in  404 404 302 302 302
            POST /deck/{tripId}/undo                      | /deck/{live}/undo ? undo=x          | in  404 404 422 422 422
            POST /deck/{tripId}/cast                      | /deck/{live}/cast                   | in  404 404 422 422 422
            GET  /deck/{tripId}/fan                       | /deck/{live}/fan                    | in  404 404 200 200 200
            POST /deck/{tripId}/fan                       | /deck/{live}/fan ? toward_deg=40&arc_deg=90&cast_m=20&strike_m=3&cast_s=60 | in 404 404 302 302 302
            POST /deck/{tripId}/fan/{number}              | /deck/{live}/fan/1                  | in  404 404 422 422 422
            GET  /deck/{tripId}/rods/new                  | /deck/{live}/rods/new               | in  404 404 200 200 200
            POST /deck/{tripId}/rods                      | /deck/{live}/rods ? number=3&angler_id_3={me}&setup_id_3=jig | in 404 404 302 302 302
            GET  /deck/{tripId}/rods/{rodId}/set-up       | /deck/{live}/rods/{rod}/set-up      | in  404 404 200 200 200
            POST /deck/{tripId}/rods/{rodId}/{touch}      | /deck/{live}/rods/{rod}/bite        | in  404 404 302 302 302
            POST /deck/{tripId}/rods/{rodId}/{touch}      | /deck/{live}/rods/{rod}/landed ? species=pike | in 404 404 302 302 302
            POST /deck/{tripId}/rods/{rodId}/{touch}      | /deck/{live}/rods/{rod}/swap ? colour=violet | in 404 404 302 302 302
            POST /deck/{tripId}/rods/{rodId}/{touch}      | /deck/{live}/rods/{rod}/counted ? seconds=9&depth_m=4 | in 404 404 302 302 302
            POST /deck/{tripId}/rods/{rodId}/{touch}      | /deck/{live}/rods/{rod}/fished ? speed=slow | in 404 404 302 302 302
            POST /deck/{tripId}/rods/{rodId}/{touch}      | /deck/{live}/rods/{rod}/said ? felt=tick | in 404 404 422 422 422
            POST /deck/{tripId}/rods/{rodId}/fish/{catchId} | /deck/{live}/rods/{rod}/fish/{landed} ? length_mm=40 | in 404 404 302 302 302
            GET  /tackle                                  | /tackle                             | in  200 200 200 200 200
            GET  /tackle/new                              | /tackle/new                         | in  200 200 200 200 200
            GET  /tackle/sheet                            | /tackle/sheet                       | in  200 200 200 200 200
            GET  /tackle/words                            | /tackle/words                       | in  200 200 200 200 200
            GET  /tackle/portrait                         | /tackle/portrait?setup_id=jig       | in  404 200 200 200 200
            POST /tackle                                  | /tackle?rig=wacky ? colour=pearl    | in  302 302 302 302 302
            GET  /tackle/set-ups/{id}                     | /tackle/set-ups/jig                 | in  404 200 200 200 200
            GET  /tackle/set-ups/{id}/change              | /tackle/set-ups/jig/change          | in  404 200 200 200 200
            POST /tackle/set-ups/{id}                     | /tackle/set-ups/jig ? colour=violet | in  404 302 302 302 302
            GET  /tackle/set-ups/{setUpId}/drops          | /tackle/set-ups/jig/drops           | in  404 200 200 200 200
            POST /tackle/set-ups/{setUpId}/drops          | /tackle/set-ups/jig/drops ? seconds=9&depth_m=4 | in 404 302 302 302 302
            POST /tackle/set-ups/{setUpId}/drops/{dropId}/delete | /tackle/set-ups/jig/drops/{drop}/delete | in 404 404 404 302 302
            POST /tackle/set-ups/{setUpId}/drops/undo     | /tackle/set-ups/jig/drops/undo ? deletion=x | in 302 302 302 302 302
            GET  /tackle/rods                             | /tackle/rods                        | in  200 200 200 200 200
            GET  /tackle/rods/new                         | /tackle/rods/new                    | in  200 200 200 200 200
            POST /tackle/rods                             | /tackle/rods ? name=stout           | in  302 302 302 302 302
            GET  /tackle/rods/{id}/edit                   | /tackle/rods/light/edit             | in  404 404 404 200 200
            POST /tackle/rods/{id}                        | /tackle/rods/light ? name=stout     | in  404 404 404 302 302
            GET  /choose                                  | /choose?find.setup_id=pearl         | in  200 200 200 200 200
            GET  /column                                  | /column                             | in  422 200 200 200 200
            GET  /column/card                             | /column/card?pick=jig               | in  200 200 200 200 200
            GET  /column/fan                              | /column/fan                         | in  200 200 200 200 200
            GET  /column/heads                            | /column/heads                       | in  200 200 200 200 200
            GET  /findings                                | /findings                           | in  302 302 302 302 302
            GET  /findings/compare                        | /findings/compare                   | in  200 200 200 200 200
            GET  /findings/patterns                       | /findings/patterns                  | in  200 200 200 200 200
            POST /findings/patterns/anew                  | /findings/patterns/anew             | in  302 302 302 302 302
            POST /findings/patterns/stop                  | /findings/patterns/stop             | in  302 302 302 302 302
            GET  /findings/size                           | /findings/size                      | in  200 200 200 200 200
            GET  /findings/grid                           | /findings/grid                      | in  200 200 200 200 200
            GET  /findings/clock                          | /findings/clock                     | in  200 200 200 200 200
            GET  /findings/funnel                         | /findings/funnel                    | in  200 200 200 200 200
            GET  /today                                   | /today                              | in  200 200 200 200 200
            GET  /plan/pack                               | /plan/pack?water=lake               | in  200 200 200 200 200
            POST /plan/calls                              | /plan/calls ? water=lake            | in  200 302 302 302 302
            GET  /plan/run                                | /plan/run?water=lake                | in  200 200 200 200 200
            GET  /plan/run.ics                            | /plan/run.ics?water=lake&from=2026-10-03T14:00&until=18:00&move=10&spot=point | in 422 200 200 200 200
            GET  /plan/go-back                            | /plan/go-back?water=lake            | in  200 200 200 200 200
            POST /plan/schools                            | /plan/schools ? question=Which metal over soft bottom&school=feel always | in 302 302 302 302 302
            GET  /plan/kept                               | /plan/kept                          | in  200 200 200 200 200
            GET  /plan/trials                             | /plan/trials                        | in  200 200 200 200 200
            POST /plan/trials                             | /plan/trials ? setup_id_a=jig&setup_id_b=drop&minutes=20&hours=10 | in 422 302 302 302 302
            POST /plan/trials/{trialId}/end               | /plan/trials/{trial}/end            | in  404 404 302 404 302
            POST /deck/{tripId}/lot                       | /deck/{live}/lot ? lot=5            | in  404 404 302 302 302
            POST /deck/{tripId}/trial                     | /deck/{live}/trial ? trial_id={trial} | in 404 404 302 302 302
            POST /deck/{tripId}/rods/{rodId}/{touch}      | /deck/{live}/rods/{rod}/take        | in  404 404 302 302 302
            GET  /plan                                    | /plan                               | in  200 200 200 200 200
            GET  /plan/rules                              | /plan/rules                         | in  200 200 200 200 200
            GET  /findings/favourites                     | /findings/favourites                | in  200 200 200 200 200
            GET  /findings/stints                         | /findings/stints                    | in  200 200 200 200 200
            """;

    /** Nobody gets these any more once there is a club, or without a link that is good; places are never deleted. */
    private static final Set<String> CLOSED_TO_ALL =
            Set.of("/invited/{token}", "/begin", "/trips/{tripId}/places/{id}/delete", "/club/words/{id}/undo");

    /** What a guest reader gets, by route; all else is not there for them. */
    private static final Map<String, String> READERS = readers();

    private static Map<String, String> readers() {
        Map<String, String> readers = new TreeMap<>();
        for (String page : List.of(
                "/sign-in",
                "/account",
                "/account/leave",
                "/health",
                "/cards",
                "/help",
                "/findings/compare",
                "/findings/patterns",
                "/findings/size",
                "/findings/grid",
                "/findings/clock",
                "/findings/funnel",
                "/findings/favourites",
                "/findings/stints")) {
            readers.put("GET " + page, "200");
        }
        for (String forward : List.of(
                "GET /", "GET /findings", "POST /theme", "POST /account/units", "POST /account/devices/{id}/end")) {
            readers.put(forward, "302");
        }
        readers.put("POST /account/password", "422");
        readers.put("POST /account/leave", "422");
        return readers;
    }

    private static final Pattern CHOICES = Pattern.compile("\\{\\w+:([a-z]+(?:\\|[a-z]+)+)}");

    @Autowired
    @Qualifier("requestMappingHandlerMapping")
    RequestMappingHandlerMapping mapping;

    record Row(String method, String route, String path, String form, List<String> answers) {
        @Override
        public String toString() {
            return method + " " + path;
        }
    }

    static Stream<Row> rows() {
        return TABLE.lines().map(line -> {
            String[] cells = line.split("\\|");
            String[] route = cells[0].strip().split(" +");
            String[] asked = cells[1].strip().split(" \\? ");
            return new Row(
                    route[0],
                    route[1],
                    asked[0],
                    asked.length > 1 ? asked[1] : "",
                    Arrays.asList(cells[2].strip().split(" +")));
        });
    }

    /** The routes of the application's own controllers, one for every word that a variable may be. */
    private Set<String> routes() {
        Set<String> routes = new TreeSet<>();
        mapping.getHandlerMethods().forEach((info, handler) -> {
            if (handler.getBeanType().getPackageName().startsWith("dusk.ledger")) {
                for (String pattern : info.getPatternValues()) {
                    for (String route : expanded(pattern)) {
                        info.getMethodsCondition().getMethods().forEach(method -> routes.add(method + " " + route));
                    }
                }
            }
        });
        return routes;
    }

    private static List<String> expanded(String pattern) {
        Matcher choices = CHOICES.matcher(pattern);
        if (!choices.find()) {
            return List.of(pattern.replaceAll("\\{(\\w+):[^/]*}", "{$1}"));
        }
        List<String> all = new ArrayList<>();
        for (String word : choices.group(1).split("\\|")) {
            all.addAll(expanded(pattern.substring(0, choices.start()) + word + pattern.substring(choices.end())));
        }
        return all;
    }

    @Test
    void everyRouteHasItsRowAndEveryRowItsRoute() {
        assertThat(rows().map(row -> row.method() + " " + row.route()).collect(Collectors.toSet()))
                .containsExactlyInAnyOrderElementsOf(routes());
    }

    @Test
    void whatIsRefusedToSomeIsAnsweredToOthers() {
        assertThat(rows().filter(row -> !CLOSED_TO_ALL.contains(row.route())))
                .allSatisfy(row -> assertThat(row.answers())
                        .hasSize(6)
                        .anyMatch(answer -> !answer.equals("in") && !answer.equals("404")));
    }

    /** The path of the row that is tried. */
    private String asked = "";

    private void prepare() {
        ids.put("person", club.other.id());
        if (asked.contains("{change}")) {
            // the officer changed the member's stint
            Stint stint = club.all(LedgerFormat.STINTS).stream()
                    .filter(s -> s.id().equals("s"))
                    .findFirst()
                    .orElseThrow();
            club.get(TripRows.class)
                    .store(
                            club.officer.viewer(),
                            LedgerFormat.STINTS,
                            LedgerFormat.STINTS.changed(stint, Map.of("minutes", 41.0)),
                            false);
            ids.put(
                    "change",
                    club.get(Trail.class)
                            .recent(club.officer.viewer(), 1)
                            .get(0)
                            .id());
        }
        if (asked.contains("{instrument}")) {
            // only where it is asked for: each that there is gets listened to sooner or later
            club.get(Instruments.class)
                    .keep(new Instrument(
                            club.officer.clubId(), "gauge", Kind.GAUGE, "Gauge", "http://127.0.0.1:9/", null, "lake"));
            ids.put("instrument", "gauge");
        }
        club.get(TripRows.class)
                .storeHooked(
                        club.officer.viewer(), LedgerFormat.LOSSES, new Loss("lo", "s", null, "snag", 1), "s", true);
        club.store(LedgerFormat.SIGNS, List.of(new Sign("si", "p", null, TestClub.START, "birds", null)));
        Drops drops = club.get(Drops.class);
        drops.add(club.guide.viewer(), "jig", TestClub.START, new Calibration.Drop(9, 4), false);
        ids.put("drop", drops.all(club.guide.viewer()).get(0).id());
        WaterRules rules = club.get(WaterRules.class);
        rules.note(
                club.officer.viewer(),
                "lake",
                new WaterRule("walleye", Length.ofMillimetres(380), null, null, null, null, null, null));
        ids.put("rule", rules.byWater(club.officer.viewer()).get("lake").get(0).id());
        ids.put("deletion", club.get(Deletions.class).reading(club.guide.viewer(), "r", "a reading"));
        club.get(Deletions.class).undo(club.guide.viewer(), ids.get("deletion"));
        club.get(RodActs.class)
                .landed(new By(club.guide, live, "landing", TestClub.START), ids.get("rod"), "walleye", 1);
        Trials trials = club.get(Trials.class);
        trials.add(club.member.viewer(), new Trial("trial", "jig", "drop", null, 20, 10, 1, TestClub.START, null));
        ids.put("trial", "trial");
        club.get(TripActs.class).trial(new By(club.guide, live, "trying", TestClub.START), "trial");
        ids.put(
                "landed",
                club.all(LedgerFormat.CATCHES).stream()
                        .map(Catch::id)
                        .filter(id -> !id.equals("f"))
                        .findFirst()
                        .orElseThrow());
    }

    /** A spreadsheet that the officer looks at, one that came in, and how such are understood. */
    private void read() throws Exception {
        looksAtASheet();
        Mappings mappings = club.get(Mappings.class);
        mappings.keep(club.officer.viewer(), "own", "{}");
        ids.put("mapping", mappings.all(club.officer.viewer()).get(0).id());
        Ledger rig = new Ledger(
                List.of(),
                List.of(),
                List.of(),
                List.of(SetUpBuilder.builder().id("came").rig("wacky").build()),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                List.of());
        ids.put(
                "import",
                club.get(Intake.class)
                        .bring(club.officer.viewer(), rig, "rig.zip", "a rig", Intake.Keep.OURS, Progress.UNHEARD)
                        .orElseThrow());
    }

    @ParameterizedTest
    @MethodSource("rows")
    void everyoneGetsTheirAnswerAndARefusalChangesNothing(Row row) throws Exception {
        asked = row.path();
        Map<String, String> expected = new LinkedHashMap<>();
        Map<String, String> given = new LinkedHashMap<>();
        List<String> who = List.of("signed out", "other club", "other member", "member", "guide", "officer");
        prepare();
        read();
        for (int i = 0; i < who.size(); i++) {
            List<@Nullable Person> people =
                    Arrays.asList(null, club.stranger, club.other, club.member, club.guide, club.officer);
            Map<String, List<?>> before = everything();
            String answer = answer(people.get(i), row);
            expected.put(who.get(i), row.answers().get(i));
            given.put(who.get(i), answer);
            if (answer.equals("404") || answer.equals("in")) {
                assertStands(before, who.get(i) + " changed something");
            } else if (row.method().equals("POST")) {
                // the next one finds everything as it was
                newClub();
                prepare();
                read();
            }
        }
        expected.put("guest reader", READERS.getOrDefault(row.method() + " " + row.route(), "404"));
        given.put("guest reader", answer(club.reader, row));
        assertThat(given).isEqualTo(expected);
    }

    private String answer(@Nullable Person person, Row row) throws Exception {
        MockHttpServletResponse answer;
        if (row.method().equals("POST") && row.path().equals("/trips/photo")) {
            answer = answer(person, MockMvcRequestBuilders.multipart(row.path()).file("photo", new byte[0]));
        } else if (row.method().equals("POST")
                && (row.path().equals("/club/bring") || row.path().endsWith("/chart"))) {
            answer = answer(person, MockMvcRequestBuilders.multipart(row.path()).file("file", new byte[0]));
        } else {
            answer = answer(person, typed(request(row.method(), row.path()), row.form()));
        }
        String location = String.valueOf(answer.getHeader("Location"));
        boolean in = answer.getStatus() == 302 && location.endsWith("/sign-in");
        return in ? "in" : String.valueOf(answer.getStatus());
    }
}
