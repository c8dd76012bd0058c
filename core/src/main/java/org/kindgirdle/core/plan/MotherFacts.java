package org.kindgirdle.core.plan;

import org.kindgirdle.core.growth.SpeciesProfile;
import org.kindgirdle.core.set.Method;

/**
 * What is to be set on a mother, as far as it decides whether it may be.
 *
 * @param retired no longer used as a mother
 * @param sick recorded as sick
 * @param rightsMissing under plant breeders' rights, with no permission on record
 * @param capacity with the layers that are to be set
 * @param liveShootBelow a leafy shoot stays below every ring
 * @param everyShootBuried none is left in the light
 */
public record MotherFacts(
        SpeciesProfile species,
        Method method,
        boolean retired,
        boolean sick,
        boolean rightsMissing,
        MotherCapacity capacity,
        boolean liveShootBelow,
        boolean everyShootBuried) {}
