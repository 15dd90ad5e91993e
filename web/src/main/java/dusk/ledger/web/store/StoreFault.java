package dusk.ledger.web.store;

import java.util.Locale;
import org.jooq.exception.DataAccessException;
import org.jspecify.annotations.Nullable;
import org.sqlite.SQLiteErrorCode;
import org.sqlite.SQLiteException;

/** The store's file cannot be used as it is: one sentence that says so and what to do. Nothing was stored. */
public final class StoreFault extends RuntimeException {
    private static final long serialVersionUID = 1;

    StoreFault(String message) {
        super(message);
    }

    StoreFault(String message, @Nullable Throwable cause) {
        super(message, cause);
    }

    /** What the disk or the file did to a statement, in words; the exception itself where it was neither. */
    static RuntimeException of(DataAccessException e) {
        SQLiteException cause = e.getCause(SQLiteException.class);
        if (cause == null) {
            return e;
        }
        String what = words(cause.getResultCode());
        return what.isEmpty() ? e : new StoreFault(what, e);
    }

    private static String words(SQLiteErrorCode code) {
        String name = code.name().toUpperCase(Locale.ROOT);
        if (name.startsWith("SQLITE_FULL")) {
            return "The disk is full, so nothing of it was stored. Make room, then send it again.";
        } else if (name.startsWith("SQLITE_READONLY") || name.startsWith("SQLITE_PERM")) {
            return "The store's file may only be read, so nothing of it was stored. Let the server write it, then send it again.";
        } else if (name.startsWith("SQLITE_CORRUPT") || name.startsWith("SQLITE_NOTADB")) {
            return "The store's file is damaged, so nothing of it was stored. Stop the server and put a back-up in its place.";
        } else if (name.startsWith("SQLITE_IOERR") || name.startsWith("SQLITE_CANTOPEN")) {
            return "The disk does not take it, so nothing of it was stored. See whether it is full or gone, then send it again.";
        } else if (name.startsWith("SQLITE_BUSY") || name.startsWith("SQLITE_LOCKED")) {
            return "Another program is writing the store's file, so nothing of it was stored. Send it again in a moment.";
        }
        return "";
    }
}
