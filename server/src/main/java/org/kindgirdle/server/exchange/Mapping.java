package org.kindgirdle.server.exchange;

import com.fasterxml.jackson.annotation.JsonInclude;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * How the columns of a file become those of a table.
 *
 * @param table that they become
 * @param columns those of the table that the file says something of
 * @param decimalComma whether the file writes 12,5 for 12.5
 */
public record Mapping(
        @NotBlank @Size(max = 40) String table,
        @NotNull @Size(max = 300) List<@NotNull @Valid ColumnSource> columns,
        @NotNull Boolean decimalComma) {

    /**
     * Where a column's cells come from.
     *
     * @param column of the table
     * @param from the file's column; null if every row has the same
     * @param always what every row has, or a row whose cell is empty; null for nothing
     * @param unit in which the file's numbers are; null for the one in the column's name
     * @param dates how the file writes days; null for 2026-07-10
     * @param values what the file's words mean, by them; an empty one is passed over
     */
    @JsonInclude(JsonInclude.Include.ALWAYS)
    public record ColumnSource(
            @NotBlank @Size(max = 60) String column,
            @Nullable @Size(max = 300) String from,
            @Nullable @Size(max = 500) String always,
            @Nullable @Size(max = 10) String unit,
            @Nullable DateOrder dates,
            @NotNull @Size(max = 2000) Map<@NotNull String, @NotNull String> values) {}

    /** How a file writes days. */
    public enum DateOrder {
        /** 2026-07-10 */
        YEAR_MONTH_DAY,
        /** 10.07.2026, 10/7/26 */
        DAY_MONTH_YEAR,
        /** 07/10/2026, 7/10/26 */
        MONTH_DAY_YEAR
    }
}
