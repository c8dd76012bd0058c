package org.kindgirdle.server.supplies;

import java.util.List;
import org.kindgirdle.core.pot.HousePot;

/** Common round sizes, until the nursery says what stands on its own shelf. */
final class ShippedPots {

    static final List<HousePot> ALL = List.of(
            new HousePot("1 L", 130, 115, 1000, 25),
            new HousePot("2 L", 170, 135, 2000, 45),
            new HousePot("3 L", 190, 160, 3000, 65),
            new HousePot("5 L", 225, 190, 5000, 110),
            new HousePot("7.5 L", 260, 215, 7500, 160),
            new HousePot("10 L", 285, 240, 10_000, 220),
            new HousePot("15 L", 330, 275, 15_000, 330));

    private ShippedPots() {}
}
