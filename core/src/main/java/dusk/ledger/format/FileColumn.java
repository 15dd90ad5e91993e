package dusk.ledger.format;

import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/**
 * One column of a file of the ledger package, and of the store's table of the same name.
 *
 * @param name as written in the header, with its unit
 * @param kind what a cell holds
 * @param required whether every row must have it
 * @param references name of the table whose ids it holds
 * @param value the cell of a record: String, Double, Long, Instant or Boolean by kind, null where not recorded
 */
public record FileColumn<T>(
        String name, Kind kind, boolean required, @Nullable String references, Function<T, @Nullable Object> value) {
    /** What a cell holds. */
    public enum Kind {
        TEXT("string", String.class),
        NUMBER("number", Double.class),
        WHOLE("integer", Long.class),
        TIME("datetime", java.time.Instant.class),
        YES_NO("boolean", Boolean.class);

        private final String frictionless;
        private final Class<?> type;

        Kind(String frictionless, Class<?> type) {
            this.frictionless = frictionless;
            this.type = type;
        }

        /** The type's name in a table schema. */
        public String frictionless() {
            return frictionless;
        }

        /** The Java type of a cell. */
        public Class<?> type() {
            return type;
        }
    }
}
