package dusk.ledger.web.security;

import dusk.ledger.web.store.RecentTables;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpMethod;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.HandlerInterceptor;

/** Notes who has asked for a change, before the answer ends: the next page they ask for shows it. */
@Component
class ChangeNotes implements HandlerInterceptor {
    private final CurrentPerson current;
    private final RecentTables tables;

    ChangeNotes(CurrentPerson current, RecentTables tables) {
        this.current = current;
        this.tables = tables;
    }

    @Override
    public void afterCompletion(
            HttpServletRequest request, HttpServletResponse response, Object handler, @Nullable Exception ex) {
        if (!HttpMethod.GET.matches(request.getMethod())) {
            current.get().ifPresent(person -> tables.changed(person.viewer()));
        }
    }
}
