package org.kindgirdle.server.set;

import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.layer.CoverAhead;
import org.kindgirdle.core.layer.LayerContext;
import org.kindgirdle.core.layer.LayerProjection;
import org.kindgirdle.core.plan.SettingWindows;
import org.kindgirdle.core.set.HouseHormone;
import org.kindgirdle.server.mothers.MotherView;
import org.kindgirdle.server.snapshot.NurserySnapshot;

/**
 * A batch that is about to be set, with what is known of it.
 *
 * @param layers its rows as they would be when set, in their order
 * @param windows of the row that the batch is judged by
 * @param worstRow that row, from 0, where it is worth naming; null where all rows are worth the same
 * @param hormone of the house that is dipped into; null for none, or one that the house does not keep
 */
record SetCase(
        SetRequest request,
        LocalDate setOn,
        MotherView mother,
        LayerContext context,
        List<LayerProjection> layers,
        SettingWindows windows,
        @Nullable Integer worstRow,
        CoverAhead cover,
        @Nullable HouseHormone hormone,
        NurserySnapshot nursery) {}
