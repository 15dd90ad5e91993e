package dusk.ledger.web.frame;

import dusk.ledger.journal.Invalid;
import dusk.ledger.web.store.StoreFault;
import java.util.stream.Collectors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.MissingServletRequestParameterException;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;
import org.springframework.web.multipart.MultipartException;
import org.springframework.web.multipart.support.MissingServletRequestPartException;
import org.springframework.web.servlet.ModelAndView;

/** What no form of ours sends, such as an address typed by hand with something left out, is told by name. */
@ControllerAdvice
class RefusedAdvice {
    private static final Logger LOG = LoggerFactory.getLogger(RefusedAdvice.class);

    @ExceptionHandler
    ModelAndView missing(MissingServletRequestParameterException e) {
        return refused(
                HttpStatus.BAD_REQUEST,
                "“" + e.getParameterName() + "” is missing. Go back and send the form from its own page.");
    }

    @ExceptionHandler
    ModelAndView illTyped(MethodArgumentTypeMismatchException e) {
        String meant = e.getRequiredType() == boolean.class ? "Write true or false." : "Write a whole number.";
        return refused(
                HttpStatus.BAD_REQUEST, "“" + e.getValue() + "” cannot be a value of “" + e.getName() + "”. " + meant);
    }

    @ExceptionHandler({MultipartException.class, MissingServletRequestPartException.class})
    ModelAndView noFile(Exception e) {
        return refused(HttpStatus.BAD_REQUEST, "No file came with it. Choose the file, then send the form.");
    }

    /** Where a form did not catch it, a record that cannot be is refused here, and nothing is stored. */
    @ExceptionHandler
    ModelAndView invalid(Invalid e) {
        return refused(
                HttpStatus.UNPROCESSABLE_CONTENT,
                e.problems().stream()
                        .map(p -> p.column() + ": " + p.message() + ".")
                        .collect(Collectors.joining(" ")));
    }

    /** The touch or form is not lost by it: a deck sends again what was not taken. */
    @ExceptionHandler
    ModelAndView unstored(StoreFault e) {
        LOG.error("a write was not taken", e);
        return refused(HttpStatus.SERVICE_UNAVAILABLE, String.valueOf(e.getMessage()));
    }

    private static ModelAndView refused(HttpStatus status, String said) {
        ModelAndView page = new ModelAndView("error", status);
        page.addObject("status", status.value());
        page.addObject("said", said);
        return page;
    }
}
