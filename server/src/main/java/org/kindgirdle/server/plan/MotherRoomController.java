package org.kindgirdle.server.plan;

import java.util.List;
import java.util.Map;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.plan.MotherCapacity;
import org.kindgirdle.server.journal.MotherLoad;
import org.kindgirdle.server.nursery.Nursery;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** How many more layers each mother can carry. */
@RestController
@RequestMapping("/api/v1/mother-rooms")
class MotherRoomController {

    private final Nursery nursery;
    private final MotherLoad loads;

    MotherRoomController(Nursery nursery, MotherLoad loads) {
        this.nursery = nursery;
        this.loads = loads;
    }

    /**
     * The room on one mother.
     *
     * @param underRings layers that stand on it now
     * @param room how many more it can carry
     */
    record MotherRoom(long motherId, int underRings, int room) {}

    @GetMapping
    @Transactional(readOnly = true)
    public List<MotherRoom> rooms() {
        HouseRules rules = nursery.rules().getValue();
        Map<Long, Long> underRings = loads.underRings();
        return nursery.mothers().stream()
                .filter(mother -> mother.id() != null)
                .map(mother -> {
                    int now = Math.toIntExact(underRings.getOrDefault(mother.id(), 0L));
                    return new MotherRoom(
                            mother.id(), now, new MotherCapacity(mother.leafyShoots(), now, false, rules).room());
                })
                .toList();
    }
}
