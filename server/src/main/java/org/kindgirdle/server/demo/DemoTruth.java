package org.kindgirdle.server.demo;

import static java.util.Map.entry;

import java.util.Map;
import java.util.Random;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.growth.TimeToReady;
import org.kindgirdle.core.layer.LayerContext;
import org.kindgirdle.core.layer.LossCause;
import org.kindgirdle.core.set.Wood;
import org.kindgirdle.core.set.Wound;

/**
 * How it really is in the made-up nursery, which is not quite as the profiles have it: its records show it to who looks
 * for it.
 *
 * @param timeFactor by the code of the species: its median time to a full ball, of the profile's
 * @param rooting chance to root with a scraped ring, by species
 * @param unscrapedRooting the same where the ring is not scraped
 * @param establishing chance to live on after severance
 */
record DemoTruth(
        Map<String, Double> timeFactor, Map<String, Double> rooting, double unscrapedRooting, double establishing) {

    static final DemoTruth SHIPPED = new DemoTruth(
            Map.ofEntries(
                    entry("CYDOBL", 1.2),
                    entry("MORNIG", .85),
                    entry("ERIJAP", 1.0),
                    entry("MESGER", 1.1),
                    entry("FEISEL", .95),
                    entry("COTCOG", 1.05),
                    entry("WISSIN", 1.1),
                    entry("STYJAP", .9),
                    entry("DAVINV", 1.15),
                    entry("HAMINT", 1.1)),
            Map.ofEntries(
                    entry("CYDOBL", .92),
                    entry("MORNIG", .8),
                    entry("ERIJAP", .85),
                    entry("MESGER", .75),
                    entry("FEISEL", .7),
                    entry("COTCOG", .6),
                    entry("WISSIN", .9),
                    entry("DAVINV", .6),
                    entry("HAMINT", .65)),
            .45,
            .88);

    private static final double MISHAP = .06;
    private static final double DIES_IN_WINTER = .3;
    private static final LossCause[] MISHAPS = {
        LossCause.ANIMALS, LossCause.DRIED, LossCause.BROKE, LossCause.SLIPPED, LossCause.LABEL_LOST
    };
    private static final LossCause[] FAILURES = {
        LossCause.WILTED_AFTER, LossCause.WILTED_AFTER, LossCause.COLLAR_ROT, LossCause.OVERWATERED
    };

    /**
     * What is going to happen to a layer.
     *
     * @param thermalDays to a full ball, if it roots at all
     * @param noRootsBy why it is given up if it does not, and {@code givenUpAfterDays} when
     * @param mishap on its mother; null for none
     * @param diesInWinter if it is still on its mother in the second year
     * @param failsBy why it dies after severance if it does not establish
     */
    record HiddenLife(
            boolean roots,
            double thermalDays,
            LossCause noRootsBy,
            int givenUpAfterDays,
            @Nullable LossCause mishap,
            int mishapAfterDays,
            boolean diesInWinter,
            boolean establishes,
            LossCause failsBy) {}

    HiddenLife hiddenLife(LayerContext context, Wood wood, Random random) {
        String species = context.species().code();
        boolean scraped = context.recipe().wound() != Wound.RING_UNSCRAPED;
        double chance =
                (scraped ? rooting.getOrDefault(species, .7) : unscrapedRooting) * (wood == Wood.ONE_TWO ? 1 : .8);
        // how plants differ, not how unsure a profile is of them
        TimeToReady time = TimeToReady.prior(
                context.time().d50ThermalDays(), context.time().sigma());
        return new HiddenLife(
                random.nextDouble() < chance,
                timeFactor.getOrDefault(species, 1.0) * time.quantile(.01 + .98 * random.nextDouble()),
                scraped ? random.nextInt(3) == 0 ? LossCause.ROTTED : LossCause.NO_ROOTS : LossCause.BRIDGED,
                55 + random.nextInt(50),
                random.nextDouble() < MISHAP ? MISHAPS[random.nextInt(MISHAPS.length)] : null,
                20 + random.nextInt(60),
                random.nextDouble() < DIES_IN_WINTER,
                random.nextDouble() < establishing,
                FAILURES[random.nextInt(FAILURES.length)]);
    }
}
