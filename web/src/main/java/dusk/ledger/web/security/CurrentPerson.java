package dusk.ledger.web.security;

import dusk.ledger.web.records.People;
import dusk.ledger.web.records.Person;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.core.MethodParameter;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;
import org.springframework.stereotype.Component;
import org.springframework.web.bind.support.WebDataBinderFactory;
import org.springframework.web.context.request.NativeWebRequest;
import org.springframework.web.context.request.RequestAttributes;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.method.support.HandlerMethodArgumentResolver;
import org.springframework.web.method.support.ModelAndViewContainer;

/** The signed-in person, as an argument of a controller's methods and for the frame around a page. */
@Component
public class CurrentPerson implements HandlerMethodArgumentResolver {
    private static final String KNOWN = CurrentPerson.class.getName();

    private final People people;
    private final RememberedDevices remembered;

    CurrentPerson(People people, RememberedDevices remembered) {
        this.people = people;
        this.remembered = remembered;
    }

    /** What a page's address says to see it as everyone else does. */
    public static final String AS_ANYBODY = "as";

    /** Whether a page is asked for as everyone else sees it. Nothing can be changed so. */
    public static boolean asAnybody(HttpServletRequest request) {
        return request.getMethod().equals("GET") && "anybody".equals(request.getParameter(AS_ANYBODY));
    }

    /** Read once a request, so that a change of it counts at the next; empty on the pages that are open to all. */
    public Optional<Person> get() {
        Authentication authentication = SecurityContextHolder.getContext().getAuthentication();
        if (authentication == null || !(authentication.getPrincipal() instanceof SignedIn signedIn)) {
            return Optional.empty();
        }
        RequestAttributes request = RequestContextHolder.getRequestAttributes();
        if (request == null) {
            return people.byId(signedIn.personId());
        }
        Object known = request.getAttribute(KNOWN, RequestAttributes.SCOPE_REQUEST);
        if (known instanceof Person person && person.id().equals(signedIn.personId())) {
            return Optional.of(person);
        }
        Optional<Person> read = people.byId(signedIn.personId());
        read.ifPresent(person -> request.setAttribute(KNOWN, person, RequestAttributes.SCOPE_REQUEST));
        return read;
    }

    /** The id of the device that a request comes from, where it is one that stays signed in. */
    public static Optional<String> device(HttpServletRequest request) {
        return Optional.ofNullable(request.getSession(false))
                .map(session -> (String) session.getAttribute(RememberedDevices.DEVICE));
    }

    /** Signs a person in without a password: in the demonstration, by a link, and who has just proved theirs to change it. */
    public void signIn(Person person, HttpServletRequest request, HttpServletResponse response) {
        SignedIn signedIn =
                new SignedIn(person.id(), people.passwordHash(person.id()).orElse(""));
        SecurityContext context = SecurityContextHolder.createEmptyContext();
        context.setAuthentication(
                UsernamePasswordAuthenticationToken.authenticated(signedIn, null, signedIn.getAuthorities()));
        SecurityContextHolder.setContext(context);
        if (request.getSession(false) != null) {
            request.changeSessionId();
        }
        new HttpSessionSecurityContextRepository().saveContext(context, request, response);
        remembered.loginSuccess(request, response, Objects.requireNonNull(context.getAuthentication()));
    }

    @Override
    public boolean supportsParameter(MethodParameter parameter) {
        return parameter.getParameterType() == Person.class;
    }

    @Override
    public @Nullable Object resolveArgument(
            MethodParameter parameter,
            @Nullable ModelAndViewContainer container,
            NativeWebRequest request,
            @Nullable WebDataBinderFactory binders) {
        Person person = get().orElseThrow(() -> new IllegalStateException("this page is only reached signed in"));
        HttpServletRequest asked = request.getNativeRequest(HttpServletRequest.class);
        boolean member = !person.viewer().guest();
        return member && asked != null && asAnybody(asked) ? person.anybody() : person;
    }
}
