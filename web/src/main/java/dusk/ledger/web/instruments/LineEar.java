package dusk.ledger.web.instruments;

import dusk.ledger.web.records.Instrument;
import java.io.BufferedInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.net.InetSocketAddress;
import java.net.Socket;
import java.time.Clock;
import java.time.Duration;
import org.jspecify.annotations.Nullable;

/** Hears lines over a connection that stays: a boat's feed, a measuring board. */
final class LineEar extends Ear {
    private static final Duration TO_CONNECT = Duration.ofSeconds(5);

    /** A connection that says nothing for so long is made anew: the other end may be gone without a word. */
    private static final Duration TO_SPEAK = Duration.ofSeconds(90);

    /** Longer lines are cut there: what follows up to their end is passed over. */
    private static final int LONGEST = 256;

    private final Address address;
    private volatile @Nullable Socket socket;

    LineEar(Instrument instrument, Address address, Duration soonest, Hearer hearer, Clock clock) {
        super(instrument, soonest, hearer, clock);
        this.address = address;
    }

    @Override
    void listen() throws IOException {
        try (Socket made = new Socket()) {
            socket = made;
            made.connect(new InetSocketAddress(address.host(), address.port()), (int) TO_CONNECT.toMillis());
            made.setSoTimeout((int) TO_SPEAK.toMillis());
            lines(new BufferedInputStream(made.getInputStream()));
        } finally {
            socket = null;
        }
        if (!closed()) {
            throw new Unfit("the other end hung up");
        }
    }

    /** Each byte is a character: what is no ASCII is garbage, and is told to be. */
    private void lines(InputStream in) throws IOException {
        StringBuilder line = new StringBuilder();
        for (int next = in.read(); next >= 0 && !closed(); next = in.read()) {
            if (next == '\n') {
                heard(line.toString());
                line.setLength(0);
            } else if (line.length() < LONGEST) {
                line.append((char) next);
                if (line.length() == LONGEST) {
                    heard(line.toString());
                }
            }
        }
    }

    @Override
    void hangUp() {
        Socket held = socket;
        if (held != null) {
            try {
                held.close();
            } catch (IOException e) {
                // it is let go either way
            }
        }
    }
}
