package org.kindgirdle.server.learn;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.LocalDate;
import org.jspecify.annotations.Nullable;

/** A question that is put to layers set on purpose in two ways or more. */
@Entity
@Table(name = "trial")
class TrialRow {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    @Nullable
    Long id;

    String name = "";
    String question = "";

    /** of the layers of the first arm that are expected to root, and of those of another that would matter */
    double share;

    double otherShare;
    double significance;
    double power;

    /** layers that each arm needs, as reckoned from those */
    int perArm;

    /** that the places were dealt with */
    long seed;

    String madeBy = "";
    LocalDate madeOn = LocalDate.EPOCH;

    @Nullable
    LocalDate closedOn;

    /** what is done from then on; null while nothing was decided */
    @Nullable
    Integer decidedArm;

    @Nullable
    String decidedBy;

    @Nullable
    LocalDate decidedOn;

    @Nullable
    String decidedNote;

    @Version
    long version;

    protected TrialRow() {}

    static TrialRow fresh() {
        return new TrialRow();
    }

    long id() {
        if (id == null) {
            throw new IllegalStateException("trial " + name + " is not saved yet");
        }
        return id;
    }
}
