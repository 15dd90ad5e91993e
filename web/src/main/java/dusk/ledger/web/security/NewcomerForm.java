package dusk.ledger.web.security;

import dusk.ledger.units.UnitSystem;
import dusk.ledger.web.form.Typed;
import dusk.ledger.web.records.Membership;
import dusk.ledger.web.records.People;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Reads who comes into a club: a name, a name to sign in with that nobody has, a password. */
@Component
public class NewcomerForm {
    private final People people;

    NewcomerForm(People people) {
        this.people = people;
    }

    /** What was typed; there are no measures in it, so that its units do not matter. */
    public static Typed typed(Map<String, String> values) {
        return new Typed(values, UnitSystem.METRIC);
    }

    /** The newcomer; null where anything is wrong, which is kept by field. */
    public Membership.@Nullable Newcomer read(Typed typed) {
        String name = typed.named("name", "Write the name.");
        String signIn = typed.named("username", "Write the name to sign in with.");
        String password = typed.values().getOrDefault("password", "");
        if (!signIn.isEmpty() && people.bySignIn(signIn).isPresent()) {
            typed.wrong("username", "“" + signIn + "” is taken. Choose another.");
        }
        Passwords.fault(password).ifPresent(fault -> typed.wrong("password", fault));
        return typed.errors().isEmpty() ? new Membership.Newcomer(signIn, name, password) : null;
    }
}
