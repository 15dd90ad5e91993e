package dusk.ledger.web.exchange;

import dusk.ledger.web.records.Invitations;
import dusk.ledger.web.records.Secrets;
import dusk.ledger.web.store.Clubs;
import dusk.ledger.web.store.Viewer;
import java.io.PrintWriter;
import java.security.SecureRandom;
import java.time.Duration;

/** How a club whose people cannot sign in gets its first records officer: by a link on the console of whoever runs it. */
final class OfficerLink {
    private static final Duration GOOD_FOR = Duration.ofDays(7);

    private OfficerLink() {}

    static void print(PrintWriter out, StoreOption.Opened opened, Clubs.Club club) {
        SecureRandom random = new SecureRandom();
        String token = new Invitations(opened.store(), new Secrets(random), opened.newId())
                .invite(
                        Invitations.Invited.newcomer(club.id(), Viewer.Role.OFFICER),
                        null,
                        opened.clock().instant().plus(GOOD_FOR));
        out.println("A records officer of " + club.name() + " comes in, once and within " + GOOD_FOR.toDays()
                + " days, at the server's address with /invited/" + token + " behind it, such as");
        out.println("http://127.0.0.1:8470/invited/" + token);
        out.flush();
    }
}
