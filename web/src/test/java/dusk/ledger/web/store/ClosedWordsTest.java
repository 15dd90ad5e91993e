package dusk.ledger.web.store;

import static org.assertj.core.api.Assertions.assertThat;

import dusk.ledger.format.FileColumn;
import dusk.ledger.format.LedgerFormat;
import dusk.ledger.format.Table;
import dusk.ledger.vocabulary.Words;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** Closed words stand in SQL, where the database refuses others, and in Java, where a message says which: they must be the same. */
class ClosedWordsTest {
    private static final Pattern ADDED = Pattern.compile(
            "alter table (\\w+) add column (\\w+) text(?: not null default '\\w+')? check \\((\\w+) in \\(([^)]*)\\)\\)");
    private static final Pattern RENAMED = Pattern.compile("alter table (\\w+) rename column (\\w+) to (\\w+);");
    private static final Pattern TABLE = Pattern.compile("create table (\\w+) \\((.*?)\\) strict;", Pattern.DOTALL);
    private static final Pattern WORDS = Pattern.compile("(\\w+) text[^,]*? check \\((\\w+) in \\(([^)]*)\\)\\)");

    /** By {@code table.column}. */
    private static Map<String, List<String>> inSql() throws IOException {
        Map<String, List<String>> words = new TreeMap<>();
        try (Stream<Path> files = Files.list(Path.of("src/main/resources/db/migration"))) {
            for (Path file : files.sorted(Comparator.comparingInt(ClosedWordsTest::version))
                    .toList()) {
                Matcher added = ADDED.matcher(read(file));
                while (added.find()) {
                    assertThat(added.group(2)).isEqualTo(added.group(3));
                    words.put(added.group(1) + "." + added.group(2), listed(added.group(4)));
                }
                Matcher renamed = RENAMED.matcher(read(file));
                while (renamed.find()) {
                    List<String> of = words.remove(renamed.group(1) + "." + renamed.group(2));
                    if (of != null) {
                        words.put(renamed.group(1) + "." + renamed.group(3), of);
                    }
                }
                Matcher table = TABLE.matcher(read(file));
                while (table.find()) {
                    Matcher column = WORDS.matcher(table.group(2));
                    while (column.find()) {
                        assertThat(column.group(1)).isEqualTo(column.group(2));
                        words.put(table.group(1) + "." + column.group(1), listed(column.group(3)));
                    }
                }
            }
        }
        return words;
    }

    private static int version(Path file) {
        return Integer.parseInt(file.getFileName().toString().replaceFirst("V(\\d+)__.*", "$1"));
    }

    private static List<String> listed(String words) {
        return Arrays.stream(words.split(", ")).map(w -> w.replace("'", "")).toList();
    }

    private static String read(Path file) {
        try {
            return Files.readString(file);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    @Test
    void closedWordsOfTheRecordAreTheSameInSqlAndInJava() throws IOException {
        Map<String, List<String>> sql = inSql();
        List<String> compared = new ArrayList<>();
        for (Table<?> table : LedgerFormat.ALL) {
            for (FileColumn<?> column : table.columns()) {
                String name = table.name() + "." + column.name();
                List<String> java = Words.closed(column.name(), table.name());
                if (column.kind() == FileColumn.Kind.TEXT && (!java.isEmpty() || sql.containsKey(name))) {
                    assertThat(sql.get(name)).as(name).containsExactlyInAnyOrderElementsOf(java);
                    compared.add(name);
                }
            }
        }
        assertThat(compared)
                .contains(
                        "waters.kind",
                        "readings.tide",
                        "stints.hook_set",
                        "catches.mass_how",
                        "touches.kind",
                        "signs.kind")
                .hasSizeGreaterThan(11);
    }

    @Test
    void rolesAreTheSameInSqlAndInJava() throws IOException {
        List<String> roles =
                Arrays.stream(Viewer.Role.values()).map(Viewer.Role::word).toList();
        assertThat(inSql().get("people.role")).containsExactlyInAnyOrderElementsOf(roles);
        assertThat(inSql().get("links.role")).containsExactlyInAnyOrderElementsOf(roles);
        roles.forEach(word -> assertThat(Viewer.Role.of(word).word()).isEqualTo(word));
    }

    @Test
    void levelsOfSharingAreTheSameInSqlAndInJava() throws IOException {
        assertThat(inSql().get("sharing.level"))
                .containsExactlyInAnyOrderElementsOf(
                        Arrays.stream(Level.values()).map(Level::word).toList());
    }
}
