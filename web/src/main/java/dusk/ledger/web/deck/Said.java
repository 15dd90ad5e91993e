package dusk.ledger.web.deck;

import dusk.ledger.web.afloat.Refusal;
import dusk.ledger.web.form.Typed;
import java.util.List;

/** Words that a touch must carry. */
final class Said {
    private Said() {}

    static String of(String field, Typed typed) {
        String word = typed.text(field);
        if (word.isEmpty()) {
            throw new Refusal("Say the " + field + ".");
        }
        return word;
    }

    static String among(List<String> words, String field, Typed typed) {
        String word = of(field, typed);
        if (!words.contains(word)) {
            throw new Refusal("“" + word + "” is not one of: " + String.join(", ", words) + ".");
        }
        return word;
    }
}
