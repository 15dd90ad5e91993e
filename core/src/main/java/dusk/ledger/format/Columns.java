package dusk.ledger.format;

import dusk.ledger.format.FileColumn.Kind;
import dusk.ledger.journal.Ledger;
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
import java.util.function.BiConsumer;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;

/**
 * The columns of a file as they are listed, one line each: name, how a record's cell is had, and how it is given to
 * the builder of a record.
 *
 * @param <T> the record
 * @param <B> its builder
 */
final class Columns<T, B> {
    /** Stands in for a time that was missing or unreadable; that problem is reported, so no such record leaves the reader. */
    private static final Instant UNREAD = Instant.EPOCH;

    private final Supplier<B> fresh;
    private final Function<B, T> build;
    private final List<FileColumn<T>> columns = new ArrayList<>();
    private final List<BiConsumer<B, Cells>> reading = new ArrayList<>();

    /** @param fresh a builder with what stands where a cell is empty */
    Columns(Supplier<B> fresh, Function<B, T> build) {
        this.fresh = fresh;
        this.build = build;
    }

    private <V> Columns<T, B> add(
            FileColumn<T> column, BiFunction<Cells, String, @Nullable V> read, BiConsumer<B, V> give) {
        columns.add(column);
        reading.add((builder, cells) -> {
            V value = read.apply(cells, column.name());
            if (value != null) {
                give.accept(builder, value);
            }
        });
        return this;
    }

    private <V> Columns<T, B> optional(
            String name,
            Kind kind,
            Function<T, @Nullable V> value,
            Function<V, Object> cell,
            BiFunction<Cells, String, @Nullable V> read,
            BiConsumer<B, V> give) {
        Function<T, @Nullable Object> shown = record -> {
            V had = value.apply(record);
            return had == null ? null : cell.apply(had);
        };
        return add(new FileColumn<>(name, kind, false, null, shown), read, give);
    }

    /** A text that every row must have; a missing one was reported already, so the record's own check may repeat it unseen. */
    private Columns<T, B> needed(
            String name, @Nullable String references, Function<T, String> value, BiConsumer<B, String> give) {
        return add(new FileColumn<>(name, Kind.TEXT, true, references, value::apply), Cells::id, give);
    }

    Columns<T, B> id(String name, Function<T, String> value, BiConsumer<B, String> give) {
        return needed(name, null, value, give);
    }

    Columns<T, B> required(String name, Function<T, String> value, BiConsumer<B, String> give) {
        return needed(name, null, value, give);
    }

    Columns<T, B> text(String name, Function<T, @Nullable String> value, BiConsumer<B, String> give) {
        return optional(name, Kind.TEXT, value, text -> text, Cells::text, give);
    }

    /** The id of a row of another file, or of an earlier one of the same. */
    Columns<T, B> reference(String name, String table, Function<T, String> value, BiConsumer<B, String> give) {
        return needed(name, table, value, give);
    }

    Columns<T, B> maybe(String name, String table, Function<T, @Nullable String> value, BiConsumer<B, String> give) {
        return add(new FileColumn<>(name, Kind.TEXT, false, table, value::apply), Cells::text, give);
    }

    Columns<T, B> time(String name, Function<T, Instant> value, BiConsumer<B, Instant> give) {
        return add(
                new FileColumn<>(name, Kind.TIME, true, null, value::apply),
                (cells, column) -> {
                    Instant time = cells.time(column);
                    return time == null ? UNREAD : time;
                },
                give);
    }

    Columns<T, B> timeIfKnown(String name, Function<T, @Nullable Instant> value, BiConsumer<B, Instant> give) {
        return optional(name, Kind.TIME, value, time -> time, Cells::time, give);
    }

    Columns<T, B> yesNo(String name, Function<T, @Nullable Boolean> value, BiConsumer<B, Boolean> give) {
        return optional(name, Kind.YES_NO, value, said -> said, Cells::yesNo, give);
    }

    Columns<T, B> whole(String name, Function<T, @Nullable Integer> value, BiConsumer<B, Integer> give) {
        return optional(name, Kind.WHOLE, value, Integer::longValue, Cells::whole, give);
    }

    Columns<T, B> number(String name, Function<T, @Nullable Double> value, BiConsumer<B, Double> give) {
        return optional(name, Kind.NUMBER, value, number -> number, Cells::number, give);
    }

    /** A number that every row must have. */
    Columns<T, B> amount(String name, Function<T, Double> value, BiConsumer<B, Double> give) {
        return add(new FileColumn<>(name, Kind.NUMBER, true, null, value::apply), Cells::number, give);
    }

    Columns<T, B> mass(String name, Function<T, @Nullable Mass> value, BiConsumer<B, Mass> give) {
        return optional(name, Kind.NUMBER, value, Mass::grams, Cells::mass, give);
    }

    Columns<T, B> millimetres(String name, Function<T, @Nullable Length> value, BiConsumer<B, Length> give) {
        return optional(name, Kind.NUMBER, value, Length::millimetres, Cells::millimetres, give);
    }

    Columns<T, B> metres(String name, Function<T, @Nullable Length> value, BiConsumer<B, Length> give) {
        return optional(name, Kind.NUMBER, value, Length::metres, Cells::metres, give);
    }

    /** A depth that every row must have. */
    Columns<T, B> depth(String name, Function<T, Length> value, BiConsumer<B, Length> give) {
        return add(
                new FileColumn<>(
                        name,
                        Kind.NUMBER,
                        true,
                        null,
                        record -> value.apply(record).metres()),
                Cells::metres,
                give);
    }

    Columns<T, B> celsius(String name, Function<T, @Nullable Temperature> value, BiConsumer<B, Temperature> give) {
        return optional(name, Kind.NUMBER, value, Temperature::celsius, Cells::celsius, give);
    }

    Columns<T, B> speed(String name, Function<T, @Nullable Speed> value, BiConsumer<B, Speed> give) {
        return optional(name, Kind.NUMBER, value, Speed::metresPerSecond, Cells::speed, give);
    }

    Columns<T, B> bearing(String name, Function<T, @Nullable Bearing> value, BiConsumer<B, Bearing> give) {
        return optional(name, Kind.NUMBER, value, Bearing::degrees, Cells::bearing, give);
    }

    Columns<T, B> newtons(String name, Function<T, @Nullable Force> value, BiConsumer<B, Force> give) {
        return optional(name, Kind.NUMBER, value, Force::newtons, Cells::newtons, give);
    }

    Columns<T, B> zone(String name, Function<T, @Nullable ZoneId> value, BiConsumer<B, ZoneId> give) {
        return optional(name, Kind.TEXT, value, ZoneId::getId, Cells::zone, give);
    }

    /** Latitude and longitude: both or neither. */
    Columns<T, B> position(Function<T, @Nullable Position> value, BiConsumer<B, Position> give) {
        optional("latitude", Kind.NUMBER, value, Position::latitude, (cells, column) -> cells.position(), give);
        Function<T, @Nullable Object> longitude = record -> {
            Position had = value.apply(record);
            return had == null ? null : had.longitude();
        };
        columns.add(new FileColumn<>("longitude", Kind.NUMBER, false, null, longitude));
        return this;
    }

    /** A file of these columns. */
    Table<T> table(String name, boolean required, Function<Ledger, List<T>> rows) {
        List<BiConsumer<B, Cells>> all = List.copyOf(reading);
        return new Table<>(
                name,
                required,
                List.copyOf(columns),
                cells -> {
                    B builder = fresh.get();
                    all.forEach(one -> one.accept(builder, cells));
                    return build.apply(builder);
                },
                rows);
    }
}
