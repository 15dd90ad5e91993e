package dusk.ledger.web.form;

import java.util.List;

/**
 * A form as the page lays it out.
 *
 * @param id of the element, unique on its page
 * @param action where it is sent
 * @param submit the button's words
 * @param cancel where one goes back to
 */
public record Form(
        String id,
        String title,
        String action,
        String submit,
        String cancel,
        List<FormField> main,
        List<FormField> more) {
    public boolean wrong() {
        return main.stream().anyMatch(FormField::wrong) || moreWrong();
    }

    /** Whether the fields that stand folded away hold a fault, so that they are opened. */
    public boolean moreWrong() {
        return more.stream().anyMatch(FormField::wrong);
    }
}
