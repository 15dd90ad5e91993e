/**
 * The store's tables as types, generated from the migrations in the build, and how their cells are read. Open, since
 * every query names them.
 */
@ApplicationModule(type = ApplicationModule.Type.OPEN)
@NullMarked
package dusk.ledger.web.schema;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
