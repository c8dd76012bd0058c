package org.kindgirdle.server.recipes;

import java.util.Arrays;
import java.util.List;
import org.kindgirdle.core.set.Method;
import org.kindgirdle.core.set.Wound;
import org.kindgirdle.core.set.Wrap;

/**
 * A way of layering, as the forms have to know it.
 *
 * @param staysOnMother whether it roots on its mother; what does not is cut off when it is set
 * @param buriesTheBase whether the base of the mother itself is buried
 * @param wounds that go with it, in the order of the form
 * @param wraps that can hold its medium, in the order of the form
 */
public record MethodView(
        Method method, boolean staysOnMother, boolean buriesTheBase, List<Wound> wounds, List<Wrap> wraps) {

    /** All of them, in the order of the form. */
    static List<MethodView> all() {
        return Arrays.stream(Method.values()).map(MethodView::of).toList();
    }

    private static MethodView of(Method method) {
        return new MethodView(
                method,
                method.staysOnMother(),
                method.buriesTheBase(),
                method.wounds().stream().sorted().toList(),
                method.wraps().stream().sorted().toList());
    }
}
