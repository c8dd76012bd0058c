package org.kindgirdle.core.harden;

import java.util.EnumMap;
import java.util.Map;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.house.Rule;
import org.kindgirdle.core.units.MissingValueException;
import org.kindgirdle.core.units.Require;

/** Ways from the tent to the open: how long a plant stands on each rung. */
public enum Ladder {
    /** the common one: leaves made in shade learn the sun by steps */
    IN_LEAF,
    /** evergreens that sulk: six to twelve months in shade */
    LONG_SHADE,
    /** severed leafless: frost-free and barely moist till bud break, then as in leaf */
    DORMANT,
    /** pure moss in a tray of water, moved on when it is full */
    MOSS_TRAY,
    /** straight into the ground: shade cloth or fleece over it for a while, and released there when it has grown */
    GROUND,
    /** a month in shade, then out */
    MONTH;

    private final Map<Rung, Rule> days = new EnumMap<>(Rung.class);

    Ladder() {
        for (Rung rung : Rung.values()) {
            days.put(rung, Rule.of("ladder." + name() + "." + rung + ".days"));
        }
    }

    /**
     * Days in leaf that a plant stands on a rung before the next.
     *
     * @throws MissingValueException if there are no days
     */
    public int days(HouseRules rules, Rung rung) {
        return rules.count(Require.present("days", days.get(rung)));
    }
}
