package org.kindgirdle.core.layer;

import java.time.LocalDate;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.kindgirdle.core.harden.PlantStep;
import org.kindgirdle.core.look.AlsoDo;
import org.kindgirdle.core.look.NextStep;

/**
 * What is to be done next with a layer, and when.
 *
 * @param code LOOK, TOP_UP, or the name of a next step, a step of the young plant, or a thing to do beside
 * @param from the first day it makes sense
 * @param by the last day it may wait to
 */
public record Job(String code, LocalDate from, LocalDate by) {

    /** The code of a root check, or of a visit to a young plant. */
    public static final String LOOK = "LOOK";
    /** The code of adding water to a ball. */
    public static final String TOP_UP = "TOP_UP";

    /** The code of a severing that was settled on though no rule asks for it. */
    public static final String SEVER = "SEVER";

    /** The code of tidying what the severing left on the mother. */
    public static final String TIDY_STUB = Work.TIDY_STUB.name();

    private static final Set<String> CODES = codes();

    private static Set<String> codes() {
        Set<String> codes = new HashSet<>(Set.of(LOOK, TOP_UP, SEVER, TIDY_STUB));
        for (Enum<?>[] names : List.<Enum<?>[]>of(NextStep.values(), PlantStep.values(), AlsoDo.values())) {
            for (Enum<?> name : names) {
                codes.add(name.name());
            }
        }
        return Set.copyOf(codes);
    }

    /** Whether there is a job of this code. */
    public static boolean isCode(String code) {
        return CODES.contains(code);
    }

    public Job {
        if (by.isBefore(from)) {
            from = by;
        }
    }

    /** The same job, not before a day; where that is past its last day, this is its day. */
    Job notBefore(LocalDate day) {
        return new Job(code, day.isAfter(from) ? day : from, day.isAfter(by) ? day : by);
    }
}
