package org.kindgirdle.server.mothers;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Version;
import java.time.LocalDate;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.set.RootRun;
import org.kindgirdle.core.set.Vigour;

/** A stock plant. */
@Entity
class Mother {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    @Nullable
    Long id;

    String code = "";
    String speciesCode = "";
    String variety = "";
    long placeId;

    @Enumerated(EnumType.STRING)
    RootRun rootRun = RootRun.GROUND;

    @Enumerated(EnumType.STRING)
    Vigour vigour = Vigour.NORMAL;

    @Nullable
    Integer plantedYear;

    boolean sick;
    boolean toBeCutDown;

    @Enumerated(EnumType.STRING)
    Rights rights = Rights.FREE;

    /** of the holder of the rights: its number, or a letter of some day */
    String permission = "";

    int leafyShoots;
    String note = "";

    /** null while it is used */
    @Nullable
    LocalDate retiredOn;

    /** the same plant under its other record, which has its layers now */
    @Nullable
    Long mergedInto;

    @Version
    long version;

    protected Mother() {}

    static Mother fresh() {
        return new Mother();
    }

    /** All that is edited on its page; what it is called is changed by relabelling once it is here. */
    void take(MotherView edit) {
        code = edit.code();
        speciesCode = edit.speciesCode();
        variety = edit.variety();
        placeId = edit.placeId();
        rootRun = edit.rootRun();
        vigour = edit.vigour();
        plantedYear = edit.plantedYear();
        sick = edit.sick();
        toBeCutDown = edit.toBeCutDown();
        rights = edit.rights();
        permission = edit.rights() == Rights.FREE ? "" : edit.permission().strip();
        leafyShoots = edit.leafyShoots();
        note = edit.note();
    }

    MotherView view() {
        return MotherViewBuilder.stagedBuilder()
                .id(id)
                .code(code)
                .speciesCode(speciesCode)
                .variety(variety)
                .placeId(placeId)
                .rootRun(rootRun)
                .vigour(vigour)
                .plantedYear(plantedYear)
                .sick(sick)
                .toBeCutDown(toBeCutDown)
                .rights(rights)
                .permission(permission)
                .leafyShoots(leafyShoots)
                .note(note)
                .retiredOn(retiredOn)
                .mergedInto(mergedInto)
                .version(version)
                .build();
    }
}
