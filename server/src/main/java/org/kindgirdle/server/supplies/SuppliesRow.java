package org.kindgirdle.server.supplies;

import com.fasterxml.jackson.annotation.JsonInclude;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.util.List;
import java.util.Map;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.pot.HousePot;
import org.kindgirdle.core.set.HouseContainer;
import org.kindgirdle.core.set.HouseHormone;
import org.kindgirdle.core.set.Medium;
import org.kindgirdle.core.set.MediumMix;

/** The one row of what the bench keeps in stock. */
@Entity
@Table(name = "supplies")
class SuppliesRow {

    static final int ONLY = 1;

    @Id
    int id = ONLY;

    /** those that are not in it are as shipped */
    @JdbcTypeCode(SqlTypes.JSON)
    @Column(columnDefinition = "longtext")
    Map<Medium, MediumMix> mixes = Map.of();

    @JdbcTypeCode(SqlTypes.JSON)
    @Column(columnDefinition = "longtext")
    List<HouseContainer> containers = List.of();

    @JdbcTypeCode(SqlTypes.JSON)
    @Column(columnDefinition = "longtext")
    List<HouseHormone> hormones = List.of();

    /** empty for those that ship */
    @JdbcTypeCode(SqlTypes.JSON)
    @Column(columnDefinition = "longtext")
    List<HousePot> pots = List.of();

    @JdbcTypeCode(SqlTypes.JSON)
    @Column(columnDefinition = "longtext")
    OwnMix pottingMix = OwnMix.SHIPPED;

    @Version
    long version;

    protected SuppliesRow() {}

    /** A mix of the house's own, or nothing for the one that ships. */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    record OwnMix(
            @Nullable List<MediumMix.Ingredient> ingredients,
            @Nullable List<MediumMix.Additive> additives) {

        static final OwnMix SHIPPED = new OwnMix(null, null);

        static OwnMix of(MediumMix mix) {
            return mix.equals(ShippedMixes.POTTING) ? SHIPPED : new OwnMix(mix.ingredients(), mix.additives());
        }

        MediumMix mix() {
            return ingredients == null || additives == null
                    ? ShippedMixes.POTTING
                    : new MediumMix(ingredients, additives);
        }
    }
}
