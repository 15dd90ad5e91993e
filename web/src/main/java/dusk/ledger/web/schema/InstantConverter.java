package dusk.ledger.web.schema;

import java.time.Instant;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.time.format.DateTimeParseException;
import org.jooq.impl.AbstractConverter;
import org.jspecify.annotations.Nullable;

/** Instants as UTC text to the millisecond, always of the same length, so that SQL sorts them as time does. */
public final class InstantConverter extends AbstractConverter<String, Instant> {
    private static final long serialVersionUID = 1;
    private static final DateTimeFormatter FORM =
            DateTimeFormatter.ofPattern("uuuu-MM-dd'T'HH:mm:ss.SSS'Z'").withZone(ZoneOffset.UTC);

    public InstantConverter() {
        super(String.class, Instant.class);
    }

    /** A text that is no time reads as the beginning of all time, which no record can bear: one such row must not stop the others. */
    @Override
    public @Nullable Instant from(@Nullable String text) {
        try {
            return text == null ? null : Instant.parse(text);
        } catch (DateTimeParseException e) {
            return Instant.MIN;
        }
    }

    @Override
    public @Nullable String to(@Nullable Instant instant) {
        return instant == null ? null : FORM.format(instant);
    }
}
