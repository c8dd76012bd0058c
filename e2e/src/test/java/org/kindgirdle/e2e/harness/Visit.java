package org.kindgirdle.e2e.harness;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ServiceWorkerPolicy;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/** One person's browser on the application. It notes every request, and everything that the console complains of. */
public final class Visit implements AutoCloseable {

    public static final String PASSWORD = "moss-and-knife";

    /** Where the page works on something, on a machine four times as slow as most. */
    private static final int PATIENCE_MS = 45_000;

    static {
        // the library's own five seconds are too few on a machine that does something else besides
        PlaywrightAssertions.setDefaultAssertionTimeout(PATIENCE_MS);
    }

    private static final String AXE = read(Project.ROOT.resolve("web/node_modules/axe-core/axe.min.js"));
    private static final Path CHROMIUM = Path.of("/usr/bin/chromium");
    private static final List<String> ARGUMENTS =
            List.of("--no-sandbox", "--disable-background-networking", "--disable-component-update", "--disable-quic");
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
        // a worker between page and server would hide requests from the tests that look at them
        this(
                base,
                browser.newContext(new Browser.NewContextOptions()
                        .setViewportSize(width, height)
                        .setServiceWorkers(ServiceWorkerPolicy.BLOCK)
                        .setLocale("en-GB")));
    }

    private Visit(String base, BrowserContext context) {
        this.base = base;
        this.context = context;
        context.setDefaultTimeout(PATIENCE_MS);
        page = context.pages().isEmpty() ? context.newPage() : context.pages().get(0);
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

    /** A phone with a touch screen, in a hand that wears a glove. */
    public static Visit touchPhone(RunningApplication application) {
        return new Visit(
                application.base(),
                browser()
                        .newContext(new Browser.NewContextOptions()
                                .setViewportSize(390, 844)
                                .setHasTouch(true)
                                .setIsMobile(true)
                                .setServiceWorkers(ServiceWorkerPolicy.BLOCK)
                                .setLocale("en-GB")));
    }

    /** The same phone however often it is switched off: what it keeps lies in a folder. */
    public static Visit keepingPhone(RunningApplication application, Path folder) {
        return new Visit(
                application.base(),
                driver().chromium()
                        .launchPersistentContext(
                                folder,
                                new BrowserType.LaunchPersistentContextOptions()
                                        .setExecutablePath(CHROMIUM)
                                        .setArgs(ARGUMENTS)
                                        .setViewportSize(390, 844)
                                        .setHasTouch(true)
                                        .setIsMobile(true)
                                        .setLocale("en-GB")));
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

    private static String read(Path script) {
        try {
            return Files.readString(script);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static synchronized Browser browser() {
        if (browser == null) {
            browser = launch();
        }
        return browser;
    }

    private static Browser launch(String... more) {
        List<String> arguments = new ArrayList<>(ARGUMENTS);
        arguments.addAll(List.of(more));
        return driver().chromium()
                .launch(new BrowserType.LaunchOptions()
                        .setExecutablePath(CHROMIUM)
                        .setArgs(arguments));
    }

    private static synchronized Playwright driver() {
        if (playwright == null) {
            Playwright driver = Playwright.create(
                    new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")));
            Runtime.getRuntime().addShutdownHook(new Thread(driver::close));
            playwright = driver;
        }
        return playwright;
    }

    public Visit signedInAs(String name) {
        open("/");
        field("Name").fill(name);
        field("Password").fill(PASSWORD);
        page.keyboard().press("Enter");
        assertThat(page.getByRole(AriaRole.NAVIGATION, new Page.GetByRoleOptions().setName("Main")))
                .isVisible();
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
            // a list to search in, touched first as a person does; what it shows stands in the message if it is not
            // that
            list.click();
            list.fill(beginning);
            assertThat(list).hasAttribute("aria-expanded", "true");
            assertThat(page.getByRole(AriaRole.LISTBOX)).containsText(beginning);
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

    /** Why the batch on the Bench is set all the same, if what is said of it as it stands now asks for a reason. */
    public void giveReasonIfAsked(String reason) {
        // what is said of rows that have changed since asks for nothing
        assertThat(see("batch")).hasAttribute("aria-busy", "false");
        if (see("reason").isVisible()) {
            see("reason").fill(reason);
        }
    }

    /** The password once more, where an owner is asked for it. */
    public void confirmPassword() {
        see("confirm-password").getByLabel("Password").fill(PASSWORD);
        button("Go on").click();
        assertThat(see("confirm-password")).hasCount(0);
    }

    /** The demo's day moves on. */
    public void later(String day) {
        Locator to = page.getByTestId("demo-clock").getByPlaceholder("as 10 jul");
        to.fill(day);
        to.press("Enter");
        String told = LocalDate.parse(day).format(DateTimeFormatter.ofPattern("d MMMM yyyy", Locale.ENGLISH));
        assertThat(page.getByTestId("demo-clock")).containsText(told);
        assertThat(to).isEnabled();
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
        // as the tool that drives the browser, which no policy of the page hinders
        page.evaluate(AXE);
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
