package org.kindgirdle.server.supplies;

import java.util.List;
import java.util.stream.Stream;
import org.kindgirdle.core.set.Medium;
import org.kindgirdle.core.set.MediumMix;

/** What each medium is mixed from until the nursery says otherwise, by parts of volume. */
final class ShippedMixes {

    /** What pots are filled up with: it drains, holds air, and weighs little. */
    static final MediumMix POTTING = mix(one("Bark", 2), one("Perlite", 1), one("Coir", 1));

    private ShippedMixes() {}

    static MediumMix of(Medium medium) {
        return switch (medium) {
            case MOSS -> mix(one("Moss", 1));
            case COIR -> mix(one("Coir", 1));
            case PEAT -> mix(one("Peat", 1));
            case COIR_PERLITE -> mix(one("Coir", 3), one("Perlite", 1));
            case COIR_HUSK -> mix(one("Coir", 1), one("Rice husk", 1));
            case COIR_SAND -> mix(one("Coir", 1), one("Sand", 1));
            case MANURE_EARTH -> mix(one("Well-rotted manure", 3), one("Red earth", 1));
            case HUSK_FIBRE -> mix(one("Coconut husk", 1));
            case POTTING_MIX -> mix(one("Potting mix", 1));
            case HEAVY_SOIL -> mix(one("Heavy soil", 1));
        };
    }

    private static MediumMix mix(MediumMix.Ingredient... ingredients) {
        return new MediumMix(Stream.of(ingredients).toList(), List.of());
    }

    /** How much a bale swells stands on the bale: nothing does until it is typed in. */
    private static MediumMix.Ingredient one(String name, double parts) {
        return new MediumMix.Ingredient(name, parts, 1);
    }
}
