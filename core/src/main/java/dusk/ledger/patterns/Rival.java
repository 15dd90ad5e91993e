package dusk.ledger.patterns;

import dusk.ledger.evidence.Interval;

/**
 * Another condition that explains a finding about as well as one of its own: granted either, the other has nothing
 * left to say. The records do not tell the two apart yet.
 *
 * @param of the finding's own condition
 * @param condition that may be the true one instead; its level may name two that follow each other, "7-10 C or 10-15 C"
 * @param ratio of the same choice under it
 * @param bothRodHours with the choice where both hold
 * @param onlyOwnRodHours with the choice where the finding's own holds without the other, as far as both are recorded
 * @param onlyThisRodHours with the choice where the other holds without the finding's own
 * @param tellingRodHours with the choice, and as many without, where one holds without the other, that would tell
 */
public record Rival(
        Term of,
        Term condition,
        double ratio,
        Interval interval,
        double bothRodHours,
        double onlyOwnRodHours,
        double onlyThisRodHours,
        double tellingRodHours) {}
