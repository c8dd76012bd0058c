package org.kindgirdle.bench;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.LoadState;
import com.microsoft.playwright.options.SelectOption;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.LocalDate;
import java.util.Locale;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.kindgirdle.e2e.harness.RunningApplication;
import org.kindgirdle.e2e.harness.Visit;
import org.kindgirdle.server.harness.Client;
import tools.jackson.databind.JsonNode;

/**
 * Measures the running application, on the demo and with twenty thousand live layers in it; run by {@code ./kg bench
 * load} only. It asserts nothing: it says what it found.
 */
class LoadRun {

    private static final int LIVE = 20_000;
    private static final int BATCH = 200;
    private static final LocalDate TODAY = LocalDate.of(2026, 7, 10);

    @Test
    void measure() throws Exception {
        try (RunningApplication application = RunningApplication.demo()) {
            Client owner = application.measuredApi("maren");
            season(application);
            Measured.say("10-year weather file, the demo's layers", importYears(owner, 3));
            long began = System.nanoTime();
            fill(application, owner);
            Measured.say(LIVE + " layers set in batches of " + BATCH, Measured.since(began));
            double[] requests = new double[Measured.RUNS];
            double[] passes = new double[Measured.RUNS];
            for (int i = 0; i < Measured.RUNS; i++) {
                requests[i] = importYears(owner, 5 + i);
                began = System.nanoTime();
                Measured.awaitRecalculation(owner);
                passes[i] = Measured.since(began);
            }
            Measured.say("10-year weather file, " + LIVE + " live layers: the request", requests);
            Measured.say("  and the pass over them after it", passes);
            Measured.median(
                    "a list of 100 of them",
                    () -> owner.get("/api/v1/layers?limit=100").expect(200));
            int number = owner.get("/api/v1/house-rules").body().path("number").asInt();
            Measured.median(
                    "what another house rule would move",
                    () -> owner.post(
                                    "/api/v1/house-rules/previews",
                                    Map.of("number", number, "values", Map.of("next.establish", 50)))
                            .expect(200));
            Measured.median("the stock", () -> owner.get("/api/v1/stock").expect(200));
        }
    }

    /** Ten years of days before today, each with its own temperatures. @return seconds of the request */
    private static double importYears(Client owner, double shift) {
        StringBuilder csv = new StringBuilder("date,min_c,max_c,wind_ms,rain_mm\n");
        for (LocalDate day = TODAY.minusDays(3650); day.isBefore(TODAY); day = day.plusDays(1)) {
            double season = -7 * Math.cos(2 * Math.PI * (day.getDayOfYear() - 20) / 365);
            csv.append(day)
                    .append(String.format(Locale.ROOT, ",%.1f,%.1f,3.5,0.4%n", season + shift, season + 9 + shift));
        }
        long began = System.nanoTime();
        JsonNode done = owner.post("/api/v1/weather/imports", Map.of("csv", csv.toString(), "replace", true))
                .expect(200)
                .body();
        double seconds = Measured.since(began);
        System.out.println("  " + done);
        return seconds;
    }

    private static void fill(RunningApplication application, Client owner) throws SQLException {
        Measured.setLayers(owner, TODAY, LIVE, BATCH);
        // each has been looked at and watered a few times since
        try (Connection database =
                        DriverManager.getConnection(application.database().url(), "root", "");
                Statement sql = database.createStatement()) {
            for (int times = 1; times <= 4; times++) {
                sql.executeUpdate(
                        "insert into layer_event (id, uuid, layer_id, kind, on_date, occurred_at, recorded_at,"
                                + " clock_offset_days, person_id, corrects, details, note, verdict)"
                                + " select nextval(layer_event_seq) * 1000 + 900000000 + " + times
                                + ", uuid(), layer_id, 'TOPPED_UP', on_date, occurred_at + interval " + times
                                + " minute, recorded_at, clock_offset_days, person_id, null, '{\"waterMl\":120}', '', null"
                                + " from layer_event where kind = 'SET' and note = 'to measure'");
            }
        }
    }

    private static void season(RunningApplication application) {
        try (Visit visit = Visit.desk(application).signedInAs("pell")) {
            Page page = visit.page();
            page.addInitScript("window.tasks = [];"
                    + " new PerformanceObserver((list) => list.getEntries().forEach((one) => tasks.push(one.duration)))"
                    + ".observe({ type: 'longtask', buffered: true });"
                    // the rows of the strip, once they are painted
                    + " window.drawn = 0; new MutationObserver((all) => {"
                    + " if (all.some((one) => one.target.closest?.('[data-species]') || one.target.querySelector?.('[data-species]')))"
                    + " requestAnimationFrame(() => { drawn = performance.now() }) })"
                    + ".observe(document, { childList: true, subtree: true, attributes: true });");
            visit.open("/season?species=CYDOBL");
            visit.button("All species of the house").click();
            page.waitForLoadState(LoadState.NETWORKIDLE);
            int places = visit.list("Place").locator("option").count();
            for (int place = 1; place < places; place++) {
                page.evaluate("() => { tasks.length = 0; performance.clearResourceTimings() }");
                visit.list("Place").selectOption(new SelectOption().setIndex(place));
                page.waitForLoadState(LoadState.NETWORKIDLE);
                page.waitForTimeout(800);
                Object drawn = page.evaluate("() => { const all = performance.getEntriesByType('resource')"
                        + ".filter((one) => one.name.includes('/season?'));"
                        + " return all.length ? drawn - all[all.length - 1].responseEnd : -1 }");
                Measured.say(
                        "Season drawn after its data, "
                                + page.locator("[data-species]").count() + " species",
                        ((Number) drawn).doubleValue() / 1000);
            }
            page.evaluate("() => { tasks.length = 0 }");
            visit.see("start-slider").focus();
            for (int day = 0; day < 120; day++) {
                page.keyboard().press(day < 60 ? "ArrowRight" : "ArrowLeft");
            }
            page.waitForTimeout(1000);
            System.out.println(
                    "Dragging by 120 days, tasks over 50 ms: " + page.evaluate("() => JSON.stringify(tasks)"));
        }
    }
}
