package org.kindgirdle.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.Locator;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.kindgirdle.e2e.harness.RunningApplication;
import org.kindgirdle.e2e.harness.Visit;
import tools.jackson.databind.JsonNode;

/** What is drawn is what the core reckons, in either system of units. */
class StemDrawingTest {

    private final RunningApplication application = RunningApplication.sharedDemo();

    @Test
    void the_parts_are_in_the_ratio_of_the_cores_millimetres() {
        try (Visit visit = Visit.desk(application).signedInAs("ivo")) {
            for (String code : new String[] {"WJY-PD", "T5N-P3", "D73-D5"}) {
                visit.openLayer(code);
                JsonNode drawing = application
                        .api("ivo")
                        .get("/api/v1/layers/" + code)
                        .body()
                        .path("drawing");
                double ring = drawn(visit, "ring", "height");
                JsonNode ball = drawing.path("ball");
                assertThat(drawn(visit, "ball", "height") / ring)
                        .isCloseTo(
                                ball.path("ballLengthMm").asDouble()
                                        / drawing.path("ringMm").asDouble(),
                                within(1e-3));
                assertThat(drawn(visit, "ball", "width") / ring)
                        .isCloseTo(
                                ball.path("ballDiameterMm").asDouble()
                                        / drawing.path("ringMm").asDouble(),
                                within(1e-3));
                assertThat(drawn(visit, "limb", "width") / ring)
                        .isCloseTo(
                                ball.path("diameterMm").asDouble()
                                        / drawing.path("ringMm").asDouble(),
                                within(1e-3));
            }
        }
    }

    @Test
    void units_are_read_and_written_as_the_user_chose() {
        try (Visit visit = Visit.desk(application).signedInAs("pell")) {
            visit.openLayer("WJY-PD");
            double ring = application
                    .api("pell")
                    .get("/api/v1/layers/WJY-PD")
                    .body()
                    .at("/drawing/ringMm")
                    .asDouble();
            assertThat(visit.see("stem")).containsText(Math.round(ring) + " mm");
            visit.button("Pell Ashdrake ▾").click();
            visit.tap("units");
            assertThat(visit.see("stem"))
                    .containsText(BigDecimal.valueOf(ring / 25.4)
                                    .setScale(2, RoundingMode.HALF_UP)
                                    .stripTrailingZeros()
                                    .toPlainString()
                            + " in");
            visit.open("/house");
            assertThat(visit.page().getByText(Pattern.compile("winters down to 25.7 F")))
                    .isVisible();
            visit.button("Pell Ashdrake ▾").click();
            visit.tap("units");
            assertThat(visit.page().getByText(Pattern.compile("winters down to -3.5 C")))
                    .isVisible();
        }
    }

    @Test
    void the_bench_takes_either_unit_and_refuses_what_is_no_diameter() {
        try (Visit visit = Visit.desk(application).signedInAs("ivo")) {
            visit.open("/bench");
            visit.pick("Mother", "MD-01");
            visit.pick("Recipe", "Moss and foil");
            Locator diameter = visit.field("Diameter");
            diameter.fill("0.75in");
            assertThat(visit.see("stem")).containsText("36 mm");
            diameter.fill("19.05");
            assertThat(visit.see("stem")).containsText("36 mm");
            for (String bad : new String[] {"three", "-4", "900", "18 kg"}) {
                diameter.fill(bad);
                assertThat(visit.page().locator("[data-row] [role=alert]")).isVisible();
                assertThat(diameter).hasValue(bad);
                assertThat(visit.see("set")).isDisabled();
                diameter.fill("18");
                assertThat(visit.page().locator("[data-row] [role=alert]")).hasCount(0);
            }
        }
    }

    private static double drawn(Visit visit, String part, String side) {
        Object size = visit.page()
                .locator("[data-testid=stem] [data-part=" + part + "]")
                .first()
                .evaluate("(node, side) => node.getBBox()[side]", side);
        return ((Number) size).doubleValue();
    }
}
