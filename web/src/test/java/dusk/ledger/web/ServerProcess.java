package dusk.ledger.web;

import java.io.IOException;
import java.net.ServerSocket;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * The server with the demo as a process of its own, which a test can starve and end without warning: as it ships, with its
 * class archive, where the build names it, else of the classes that are tested.
 */
final class ServerProcess {
    private final Path store;
    private final Path log;
    private final int port;
    private Process process;

    /** Not started yet. @param log takes what it prints */
    ServerProcess(Path store, Path log) throws IOException {
        this.store = store;
        this.log = log;
        try (ServerSocket free = new ServerSocket(0)) {
            port = free.getLocalPort();
        }
    }

    int port() {
        return port;
    }

    /** Starts it, again at the same address, and waits until it answers or has given up. */
    void start(String... more) throws IOException, InterruptedException {
        startUnder(List.of(), more);
    }

    /** Starts it where it does not run. */
    void runs() throws IOException, InterruptedException {
        if (process == null || !process.isAlive()) {
            start();
        }
    }

    /** The same under a command that limits what it may do. */
    void startUnder(List<String> limits, String... more) throws IOException, InterruptedException {
        List<String> command = new ArrayList<>(limits);
        command.addAll(List.of(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-XX:TieredStopAtLevel=1",
                "-XX:+UseSerialGC",
                "-XX:-UsePerfData"));
        Path shipped = Path.of(System.getProperty("dusk.app", "nowhere"));
        boolean ships = Files.exists(shipped.resolve("dusk-web.jar"));
        command.addAll(
                ships
                        ? List.of("-XX:SharedArchiveFile=dusk.jsa", "-jar", "dusk-web.jar")
                        : List.of("-cp", System.getProperty("java.class.path"), DuskLedger.class.getName()));
        command.addAll(List.of(
                "--dusk.store=" + store, "--dusk.demo=true", "--dusk.news.searches=false", "--dusk.port=" + port));
        command.addAll(List.of(more));
        process = new ProcessBuilder(command)
                // the archive holds for the jars by the names it was made with
                .directory(ships ? shipped.toFile() : null)
                .redirectErrorStream(true)
                .redirectOutput(log.toFile())
                .start();
        for (int i = 0; i < 300 && process.isAlive() && !answers(); i++) {
            TimeUnit.MILLISECONDS.sleep(200);
        }
    }

    /** Without warning, where it runs. */
    void kill() throws InterruptedException {
        if (process != null) {
            process.destroyForcibly().waitFor();
        }
    }

    /** Its exit code, where it ended by itself. */
    int ended() throws InterruptedException {
        process.waitFor(60, TimeUnit.SECONDS);
        return process.exitValue();
    }

    String printed() throws IOException {
        return Files.readString(log);
    }

    Visitor visitor() {
        return new Visitor("http://127.0.0.1:" + port);
    }

    private boolean answers() throws InterruptedException {
        try {
            return visitor().get("/sign-in").body().contains("name=\"person\"");
        } catch (IOException e) {
            return false;
        }
    }

    Visitor signedIn() throws Exception {
        Visitor visitor = visitor();
        return visitor.as(first(
                "name=\"person\"[^>]*value=\"([^\"]+)\"",
                visitor.get("/sign-in").body()));
    }

    static String first(String pattern, String text) {
        Matcher found = Pattern.compile(pattern).matcher(text);
        if (!found.find()) {
            throw new AssertionError("no " + pattern + " in: " + text);
        }
        return found.group(1);
    }
}
