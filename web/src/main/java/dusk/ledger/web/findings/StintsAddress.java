package dusk.ledger.web.findings;

import dusk.ledger.evidence.Question;
import dusk.ledger.light.SunHour;
import dusk.ledger.vocabulary.Factor;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import org.springframework.web.util.UriUtils;

/** Where the stints behind a figure are listed: every figure leads there. */
final class StintsAddress {
    private final List<String> parts = new ArrayList<>();

    /** The stints that a question is of; its factor is not part of it. */
    static StintsAddress of(Question question) {
        StintsAddress address = of(new WhichFish(question.species(), question.least()));
        question.where().forEach((factor, levels) -> levels.forEach(level -> address.where(factor, level)));
        return address;
    }

    /** Those of a species and a least length, said so that it is read alike whatever units a reader has. */
    static StintsAddress of(WhichFish counted) {
        StintsAddress address = new StintsAddress();
        if (counted.species() != null) {
            address.and("species", counted.species());
        }
        if (counted.least() != null) {
            address.and("least", counted.least().millimetres() + " mm");
        }
        return address;
    }

    StintsAddress where(Factor factor, String level) {
        return and("where", factor.key() + "=" + level);
    }

    StintsAddress at(SunHour hour) {
        return and("sun", hour.toString());
    }

    StintsAddress mine() {
        return and("mine", "true");
    }

    private StintsAddress and(String name, String value) {
        parts.add(name + "=" + UriUtils.encode(value, StandardCharsets.UTF_8));
        return this;
    }

    @Override
    public String toString() {
        return "/findings/stints?" + String.join("&", parts);
    }
}
