package stillpond.bench;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType.LaunchOptions;
import com.microsoft.playwright.Playwright;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;

/** Debian's Chromium without a screen, drawing WebGL2 in software. */
final class HeadlessChromium implements AutoCloseable {

    private final Playwright playwright =
            Playwright.create(new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")));

    BrowserContext newContext() {
        LaunchOptions options = new LaunchOptions()
                .setExecutablePath(Path.of("/usr/bin/chromium"))
                .setArgs(List.of(
                        "--no-sandbox",
                        "--disable-gpu",
                        "--disable-quic",
                        "--no-first-run",
                        "--disable-background-networking",
                        "--disable-component-update",
                        "--disable-sync",
                        "--use-angle=swiftshader",
                        "--enable-unsafe-swiftshader"));
        return playwright
                .chromium()
                .launch(options)
                .newContext(new Browser.NewContextOptions().setViewportSize(1280, 800));
    }

    @Override
    public void close() {
        playwright.close();
    }
}
