package org.kindgirdle.server.photos;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** A picture of a layer; its file lies under its hash. */
@Entity
@Table(name = "layer_photo")
class LayerPhotoRow {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    @Nullable
    Long id;

    UUID uuid = new UUID(0, 0);
    long layerId;

    /** of the record that it was made with; null if with none */
    @Nullable
    UUID recordUuid;

    String sha256 = "";
    int width;
    int height;
    int bytes;
    Instant occurredAt = Instant.EPOCH;
    Instant recordedAt = Instant.EPOCH;
    long personId;

    /** null while it is shown */
    @Nullable
    Instant withdrawnAt;

    @Nullable
    Long withdrawnBy;

    protected LayerPhotoRow() {}

    LayerPhotoRow(UUID uuid, long layerId, long personId) {
        this.uuid = uuid;
        this.layerId = layerId;
        this.personId = personId;
    }
}
