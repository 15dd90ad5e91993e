package dusk.ledger.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.playwright.AxeBuilder;
import com.microsoft.playwright.APIResponse;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.options.FormData;
import com.microsoft.playwright.options.RequestOptions;
import java.io.File;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;

/**
 * The system's own headless Chromium, driven through the real interface. What the page's scripts complain of is collected.
 * The one that is built without a screen takes two thirds of the work of the whole one, which serves where it is not there.
 */
final class Browser implements AutoCloseable {
    private static final String AXE = AxeBuilder.getAxeScript();
    private static final List<String> GRAVE = List.of("serious", "critical");

    private final Playwright playwright;
    private final com.microsoft.playwright.Browser chromium;
    private final List<String> complaints = new ArrayList<>();
    private boolean signal = true;

    Browser() {
        playwright = Playwright.create(new Playwright.CreateOptions()
                .setEnv(Map.of(
                        "PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD",
                        "1",
                        "PLAYWRIGHT_NODEJS_PATH",
                        onPath("node").toString())));
        chromium = playwright
                .chromium()
                .launch(new BrowserType.LaunchOptions()
                        .setExecutablePath(onPath("chromium-headless-shell", "chromium"))
                        .setArgs(List.of(
                                "--no-sandbox",
                                "--disable-gpu",
                                "--disable-background-networking",
                                "--disable-component-update",
                                "--disable-sync",
                                "--no-first-run")));
    }

    private static Path onPath(String... commands) {
        return Arrays.stream(commands)
                .flatMap(command -> Arrays.stream(System.getenv("PATH").split(File.pathSeparator))
                        .map(folder -> Path.of(folder, command)))
                .filter(Files::isExecutable)
                .findFirst()
                .orElseThrow(() -> new IllegalStateException(
                        String.join(" or ", commands) + " is not on the PATH; ./dusk test installs or names it"));
    }

    /** A new visitor. */
    Page visit(int width, int height, boolean script) {
        BrowserContext context = chromium.newContext(new com.microsoft.playwright.Browser.NewContextOptions()
                .setViewportSize(width, height)
                .setJavaScriptEnabled(script));
        Page page = context.newPage();
        page.setDefaultTimeout(15_000);
        page.onPageError(complaints::add);
        page.onConsoleMessage(message -> {
            // a refused form is answered with 422, which the console tells as an error, as it does a request that a
            // newer one of the same form replaced
            boolean replaced = message.text().startsWith("htmx:sendAbort")
                    || message.text().startsWith("htmx:afterRequest");
            boolean cutOff = !signal && message.text().contains("net::ERR_CONNECTION_REFUSED");
            if (message.type().equals("error") && !message.text().contains("422") && !replaced && !cutOff) {
                complaints.add(message.text() + " " + message.location());
            }
        });
        return page;
    }

    /** A visitor who came in as one of the demo people and sees the trips. */
    Page signedIn(RunningApplication application, String name, int width, int height, boolean script) {
        Page page = admitted(application, name, width, height, script);
        page.navigate(application.address("/trips"));
        return page;
    }

    /**
     * The same with no page open yet: signed in by a request of its own, which takes a tenth of the time. {@link
     * DurabilityIT} signs in on the page.
     */
    Page admitted(RunningApplication application, String name, int width, int height, boolean script) {
        Page page = visit(width, height, script);
        String form = page.request().get(application.address("/sign-in")).text();
        APIResponse answer = page.request()
                .post(
                        application.address("/demo/sign-in"),
                        RequestOptions.create()
                                .setMaxRedirects(0)
                                .setForm(FormData.create()
                                        .set(
                                                "_csrf",
                                                ServerProcess.first("name=\"_csrf\"[^>]*value=\"([^\"]+)\"", form))
                                        .set(
                                                "person",
                                                application.demoPerson(name).id())));
        assertThat(answer.status()).as("signing in").isEqualTo(302);
        return page;
    }

    /** From here on the server may be out of reach, which the console tells as an error. */
    void loseSignal() {
        signal = false;
    }

    /** Grave findings of the accessibility check, and whether the page is wider than the screen. */
    static List<String> flaws(Page page) {
        List<String> flaws = found(page, "{}");
        Object over = page.evaluate("document.documentElement.scrollWidth - window.innerWidth");
        if (((Number) over).intValue() > 0) {
            flaws.add("wider than the screen by " + over);
        }
        return flaws;
    }

    /** The same of colours alone, which is all that another theme changes. */
    static List<String> faint(Page page) {
        return found(page, "{runOnly: ['color-contrast']}");
    }

    /** Asked in the page: what passes is much, and need not leave it. */
    private static List<String> found(Page page, String options) {
        if (Boolean.TRUE.equals(page.evaluate("typeof window.axe === 'undefined'"))) {
            page.evaluate(AXE);
        }
        Object found = page.evaluate(
                "grave => axe.run(document, Object.assign({resultTypes: ['violations'], iframes: false}, " + options
                        + ")).then(all => all.violations.filter(one => grave.includes(one.impact))"
                        + ".map(one => one.id + ': ' + one.nodes[0].html))",
                GRAVE);
        List<String> flaws = new ArrayList<>();
        ((List<?>) found).forEach(flaw -> flaws.add(String.valueOf(flaw)));
        return flaws;
    }

    static void assertSound(Page page, String what) {
        assertThat(flaws(page)).as(what).isEmpty();
    }

    /** All visitors leave. */
    void leave() {
        chromium.contexts().forEach(BrowserContext::close);
    }

    /** Closes it whatever happened, and fails where a page's script complained of anything. */
    @Override
    public void close() {
        try (playwright) {
            chromium.close();
        }
        assertThat(complaints).as("what the pages' scripts complained of").isEmpty();
    }
}
