package org.kindgirdle.server.supplies;

import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import org.kindgirdle.core.plan.Prices;
import org.kindgirdle.server.problem.Within;

/**
 * What the nursery pays, as it is read and written. A price of 0 is one that nobody has typed in.
 *
 * @param currency as it stands after an amount
 */
public record PricesView(
        @NotNull @Size(max = 8) String currency,
        @NotNull Prices prices,
        @NotNull @Within(low = 0, high = 1e9) Long version) {}
