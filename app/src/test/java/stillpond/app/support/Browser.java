package stillpond.app.support;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType.LaunchOptions;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import com.microsoft.playwright.options.ReducedMotion;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CopyOnWriteArrayList;

/** A profile of its own in Debian's Chromium without a window, and what its pages complained of while it was open. */
public final class Browser implements AutoCloseable {

    private static final List<String> FLAGS = List.of(
            "--no-sandbox",
            "--disable-gpu",
            "--disable-quic",
            "--no-first-run",
            "--disable-background-networking",
            "--disable-component-update",
            "--disable-sync",
            "--use-angle=swiftshader",
            "--enable-unsafe-swiftshader");

    static {
        // Two cores share the server, its background work and a browser that draws in software.
        PlaywrightAssertions.setDefaultAssertionTimeout(30_000);
    }

    /** One Chromium for all tests of a run: it ends with the process that it was started by. */
    private static final com.microsoft.playwright.Browser CHROMIUM = Playwright.create(
                    new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")))
            .chromium()
            .launch(new LaunchOptions()
                    .setExecutablePath(Path.of("/usr/bin/chromium"))
                    .setArgs(FLAGS));

    /** Smaller than most screens, and without motion: drawn in software, every pixel of every frame takes time. */
    private final BrowserContext context = CHROMIUM.newContext(new com.microsoft.playwright.Browser.NewContextOptions()
            .setViewportSize(1100, 720)
            .setReducedMotion(ReducedMotion.REDUCE));

    /** An answer such as "not taken"; and what was on its way when a page was left, or while the server was away. */
    private static final List<String> PART_OF_THE_WORK =
            List.of("the server responded with a status of 4", "htmx: htmx:error: Failed to fetch");

    private final List<String> complaints = new CopyOnWriteArrayList<>();

    public Page newPage() {
        Page page = context.newPage();
        page.onConsoleMessage(message -> {
            if (message.type().equals("error") && PART_OF_THE_WORK.stream().noneMatch(message.text()::contains)) {
                complaints.add(message.text());
            }
        });
        page.onPageError(complaints::add);
        return page;
    }

    /** A page on which somebody has signed in by the form. */
    public Page signIn(TestPond pond, String person) {
        Page page = newPage();
        page.navigate(pond.url());
        page.getByLabel("Name").fill(person);
        page.getByLabel("Password").fill(TestPond.PASSWORD);
        page.getByText("Sign in").last().click();
        page.waitForURL(address -> !address.contains("/sign-in"));
        return page;
    }

    /** Errors of scripts, and whatever the content security policy has stopped. */
    public List<String> complaints() {
        return complaints;
    }

    @Override
    public void close() {
        context.close();
    }
}
