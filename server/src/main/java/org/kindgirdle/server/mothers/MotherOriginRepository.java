package org.kindgirdle.server.mothers;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface MotherOriginRepository extends JpaRepository<MotherOriginRow, Long> {

    @Query("""
            select new org.kindgirdle.server.mothers.MotherOrigins$Origin(origin.motherId, layer.code, layer.motherId)
            from MotherOriginRow origin join Layer layer on layer.id = origin.layerId
            """)
    List<MotherOrigins.Origin> origins();

    @Query("""
            select origin.motherId from MotherOriginRow origin join Layer layer on layer.id = origin.layerId
            where layer.code = :code
            """)
    Optional<Long> raisedFrom(String code);

    @Query("select layer.id from Layer layer where layer.code = :code")
    Optional<Long> layerId(String code);
}
