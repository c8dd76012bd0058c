package org.kindgirdle.server.rules;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.Map;
import org.hibernate.annotations.Immutable;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

/** One version of the house rules, by their codes. */
@Entity
@Immutable
@Table(name = "house_rules")
class HouseRulesRow {

    @Id
    int number;

    @JdbcTypeCode(SqlTypes.JSON)
    @Column(columnDefinition = "longtext")
    Map<String, Double> rules = Map.of();

    String madeBy = "";
    Instant madeAt = Instant.EPOCH;

    protected HouseRulesRow() {}

    HouseRulesRow(int number, Map<String, Double> rules, String madeBy, Instant madeAt) {
        this.number = number;
        this.rules = rules;
        this.madeBy = madeBy;
        this.madeAt = madeAt;
    }
}
