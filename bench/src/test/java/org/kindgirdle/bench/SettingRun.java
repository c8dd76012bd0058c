package org.kindgirdle.bench;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Keyboard;
import com.microsoft.playwright.options.AriaRole;
import java.time.LocalDate;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.kindgirdle.e2e.harness.RunningApplication;
import org.kindgirdle.e2e.harness.Visit;
import org.kindgirdle.server.harness.Client;

/**
 * Measures the bench at the pace of the machine, on the demo; run by {@code ./kg bench set} only. It asserts nothing
 * about time: it says what it found.
 */
class SettingRun {

    private static final List<String> MOTHERS = List.of("QU-01", "QU-02", "MU-01", "MD-01");
    private static final int ROWS = 10;
    private static final int LARGE = 500;
    private static final int TIMES = 7;
    private static final LocalDate TODAY = LocalDate.of(2026, 7, 10);

    @Test
    void measure() throws Exception {
        try (RunningApplication application = RunningApplication.demo()) {
            // once to warm the machine up
            typeForty(application);
            double[] typed = new double[Measured.RUNS];
            for (int i = 0; i < typed.length; i++) {
                typed[i] = typeForty(application);
            }
            Measured.say("40 different layers on 4 mothers, typed and set", typed);
            Client ivo = application.measuredApi("ivo");
            double[] seconds = new double[TIMES];
            for (int i = 0; i < TIMES; i++) {
                seconds[i] = saveMany(ivo);
            }
            Measured.say("a batch of " + LARGE + " saved", seconds);
        }
    }

    /** Every value typed sign by sign, as a hand at the keys would, without its pauses. */
    private static double typeForty(RunningApplication application) {
        try (Visit visit = Visit.desk(application).signedInAs("ivo")) {
            visit.open("/bench");
            Keyboard keys = visit.page().keyboard();
            assertThat(visit.list("Mother")).isVisible();
            long began = System.nanoTime();
            for (String mother : MOTHERS) {
                visit.list("Mother").focus();
                keys.type(mother);
                assertThat(visit.page().getByRole(AriaRole.LISTBOX)).containsText(mother);
                keys.press("Enter");
                assertThat(visit.list("Mother")).hasValue(Pattern.compile("^" + mother));
                visit.field("Diameter").first().focus();
                for (int row = 0; row < ROWS; row++) {
                    keys.type(String.valueOf(12 + row));
                    press(keys, "Tab", 3);
                    keys.type(String.valueOf(6 + row));
                    keys.press("Tab");
                    keys.type(String.valueOf(300 + 20 * row));
                    keys.press("Tab");
                    keys.type(String.valueOf(10 + row));
                    if (row < ROWS - 1) {
                        keys.press("Enter");
                    }
                }
                assertThat(visit.see("row-sums-" + (ROWS - 1))).containsText("Ring");
                assertThat(visit.see("remarks")).isVisible();
                if (visit.see("reason").isVisible()) {
                    visit.see("reason").fill("to measure");
                }
                visit.field("Lean").last().focus();
                keys.press("Control+Enter");
                assertThat(visit.see("set-done")).containsText(ROWS + " layers are set");
            }
            return Measured.since(began);
        }
    }

    private static double saveMany(Client ivo) {
        Map<String, Object> body = new HashMap<>();
        body.put("motherId", ivo.get("/api/v1/mothers").body().at("/0/id").asLong());
        body.put("recipeId", ivo.get("/api/v1/recipes").body().at("/0/id").asLong());
        body.put("setOn", TODAY.toString());
        body.put("reason", "to measure");
        body.put("rows", Collections.nCopies(LARGE, Measured.branch(16)));
        long began = System.nanoTime();
        ivo.post("/api/v1/batches", body).expect(201);
        return Measured.since(began);
    }

    private static void press(Keyboard keys, String key, int times) {
        for (int i = 0; i < times; i++) {
            keys.press(key);
        }
    }
}
