package org.kindgirdle.e2e.harness;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.kindgirdle.server.harness.Client;
import tools.jackson.databind.JsonNode;

/** Walks a round on a phone and counts the taps. */
public final class Walker {

    private final Visit visit;
    private int taps;

    public Walker(Visit visit) {
        this.visit = visit;
    }

    /** Sets layers that are due for a look by the demo's first day. @return their codes */
    public static List<String> due(RunningApplication application, String mother, int count) {
        Client maren = application.api("maren");
        JsonNode found = maren.get("/api/v1/mothers")
                .body()
                .valueStream()
                .filter(one -> one.path("code").asString().equals(mother))
                .findFirst()
                .orElseThrow();
        JsonNode recipe = maren.get("/api/v1/recipes").body().get(0);
        List<Map<String, Object>> rows = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            rows.add(Map.of(
                    "diameterMm",
                    14,
                    "wood",
                    "ONE_TWO",
                    "position",
                    "BELOW_NODE",
                    "leavesBeyond",
                    8,
                    "fromUnionMm",
                    300,
                    "leanDeg",
                    10,
                    "specimen",
                    false,
                    "fruitToKeep",
                    false));
        }
        return maren.post(
                        "/api/v1/batches",
                        Map.of(
                                "motherId",
                                found.path("id").asLong(),
                                "recipeId",
                                recipe.path("id").asLong(),
                                "setOn",
                                "2026-05-20",
                                "reason",
                                "for the walk",
                                "rows",
                                rows))
                .expect(201)
                .body()
                .path("codes")
                .valueStream()
                .map(JsonNode::asString)
                .toList();
    }

    public Page page() {
        return visit.page();
    }

    /** The layer that stands on the screen. */
    public String at() {
        Locator code = page().getByRole(AriaRole.ARTICLE).locator("h1");
        assertThat(code).isVisible();
        return code.innerText();
    }

    /** Goes on, skipping what is not to be looked at, until one of some layers is before the eyes. */
    public String toOneOf(List<String> codes) {
        Set<String> met = new HashSet<>();
        String code = at();
        while (!codes.contains(code)) {
            if (!met.add(code)) {
                throw new AssertionError("none of " + codes + " is on the walk: " + met);
            }
            String here = code;
            visit.button("Skip").tap();
            assertThat(page().getByRole(AriaRole.ARTICLE).locator("h1")).not().hasText(here);
            code = at();
        }
        return code;
    }

    /** Callus, where there was nothing; the sectors as they were; the fill by a touch of the slider; keep. @return taps */
    public int look() {
        taps = 0;
        tap(visit.radio("Callus"));
        Locator fill = page().getByRole(AriaRole.SLIDER);
        fill.scrollIntoViewIfNeeded();
        BoundingBox box = fill.boundingBox();
        fill.tap(new Locator.TapOptions().setPosition(box.width * .15, box.height / 2));
        taps++;
        tap(visit.see("keep-look"));
        assertThat(visit.see("kept")).isVisible();
        return taps;
    }

    /** To the next on the walk. @return taps since the last look began */
    public int next() {
        String here = at();
        tap(visit.see("next"));
        assertThat(page().getByRole(AriaRole.ARTICLE).locator("h1")).not().hasText(here);
        return taps;
    }

    private void tap(Locator one) {
        one.tap();
        taps++;
    }
}
