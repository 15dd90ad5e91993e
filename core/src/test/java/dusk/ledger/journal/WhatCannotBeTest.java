package dusk.ledger.journal;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dusk.ledger.format.Cells;
import dusk.ledger.format.FileColumn;
import dusk.ledger.format.LedgerFormat;
import dusk.ledger.format.Table;
import dusk.ledger.vocabulary.Words;
import java.time.Duration;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Every column at the ends of what can be, and beyond them: one row must not spoil a club's findings. */
class WhatCannotBeTest {
    private static final Instant MORNING = Instant.parse("2026-05-01T06:00:00Z");
    private static final String LONG = "x".repeat(201);

    /** Not numbers that a person logs freely: a bearing turns round, and a position needs both halves. */
    private static final Set<String> OTHERWISE = Set.of("wind_from_deg", "latitude", "longitude");

    private static Stream<Arguments> columns() {
        return LedgerFormat.ALL.stream()
                .flatMap(table -> table.columns().stream().map(column -> Arguments.of(table, column)));
    }

    private static Stream<Arguments> numbers() {
        return columns().filter(a -> {
            FileColumn.Kind kind = ((FileColumn<?>) a.get()[1]).kind();
            return kind == FileColumn.Kind.NUMBER || kind == FileColumn.Kind.WHOLE;
        });
    }

    /** A row that holds what it must. */
    private static Map<String, Object> least(Table<?> table) {
        Map<String, Object> row = new LinkedHashMap<>();
        for (FileColumn<?> column : table.columns()) {
            List<String> closed = Words.closed(column.name(), table.name());
            if (column.required()) {
                row.put(
                        column.name(),
                        switch (column.kind()) {
                            case TEXT -> closed.isEmpty() ? "a-" + column.name() : closed.get(0);
                            case NUMBER -> 30.0;
                            case WHOLE -> 1L;
                            case TIME -> MORNING;
                            case YES_NO -> true;
                        });
            }
        }
        return row;
    }

    private static Object read(Table<?> table, Map<String, Object> row) {
        Cells cells = new Cells();
        row.forEach(cells::with);
        return table.read(cells);
    }

    private static void refused(Table<?> table, String column, Object value) {
        Map<String, Object> row = least(table);
        row.put(column, value);
        assertThatThrownBy(() -> read(table, row))
                .as(table.name() + "." + column + " " + value)
                .isInstanceOfSatisfying(
                        Invalid.class,
                        e -> assertThat(e.problems())
                                .extracting(Invalid.Problem::column)
                                .contains(column));
    }

    private static Object cell(FileColumn<?> column, double value) {
        return column.kind() == FileColumn.Kind.WHOLE ? (Object) Math.round(value) : value;
    }

    /** Counts of a stint rest on each other, so that the ones above are given too. */
    private static void taken(Table<?> table, FileColumn<?> column, double value) {
        Map<String, Object> row = least(table);
        if (column.name().startsWith("slot_")) {
            row.put("slot_from_mm", 5.0);
            row.put("slot_to_mm", 6000.0);
        }
        if (column.name().equals("hooked")) {
            row.put("bites", cell(column, value));
        }
        row.put(column.name(), cell(column, value));
        assertThat(read(table, row))
                .as(table.name() + "." + column.name() + " " + value)
                .isNotNull();
    }

    @ParameterizedTest(name = "{0} {1}")
    @MethodSource("numbers")
    void everyNumberHasItsEndsWhichAreTakenAndNothingBeyondThem(Table<?> table, FileColumn<?> column) {
        if (OTHERWISE.contains(column.name())) {
            return;
        }
        Bounds.Range range = Bounds.of(column.name(), table.name()).orElseThrow();
        taken(table, column, range.least());
        taken(table, column, range.most());
        double step = column.kind() == FileColumn.Kind.WHOLE ? 1 : Math.max(1e-6, Math.abs(range.most()) * 1e-9);
        refused(table, column.name(), cell(column, range.most() + step));
        refused(table, column.name(), cell(column, range.least() - step));
        if (column.kind() == FileColumn.Kind.NUMBER) {
            for (double none : new double[] {1e15, -1e15, Double.NaN, Double.POSITIVE_INFINITY, Double.MAX_VALUE}) {
                refused(table, column.name(), none);
            }
        }
    }

    @ParameterizedTest(name = "{0} {1}")
    @MethodSource("columns")
    void everyTextIsOfSaneLengthAndCanBeSeen(Table<?> table, FileColumn<?> column) {
        if (column.kind() != FileColumn.Kind.TEXT || column.name().equals("time_zone")) {
            return;
        }
        boolean note = column.name().equals("note");
        refused(table, column.name(), note ? "x".repeat(10_001) : LONG);
        for (String unseen : List.of("a\u0000b", "a\u001bb", "a\u2028b", "a\ud800b", "a\u007fb")) {
            refused(table, column.name(), unseen);
        }
        if (!note) {
            refused(table, column.name(), "a\nb");
        }
    }

    @ParameterizedTest(name = "{0} {1}")
    @MethodSource("columns")
    void everyTimeIsOfThisCenturyOrTheLast(Table<?> table, FileColumn<?> column) {
        if (column.kind() != FileColumn.Kind.TIME) {
            return;
        }
        refused(table, column.name(), Instant.MIN);
        refused(table, column.name(), Instant.MAX);
        refused(table, column.name(), Instant.parse("1899-12-31T23:59:59Z"));
        refused(table, column.name(), Instant.parse("2100-01-01T00:00:00Z"));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "a b", "a/b", "..", ".a", "a?b", "a#b", "a%2Fb", "a;b", "a\\b", "é", "", " ", "a\u0000", "-a", "new",
                "past"
            })
    void anIdOpensInAnAddress(String id) {
        assertThatThrownBy(() -> new Angler(id, null))
                .isInstanceOf(Invalid.class)
                .hasMessageContaining("angler_id");
    }

    @ParameterizedTest
    @ValueSource(strings = {"a", "A-1_b", "01a10247-7580-7ebf-bf22-4916d65674d5", "t1.2", "a:b~c"})
    void andOrdinaryOnesDo(String id) {
        assertThat(new Angler(id, null).id()).isEqualTo(id);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "-1 | ended_at: 2026-05-01T05:59:59Z is before the start, expected 2026-05-01T06:00:00Z or later",
                "1209601 | ended_at: more than 14 days after the start, expected 2026-05-15T06:00:00Z or earlier",
            })
    void aTripEndsAfterItsStartAndWithinAFortnight(long seconds, String sentence) {
        assertThatThrownBy(() -> new Trip("t", "w", MORNING, MORNING.plusSeconds(seconds), null))
                .isInstanceOf(Invalid.class)
                .hasMessage(sentence);
        assertThat(new Trip("t", "w", MORNING, MORNING.plus(Duration.ofDays(14)), null).endedAt())
                .isNotNull();
    }

    @Test
    void whatIsStillToComeIsToldFromAClockThatGoesALittleFast() {
        assertThat(Bounds.toCome(MORNING.plusSeconds(600), MORNING)).isFalse();
        assertThat(Bounds.toCome(MORNING.plusSeconds(601), MORNING)).isTrue();
    }
}
