package org.kindgirdle.server.plan;

import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.look.School;
import org.kindgirdle.core.plan.SettingWindow;
import org.kindgirdle.core.plan.WindowClass;

/**
 * Every start date of a growing year of one species: when it would be ready, and what the date is worth for each school.
 *
 * @param starts one a day
 */
record StartsView(LocalDate from, List<Start> starts) {

    /**
     * @param q10 first day with a tenth of the probability; null beyond four years; q50 and q90 alike
     * @param schools one each, in the order of the enum
     */
    record Start(
            @Nullable LocalDate q10,
            @Nullable LocalDate q50,
            @Nullable LocalDate q90,
            List<BySchool> schools) {}

    record BySchool(
            School school,
            WindowClass windowClass,
            SettingWindow.@Nullable End end,
            double readyP,
            @Nullable LocalDate deadline) {}
}
