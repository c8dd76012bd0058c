package org.kindgirdle.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static java.nio.charset.StandardCharsets.UTF_8;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.FilePayload;
import com.microsoft.playwright.options.LoadState;
import org.junit.jupiter.api.Test;
import org.kindgirdle.e2e.harness.Project;
import org.kindgirdle.e2e.harness.RunningApplication;
import org.kindgirdle.e2e.harness.Visit;

/** Makes the pictures of docs/screenshots anew, from the demo's first day; run by {@code ./kg screenshots} only. */
class Screenshots {

    private final RunningApplication application = RunningApplication.sharedDemo();

    private static final String BOOK = """
            Tag;Plant;Date set;Diam (cm);Rooted;Cut off;Potted;Sold;Died;Cause;Remarks
            17/1;Old feijoa;03.05.2023;1,8;20.07.2023;28.07.2023;28.07.2023;10.06.2024;;;"big, and good"
            17/2;Old feijoa;03.05.2023;1,5;;;;;21.06.2023;mice;
            17/3;Old feijoa;30.06.2023;2;02.09.2023;10.09.2023;10.09.2023;01.05.2024;;;
            """;

    @Test
    void take() {
        try (Visit desk = Visit.desk(application).signedInAs("maren")) {
            picture(desk, "/", "Friday’s round", "round");
            picture(desk, "/layers/AJJ-4M", "AJJ-4M", "layer");
            picture(desk, "/shed", "Sever today?", "shed");
            picture(desk, "/layers/PY4-4Y?do=SEVERED", "PY4-4Y", "leaf-over-root");
            picture(desk, "/shed/ladder", "The ladder", "ladder");
            picture(desk, "/layers", "Layers", "layers");
            picture(desk, "/season?species=CYDOBL", "Season", "season");
            picture(desk, "/stock", "Mothers", "stock");
            desk.page().setViewportSize(1280, 1250);
            picture(desk, "/stock/10", "MU-01", "mother");
            desk.page().setViewportSize(1280, 800);
            picture(desk, "/house", "House", "house");
            desk.open("/house/records");
            desk.see("records-file")
                    .setInputFiles(new FilePayload("propagation-2023.csv", "text/csv", BOOK.getBytes(UTF_8)));
            desk.page().getByLabel("Recipe comes from").selectOption("The same in every row");
            desk.page().getByLabel("Recipe in every row").selectOption("Moss and foil");
            desk.page().getByLabel("Old feijoa means").selectOption("FJ-01");
            desk.page().getByLabel("mice means").selectOption("ANIMALS");
            desk.tap("look");
            assertThat(desk.see("good-rows")).isVisible();
            desk.page().evaluate("() => scrollTo(0, 0)");
            shoot(desk, "records-in");
            desk.open("/bench");
            desk.pick("Mother", "MU-01");
            desk.pick("Recipe", "Moss and foil");
            desk.field("Diameter").fill("3/4 in");
            desk.field("To union").fill("600");
            assertThat(desk.see("sums")).isVisible();
            shoot(desk, "bench");
            desk.tap("to-sums");
            assertThat(desk.see("hormone-answer")).isVisible();
            shoot(desk, "sums");
            desk.open("/bench/labels?codes=AJJ-4M,WJY-PD,YRF-DJ");
            desk.page().locator("[data-place='8']").click();
            shoot(desk, "labels");
            picture(desk, "/bench/trials/1", "Scraped or not", "trial");
            picture(desk, "/ledger", "What works here?", "ledger");
            picture(desk, "/ledger/times?species=CYDOBL", "How long does it take?", "ledger-times");
        }
        try (Visit phone = Visit.phone(application).signedInAs("maren")) {
            picture(phone, "/", "Friday’s round", "round-phone");
            picture(phone, "/?at=AJJ-4M", "AJJ-4M", "look-phone");
        }
    }

    private static void picture(Visit visit, String path, String title, String name) {
        visit.open(path);
        assertThat(visit.heading(title)).isVisible();
        shoot(visit, name);
    }

    private static void shoot(Visit visit, String name) {
        visit.page().waitForLoadState(LoadState.NETWORKIDLE);
        visit.page()
                .screenshot(new Page.ScreenshotOptions()
                        .setPath(Project.ROOT.resolve("docs/screenshots/" + name + ".png")));
    }
}
