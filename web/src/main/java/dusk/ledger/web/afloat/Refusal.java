package dusk.ledger.web.afloat;

import dusk.ledger.web.form.Typed;

/** An act that cannot be done as things are; the message says why and what to do, and stands on the card. */
public final class Refusal extends RuntimeException {
    private static final long serialVersionUID = 1;

    public Refusal(String message) {
        super(message);
    }

    /** Of what was typed and cannot be taken. */
    public static Refusal of(Typed typed) {
        return new Refusal(String.join(" ", typed.errors().values()));
    }

    public String words() {
        return String.valueOf(getMessage());
    }
}
