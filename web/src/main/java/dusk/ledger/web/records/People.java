package dusk.ledger.web.records;

import static dusk.ledger.web.schema.Tables.PEOPLE;

import dusk.ledger.web.store.Level;
import dusk.ledger.web.store.NewId;
import dusk.ledger.web.store.Sharing;
import dusk.ledger.web.store.Store;
import dusk.ledger.web.store.Viewer;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import org.jooq.Condition;
import org.jooq.Field;
import org.jooq.Record;
import org.jooq.TableField;
import org.jspecify.annotations.Nullable;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** Accounts in the store. */
@Component
public class People {
    private static final Field<String> LEAST = Sharing.leastIn(PEOPLE.CLUB_ID).as("least");

    private final Store store;
    private final PasswordEncoder passwords;
    private final NewId newId;
    private final JsonMapper json = JsonMapper.shared();

    People(Store store, PasswordEncoder passwords, NewId newId) {
        this.store = store;
        this.passwords = passwords;
        this.newId = newId;
    }

    /** A new account; its id. The sign-in name is kept in lower case. */
    public String add(
            String clubId, String signIn, String name, String password, Viewer.Role role, @Nullable String anglerId) {
        String id = newId.next();
        store.writeApart(tx -> tx.insertInto(PEOPLE)
                .set(PEOPLE.PERSON_ID, id)
                .set(PEOPLE.CLUB_ID, clubId)
                .set(PEOPLE.SIGN_IN, signInName(signIn))
                .set(PEOPLE.NAME, name.strip())
                .set(PEOPLE.PASSWORD_HASH, String.valueOf(passwords.encode(password)))
                .set(PEOPLE.ROLE, role.word())
                .set(PEOPLE.ANGLER_ID, anglerId)
                .execute());
        return id;
    }

    public Optional<Person> byId(String personId) {
        return where(PEOPLE.PERSON_ID.eq(personId)).stream().findFirst();
    }

    public Optional<Person> bySignIn(String signIn) {
        return where(PEOPLE.SIGN_IN.eq(signInName(signIn))).stream().findFirst();
    }

    /** All who can sign in to a club, by name. */
    public List<Person> ofClub(String clubId) {
        return where(PEOPLE.CLUB_ID.eq(clubId).and(PEOPLE.LEFT_AT.isNull()));
    }

    /** The anglers that people of a club are, or were before they left. */
    Set<String> anglersOf(String clubId) {
        return store.read()
                .select(PEOPLE.ANGLER_ID)
                .from(PEOPLE)
                .where(PEOPLE.CLUB_ID.eq(clubId))
                .and(PEOPLE.ANGLER_ID.isNotNull())
                .fetchSet(PEOPLE.ANGLER_ID);
    }

    /** What somebody may do from now on. */
    void setRole(String personId, Viewer.Role role) {
        set(personId, PEOPLE.ROLE, role.word());
    }

    /**
     * Somebody leaves: they can no longer sign in, and their name to sign in with is free. Their row stays, since what they
     * changed says by whom.
     */
    void leave(String personId, String name, Instant at) {
        store.writeApart(tx -> tx.update(PEOPLE)
                .set(PEOPLE.LEFT_AT, at)
                .set(PEOPLE.NAME, name)
                .set(PEOPLE.SIGN_IN, "left " + personId)
                .set(PEOPLE.PASSWORD_HASH, "")
                .where(PEOPLE.PERSON_ID.eq(personId))
                .execute());
    }

    public Optional<String> passwordHash(String personId) {
        return store.read()
                .select(PEOPLE.PASSWORD_HASH)
                .from(PEOPLE)
                .where(PEOPLE.PERSON_ID.eq(personId))
                .and(PEOPLE.LEFT_AT.isNull())
                .fetchOptional(PEOPLE.PASSWORD_HASH);
    }

    public boolean passwordIs(String personId, String password) {
        return passwordHash(personId)
                .map(hash -> passwords.matches(password, hash))
                .orElse(false);
    }

    public void setPassword(String personId, String password) {
        set(personId, PEOPLE.PASSWORD_HASH, String.valueOf(passwords.encode(password)));
    }

    public void setUnits(String personId, String unitWord, boolean knots) {
        store.writeApart(tx -> tx.update(PEOPLE)
                .set(PEOPLE.UNITS, unitWord)
                .set(PEOPLE.KNOTS, knots ? 1L : 0L)
                .where(PEOPLE.PERSON_ID.eq(personId))
                .execute());
    }

    public void setTheme(String personId, String theme) {
        set(personId, PEOPLE.THEME, theme);
    }

    /** Schools that a person follows, by question. */
    public Map<String, String> schools(String personId) {
        Map<String, String> schools = new TreeMap<>();
        store.read()
                .select(PEOPLE.SCHOOLS)
                .from(PEOPLE)
                .where(PEOPLE.PERSON_ID.eq(personId))
                .forEach(r -> json.readTree(r.value1())
                        .properties()
                        .forEach(one -> schools.put(one.getKey(), one.getValue().asString())));
        return schools;
    }

    /** Follows a school on a question from now on; blank to hear them all alike. */
    public void follow(String personId, String question, String school) {
        Map<String, String> schools = schools(personId);
        if (school.isBlank()) {
            schools.remove(question);
        } else {
            schools.put(question, school);
        }
        set(personId, PEOPLE.SCHOOLS, json.writeValueAsString(schools));
    }

    private void set(String personId, TableField<?, String> field, String value) {
        store.writeApart(tx -> tx.update(PEOPLE)
                .set(field, value)
                .where(PEOPLE.PERSON_ID.eq(personId))
                .execute());
    }

    private List<Person> where(Condition condition) {
        return store.read()
                .select(PEOPLE.fields())
                .select(LEAST)
                .from(PEOPLE)
                .where(condition)
                .orderBy(PEOPLE.NAME)
                .fetch(People::person);
    }

    private static Person person(Record row) {
        return new Person(
                row.get(PEOPLE.PERSON_ID),
                row.get(PEOPLE.CLUB_ID),
                row.get(PEOPLE.SIGN_IN),
                row.get(PEOPLE.NAME),
                Viewer.Role.of(row.get(PEOPLE.ROLE)),
                row.get(PEOPLE.ANGLER_ID),
                row.get(PEOPLE.UNITS),
                row.get(PEOPLE.KNOTS) != 0,
                row.get(PEOPLE.THEME),
                Optional.ofNullable(row.get(LEAST)).map(Level::of).orElse(Level.KIND));
    }

    private static String signInName(String typed) {
        return typed.strip().toLowerCase(Locale.ROOT);
    }
}
