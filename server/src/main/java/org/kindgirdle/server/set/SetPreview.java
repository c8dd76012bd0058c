package org.kindgirdle.server.set;

import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.climate.Cover;
import org.kindgirdle.core.plan.SettingWindow;
import org.kindgirdle.core.set.BranchLoad;
import org.kindgirdle.core.set.BridgingRisk;
import org.kindgirdle.core.set.Checklist;
import org.kindgirdle.core.set.ContainerFit;
import org.kindgirdle.core.set.CoverAdvice;
import org.kindgirdle.core.set.HormoneFit;
import org.kindgirdle.core.set.RingAndBall;
import org.kindgirdle.core.verdict.Level;
import org.kindgirdle.server.plan.Remark;

/**
 * What setting these layers would mean.
 *
 * @param remarks on plant, time and number, the gravest first
 * @param checklist what the hands do, in order, with its cautions where they first bite
 * @param cover what suits the place in the weeks that come
 * @param rows in the order in which they were sent
 */
record SetPreview(
        LocalDate setOn,
        SettingWindow window,
        List<Remark> remarks,
        List<ChecklistStep> checklist,
        CoverView cover,
        List<BranchPreview> rows) {

    /**
     * @param containerFit how the recipe's container suits this branch; null if it has none of a fixed size
     * @param ready10On the day with a tenth of the probability of ready; null beyond four years
     * @param ownRecords that those days rest on; 0 for the profile
     * @param topUpDays days between top-ups at first
     * @param leavesToKeep at severance, and {@code leavesToTake} off, if the ball is full by then and the plant goes into a mist tent
     * @param warnings of this branch alone
     */
    record BranchPreview(
            RingAndBall ball,
            double aboveMm,
            double belowMm,
            BridgingRisk bridging,
            BranchLoad load,
            HormoneFit hormoneFit,
            @Nullable ContainerFit containerFit,
            @Nullable LocalDate ready10On,
            @Nullable LocalDate ready50On,
            @Nullable LocalDate ready90On,
            int ownRecords,
            int topUpDays,
            boolean dropsWaterTooFast,
            int leavesToKeep,
            int leavesToTake,
            List<String> warnings) {}

    /** @param cautions what to beware of here, as sentences */
    public record ChecklistStep(Checklist.Step step, String sentence, List<String> cautions) {}

    /** @param suits whether the recipe's own cover is one of those */
    public record CoverView(CoverAdvice.Reason reason, Cover best, boolean suits, String sentence) {}

    boolean isBlocked() {
        return remarks.stream().anyMatch(remark -> remark.level() == Level.BLOCK);
    }

    boolean isWarned() {
        return remarks.stream().anyMatch(remark -> remark.level() == Level.WARN);
    }
}
