package org.kindgirdle.core.set;

import java.util.Set;
import org.kindgirdle.core.units.MissingValueException;
import org.kindgirdle.core.units.NotOneOfException;
import org.kindgirdle.core.units.OutOfRangeException;
import org.kindgirdle.core.units.Require;

/**
 * A pod, bag or pot that the house keeps.
 *
 * @param wrap what kind it is
 * @param volumeMl that it holds with nothing in the middle, 1 to 100 000 mL
 * @param massG empty, 0 to 5000 g
 * @param lengthMm along the limb, 10 to 1000 mm
 * @param acrossMm at its widest, 5 to 1000 mm
 */
public record HouseContainer(String name, Wrap wrap, double volumeMl, double massG, double lengthMm, double acrossMm) {

    private static final Set<Wrap> KINDS = Set.of(Wrap.SLIT_BAG, Wrap.VENTED_BAG, Wrap.HINGED_POD, Wrap.SPLIT_POT);

    /**
     * @throws OutOfRangeException if volumeMl is outside 1 to 100 000, massG is outside 0 to 5000, lengthMm is outside
     *     10 to 1000 or acrossMm is outside 5 to 1000
     * @throws MissingValueException if there is no name or wrap
     * @throws NotOneOfException if wrap is none of those that are allowed
     */
    public HouseContainer {
        Require.present("name", name);
        Require.oneOf("wrap", Require.present("wrap", wrap), KINDS);
        Require.within("volumeMl", volumeMl, 1, 100_000);
        Require.within("massG", massG, 0, 5000);
        Require.within("lengthMm", lengthMm, 10, 1000);
        Require.within("acrossMm", acrossMm, 5, 1000);
    }

    /**
     * Medium that it holds round a limb, mL: its volume less what the limb takes up, at least a tenth of its volume,
     * for a bag is stretched over a limb that fills it.
     *
     * @param diameterMm of the limb, 1 to 200 mm
     * @throws OutOfRangeException if diameterMm is outside 1 to 200
     */
    public double mediumMl(double diameterMm) {
        Require.within("diameterMm", diameterMm, RingAndBall.MIN_DIAMETER_MM, RingAndBall.MAX_DIAMETER_MM);
        return Math.max(.1 * volumeMl, volumeMl - Math.PI / 4 * diameterMm * diameterMm * lengthMm / 1000);
    }
}
