package dusk.ledger.web.bring;

import java.time.Clock;
import java.time.Duration;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Files that are looked at before they are brought in: the newest few of each club, for a day, in memory. */
@Component
class Drafts {
    private static final int KEPT_A_CLUB = 3;
    private static final int KEPT = 6;
    private static final Duration LIFE = Duration.ofHours(24);

    private final Deque<Draft> drafts = new ArrayDeque<>();
    private final Clock clock;

    Drafts(Clock clock) {
        this.clock = clock;
    }

    synchronized void keep(Draft draft) {
        drafts.removeIf(d -> d.at().plus(LIFE).isBefore(clock.instant()));
        drafts.addFirst(draft);
        List<Draft> own = drafts.stream()
                .filter(d -> d.clubId().equals(draft.clubId()))
                .skip(KEPT_A_CLUB)
                .toList();
        drafts.removeAll(own);
        while (drafts.size() > KEPT) {
            drafts.removeLast();
        }
    }

    synchronized Optional<Draft> of(String clubId, String id) {
        return drafts.stream()
                .filter(d -> d.clubId().equals(clubId) && d.id().equals(id))
                .findFirst();
    }

    synchronized List<Draft> all(String clubId) {
        return drafts.stream().filter(d -> d.clubId().equals(clubId)).toList();
    }

    synchronized void forget(Draft draft) {
        drafts.remove(draft);
    }
}
