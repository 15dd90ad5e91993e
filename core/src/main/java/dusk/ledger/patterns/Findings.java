package dusk.ledger.patterns;

import java.util.List;

/**
 * What a search found.
 *
 * @param candidates combinations that reached the support
 * @param tested those that told enough to be tested
 * @param patterns surest first
 */
public record Findings(int candidates, int tested, List<Pattern> patterns) {}
