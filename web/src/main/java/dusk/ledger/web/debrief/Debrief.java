package dusk.ledger.web.debrief;

import java.util.List;

/** A trip looked back on, as its page lays it out. */
record Debrief(
        String id,
        String water,
        String date,
        String summary,
        String picture,
        List<Line> lines,
        List<Hint> hints,
        List<Gap> gaps,
        String note,
        boolean mayAdd,
        boolean mayChange,
        boolean live,
        List<Client> clients) {

    /** A stint, for whoever wants the picture's figures as a table. */
    record Line(String from, String minutes, String angler, String setUp, String what, String came) {}

    record Hint(String sentence, String doubt) {}

    /** Something missing, and where it is put in. */
    record Gap(String words, String link) {}

    /** Someone whose card can be made. */
    record Client(String id, String name) {}
}
