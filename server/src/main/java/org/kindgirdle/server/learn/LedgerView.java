package org.kindgirdle.server.learn;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.layer.LossCause;

/** What worked, as the ledger shows it. */
public final class LedgerView {

    private LedgerView() {}

    /**
     * A table.
     *
     * @param filter name of the filter that a line's value stands for
     * @param all layers of the table together
     * @param few below so many, a number is called small
     * @param unpriced used without a price on record, so that the cost is too low
     */
    record LedgerTable(
            LedgerBy by,
            String filter,
            List<LedgerLine> lines,
            LedgerLine all,
            int few,
            String currency,
            List<String> unpriced) {}

    /**
     * Layers that have something in common.
     *
     * @param value of what they have in common; {@code label} in words where a code is none
     * @param rooted of those of which that is known; {@code established} of those severed of which that is known
     * @param minutesPerPlant work on all of them for each plant released; null while there is none
     * @param causes the commonest first
     */
    record LedgerLine(
            String value,
            @Nullable String label,
            int set,
            int underWay,
            LedgerFigure rooted,
            LedgerFigure established,
            @Nullable DaysToFull days,
            double minutes,
            double cost,
            @Nullable Double minutesPerPlant,
            @Nullable Double costPerPlant,
            List<LossCount> causes) {}

    /**
     * A share with its 95 % interval.
     *
     * @param share null of none
     */
    public record LedgerFigure(int n, int of, @Nullable Double share, double low, double high) {}

    /** Days from the ring to the look that found the ball full: the middle one, and those of four in five. */
    record DaysToFull(int seen, int low, int median, int high) {}

    record LossCount(LossCause cause, int count) {}

    /**
     * Two at a time.
     *
     * @param difference of a less b; null where one is empty
     * @param moreEach layers that each would need besides, for a difference of this size to be settled; null where it is
     *     settled, or where there is none to settle
     */
    public record SideBySide(
            LedgerFigure a,
            LedgerFigure b,
            @Nullable Double difference,
            @Nullable Double low,
            @Nullable Double high,
            double fisherP,
            boolean settled,
            @Nullable Integer moreEach,
            String sentence) {}
}
