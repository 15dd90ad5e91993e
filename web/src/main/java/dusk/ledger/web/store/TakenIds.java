package dusk.ledger.web.store;

import java.util.List;

/** A package brings records whose ids the club holds already. */
public final class TakenIds extends RuntimeException {
    private static final long serialVersionUID = 1;

    TakenIds(String file, String column, List<String> ids) {
        super(file + ": " + column + ": " + ids.size() + " ids are in the club already, \"" + ids.get(0)
                + "\" among them, expected records the club does not hold");
    }
}
