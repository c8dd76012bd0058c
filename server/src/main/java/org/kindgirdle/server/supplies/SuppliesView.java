package org.kindgirdle.server.supplies;

import io.soabase.recordbuilder.core.RecordBuilder;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Map;
import org.kindgirdle.core.pot.HousePot;
import org.kindgirdle.core.set.HouseContainer;
import org.kindgirdle.core.set.HouseHormone;
import org.kindgirdle.core.set.Medium;
import org.kindgirdle.core.set.MediumMix;
import org.kindgirdle.server.problem.Within;

/**
 * What the bench keeps in stock, as it is read and written.
 *
 * @param mixes what each medium is mixed from; read, there is one for every medium
 * @param containers pods, bags and pots that hold a ball
 * @param pots for severed plants
 * @param pottingMix the light mix that they are filled up with
 */
@RecordBuilder
public record SuppliesView(
        @NotNull Map<Medium, @NotNull MediumMix> mixes,
        @NotNull @Size(max = 100) List<HouseContainer> containers,
        @NotNull @Size(max = 100) List<HouseHormone> hormones,
        @NotNull @Size(max = 100) List<HousePot> pots,
        @NotNull MediumMix pottingMix,
        @NotNull @Within(low = 0, high = 1e9) Long version) {

    /** What a medium is mixed from here. */
    public MediumMix mix(Medium medium) {
        MediumMix mix = mixes.get(medium);
        return mix == null ? ShippedMixes.of(medium) : mix;
    }
}
