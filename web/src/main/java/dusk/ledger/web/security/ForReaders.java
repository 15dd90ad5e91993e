package dusk.ledger.web.security;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/**
 * A route that a guest reader gets too, who sees findings and their own card and changes nothing of the club's. All
 * others are not there for them, so that a new route is closed until somebody opens it.
 */
@Retention(RetentionPolicy.RUNTIME)
@Target({ElementType.TYPE, ElementType.METHOD})
public @interface ForReaders {}
