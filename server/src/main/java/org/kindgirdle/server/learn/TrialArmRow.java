package org.kindgirdle.server.learn;

import jakarta.persistence.Embeddable;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import org.hibernate.annotations.Immutable;

/** What one arm of a trial is set with. */
@Entity
@Immutable
@Table(name = "trial_arm")
class TrialArmRow {

    /** @param number from 0 */
    @Embeddable
    record Key(long trialId, int number) {}

    @EmbeddedId
    Key key = new Key(0, 0);

    long recipeId;
    int recipeNumber;

    protected TrialArmRow() {}

    TrialArmRow(long trialId, int number, long recipeId, int recipeNumber) {
        this.key = new Key(trialId, number);
        this.recipeId = recipeId;
        this.recipeNumber = recipeNumber;
    }
}
