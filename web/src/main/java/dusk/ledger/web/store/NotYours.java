package dusk.ledger.web.store;

import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.ResponseStatus;

/** A row that is not there, or not for this person to see: the same answer, so that nobody learns which. */
@ResponseStatus(HttpStatus.NOT_FOUND)
public final class NotYours extends RuntimeException {
    private static final long serialVersionUID = 1;
}
