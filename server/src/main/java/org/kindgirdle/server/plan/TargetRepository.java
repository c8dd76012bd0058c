package org.kindgirdle.server.plan;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

interface TargetRepository extends JpaRepository<TargetRow, Long> {

    List<TargetRow> findByClosedOnNullOrderByWantedByAscIdAsc();
}
