package dusk.ledger.journal;

import io.soabase.recordbuilder.core.RecordBuilder;
import org.jspecify.annotations.Nullable;

/** One who fishes. */
@RecordBuilder
public record Angler(String id, @Nullable String name) {
    public Angler {
        new Checks("anglers").id("angler_id", id).text("name", name).done();
    }

    /** The name, else what it is known by in the records. */
    public String called() {
        return name == null ? id : name;
    }
}
