package org.kindgirdle.server.set;

import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import java.time.LocalDate;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.climate.Cover;
import org.kindgirdle.core.set.Medium;
import org.kindgirdle.core.set.Wood;
import org.kindgirdle.server.problem.Within;

/** What is asked of the sums of the bench; nothing of it is kept. */
final class SumsRequest {

    private SumsRequest() {}

    /** A liquid to be weakened, or a solid to be dissolved. */
    enum Stock {
        LIQUID,
        SOLID
    }

    /**
     * @param stockPpm strength of the liquid; needed for LIQUID
     * @param purityPercent active substance in the solid; needed for SOLID
     * @param speciesCode with {@code wood}, to compare the strength with the useful band
     */
    record HormoneQuery(
            @NotNull Stock stock,

            @Nullable @Within(low = 0, high = 1e6, unit = "ppm")
            Double stockPpm,

            @Nullable @Within(low = 0.1, high = 100, unit = "%")
            Double purityPercent,

            @NotNull @Within(low = 0, high = 1e6, unit = "ppm")
            Double targetPpm,

            @NotNull @Within(low = 0, high = 1e6, unit = "mL")
            Double volumeMl,

            @Nullable String speciesCode,
            @Nullable Wood wood) {}

    /**
     * @param scraped whether the ring is scraped clean
     * @param containerG of a pod, pot or bag
     * @param containerMl that it holds in place of what the branch asks for; 0 for that
     * @param layers alike
     */
    record BallQuery(
            @NotNull @Within(low = 1, high = 200, unit = "mm")
            Double diameterMm,

            @NotNull Boolean bridgesReadily,
            @NotNull Boolean bridgedBefore,
            @NotNull Boolean scraped,
            @NotNull Medium medium,

            @NotNull @Within(low = 0, high = 50_000, unit = "g")
            Double containerG,

            @NotNull @Within(low = 0, high = 100_000, unit = "mL")
            Double containerMl,

            @NotNull Wood wood,

            @NotNull @Within(low = 0, high = 20_000, unit = "mm")
            Double fromUnionMm,

            @NotNull @Within(low = 0, high = 180, unit = "degrees")
            Double leanDeg,

            @NotNull @Within(low = 1, high = 10_000) Integer layers) {}

    /** @param mixMl of the mix, wet */
    record MediumQuery(
            @NotNull Medium medium,

            @NotNull @Within(low = 0, high = 1e8, unit = "mL")
            Double mixMl) {}

    /** @param from the first day; today if it is left out */
    record CoverQuery(
            @NotNull @Within(low = 1, high = 1e12) Long placeId,
            @NotBlank String speciesCode,
            @NotNull Cover cover,
            @Nullable LocalDate from,
            @NotNull Boolean algae) {}
}
