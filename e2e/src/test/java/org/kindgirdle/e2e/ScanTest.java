package org.kindgirdle.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import java.nio.file.Path;
import java.util.Locale;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.kindgirdle.e2e.harness.Film;
import org.kindgirdle.e2e.harness.RunningApplication;
import org.kindgirdle.e2e.harness.Visit;
import tools.jackson.databind.JsonNode;

/** A mother is chosen by a label: before the camera, or by its typed code. */
class ScanTest {

    private final RunningApplication application = RunningApplication.sharedDemo();

    @TempDir
    private Path folder;

    @Test
    void the_label_of_a_layer_before_the_camera_chooses_its_mother() {
        JsonNode layer = layer();
        Path film = Film.of(
                folder.resolve("label.y4m"),
                application.base() + "/layers/" + layer.path("code").asString());
        try (Visit visit = Visit.tabletBefore(application, film).signedInAs("ivo")) {
            visit.open("/bench");
            visit.tap("scan");
            assertThat(visit.list("Mother"))
                    .hasValue(Pattern.compile("^" + layer.path("mother").asString()));
            assertThat(visit.page().locator("video")).hasCount(0);
        }
    }

    @Test
    void a_typed_code_does_the_same_and_a_slip_in_it_is_caught() {
        JsonNode layer = layer();
        String code = layer.path("code").asString();
        try (Visit visit = Visit.desk(application).signedInAs("ivo")) {
            visit.open("/bench");
            String slip = code.substring(0, 5) + (code.endsWith("2") ? "3" : "2");
            visit.list("Mother").fill(slip);
            assertThat(visit.page().getByText("The mother of layer")).isVisible();
            visit.page().keyboard().press("Enter");
            assertThat(visit.page().getByText("a sign is wrong or two are swapped"))
                    .isVisible();
            visit.list("Mother").fill(code.replace("-", "").toLowerCase(Locale.ROOT));
            assertThat(visit.page().getByText("The mother of layer")).isVisible();
            visit.page().keyboard().press("Enter");
            assertThat(visit.list("Mother"))
                    .hasValue(Pattern.compile("^" + layer.path("mother").asString()));
            assertThat(visit.page().getByText("a sign is wrong")).hasCount(0);
        }
    }

    private JsonNode layer() {
        JsonNode page = application.api("ivo").get("/api/v1/layers?limit=1").body();
        return page.path("layers").path(0);
    }
}
