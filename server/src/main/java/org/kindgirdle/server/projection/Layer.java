package org.kindgirdle.server.projection;

import jakarta.persistence.Column;
import jakarta.persistence.Convert;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.SequenceGenerator;
import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.growth.KeptTime;
import org.kindgirdle.core.growth.RootStage;
import org.kindgirdle.core.harden.Rung;
import org.kindgirdle.core.layer.LayerPhase;
import org.kindgirdle.core.layer.LossCause;
import org.kindgirdle.core.look.AlsoDo;
import org.kindgirdle.core.set.Method;

/** A layer: what it is, and the projection of its journal as of a day. */
@Entity
public class Layer {

    @Id
    @GeneratedValue(strategy = GenerationType.SEQUENCE, generator = "layer_seq")
    @SequenceGenerator(name = "layer_seq", sequenceName = "layer_seq", allocationSize = 50)
    @Nullable
    Long id;

    int number;
    String code = "";
    UUID batchId = new UUID(0, 0);
    long motherId;

    /** as it was recorded then; another one than {@code motherId} if both turned out to be the same plant */
    long setMotherId;

    @Nullable
    Long limbId;

    long recipeId;
    int recipeNumber;

    @Enumerated(EnumType.STRING)
    Method method = Method.AIR;

    /** who set it, as the nursery calls them; empty if nobody said */
    String hand = "";

    /** of the branch when it was set; empty if the layer was taken back before this was kept */
    String wood = "";

    /** of the ring on the branch, likewise */
    String position = "";

    /** of its last ring, likewise */
    String wound = "";

    /** on its last ring, IBA */
    double hormonePpm;

    /** round its last ring, likewise */
    String medium = "";

    /** risk that bark crosses the ring as it was cut; empty if nobody measured that, or nothing was cut */
    String bridging = "";

    LocalDate setOn = LocalDate.EPOCH;
    int revision;

    @Enumerated(EnumType.STRING)
    LayerPhase phase = LayerPhase.ON_MOTHER;

    @Enumerated(EnumType.STRING)
    RootStage stage = RootStage.NONE;

    /** null if nobody said */
    @Nullable
    Double fillPercent;

    /** the place of the severed plant; null before, and for where its mother stands */
    @Nullable
    Long standsAt;

    /** the day on which it is to be severed, if one was settled on */
    @Nullable
    LocalDate cutOn;

    /** a next step, or a step of the young plant */
    @Nullable
    String step;

    @Convert(converter = AlsoDoInOrder.class)
    Set<AlsoDo> alsoDo = Set.of();

    @Nullable
    @Column(name = "ready10_on")
    LocalDate ready10On;

    @Nullable
    @Column(name = "ready50_on")
    LocalDate ready50On;

    @Nullable
    @Column(name = "ready90_on")
    LocalDate ready90On;

    @Nullable
    String job;

    @Nullable
    LocalDate jobFrom;

    @Nullable
    LocalDate jobBy;

    /** the last day of its job, and beyond all days where it has none: the database's own, for the order of lists */
    @Nullable
    @Column(insertable = false, updatable = false)
    LocalDate dueOn;

    @Enumerated(EnumType.STRING)
    @Nullable
    Rung rung;

    /** whether it came off its mother alive; null while that is open */
    @Nullable
    Boolean rooted;

    /** whether it was released, of what came off; null while that is open */
    @Nullable
    Boolean established;

    @Enumerated(EnumType.STRING)
    @Nullable
    LossCause lossCause;

    /** thermal days between which the ball became full; both null where no look says, the upper where it never was */
    @Nullable
    Double readyLow;

    @Nullable
    Double readyHigh;

    @Nullable
    LocalDate fullOn;

    @Nullable
    LocalDate severedOn;

    @Nullable
    LocalDate endedOn;

    /** of work on it so far; null only where it was never worked out */
    @Nullable
    Double minutes;

    double mediumMl;

    @Column(name = "film_cm2")
    double filmCm2;

    /** what it was reckoned from beside its journal, see {@code NurserySnapshot.inputs}; null where nobody knows */
    @Nullable
    String reckonedFrom;

    /** what its looks leave of its time to a full ball, see {@link KeptTime}; null before any look */
    byte @Nullable [] keptTime;

    int conflicts;
    int profileNumber;
    int rulesNumber;
    LocalDate asOf = LocalDate.EPOCH;

    protected Layer() {}

    public Layer(
            int number,
            String code,
            UUID batchId,
            long motherId,
            @Nullable Long limbId,
            long recipeId,
            int recipeNumber,
            LocalDate setOn) {
        this.number = number;
        this.code = code;
        this.batchId = batchId;
        this.motherId = motherId;
        this.setMotherId = motherId;
        this.limbId = limbId;
        this.recipeId = recipeId;
        this.recipeNumber = recipeNumber;
        this.setOn = setOn;
    }

    /** Before anything is reckoned of it. @param by who set it; null if nobody said */
    public void begin(Method setAs, @Nullable String by) {
        method = setAs;
        hand = by == null ? "" : by;
    }

    /** In the order of the layers. */
    public static List<Long> ids(Collection<Layer> some) {
        return some.stream().map(Layer::id).toList();
    }

    /** @throws IllegalStateException if it is not saved yet */
    public long id() {
        if (id == null) {
            throw new IllegalStateException("layer " + code + " is not saved yet");
        }
        return id;
    }

    public @Nullable Long standsAt() {
        return standsAt;
    }

    public LocalDate setOn() {
        return setOn;
    }

    public UUID batchId() {
        return batchId;
    }

    public LayerPhase phase() {
        return phase;
    }

    public int revision() {
        return revision;
    }

    public int recipeNumber() {
        return recipeNumber;
    }

    public long setMotherId() {
        return setMotherId;
    }

    public Method method() {
        return method;
    }

    public long motherId() {
        return motherId;
    }

    public @Nullable Rung rung() {
        return rung;
    }

    public String hand() {
        return hand;
    }

    public long recipeId() {
        return recipeId;
    }

    public int number() {
        return number;
    }

    public RootStage stage() {
        return stage;
    }

    public @Nullable Long limbId() {
        return limbId;
    }

    public String code() {
        return code;
    }
}
