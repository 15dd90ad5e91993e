package dusk.ledger.web.demo;

import dusk.ledger.demo.DemoClub;
import dusk.ledger.fish.WaterRule;
import dusk.ledger.interchange.ChartFile;
import dusk.ledger.interchange.PackageReader;
import dusk.ledger.interchange.PackageWriter;
import dusk.ledger.interchange.Refused;
import dusk.ledger.journal.Angler;
import dusk.ledger.journal.Ledger;
import dusk.ledger.journal.SetUpBuilder;
import dusk.ledger.journal.Water;
import dusk.ledger.units.Length;
import dusk.ledger.units.Position;
import dusk.ledger.web.records.People;
import dusk.ledger.web.records.Places;
import dusk.ledger.web.records.SetUps;
import dusk.ledger.web.records.WaterRules;
import dusk.ledger.web.records.Waters;
import dusk.ledger.web.store.Clubs;
import dusk.ledger.web.store.NewId;
import dusk.ledger.web.store.Viewer;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.time.MonthDay;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** Fills an empty store with the demo club, by the same import as a club's own package, and gives five of its people accounts. */
@Component
@ConditionalOnProperty("dusk.demo")
@Order(Ordered.HIGHEST_PRECEDENCE)
class DemoSeed implements ApplicationRunner {
    private static final Logger LOG = LoggerFactory.getLogger(DemoSeed.class);
    private static final int READER = 13;
    private static final int BANK_POINTS = 72;
    private static final String HIDDEN_PLACE = "Thorn Hump";
    private static final String ANOTHER_HIDDEN_PLACE = "Mill Tail Eddy";

    private final Clubs clubs;
    private final People people;
    private final Places places;
    private final WaterRules rules;
    private final Waters waters;
    private final SetUps setUps;
    private final NewId newId;

    DemoSeed(Clubs clubs, People people, Places places, WaterRules rules, Waters waters, SetUps setUps, NewId newId) {
        this.clubs = clubs;
        this.people = people;
        this.places = places;
        this.rules = rules;
        this.waters = waters;
        this.setUps = setUps;
        this.newId = newId;
    }

    @Override
    public void run(ApplicationArguments arguments) throws IOException, Refused {
        if (!clubs.all().isEmpty()) {
            return;
        }
        ByteArrayOutputStream zip = new ByteArrayOutputStream();
        PackageWriter.writeZip(DemoClub.ledger(DemoClub.SEED), DemoClub.NAME, zip);
        Ledger ledger = PackageReader.read("demo.zip", new ByteArrayInputStream(zip.toByteArray()))
                .ledger();
        String clubId = newId.next();
        clubs.found(new Clubs.Club(clubId, DemoClub.NAME));
        clubs.load(clubId, ledger);
        String guide = person(clubId, ledger.anglers().get(0), Viewer.Role.GUIDE);
        person(clubId, ledger.anglers().get(1), Viewer.Role.GUIDE);
        String member = person(clubId, ledger.anglers().get(3), Viewer.Role.MEMBER);
        String officer = person(clubId, ledger.anglers().get(2), Viewer.Role.OFFICER);
        person(clubId, ledger.anglers().get(READER), Viewer.Role.GUEST);
        hide(guide, HIDDEN_PLACE, 44.4581, -14.0127);
        hide(member, ANOTHER_HIDDEN_PLACE, 44.3142, -13.8718);
        rule(clubId, ledger, "Orrin Reservoir", "largemouth", 380, null);
        rule(clubId, ledger, "The Sallow", "pike", 600, MonthDay.of(3, 15));
        sketch(people.byId(officer).orElseThrow().viewer(), ledger);
        setUps.add(
                people.byId(member).orElseThrow().viewer(),
                SetUpBuilder.builder()
                        .id(newId.next())
                        .rig("wacky")
                        .plastic("stick worm")
                        .plasticLength(Length.ofMillimetres(125))
                        .colour("watermellon")
                        .build());
        LOG.info(
                "The invented {} is ready: {} trips.",
                DemoClub.NAME,
                ledger.trips().size());
    }

    /** A made-up bank around the reservoir, and what is ruled there in words. */
    private void sketch(Viewer officer, Ledger ledger) {
        for (Water water : ledger.waters()) {
            Position at = water.position();
            if (water.kind().equals("reservoir") && at != null) {
                List<Position> bank = new ArrayList<>();
                for (int i = 0; i <= BANK_POINTS; i++) {
                    double turn = 2 * Math.PI * (i % BANK_POINTS) / BANK_POINTS;
                    double reach = 0.024 + 0.003 * Math.sin(3 * turn) + 0.002 * Math.sin(7 * turn + 1);
                    bank.add(new Position(
                            at.latitude() + reach * Math.sin(turn), at.longitude() + reach * Math.cos(turn)));
                }
                waters.outline(officer, water.id(), new ChartFile(List.of(), List.of(bank)).outline());
                rules.noteInWords(
                        officer,
                        water.id(),
                        new WaterRules.InWords(
                                "two rods, barbless hooks on beds",
                                "no live bait",
                                "crayfish stay in the water they came from"));
            }
        }
    }

    /** A demo person signs in by a button; the password is nobody's. */
    private String person(String clubId, Angler angler, Viewer.Role role) {
        String name = String.valueOf(angler.name());
        return people.add(clubId, name.split(" ")[0], name, UUID.randomUUID().toString(), role, angler.id());
    }

    /** A rule to be warned by; where there is a close season it lasts three months. */
    private void rule(
            String clubId, Ledger ledger, String water, String species, double leastMm, @Nullable MonthDay closedFrom) {
        MonthDay closedTo =
                closedFrom == null ? null : MonthDay.of(closedFrom.getMonthValue() + 3, closedFrom.getDayOfMonth());
        ledger.waters().stream()
                .filter(w -> w.name().equals(water))
                .forEach(w -> rules.note(
                        Viewer.club(clubId),
                        w.id(),
                        new WaterRule(
                                species, Length.ofMillimetres(leastMm), null, null, null, closedFrom, closedTo, null)));
    }

    private void hide(String ownerId, String label, double latitude, double longitude) {
        places.keep(people.byId(ownerId).orElseThrow().viewer(), label, new Position(latitude, longitude));
    }
}
