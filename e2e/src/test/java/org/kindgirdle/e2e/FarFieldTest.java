package org.kindgirdle.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.assertions.LocatorAssertions;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.api.io.TempDir;
import org.kindgirdle.e2e.harness.RunningApplication;
import org.kindgirdle.e2e.harness.Visit;
import org.kindgirdle.e2e.harness.Walker;
import org.kindgirdle.server.harness.Client;
import tools.jackson.databind.JsonNode;

/** No network at the far end of the field: what was recorded there arrives, once and in order, whatever happens. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class FarFieldTest {

    private static final String RECORDS = "**/api/v1/layers/*/records";
    private static final LocatorAssertions.HasCountOptions WHEN_IT_HAS_GONE =
            new LocatorAssertions.HasCountOptions().setTimeout(60_000);

    private RunningApplication application;

    @TempDir
    Path phoneFolder;

    @BeforeAll
    void start() {
        application = RunningApplication.demo();
    }

    @AfterAll
    void stop() {
        application.close();
    }

    @Test
    void twenty_looks_with_no_network_page_browser_and_server_restarted_and_an_answer_lost_are_all_there_once() {
        List<String> codes = Walker.due(application, "QU-01", 20);
        List<String> walked = new ArrayList<>();
        Visit phone = Visit.keepingPhone(application, phoneFolder).signedInAs("ivo");
        ready(phone);
        Walker walker = new Walker(phone);
        begin(phone, codes, walked);
        walk(walker, codes, walked, 3);

        phone.context().setOffline(true);
        walk(walker, codes, walked, 5);
        assertThat(phone.see("sync")).containsText("5 to send");

        // the page comes up cold, from what is on the device
        phone.open("/");
        assertThat(phone.see("as-of")).containsText("No connection: the walk as it was at");
        assertThat(phone.see("sync")).containsText("5 to send");
        begin(phone, codes, walked);
        walk(walker, codes, walked, 5);

        // the phone is switched off and on again, and the server with it
        phone.close();
        application.kill();
        application.start();
        phone = Visit.keepingPhone(application, phoneFolder);
        phone.context().setOffline(true);
        phone.open("/");
        assertThat(phone.see("sync")).containsText("10 to send");
        walker = new Walker(phone);
        begin(phone, codes, walked);
        walk(walker, codes, walked, 7);

        // back in reach; the first answer is lost on its way, after the server has written it
        AtomicInteger posts = new AtomicInteger();
        phone.context().route(RECORDS, route -> {
            if (posts.incrementAndGet() == 1) {
                route.fetch();
                route.abort();
            } else {
                route.resume();
            }
        });
        phone.context().setOffline(false);
        assertThat(phone.see("sync")).hasCount(0, WHEN_IT_HAS_GONE);
        phone.close();

        assertThat(walked).hasSize(20).doesNotHaveDuplicates();
        assertThat(posts.get()).isGreaterThan(17);
        List<Instant> made = new ArrayList<>();
        List<Instant> written = new ArrayList<>();
        for (String code : walked) {
            assertThat(looks(code)).singleElement().satisfies(look -> {
                made.add(Instant.parse(look.path("occurredAt").asString()));
                written.add(Instant.parse(look.path("recordedAt").asString()));
            });
        }
        assertThat(made).isSorted().doesNotHaveDuplicates();
        assertThat(written).isSorted();
        // they are dated when they were made, not when they were sent
        long walkedFor = made.get(19).getEpochSecond() - made.get(3).getEpochSecond();
        long sentWithin = written.get(19).getEpochSecond() - written.get(3).getEpochSecond();
        assertThat(walkedFor).isGreaterThan(sentWithin);
    }

    /** At the first that was not walked to: the others stand beside it. */
    private static void begin(Visit phone, List<String> codes, List<String> walked) {
        String first = codes.stream()
                .filter(code -> !walked.contains(code))
                .findFirst()
                .orElseThrow();
        phone.see("job").filter(with(first)).tap();
    }

    private static void walk(Walker walker, List<String> codes, List<String> walked, int looks) {
        for (int i = 0; i < looks; i++) {
            walked.add(walker.toOneOf(codes));
            walker.look();
            walker.next();
        }
    }

    /** The page is kept on the phone, and the cards of the walk with it. */
    private static void ready(Visit phone) {
        phone.page().evaluate("() => navigator.serviceWorker.ready.then(() => true)");
        assertThat(phone.see("begin")).isVisible();
        phone.page().waitForFunction("""
                        () => new Promise((done) => {
                          const opening = indexedDB.open('kind-girdle')
                          opening.onsuccess = () => {
                            const counting = opening.result.transaction('cards').objectStore('cards').count()
                            counting.onsuccess = () => { opening.result.close(); done(counting.result >= 25) }
                          }
                        })
                        """);
    }

    @Test
    void what_met_anothers_record_is_shown_with_both_sides_and_signing_out_with_unsent_records_warns(
            @TempDir Path folder) {
        List<String> codes = Walker.due(application, "QU-02", 2);
        try (Visit phone = Visit.keepingPhone(application, folder).signedInAs("ivo")) {
            ready(phone);
            for (String code : codes) {
                phone.context().setOffline(false);
                phone.open("/");
                phone.see("job").filter(with(code)).tap();
                assertThat(phone.radio("Callus")).isVisible();
                phone.context().setOffline(true);
                // meanwhile, elsewhere
                meanwhile(code, code.equals(codes.get(0)));
                phone.radio("Callus").tap();
                phone.see("keep-look").tap();
                assertThat(phone.see("follows")).isVisible();
            }
            phone.button("Undo").tap();
            assertThat(phone.see("kept")).containsText("Took back a record: kept.");
            phone.page().getByText("Ivo ▾").tap();
            phone.page().getByText("Sign out").tap();
            assertThat(phone.see("sign-out-warning")).containsText("not been sent");
            phone.button("Stay signed in").tap();

            phone.context().setOffline(false);
            assertThat(phone.see("sync"))
                    .containsText("2 to read", new LocatorAssertions.ContainsTextOptions().setTimeout(30_000));
            phone.see("sync").tap();
            assertThat(phone.see("met")).hasCount(2);
            assertThat(phone.see("met").filter(with(codes.get(0)))).containsText("Maren Tollwick: severed it");
            assertThat(phone.see("met").filter(with(codes.get(0))))
                    .containsText("kept, but not counted: by then the layer was off its mother");
            assertThat(phone.see("met").filter(with(codes.get(1)))).containsText("Maren Tollwick: looked at it");
            assertThat(phone.see("met").filter(with(codes.get(1)))).containsText("Both are kept and counted.");
            assertThat(phone.axe()).isEmpty();
        }
        // what was taken back before it had gone is there, and taken back
        assertThat(looks(codes.get(1))).hasSize(2);
        assertThat(looks(codes.get(1)).stream()
                        .filter(look -> look.path("inForce").asBoolean()))
                .hasSize(1);
    }

    private void meanwhile(String code, boolean sever) {
        Map<String, Object> record = sever
                ? Map.of("kind", "SEVERED", "details", Map.of("leavesBefore", 8, "leavesLeft", 4))
                : Map.of(
                        "kind",
                        "LOOKED",
                        "details",
                        Map.of(
                                "stage",
                                "INITIALS",
                                "sectors",
                                List.of(1, 0, 0, 0, 0, 0, 0, 0),
                                "fillPercent",
                                5,
                                "conditions",
                                List.of()));
        Client maren = application.api("maren");
        // which of both was first must not turn on how long an answer was on its way
        Map<String, Object> dated = new HashMap<>(record);
        dated.put(
                "occurredAt",
                Instant.parse(maren.get("/api/v1/session").body().path("now").asString())
                        .minusSeconds(60)
                        .toString());
        maren.post("/api/v1/layers/" + code + "/records", dated).expect(201);
    }

    private static Locator.FilterOptions with(String text) {
        return new Locator.FilterOptions().setHasText(text);
    }

    private List<JsonNode> looks(String code) {
        return application
                .api("pell")
                .get("/api/v1/layers/" + code)
                .body()
                .path("records")
                .valueStream()
                .filter(one -> one.path("kind").asString().equals("LOOKED"))
                .toList();
    }
}
