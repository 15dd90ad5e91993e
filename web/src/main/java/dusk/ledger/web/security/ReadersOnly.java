package dusk.ledger.web.security;

import dusk.ledger.web.records.Person;
import dusk.ledger.web.store.NotYours;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.springframework.boot.webmvc.error.ErrorController;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.HandlerInterceptor;

/** Keeps a guest reader to what is {@link ForReaders}. */
final class ReadersOnly implements HandlerInterceptor {
    private final CurrentPerson current;

    ReadersOnly(CurrentPerson current) {
        this.current = current;
    }

    /** @throws NotYours for a guest reader where the route is not for them */
    @Override
    public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler) {
        boolean guest = current.get().map(Person::viewer).filter(v -> v.guest()).isPresent();
        if (guest && handler instanceof HandlerMethod method && !open(method)) {
            throw new NotYours();
        }
        return true;
    }

    private static boolean open(HandlerMethod method) {
        return method.hasMethodAnnotation(ForReaders.class)
                || method.getBeanType().isAnnotationPresent(ForReaders.class)
                || ErrorController.class.isAssignableFrom(method.getBeanType());
    }
}
