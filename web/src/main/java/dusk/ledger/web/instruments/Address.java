package dusk.ledger.web.instruments;

import dusk.ledger.instruments.Kind;
import java.net.URI;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Where an instrument is reached.
 *
 * @param host name or number
 * @param port of a feed of lines; -1 of a service, whose address says it
 * @param text as it is stored and read back
 */
record Address(String host, int port, String text) {
    private static final Pattern LINES = Pattern.compile("([A-Za-z0-9][A-Za-z0-9.-]{0,252}):(\\d{1,5})");
    private static final int HIGHEST_PORT = 65_535;
    private static final int LONGEST = 300;

    /**
     * Reads one as a kind of instrument has it.
     *
     * @throws IllegalArgumentException with a message that can stand at the field
     */
    static Address parse(Kind kind, String typed) {
        String text = typed.strip();
        if (text.length() > LONGEST) {
            throw new IllegalArgumentException("That is too long. " + wanted(kind));
        }
        return kind.lines() ? lines(kind, text) : service(kind, text);
    }

    private static Address lines(Kind kind, String text) {
        Matcher parts = LINES.matcher(text);
        int port = parts.matches() ? URI.create("tcp://" + text).getPort() : 0;
        if (port < 1 || port > HIGHEST_PORT) {
            throw new IllegalArgumentException(wanted(kind));
        }
        return new Address(parts.group(1), port, text);
    }

    private static Address service(Kind kind, String text) {
        URI uri;
        try {
            uri = URI.create(text);
        } catch (IllegalArgumentException e) {
            throw new IllegalArgumentException(wanted(kind), e);
        }
        boolean web = "http".equals(uri.getScheme()) || "https".equals(uri.getScheme());
        if (!web || uri.getHost() == null || uri.getRawFragment() != null || uri.getRawUserInfo() != null) {
            throw new IllegalArgumentException(wanted(kind));
        }
        return new Address(uri.getHost(), -1, text);
    }

    private static String wanted(Kind kind) {
        return kind.lines()
                ? "Write host and port, such as 192.168.1.20:10110."
                : "Write the web address of its report, such as http://192.168.1.30/report.json.";
    }
}
