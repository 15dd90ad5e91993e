package dusk.ledger.web.standin;

import dusk.ledger.instruments.BoardLine;
import dusk.ledger.instruments.Kind;
import dusk.ledger.instruments.SimulatedBoat;
import dusk.ledger.journal.Water;
import dusk.ledger.units.Figures;
import dusk.ledger.units.Position;
import dusk.ledger.web.instruments.Listening;
import dusk.ledger.web.records.Decks;
import dusk.ledger.web.records.Instrument;
import dusk.ledger.web.records.Instruments;
import dusk.ledger.web.records.People;
import dusk.ledger.web.records.Person;
import dusk.ledger.web.records.Waters;
import jakarta.annotation.PreDestroy;
import java.io.IOException;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/**
 * A simulated boat, gauge, weather station and measuring board beside the demo, on free ports of the loopback, which the
 * demo's club listens to.
 */
@Component
@ConditionalOnProperty("dusk.stand-ins")
// after the demo's day, whose boat they are in
@Order(Ordered.LOWEST_PRECEDENCE)
class StandIns implements ApplicationRunner {
    private static final Logger LOG = LoggerFactory.getLogger(StandIns.class);
    private static final String GUIDE = "harl";

    /** A fish is laid on the board each so many seconds. */
    private static final long FISH_S = 150;

    private final Instruments instruments;
    private final Listening listening;
    private final People people;
    private final Waters waters;
    private final Decks decks;
    private final Clock clock;
    private final List<AutoCloseable> servers = new ArrayList<>();

    StandIns(Instruments instruments, Listening listening, People people, Waters waters, Decks decks, Clock clock) {
        this.instruments = instruments;
        this.listening = listening;
        this.people = people;
        this.waters = waters;
        this.decks = decks;
        this.clock = clock;
    }

    @Override
    public void run(ApplicationArguments arguments) throws IOException {
        Optional<Person> guide = people.bySignIn(GUIDE);
        if (guide.isEmpty()) {
            return;
        }
        Water water = water(guide.get());
        String angler = guide.get().anglerId();
        Position about = water.position() == null ? new Position(0, 0) : water.position();
        SimulatedBoat boat = new SimulatedBoat(about);
        LineServer feed = new LineServer(() -> boat.sentences(clock.instant()));
        LineServer board = new LineServer(this::board);
        ReportServer gauge = new ReportServer(this::gauge);
        ReportServer station = new ReportServer(this::station);
        servers.addAll(List.of(feed, board, gauge, station));
        keep(guide.get(), Kind.BOAT, "Boat", feed.address(), angler, null);
        keep(guide.get(), Kind.BOARD, "Board", board.address(), angler, null);
        keep(guide.get(), Kind.GAUGE, "Dam gauge", gauge.address(), null, water.id());
        keep(guide.get(), Kind.STATION, "Jetty station", station.address(), null, water.id());
        listening.follow();
        LOG.info("Simulated instruments: boat {}, board {}", feed.address(), board.address());
    }

    /** The water that is being fished; else the first. */
    private Water water(Person guide) {
        return decks.live(guide.viewer()).stream()
                .findFirst()
                .map(trip -> decks.deck(guide.viewer(), trip).water())
                .orElseGet(() -> waters.all(guide.viewer()).get(0));
    }

    private void keep(
            Person guide, Kind kind, String name, String address, @Nullable String anglerId, @Nullable String waterId) {
        instruments.keep(
                new Instrument(guide.clubId(), "stand-in-" + kind.word(), kind, name, address, anglerId, waterId));
    }

    private List<String> board() {
        long number = clock.instant().getEpochSecond() / FISH_S;
        return List.of(BoardLine.line(number % 100_000, 250 + number * 37 % 200));
    }

    private String gauge() {
        Instant now = clock.instant();
        double hours = now.getEpochSecond() / 3600.0;
        return "{\"at\":\"" + now + "\",\"level_m\":" + Figures.trimmed(2.4 + 0.3 * Math.sin(hours / 4), 3)
                + ",\"flow_m3ps\":" + Figures.trimmed(11 + 2 * Math.sin(hours / 4), 2) + ",\"clarity_m\":"
                + Figures.trimmed(1.5 + 0.2 * Math.sin(hours / 9), 2) + ",\"water_temp_c\":"
                + Figures.trimmed(9.4 + 0.5 * Math.sin(hours / 5), 1) + "}";
    }

    private String station() {
        Instant now = clock.instant();
        double minutes = now.getEpochSecond() / 60.0;
        return "{\"at\":\"" + now + "\",\"wind_mps\":" + Figures.trimmed(3.8 + Math.sin(minutes / 7), 1)
                + ",\"wind_from_deg\":" + Figures.trimmed(240 + 10 * Math.sin(minutes / 11), 0) + ",\"air_temp_c\":"
                + Figures.trimmed(7 + Math.sin(minutes / 200), 1) + ",\"air_pressure_hpa\":"
                + Figures.trimmed(1009 + 4 * Math.sin(minutes / 900), 1) + "}";
    }

    @PreDestroy
    void end() throws Exception {
        for (AutoCloseable server : servers) {
            server.close();
        }
    }
}
