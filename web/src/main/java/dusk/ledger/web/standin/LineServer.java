package dusk.ledger.web.standin;

import java.io.IOException;
import java.io.OutputStream;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.TimeUnit;
import java.util.function.Supplier;

/** Sends lines to whoever connects, once a second, on a free port of the loopback. */
final class LineServer implements AutoCloseable {
    private final ServerSocket server = new ServerSocket(0, 8, InetAddress.getLoopbackAddress());
    private final List<Socket> listeners = new CopyOnWriteArrayList<>();
    private final Supplier<List<String>> lines;

    /** @param lines of a second */
    LineServer(Supplier<List<String>> lines) throws IOException {
        this.lines = lines;
        begin(this::accept, "stand-in-accept");
        begin(this::send, "stand-in-send");
    }

    private static void begin(Runnable work, String name) {
        Thread thread = new Thread(work, name);
        thread.setDaemon(true);
        thread.start();
    }

    String address() {
        return server.getInetAddress().getHostAddress() + ":" + server.getLocalPort();
    }

    private void accept() {
        while (!server.isClosed()) {
            try {
                listeners.add(server.accept());
            } catch (IOException e) {
                // closed
            }
        }
    }

    private void send() {
        while (!server.isClosed()) {
            byte[] bytes = (String.join("\r\n", lines.get()) + "\r\n").getBytes(StandardCharsets.US_ASCII);
            for (Socket listener : listeners) {
                try {
                    OutputStream out = listener.getOutputStream();
                    out.write(bytes);
                    out.flush();
                } catch (IOException e) {
                    listeners.remove(listener);
                }
            }
            try {
                TimeUnit.SECONDS.sleep(1);
            } catch (InterruptedException e) {
                return;
            }
        }
    }

    @Override
    public void close() throws IOException {
        server.close();
        for (Socket listener : listeners) {
            listener.close();
        }
    }
}
