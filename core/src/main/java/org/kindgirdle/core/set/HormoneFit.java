package org.kindgirdle.core.set;

import java.util.EnumMap;
import java.util.Map;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.house.Rule;
import org.kindgirdle.core.units.MissingValueException;
import org.kindgirdle.core.units.OutOfRangeException;
import org.kindgirdle.core.units.Require;

/** How a strength of hormone compares with the useful band of IBA for this difficulty and wood. */
public enum HormoneFit {
    IN_BAND,
    BELOW,
    ABOVE;

    private static final double MAX_PPM = 1_000_000;

    private static final Map<Difficulty, Map<Wood, Rule[]>> BANDS = bands();

    private final Rule speed;
    private final Rule odds;

    HormoneFit() {
        this.speed = Rule.of("hormone." + name() + ".speed");
        this.odds = Rule.of("hormone." + name() + ".odds");
    }

    /**
     * The useful band.
     *
     * @param lowPpm IBA, from and including
     * @param highPpm IBA, up to and including
     */
    public record Band(double lowPpm, double highPpm) {}

    /**
     * The band of this difficulty and wood.
     *
     * @throws MissingValueException if there is no band
     */
    public static Band band(HouseRules rules, Difficulty difficulty, Wood wood) {
        Rule[] ends = Require.present("band", BANDS.get(difficulty).get(wood));
        return new Band(rules.of(ends[0]), rules.of(ends[1]));
    }

    /**
     * @param ppm IBA, 0 for none, up to 1 000 000
     * @throws OutOfRangeException if hormone ppm is outside 0 to 1 000 000
     */
    public static HormoneFit of(HouseRules rules, Difficulty difficulty, Wood wood, double ppm) {
        Require.within("hormone ppm", ppm, 0, MAX_PPM);
        Band band = band(rules, difficulty, wood);
        return ppm < band.lowPpm() ? BELOW : ppm > band.highPpm() ? ABOVE : IN_BAND;
    }

    /** What it does to the speed of rooting, as a factor. */
    public double speed(HouseRules rules) {
        return rules.of(speed);
    }

    /** What it does to the odds of rooting, as a factor. */
    public double odds(HouseRules rules) {
        return rules.of(odds);
    }

    private static Map<Difficulty, Map<Wood, Rule[]>> bands() {
        Map<Difficulty, Map<Wood, Rule[]>> all = new EnumMap<>(Difficulty.class);
        for (Difficulty difficulty : Difficulty.values()) {
            Map<Wood, Rule[]> ofWood = new EnumMap<>(Wood.class);
            for (Wood wood : Wood.values()) {
                String code = "hormone-band." + difficulty + "." + wood;
                ofWood.put(wood, new Rule[] {Rule.of(code + ".low"), Rule.of(code + ".high")});
            }
            all.put(difficulty, ofWood);
        }
        return all;
    }
}
