package org.kindgirdle.server.learn;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import org.jspecify.annotations.Nullable;

/** A place of a trial, dealt to one of its arms. */
@Entity
@Table(name = "trial_slot")
class TrialSlotRow {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    @Nullable
    Long id;

    long trialId;

    /** in the order of the list, from 1 */
    int position;

    long motherId;

    @Nullable
    Long limbId;

    int arm;

    /** the layer that stands there; null while none does */
    @Nullable
    Long layerId;

    protected TrialSlotRow() {}

    TrialSlotRow(long trialId, int position, long motherId, @Nullable Long limbId, int arm) {
        this.trialId = trialId;
        this.position = position;
        this.motherId = motherId;
        this.limbId = limbId;
        this.arm = arm;
    }
}
