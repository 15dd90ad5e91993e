package dusk.ledger.sheets;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;
import static org.assertj.core.api.Assertions.within;

import dusk.ledger.format.LedgerFormat;
import dusk.ledger.interchange.Refused;
import dusk.ledger.journal.Catch;
import dusk.ledger.journal.Consistency;
import dusk.ledger.journal.Ledger;
import dusk.ledger.journal.SetUp;
import dusk.ledger.journal.Stint;
import dusk.ledger.stints.StintTable;
import dusk.ledger.units.Length;
import dusk.ledger.units.Mass;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Three notebooks of three habits, each typed off as its keeper would, come to the records that stand in them. */
class MessySheetsTest {
    private static final Instant NOW = Instant.parse("2026-01-01T12:00:00Z");

    static SheetFile file(String name) throws IOException, Refused {
        try (InputStream in = MessySheetsTest.class.getResourceAsStream("/sheets/" + name)) {
            return SheetReader.read(name, in.readAllBytes());
        }
    }

    private static Brought brought(SheetFile file) {
        MappingGuess guess = new MappingGuess(Ledger.empty(), List.of());
        return Bringing.of(file, guess.all(file), Ledger.empty(), NOW);
    }

    private static SheetFile typed(String text) throws Refused {
        return SheetReader.read("typed.csv", text.getBytes(StandardCharsets.UTF_8));
    }

    @Test
    void aStintARowWithSemicolonsCommasFractionsAndFourSpellings() throws Exception {
        SheetFile file = file("sallow-stints.csv");
        assertThat(file.encoding()).isEqualTo("windows-1252");
        assertThat(file.delimiter()).isEqualTo(";");
        Brought brought = brought(file);
        assertThat(brought.faults()).isEmpty();
        assertThat(brought.fish()).isEqualTo(Map.of("yellow perch", 5, "pike", 1));
        assertThat(brought.fates())
                .extracting(Fate::line, Fate::kind)
                .containsExactly(
                        tuple(5L, Fate.Kind.FISH),
                        tuple(6L, Fate.Kind.BLANK),
                        tuple(7L, Fate.Kind.FISH),
                        tuple(8L, Fate.Kind.FISH),
                        tuple(9L, Fate.Kind.BLANK),
                        tuple(10L, Fate.Kind.SKIPPED),
                        tuple(11L, Fate.Kind.SKIPPED),
                        tuple(13L, Fate.Kind.SKIPPED));
        Ledger ledger = brought.ledger();
        assertThat(ledger.trips()).hasSize(3);
        assertThat(ledger.stints())
                .extracting(s -> s.startedAt().toString(), Stint::minutes, Stint::hooked, Stint::notRecorded)
                .containsExactly(
                        tuple("2024-04-03T06:30:00Z", 150.0, 2, null),
                        tuple("2024-04-03T09:00:00Z", 150.0, 0, null),
                        tuple("2024-04-17T18:15:00Z", 150.0, 3, null),
                        tuple("2024-05-21T19:00:00Z", 180.0, 1, null),
                        tuple("2024-05-21T22:00:00Z", 45.0, 0, null));
        assertThat(ledger.setUps()).extracting(SetUp::colour).containsOnly("green pumpkin", "black-blue");
        assertThat(ledger.setUps().get(0).headMass()).isEqualTo(Mass.ofGrams(0.375 * Mass.GRAMS_PER_OUNCE));
        assertThat(ledger.setUps().get(0).plastic()).isEqualTo("paddle-tail swimmer");
        assertThat(ledger.readings().get(0).waterTemp().celsius()).isEqualTo(8.5);
        assertThat(ledger.readings().get(0).clarity()).isEqualTo(Length.ofMetres(0.8));
        assertThat(ledger.spots()).extracting("structure").containsExactly("laydown", "channel edge", "bridge");
        assertThat(ledger.trips().get(1).note()).isEqualTo("“fall” bites");
    }

    @Test
    void aFishARowWithoutHoursCountsForFishAndSizesAndNeverForARate() throws Exception {
        Brought brought = brought(file("merrow-fish.xlsx"));
        assertThat(brought.faults()).isEmpty();
        Ledger ledger = brought.ledger();
        assertThat(ledger.anglers()).extracting("name").containsExactly("Lorne Haverty", "Mirren Tolk");
        assertThat(ledger.trips()).hasSize(3);
        assertThat(ledger.catches())
                .extracting(Catch::species, c -> Math.round(c.length().millimetres() * 10) / 10.0, Catch::lengthHow)
                .containsExactly(
                        tuple("sea bass", 419.1, null),
                        tuple("sea bass", 457.2, null),
                        tuple("flounder", 355.6, "estimated"),
                        tuple("sea bass", 558.8, null));
        assertThat(ledger.catches().get(3).mass().grams()).isCloseTo(1984.467, within(0.01));
        assertThat(ledger.catches().get(0).at()).isEqualTo(Instant.parse("2024-05-11T05:40:00Z"));
        assertThat(ledger.stints()).allMatch(s -> !s.timed());
        assertThat(ledger.stints().get(0).notRecorded()).isEqualTo(Stint.NO_MINUTES);
        assertThat(ledger.stints().get(1).notRecorded()).isEqualTo(Stint.NEITHER);
        StintTable table = StintTable.of(ledger);
        assertThat(table.rated().size()).isZero();
        assertThat(table.fish("sea bass", null)).containsExactlyInAnyOrder(0, 0, 1, 2);
        assertThat(ledger.setUps().get(0).rig()).isEqualTo("open jig head");
        assertThat(ledger.setUps().get(0).plasticLength()).isEqualTo(Length.ofMillimetres(4 * 25.4));
    }

    @Test
    void aDayARowWithASpeciesAColumn() throws Exception {
        SheetFile file = file("orrin-days.tsv");
        Brought brought = brought(file);
        assertThat(brought.faults()).isEmpty();
        assertThat(brought.fish()).isEqualTo(Map.of("largemouth", 12, "smallies", 1, "yellow perch", 12));
        Ledger ledger = brought.ledger();
        assertThat(ledger.waters())
                .singleElement()
                .extracting("name", "kind")
                .containsExactly("Orrin Reservoir", "reservoir");
        assertThat(ledger.stints())
                .extracting(Stint::minutes, Stint::notRecorded)
                .containsExactly(
                        tuple(330.0, Stint.NO_TIME),
                        tuple(240.0, Stint.NO_TIME),
                        tuple(390.0, Stint.NO_TIME),
                        tuple(60.0, Stint.NEITHER));
        assertThat(ledger.readings().get(1).waterTemp().celsius()).isCloseTo(16.11, within(0.01));
        assertThat(ledger.readings().get(1).clarity().metres()).isCloseTo(5.5 * 0.3048, within(1e-9));
        assertThat(StintTable.of(ledger).rated().size()).isEqualTo(3);
        assertThat(StintTable.of(ledger).placedInDay().size()).isZero();
    }

    @Test
    void theSameRowsMakeTheSameRecordsAndCountsAgree() throws Exception {
        for (String name : List.of("sallow-stints.csv", "merrow-fish.xlsx", "orrin-days.tsv")) {
            Ledger once = brought(file(name)).ledger();
            assertThat(brought(file(name)).ledger()).isEqualTo(once);
            assertThat(Consistency.breaches(once)).isEmpty();
            LedgerFormat.ALL.forEach(table -> assertThat(ids(table, once)).doesNotHaveDuplicates());
        }
    }

    private static <T> List<Object> ids(dusk.ledger.format.Table<T> table, Ledger ledger) {
        return table.rows().apply(ledger).stream()
                .map(r -> table.columns().get(0).value().apply(r))
                .toList();
    }

    @Test
    void whatTheClubHasIsRecognisedByNameAndMake() throws Exception {
        SheetFile file = file("orrin-days.tsv");
        Ledger first = brought(file).ledger();
        SheetFile other = typed("Date,Angler,Water,Hours,Pike\n2023-07-01,edda quill,ORRIN RESERVOIR,3,1\n");
        MappingGuess guess = new MappingGuess(first, List.of());
        Ledger second = Bringing.of(other, guess.all(other), first, NOW).ledger();
        assertThat(second.waters()).isEqualTo(first.waters());
        assertThat(second.anglers()).containsExactly(first.anglers().get(0));
        assertThat(second.setUps()).isEqualTo(first.setUps());
    }

    @Test
    void rowsThatCannotBeReadSayWhereAndWhat() throws Exception {
        SheetFile file = typed("""
                Date,Hours,Species,No.,Length (cm),Temp C
                2024-05-01,3,pike,1,61,12
                2024-05-41,3,pike,1,61,12
                2024-05-02,three,pike,1,61,12
                2024-05-03,3,pike,many,61,12
                2024-05-04,3,pike,1,9000,12
                2024-05-05,3,pike,1,61,180
                2031-05-05,3,pike,1,61,12
                ,3,pike,1,61,12
                """);
        assertThat(brought(file).faults())
                .extracting(Object::toString)
                .containsExactly(
                        "typed.csv:3: Date: “2024-05-41” is no date, expected one like yyyy-mm-dd",
                        "typed.csv:4: Hours: “three” is no time fished, expected one like 6.5 or 6:30",
                        "typed.csv:5: No.: “many” is not a number of them, expected a whole one like 3",
                        "typed.csv:6: Length (cm): “9000” is out of range in cm, expected another figure or another unit of the column",
                        "typed.csv:7: Temp C: A temperature must lie between -60 and 60 °C, not 180.0.",
                        "typed.csv:8: date: still to come, expected a day that has been",
                        "typed.csv:9: date: empty, expected a date like yyyy-mm-dd");
        assertThat(brought(file).fish()).isEqualTo(Map.of("pike", 1));
    }

    @Test
    void severalFishOfARowAreOfTheBestLengthOnce() throws Exception {
        Ledger ledger = brought(typed("Date,Species,Count,Length cm\n2024-05-01,pike,3,71\n"))
                .ledger();
        assertThat(ledger.catches())
                .extracting(
                        Catch::count, c -> c.length() == null ? 0 : c.length().millimetres())
                .containsExactly(tuple(1, 710.0), tuple(2, 0.0));
        assertThat(ledger.stints().get(0).hooked()).isEqualTo(3);
    }

    @Test
    void hoursAreTimesTheRodsAndTheFishTakenAreNoFewerThanLanded() throws Exception {
        Ledger ledger = brought(typed("Date,Hours,No of rods,Pike,Bites,Lost\n2024-05-01,4,2,3,1,2\n"))
                .ledger();
        Stint stint = ledger.stints().get(0);
        assertThat(stint.minutes()).isEqualTo(480);
        assertThat(stint.hooked()).isEqualTo(5);
        assertThat(stint.bites()).isEqualTo(5);
    }

    @Test
    void aMappingIsKeptAsItIsAndWhatItDoesNotSayIsGuessed() throws Exception {
        SheetFile file = file("sallow-stints.csv");
        MappingGuess guess = new MappingGuess(Ledger.empty(), List.of());
        List<SheetMapping> guessed = guess.all(file);
        assertThat(MappingFile.read("m.json", MappingFile.write(guessed), file, guess))
                .isEqualTo(guessed);
        String some = "{\"columns\": {\"When Date\": \"date\", \"Catch Number\": {\"to\": \"fish:roach\"}},"
                + " \"fixed\": {\"anglers.name\": \"Edda Quill\"}}";
        SheetMapping read = MappingFile.read("m.json", some, file, guess).get(0);
        assertThat(read.dates()).isEqualTo(DateForm.DAY_FIRST);
        Brought brought = Bringing.of(file, List.of(read), Ledger.empty(), NOW);
        assertThat(brought.fish()).isEqualTo(Map.of("roach", 6));
        assertThat(brought.ledger().anglers()).extracting("name").containsExactly("Edda Quill");
    }

    @Test
    void aMappingThatCannotBeSaysAllThatIsWrong() throws Exception {
        SheetFile file = file("sallow-stints.csv");
        String wrong = "{\"dates\": \"backwards\", \"row\": \"week\", \"time_zone\": \"Moon\","
                + " \"columns\": {\"Weight\": \"date\", \"When Date\": \"colour\", \"Lure Head\": {\"to\": \"setups.head_mass_g\", \"unit\": \"stone\"}},"
                + " \"fixed\": {\"club\": \"x\"}}";
        MappingGuess guess = new MappingGuess(Ledger.empty(), List.of());
        assertThat(org.assertj.core.api.Assertions.catchThrowableOfType(
                                Refused.class, () -> MappingFile.read("m.json", wrong, file, guess))
                        .faults())
                .extracting(f -> f.column())
                .containsExactly(
                        "columns.Weight",
                        "columns.When Date",
                        "columns.Lure Head",
                        "dates",
                        "row",
                        "time_zone",
                        "fixed.club");
    }
}
