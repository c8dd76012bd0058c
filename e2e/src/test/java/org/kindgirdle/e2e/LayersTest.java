package org.kindgirdle.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.List;
import java.util.regex.Pattern;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.kindgirdle.e2e.harness.RunningApplication;
import org.kindgirdle.e2e.harness.Visit;
import org.kindgirdle.e2e.harness.Walker;

/** What about this one, and these? */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class LayersTest {

    private final RunningApplication application = RunningApplication.sharedDemo();

    @Test
    void the_list_is_narrowed_the_filter_kept_and_all_that_fit_are_ticked() {
        List<String> codes = Walker.due(application, "QU-01", 4);
        try (Visit visit = Visit.desk(application).signedInAs("ivo")) {
            visit.openLayer(codes.get(0));
            visit.page().getByText("its batch").click();
            assertThat(visit.see("line")).hasCount(4);
            assertThat(visit.see("count")).hasText("4 layers");
            // each with its own drawing beside it, as it stands
            assertThat(visit.see("thumb").first().locator("[data-part=ring]")).isVisible();
            visit.tap("tick-all");
            assertThat(visit.see("selection")).containsText("4 ticked");
            assertThat(visit.axe()).isEmpty();
            visit.pick("Record for all", "A note");
            visit.see("selection").getByRole(AriaRole.TEXTBOX).fill("wasps about the wall");
            visit.tap("record-selection");
            assertThat(visit.see("toast").last()).containsText("4 layers: kept");

            visit.open("/layers?q=wasps");
            assertThat(visit.see("line")).hasCount(4);
            visit.button("Keep this filter").click();
            visit.field("Name it").fill("Wasps");
            visit.button("Keep").click();
            // whoever leaves before it is kept takes it back with the page
            assertThat(visit.see("saved-filter")).hasText("Wasps");
            visit.open("/layers");
            assertThat(visit.see("count")).not().hasText("4 layers");
            visit.see("saved-filter").click();
            assertThat(visit.see("line")).hasCount(4);
            visit.button("More filters").click();
            visit.page().getByLabel("Stage").selectOption("FILLED");
            assertThat(visit.page().getByText("No layer fits.")).isVisible();
            visit.page().getByLabel("Throw away the filter Wasps").click();
            assertThat(visit.see("saved-filter")).hasCount(0);
        }
    }

    @Test
    void a_look_is_put_right_and_what_it_taught_is_drawn_anew() {
        String code = Walker.due(application, "QU-01", 1).get(0);
        try (Visit visit = Visit.desk(application).signedInAs("ivo")) {
            visit.openLayer(code);
            visit.radio("Mature").click();
            visit.tap("keep-look");
            assertThat(visit.see("learned")).containsText("Mature");
            visit.page().getByLabel(Pattern.compile("^Correct: Look")).click();
            assertThat(visit.radio("Mature")).isChecked();
            visit.radio("First tips").click();
            visit.button("Keep the correction").click();
            assertThat(visit.see("learned")).containsText("First tips");
            assertThat(visit.see("learned")).not().containsText("Mature");
            Locator records = visit.see("records").locator("[data-kind=LOOKED]");
            assertThat(records).hasCount(2);
            assertThat(visit.see("records").locator("[data-kind=LOOKED][data-in-force=false]"))
                    .containsText("mature");
            assertThat(visit.axe()).isEmpty();
        }
    }

    @Test
    void a_photo_goes_with_a_look_and_stands_on_the_page() throws IOException {
        String code = Walker.due(application, "QU-01", 1).get(0);
        try (Visit visit = Visit.touchPhone(application).signedInAs("ivo")) {
            visit.open("/?at=" + code);
            assertThat(visit.radio("Callus")).isVisible();
            visit.see("photo").setInputFiles(new FilePayload("roots.txt", "image/png", "no picture".getBytes()));
            assertThat(visit.page().getByText("This is no picture that can be read here."))
                    .isVisible();
            visit.see("photo").setInputFiles(new FilePayload("roots.png", "image/png", picture()));
            assertThat(visit.page().getByAltText("The photo that goes with this record"))
                    .isVisible();
            visit.radio("Callus").tap();
            visit.see("keep-look").tap();
            assertThat(visit.see("kept")).containsText("Look: kept.");

            visit.openLayer(code);
            Locator photo = visit.see("photos").getByRole(AriaRole.IMG);
            assertThat(photo).hasCount(1);
            photo.scrollIntoViewIfNeeded();
            visit.page().waitForFunction("one => one.complete && one.naturalWidth > 0", photo.elementHandle());
            photo.tap();
            assertThat(visit.button("Throw it away")).isVisible();
            assertThat(visit.axe()).isEmpty();
            visit.button("Throw it away").tap();
            // shown no more, but not without a trace
            assertThat(visit.see("photos").getByRole(AriaRole.IMG)).hasCount(0);
            assertThat(visit.see("photo-gone")).containsText("was taken away by Ivo Sandmoor");
        }
    }

    private static byte[] picture() throws IOException {
        BufferedImage image = new BufferedImage(2400, 1800, BufferedImage.TYPE_INT_RGB);
        Graphics2D draw = image.createGraphics();
        draw.setColor(new Color(90, 110, 60));
        draw.fillRect(300, 300, 900, 900);
        draw.dispose();
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(image, "png", out);
        return out.toByteArray();
    }
}
