package org.kindgirdle.server.layers;

import org.kindgirdle.core.layer.LayerPhase;
import org.kindgirdle.core.learn.Share;
import org.springframework.stereotype.Component;

/** How the finished layers of a species went. */
@Component
public class SpeciesCounts {

    private final LayerCounts layers;

    SpeciesCounts(LayerCounts layers) {
        this.layers = layers;
    }

    /**
     * @param rooted of the layers that rooted or were lost before
     * @param established of the rooted ones that were released or lost after severance
     */
    public record Counts(Share rooted, Share established) {}

    public Counts of(String speciesCode) {
        int rooted = 0;
        int lostBefore = 0;
        int released = 0;
        int lostAfter = 0;
        for (LayerCounts.PhaseCount one : layers.countByPhase(speciesCode)) {
            int count = (int) one.layers();
            // a layer that was lost after severance has stood on a rung of the ladder
            boolean off = one.offMother()
                    || one.phase() == LayerPhase.SEVERED
                    || one.phase() == LayerPhase.POTTED
                    || one.phase() == LayerPhase.RELEASED;
            rooted += off ? count : 0;
            released += one.phase() == LayerPhase.RELEASED ? count : 0;
            lostBefore += one.phase() == LayerPhase.LOST && !one.offMother() ? count : 0;
            lostAfter += one.phase() == LayerPhase.LOST && one.offMother() ? count : 0;
        }
        return new Counts(new Share(rooted, rooted + lostBefore), new Share(released, released + lostAfter));
    }
}
