package org.kindgirdle.server.set;

import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.plan.SettingWindow;
import org.kindgirdle.core.set.BranchLoad;
import org.kindgirdle.core.set.BridgingRisk;
import org.kindgirdle.core.set.HormoneFit;
import org.kindgirdle.core.set.RingAndBall;
import org.kindgirdle.core.verdict.Level;
import org.kindgirdle.server.plan.Remark;

/**
 * What setting these layers would mean.
 *
 * @param remarks on plant, time and number, the gravest first
 * @param rows in the order in which they were sent
 */
record SetPreview(LocalDate setOn, SettingWindow window, List<Remark> remarks, List<Row> rows) {

    /**
     * @param ready10On the day with a tenth of the probability of ready; null beyond four years
     * @param topUpDays days between top-ups at first
     * @param leavesToKeep at severance, and {@code leavesToTake} off, if the ball is full by then and the plant goes into a mist tent
     */
    record Row(
            RingAndBall ball,
            double aboveMm,
            double belowMm,
            BridgingRisk bridging,
            BranchLoad load,
            HormoneFit hormoneFit,
            @Nullable LocalDate ready10On,
            @Nullable LocalDate ready50On,
            @Nullable LocalDate ready90On,
            int topUpDays,
            boolean dropsWaterTooFast,
            int leavesToKeep,
            int leavesToTake) {}

    boolean isBlocked() {
        return remarks.stream().anyMatch(remark -> remark.level() == Level.BLOCK);
    }

    boolean isWarned() {
        return remarks.stream().anyMatch(remark -> remark.level() == Level.WARN);
    }
}
