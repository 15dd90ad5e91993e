package dusk.ledger.web.form;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * One field of a form as the page lays it out.
 *
 * @param name of the input, which for a record's field is the column of the ledger format
 * @param hint what to write, or why it is asked; empty for none
 * @param value what was typed or is stored
 * @param preview where a picture of the choice is had, asked with the choice under the field's name; empty for none
 * @param error what is wrong and what would be right; empty where nothing is
 * @param start what it held when the form was opened, which goes along with it; null for a form of nothing yet
 * @param words written beside a searched field, to find what it is to hold; empty for none
 * @param meanwhile what somebody else made of it since, where something else was typed too; empty for nothing
 */
public record FormField(
        String name,
        String label,
        Kind kind,
        List<Group> groups,
        String hint,
        boolean required,
        String value,
        String error,
        String preview,
        @Nullable String start,
        String meanwhile,
        String words) {
    /** Before a field's name: the field beside it that takes words to find what it is to hold. */
    public static final String FIND = "find.";

    /** How it is asked. */
    public enum Kind {
        TEXT,
        DECIMAL,
        WHOLE,
        /** Free text with the vocabulary's words offered. */
        WORDS,
        CHOICE,
        /** The same of a long list: words beside it find what is not among the likely ones. */
        SEARCHED,
        TIME,
        LONG_TEXT
    }

    /** A choice. */
    public record Option(String value, String label) {}

    /** Choices under a heading; an empty heading for none. */
    public record Group(String heading, List<Option> options) {}

    /** The name of the kind for the page, which chooses the input by it. */
    public String input() {
        return kind.name();
    }

    /** Whether there is something to choose from. */
    public boolean chosen() {
        return kind == Kind.CHOICE || kind == Kind.SEARCHED;
    }

    public boolean wrong() {
        return !error.isEmpty();
    }
}
