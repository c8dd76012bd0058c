package org.kindgirdle.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.assertions.LocatorAssertions;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.kindgirdle.e2e.harness.RunningApplication;
import org.kindgirdle.e2e.harness.Visit;
import tools.jackson.databind.JsonNode;

/** What was saved stays saved, and what could not be sent stays typed. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class NothingLostTest {

    private static final String BATCHES = "**/api/v1/batches";
    private static final String RECORDS = "**/api/v1/layers/*/records";

    private RunningApplication application;
    private Visit visit;

    @BeforeAll
    void comeIn() {
        application = RunningApplication.demo();
        visit = Visit.desk(application).signedInAs("ivo");
    }

    @AfterAll
    void leave() {
        visit.close();
        application.close();
    }

    @Test
    void a_record_outlives_the_server_killed_right_after_it() {
        int before = recordsOf("95A-4C");
        visit.openLayer("95A-4C");
        visit.radio("Callus").click();
        visit.tap("keep-look");
        assertThat(visit.see("toast").last()).containsText("kept");
        application.kill();
        application.start();

        assertThat(recordsOf("95A-4C")).isEqualTo(before + 1);
        visit.page().reload();
        assertThat(visit.radio("Callus")).isChecked();
    }

    @Test
    void a_record_outlives_the_database_killed_right_after_it() {
        int before = recordsOf("T5N-P3");
        visit.openLayer("T5N-P3");
        visit.radio("Callus").click();
        visit.tap("keep-look");
        assertThat(visit.see("toast").last()).containsText("kept");
        application.database().kill();

        // with no database the page says so, and keeps what is typed
        visit.radio("First tips").click();
        visit.tap("keep-look");
        assertThat(visit.see("problem"))
                .containsText(
                        "database can't be reached", new LocatorAssertions.ContainsTextOptions().setTimeout(20_000));
        assertThat(visit.radio("First tips")).isChecked();
        application.database().startAgain();
        // the application finds its database again by itself
        visit.tap("keep-look");
        assertThat(visit.see("problem")).hasCount(0);
        assertThat(recordsOf("T5N-P3")).isEqualTo(before + 2);
        visit.page().reload();
        assertThat(visit.radio("First tips")).isChecked();
    }

    @Test
    void a_record_whose_answer_was_lost_is_written_once() {
        int before = recordsOf("N4X-F9");
        List<String> commands = new ArrayList<>();
        visit.openLayer("N4X-F9");
        visit.page().route(RECORDS, route -> {
            commands.add(route.request().headerValue("command-id"));
            if (commands.size() == 1) {
                // the server has it; the answer never arrives
                route.fetch();
                route.abort();
            } else {
                route.resume();
            }
        });
        visit.radio("Callus").click();
        visit.button("Add a note").click();
        visit.field("Note").fill("bark lifting a little");
        visit.tap("keep-look");
        assertThat(visit.see("problem")).containsText("can’t be reached");
        assertThat(visit.field("Note")).hasValue("bark lifting a little");
        assertThat(visit.radio("Callus")).isChecked();
        visit.tap("keep-look");
        assertThat(visit.see("toast").last()).containsText("kept");
        visit.page().unroute(RECORDS);

        assertThat(commands).hasSize(2);
        assertThat(commands.get(1)).isEqualTo(commands.get(0));
        assertThat(recordsOf("N4X-F9")).isEqualTo(before + 1);
    }

    @Test
    void what_is_typed_stays_with_no_network() {
        visit.open("/bench");
        visit.pick("Mother", "MU-01");
        visit.pick("Recipe", "Moss and foil");
        visit.field("Diameter").fill("21");
        assertThat(visit.see("sums")).isVisible();
        visit.page().route(BATCHES, Route::abort);
        visit.giveReasonIfAsked("asked for");
        visit.tap("set");
        // the bench is free for the next; what was set is kept, also over a reload
        assertThat(visit.see("waiting")).containsText("kept on this device until the network is back");
        assertThat(visit.field("Diameter")).hasValue("");
        visit.page().reload();
        assertThat(visit.see("waiting")).containsText("One layer on");
        assertThat(visit.button("Send now")).isEnabled();
        visit.page().unroute(BATCHES);
        // it goes by itself at the next try, and at once when the network is back
        visit.page().evaluate("() => window.dispatchEvent(new Event('online'))");
        assertThat(visit.see("set-done")).containsText("One layer is set");
        assertThat(visit.see("waiting")).hasCount(0);
    }

    @Test
    void two_tabs_keep_a_batch_each_and_both_are_set() {
        try (Visit one = Visit.desk(application).signedInAs("ivo")) {
            Page other = one.context().newPage();
            one.context().route(BATCHES, Route::abort);
            long before = layersOn("QU-02");
            one.open("/bench?mother=2");
            other.navigate(one.page().url());
            for (Page tab : List.of(one.page(), other)) {
                tab.getByLabel("Diameter").fill("16");
                assertThat(tab.getByTestId("remarks")).isVisible();
                if (tab.getByTestId("reason").isVisible()) {
                    tab.getByTestId("reason").fill("asked for");
                }
                tab.getByTestId("set").click();
                assertThat(tab.getByLabel("Diameter")).hasValue("");
            }
            assertThat(one.see("waiting")).hasCount(2);
            one.context().unroute(BATCHES);
            one.page().evaluate("() => window.dispatchEvent(new Event('online'))");
            assertThat(one.see("waiting")).hasCount(0);
            assertThat(other.getByTestId("waiting")).hasCount(0);
            assertThat(layersOn("QU-02")).isEqualTo(before + 2);
        }
    }

    @Test
    void a_batch_that_an_older_page_kept_is_set_once() {
        try (Visit old = Visit.desk(application).signedInAs("ivo")) {
            long before = layersOn("QU-02");
            old.page().evaluate("""
                    () => localStorage.setItem('kg-bench-outbox-2', JSON.stringify([{
                      id: '4c1f2f0e-8f6e-4d06-9a51-6a1f6f3c0b11', mother: 'QU-02', refused: '', tried: true,
                      body: { motherId: 2, recipeId: 1, liveShootBelow: true, reason: 'asked for', rows: [{
                        limbId: null, trialSlotId: null, diameterMm: '16 mm', wood: 'ONE_TWO', position: 'BELOW_NODE',
                        leavesBeyond: 8, fromUnionMm: '400 mm', leanDeg: 30, specimen: false, fruitToKeep: false }] }
                    }]))""");
            old.open("/bench?mother=2");
            assertThat(old.see("set-done")).containsText("One layer is set");
            assertThat(old.page().evaluate("() => localStorage.getItem('kg-bench-outbox-2')"))
                    .isNull();
            old.page().reload();
            assertThat(old.see("batch")).isVisible();
            assertThat(layersOn("QU-02")).isEqualTo(before + 1);
        }
    }

    private long layersOn(String mother) {
        return application
                .api("maren")
                .get("/api/v1/layers?limit=500&q=" + mother)
                .body()
                .path("layers")
                .size();
    }

    @Test
    void two_edits_of_the_same_mother_show_both_sides() {
        try (Visit other = Visit.desk(application).signedInAs("maren")) {
            for (Visit one : List.of(visit, other)) {
                one.open("/stock");
                one.page().getByText("FJ-02").click();
                one.tap("edit-mother");
            }
            other.field("Note").fill("moved nearer the door");
            other.tap("save-mother");
            assertThat(other.see("save-mother")).hasCount(0);
            visit.field("Note").fill("leaves pale");
            visit.tap("save-mother");
            assertThat(visit.see("both-sides")).containsText("moved nearer the door");
            assertThat(visit.field("Note")).hasValue("leaves pale");
        }
    }

    private int recordsOf(String code) {
        JsonNode layer =
                application.api("ivo").get("/api/v1/layers/" + code).expect(200).body();
        return layer.path("records").size();
    }
}
