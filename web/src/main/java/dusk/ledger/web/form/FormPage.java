package dusk.ledger.web.form;

import dusk.ledger.journal.Invalid;
import io.github.wimdeblauwe.htmx.spring.boot.mvc.HtmxRedirectView;
import io.github.wimdeblauwe.htmx.spring.boot.mvc.HtmxRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.ui.Model;
import org.springframework.web.servlet.View;
import org.springframework.web.servlet.view.RedirectView;

/**
 * How a form is answered: shown on a page of its own or in the page that asked for it, refused in the same place, and
 * left once it is saved.
 */
public final class FormPage {
    private FormPage() {}

    /** Shows a form. */
    public static String show(Model model, Form form) {
        model.addAttribute("form", form);
        return Boolean.TRUE.equals(model.getAttribute("part")) ? "form :: form" : "form-page";
    }

    /**
     * Shows a form again with what was typed and what is wrong with it; nothing was stored.
     *
     * @param before the record being changed as it is now; null for a new one
     */
    public static <T> String refuse(
            Model model,
            HttpServletResponse response,
            RecordForm<T> form,
            Form head,
            Map<String, String> typed,
            List<Invalid.Problem> problems,
            @Nullable T before) {
        response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        return show(model, form.form(head, typed, problems, before));
    }

    /** Goes to a page after saving. */
    public static View saved(String page, HtmxRequest htmx) {
        return htmx.isHtmxRequest() ? new HtmxRedirectView(page) : new RedirectView(page);
    }
}
