package stillpond.app.support;

import com.google.gson.JsonObject;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType.LaunchOptions;
import com.microsoft.playwright.CDPSession;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import com.microsoft.playwright.options.Cookie;
import com.microsoft.playwright.options.ReducedMotion;
import java.net.URI;
import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
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

    /** Profiles that nobody uses just now: in one that was used before, scripts are there already. */
    private static final Deque<BrowserContext> IDLE = new ArrayDeque<>();

    private final BrowserContext context = IDLE.isEmpty() ? newContext() : IDLE.pop();

    /** Smaller than most screens, and without motion: drawn in software, every pixel of every frame takes time. */
    private static BrowserContext newContext() {
        return CHROMIUM.newContext(new com.microsoft.playwright.Browser.NewContextOptions()
                .setViewportSize(1100, 720)
                .setReducedMotion(ReducedMotion.REDUCE));
    }

    /** An answer such as "not taken"; and what was on its way when a page was left, or while the server was away. */
    private static final List<String> PART_OF_THE_WORK =
            List.of("the server responded with a status of 4", "htmx: htmx:error: Failed to fetch");

    private final List<String> complaints = new CopyOnWriteArrayList<>();
    private final Set<String> visited = new HashSet<>();

    public Page newPage() {
        Page page = context.newPage();
        page.onFrameNavigated(
                frame -> visited.add(URI.create(frame.url()).resolve("/").toString()));
        page.onConsoleMessage(message -> {
            if (message.type().equals("error") && PART_OF_THE_WORK.stream().noneMatch(message.text()::contains)) {
                complaints.add(message.text());
            }
        });
        page.onPageError(complaints::add);
        return page;
    }

    /** A page of somebody who has signed in; nothing is opened on it yet. */
    public Page signIn(TestPond pond, String person) {
        context.clearCookies();
        Visitor.signedIn(pond, person)
                .cookies()
                .forEach((name, value) -> context.addCookies(List.of(new Cookie(name, value).setUrl(pond.url()))));
        return newPage();
    }

    /** Errors of scripts, and whatever the content security policy has stopped. */
    public List<String> complaints() {
        return complaints;
    }

    /** Nothing is left in the profile of what its pages kept. */
    @Override
    public void close() {
        context.setOffline(false);
        CDPSession profile = context.newCDPSession(context.newPage());
        for (String origin : visited) {
            JsonObject all = new JsonObject();
            all.addProperty("origin", origin);
            all.addProperty("storageTypes", "local_storage");
            profile.send("Storage.clearDataForOrigin", all);
        }
        List.copyOf(context.pages()).forEach(Page::close);
        context.clearCookies();
        IDLE.push(context);
    }
}
