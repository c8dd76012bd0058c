package org.kindgirdle.server.species;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.LocalDate;
import org.hibernate.annotations.Immutable;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.growth.RootingTime;

/** What was settled once for the time of a species: its own, or the profile's. */
@Entity
@Immutable
@Table(name = "learned_time")
class LearnedTimeRow {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    @Nullable
    Long id;

    String speciesCode = "";

    /** null where it goes by the profile */
    @Column(name = "d50_thermal_days")
    @Nullable
    Double d50ThermalDays;

    @Nullable
    Double sigma;

    int records;
    String madeBy = "";
    LocalDate madeOn = LocalDate.EPOCH;

    protected LearnedTimeRow() {}

    LearnedTimeRow(String speciesCode, @Nullable RootingTime time, String madeBy, LocalDate madeOn) {
        this.speciesCode = speciesCode;
        this.d50ThermalDays = time == null ? null : time.d50ThermalDays();
        this.sigma = time == null ? null : time.sigma();
        this.records = time == null ? 0 : time.records();
        this.madeBy = madeBy;
        this.madeOn = madeOn;
    }

    LearnedTimes.Settled settled() {
        Double d50 = d50ThermalDays;
        Double spread = sigma;
        return new LearnedTimes.Settled(
                speciesCode,
                id == null ? 0 : id,
                d50 == null || spread == null ? null : new RootingTime(d50, spread, records),
                madeBy,
                madeOn);
    }
}
