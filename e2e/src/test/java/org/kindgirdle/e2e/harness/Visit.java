package org.kindgirdle.e2e.harness;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.options.AriaRole;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/** One person's browser on the application. It notes every request, and everything that the console complains of. */
public final class Visit implements AutoCloseable {

    public static final String PASSWORD = "moss-and-knife";

    private static final Path CHROMIUM = Path.of("/usr/bin/chromium");
    private static @Nullable Playwright playwright;
    private static @Nullable Browser browser;

    private final String base;
    private final BrowserContext context;
    private final Page page;
    private final List<String> requests = new ArrayList<>();
    private final List<String> complaints = new ArrayList<>();

    private Visit(String base, int width, int height) {
        this(base, browser(), width, height);
    }

    private Visit(String base, Browser browser, int width, int height) {
        this.base = base;
        context = browser.newContext(
                new Browser.NewContextOptions().setViewportSize(width, height).setLocale("en-GB"));
        context.addInitScript(Project.ROOT.resolve("web/node_modules/axe-core/axe.min.js"));
        context.setDefaultTimeout(15_000);
        page = context.newPage();
        page.onRequest(request -> requests.add(request.url()));
        page.onPageError(complaints::add);
        page.onConsoleMessage(message -> {
            if (message.type().equals("error")) {
                complaints.add(message.text());
            }
        });
    }

    public static Visit desk(RunningApplication application) {
        return new Visit(application.base(), 1280, 800);
    }

    public static Visit phone(RunningApplication application) {
        return new Visit(application.base(), 390, 844);
    }

    public static Visit desk(String base) {
        return new Visit(base, 1280, 800);
    }

    /** A tablet whose camera sees a film, of raw frames. */
    public static Visit tabletBefore(RunningApplication application, Path film) {
        Browser withCamera = launch(
                "--use-fake-ui-for-media-stream",
                "--use-fake-device-for-media-stream",
                "--use-file-for-fake-video-capture=" + film);
        return new Visit(application.base(), withCamera, 1024, 768);
    }

    private static synchronized Browser browser() {
        if (browser == null) {
            browser = launch();
        }
        return browser;
    }

    private static synchronized Browser launch(String... more) {
        Playwright driver = playwright;
        if (driver == null) {
            driver = Playwright.create(
                    new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")));
            Runtime.getRuntime().addShutdownHook(new Thread(driver::close));
            playwright = driver;
        }
        List<String> arguments = new ArrayList<>(List.of(
                "--no-sandbox", "--disable-background-networking", "--disable-component-update", "--disable-quic"));
        arguments.addAll(List.of(more));
        return driver.chromium()
                .launch(new BrowserType.LaunchOptions()
                        .setExecutablePath(CHROMIUM)
                        .setArgs(arguments));
    }

    public Visit signedInAs(String name) {
        open("/");
        field("Name").fill(name);
        field("Password").fill(PASSWORD);
        page.keyboard().press("Enter");
        assertThat(page.getByRole(AriaRole.NAVIGATION)).isVisible();
        return this;
    }

    public void open(String path) {
        page.navigate(base + path);
    }

    /** A layer's page, once its advice stands there. */
    public void openLayer(String code) {
        open("/layers/" + code);
        assertThat(heading(code)).isVisible();
    }

    public Page page() {
        return page;
    }

    public BrowserContext context() {
        return context;
    }

    public Locator see(String testId) {
        return page.getByTestId(testId);
    }

    public void tap(String testId) {
        see(testId).click();
    }

    public Locator button(String name) {
        return page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    public Locator radio(String name) {
        return page.getByRole(
                AriaRole.RADIO, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    public Locator heading(String name) {
        return page.getByRole(
                AriaRole.HEADING, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    /** A labelled input, by the beginning of its label: unit and hint follow in it. */
    public Locator field(String beginning) {
        return page.getByLabel(Pattern.compile("^\\s*" + beginning.replaceAll("\\W", "\\\\$0")));
    }

    public Locator list(String name) {
        return page.getByRole(
                AriaRole.COMBOBOX, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    /** Chooses in a list by the beginning of what stands there. */
    public void pick(String label, String beginning) {
        Locator list = list(label);
        if ("INPUT".equals(list.evaluate("one => one.tagName"))) {
            // a list to search in
            list.fill(beginning);
            page.getByRole(AriaRole.LISTBOX)
                    .getByRole(AriaRole.OPTION)
                    .filter(new Locator.FilterOptions().setHasText(beginning))
                    .first()
                    .click();
            return;
        }
        Locator option = list.locator("option", new Locator.LocatorOptions().setHasText(Pattern.compile(beginning)));
        list.selectOption(option.first().getAttribute("value"));
    }

    /** The demo's day moves on. */
    public void later(String day) {
        page.getByTestId("demo-clock").getByLabel("to").fill(day);
        assertThat(page.getByTestId("demo-clock").getByLabel("to")).hasValue(day);
        assertThat(page.getByTestId("demo-clock").getByLabel("to")).isEnabled();
    }

    /** Requests that left the machine. */
    public List<String> requestsElsewhere() {
        return requests.stream()
                .filter(url -> !url.startsWith(base + "/") && !url.startsWith("data:") && !url.startsWith("blob:"))
                .toList();
    }

    public List<String> complaints() {
        return complaints;
    }

    /** What axe finds on the page as it stands, one line each. */
    @SuppressWarnings("unchecked")
    public List<String> axe() {
        // colours that still fade in would be measured half-way
        page.waitForFunction("() => document.getAnimations().length === 0");
        return (List<String>) page.evaluate("""
                async () => (await axe.run(document, { runOnly: ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice'] }))
                  .violations.flatMap((one) => one.nodes.map((node) => `${one.id}: ${node.html}`))
                """);
    }

    @Override
    public void close() {
        context.close();
    }
}
