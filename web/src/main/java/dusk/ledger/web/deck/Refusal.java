package dusk.ledger.web.deck;

/** An act that cannot be done as things are; the message says why and what to do, and stands on the card. */
final class Refusal extends RuntimeException {
    private static final long serialVersionUID = 1;

    Refusal(String message) {
        super(message);
    }

    String words() {
        return String.valueOf(getMessage());
    }
}
