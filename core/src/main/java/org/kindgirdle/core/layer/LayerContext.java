package org.kindgirdle.core.layer;

import java.util.function.Function;
import org.kindgirdle.core.climate.Cover;
import org.kindgirdle.core.climate.Exposure;
import org.kindgirdle.core.climate.PlaceClimate;
import org.kindgirdle.core.growth.SpeciesProfile;
import org.kindgirdle.core.growth.ThermalSums;
import org.kindgirdle.core.look.HouseRules;
import org.kindgirdle.core.set.Recipe;
import org.kindgirdle.core.set.RootRun;
import org.kindgirdle.core.set.Vigour;

/**
 * Everything beside its journal that a layer's projection depends on.
 *
 * @param climate of the mother's place
 * @param coverAtHand whether the nursery has a frost-free place
 * @param sums the shared thermal sums of this place and species under a cover
 */
public record LayerContext(
        PlaceClimate climate,
        Exposure exposure,
        SpeciesProfile species,
        Recipe recipe,
        Vigour vigour,
        RootRun rootRun,
        HouseRules rules,
        boolean coverAtHand,
        Function<Cover, ThermalSums> sums) {}
