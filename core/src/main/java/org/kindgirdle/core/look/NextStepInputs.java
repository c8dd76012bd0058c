package org.kindgirdle.core.look;

import java.util.EnumMap;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.growth.RootStage;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.house.Rule;
import org.kindgirdle.core.verdict.Fact;

/** Everything that the next step depends on: a value for each {@link NextStepFact}, and the figures of the house. */
public final class NextStepInputs {

    private final Map<NextStepFact, @Nullable Object> values;
    private final HouseRules rules;

    private NextStepInputs(Map<NextStepFact, @Nullable Object> values, HouseRules rules) {
        this.values = values;
        this.rules = rules;
    }

    /** Puts the values together; each is asked for. */
    public static final class Builder {

        private final Map<NextStepFact, @Nullable Object> values;

        public Builder() {
            this(new EnumMap<>(NextStepFact.class));
        }

        private Builder(Map<NextStepFact, @Nullable Object> values) {
            this.values = values;
        }

        /** Another with what is set here. */
        public Builder copy() {
            return new Builder(new EnumMap<>(values));
        }

        /** @throws IllegalArgumentException if the input may not have the value */
        public Builder set(NextStepFact name, @Nullable Object value) {
            values.put(name, name.checked(value));
            return this;
        }

        /** @throws IllegalStateException if a value is missing */
        public NextStepInputs build(HouseRules rules) {
            for (NextStepFact name : NextStepFact.values()) {
                if (!values.containsKey(name)) {
                    throw new IllegalStateException("the next step is asked without " + name);
                }
            }
            return new NextStepInputs(new EnumMap<>(values), rules);
        }
    }

    /** These with one of them replaced. */
    public NextStepInputs with(Fact fact) {
        Map<NextStepFact, @Nullable Object> changed = new EnumMap<>(values);
        NextStepFact name = (NextStepFact) fact.name();
        changed.put(name, name.checked(fact.value()));
        return new NextStepInputs(changed, rules);
    }

    /** The figures of the house that the rules turn on. */
    public HouseRules rules() {
        return rules;
    }

    @Nullable
    Object value(NextStepFact name) {
        return values.get(name);
    }

    boolean is(NextStepFact name) {
        return Boolean.TRUE.equals(values.get(name));
    }

    boolean isKnown(NextStepFact name) {
        return values.get(name) != null;
    }

    double number(NextStepFact name) {
        return name.in(this).number();
    }

    int count(NextStepFact name) {
        return name.in(this).count();
    }

    boolean has(Condition condition) {
        return conditions().contains(condition);
    }

    Set<?> conditions() {
        return (Set<?>) NextStepFact.CONDITIONS.in(this).present();
    }

    RootStage stage() {
        return (RootStage) NextStepFact.STAGE.in(this).present();
    }

    boolean isFilled() {
        return stage().isAtLeast(RootStage.FILLED);
    }

    /** Below first white points: callus at most. */
    boolean isBeforeInitials() {
        return !stage().isAtLeast(RootStage.INITIALS);
    }

    /** When it is to be severed. What never is leafless can't be cut leafless: it is cut in spring. */
    School school() {
        School chosen = (School) NextStepFact.SCHOOL.in(this).present();
        return chosen == School.DORMANT && is(NextStepFact.EVERGREEN) ? School.SPRING : chosen;
    }

    @Nullable
    Integer daysToFrost() {
        return (Integer) values.get(NextStepFact.DAYS_TO_FROST);
    }

    /** No frost comes, or not for so many days. */
    boolean isFrostAtLeast(int days) {
        Integer frost = daysToFrost();
        return frost == null || frost >= days;
    }

    /** Whether a value is at least what the house has set. */
    boolean reaches(NextStepFact value, Rule threshold) {
        return ((Number) value.in(this).present()).doubleValue() >= rules.of(threshold);
    }

    int establishDays() {
        return count(NextStepFact.ESTABLISH_DAYS);
    }

    /** There is room to sever and establish before frost. */
    boolean room() {
        return isFrostAtLeast(establishDays());
    }

    /** Too little of the year is left to root anything more. */
    boolean near() {
        return !is(NextStepFact.GROWING) || !isFrostAtLeast(rules.count(Thresholds.NEAR_DAYS));
    }

    /** Too late in the year to begin again. */
    boolean cold() {
        return !is(NextStepFact.GROWING) || !isFrostAtLeast(rules.count(Thresholds.COLD_DAYS));
    }

    /** A ball that is dry, open or slipped: five minutes mend it. */
    boolean mendable() {
        return has(Condition.DRY) || has(Condition.WRAP_OPEN) || has(Condition.SLIPPED);
    }

    boolean trouble() {
        return mendable() || has(Condition.MEDIUM_LOST);
    }

    boolean isStalledTwice() {
        return reaches(NextStepFact.STALLED_LOOKS, Thresholds.STALLED_LOOKS);
    }

    /** A new ring can be cut today and has a fair chance to fill in time. */
    boolean isWorthRinging() {
        return is(NextStepFact.BARK_SLIPS) && reaches(NextStepFact.WINDOW_P, Thresholds.AGAIN_P);
    }

    boolean isRingedOut() {
        return reaches(NextStepFact.ATTEMPTS, Thresholds.MAX_RERINGS);
    }

    @Override
    public boolean equals(@Nullable Object other) {
        return other instanceof NextStepInputs that && values.equals(that.values) && rules.equals(that.rules);
    }

    @Override
    public int hashCode() {
        return Objects.hash(values, rules);
    }

    @Override
    public String toString() {
        return values.toString();
    }
}
