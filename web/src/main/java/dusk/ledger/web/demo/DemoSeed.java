package dusk.ledger.web.demo;

import dusk.ledger.demo.DemoClub;
import dusk.ledger.fish.WaterRule;
import dusk.ledger.interchange.PackageReader;
import dusk.ledger.interchange.PackageWriter;
import dusk.ledger.interchange.Refused;
import dusk.ledger.journal.Angler;
import dusk.ledger.journal.Ledger;
import dusk.ledger.units.Length;
import dusk.ledger.units.Position;
import dusk.ledger.web.records.People;
import dusk.ledger.web.records.Places;
import dusk.ledger.web.records.WaterRules;
import dusk.ledger.web.store.Clubs;
import dusk.ledger.web.store.NewId;
import dusk.ledger.web.store.Viewer;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.time.MonthDay;
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

/** Fills an empty store with the demo club, by the same import as a club's own package, and gives four of its people accounts. */
@Component
@ConditionalOnProperty("dusk.demo")
@Order(Ordered.HIGHEST_PRECEDENCE)
class DemoSeed implements ApplicationRunner {
    private static final Logger LOG = LoggerFactory.getLogger(DemoSeed.class);
    private static final String HIDDEN_PLACE = "Thorn Hump";
    private static final String ANOTHER_HIDDEN_PLACE = "Mill Tail Eddy";

    private final Clubs clubs;
    private final People people;
    private final Places places;
    private final WaterRules rules;
    private final NewId newId;

    DemoSeed(Clubs clubs, People people, Places places, WaterRules rules, NewId newId) {
        this.clubs = clubs;
        this.people = people;
        this.places = places;
        this.rules = rules;
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
        person(clubId, ledger.anglers().get(2), Viewer.Role.OFFICER);
        hide(guide, HIDDEN_PLACE, 44.4581, -14.0127);
        hide(member, ANOTHER_HIDDEN_PLACE, 44.3142, -13.8718);
        rule(clubId, ledger, "Orrin Reservoir", "largemouth", 380, null);
        rule(clubId, ledger, "The Sallow", "pike", 600, MonthDay.of(3, 15));
        LOG.info(
                "The invented {} is ready: {} trips.",
                DemoClub.NAME,
                ledger.trips().size());
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
                        new WaterRule(species, Length.ofMillimetres(leastMm), null, null, null, closedFrom, closedTo, null)));
    }

    private void hide(String ownerId, String label, double latitude, double longitude) {
        places.keep(people.byId(ownerId).orElseThrow().viewer(), label, new Position(latitude, longitude));
    }
}
