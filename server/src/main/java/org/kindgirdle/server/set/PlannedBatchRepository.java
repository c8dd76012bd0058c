package org.kindgirdle.server.set;

import java.time.LocalDate;
import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

interface PlannedBatchRepository extends JpaRepository<PlannedBatchRow, Long> {

    List<PlannedBatchRow> findByBatchIdNullAndDroppedFalseOrderByForDayAscIdAsc();

    List<PlannedBatchRow> findByBatchIdNullAndDroppedFalseAndForDayOrderByIdAsc(LocalDate day);
}
