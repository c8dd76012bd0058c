package org.kindgirdle.server.journal;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.kindgirdle.core.layer.LayerPhase;
import org.kindgirdle.core.layer.LayerProjection;
import org.kindgirdle.core.plan.LimbRoom;
import org.kindgirdle.server.nursery.Mothers;
import org.springframework.context.event.EventListener;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What was taken from the mothers, and what stands on their limbs. */
@Service
public class Takings {

    private final JdbcTemplate jdbc;
    private final LayerRepository layers;
    private final Journals journals;

    Takings(JdbcTemplate jdbc, LayerRepository layers, Journals journals) {
        this.jdbc = jdbc;
        this.layers = layers;
        this.journals = journals;
    }

    /**
     * What was set on a mother in one year, and what became of it.
     *
     * @param onMother that stand on it now
     * @param offMother severed, and neither released nor lost
     */
    public record Year(int year, int set, int onMother, int offMother, int released, int lost) {}

    /** A ball on a limb, with its thickness. */
    public record BallOnLimb(LimbRoom.Standing standing, double ballDiameterMm) {}

    /** The newest first; what was taken back does not count. */
    public List<Year> of(long motherId) {
        return jdbc.query(
                "select year(set_on), count(*), sum(phase = 'ON_MOTHER'), sum(phase in ('SEVERED', 'POTTED')),"
                        + " sum(phase = 'RELEASED'), sum(phase = 'LOST') from layer"
                        + " where mother_id = ? and phase <> 'WITHDRAWN' group by year(set_on) order by 1 desc",
                (row, number) -> new Year(
                        row.getInt(1), row.getInt(2), row.getInt(3), row.getInt(4), row.getInt(5), row.getInt(6)),
                motherId);
    }

    /** The balls that stand on each limb of a mother, by the limb's id. */
    @Transactional(readOnly = true)
    public Map<Long, List<BallOnLimb>> onLimbs(long motherId, NurserySnapshot nursery) {
        List<Layer> some = layers.findByMotherIdAndPhaseAndLimbIdNotNullOrderById(motherId, LayerPhase.ON_MOTHER);
        Map<Long, List<BallOnLimb>> byLimb = new HashMap<>();
        if (some.isEmpty()) {
            return byLimb;
        }
        var all = journals.of(some);
        for (Layer layer : some) {
            LayerProjection projection = Projections.of(layer, all.getOrDefault(layer.id(), List.of()), nursery);
            if (projection != null && layer.limbId != null) {
                byLimb.computeIfAbsent(layer.limbId, id -> new ArrayList<>())
                        .add(new BallOnLimb(
                                new LimbRoom.Standing(
                                        layer.code,
                                        projection.state().set().fromUnionMm(),
                                        projection.ball().ballLengthMm()),
                                projection.ball().ballDiameterMm()));
            }
        }
        return byLimb;
    }

    /** How many layers came from each limb of a mother, by the limb's id. */
    public Map<Long, Integer> everOnLimbs(long motherId) {
        return jdbc
                .queryForList(
                        "select limb_id, count(*) n from layer where mother_id = ? and limb_id is not null"
                                + " and phase <> 'WITHDRAWN' group by limb_id",
                        motherId)
                .stream()
                .collect(Collectors.toMap(
                        row -> ((Number) row.get("limb_id")).longValue(), row -> ((Number) row.get("n")).intValue()));
    }

    /** What was set under one record of a plant belongs to the other one from now on. */
    @EventListener
    void onMerger(Mothers.Merged merger) {
        layers.flush();
        jdbc.update("update layer set mother_id = ? where mother_id = ?", merger.into(), merger.from());
    }
}
