package dusk.ledger.bench;

import dusk.ledger.journal.Ledger;
import dusk.ledger.stints.CrossTally;
import dusk.ledger.stints.StintTable;
import dusk.ledger.vocabulary.Factor;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.stream.Collectors;

/**
 * Counts stints, rod-hours and fish of every combination of up to three factors, at least one of them tackle, by the
 * column table and by two database engines, one after the other in one process, and says how long each took and
 * whether all came to the same. Only combinations of 8 stints and more count.
 *
 * <p>The engines hold the same codes as small integers, in memory; DuckDB has two threads, as the table has; SQLite has one.
 */
public final class SideBySide {
    private static final int LEAST_STINTS = 8;
    private static final int THREADS = 2;
    private static final int ROUNDS = 3;

    private final StintTable table;
    private final int[] fish;
    private final List<Factor> factors;
    private final List<List<Factor>> sets;

    private SideBySide(Ledger ledger) {
        table = StintTable.of(ledger);
        fish = table.fish(null, null);
        factors = Arrays.stream(Factor.values())
                .filter(f -> f.kind() == Factor.Kind.TACKLE || f.kind() == Factor.Kind.CONDITION)
                .filter(f -> table.codes(f).levels().size() > 2)
                .toList();
        sets = sets();
    }

    /** What a counting came to: equal for all that count right. */
    private record Sum(long combinations, long stints, double rodHours, long fish) {
        Sum plus(Sum o) {
            return new Sum(combinations + o.combinations, stints + o.stints, rodHours + o.rodHours, fish + o.fish);
        }

        boolean agrees(Sum o) {
            return combinations == o.combinations
                    && stints == o.stints
                    && fish == o.fish
                    && Math.abs(rodHours - o.rodHours) <= 1e-9 * rodHours;
        }
    }

    private interface Counting {
        Sum count() throws Exception;
    }

    /** @param args numbers of stints; 3000, 20000 and 200000 where none are given */
    public static void main(String[] args) throws Exception {
        List<Integer> sizes = args.length == 0
                ? List.of(3000, 20000, 200000)
                : Arrays.stream(args).map(Integer::valueOf).toList();
        for (int size : sizes) {
            new SideBySide(Clubs.of(size)).measure();
        }
    }

    private void measure() throws Exception {
        System.out.printf(Locale.ROOT, "%,d stints, %d sets of factors%n", table.size(), sets.size());
        Sum ours;
        try (Connection duck = DriverManager.getConnection("jdbc:duckdb:")) {
            load(duck, "UTINYINT", "DOUBLE");
            try (Statement set = duck.createStatement()) {
                set.execute("SET threads TO " + THREADS);
            }
            ours = median("column table", this::byTable, null);
            median("DuckDB", () -> byQueries(duck), ours);
            median("column table again", this::byTable, ours);
        }
        try (Connection lite = DriverManager.getConnection("jdbc:sqlite::memory:")) {
            load(lite, "INTEGER", "REAL");
            long start = System.nanoTime();
            say("SQLite, once", byQueries(lite), seconds(start), ours);
        }
    }

    private Sum median(String who, Counting counting, @org.jspecify.annotations.Nullable Sum known) throws Exception {
        double[] seconds = new double[ROUNDS];
        Sum sum = counting.count();
        for (int round = 0; round < ROUNDS; round++) {
            long start = System.nanoTime();
            sum = counting.count();
            seconds[round] = seconds(start);
        }
        Arrays.sort(seconds);
        say(who, sum, seconds[ROUNDS / 2], known == null ? sum : known);
        return sum;
    }

    private static double seconds(long start) {
        return (System.nanoTime() - start) / 1e9;
    }

    private static void say(String who, Sum sum, double seconds, Sum known) {
        System.out.printf(
                Locale.ROOT,
                "  %-20s %8.3f s  %,d combinations, %s%n",
                who,
                seconds,
                sum.combinations(),
                sum.agrees(known) ? "the same" : "DIFFERENT: " + sum);
    }

    private List<List<Factor>> sets() {
        List<List<Factor>> all = new ArrayList<>();
        for (int a = 0; a < factors.size(); a++) {
            add(all, List.of(factors.get(a)));
            for (int b = a + 1; b < factors.size(); b++) {
                add(all, List.of(factors.get(a), factors.get(b)));
                for (int c = b + 1; c < factors.size(); c++) {
                    add(all, List.of(factors.get(a), factors.get(b), factors.get(c)));
                }
            }
        }
        return all;
    }

    private static void add(List<List<Factor>> all, List<Factor> set) {
        if (set.stream().anyMatch(f -> f.kind() == Factor.Kind.TACKLE)) {
            all.add(set);
        }
    }

    private Sum byTable() throws Exception {
        ExecutorService pool = Executors.newFixedThreadPool(THREADS);
        try {
            List<Future<Sum>> parts = new ArrayList<>();
            for (List<Factor> set : sets) {
                parts.add(pool.submit(() -> sum(set)));
            }
            Sum sum = new Sum(0, 0, 0, 0);
            for (Future<Sum> part : parts) {
                sum = sum.plus(part.get());
            }
            return sum;
        } finally {
            pool.shutdown();
        }
    }

    private Sum sum(List<Factor> set) {
        CrossTally tally = CrossTally.of(table, fish, set.toArray(Factor[]::new));
        long combinations = 0;
        long stints = 0;
        double hours = 0;
        long fishSum = 0;
        for (int cell = 0; cell < tally.cells(); cell++) {
            if (tally.stints(cell) >= LEAST_STINTS) {
                combinations++;
                stints += tally.stints(cell);
                hours += tally.rodHours(cell);
                fishSum += tally.fish(cell);
            }
        }
        return new Sum(combinations, stints, hours, fishSum);
    }

    private Sum byQueries(Connection connection) throws SQLException {
        Sum sum = new Sum(0, 0, 0, 0);
        try (Statement statement = connection.createStatement()) {
            for (List<Factor> set : sets) {
                String columns = set.stream().map(Factor::key).collect(Collectors.joining(", "));
                try (ResultSet rows =
                        statement.executeQuery("SELECT count(*), sum(n), sum(h), sum(y) FROM (SELECT count(*) n,"
                                + " sum(rod_hours) h, sum(fish) y FROM stints GROUP BY " + columns
                                + " HAVING count(*) >= "
                                + LEAST_STINTS + ")")) {
                    rows.next();
                    sum = sum.plus(new Sum(rows.getLong(1), rows.getLong(2), rows.getDouble(3), rows.getLong(4)));
                }
            }
        }
        return sum;
    }

    private void load(Connection connection, String code, String real) throws SQLException {
        connection.setAutoCommit(false);
        String columns = factors.stream().map(f -> f.key() + " " + code).collect(Collectors.joining(", "));
        try (Statement create = connection.createStatement()) {
            create.execute("CREATE TABLE stints (" + columns + ", rod_hours " + real + ", fish INTEGER)");
        }
        String marks = "?, ".repeat(factors.size()) + "?, ?";
        try (PreparedStatement insert = connection.prepareStatement("INSERT INTO stints VALUES (" + marks + ")")) {
            for (int i = 0; i < table.size(); i++) {
                int at = 1;
                for (Factor factor : factors) {
                    insert.setInt(at++, table.codes(factor).at(i));
                }
                insert.setDouble(at++, table.rodHours(i));
                insert.setInt(at, fish[i]);
                insert.addBatch();
                if (i % 10000 == 9999) {
                    insert.executeBatch();
                }
            }
            insert.executeBatch();
        }
        connection.commit();
    }
}
