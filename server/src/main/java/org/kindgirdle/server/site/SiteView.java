package org.kindgirdle.server.site;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.DayOfWeek;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.server.problem.Within;

/**
 * The site as it is read and written.
 *
 * @param latitude degrees, south negative
 * @param minC monthly means of the daily minimum, January first, C
 * @param maxC monthly means of the daily maximum
 * @param frosts null on a frost-free site
 * @param winterLowC the lowest night that one winter in ten brings
 * @param arid where nights are too dry for dew
 */
public record SiteView(
        @NotBlank @Size(max = 80) String name,

        @NotNull @Within(low = -90, high = 90, unit = "degrees")
        Double latitude,

        @NotBlank @Size(max = 40) String zone,

        @NotNull @Size(min = 12, max = 12, message = "must have twelve values, January first")
        List<@NotNull @Within(low = -70, high = 60, unit = "C") Double> minC,

        @NotNull @Size(min = 12, max = 12, message = "must have twelve values, January first")
        List<@NotNull @Within(low = -70, high = 60, unit = "C") Double> maxC,

        @Valid @Nullable FrostsView frosts,
        @NotNull @Within(low = -70, high = 40, unit = "C") Double winterLowC,
        @NotNull Boolean arid,
        @NotEmpty Set<DayOfWeek> roundDays,

        @NotNull @Within(low = 10, high = 960, unit = "minutes")
        Integer roundMinutes,

        @NotNull @Within(low = 0, high = 1e9) Long version) {}
