package dusk.ledger.web.store;

import org.jspecify.annotations.Nullable;
import org.springframework.boot.diagnostics.AbstractFailureAnalyzer;
import org.springframework.boot.diagnostics.FailureAnalysis;

/** At a start a store that cannot be used is said in one sentence, not in a trace. */
public final class StoreFaultWords extends AbstractFailureAnalyzer<StoreFault> {
    @Override
    protected @Nullable FailureAnalysis analyze(Throwable rootFailure, StoreFault cause) {
        return new FailureAnalysis(cause.getMessage(), null, cause);
    }
}
