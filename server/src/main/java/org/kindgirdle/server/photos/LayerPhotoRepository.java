package org.kindgirdle.server.photos;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface LayerPhotoRepository extends JpaRepository<LayerPhotoRow, Long> {

    /** @param by who made it @param withdrawnBy who took it away; null while it is shown */
    record Signed(LayerPhotoRow photo, String by, @Nullable String withdrawnBy) {}

    /** Of one layer, the newest first. */
    @Query("""
            select new org.kindgirdle.server.photos.LayerPhotoRepository$Signed(photo, by.fullName, away.fullName)
            from LayerPhotoRow photo join Layer layer on layer.id = photo.layerId
            join Person by on by.id = photo.personId left join Person away on away.id = photo.withdrawnBy
            where layer.code = :code order by photo.occurredAt desc, photo.id desc
            """)
    List<Signed> of(String code);

    Optional<LayerPhotoRow> findByUuidAndLayerId(UUID uuid, long layerId);

    @Query("select layer.id from Layer layer where layer.code = :code")
    Optional<Long> layerId(String code);
}
