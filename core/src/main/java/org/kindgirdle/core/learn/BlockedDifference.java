package org.kindgirdle.core.learn;

import java.util.List;
import org.kindgirdle.core.units.OutOfRangeException;
import org.kindgirdle.core.units.Require;

/**
 * The difference of two arms within blocks, as of mothers: blocks that differ among themselves do not blur it. It is the
 * Mantel-Haenszel difference of shares with the variance of Greenland and Robins (1985, Biometrics 41:55-68), which
 * holds for a few large blocks as for many small ones. Where every arm of every block is all or none that variance is
 * nothing, and Newcombe's interval of all blocks together stands (1998, Stat. Med. 17:873-890): a handful proves little.
 *
 * @param difference of the first arm less the second, -1 to 1; NaN where no block has both
 * @param low of the 95 % interval, and {@code high}
 * @param blocks that have both arms, and count
 */
public record BlockedDifference(double difference, double low, double high, int blocks) {

    /**
     * @param all one pair of shares a block
     * @throws OutOfRangeException if weights is not above 0
     */
    public static BlockedDifference of(List<TwoShares> all) {
        double weights = 0;
        double weighted = 0;
        double variance = 0;
        int blocks = 0;
        Share first = new Share(0, 0);
        Share second = new Share(0, 0);
        for (TwoShares block : all) {
            double n = block.a().n();
            double m = block.b().n();
            if (n == 0 || m == 0) {
                continue;
            }
            blocks++;
            first = new Share(
                    first.successes() + block.a().successes(),
                    first.n() + block.a().n());
            second = new Share(
                    second.successes() + block.b().successes(),
                    second.n() + block.b().n());
            double total = n + m;
            double a = block.a().successes();
            double b = block.b().successes();
            weights += n * m / total;
            weighted += (a * m - b * n) / total;
            variance += (a * (n - a) * m * m * m + b * (m - b) * n * n * n) / (n * m * total * total);
        }
        if (blocks == 0) {
            return new BlockedDifference(Double.NaN, -1, 1, 0);
        }
        double difference = weighted / Require.positive("weights", weights);
        double half = Share.Z95 * Math.sqrt(variance) / weights;
        double below = variance > 0 ? half : apart(first, second);
        double above = variance > 0 ? half : apart(second, first);
        return new BlockedDifference(
                difference, Math.max(-1, difference - below), Math.min(1, difference + above), blocks);
    }

    /** How far below the difference of two shares its interval reaches. */
    private static double apart(Share less, Share more) {
        return Math.hypot(less.value() - less.low(), more.high() - more.value());
    }
}
