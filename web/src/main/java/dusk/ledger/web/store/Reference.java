package dusk.ledger.web.store;

import org.jooq.Field;
import org.jooq.Table;

/**
 * A column that holds ids of rows of another table.
 *
 * @param from the column of the child
 * @param to the id of the parent
 */
record Reference(Table<?> child, Field<String> from, Table<?> parent, Field<String> to) {}
